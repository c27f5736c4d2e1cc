/** A frame's cells ready for fitting. */
import { diagonalMm } from '../../optics';
import { MOST_CLIPPED, type LightGrid } from '../light';

export interface FrameField {
  count: number;
  xMm: Float32Array;
  yMm: Float32Array;
  /** Root of the light against the middle's. */
  root: Float32Array;
  cellMm: number;
  halfDiagonalMm: number;
  /** How much softer the rims are in this frame than in the first: N of the first over N of this. */
  softer: number;
}

/** Added to the light before the root, share of the middle's, so that the dark does not shout. */
export const ROOT_EPSILON = 1e-3;

/** Usable cells of a grid, every `pool` by `pool` of them averaged to one. `middle` is the light there. */
export function fieldOf(grid: LightGrid, middle: number, pool: number, softer = 1): FrameField {
  const columns = Math.floor(grid.columns / pool);
  const rows = Math.floor(grid.rows / pool);
  const xMm = new Float32Array(columns * rows);
  const yMm = new Float32Array(columns * rows);
  const root = new Float32Array(columns * rows);
  let count = 0;
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      let light = 0;
      let x = 0;
      let y = 0;
      let worst = 0;
      for (let j = 0; j < pool; j += 1) {
        for (let i = 0; i < pool; i += 1) {
          const c = column * pool + i;
          const r = row * pool + j;
          const at = r * grid.columns + c;
          light += grid.light[at] as number;
          worst = Math.max(worst, grid.clipped[at] as number);
          x += grid.xMm[c] as number;
          y += grid.yMm[r] as number;
        }
      }
      if (worst > MOST_CLIPPED) continue;
      const cells = pool * pool;
      xMm[count] = x / cells;
      yMm[count] = y / cells;
      root[count] = Math.sqrt(Math.max(0, light / cells / middle) + ROOT_EPSILON);
      count += 1;
    }
  }
  return {
    count,
    xMm: xMm.subarray(0, count),
    yMm: yMm.subarray(0, count),
    root: root.subarray(0, count),
    cellMm: (grid.sensor.widthMm / grid.columns) * pool,
    halfDiagonalMm: diagonalMm(grid.sensor) / 2,
    softer,
  };
}
