import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  anglesOf,
  darknessStops,
  lightAtPlace,
  rectangularRim,
  type Halo,
  type Outline,
} from '../halo';
import { coverage, judge } from './coverage';
import { CORNERS, NO_TRAVEL, type Travel } from './geometry';
import { frameGains } from './lift';
import { outlineCoverage, outlineShiftBudget } from './outlined';
import { worstCornerUnder } from './worstCorner';

const FULL = { widthMm: 36, heightMm: 24 };
const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const rigHalo = fc
  .record({
    a: length(8, 22),
    b: length(6, 18),
    w: length(0.3, 5),
    R: length(12, 26),
    x: length(-4, 4),
    y: length(-4, 4),
    L: length(30, 200),
  })
  .map(({ a, b, w, R, x, y, L }): Halo => ({
    rims: [{ side: 'front', edgeRadiusMm: R, softnessMm: 3 }, rectangularRim('rear', a, b, w)],
    exitPupilMm: L,
    coneTangent: 1 / 8,
    centre: { xMm: x, yMm: y },
  }));
const travels = fc.record<Travel>({ xMm: length(0, 2), yMm: length(0, 2), discMm: length(0, 4) });

/** The darkest any corner gets, asked at many places the travel can bring it to. */
function darkestByHand(halo: Halo, travel: Travel): number {
  let darkest = 0;
  for (const [sx, sy] of CORNERS)
    for (const bx of [-travel.xMm, travel.xMm])
      for (const by of [-travel.yMm, travel.yMm])
        for (let k = 0; k < 48; k += 1) {
          const angle = (k / 48) * 2 * Math.PI;
          const place = {
            xMm: sx * 18 - halo.centre.xMm + bx + travel.discMm * Math.cos(angle),
            yMm: sy * 12 - halo.centre.yMm + by + travel.discMm * Math.sin(angle),
          };
          darkest = Math.max(darkest, darknessStops(lightAtPlace(halo, place).light) ?? 99);
        }
  return darkest;
}

describe('the worst corner under a halo with a rectangular opening', () => {
  it('is as dark as any place the travel brings a corner to', () => {
    fc.assert(
      fc.property(rigHalo, travels, (halo, travel) => {
        const { worstCornerStops } = judge(halo, FULL, travel, 2);
        const byHand = darkestByHand(halo, travel);
        // Two stops more or less in the black count for nothing.
        expect(Math.min(6, worstCornerStops ?? 99)).toBeGreaterThan(Math.min(6, byHand) - 0.35);
        expect(Math.min(6, worstCornerStops ?? 99)).toBeLessThan(Math.min(6, byHand) + 0.05);
      }),
      { numRuns: 80 },
    );
  });

  it('has the light of its own place, as the corners at rest have', () => {
    fc.assert(
      fc.property(rigHalo, (halo) => {
        const { cornerStops } = coverage(halo, FULL, NO_TRAVEL);
        const byHand = CORNERS.map(([sx, sy]) =>
          darknessStops(
            lightAtPlace(halo, {
              xMm: sx * 18 - halo.centre.xMm,
              yMm: sy * 12 - halo.centre.yMm,
            }).light,
          ),
        );
        expect(cornerStops).toEqual(byHand);
        const worst = worstCornerUnder(halo, FULL, NO_TRAVEL);
        const { corner } = frameGains(halo, FULL);
        const stops = judge(halo, FULL, NO_TRAVEL, 2).worstCornerStops;
        if (corner !== null) expect(Math.log2(corner)).toBeCloseTo(stops ?? 0, 9);
        expect(worst.cornerMm).toBeCloseTo(
          Math.hypot(18 + Math.abs(halo.centre.xMm), 12 + Math.abs(halo.centre.yMm)),
          9,
        );
      }),
      { numRuns: 40 },
    );
  });
});

/** The outline of a plain rectangle of half sides a and b, with its corner among the ways as the halo has it. */
function rectangle(a: number, b: number): Outline {
  const rim = rectangularRim('rear', a, b, 0.001);
  const angles = anglesOf({ rims: [rim] });
  const along = (angle: number) =>
    Math.min(a / Math.max(1e-12, Math.cos(angle)), b / Math.max(1e-12, Math.sin(angle)));
  return { angles, radiiMm: angles.map(along) };
}

describe('what lies within an outline', () => {
  const centred = { xMm: 0, yMm: 0 };

  it('is a rectangle’s share of the frame, by hand', () => {
    const { areaShare, cleanFrame } = outlineCoverage(
      FULL,
      centred,
      rectangle(15, 12.5),
      NO_TRAVEL,
    );
    // 30 of 36 mm across, all of it down.
    expect(areaShare).toBeCloseTo(30 / 36, 2);
    expect(cleanFrame.concentric.widthMm).toBeCloseTo(30, 1);
    expect(cleanFrame.concentric.heightMm).toBeCloseTo(20, 1);
  });

  it('loses what the travel takes', () => {
    const travel = { xMm: 2, yMm: 1, discMm: 0 };
    const { areaShare, cleanFrame } = outlineCoverage(FULL, centred, rectangle(15, 9), travel);
    expect(areaShare).toBeCloseTo((26 * 16) / (36 * 24), 2);
    expect(cleanFrame.concentric.heightMm).toBeCloseTo(16, 3);
  });

  it('follows a halo off the middle when the frame is free to', () => {
    const { cleanFrame } = outlineCoverage(
      FULL,
      { xMm: 3, yMm: 0 },
      rectangle(12, 12),
      NO_TRAVEL,
      1,
    );
    expect(cleanFrame.free.xMm).toBeCloseTo(3, 1);
    expect(cleanFrame.free.widthMm).toBeGreaterThan(23.4);
    expect(cleanFrame.concentric.widthMm).toBeCloseTo(18, 0);
  });

  it('leaves so much to shift on each side', () => {
    const { leftMm, rightMm, upMm } = outlineShiftBudget(
      FULL,
      { xMm: 1, yMm: 0 },
      rectangle(22, 16),
      NO_TRAVEL,
    );
    expect(leftMm).toBeCloseTo(22 - 18 - 1, 1);
    expect(rightMm).toBeCloseTo(22 - 18 + 1, 1);
    expect(upMm).toBeCloseTo(16 - 12, 1);
  });
});
