'use client';
import { useRef, useState, type PointerEvent } from 'react';
import type { Offset } from '@/core/frame/geometry';

/** Where the pointer is over the stage, px from its top left. */
export interface StagePoint {
  xPx: number;
  yPx: number;
}

const pointOf = (event: PointerEvent<HTMLElement>): StagePoint => {
  const box = event.currentTarget.getBoundingClientRect();
  return { xPx: event.clientX - box.left, yPx: event.clientY - box.top };
};

/** The hand on the stage: pointing anywhere to read, and dragging to shift where the rig can. */
export function useStageHand(
  pxPerMm: number,
  canShift: boolean,
  onShift: (byMm: Offset, done: boolean) => void,
) {
  const [at, setAt] = useState<StagePoint | null>(null);
  const from = useRef<StagePoint | null>(null);

  const carried = (to: StagePoint, start: StagePoint): Offset => ({
    xMm: (to.xPx - start.xPx) / pxPerMm,
    yMm: (to.yPx - start.yPx) / pxPerMm,
  });
  const letGo = (event: PointerEvent<HTMLElement>) => {
    if (from.current) onShift(carried(pointOf(event), from.current), true);
    from.current = null;
  };
  const props = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (!canShift || event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = pointOf(event);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const point = pointOf(event);
      setAt(point);
      if (from.current) onShift(carried(point, from.current), false);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onPointerLeave: () => setAt(null),
  };
  return { at, props };
}
