'use client';
import { useCallback, useRef, useState } from 'react';
import { guarded, type Tell } from './tell';

/**
 * Runs one piece of work at a time and tells its outcome; what is asked meanwhile is not done twice. Answers
 * whether it is at work, for the buttons that begin it.
 */
export function useOneAtATime(
  tell: Tell,
): [busy: boolean, run: (work: () => Promise<string>) => void] {
  const [busy, setBusy] = useState(false);
  // The screen learns of it a moment later than the next press may come.
  const isBusy = useRef(false);
  const run = useCallback(
    (work: () => Promise<string>) => {
      if (isBusy.current) return;
      isBusy.current = true;
      setBusy(true);
      guarded(tell, async () => {
        try {
          tell({ kind: 'said', text: await work() });
        } finally {
          isBusy.current = false;
          setBusy(false);
        }
      });
    },
    [tell],
  );
  return [busy, run];
}
