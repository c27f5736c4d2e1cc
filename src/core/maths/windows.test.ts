import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import '../../../tests/support/seed';
import { gapsBetween, windowsWhere, withinSpan } from './windows';

const places = (from: number, to: number, count: number) =>
  Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);

describe('windows of a figure', () => {
  it('end where it passes nought', () => {
    const [window] = windowsWhere((x) => x * x - 2, places(0, 3, 10));
    expect(window?.from).toBeCloseTo(Math.SQRT2, 5);
    expect(window?.to).toBe(3);
  });

  it('a peak between two places is not missed, nor is a dip', () => {
    const peak = windowsWhere((x) => 0.01 - (x - 0.52) ** 2, places(0, 1, 4));
    expect(peak).toHaveLength(1);
    expect(peak[0]?.from).toBeCloseTo(0.42, 4);
    expect(peak[0]?.to).toBeCloseTo(0.62, 4);
    const dip = windowsWhere((x) => (x - 0.52) ** 2 - 0.01, places(0, 1, 4));
    expect(dip.map((w) => [w.from, w.to].map((v) => v.toFixed(3)))).toEqual([
      ['0.000', '0.420'],
      ['0.620', '1.000'],
    ]);
  });

  it('one place is a window of no width, or none', () => {
    expect(windowsWhere(() => 1, [5])).toEqual([{ from: 5, to: 5 }]);
    expect(windowsWhere(() => -1, [5])).toEqual([]);
  });

  it('are where fine steps say they are, for waves of any phase', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.double({ min: -0.9, max: 0.9, noNaN: true }),
        (phase, pace, lift) => {
          const of = (x: number) => Math.sin(phase + pace * x) + lift;
          const windows = windowsWhere(of, places(0, 6, 24));
          for (const x of places(0, 6, 3000)) {
            if (Math.abs(of(x)) < 1e-3) continue;
            expect(windows.some((w) => w.from <= x && x <= w.to)).toBe(of(x) >= 0);
          }
        },
      ),
    );
  });

  it('leave gaps between them, and are cut to a span', () => {
    const windows = [
      { from: 2, to: 3 },
      { from: 5, to: 6 },
    ];
    expect(gapsBetween(windows, { from: 1, to: 6 })).toEqual([
      { from: 1, to: 2 },
      { from: 3, to: 5 },
    ]);
    expect(gapsBetween([], { from: 1, to: 6 })).toEqual([{ from: 1, to: 6 }]);
    expect(withinSpan(windows, { from: 2.5, to: 5 })).toEqual([
      { from: 2.5, to: 3 },
      { from: 5, to: 5 },
    ]);
  });
});
