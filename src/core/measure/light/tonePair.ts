/** The same places of two frames of one wall, for finding the tone response between them. */
import { fail, type Result } from '../../words';
import type { PixelImage } from '../file';
import { toneFromPair, type Tone } from './tone';

const PLACES_ACROSS = 80;

/** Mean value of small patches over a frame, 0..1, as they stand in the file; green of colour frames. */
function patchValues({ widthPx, heightPx, channels, depth, data }: PixelImage): number[] {
  const full = depth === 8 ? 255 : 65_535;
  const green = channels >= 3 ? 1 : 0;
  const size = Math.max(1, Math.floor(widthPx / PLACES_ACROSS / 2));
  const rows = Math.floor((PLACES_ACROSS * heightPx) / widthPx);
  const values: number[] = [];
  for (let j = 0; j < rows; j += 1) {
    for (let i = 0; i < PLACES_ACROSS; i += 1) {
      const left = Math.floor((i / PLACES_ACROSS) * widthPx);
      const top = Math.floor((j / rows) * heightPx);
      let sum = 0;
      for (let y = top; y < top + size; y += 1)
        for (let x = left; x < left + size; x += 1)
          sum += data[(y * widthPx + x) * channels + green] ?? 0;
      values.push(sum / (size * size * full));
    }
  }
  return values;
}

/**
 * The tone response from two decoded frames of one wall, the second exposed `stepStops` longer, or the
 * other way round.
 */
export function toneFromFrames(a: PixelImage, b: PixelImage, stepStops: number): Result<Tone> {
  if (a.widthPx !== b.widthPx || a.heightPx !== b.heightPx || a.depth !== b.depth)
    return fail('pair', '', 'The two frames are not of one camera: their sizes or depths differ.');
  const [first, second] = [patchValues(a), patchValues(b)];
  const total = (list: number[]) => list.reduce((s, v) => s + v, 0);
  const [short, long] = total(first) <= total(second) ? [first, second] : [second, first];
  const pairs = short.map((value, i) => ({ short: value, long: long[i] ?? 0 }));
  return toneFromPair(pairs, stepStops);
}
