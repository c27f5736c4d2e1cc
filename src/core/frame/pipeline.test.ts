import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { inconvenientRigs } from '../../../tests/support/inconvenientRig';
import { runs } from '../../../tests/support/seed';
import { bodyExample, modeOf, type Mode } from '../kit/records';
import { deliveredFrame, fitAspect, linearCropOf, recordedFrame } from './pipeline';

const mode = bodyExample.modes[0]!;
const whole = { aspect: null, digitalZoom: 1, cropId: null, postScale: 1, squeeze: 1 };

describe('frame pipeline', () => {
  it('delivers the whole read-out where nothing is asked', () => {
    const frame = deliveredFrame(mode, whole);
    expect([frame.widthMm, frame.heightMm]).toEqual([23.5, 15.6]);
    expect(frame.readPx).toEqual({ across: 6240, down: 4144 });
    expect(frame.recordedPx.across).toBeCloseTo(3840, 9);
    expect(frame.megapixels).toBeCloseTo((3840 * (3840 * 4144)) / 6240 / 1e6, 9);
  });

  it('multiplies linear crops, and lets the measured one win over the nominal', () => {
    const nominal = { ...mode, crops: [{ id: 'e', name: 'e', nominal: 1.1, measured: null }] };
    expect(linearCropOf(nominal, 'e', 1.2)).toBeCloseTo(1.32, 12);
    expect(linearCropOf(mode, 'active', 1.2)).toBeCloseTo(1.13 * 1.2, 12);
    expect(linearCropOf(mode, 'no such crop', 1.2)).toBe(1.2);
  });

  it('fits the delivered aspect inside', () => {
    expect(fitAspect({ widthMm: 36, heightMm: 24 }, 16 / 9).heightMm).toBeCloseTo(20.25, 9);
    expect(fitAspect({ widthMm: 36, heightMm: 24 }, 1).widthMm).toBeCloseTo(24, 9);
    expect(deliveredFrame(mode, { ...whole, aspect: 16 / 9 }).heightMm).toBeCloseTo(13.21875, 9);
  });

  it('narrows the frame on the sensor by the squeeze', () => {
    const frame = deliveredFrame(mode, { ...whole, aspect: 2.4, squeeze: 2 });
    expect(frame.widthMm / frame.heightMm).toBeCloseTo(1.2, 9);
  });
});

describe('every crop counts', () => {
  it('stabilisation, digital zoom and scale-up in post multiply, in size and in pixels', () => {
    const frame = deliveredFrame(mode, {
      ...whole,
      cropId: 'active',
      digitalZoom: 1.2,
      postScale: 2,
    });
    const crop = 1.13 * 1.2 * 2;
    expect(frame.linearCrop).toBeCloseTo(crop, 9);
    expect(frame.widthMm).toBeCloseTo(23.5 / crop, 9);
    expect(frame.readPx.across).toBeCloseTo(6240 / crop, 6);
    expect(frame.readPx.down).toBeCloseTo(4144 / crop, 6);
    // The body's own crops keep the file's 3840; scale-up in post cuts it.
    expect(frame.recordedPx.across).toBeCloseTo(3840 / 2, 6);
    expect(frame.widthPx).toBeCloseTo(3840 / 2, 6);
  });

  it('no crop is none, even beside a crop without a name', () => {
    const unnamed = { ...mode, crops: [{ id: 'null', name: 'x', nominal: 2, measured: null }] };
    expect(linearCropOf(unnamed, null, 1)).toBe(1);
  });
});

describe('pixels read and recorded', () => {
  const wide = { ...whole, aspect: 16 / 9 };
  const uhd = (widthPx: number, heightPx: number, more: Partial<Mode> = {}): Mode =>
    modeOf({
      id: 'm',
      name: 'm',
      widthMm: 36,
      heightMm: 20.25,
      widthPx,
      heightPx,
      recordedWidthPx: 3840,
      sampling: 'every pixel',
      ...more,
    });

  // Common practice, no source: a picture of 3840 x 2160 has 8.3 megapixels, whatever sensor it was read from.
  it('modes that record 3840 across deliver alike, however much they read', () => {
    for (const mode of [uhd(9568, 5382), uhd(6000, 3375), uhd(3840, 2160)]) {
      const { widthPx, heightPx, megapixels, readPx } = deliveredFrame(mode, wide);
      expect(widthPx).toBeCloseTo(3840, 9);
      expect(heightPx).toBeCloseTo(2160, 9);
      expect(megapixels).toBeCloseTo(8.2944, 9);
      expect(readPx.across).toBe(mode.widthPx);
    }
  });

  it('oversampling is told only where every pixel is known to count', () => {
    const over = (more: Partial<Mode>) => deliveredFrame(uhd(9568, 5382, more), wide).oversampling;
    expect(over({})).toBeCloseTo(9568 / 3840, 9);
    for (const sampling of ['binned', 'line-skipped', 'not known'] as const)
      expect(over({ sampling })).toBeNull();
    expect(over({ sampling: 'not known', recordedWidthPx: null })).toBe(1);
  });

  it('a squeezed frame recorded pixel for pixel is that in both directions', () => {
    const scope = uhd(4448, 3096, { heightMm: 25.5, recordedWidthPx: 4448 });
    const frame = deliveredFrame(scope, { ...whole, aspect: 2.39, squeeze: 2 });
    expect(frame.oversampling).toBe(1);
    expect(frame.widthPx).toBeCloseTo((4448 * frame.widthMm) / 36, 9);
  });

  it('what digital zoom makes up is in the file, and counts for nothing', () => {
    const zoomed = deliveredFrame(uhd(6000, 3375), { ...wide, digitalZoom: 2 });
    expect(zoomed.recordedPx.across).toBeCloseTo(3840, 9);
    expect(zoomed.widthPx).toBeCloseTo(3000, 9);
    expect(zoomed.oversampling).toBeCloseTo(3000 / 3840, 9);
  });

  it('no more pixels count than the file has, nor than the sensor gave', () => {
    fc.assert(
      fc.property(
        inconvenientRigs.map(({ mode, settings, lens }) => ({ mode, settings, lens })),
        ({ mode, settings: { aspect, digitalZoom, cropId, postScale }, lens }) => {
          const choice = { aspect, digitalZoom, cropId, postScale, squeeze: lens.squeeze };
          const frame = deliveredFrame(mode, choice);
          const file = recordedFrame(mode, linearCropOf(mode, cropId, digitalZoom));
          const most = 1 + 1e-9;
          expect(frame.widthPx).toBeLessThanOrEqual(frame.recordedPx.across * most);
          expect(frame.widthPx).toBeLessThanOrEqual(frame.readPx.across * most);
          // The file's pixels are whole.
          expect(frame.recordedPx.across).toBeLessThanOrEqual(file.widthPx + 0.5);
          expect(frame.recordedPx.down).toBeLessThanOrEqual(file.heightPx + 0.5 * most);
        },
      ),
      { numRuns: runs(200) },
    );
  });
});
