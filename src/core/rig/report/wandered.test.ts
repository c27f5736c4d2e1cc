import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { evaluate } from './evaluate';
import { wanderAt, wandered, worstStand } from './wandered';

describe('wander', () => {
  it('never leaves the travel, and comes near its edge', () => {
    const disc = { xMm: 0, yMm: 0, discMm: 1.6 };
    const box = { xMm: 1.4, yMm: 1.1, discMm: 0 };
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1e4, noNaN: true }), (seconds) => {
        const d = wanderAt(disc, seconds);
        expect(Math.hypot(d.xMm, d.yMm)).toBeLessThanOrEqual(1.6 + 1e-9);
        const b = wanderAt(box, seconds);
        expect(Math.abs(b.xMm)).toBeLessThanOrEqual(1.4 + 1e-9);
        expect(Math.abs(b.yMm)).toBeLessThanOrEqual(1.1 + 1e-9);
      }),
    );
    const farthest = Math.max(
      ...Array.from({ length: 2000 }, (_, i) => {
        const { xMm, yMm } = wanderAt(disc, i / 20);
        return Math.hypot(xMm, yMm);
      }),
    );
    expect(farthest).toBeGreaterThan(1.55);
  });

  it('no corner on the way is darker than the worst corner over the travel', () => {
    const report = evaluate(demoRig('waders-at-dawn'));
    const { travel } = report.frame;
    for (let t = 0; t < 60; t += 0.37) {
      for (const stops of wandered(report, wanderAt(travel, t)).coverage.cornerStops) {
        expect(stops!).toBeLessThanOrEqual(report.verdict.worstCornerStops! + 1e-6);
      }
    }
  });

  it('carries the halo the other way', () => {
    const report = evaluate(demoRig('waders-at-dawn'));
    expect(wandered(report, { xMm: 1, yMm: -0.5 }).halo.model.centre).toEqual({
      xMm: -1,
      yMm: 0.5,
    });
  });
});

describe('the worst stand of the sensor', () => {
  it.each(['waders-at-dawn', 'wheel-house-wide', 'walk-through'])(
    'on %s darkens a corner as far as the verdict says',
    (id) => {
      const report = evaluate(demoRig(id));
      const worst = wandered(report, worstStand(report)).coverage.cornerStops;
      const darkest = worst.includes(null) ? null : Math.max(...worst.map((v) => v ?? 0));
      const { worstCornerStops } = report.verdict;
      if (worstCornerStops === null) expect(darkest).toBeNull();
      else expect(darkest).toBeCloseTo(worstCornerStops, 6);
    },
  );

  it('stays where it is without travel', () => {
    const { xMm, yMm } = worstStand(evaluate(demoRig('lamplight')));
    expect(Math.hypot(xMm, yMm)).toBe(0);
  });
});
