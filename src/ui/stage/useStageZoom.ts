'use client';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import type { Offset, FrameSize } from '@/core/optics';
import {
  FITTED,
  stageView,
  zoomedAbout,
  zoomToCircle,
  type StagePoint,
  type StageView,
  type Zoom,
} from './stageView';

/** One notch of the wheel, and one press of a button. */
const WHEEL_RATE = 0.0016;
export const ZOOM_STEP = 1.5;

export interface StageZoom {
  view: StageView;
  isFitted: boolean;
  /** About a point of the stage, or its middle. */
  zoomBy: (by: number, about?: StagePoint) => void;
  /** Carries what is shown by so many px. */
  carry: (dxPx: number, dyPx: number) => void;
  fitFrame: () => void;
  fitCircle: (centre: Offset, radiusMm: number) => void;
}

/** Zooming and carrying the view of the stage; the wheel zooms about the pointer. The same object until the view changes. */
export function useStageZoom(
  ref: RefObject<HTMLElement | null>,
  readOut: FrameSize,
  widthPx: number,
  heightPx: number,
): StageZoom {
  const [zoom, setZoom] = useState<Zoom>(FITTED);
  // By its sides: a report brings a frame of the same size as a new object each time a ring turns.
  const { widthMm, heightMm } = readOut;

  const acts = useMemo(() => {
    const viewOf = (z: Zoom) => stageView({ widthMm, heightMm }, widthPx, heightPx, z);
    return {
      zoomBy: (by: number, about?: StagePoint) =>
        setZoom((z) =>
          zoomedAbout(z, by, viewOf(z), about ?? { xPx: widthPx / 2, yPx: heightPx / 2 }),
        ),
      carry: (dxPx: number, dyPx: number) =>
        setZoom((z) => {
          const { pxPerMm } = viewOf(z);
          const { xMm, yMm } = z.middle;
          return {
            factor: z.factor,
            middle: { xMm: xMm - dxPx / pxPerMm, yMm: yMm - dyPx / pxPerMm },
          };
        }),
      fitFrame: () => setZoom(FITTED),
      fitCircle: (centre: Offset, radiusMm: number) =>
        setZoom((z) => zoomToCircle(viewOf(z), z, centre, radiusMm)),
    };
  }, [widthMm, heightMm, widthPx, heightPx]);

  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const about = { xPx: event.clientX - box.left, yPx: event.clientY - box.top };
      acts.zoomBy(Math.exp(-event.deltaY * WHEEL_RATE), about);
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, [ref, acts]);

  return useMemo(
    () => ({
      view: stageView({ widthMm, heightMm }, widthPx, heightPx, zoom),
      isFitted: zoom === FITTED,
      ...acts,
    }),
    [widthMm, heightMm, widthPx, heightPx, zoom, acts],
  );
}
