import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apertureSeries, apertureValue, nearestMarked, printedNames, printsAs } from './apertures';

describe('aperture series', () => {
  it('runs from f/0.5 to f/128 in every step without a gap', () => {
    for (const [step, perStop] of [
      ['full', 1],
      ['half', 2],
      ['third', 3],
    ] as const) {
      const series = apertureSeries(step);
      expect(series).toHaveLength(16 * perStop + 1);
      expect(series[0]?.exact).toBeCloseTo(0.5, 12);
      expect(series.at(-1)?.exact).toBeCloseTo(128, 9);
      expect(series.every((m) => m.marks.every((mark) => Number(mark) > 0))).toBe(true);
    }
  });

  it('marks every aperture within a sixth of a stop of its exact value', () => {
    for (const step of ['full', 'half', 'third'] as const) {
      for (const { exact, marks } of apertureSeries(step)) {
        for (const mark of marks) {
          expect(Math.abs(2 * Math.log2(Number(mark) / exact))).toBeLessThan(1 / 6);
        }
      }
    }
  });

  it('prints f/1.278 as f/1.2 on some cameras and f/1.3 on others', () => {
    expect(printsAs(1.278)).toEqual(['f/1.2', 'f/1.3']);
  });

  it('prints 5.6 as 5.6, and what lies beyond the series as its end', () => {
    expect(printsAs(5.6)).toEqual(['f/5.6']);
    expect(printsAs(0.3)).toEqual(['f/0.5']);
    expect(printsAs(400)).toEqual(['f/128']);
  });

  it('prints f/1.7 by whole, half and third stops as 2, 1.7 and 1.8', () => {
    expect(printedNames(1.69)).toEqual({ full: ['f/2'], half: ['f/1.7'], third: ['f/1.8'] });
  });

  it('finds a nearest mark no farther than half a step away', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 128, noNaN: true }), (n) => {
        const off = Math.abs(apertureValue(n) - apertureValue(nearestMarked(n, 'third').exact));
        expect(off).toBeLessThanOrEqual(1 / 6 + 1e-9);
        expect(2 ** (apertureValue(n) / 2)).toBeCloseTo(n, 9);
      }),
    );
  });
});
