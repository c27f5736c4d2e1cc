'use client';
import { useState } from 'react';
import { chosenAfter, placeAfter } from './gridKeys';

export interface GridChoice {
  selected: ReadonlySet<string>;
  onSelect: (ids: ReadonlySet<string>) => void;
}

interface GridHand {
  records: readonly { id: string }[];
  choice: GridChoice | undefined;
  /** Brings a line into sight. */
  show: (index: number) => void;
  /** How many lines are in sight. */
  page: () => number;
}

const NONE: GridChoice = { selected: new Set(), onSelect: () => undefined };

/** The line one stands on, and what keys and presses do to it and to what is chosen. */
export function useGridHand({ records, choice = NONE, show, page }: GridHand) {
  const { selected, onSelect } = choice;
  const [active, setActive] = useState(0);
  const [anchor, setAnchor] = useState(0);
  const last = records.length - 1;
  const now = Math.min(active, last);

  const stand = (at: number) => {
    setActive(at);
    show(at);
  };
  const pick = (at: number, adds: boolean, stretches: boolean) => {
    const idOf = (index: number) => records[index]?.id ?? '';
    const from = Math.min(anchor, last);
    const chosen = chosenAfter({ selected, anchor: from, at, idOf, adds, extends: stretches });
    setAnchor(chosen.anchor);
    stand(at);
    onSelect(chosen.ids);
  };
  /** Whether the key meant something here. */
  const takeKey = (event: React.KeyboardEvent): boolean => {
    const { key, shiftKey } = event;
    const isCommand = event.ctrlKey || event.metaKey;
    if (key === 'a' && isCommand) onSelect(new Set(records.map((r) => r.id)));
    else if (key === 'Escape' && selected.size > 0) onSelect(new Set());
    else if (key === ' ' && last >= 0) pick(now, true, shiftKey);
    else {
      // Where nothing is chosen yet the first arrow takes the line one stands on.
      const from = choice !== NONE && selected.size === 0 ? null : now;
      const to = placeAfter(key, from, { first: 0, last, page: page(), standing: now });
      if (to === null) return false;
      if (isCommand) stand(to);
      else pick(to, false, shiftKey);
    }
    return true;
  };
  return {
    /** Null in an empty table. */
    active: last < 0 ? null : now,
    onKeyDown: (event: React.KeyboardEvent) => {
      // The heads are buttons of their own.
      if (event.target !== event.currentTarget || !takeKey(event)) return;
      event.preventDefault();
      event.stopPropagation();
    },
    onClick: (event: React.MouseEvent) => {
      const line = (event.target as HTMLElement).closest('[data-index]');
      if (!line) return;
      const adds = event.ctrlKey || event.metaKey;
      pick(Number(line.getAttribute('data-index')), adds, event.shiftKey);
    },
  };
}
