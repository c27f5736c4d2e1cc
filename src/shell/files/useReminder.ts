'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef } from 'react';
import { db } from '@/store/database/instance';
import { unsavedSteps } from '@/store/changes/saved';
import type { Tell } from '../tell';

/** After so many changes that no file holds it is said, and again after as many more. */
const REMIND_AFTER = 40;

/** How many changes no file holds; says so now and then, with one press to save one. */
export function useReminder(tell: Tell, isQuiet: boolean, save: () => void): number {
  const unsaved = useLiveQuery(() => unsavedSteps(db)) ?? 0;
  const toldAt = useRef(0);
  useEffect(() => {
    if (unsaved < toldAt.current) toldAt.current = unsaved;
    if (!isQuiet || unsaved - toldAt.current < REMIND_AFTER) return;
    toldAt.current = unsaved;
    tell({
      kind: 'asked',
      text: `${unsaved} changes stand in this browser alone. A file keeps them where clearing its data does not reach.`,
      act: { label: 'Save a file', press: save },
    });
  }, [unsaved, isQuiet, tell, save]);
  return unsaved;
}
