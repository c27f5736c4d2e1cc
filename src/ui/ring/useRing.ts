'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { nearestDetent, stepDetents, type BarrelScale } from './scale';

/** How near a detent the ring must come to click into it, px. */
const CLICK_PX = 5;
const FINE_STEP = 0.005;

interface RingBehaviour {
  scale: BarrelScale;
  value: number;
  /** While the ring is being turned. */
  onTurn: (value: number) => void;
  /** When it is let go, or stepped by keyboard. */
  onSettle: (value: number) => void;
  /** Whether nothing turns it. */
  isHeld: boolean;
}

/** Turning a ring by pointer and keyboard: props for its barrel. */
export function useRing({ scale, value, onTurn, onSettle, isHeld }: RingBehaviour) {
  const turning = useRef<number | null>(null);

  const valueAt = (event: PointerEvent): number => {
    const box = event.currentTarget.getBoundingClientRect();
    const pad = Number.parseFloat(getComputedStyle(event.currentTarget).paddingLeft);
    const width = box.width - 2 * pad;
    const free = scale.value((event.clientX - box.left - pad) / width);
    const detent = nearestDetent(scale, free);
    const away = Math.abs(scale.place(detent) - scale.place(free)) * width;
    return away <= CLICK_PX && !event.altKey ? detent : free;
  };

  const turn = (next: number) => {
    turning.current = next;
    onTurn(next);
  };

  const settle = () => {
    if (turning.current === null) return;
    onSettle(turning.current);
    turning.current = null;
  };

  const stepFor = (event: KeyboardEvent): number | null => {
    const fine = (sign: number) => scale.value(scale.place(value) + sign * FINE_STEP);
    const towards = (sign: number) =>
      event.shiftKey ? fine(sign) : stepDetents(scale, value, sign);
    switch (event.key) {
      case 'ArrowRight':
      case 'ArrowUp':
        return towards(1);
      case 'ArrowLeft':
      case 'ArrowDown':
        return towards(-1);
      case 'PageUp':
        return stepDetents(scale, value, 3);
      case 'PageDown':
        return stepDetents(scale, value, -3);
      case 'Home':
        return scale.min;
      case 'End':
        return scale.max;
      default:
        return null;
    }
  };

  return {
    role: 'slider' as const,
    tabIndex: 0,
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0 || isHeld) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      turn(valueAt(event));
    },
    onPointerMove: (event: PointerEvent) => {
      if (turning.current !== null) turn(valueAt(event));
    },
    onPointerUp: settle,
    onPointerCancel: settle,
    onKeyDown: (event: KeyboardEvent) => {
      const next = isHeld || event.metaKey || event.ctrlKey || event.altKey ? null : stepFor(event);
      if (next === null) return;
      event.preventDefault();
      if (next !== value) onSettle(next);
    },
  };
}
