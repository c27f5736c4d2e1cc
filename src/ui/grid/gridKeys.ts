/** Moving through the lines of a table, and choosing among them. */

export interface Lines {
  first: number;
  last: number;
  /** Lines in sight. */
  page: number;
  /** The line one stands on. */
  standing: number;
}

/**
 * The line a key leads to from `from`, or to `standing` where nothing is chosen yet; null where the key leads
 * nowhere.
 */
export function placeAfter(
  key: string,
  from: number | null,
  { first, last, page, standing }: Lines,
): number | null {
  const within = (to: number) => Math.min(last, Math.max(first, to));
  if (last < first) return null;
  if (key === 'Home') return first;
  if (key === 'End') return last;
  const step = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page }[key];
  if (step === undefined) return null;
  return from === null ? within(standing) : within(from + step);
}

export interface Chosen {
  ids: ReadonlySet<string>;
  /** The line a stretch begins at. */
  anchor: number;
}

interface Choosing {
  selected: ReadonlySet<string>;
  anchor: number;
  at: number;
  idOf: (index: number) => string;
  /** The line is added to what is chosen, or taken out of it. */
  adds: boolean;
  /** All lines from the anchor to this one. */
  extends: boolean;
}

/** What is chosen after a line was taken. */
export function chosenAfter(choosing: Choosing): Chosen {
  const { selected, anchor, at, idOf, adds } = choosing;
  if (choosing.extends) {
    const [from, to] = anchor < at ? [anchor, at] : [at, anchor];
    const stretch = Array.from({ length: to - from + 1 }, (_, i) => idOf(from + i));
    return { ids: new Set(adds ? [...selected, ...stretch] : stretch), anchor };
  }
  if (!adds) return { ids: new Set([idOf(at)]), anchor: at };
  const ids = new Set(selected);
  if (!ids.delete(idOf(at))) ids.add(idOf(at));
  return { ids, anchor: at };
}
