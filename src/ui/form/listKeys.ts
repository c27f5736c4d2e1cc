/** Keys of list entries that have no id of their own, so that what is typed in one stays with it. */
import { sameValue } from '@/core/kit/records';

interface Keyed {
  items: readonly unknown[];
  keys: readonly number[];
}

export const NOTHING_KEYED: Keyed = { items: [], keys: [] };

/**
 * The keys of a list as it is now, by what it was: an entry that is still there keeps its key wherever it stands now,
 * one that was changed keeps the key of its place, and a new one gets a new key.
 */
export function keysAfter(before: Keyed, items: readonly unknown[]): Keyed {
  const keys: (number | undefined)[] = items.map(() => undefined);
  const left = new Set(before.items.keys());
  let from = 0;
  items.forEach((item, i) => {
    const at = before.items.findIndex((was, k) => k >= from && left.has(k) && sameValue(was, item));
    if (at < 0) return;
    keys[i] = before.keys[at];
    left.delete(at);
    from = at + 1;
  });
  let next = Math.max(0, ...before.keys) + 1;
  return {
    items,
    keys: keys.map((key, i) => {
      if (key !== undefined) return key;
      const same = left.has(i) && items.length === before.items.length ? before.keys[i] : undefined;
      if (same !== undefined) left.delete(i);
      return same ?? next++;
    }),
  };
}
