/** Which stretch of the sensor plane the stage shows, and how large. */
import { type Offset, diagonalMm, type FrameSize } from '@/core/optics';

export interface StageView {
  widthPx: number;
  heightPx: number;
  pxPerMm: number;
  /** The place on the sensor plane in the middle of the stage, mm. */
  middle: Offset;
}

/** Where on the stage, px from its top left. */
export interface StagePoint {
  xPx: number;
  yPx: number;
}

export const toPx = (view: StageView, at: Offset): StagePoint => ({
  xPx: view.widthPx / 2 + (at.xMm - view.middle.xMm) * view.pxPerMm,
  yPx: view.heightPx / 2 + (at.yMm - view.middle.yMm) * view.pxPerMm,
});

export const toMm = (view: StageView, { xPx, yPx }: StagePoint): Offset => ({
  xMm: view.middle.xMm + (xPx - view.widthPx / 2) / view.pxPerMm,
  yMm: view.middle.yMm + (yPx - view.heightPx / 2) / view.pxPerMm,
});

/** Room for rulers and corner readings, px. */
const EDGE_PX = 26;

/** How much larger than fitted the stage is shown, and what stands in its middle. */
export interface Zoom {
  factor: number;
  middle: Offset;
}

export const FITTED: Zoom = { factor: 1, middle: { xMm: 0, yMm: 0 } };

/**
 * Fits the circle about the read-out area into the stage, then zooms. The fit depends on the read-out area
 * alone, so that nothing jumps while rings are turned.
 */
export function stageView(
  readOut: FrameSize,
  widthPx: number,
  heightPx: number,
  { factor, middle }: Zoom = FITTED,
): StageView {
  const acrossMm = Math.max(readOut.widthMm * 1.28, diagonalMm(readOut));
  const downMm = Math.max(readOut.heightMm * 1.34, diagonalMm(readOut) * 1.02);
  const fitted = Math.max(
    0.1,
    Math.min((widthPx - 2 * EDGE_PX) / acrossMm, (heightPx - 2 * EDGE_PX) / downMm),
  );
  return { widthPx, heightPx, pxPerMm: fitted * factor, middle };
}

const LEAST_ZOOM = 0.25;
const MOST_ZOOM = 16;

/** Zooms a view by a factor about a point of the stage, which stays where it is. */
export function zoomedAbout(zoom: Zoom, by: number, view: StageView, about: StagePoint): Zoom {
  const factor = Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, zoom.factor * by));
  const grown = factor / zoom.factor;
  const kept = toMm(view, about);
  const toward = (middle: number, place: number) => place + (middle - place) / grown;
  return {
    factor,
    middle: {
      xMm: toward(zoom.middle.xMm, kept.xMm),
      yMm: toward(zoom.middle.yMm, kept.yMm),
    },
  };
}

/** The zoom that shows a whole circle about `centre`. */
export function zoomToCircle(view: StageView, zoom: Zoom, centre: Offset, radiusMm: number): Zoom {
  const room = Math.min(view.widthPx, view.heightPx) / 2 - EDGE_PX;
  const factor = (room / Math.max(radiusMm, 0.5) / view.pxPerMm) * zoom.factor;
  return { factor: Math.min(MOST_ZOOM, Math.max(LEAST_ZOOM, factor)), middle: centre };
}

interface RulerMark {
  mm: number;
  px: number;
  figure: boolean;
}

/** Steps of a ruler, mm, and at every how many of them a figure stands. */
const RULER_STEPS = [
  [0.1, 10],
  [0.2, 5],
  [0.5, 10],
  [1, 5],
  [2, 5],
  [5, 4],
  [10, 5],
  [20, 5],
  [50, 2],
] as const;

/** Ruler marks at least 7 px apart, with figures at round mm. */
export function rulerMarks(view: StageView, axis: 'x' | 'y'): RulerMark[] {
  const across = axis === 'x';
  const lengthPx = across ? view.widthPx : view.heightPx;
  const middle = across ? view.middle.xMm : view.middle.yMm;
  const [step, every] = RULER_STEPS.find(([s]) => s * view.pxPerMm >= 7) ?? [50, 2];
  const first = Math.ceil((middle - lengthPx / 2 / view.pxPerMm) / step);
  const last = Math.floor((middle + lengthPx / 2 / view.pxPerMm) / step);
  return Array.from({ length: last - first + 1 }, (_, i) => {
    const mm = Number(((first + i) * step).toFixed(1));
    return {
      mm,
      px: lengthPx / 2 + (mm - middle) * view.pxPerMm,
      figure: (first + i) % every === 0,
    };
  });
}
