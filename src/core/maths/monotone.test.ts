import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pchip } from './monotone';

describe('monotone interpolation', () => {
  it('goes through its points and holds the ends', () => {
    const curve = pchip([1, 2, 4], [10, 12, 11]);
    expect([1, 2, 4].map(curve)).toEqual([10, 12, 11]);
    expect(curve(0)).toBe(10);
    expect(curve(9)).toBe(11);
    expect(pchip([3], [7])(100)).toBe(7);
  });

  it('is a straight line between two points', () => {
    expect(pchip([0, 2], [0, 4])(0.5)).toBeCloseTo(1, 12);
  });

  it('never leaves the range of its two neighbours', () => {
    const knots = fc.array(
      fc.tuple(
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
      ),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(knots, fc.double({ min: 0, max: 1, noNaN: true }), (steps, share) => {
        let x = 0;
        const xs = steps.map(([dx]) => (x += dx));
        const ys = steps.map(([, y]) => y);
        const curve = pchip(xs, ys);
        for (let i = 0; i + 1 < xs.length; i += 1) {
          const value = curve(xs[i]! + share * (xs[i + 1]! - xs[i]!));
          expect(value).toBeGreaterThanOrEqual(Math.min(ys[i]!, ys[i + 1]!) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(ys[i]!, ys[i + 1]!) + 1e-9);
        }
      }),
    );
  });

  it('refuses to draw a curve through nothing', () => {
    expect(() => pchip([], [])).toThrow(RangeError);
  });
});
