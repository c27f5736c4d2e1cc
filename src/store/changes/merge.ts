/**
 * A change made while looking at one state of a record, brought to another state of it: what was changed is
 * changed there, all else stays as it has become. Lists of records with ids are taken record by record.
 */
import { isJson, ownField, sameValue } from '@/core/kit/records';

interface Merged {
  value: unknown;
  /** Where both sides changed the same thing to different values; the change made here stands. */
  conflicts: string[];
}

/** The states of a value. */
interface States {
  /** As it was when the change was made. */
  seen: unknown;
  /** As it shall be. */
  mine: unknown;
  /** As it is stored by now. */
  stored: unknown;
  /** As this page itself stored it last: that is no one else's change. */
  own: unknown;
}

interface WithId {
  id: string;
}
const hasIds = (value: unknown): value is WithId[] =>
  Array.isArray(value) && value.every((item) => isJson(item) && typeof item.id === 'string');

const field = (value: unknown, key: string): unknown =>
  isJson(value) ? ownField(value, key) : undefined;
const item = (value: unknown, id: string): unknown =>
  hasIds(value) ? value.find((v) => v.id === id) : undefined;

/** The same part of every state. */
const partOf = (
  { seen, mine, stored, own }: States,
  of: (value: unknown, key: string) => unknown,
  key: string,
): States => ({
  seen: of(seen, key),
  mine: of(mine, key),
  stored: of(stored, key),
  own: of(own, key),
});

const within = (path: string, key: string): string => `${path}/${key}`;

export function mergedValue(states: States, path = ''): Merged {
  const { seen, mine, stored, own } = states;
  if (sameValue(mine, seen) || sameValue(mine, stored)) return { value: stored, conflicts: [] };
  if (sameValue(stored, seen)) return { value: mine, conflicts: [] };
  if (hasIds(seen) && hasIds(mine) && hasIds(stored)) return mergedList(states, path);
  if (isJson(seen) && isJson(mine) && isJson(stored)) {
    const keys = new Set([...Object.keys(stored), ...Object.keys(mine)]);
    return joined([...keys], (key) => mergedValue(partOf(states, field, key), within(path, key)));
  }
  const isOwn = sameValue(stored, own);
  return { value: mine, conflicts: isOwn ? [] : [path] };
}

function joined(keys: readonly string[], merge: (key: string) => Merged): Merged {
  const value: Record<string, unknown> = {};
  const conflicts: string[] = [];
  for (const key of keys) {
    const part = merge(key);
    if (part.value !== undefined) value[key] = part.value;
    conflicts.push(...part.conflicts);
  }
  return { value, conflicts };
}

/** Mine first, in my order, then what came to be there meanwhile. */
function mergedList(states: States, path: string): Merged {
  const lists = [states.mine, states.stored].flatMap((list) => (hasIds(list) ? list : []));
  const ids = [...new Set(lists.map((v) => v.id))];
  const value: unknown[] = [];
  const conflicts: string[] = [];
  for (const id of ids) {
    const part = mergedValue(partOf(states, item, id), within(path, id));
    if (part.value !== undefined) value.push(part.value);
    conflicts.push(...part.conflicts);
  }
  return { value, conflicts };
}
