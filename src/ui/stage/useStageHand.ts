'use client';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Offset } from '@/core/optics';
import { toMm, type StagePoint } from './stageView';
import { ZOOM_STEP, type StageZoom } from './useStageZoom';

const pointOf = (event: PointerEvent<HTMLElement>): StagePoint => {
  const box = event.currentTarget.getBoundingClientRect();
  return { xPx: event.clientX - box.left, yPx: event.clientY - box.top };
};

const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Grip {
  from: StagePoint;
  last: StagePoint;
  does: 'shift' | 'carry';
}

/**
 * The hand on the stage: pointing anywhere to read, dragging to shift where the rig can, or else to carry
 * the view; by keyboard the arrows move the point, plus and minus zoom, 0 fits.
 */
export function useStageHand(
  zoom: StageZoom,
  canShift: boolean,
  onShift: (byMm: Offset, done: boolean) => void,
) {
  const [at, setAt] = useState<Offset | null>(null);
  const grip = useRef<Grip | null>(null);
  const { view } = zoom;

  const carried = (to: StagePoint, start: StagePoint): Offset => ({
    xMm: (to.xPx - start.xPx) / view.pxPerMm,
    yMm: (to.yPx - start.yPx) / view.pxPerMm,
  });
  const letGo = (event: PointerEvent<HTMLElement>) => {
    const held = grip.current;
    if (held?.does === 'shift') onShift(carried(pointOf(event), held.from), true);
    grip.current = null;
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (arrow) {
      const step = event.shiftKey ? 0.1 : 1;
      const { xMm, yMm } = at ?? { xMm: 0, yMm: 0 };
      setAt(at ? { xMm: xMm + arrow[0] * step, yMm: yMm + arrow[1] * step } : { xMm, yMm });
    } else if (event.key === '+' || event.key === '=') zoom.zoomBy(ZOOM_STEP);
    else if (event.key === '-') zoom.zoomBy(1 / ZOOM_STEP);
    else if (event.key === '0') zoom.fitFrame();
    else if (event.key === 'Home') setAt({ xMm: 0, yMm: 0 });
    else if (event.key === 'Escape') setAt(null);
    else return;
    event.preventDefault();
  };
  const props = {
    onKeyDown,
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      const does = canShift && !event.shiftKey ? 'shift' : 'carry';
      if (event.button !== 0 || (does === 'carry' && zoom.isFitted)) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      const from = pointOf(event);
      grip.current = { from, last: from, does };
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const point = pointOf(event);
      const held = grip.current;
      setAt(toMm(view, point));
      if (held?.does === 'shift') onShift(carried(point, held.from), false);
      if (held?.does === 'carry') {
        zoom.carry(point.xPx - held.last.xPx, point.yPx - held.last.yPx);
        held.last = point;
      }
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onPointerLeave: () => setAt(null),
    onBlur: () => setAt(null),
  };
  return { at, props };
}
