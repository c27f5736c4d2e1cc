'use client';
import { useCallback, useEffect, useRef, useState } from 'react';

export interface Play {
  /** Share of the converter's power that is drawn, 0..1. */
  share: number;
  /** By hand. */
  move: (share: number) => void;
  /** From bare to converted, or back where it is converted. */
  play: () => void;
}

/** One way takes so long, ms. */
const TAKES_MS = 1400;

const wantsStillness = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Moves between bare and converted, by hand or by itself. */
export function usePlay(): Play {
  const [share, setShare] = useState(1);
  const frame = useRef<number | null>(null);
  const shown = useRef(1);
  const stop = () => {
    if (frame.current !== null) cancelAnimationFrame(frame.current);
    frame.current = null;
  };
  useEffect(() => stop, []);
  const show = useCallback((next: number) => {
    shown.current = next;
    setShare(next);
  }, []);
  const play = useCallback(() => {
    stop();
    const from = shown.current > 0.5 ? 1 : 0;
    const to = 1 - from;
    if (wantsStillness()) {
      show(to);
      return;
    }
    let began: number | null = null;
    const next = (now: number) => {
      began ??= now;
      const way = Math.min(1, (now - began) / TAKES_MS);
      // Slow at both ends.
      const eased = way * way * (3 - 2 * way);
      show(from + (to - from) * eased);
      frame.current = way < 1 ? requestAnimationFrame(next) : null;
    };
    frame.current = requestAnimationFrame(next);
  }, [show]);
  const move = useCallback(
    (next: number) => {
      stop();
      show(next);
    },
    [show],
  );
  return { share, move, play };
}
