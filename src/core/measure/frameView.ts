/** What a screen shows of a measured frame: the picture, what the fit leaves of it, and the profile. */
import { transmissionAt } from '../halo';
import { middleLight } from './light';
import { rimsOf } from './fit';
import type { FrameEvidence } from './measureFrame';

interface ViewProfilePoint {
  radiusMm: number;
  /** Stops below the middle, measured; + is darker. */
  measured: number;
  /** The same by the model; null where nothing was fitted. */
  model: number | null;
}

export interface FrameView {
  columns: number;
  rows: number;
  /** Light against the middle's, 0..255, row by row. */
  light: Uint8Array;
  /** Measured against modelled light, stops, -0.25..0.25 as 0..255; 128 where they agree. */
  residual: Uint8Array;
  profile: ViewProfilePoint[];
  sensor: { widthMm: number; heightMm: number };
}

const DARKEST_STOPS = 6;
const RESIDUAL_STOPS = 0.25;

const stopsOf = (light: number): number =>
  Math.min(DARKEST_STOPS, -Math.log2(Math.max(2 ** -DARKEST_STOPS, light)));

export function frameView({ grid, profile, fit }: FrameEvidence): FrameView {
  const { columns, rows, sensor } = grid;
  const inner = [...grid.light].sort((a, b) => b - a)[Math.floor(grid.light.length * 0.05)] ?? 1;
  const wall = fit?.walls[0] ?? null;
  const rims = fit ? rimsOf(fit.rims) : [];
  const natural = (r: number) => (fit?.exitPupilMm ? (1 + (r / fit.exitPupilMm) ** 2) ** -2 : 1);
  const modelAt = (r: number) => transmissionAt(rims, r) * natural(r);
  const light = new Uint8Array(columns * rows);
  const residual = new Uint8Array(columns * rows).fill(128);
  const middle = middleLight(grid);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const at = row * columns + column;
      const here = grid.light[at] as number;
      light[at] = Math.min(255, Math.round(255 * Math.sqrt(here / inner)));
      if (!fit || !wall) continue;
      const [x, y] = [grid.xMm[column] as number, grid.yMm[row] as number];
      const r = Math.hypot(x - fit.centre.xMm, y - fit.centre.yMm);
      const slope = Math.max(0.05, 1 + wall.xPerMm * x + wall.yPerMm * y);
      const expected = wall.level * slope * (modelAt(r) + wall.floor) * middle;
      const floor = middle * 0.01;
      const off = Math.log2(Math.max(floor, here) / Math.max(floor, expected));
      residual[at] = Math.max(0, Math.min(255, Math.round(128 + (127 * off) / RESIDUAL_STOPS)));
    }
  }
  return {
    columns,
    rows,
    light,
    residual,
    sensor,
    profile: profile.map((p) => ({
      radiusMm: p.radiusMm,
      measured: stopsOf(p.light),
      model: fit ? stopsOf(modelAt(p.radiusMm)) : null,
    })),
  };
}
