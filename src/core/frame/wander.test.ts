import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Halo } from '../halo';
import { NO_TRAVEL, worstCornerRadius, type Travel } from './geometry';
import { flickerStops, shiftBudget } from './wander';

const FULL = { widthMm: 36, heightMm: 24 };
const disc = (xMm: number): Travel => ({ xMm: 0, yMm: 0, discMm: xMm });
const box = (xMm: number, yMm: number): Travel => ({ xMm, yMm, discMm: 0 });

/** Only natural falloff: (1 + r²/L²)^-2, so that each distance has its own exact darkness. */
const falling = (xMm = 0, yMm = 0, L = 40): Halo => ({
  rims: [{ side: 'front', edgeRadiusMm: 300, softnessMm: 1 }],
  exitPupilMm: L,
  coneTangent: 0,
  centre: { xMm, yMm },
});
const dark = (r: number, L = 40) => 2 * Math.log2(1 + (r / L) ** 2);

describe('corner flicker', () => {
  it('is nothing while nothing moves', () => {
    expect(flickerStops(falling(), FULL, NO_TRAVEL)).toBe(0);
    expect(flickerStops(falling(), FULL, box(0, 0))).toBe(0);
    expect(flickerStops(falling(), FULL, box(0, 1))).toBeGreaterThan(0);
  });

  it('within a disc runs from the corner’s radius less the travel to it and the travel', () => {
    const r = Math.hypot(18, 12);
    expect(flickerStops(falling(), FULL, disc(2))).toBeCloseTo(dark(r + 2) - dark(r - 2), 9);
    expect(flickerStops(falling(), FULL, disc(30))).toBeCloseTo(dark(r + 30), 9);
  });

  it('within a box each side counts for itself, not below the middle', () => {
    const [near, far] = [Math.hypot(15, 11), Math.hypot(21, 13)];
    expect(flickerStops(falling(), FULL, box(3, 1))).toBeCloseTo(dark(far) - dark(near), 9);
    expect(flickerStops(falling(), FULL, box(20, 1))).toBeCloseTo(
      dark(Math.hypot(38, 13)) - dark(11),
      9,
    );
    expect(flickerStops(falling(), FULL, box(3, 15))).toBeCloseTo(
      dark(Math.hypot(21, 27)) - dark(15),
      9,
    );
  });

  it('about a halo off the middle is that of the corner where it is most', () => {
    const reach = [-1, 1].flatMap((sx) =>
      [-1, 1].map((sy) => Math.hypot(sx * 18 - 3, sy * 12 + 5)),
    );
    const most = Math.max(...reach.map((r) => dark(r + 2) - dark(r - 2)));
    expect(flickerStops(falling(3, -5), FULL, disc(2))).toBeCloseTo(most, 9);
    expect(flickerStops(falling(0, -5), FULL, disc(2))).toBeGreaterThan(
      flickerStops(falling(), FULL, disc(2))!,
    );
    expect(flickerStops(falling(3, 0), FULL, disc(2))).toBeGreaterThan(
      flickerStops(falling(), FULL, disc(2))!,
    );
  });

  it('has no number where a corner goes wholly black and back, and none to tell where it stays black', () => {
    const hard = (edge: number): Halo => ({
      ...falling(),
      rims: [{ side: 'front', edgeRadiusMm: edge, softnessMm: 0.1 }],
    });
    expect(flickerStops(hard(21.6), FULL, disc(1))).toBeNull();
    expect(flickerStops(hard(10), FULL, disc(1))).toBe(0);
  });
});

describe('the shift that is left', () => {
  it('from the middle is √(R² − half²) less the other half, each way', () => {
    const { leftMm, rightMm, upMm, downMm } = shiftBudget(FULL, { xMm: 0, yMm: 0 }, 25, NO_TRAVEL);
    expect(leftMm).toBeCloseTo(Math.sqrt(25 ** 2 - 12 ** 2) - 18, 9);
    expect(rightMm).toBe(leftMm);
    expect(upMm).toBeCloseTo(Math.sqrt(25 ** 2 - 18 ** 2) - 12, 9);
    expect(downMm).toBe(upMm);
  });

  it('a halo off to the right leaves more to the right; one off down more down', () => {
    const off = shiftBudget(FULL, { xMm: 2, yMm: 1 }, 27, NO_TRAVEL);
    expect(off.rightMm - off.leftMm).toBeCloseTo(4, 9);
    expect(off.downMm - off.upMm).toBeCloseTo(2, 9);
    expect(off.leftMm).toBeCloseTo(Math.sqrt(27 ** 2 - 13 ** 2) - 18 - 2, 9);
    expect(off.upMm).toBeCloseTo(Math.sqrt(27 ** 2 - 20 ** 2) - 12 - 1, 9);
  });

  it('counts a disc of travel off the circle and a box onto the frame', () => {
    const at = (travel: Travel) => shiftBudget(FULL, { xMm: 0, yMm: 0 }, 27, travel);
    expect(at(disc(2)).leftMm).toBeCloseTo(Math.sqrt(25 ** 2 - 12 ** 2) - 18, 9);
    expect(at(box(2, 1)).leftMm).toBeCloseTo(Math.sqrt(27 ** 2 - 13 ** 2) - 20, 9);
    expect(at(box(2, 1)).upMm).toBeCloseTo(Math.sqrt(27 ** 2 - 20 ** 2) - 13, 9);
  });

  it('where no shift helps it is the frame’s half-size below nothing', () => {
    const small = shiftBudget(FULL, { xMm: 1, yMm: 0 }, 10, NO_TRAVEL);
    expect(small).toEqual({ leftMm: -19, rightMm: -17, upMm: -12, downMm: -12 });
    expect(shiftBudget(FULL, { xMm: 0, yMm: 0 }, 3, disc(30)).leftMm).toBe(-18);
    expect(shiftBudget(FULL, { xMm: 0, yMm: 0 }, 12, NO_TRAVEL).leftMm).toBe(-18);
  });

  it('used up, brings a corner just to the circle', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: 27, max: 60, noNaN: true }),
        fc.constantFrom(NO_TRAVEL, disc(1.5), box(1, 2)),
        (xMm, yMm, R, travel) => {
          const { leftMm, rightMm, upMm, downMm } = shiftBudget(FULL, { xMm, yMm }, R, travel);
          const worst = (dx: number, dy: number) =>
            worstCornerRadius(FULL, { xMm: xMm + dx, yMm: yMm + dy }, travel);
          if (leftMm > 0 && leftMm + xMm > 0) expect(worst(leftMm, 0)).toBeCloseTo(R, 6);
          if (rightMm > 0 && rightMm - xMm > 0) expect(worst(-rightMm, 0)).toBeCloseTo(R, 6);
          if (upMm > 0 && upMm + yMm > 0) expect(worst(0, upMm)).toBeCloseTo(R, 6);
          if (downMm > 0 && downMm - yMm > 0) expect(worst(0, -downMm)).toBeCloseTo(R, 6);
        },
      ),
    );
  });
});
