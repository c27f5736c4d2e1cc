import { describe, expect, it } from 'vitest';
import { converterLoss, diffractionHalf, nyquist, systemResolution } from './detail';

describe('resolution', () => {
  it('of diffraction alone leaves half the contrast: 2/π (acos ν - ν √(1 - ν²)) is 0.5 (diffraction MTF of a round pupil)', () => {
    const cutOff = 1 / (550e-6 * 5.6);
    const share = diffractionHalf(5.6) / cutOff;
    const contrast = (2 / Math.PI) * (Math.acos(share) - share * Math.sqrt(1 - share ** 2));
    expect(contrast).toBeCloseTo(0.5, 4);
    expect(diffractionHalf(5.6, 275e-6)).toBeCloseTo(2 * diffractionHalf(5.6), 9);
  });

  it('through a 1.4x converter is the lens spread 1.4 times and a twentieth less, in quadrature with the rest', () => {
    const found = systemResolution({
      lensResolution: 75,
      factor: 1.4,
      fNumber: 5.6,
      pitchMm: 0.006,
    });
    expect(found.lens).toBeCloseTo((75 / 1.4) * 0.95, 9);
    expect(found.sensor).toBeCloseTo(0.8 / 0.012, 9);
    expect(1 / found.system ** 2).toBeCloseTo(
      1 / found.lens ** 2 + 1 / found.diffraction ** 2 + 1 / found.sensor ** 2,
      12,
    );
    expect(found.system).toBeLessThan(Math.min(found.lens, found.diffraction, found.sensor));
  });

  it('is concentrated by a reducer, which is taken to lose nothing', () => {
    const through = (factor: number) =>
      systemResolution({ lensResolution: 60, factor, fNumber: 4, pitchMm: 0.004 }).lens;
    expect(through(0.71)).toBeCloseTo(60 / 0.71, 9);
    expect(through(1)).toBe(60);
    expect(converterLoss(2)).toBeCloseTo(0.103, 3);
    expect(converterLoss(32)).toBe(0.2);
  });

  it('of a sensor ends at half a line pair per pixel (sampling theorem)', () => {
    expect(nyquist(0.005)).toBe(100);
  });
});
