/** How much of the sensor plane the stage shows. */
import { diagonalMm, type FrameSize } from '@/core/optics/formats';
import type { StageView } from './haloPaint';

/** Room for rulers and corner readings, px. */
const EDGE_PX = 26;

/**
 * Fits the circle about the read-out area into the stage. It depends on the read-out area alone, so that
 * nothing jumps while rings are turned.
 */
export function fitView(readOut: FrameSize, widthPx: number, heightPx: number): StageView {
  const acrossMm = Math.max(readOut.widthMm * 1.28, diagonalMm(readOut));
  const downMm = Math.max(readOut.heightMm * 1.34, diagonalMm(readOut) * 1.02);
  const pxPerMm = Math.max(
    0.1,
    Math.min((widthPx - 2 * EDGE_PX) / acrossMm, (heightPx - 2 * EDGE_PX) / downMm),
  );
  return { widthPx, heightPx, pxPerMm };
}

/** Ruler marks every 1, 2, 5 … mm so that they stand at least 7 px apart, figures every fifth. */
export function rulerMarks(
  view: StageView,
  lengthPx: number,
): { mm: number; px: number; figure: boolean }[] {
  const step = [1, 2, 5, 10, 20].find((s) => s * view.pxPerMm >= 7) ?? 50;
  const reach = Math.floor(lengthPx / 2 / view.pxPerMm / step);
  return Array.from({ length: 2 * reach + 1 }, (_, i) => {
    const mm = (i - reach) * step;
    return { mm, px: lengthPx / 2 + mm * view.pxPerMm, figure: (i - reach) % 5 === 0 };
  });
}
