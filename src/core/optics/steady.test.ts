import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { handHeldSeconds, nearestMenuFocalMm, sharpShare } from './steady';

describe('holding by hand', () => {
  it('keeps to one over the focal length as 36x24 has it (common practice, no source)', () => {
    expect(handHeldSeconds(50, 1)).toBeCloseTo(1 / 50, 9);
    expect(handHeldSeconds(50, 1.5)).toBeCloseTo(1 / 75, 9);
    // Three stops of stabiliser: eight times as long.
    expect(handHeldSeconds(100, 1, 3)).toBeCloseTo(8 / 100, 9);
  });

  it('finds the nearest entry of a menu in ratio', () => {
    expect(nearestMenuFocalMm(56.8, [50, 60, 70])).toBe(60);
    expect(nearestMenuFocalMm(70, [50, 100])).toBe(50);
    expect(nearestMenuFocalMm(70, [])).toBeNull();
  });

  it('three of four are sharp at the time of the rule, and fewer the longer it is', () => {
    expect(sharpShare(1 / 50, 1 / 50)).toBeCloseTo(0.75, 9);
    // Rayleigh: the share beyond a length is the share beyond twice that length to the power of a quarter.
    expect(1 - sharpShare(2 / 50, 1 / 50)).toBeCloseTo(0.25 ** 0.25, 9);
    fc.assert(
      fc.property(
        fc.double({ min: 1e-4, max: 2, noNaN: true }),
        fc.double({ min: 1e-4, max: 2, noNaN: true }),
        (seconds, rule) => {
          const share = sharpShare(seconds, rule);
          expect(share).toBeGreaterThanOrEqual(0);
          expect(share).toBeLessThanOrEqual(1);
          expect(sharpShare(2 * seconds, rule)).toBeLessThanOrEqual(share);
        },
      ),
    );
  });

  it('agrees with shakes drawn at random', () => {
    // Lengths of shakes drawn by Box and Muller; the limit is where three of four stay below it at the rule's time.
    const draw = (i: number) => Math.sqrt(-2 * Math.log((i + 0.5) / 20_000));
    const shakes = Array.from({ length: 20_000 }, (_, i) => draw(i));
    const limit = shakes.toSorted((a, b) => a - b)[15_000] ?? 0;
    const sharp = (times: number) => shakes.filter((s) => s * times < limit).length / 20_000;
    for (const times of [0.5, 1.5, 2, 3]) expect(sharpShare(times, 1)).toBeCloseTo(sharp(times), 3);
  });
});
