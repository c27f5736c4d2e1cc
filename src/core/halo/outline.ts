/** A line about a halo's middle: a circle, or through a distance along each of some ways. All quarters are alike. */
import type { Offset } from '../optics';

export interface Outline {
  /** Ways within a quarter, from across (0) to down (a right angle), radians; one alone stands for all: a circle. */
  angles: readonly number[];
  /** The distance along each, mm. */
  radiiMm: readonly number[];
}

export const circleOf = (radiusMm: number): Outline => ({ angles: [0], radiiMm: [radiusMm] });

/** The radius of an outline that is a circle; null where it is none. */
export const circleRadius = ({ radiiMm }: Outline): number | null =>
  radiiMm.length === 1 ? (radiiMm[0] ?? null) : null;

/** Where a place lies among ways: after which of them, and by how much of an angle, radians. */
export function amongWays(
  angles: readonly number[],
  { xMm, yMm }: Offset,
): { after: number; past: number; apart: number } {
  const angle = Math.atan2(Math.abs(yMm), Math.abs(xMm));
  let after = 0;
  while (after < angles.length - 2 && angle > (angles[after + 1] ?? 0)) after += 1;
  const from = angles[after] ?? 0;
  return { after, past: angle - from, apart: (angles[after + 1] ?? from) - from };
}

/** How far an outline reaches along the way to a place so far from the middle, mm. */
export function outlineToward(outline: Outline, place: Offset): number {
  const circle = circleRadius(outline);
  if (circle !== null) return circle;
  const { after, past, apart } = amongWays(outline.angles, place);
  const [from = 0, to = 0] = [outline.radiiMm[after], outline.radiiMm[after + 1]];
  // Straight between two ways, as the sides of a rectangle are.
  const across = from * Math.sin(past) + to * Math.sin(apart - past);
  return across > 0 ? (from * to * Math.sin(apart)) / across : 0;
}

/** The outline's corners about the middle, mm, the way round; null of a circle. */
export function outlinePoints(outline: Outline): Offset[] | null {
  if (circleRadius(outline) !== null) return null;
  const quarter = outline.angles.map((angle, i): Offset => {
    const reach = outline.radiiMm[i] ?? 0;
    return { xMm: reach * Math.cos(angle), yMm: reach * Math.sin(angle) };
  });
  const back = quarter.slice(1, -1).toReversed();
  const half = [...quarter, ...back.map((p) => ({ ...p, xMm: -p.xMm }))];
  const left = { xMm: -(quarter[0]?.xMm ?? 0), yMm: 0 };
  return [
    ...half,
    left,
    ...half
      .slice(1)
      .toReversed()
      .map((p) => ({ ...p, yMm: -p.yMm })),
  ];
}
