'use client';
import { useCallback, useMemo, useRef, useState } from 'react';
import { candidateKey, type Candidate, type Kept } from '@/core/choose';
import { listed, type Item, type Listing } from './listing';
import type { Namer } from './names';

const PLAIN: Listing = { sort: 'best first', grouping: 'not grouped', sought: '', only: null };

export interface ListInHand {
  listing: Listing;
  set: (next: Partial<Listing>) => void;
  /** Whether the near misses are shown, and not what passes. */
  showsNear: boolean;
  turnNear: () => void;
  items: readonly Item[];
  /** Shows the other modes of some gear, by its key, or puts them behind its first row again. */
  fold: (key: string) => void;
  /** The row in hand, by key. */
  chosen: string | null;
  /** Shows one alone. */
  show: (candidate: Candidate) => void;
  /** Shows some of what passes alone; null for all of it. */
  showOnly: (keys: ReadonlySet<string> | null) => void;
  find: React.RefObject<HTMLInputElement | null>;
}

/** Which rows are shown, and how. */
export function useList({ passing, near }: Kept, nameOf: Namer): ListInHand {
  const [listing, setListing] = useState<Listing>(PLAIN);
  const [showsNear, setShowsNear] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const find = useRef<HTMLInputElement>(null);
  const set = useCallback(
    (next: Partial<Listing>) => setListing((now) => ({ ...now, ...next })),
    [],
  );
  const show = useCallback(
    (candidate: Candidate) => {
      setShowsNear(candidate.fails.length > 0);
      set({ only: new Set([candidateKey(candidate)]) });
      setChosen(candidateKey(candidate));
    },
    [set],
  );
  const showOnly = useCallback(
    (only: ReadonlySet<string> | null) => {
      setShowsNear(false);
      set({ only });
    },
    [set],
  );
  const [unfolded, setUnfolded] = useState<ReadonlySet<string>>(new Set());
  const fold = useCallback(
    (key: string) =>
      setUnfolded((open) => {
        const next = new Set(open);
        if (!next.delete(key)) next.add(key);
        return next;
      }),
    [],
  );
  const shown = showsNear ? near : passing;
  const items = useMemo(
    () => listed(shown, listing, nameOf, unfolded),
    [shown, listing, nameOf, unfolded],
  );
  return {
    listing,
    set,
    showsNear,
    turnNear: () => {
      setShowsNear((on) => !on);
      set({ only: null });
    },
    items,
    fold,
    chosen,
    show,
    showOnly,
    find,
  };
}
