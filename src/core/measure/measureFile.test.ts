/** Whole files measured, where what the file says of its tone is not all there is to it. */
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { drawRig, exposureOf, HELD_OUT, mapOf } from '../../../tests/support/frames';
import { decodePicture } from '../../node/picture';
import { expose, trueRadii } from '../bench-camera';
import { randomOf } from '../maths';
import type { PixelImage } from './file';
import { measureFile } from './measureFile';
import { measureGrid } from './measureGrid';
import { toneDoubtMm, withToneDoubt } from './toneDoubt';

const png = ({ widthPx, heightPx, data }: PixelImage) =>
  sharp(data as Uint8Array, { raw: { width: widthPx, height: heightPx, channels: 1 } })
    .png()
    .toBuffer();
/** The contrast curve cameras put on top of sRGB: shadows darker, highlights brighter, values 0..1. */
const withContrast = (value: number): number => value - 0.06 * Math.sin(2 * Math.PI * value);

describe('a picture with a contrast curve that it does not speak of', () => {
  const frames = Array.from({ length: 16 }, (_, i) => {
    const random = randomOf(HELD_OUT + 900 + i);
    const rig = drawRig(random, 0.6, 0.9);
    const fNumber = i % 2 ? 8 : rig.openFNumber;
    const image = expose(mapOf(rig, fNumber), exposureOf(rig, random, { depth: 8 }));
    image.data.forEach((value, k) => {
      image.data[k] = Math.round(255 * withContrast(value / 255));
    });
    return { rig, fNumber, image, truth: trueRadii(mapOf(rig, fNumber)).halfLight };
  });

  it('is measured with an interval that holds what the curve does', async () => {
    let [asked, held, narrower] = [0, 0, 0];
    for (const { rig, fNumber, image, truth } of frames) {
      const read = await measureFile(
        await png(image),
        'frame.png',
        { sensor: rig.sensor, tone: { kind: 'srgb' }, fNumber },
        decodePicture,
      );
      if (!read.ok) throw new Error(read.problems[0]?.sentence);
      const { halfLightRadiusMm: half, rims, warnings } = read.value.measure;
      if (!half || truth === null) continue;
      asked += 1;
      if (half.low <= truth && truth <= half.high) held += 1;
      const byTone = toneDoubtMm(rims);
      const alone = (edge: number) => Math.sqrt(Math.max(0, edge ** 2 - byTone ** 2));
      const [low, high] = [half.value - half.low, half.high - half.value].map(alone);
      if (half.value - low! <= truth && truth <= half.value + high!) narrower += 1;
      // Two exposures would tell: said where the tone is most of what is not known.
      expect(warnings.includes('toneAssumed')).toBe(byTone > Math.min(low!, high!));
    }
    expect(asked).toBeGreaterThanOrEqual(12);
    expect(held / asked).toBeGreaterThanOrEqual(0.85);
    expect(narrower).toBeLessThan(held);
  });

  it('says the same when its kept light is measured anew', async () => {
    const { rig, fNumber, image } = frames[1]!;
    const read = await measureFile(
      await png(image),
      'frame.png',
      { sensor: rig.sensor, tone: { kind: 'srgb' }, fNumber },
      decodePicture,
    );
    if (!read.ok || !read.value.evidence) throw new Error('a good frame was refused');
    const { measure } = measureGrid(read.value.evidence.grid, { fNumber });
    const anew = withToneDoubt(measure, true);
    expect(anew.halfLightRadiusMm).toEqual(read.value.measure.halfLightRadiusMm);
    // Without the doubt of the tone it would be surer than the first reading.
    expect(measure.halfLightRadiusMm!.low).toBeGreaterThan(anew.halfLightRadiusMm!.low);
  });

  it('in light as it is, nothing is assumed', async () => {
    const [first] = frames;
    const options = { sensor: first!.rig.sensor, fNumber: first!.fNumber };
    const bytes = await png(first!.image);
    const read = await measureFile(
      bytes,
      'f.png',
      { ...options, tone: { kind: 'linear' } },
      decodePicture,
    );
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.measure.warnings).not.toContain('toneAssumed');
  });
});
