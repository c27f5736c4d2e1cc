/** Every change goes through here, checked, whole or not at all, and can be taken back. */
import { sameValue } from '@/core/kit/records';
import { grouped } from '@/core/maths';
import { withCleanTexts, type Problem } from '@/core/words';
import {
  isStep,
  RECORD_TABLES,
  recordKey,
  sortOf,
  type Change,
  type HaloDatabase,
  type JournalEntry,
  type RecordTable,
  type Records,
} from '../database/db';
import { mergedValue } from './merge';
import { forgetOldSteps, withRoom } from '../keeping/room';

/** Entries kept for undo; older ones are dropped. */
const KEPT_ENTRIES = 400;
/** Changes of the same kind within this time are one step to undo, ms. */
const MERGE_MS = 900;

/** What to write: the record as it shall be, or null to remove it. */
export interface Write<T extends RecordTable = RecordTable> {
  table: T;
  id: string;
  after: Records[T] | null;
  /**
   * The record as it was when the change was made. Where it is told, only what differs from it is changed in
   * the record stored by then; where it is not, the record is written whole.
   */
  seen?: Records[T];
}

/**
 * A change of one record as it was seen: what differs between the two is changed, and nothing else. Whoever shows a
 * change before it is stored has seen it: to go back is then a change as well.
 */
export const edited = <T extends RecordTable>(
  table: T,
  seen: Records[T],
  after: Records[T],
): Write<T> => ({ table, id: seen.id, seen, after });

/** Something that was changed elsewhere too since it was seen. */
export interface Conflict {
  table: RecordTable;
  /** Name of the record. */
  name: string;
  /** JSON pointer into it. */
  path: string;
}

export interface Committed {
  /** Whether anything differed from what was there. */
  written: boolean;
  conflicts: Conflict[];
}

/** Thrown where a record is not what its schema admits; nothing was written then. */
export class RefusedRecord extends Error {
  override readonly name = 'RefusedRecord';
  constructor(readonly problems: readonly Problem[]) {
    super(problems[0]?.sentence ?? '');
  }
}

/** Thrown where a record that was changed is not there any more; nothing was written then. */
export class GoneRecord extends Error {
  override readonly name = 'GoneRecord';
}

/** The checks weigh more than all else of the store: they are loaded once a room stands, or with the first change. */
const checks = () => import('@/core/kit/checks');

/** Loads what the first change would otherwise wait for. */
export const beReadyToCommit = (): void => void checks().catch(() => undefined);

const nameOf = (record: object): string =>
  'name' in record && typeof record.name === 'string' ? record.name : 'the workspace';

/** What this page wrote last, by database and record: that is no change of somebody else's. */
const ownWrites = new WeakMap<HaloDatabase, Map<string, unknown>>();
function ownOf(db: HaloDatabase): Map<string, unknown> {
  const known = ownWrites.get(db) ?? new Map<string, unknown>();
  ownWrites.set(db, known);
  return known;
}

/** A write against what is stored: the record as it comes to be. */
function outcome(
  { table, seen, after }: Write,
  stored: Records[RecordTable] | null,
  own: unknown,
): { after: Records[RecordTable] | null; conflicts: Conflict[] } {
  if (after === null || seen === undefined) return { after, conflicts: [] };
  if (stored === null) {
    // Preferences come to be with their first change.
    if (table === 'preferences') return { after, conflicts: [] };
    throw new GoneRecord(nameOf(after));
  }
  const { value, conflicts } = mergedValue({ seen, mine: after, stored, own });
  return {
    after: value as Records[RecordTable],
    conflicts: conflicts.map((path) => ({ table, name: nameOf(after), path })),
  };
}

/** Refuses a record the program would not read again. */
function refuse(
  { checkRecord, checkJudgement }: Awaited<ReturnType<typeof checks>>,
  { table, id, after }: Change,
): readonly Problem[] {
  if (after === null) return [];
  if (after.id !== id) {
    const sentence = `a record "${after.id}" was to be kept as "${id}".`;
    return [{ code: 'id', path: '/id', sentence }];
  }
  const sort = sortOf(table, after);
  if (sort === null) return [];
  const checked = sort === 'judgement' ? checkJudgement(after) : checkRecord(sort, after);
  return checked.ok ? [] : checked.problems;
}

/** Puts records as they stand on one side of changes. */
export async function put(
  db: HaloDatabase,
  changes: readonly Change[],
  side: 'before' | 'after',
): Promise<void> {
  for (const [table, of] of grouped(changes, (change) => change.table)) {
    await db.records(table).bulkDelete(of.filter((c) => c[side] === null).map((c) => c.id));
    await db.records(table).bulkPut(of.flatMap((c) => c[side] ?? []));
  }
}

/** The records that are stored where something is to be written, by table and id. */
async function storedBehind(
  db: HaloDatabase,
  writes: readonly Write[],
): Promise<Map<string, Records[RecordTable]>> {
  const stored = new Map<string, Records[RecordTable]>();
  for (const table of new Set(writes.map((w) => w.table))) {
    const ids = writes.filter((w) => w.table === table).map((w) => w.id);
    for (const record of await db.records(table).bulkGet(ids))
      if (record) stored.set(recordKey({ table, id: record.id }), record);
  }
  return stored;
}

/** One transaction over every table a change may touch. */
export const inOne = <T>(db: HaloDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', [...RECORD_TABLES.map((t) => db.records(t)), db.journal, db.grids], work);

interface StepKind {
  /** Steps in quick succession with the same key become one. */
  mergeKey?: string | null;
  origin?: 'file';
  /** What is stored beside the records, in the same transaction: kept with them or not at all. */
  along?: () => Promise<void>;
}

/**
 * Writes all of `writes` as one step, each against what is stored by then. Throws RefusedRecord where a record
 * would not pass its checks, GoneRecord where one that was changed has been deleted.
 */
export async function commit(
  db: HaloDatabase,
  label: string,
  writes: readonly Write[],
  kind: StepKind = {},
): Promise<Committed> {
  const known = await checks();
  const own = ownOf(db);
  const attempt = (isTight: boolean) =>
    inOne(db, async () => {
      if (isTight) await forgetOldSteps(db);
      const changes: Change[] = [];
      const conflicts: Conflict[] = [];
      const stored = await storedBehind(db, writes);
      for (const write of writes) {
        const { table, id } = write;
        const before = stored.get(recordKey(write)) ?? null;
        const { after: told, conflicts: met } = outcome(write, before, own.get(recordKey(write)));
        const after = withCleanTexts(told) as typeof told;
        conflicts.push(...met);
        if (!sameValue(before, after)) changes.push({ table, id, before, after });
      }
      const problems = changes.flatMap((change) => refuse(known, change));
      if (problems.length > 0) throw new RefusedRecord(problems);
      await kind.along?.();
      if (changes.length > 0) {
        await put(db, changes, 'after');
        await db.journal.where('undone').equals(1).delete();
        await record(db, label, changes, kind);
      }
      return { changes, conflicts };
    });
  const done = await withRoom(
    db,
    writes.every((w) => w.after === null),
    attempt,
  );
  for (const change of done.changes) own.set(recordKey(change), change.after);
  return { written: done.changes.length > 0, conflicts: done.conflicts };
}

/** Two steps as one: each record from before the first to after the last that touched it. */
function merged(first: readonly Change[], second: readonly Change[]): Change[] {
  const earlier = new Map(first.map((change) => [recordKey(change), change]));
  const later = new Set(second.map(recordKey));
  const both = second.map((change) => ({
    ...change,
    before: (earlier.get(recordKey(change)) ?? change).before,
  }));
  return [...first.filter((change) => !later.has(recordKey(change))), ...both];
}

/** The last step, unless it came from a file: such a one is large, and is not read. */
async function lastByHand(db: HaloDatabase): Promise<JournalEntry | undefined> {
  const [seq] = await db.journal.orderBy('seq').reverse().limit(1).primaryKeys();
  const ofFile = db.journal.where('origin').equals('file');
  if (seq === undefined || (await ofFile.primaryKeys()).includes(seq)) return undefined;
  const last = await db.journal.get(seq);
  return last && isStep(last) ? last : undefined;
}

async function record(
  db: HaloDatabase,
  label: string,
  changes: Change[],
  { mergeKey = null, origin }: StepKind,
): Promise<void> {
  const at = Date.now();
  const last = mergeKey === null ? undefined : await lastByHand(db);
  if (last?.tab === db.tab && last.mergeKey === mergeKey && at - last.at < MERGE_MS) {
    await db.journal.update(last.seq, { at, changes: merged(last.changes, changes) });
    return;
  }
  const { tab } = db;
  await db.journal.add({ label, at, changes, undone: 0, mergeKey, tab, ...(origin && { origin }) });
  const surplus = (await db.journal.count()) - KEPT_ENTRIES;
  if (surplus > 0) {
    const oldest = await db.journal.orderBy('seq').limit(surplus).primaryKeys();
    await db.journal.bulkDelete(oldest);
  }
}

/** Names of the records that were changed here by hand, as "table/id". */
export async function changedHere(db: HaloDatabase): Promise<Set<string>> {
  const inForce = await db.journal.where('undone').equals(0).primaryKeys();
  // What came from files is large, and is not read.
  const fromFiles = new Set(await db.journal.where('origin').equals('file').primaryKeys());
  const entries = await db.journal.bulkGet(inForce.filter((seq) => !fromFiles.has(seq)));
  return new Set(
    entries.flatMap((entry) => (entry && isStep(entry) ? entry.changes.map(recordKey) : [])),
  );
}
