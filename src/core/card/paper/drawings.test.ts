/** The engraved arc of a card, by the geometry of a circle through three points. */
import { describe, expect, it } from 'vitest';
import type { CardWindow } from '../../card';
import { windowItems, windowMarks } from './drawings';
import type { PathItem } from './paper';

const PLACE = { x: 20, y: 40, width: 160, height: 30 };
const zoom = (more: Partial<CardWindow> = {}): CardWindow => ({
  span: { from: 20, to: 80 },
  windows: [{ from: 40, to: 80 }],
  focalMm: 20,
  ...more,
});
const paths = (window: CardWindow) => windowItems(window, PLACE) as PathItem[];
/** The places a path goes through, mm. */
const places = ({ d }: PathItem): [number, number][] =>
  [...d.matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
const [scale, band, pointer] = paths(zoom()).map(places) as [
  [number, number][],
  [number, number][],
  [number, number][],
];

describe('the arc of a zoom', () => {
  it('spans the whole width, its ends level, its middle 0.3 of the height above them', () => {
    const [first, last] = [scale[0]!, scale.at(-1)!];
    const middle = scale[(scale.length - 1) / 2]!;
    expect(first[0]).toBeCloseTo(20, 1);
    expect(last[0]).toBeCloseTo(180, 1);
    expect(first[1]).toBeCloseTo(last[1], 1);
    expect(middle[0]).toBeCloseTo(100, 1);
    expect(first[1] - middle[1]).toBeCloseTo(9, 1);
  });

  it('is a circle: every place of it as far from one middle', () => {
    // Through ends 160 apart and a rise of 9: r = 160²/(8·9) + 9/2 = 360.06.
    const top = scale[(scale.length - 1) / 2]![1];
    for (const [x, y] of scale)
      expect(Math.hypot(x - 100, y - (top + 360.06))).toBeCloseTo(360.06, 0);
  });

  it('is logarithmic: 40 of 20 to 80 stands in its middle, where the heavy band begins', () => {
    expect(band[0]![0]).toBeCloseTo(100, 1);
    expect(band.at(-1)![0]).toBeCloseTo(180, 1);
  });

  it('has a pointer above the mark in use, a triangle that stands on its tip', () => {
    const [tip, left, right] = pointer;
    expect(pointer).toHaveLength(3);
    expect(tip![0]).toBeLessThan(21);
    expect(tip![1]).toBeLessThan(scale[0]![1]);
    expect(left![0]).toBeLessThan(tip![0]);
    expect(right![0] - tip![0]).toBeCloseTo(tip![0] - left![0], 1);
    expect(left![1]).toBeCloseTo(right![1], 1);
    expect(left![1]).toBeLessThan(tip![1]);
    // Wider than half its height and no wider than twice.
    const [wide, high] = [right![0] - left![0], tip![1] - left![1]];
    expect(wide / high).toBeGreaterThan(0.5);
    expect(wide / high).toBeLessThan(2);
    expect(high).toBeLessThan(PLACE.height / 2);
    const [tipAt80] = places(paths(zoom({ focalMm: 80 })).at(-1)!);
    expect(tipAt80![0]).toBeGreaterThan(179);
  });

  it('is marked at its ends and at the ends of windows, under the arc, and no two run together', () => {
    const marks = windowMarks(
      zoom({
        windows: [
          { from: 40, to: 60 },
          { from: 61, to: 80 },
        ],
      }),
      PLACE,
    );
    expect(marks.map((m) => m.focalMm)).toEqual([20, 80, 40, 60]);
    const xs = marks.map((m) => m.x).toSorted((a, b) => a - b);
    for (const [i, x] of xs.slice(1).entries()) expect(x - xs[i]!).toBeGreaterThan(14);
    expect(marks[0]!.y).toBeGreaterThan(scale[0]![1]);
    expect(marks[2]!.x).toBeCloseTo(100, 0);
  });
});
