/** Source: ISO 517 aperture markings (from memory); half stops as cameras print them (common practice, no source). */
import { describe, expect, it } from 'vitest';
import { apertureSeries, nearestMarked } from '@/core/optics';

const marks = (step: 'full' | 'half' | 'third') =>
  apertureSeries(step).map((m) => Number(m.marks[0]));

describe('ISO 517 (from memory)', () => {
  it('full stops are marked 0.5 to 128', () => {
    expect(marks('full')).toEqual([
      0.5, 0.7, 1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32, 45, 64, 90, 128,
    ]);
  });

  it('third stops from f/1 to f/32 are marked as on cameras, with their exact values', () => {
    const expected: [number, number][] = [
      [1, 1],
      [1.1, 1.1225],
      [1.2, 1.2599],
      [1.4, 1.4142],
      [1.6, 1.5874],
      [1.8, 1.7818],
      [2, 2],
      [2.2, 2.2449],
      [2.5, 2.5198],
      [2.8, 2.8284],
      [3.2, 3.1748],
      [3.5, 3.5636],
      [4, 4],
      [4.5, 4.4898],
      [5, 5.0397],
      [5.6, 5.6569],
      [6.3, 6.3496],
      [7.1, 7.1272],
      [8, 8],
      [9, 8.9797],
      [10, 10.0794],
      [11, 11.3137],
      [13, 12.6992],
      [14, 14.2544],
      [16, 16],
      [18, 17.9594],
      [20, 20.1587],
      [22, 22.6274],
      [25, 25.3984],
      [29, 28.5088],
      [32, 32],
    ];
    const series = apertureSeries('third').filter((m) => m.exact > 0.99 && m.exact < 32.5);
    expect(series).toHaveLength(expected.length);
    expected.forEach(([mark, exact], i) => {
      expect(Number(series[i]!.marks[0])).toBe(mark);
      expect(series[i]!.exact).toBeCloseTo(exact, 3.5);
    });
  });

  it('half stops are marked 1.2, 1.7, 2.4, 3.4, 4.8, 6.7, 9.5, 13, 19, 27', () => {
    const halves = apertureSeries('half')
      .filter((_, i) => i % 2 === 1)
      .map((m) => Number(m.marks[0]));
    expect(halves.slice(2, 12)).toEqual([1.2, 1.7, 2.4, 3.4, 4.8, 6.7, 9.5, 13, 19, 27]);
  });

  it('marks of 1.4, 5.6 and 11 are off by -0.029, -0.029 and -0.081 stop', () => {
    const off = (mark: number) => 2 * Math.log2(mark / nearestMarked(mark, 'full').exact);
    expect(off(1.4)).toBeCloseTo(-0.0291, 4);
    expect(off(5.6)).toBeCloseTo(-0.0291, 4);
    expect(off(11)).toBeCloseTo(-0.0811, 4);
  });
});
