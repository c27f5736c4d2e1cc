/**
 * The workspace as it is stored, held in memory: read once, then record by record as they change, in this tab
 * or another. What did not change stays the very same object.
 */
import {
  parted,
  sameValue,
  type SetAside,
  TABLE_NAMES,
  type TableName,
  type Tables,
  type Workspace,
} from '@/core/kit/records';
import Dexie, { RangeSet, type ObservabilitySet } from 'dexie';
import type { HaloDatabase } from './db';
import { readJudgement } from '../judgement';
import { gathered, type Loaded } from './load';
import { ofStorage } from '../troubles/ofStorage';
import { INTERRUPTED, troubleSentence } from '../troubles/troubles';

export type OpenWorkspace =
  { state: 'opening' } | ({ state: 'open' } & Loaded) | { state: 'failed'; sentence: string };

export interface Mirror {
  current: () => OpenWorkspace;
  /** Calls `onChange` after each change; answers how to stop. The first one opens the database. */
  subscribe: (onChange: () => void) => () => void;
}

/** Records are read so many at a time, so that the screen stays alive meanwhile. */
const AT_A_TIME = 250;
/** Where more than these changed at once, the whole table is read. */
const MOST_SINGLY = 400;

type AnyRecord = Tables[TableName];
type Parted = ReturnType<typeof parted>;

/** Rigs go by their name, all else by id, as the database has it. */
const ordered = (table: TableName, records: readonly AnyRecord[]): AnyRecord[] =>
  table === 'rigs'
    ? records.toSorted((a, b) => a.name.localeCompare(b.name))
    : records.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** `read` in the order of its table, the objects held wherever they say the same; all of `held` where it is the same. */
function asHeld(
  table: TableName,
  held: readonly AnyRecord[],
  read: readonly AnyRecord[],
): readonly AnyRecord[] {
  const known = new Map(held.map((r) => [r.id, r]));
  const records = ordered(
    table,
    read.map((r) => {
      const before = known.get(r.id);
      return before && sameValue(before, r) ? before : r;
    }),
  );
  const isSame = records.length === held.length && records.every((r, i) => r === held[i]);
  return isSame ? held : records;
}

/** All records of a table; damaged ones apart. */
async function readTable(db: HaloDatabase, table: TableName): Promise<Parted> {
  const all: Parted = { whole: [], broken: [] };
  for (let last = ''; ;) {
    const some = await db
      .table<AnyRecord>(table)
      .where(':id')
      .above(last)
      .limit(AT_A_TIME)
      .toArray();
    const { whole, broken } = parted(table, some);
    all.whole.push(...whole);
    all.broken.push(...broken);
    const end = some.at(-1);
    if (!end || some.length < AT_A_TIME) return all;
    last = end.id;
  }
}

/** A table as held, with some of its records read anew; damaged ones apart. */
async function readAnew(
  db: HaloDatabase,
  table: TableName,
  held: Loaded,
  ids: readonly string[],
): Promise<Parted> {
  const found = await db.table<AnyRecord>(table).bulkGet([...ids]);
  const changed = new Set(ids);
  const { whole, broken } = parted(
    table,
    found.flatMap((r) => r ?? []),
  );
  return {
    whole: [...held.workspace[table].filter((r) => !changed.has(r.id)), ...whole],
    broken: [...setAsideOf(held, table).filter(({ id }) => !changed.has(id)), ...broken],
  };
}

const setAsideOf = ({ setAside }: Loaded, table: SetAside['table']): SetAside[] =>
  setAside.filter((broken) => broken.table === table);

/** Ids of the records of a table a change touched; 'all' where it does not tell them one by one. */
function touched(db: HaloDatabase, table: string, parts: ObservabilitySet): 'all' | string[] {
  if ('all' in parts) return 'all';
  const ranges = parts[`idb://${db.name}/${table}/`];
  const ids: string[] = [];
  for (const { from, to } of ranges ? new RangeSet().add(ranges) : []) {
    if (from !== to || typeof from !== 'string' || ids.length >= MOST_SINGLY) return 'all';
    ids.push(from);
  }
  return ids;
}

/** What a change in the database makes of what is held; null where that is as it was. */
async function withChanges(
  db: HaloDatabase,
  held: Loaded,
  parts: ObservabilitySet,
): Promise<Loaded | null> {
  const workspace: Workspace = { ...held.workspace };
  let { setAside } = held;
  let differs = false;
  const take = (table: SetAside['table'], broken: readonly SetAside[]) => {
    if (sameValue(setAsideOf(held, table), broken)) return;
    setAside = [...setAside.filter((one) => one.table !== table), ...broken];
    differs = true;
  };
  for (const table of TABLE_NAMES) {
    const ids = touched(db, table, parts);
    if (ids.length === 0) continue;
    const { whole, broken } =
      ids === 'all' ? await readTable(db, table) : await readAnew(db, table, held, ids);
    const records = asHeld(table, held.workspace[table], whole);
    differs ||= records !== held.workspace[table];
    Object.assign(workspace, { [table]: records });
    take(table, broken);
  }
  if (touched(db, 'preferences', parts).length > 0) {
    const { judgement, broken } = await readJudgement(db);
    take('judgement', broken);
    if (!sameValue(judgement, held.workspace.judgement)) {
      workspace.judgement = judgement;
      differs = true;
    }
  }
  return differs ? { workspace, setAside } : null;
}

const readWhole = (db: HaloDatabase): Promise<Loaded> =>
  gathered(db, async (table) => {
    const { whole, broken } = await readTable(db, table);
    return { whole: ordered(table, whole), broken };
  });

/** A mirror of a database; it opens it when somebody first looks. */
export function mirrorOf(db: HaloDatabase): Mirror {
  let state: OpenWorkspace = { state: 'opening' };
  let isStarted = false;
  const listeners = new Set<() => void>();
  const settle = (next: OpenWorkspace) => {
    state = next;
    for (const listener of listeners) listener();
  };
  // One after the other: a change is read once all before it is held.
  let last: Promise<void> = Promise.resolve();
  const inTurn = (work: () => Promise<Loaded | null>) => {
    last = last
      .then(work)
      .then((held) => {
        if (held) settle({ state: 'open', ...held });
      })
      // All that is done here is to read the database.
      .catch((error: unknown) =>
        settle({ state: 'failed', sentence: troubleSentence(ofStorage(error)) }),
      );
  };
  const isOf = (part: string) => part === 'all' || part.startsWith(`idb://${db.name}/`);
  const interrupted = (kind: keyof typeof INTERRUPTED) =>
    settle({ state: 'failed', sentence: INTERRUPTED[kind] });
  const start = () => {
    isStarted = true;
    db.on('versionchange', ({ newVersion }) => interrupted(newVersion ? 'newer' : 'deleted'));
    // It is closed after the others too, and by ourselves.
    db.on('close', () => {
      if (state.state === 'open') interrupted('closed');
    });
    db.on('blocked', () => interrupted('blocked'));
    Dexie.on('storagemutated', (parts) => {
      if (!Object.keys(parts).some(isOf)) return;
      inTurn(async () => (state.state === 'open' ? withChanges(db, state, parts) : null));
    });
    inTurn(async () => {
      await db.open();
      return readWhole(db);
    });
  };
  return {
    current: () => state,
    subscribe: (onChange) => {
      listeners.add(onChange);
      if (!isStarted) start();
      return () => listeners.delete(onChange);
    },
  };
}
