/** Where the frames of a sweep stand. */
import { deliveredOf } from '@/core/rig';
import type { SweepCell } from '@/core/sweep';
import type { Box } from '@/core/frame';

export interface MatrixLayout {
  /** Width of the names of the rows, px. */
  labelPx: number;
  columnPx: number;
  rowPx: number;
  /** Room under a frame for its corner's figure; 0 where none is shown. */
  figurePx: number;
  /** The same for all frames, so that a smaller mode looks smaller. */
  pxPerMm: number;
  widthPx: number;
  heightPx: number;
}

/** The names of the columns. */
export const HEAD_PX = 22;
/** Under a frame, for its corner's figure. */
export const FIGURE_PX = 14;
const NARROWEST_PX = 46;
const WIDEST_PX = 112;
const LARGEST_FRAME_PX = 78;
const GAP_PX = 10;

const frameOfCell = ({ rig }: SweepCell) => deliveredOf(rig);

interface Room {
  availablePx: number;
  labelPx: number;
  showFigures: boolean;
}

export function matrixLayout(
  cells: readonly SweepCell[],
  rows: number,
  columns: number,
  { availablePx, labelPx, showFigures }: Room,
): MatrixLayout {
  const room = Math.max(0, availablePx - labelPx) / Math.max(1, columns);
  const columnPx = Math.floor(Math.min(WIDEST_PX, Math.max(NARROWEST_PX, room)));
  const sizes = cells.map(frameOfCell);
  const widest = Math.max(1, ...sizes.map((f) => f.widthMm));
  const tallest = Math.max(1, ...sizes.map((f) => f.heightMm));
  const framePx = Math.min(LARGEST_FRAME_PX, columnPx - GAP_PX);
  // A tall frame is held to the width of its column as well.
  const pxPerMm = Math.min(framePx / widest, framePx / tallest);
  const figurePx = showFigures ? FIGURE_PX : 0;
  const rowPx = Math.ceil(tallest * pxPerMm) + GAP_PX + figurePx;
  return {
    labelPx,
    columnPx,
    rowPx,
    figurePx,
    pxPerMm,
    widthPx: labelPx + columns * columnPx,
    heightPx: rows * rowPx,
  };
}

/** Where the frame of a cell stands, px from the top left of the first row's name. */
export function frameBox(cell: SweepCell, row: number, column: number, layout: MatrixLayout): Box {
  const { widthMm, heightMm } = frameOfCell(cell);
  const [w, h] = [widthMm * layout.pxPerMm, heightMm * layout.pxPerMm];
  const { labelPx, columnPx, rowPx, figurePx } = layout;
  return {
    x: labelPx + column * columnPx + (columnPx - w) / 2,
    y: row * rowPx + (rowPx - figurePx - h) / 2,
    w,
    h,
  };
}
