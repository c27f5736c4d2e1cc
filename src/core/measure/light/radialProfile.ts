/** Light by radius, without any model: medians around the centre, and what they prove. */
import { medianOf } from '../../maths';
import type { Point } from './contour';
import { MOST_CLIPPED, type LightGrid } from './lightGrid';

export interface ProfilePoint {
  radiusMm: number;
  /** Median light against the middle's, the wall's slope taken out. */
  light: number;
  /** Share of the ring that lies in the frame and is not clipped. */
  cells: number;
}

/** Slope of the wall: change of light a mm. */
export interface Slope {
  xPerMm: number;
  yPerMm: number;
}

const RING_CELLS = 1.5;

/** Azimuthal medians of light, the middle being 1, out to the farthest corner of the frame. */
export function radialProfile(grid: LightGrid, centre: Point, wall: Slope): ProfilePoint[] {
  const ringMm = (grid.sensor.widthMm / grid.columns) * RING_CELLS;
  const rings: number[][] = [];
  for (let row = 0; row < grid.rows; row += 1) {
    const y = grid.yMm[row] as number;
    for (let column = 0; column < grid.columns; column += 1) {
      const at = row * grid.columns + column;
      if ((grid.clipped[at] as number) > MOST_CLIPPED) continue;
      const x = grid.xMm[column] as number;
      const [dx, dy] = [x - centre.xMm, y - centre.yMm];
      const ring = Math.floor(Math.sqrt(dx * dx + dy * dy) / ringMm);
      const bright = Math.max(0.05, 1 + wall.xPerMm * x + wall.yPerMm * y);
      (rings[ring] ??= []).push((grid.light[at] as number) / bright);
    }
  }
  const points = rings.flatMap((values, i) =>
    values.length < 3
      ? []
      : [{ radiusMm: (i + 0.5) * ringMm, light: medianOf(values), cells: values.length }],
  );
  const inner = points.slice(0, Math.max(1, Math.round(points.length * 0.12)));
  const middle = medianOf(inner.flatMap((p) => new Array<number>(p.cells).fill(p.light)));
  return middle > 0 ? points.map((p) => ({ ...p, light: p.light / middle })) : [];
}

/** Radius at which the profile falls through a level for good; null where it never does. */
export function profileRadius(profile: readonly ProfilePoint[], level: number): number | null {
  const last = profile.findLastIndex((p) => p.light >= level);
  const high = profile[last];
  const low = profile[last + 1];
  if (!high || !low) return null;
  return (
    high.radiusMm +
    ((low.radiusMm - high.radiusMm) * (high.light - level)) / (high.light - low.light)
  );
}

/**
 * Of the cells that still get half the middle's light, the outermost two of each row: no circle can hold
 * these and leave out one between them.
 */
function outermostBright(grid: LightGrid, wall: Slope, half: number): Point[] {
  const points: Point[] = [];
  for (let row = 0; row < grid.rows; row += 1) {
    const y = grid.yMm[row] as number;
    const isBright = (column: number): boolean => {
      const bright = Math.max(
        0.05,
        1 + wall.xPerMm * (grid.xMm[column] as number) + wall.yPerMm * y,
      );
      return (grid.light[row * grid.columns + column] as number) >= half * bright;
    };
    let [first, last] = [0, grid.columns - 1];
    while (first <= last && !isBright(first)) first += 1;
    while (last > first && !isBright(last)) last -= 1;
    if (first > last) continue;
    for (const column of new Set([first, last]))
      points.push({ xMm: grid.xMm[column] as number, yMm: y });
  }
  return points;
}

const TURNS = 500;

/** Radius of the smallest circle around some points (Badoiu and Clarkson's walk towards the farthest). */
function enclosingRadius(points: readonly Point[]): number {
  let [x, y] = [0, 0];
  let radius = Infinity;
  for (let i = 1; i <= TURNS; i += 1) {
    let farthest = points[0];
    let most = -1;
    for (const p of points) {
      const square = (p.xMm - x) ** 2 + (p.yMm - y) ** 2;
      if (square > most) {
        most = square;
        farthest = p;
      }
    }
    if (!farthest) return 0;
    radius = Math.min(radius, Math.sqrt(most));
    x += (farthest.xMm - x) / (i + 1);
    y += (farthest.yMm - y) / (i + 1);
  }
  return radius;
}

/**
 * A radius the half-light radius must exceed, mm. What rims let through is at least the light against the
 * middle's, so wherever more than half of that still arrives one is inside the half-light circle; and the
 * circle is no smaller than the smallest around all such places, wherever its centre. No model enters but
 * the wall's slope.
 */
export function lowerBoundMm(grid: LightGrid, centre: Point, wall: Slope): number {
  const near = (grid.sensor.widthMm / grid.columns) * 6;
  const middle: number[] = [];
  for (let row = 0; row < grid.rows; row += 1)
    for (let column = 0; column < grid.columns; column += 1) {
      const [x, y] = [grid.xMm[column] as number, grid.yMm[row] as number];
      if ((x - centre.xMm) ** 2 + (y - centre.yMm) ** 2 > near * near) continue;
      const bright = Math.max(0.05, 1 + wall.xPerMm * x + wall.yPerMm * y);
      middle.push((grid.light[row * grid.columns + column] as number) / bright);
    }
  const level = medianOf(middle);
  return level > 0 ? enclosingRadius(outermostBright(grid, wall, level / 2)) : 0;
}
