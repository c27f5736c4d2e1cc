/** Where the light falls to a share of the middle's: a first guess of the halo's edge. */
import { medianOf, randomOf } from '../../maths';
import type { LightGrid } from './lightGrid';

export interface Point {
  xMm: number;
  yMm: number;
}

export interface Circle {
  centre: Point;
  radiusMm: number;
}

/** Median light of the middle: the cells within a share of half the shorter side. */
export function middleLight(grid: LightGrid, share = 0.2): number {
  const reach = (Math.min(grid.sensor.widthMm, grid.sensor.heightMm) / 2) * share;
  const values: number[] = [];
  for (let row = 0; row < grid.rows; row += 1) {
    const y = grid.yMm[row] as number;
    if (Math.abs(y) > reach) continue;
    for (let column = 0; column < grid.columns; column += 1) {
      const x = grid.xMm[column] as number;
      if (x * x + y * y <= reach * reach)
        values.push(grid.light[row * grid.columns + column] as number);
    }
  }
  return medianOf(values);
}

const DIRECTIONS = 120;
/** Light at the contour, share of the middle's. */
const CONTOUR = 0.45;

/** Points, seen from the middle, where the light falls through 45 % of the middle's and stays below. */
export function edgeContour(grid: LightGrid, middle: number): Point[] {
  const cell = grid.sensor.widthMm / grid.columns;
  const { widthMm, heightMm } = grid.sensor;
  const lightAt = (x: number, y: number): number | null => {
    const column = Math.round((x + widthMm / 2) / cell - 0.5);
    const row = Math.round((y + heightMm / 2) / (heightMm / grid.rows) - 0.5);
    if (column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) return null;
    return grid.light[row * grid.columns + column] as number;
  };
  return Array.from({ length: DIRECTIONS }, (_, i) => (i / DIRECTIONS) * 2 * Math.PI).flatMap(
    (angle) => {
      const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
      // Inward from the frame's edge: the first cell that is bright ends the dark.
      let reach = 0;
      while (lightAt(ux * (reach + cell), uy * (reach + cell)) !== null) reach += cell;
      let outside = lightAt(ux * reach, uy * reach) ?? middle;
      if (outside >= CONTOUR * middle) return [];
      for (let r = reach - cell; r > 0; r -= cell) {
        const here = lightAt(ux * r, uy * r) ?? 0;
        if (here >= CONTOUR * middle) {
          const at = r + cell * ((here - CONTOUR * middle) / Math.max(1e-9, here - outside));
          return [{ xMm: ux * at, yMm: uy * at }];
        }
        outside = here;
      }
      return [];
    },
  );
}

/** Circle through three points; null where they stand in line. */
function circleThrough(a: Point, b: Point, c: Point): Circle | null {
  const d = 2 * (a.xMm * (b.yMm - c.yMm) + b.xMm * (c.yMm - a.yMm) + c.xMm * (a.yMm - b.yMm));
  if (Math.abs(d) < 1e-9) return null;
  const square = (p: Point) => p.xMm * p.xMm + p.yMm * p.yMm;
  const x =
    (square(a) * (b.yMm - c.yMm) + square(b) * (c.yMm - a.yMm) + square(c) * (a.yMm - b.yMm)) / d;
  const y =
    (square(a) * (c.xMm - b.xMm) + square(b) * (a.xMm - c.xMm) + square(c) * (b.xMm - a.xMm)) / d;
  return { centre: { xMm: x, yMm: y }, radiusMm: Math.hypot(a.xMm - x, a.yMm - y) };
}

/** Algebraic circle fit (G. Taubin, IEEE PAMI 13, 1991; Newton's method after N. Chernov). */
function taubinCircle(points: readonly Point[]): Circle | null {
  const n = points.length;
  if (n < 3) return null;
  const mx = points.reduce((s, p) => s + p.xMm, 0) / n;
  const my = points.reduce((s, p) => s + p.yMm, 0) / n;
  let [xx, yy, xy, xz, yz, zz] = [0, 0, 0, 0, 0, 0];
  for (const p of points) {
    const [x, y] = [p.xMm - mx, p.yMm - my];
    const z = x * x + y * y;
    xx += (x * x) / n;
    yy += (y * y) / n;
    xy += (x * y) / n;
    xz += (x * z) / n;
    yz += (y * z) / n;
    zz += (z * z) / n;
  }
  const mz = xx + yy;
  const cov = xx * yy - xy * xy;
  const a3 = 4 * mz;
  const a2 = -3 * mz * mz - zz;
  const a1 = mz * (zz - mz * mz) + 4 * cov * mz - xz * xz - yz * yz;
  const a0 = xz * (xz * yy - yz * xy) + yz * (yz * xx - xz * xy) - cov * (zz - mz * mz);
  let root = 0;
  for (let i = 0; i < 30; i += 1) {
    const value = a0 + root * (a1 + root * (a2 + root * a3));
    const slope = a1 + root * (2 * a2 + 3 * a3 * root);
    const next = root - value / slope;
    if (!Number.isFinite(next) || next < 0) break;
    const settled = Math.abs(next - root) < 1e-12;
    root = next;
    if (settled) break;
  }
  const det = root * root - root * mz + cov;
  if (Math.abs(det) < 1e-12) return null;
  const x = (xz * (yy - root) - yz * xy) / det / 2;
  const y = (yz * (xx - root) - xz * xy) / det / 2;
  return {
    centre: { xMm: x + mx, yMm: y + my },
    radiusMm: Math.sqrt(x * x + y * y + mz),
  };
}

const TRIALS = 60;

/** The circle most points of a contour agree on; null where there are too few. RANSAC, fixed seed. */
export function contourCircle(points: readonly Point[], toleranceMm: number): Circle | null {
  if (points.length < 8) return null;
  const random = randomOf(7);
  const pick = () => points[random.whole(0, points.length - 1)] as Point;
  const off = ({ centre, radiusMm }: Circle, p: Point) => {
    const [dx, dy] = [p.xMm - centre.xMm, p.yMm - centre.yMm];
    return Math.abs(Math.sqrt(dx * dx + dy * dy) - radiusMm);
  };
  let best: Point[] = [];
  for (let i = 0; i < TRIALS; i += 1) {
    const circle = circleThrough(pick(), pick(), pick());
    if (!circle) continue;
    const agreeing = points.filter((p) => off(circle, p) < toleranceMm);
    if (agreeing.length > best.length) best = agreeing;
  }
  return best.length < 8 ? null : taubinCircle(best);
}
