'use client';
import { useMemo, useReducer } from 'react';
import { sameValue } from '@/core/kit/records';

/** So many steps can be taken back. */
const KEPT = 200;

interface Step<T> {
  label: string;
  /** As it was on the other side of the step. */
  other: T;
}

export interface History<T> {
  now: T;
  /** Steps that were done, the last one last. */
  past: readonly Step<T>[];
  /** Steps that were taken back, the next one last. */
  future: readonly Step<T>[];
  /** Label of a step that is still under way, such as a drag. */
  open: string | null;
}

export type HistoryAct<T> =
  | { act: 'step'; label: string; stays: boolean; change: (now: T) => T }
  | { act: 'show'; change: (now: T) => T }
  | { act: 'rest' | 'undo' | 'redo' };

export const begunHistory = <T>(now: T): History<T> => ({ now, past: [], future: [], open: null });

export function historyAfter<T>(history: History<T>, act: HistoryAct<T>): History<T> {
  const { now, past, future, open } = history;
  switch (act.act) {
    case 'show':
      return { ...history, now: act.change(now) };
    case 'rest':
      return open === null ? history : { ...history, open: null };
    case 'step': {
      const next = act.change(now);
      if (sameValue(next, now)) return history;
      const goesOn = act.stays && open === act.label;
      return {
        now: next,
        past: goesOn ? past : [...past, { label: act.label, other: now }].slice(-KEPT),
        future: [],
        open: act.stays ? act.label : null,
      };
    }
    case 'undo': {
      const last = past.at(-1);
      if (!last) return history;
      const back = { label: last.label, other: now };
      return { now: last.other, past: past.slice(0, -1), future: [...future, back], open: null };
    }
    case 'redo': {
      const next = future.at(-1);
      if (!next) return history;
      const done = { label: next.label, other: now };
      return { now: next.other, past: [...past, done], future: future.slice(0, -1), open: null };
    }
  }
}

/** What can be taken back and done again of something that is kept in no record; null where there is nothing. */
export interface OwnSteps {
  undo: string | null;
  redo: string | null;
  takeBack: () => void;
  doAgain: () => void;
}

export interface Stepping<T> {
  /** Changes it as one step. */
  step: (label: string, change: (now: T) => T) => void;
  /** Changes it while something is held: until `rest` all of it is one step. */
  turn: (label: string, change: (now: T) => T) => void;
  rest: () => void;
  /** Changes it in a way that is no step. */
  show: (change: (now: T) => T) => void;
}

/** A state whose changes can be taken back. The functions stay the same. */
export function useHistory<T>(first: () => T): [T, Stepping<T>, OwnSteps] {
  const [{ now, past, future }, send] = useReducer(historyAfter<T>, null, () =>
    begunHistory(first()),
  );
  const stepping = useMemo(
    (): Stepping<T> => ({
      step: (label, change) => send({ act: 'step', label, stays: false, change }),
      turn: (label, change) => send({ act: 'step', label, stays: true, change }),
      rest: () => send({ act: 'rest' }),
      show: (change) => send({ act: 'show', change }),
    }),
    [],
  );
  const undo = past.at(-1)?.label ?? null;
  const redo = future.at(-1)?.label ?? null;
  const steps = useMemo(
    (): OwnSteps => ({
      undo,
      redo,
      takeBack: () => send({ act: 'undo' }),
      doAgain: () => send({ act: 'redo' }),
    }),
    [undo, redo],
  );
  return [now, stepping, steps];
}
