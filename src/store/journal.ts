/** Every change goes through here, checked, whole or not at all, and can be taken back. */
import sameValue from 'fast-deep-equal';
import type { Problem } from '@/core/words/problem';
import {
  RECORD_TABLES,
  sortOf,
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

/** Thrown where a record is not what its schema admits; nothing was written then. */
export class RefusedRecord extends Error {
  override readonly name = 'RefusedRecord';
  constructor(readonly problems: readonly Problem[]) {
    super(problems[0]?.sentence ?? '');
  }
}

/** The checks weigh more than all else of the store: they are loaded with the first change. */
const checks = () => import('@/core/kit/checks/validate');

/** Refuses records the program would not read again. */
async function checkAll(writes: readonly Write[]): Promise<void> {
  const { checkRecord, checkJudgement } = await checks();
  const problems = writes.flatMap(({ table, id, after }): readonly Problem[] => {
    if (after === null) return [];
    if (after.id !== id) {
      const sentence = `a record "${after.id}" was to be kept as "${id}".`;
      return [{ code: 'id', path: '/id', sentence }];
    }
    const sort = sortOf(table, after);
    if (sort === null) return [];
    const checked = sort === 'judgement' ? checkJudgement(after) : checkRecord(sort, after);
    return checked.ok ? [] : checked.problems;
  });
  if (problems.length > 0) throw new RefusedRecord(problems);
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

/** One transaction over every table a change may touch. */
const inOne = <T>(db: HaloDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', [...RECORD_TABLES.map((t) => db.records(t)), db.journal], work);

interface StepKind {
  /** Steps in quick succession with the same key become one. */
  mergeKey?: string | null;
  origin?: 'file';
}

/**
 * Writes all of `writes` as one step. Answers false where nothing differs from what is there; throws
 * RefusedRecord where a record does not pass its checks.
 */
export async function commit(
  db: HaloDatabase,
  label: string,
  writes: readonly Write[],
  kind: StepKind = {},
): Promise<boolean> {
  await checkAll(writes);
  return inOne(db, async () => {
    const changes: Change[] = [];
    for (const { table, id, after } of writes) {
      const before = (await db.records(table).get(id)) ?? null;
      if (!sameValue(before, after)) changes.push({ table, id, before, after });
    }
    if (changes.length === 0) return false;
    await put(db, changes, 'after');
    await db.journal.where('undone').equals(1).delete();
    await record(db, label, changes, kind);
    return true;
  });
}

const ofSameRecord =
  ({ table, id }: Change) =>
  (other: Change): boolean =>
    other.table === table && other.id === id;

/** Two steps as one: each record from before the first to after the last that touched it. */
function merged(first: readonly Change[], second: readonly Change[]): Change[] {
  const only = first.filter((change) => !second.some(ofSameRecord(change)));
  const both = second.map((change) => {
    const earlier = first.find(ofSameRecord(change));
    return earlier ? { ...change, before: earlier.before } : change;
  });
  return [...only, ...both];
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
    await db.journal.update(last.seq, { at, changes: merged(last.changes, changes) });
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
