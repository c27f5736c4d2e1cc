import { describe, expect, it } from 'vitest';
import { bodyExample } from '../kit/records';
import { deliveredFrame, fitAspect, linearCropOf } from './pipeline';

const mode = bodyExample.modes[0]!;
const whole = { aspect: null, digitalZoom: 1, cropId: null, postScale: 1, squeeze: 1 };

describe('frame pipeline', () => {
  it('delivers the whole read-out where nothing is asked', () => {
    const frame = deliveredFrame(mode, whole);
    expect([frame.widthMm, frame.heightMm]).toEqual([23.5, 15.6]);
    expect(frame.megapixels).toBeCloseTo((6240 * 4144) / 1e6, 9);
    expect(frame.oversampling).toBeCloseTo(6240 / 3840, 9);
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
    expect(frame.widthPx).toBeCloseTo(6240 / crop, 6);
    expect(frame.heightPx).toBeCloseTo(4144 / crop, 6);
    expect(frame.megapixels).toBeCloseTo((6240 * 4144) / crop ** 2 / 1e6, 6);
  });

  it('no crop is none, even beside a crop without a name', () => {
    const unnamed = { ...mode, crops: [{ id: 'null', name: 'x', nominal: 2, measured: null }] };
    expect(linearCropOf(unnamed, null, 1)).toBe(1);
  });

  it('a mode that records what it reads has nothing to oversample', () => {
    expect(deliveredFrame({ ...mode, recordedWidthPx: null }, whole).oversampling).toBeNull();
  });
});
