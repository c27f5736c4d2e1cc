import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Halo } from '../halo';
import { betterVerdict, coverage, judge, spareStopsAt, VERDICT_KINDS } from './coverage';
import { circleCoverage, NO_TRAVEL } from './geometry';

const FULL = { widthMm: 36, heightMm: 24 };

const halo = (R: number, w: number, exitPupilMm: number | null = null): Halo => ({
  rims: [{ side: 'front', edgeRadiusMm: R, softnessMm: w }],
  exitPupilMm,
  coneTangent: 0,
  centre: { xMm: 0, yMm: 0 },
});

describe('verdict', () => {
  it('is Clear when the corners keep their light', () => {
    expect(judge(halo(30, 3), FULL, NO_TRAVEL, 1).kind).toBe('Clear');
  });

  it('is Shaded when the corners are darker than asked for but soft', () => {
    const verdict = judge(halo(22, 6, 40), FULL, NO_TRAVEL, 1);
    expect(verdict.kind).toBe('Shaded');
    expect(verdict.worstCornerTransmission).toBeGreaterThan(1 / 8);
    expect(judge(halo(22, 6, 40), FULL, NO_TRAVEL, 3).kind).toBe('Clear');
  });

  it('is Clipped when a hard edge cuts the corners, however lenient the school', () => {
    expect(judge(halo(20, 0.5), FULL, NO_TRAVEL, 6).kind).toBe('Clipped');
  });

  it('is Keyhole when under 85 % of the frame is lit', () => {
    expect(judge(halo(14, 2), FULL, NO_TRAVEL, 6).kind).toBe('Keyhole');
  });

  it('stopping down hardens a soft corner into a clipped one', () => {
    const open = judge(halo(21, 6), FULL, NO_TRAVEL, 2);
    const closed = judge(halo(21, 6 / 8), FULL, NO_TRAVEL, 2);
    expect(open.kind).toBe('Clear');
    expect(closed.kind).toBe('Clipped');
  });

  it('never gets worse as the halo grows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 0.05, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (R, w, more) => {
          const rank = (r: number) =>
            VERDICT_KINDS.indexOf(judge(halo(r, w, 60), FULL, NO_TRAVEL, 2).kind);
          expect(rank(R + more)).toBeLessThanOrEqual(rank(R));
        },
      ),
    );
  });

  it('never gets better as the stabiliser travels farther', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (R, t) => {
          const still = judge(halo(R, 2), FULL, NO_TRAVEL, 2);
          const moving = judge(halo(R, 2), FULL, { xMm: 0, yMm: 0, discMm: t }, 2);
          expect(VERDICT_KINDS.indexOf(moving.kind)).toBeGreaterThanOrEqual(
            VERDICT_KINDS.indexOf(still.kind),
          );
        },
      ),
    );
  });
});

describe('coverage', () => {
  it('reads four equal corners about a centred halo and unequal ones about an offset one', () => {
    const [tl, tr, br, bl] = coverage(halo(24, 5, 50), FULL, NO_TRAVEL).cornerStops;
    expect([tr, br, bl]).toEqual([tl, tl, tl]);
    const aside: Halo = { ...halo(24, 5, 50), centre: { xMm: 1, yMm: 0.5 } };
    const corners = coverage(aside, FULL, NO_TRAVEL).cornerStops;
    expect(corners[0]!).toBeGreaterThan(corners[2]!);
  });

  it('says how far each circle falls short of the worst corner', () => {
    const { marginMm, radiiMm, worstCornerRadiusMm } = coverage(halo(20, 4), FULL, NO_TRAVEL);
    expect(marginMm.half).toBeCloseTo(radiiMm.half - worstCornerRadiusMm, 12);
    expect(marginMm.half).toBeLessThan(0);
  });

  it('has no number for a corner without light', () => {
    expect(coverage(halo(15, 1), FULL, NO_TRAVEL).cornerStops).toEqual([null, null, null, null]);
  });
});

describe('what is spare and the verdict', () => {
  it('agree on what is Clear, whatever halo, travel and limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 30, noNaN: true }),
        fc.double({ min: 0.1, max: 12, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (R, w, limit, t) => {
          const travel = { xMm: 0, yMm: 0, discMm: t };
          const isClear = judge(halo(R, w, 60), FULL, travel, limit).kind === 'Clear';
          expect(spareStopsAt(halo(R, w, 60), FULL, travel, limit) >= 0).toBe(isClear);
        },
      ),
    );
  });

  it('a hard edge is never Clear, however lenient, and a soft dark one is not Clear for the strict', () => {
    expect(judge(halo(20.5, 0.5), FULL, NO_TRAVEL, 12).kind).not.toBe('Clear');
    expect(judge(halo(20, 8), FULL, NO_TRAVEL, 0.5).kind).not.toBe('Clear');
    expect(judge(halo(20, 8), FULL, NO_TRAVEL, 2).kind).toBe('Clear');
    expect(judge(halo(30, 2), FULL, NO_TRAVEL, 0.5).kind).toBe('Clear');
  });

  it('no light at all is no number and a hard edge', () => {
    const black = judge(halo(14, 0.1), FULL, NO_TRAVEL, 6);
    expect(black).toMatchObject({ worstCornerStops: null, worstCornerTransmission: 0 });
  });

  it('the better of two verdicts is told in their order', () => {
    for (const [i, a] of VERDICT_KINDS.entries())
      for (const [k, b] of VERDICT_KINDS.entries())
        expect(betterVerdict(a, b)).toBe(VERDICT_KINDS[Math.min(i, k)]);
  });
});

describe('figures of coverage', () => {
  it('every margin is its own radius less the worst corner', () => {
    const { radiiMm, marginMm, worstCornerRadiusMm } = coverage(halo(24, 4, 60), FULL, {
      xMm: 0,
      yMm: 0,
      discMm: 1,
    });
    expect(worstCornerRadiusMm).toBeCloseTo(22.633, 3);
    for (const key of ['clear', 'half', 'black', 'minus1', 'minus2'] as const)
      expect(marginMm[key]).toBeCloseTo(radiiMm[key] - worstCornerRadiusMm, 9);
  });

  it('of a circle: share, clean frames in the frame’s own aspect, and scale-up', () => {
    const centre = { xMm: 0.8, yMm: -0.5 };
    const circle = circleCoverage(FULL, centre, 19, NO_TRAVEL);
    expect(circle.areaShare).toBeCloseTo(0.95647, 4);
    expect(circle.cleanFrame.concentric.widthMm).toBeCloseTo(30.049, 3);
    expect(circle.cleanFrame.concentric.heightMm).toBeCloseTo(20.032, 3);
    expect(circle.cleanFrame.free.widthMm).toBeGreaterThan(circle.cleanFrame.concentric.widthMm);
    expect(circle.cleanFrame.free.widthMm / circle.cleanFrame.free.heightMm).toBeCloseTo(1.5, 9);
    expect(circleCoverage(FULL, { xMm: 0, yMm: 0 }, 19, NO_TRAVEL).scaleUp).toBeCloseTo(1.1386, 4);
  });
});
