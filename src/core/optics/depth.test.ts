/** Depth of field against the textbook’s other forms of the same thin-lens formulas. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { depthOfField, depthOnThreeBases, hyperfocalM } from './depth';

/** 50 mm, f/2, circle 1/32 mm: f²/(N c) is 40 m to the last bit. */
const LENS = [50, 2, 0.03125] as const;

describe('depth of field', () => {
  it('focused at the hyperfocal distance runs from half of it to infinity (its definition)', () => {
    const hyperfocal = hyperfocalM(...LENS);
    expect(hyperfocal).toBeCloseTo(40.05, 12);
    expect(depthOfField(...LENS, hyperfocal)).toEqual({
      nearM: expect.closeTo(hyperfocal / 2, 9) as number,
      farM: null,
      depthM: null,
    });
    expect(depthOfField(...LENS, hyperfocal - 0.001).farM).toBeGreaterThan(1000);
  });

  it('focused at infinity begins at f²/(N c) and has no end', () => {
    expect(depthOfField(...LENS, null)).toEqual({ nearM: 40, farM: null, depthM: null });
  });

  it('is as deep as the closed form 2 N c f² u (u - f) / (f⁴ - N² c² (u - f)²)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 800, noNaN: true }),
        fc.double({ min: 0.95, max: 45, noNaN: true }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (f, n, share) => {
          const c = 0.03;
          const u = f * 1.2 + (hyperfocalM(f, n, c) * 1000 - f * 1.2) * share;
          fc.pre(u > f * 1.05 && n * c * (u - f) < f ** 2 * 0.95);
          const { nearM, farM, depthM } = depthOfField(f, n, c, u / 1000);
          const spread = n * c * (u - f);
          const closed = (2 * spread * f ** 2 * u) / (f ** 4 - spread ** 2) / 1000;
          expect(Math.abs((depthM ?? Number.NaN) / closed - 1)).toBeLessThan(1e-9);
          expect(nearM).toBeLessThan(u / 1000);
          expect(farM ?? 0).toBeGreaterThan(u / 1000);
        },
      ),
    );
  });

  it('of a focus inside the focal length stays a hair in front of the lens', () => {
    const { nearM, farM } = depthOfField(...LENS, 0.01);
    expect(nearM).toBeGreaterThan(0.05);
    expect(farM).toBeLessThan(0.051);
  });
});

describe('depth on three bases', () => {
  const ratiosAt = (m: number, focusM: number) =>
    depthOnThreeBases(LENS[0], LENS[1], m, LENS[2], focusM).map((b) => b.ratio);

  it('is the same for a reducer as for the larger format, at the same place (equivalence)', () => {
    for (const m of [0.64, 0.71, 1.4, 2]) {
      const [, , larger] = depthOnThreeBases(50, 2.8, m, 0.02, 3);
      // The thin lens leaves the little that focusing close adds to the focal length.
      expect(Math.abs((larger?.ratio ?? Number.NaN) - 1)).toBeLessThan(0.03);
    }
  });

  it('has no ratio where either is endless', () => {
    // 40.04 m lies beyond the hyperfocal distance of the 35 mm behind the reducer, before that of the bare 50.
    expect(ratiosAt(0.7, 40.04)[0]).toBeNull();
    // 40.06 m the other way round: the bare lens is endless, the 100 mm is not.
    expect(ratiosAt(2, 40.06)[0]).toBeNull();
    expect(ratiosAt(0.7, 45)).toEqual([null, null, null]);
    expect(ratiosAt(0.7, 5).every((r) => r !== null && r > 0)).toBe(true);
  });
});
