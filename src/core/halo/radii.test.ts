import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { whereFalling } from '../maths';
import {
  acceptedRadius,
  BLACK_TRANSMISSION,
  CLEAR_TRANSMISSION,
  HALF_TRANSMISSION,
  haloRadii,
  HARD_TRANSMISSION,
  radiusAtTransmission,
} from './radii';
import type { Rim } from './rim';
import { lightAt, transmissionAt, type Halo } from './rims';

const oneRim = (R: number, w: number, exitPupilMm: number | null = null): Halo => ({
  rims: [{ side: 'front', edgeRadiusMm: R, softnessMm: w }],
  exitPupilMm,
  coneTangent: 0,
  centre: { xMm: 0, yMm: 0 },
});

describe('named radii', () => {
  it('follow the one-rim rules of thumb to 0.02 w while w is at most R/3', () => {
    for (const [R, w] of [
      [20, 4],
      [20, 6.6],
      [15, 2],
      [30, 9],
    ] as const) {
      const radii = haloRadii(oneRim(R, w));
      expect(Math.abs(radii.clear - (R - 0.77 * w))).toBeLessThan(0.021 * w);
      expect(Math.abs(radii.half - (R - (w * w) / (6 * R)))).toBeLessThan(0.021 * w);
      expect(Math.abs(radii.black - (R + 0.93 * w))).toBeLessThan(0.021 * w);
    }
  });

  it('stand in order for any halo', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.option(fc.double({ min: 20, max: 300, noNaN: true }), { nil: null }),
        (R, share, pupil) => {
          const r = haloRadii(oneRim(R, share * R, pupil));
          expect(r.clear).toBeLessThanOrEqual(r.half + 1e-3);
          expect(r.half).toBeLessThanOrEqual(r.black + 1e-3);
          expect(r.minus1).toBeLessThanOrEqual(r.half + 1e-3);
          expect(r.minus1).toBeLessThanOrEqual(r.minus2 + 1e-3);
        },
      ),
    );
  });

  it('put the level where they say', () => {
    const halo = oneRim(20, 5);
    expect(transmissionAt(halo.rims, haloRadii(halo).half)).toBeCloseTo(0.5, 4);
  });
});

describe('whereFalling', () => {
  it('answers the nearer end where the level is not passed', () => {
    expect(whereFalling(() => 0, 0.5, 3, 9)).toBe(3);
    expect(whereFalling(() => 1, 0.5, 3, 9)).toBe(9);
  });

  it('finds steep and shallow crossings', () => {
    expect(whereFalling((r) => (r < 7 ? 1 : 0), 0.5, 0, 10)).toBeCloseTo(7, 3);
    expect(whereFalling((r) => 1 - r / 10, 0.25, 0, 10)).toBeCloseTo(7.5, 3);
  });
});

describe('the radius at a transmission', () => {
  const rims: Rim[] = [{ side: 'front', edgeRadiusMm: 20, softnessMm: 4 }];

  it('is where the rims let that much through', () => {
    // Check values of one rim R 20, w 4: T 0.78957 at 18, 0.47876 at 20, 0.18266 at 22.
    expect(radiusAtTransmission(rims, 0.78957)).toBeCloseTo(18, 2);
    expect(radiusAtTransmission(rims, 0.47876)).toBeCloseTo(20, 2);
    expect(radiusAtTransmission(rims, 0.18266)).toBeCloseTo(22, 2);
  });

  it('is the same the named radii have', () => {
    const halo: Halo = { rims, exitPupilMm: null, coneTangent: 0, centre: { xMm: 0, yMm: 0 } };
    const radii = haloRadii(halo);
    expect(radiusAtTransmission(rims, HALF_TRANSMISSION)).toBeCloseTo(radii.half, 2);
    expect(radiusAtTransmission(rims, CLEAR_TRANSMISSION)).toBeCloseTo(radii.clear, 2);
    expect(radiusAtTransmission(rims, BLACK_TRANSMISSION)).toBeCloseTo(radii.black, 2);
    // Without falloff one stop down is half the light through the rims, and two a quarter.
    expect(radii.minus1).toBeCloseTo(radii.half, 2);
    expect(radii.minus2).toBeCloseTo(radiusAtTransmission(rims, 0.25), 2);
  });
});

describe('the accepted radius', () => {
  const halo = (softnessMm: number, exitPupilMm: number | null = null): Halo =>
    oneRim(20, softnessMm, exitPupilMm);

  it('is where the light is down by what is accepted, rims and natural falloff together', () => {
    for (const limit of [1, 2]) {
      const r = acceptedRadius(halo(6, 60), limit);
      expect(-Math.log2(lightAt(halo(6, 60), r).light)).toBeCloseTo(limit, 2);
    }
  });

  it('ends where the rims leave an eighth, however much dark is accepted: a hard edge is never fine', () => {
    expect(HARD_TRANSMISSION).toBe(0.125);
    const r = acceptedRadius(halo(4), 9);
    expect(transmissionAt(halo(4).rims, r)).toBeCloseTo(HARD_TRANSMISSION, 2);
    expect(acceptedRadius(halo(4), 3)).toBeCloseTo(r, 2);
    expect(acceptedRadius(halo(4), 2)).toBeLessThan(r);
  });
});
