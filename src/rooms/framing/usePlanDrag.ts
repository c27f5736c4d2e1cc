'use client';
import { useRef } from 'react';

interface PlanDrag {
  /** Metres for a px on the plan. */
  metresPerPx: number;
  /** Where it stands now, m; taken up when it is taken hold of. */
  at: number;
  /** Whether it runs along the plan or across it. */
  along: 'x' | 'y';
  /** Whether it grows to the right or down (1), or the other way (−1). */
  sign: 1 | -1;
  onMove: (value: number) => void;
  /** It was let go of. */
  onRest: () => void;
}

/** A step of the arrow keys, m; with Shift ten of them. */
const STEP_M = 0.05;
const LARGE = 10;

/** Something on the plan that is moved by hand, finger or arrow keys. */
export function usePlanDrag({ metresPerPx, at, along, sign, onMove, onRest }: PlanDrag) {
  const held = useRef<{ from: number; at: number } | null>(null);
  const placeOf = (event: React.PointerEvent) => (along === 'x' ? event.clientX : event.clientY);
  const [more, less] = along === 'x' ? ['ArrowRight', 'ArrowLeft'] : ['ArrowDown', 'ArrowUp'];
  return {
    onPointerDown: (event: React.PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = { from: placeOf(event), at };
    },
    onPointerMove: (event: React.PointerEvent<SVGGElement>) => {
      const hold = held.current;
      if (hold) onMove(hold.at + sign * (placeOf(event) - hold.from) * metresPerPx);
    },
    onLostPointerCapture: () => {
      held.current = null;
      onRest();
    },
    onKeyUp: onRest,
    onKeyDown: (event: React.KeyboardEvent) => {
      const direction = event.key === more ? 1 : event.key === less ? -1 : 0;
      if (direction === 0) return;
      event.preventDefault();
      // Far away a step is a larger one: a fiftieth of the way.
      const step = Math.max(STEP_M, Math.abs(at) / 50) * (event.shiftKey ? LARGE : 1);
      onMove(at + sign * direction * step);
    },
  };
}
