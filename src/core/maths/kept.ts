/** Values kept by key, so that what is asked again is not made again. */

/** A ring that is turned passes many keys: beyond so many the map begins anew. */
const MOST_KEPT = 64;

/** The value kept under `key`, made where there is none. */
export function keptIn<K, V extends object | number>(kept: Map<K, V>, key: K, make: () => V): V {
  const known = kept.get(key);
  if (known) return known;
  if (kept.size >= MOST_KEPT) kept.clear();
  const made = make();
  kept.set(key, made);
  return made;
}

/** The same, for as long as what it is worked out of is there: each `owner` has values of its own. */
export function keptFor<O extends object, K, V extends object | number>(
  owners: WeakMap<O, Map<K, V>>,
  owner: O,
  key: K,
  make: () => V,
): V {
  let kept = owners.get(owner);
  if (!kept) {
    kept = new Map();
    owners.set(owner, kept);
  }
  return keptIn(kept, key, make);
}
