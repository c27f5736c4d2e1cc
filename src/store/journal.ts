/** Every change goes through here, whole or not at all, and can be taken back. */
import {
  RECORD_TABLES,
  type Change,
  type HaloDatabase,
  type RecordTable,
  type Records,
} from './db';

/** Entries kept for undo; older ones are dropped. */
const KEPT_ENTRIES = 400;
/** Changes of the same kind within this time are one step to undo, ms. */
const MERGE_MS = 900;

/** What to write: the record as it shall be, or null to remove it. */
export interface Write<T extends RecordTable = RecordTable> {
  table: T;
  id: string;
  after: Records[T] | null;
}

async function put(
  db: HaloDatabase,
  changes: readonly Change[],
  side: 'before' | 'after',
): Promise<void> {
  for (const change of changes) {
    const record = change[side];
    if (record === null) await db.records(change.table).delete(change.id);
    else await db.records(change.table).put(record);
  }
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** One transaction over every table a change may touch. */
const inOne = <T>(db: HaloDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', [...RECORD_TABLES.map((t) => db.records(t)), db.journal], work);

interface StepKind {
  /** Steps in quick succession with the same key become one. */
  mergeKey?: string | null;
  origin?: 'file';
}

/**
 * Writes all of `writes` as one step. Answers false where nothing differs from what is there.
 */
export function commit(
  db: HaloDatabase,
  label: string,
  writes: readonly Write[],
  kind: StepKind = {},
): Promise<boolean> {
  return inOne(db, async () => {
    const changes: Change[] = [];
    for (const { table, id, after } of writes) {
      const before = (await db.records(table).get(id)) ?? null;
      if (!same(before, after)) changes.push({ table, id, before, after });
    }
    if (changes.length === 0) return false;
    await put(db, changes, 'after');
    await db.journal.where('undone').equals(1).delete();
    await record(db, label, changes, kind);
    return true;
  });
}

async function record(
  db: HaloDatabase,
  label: string,
  changes: Change[],
  { mergeKey = null, origin }: StepKind,
): Promise<void> {
  const at = Date.now();
  const last = await db.journal.orderBy('seq').last();
  if (mergeKey !== null && last?.mergeKey === mergeKey && at - last.at < MERGE_MS) {
    const merged = changes.map((change) => ({
      ...change,
      before:
        last.changes.find((c) => c.table === change.table && c.id === change.id)?.before ??
        change.before,
    }));
    await db.journal.update(last.seq, { at, changes: merged });
    return;
  }
  await db.journal.add({ label, at, changes, undone: 0, mergeKey, ...(origin && { origin }) });
  const surplus = (await db.journal.count()) - KEPT_ENTRIES;
  if (surplus > 0) {
    const oldest = await db.journal.orderBy('seq').limit(surplus).primaryKeys();
    await db.journal.bulkDelete(oldest);
  }
}

/** Names of the records that were changed here by hand, as "table/id". */
export async function changedHere(db: HaloDatabase): Promise<Set<string>> {
  const entries = await db.journal.where('undone').equals(0).toArray();
  return new Set(
    entries
      .filter((entry) => entry.origin !== 'file')
      .flatMap((entry) => entry.changes.map(({ table, id }) => `${table}/${id}`)),
  );
}

const lastInForce = (db: HaloDatabase) => db.journal.where('undone').equals(0).last();
const firstUndone = (db: HaloDatabase) => db.journal.where('undone').equals(1).first();

/** Takes the last change back; answers its label, or null where there is none. */
export function undo(db: HaloDatabase): Promise<string | null> {
  return inOne(db, async () => {
    const entry = await lastInForce(db);
    if (!entry) return null;
    await put(db, [...entry.changes].reverse(), 'before');
    await db.journal.update(entry.seq, { undone: 1, mergeKey: null });
    return entry.label;
  });
}

/** Does the last change taken back again; answers its label, or null where there is none. */
export function redo(db: HaloDatabase): Promise<string | null> {
  return inOne(db, async () => {
    const entry = await firstUndone(db);
    if (!entry) return null;
    await put(db, entry.changes, 'after');
    await db.journal.update(entry.seq, { undone: 0 });
    return entry.label;
  });
}

export interface Steps {
  /** Label of the step undo would take back; null where there is none. */
  undo: string | null;
  redo: string | null;
}

/** What undo and redo would do now. */
export async function steps(db: HaloDatabase): Promise<Steps> {
  const [back, forward] = await Promise.all([lastInForce(db), firstUndone(db)]);
  return { undo: back?.label ?? null, redo: forward?.label ?? null };
}
