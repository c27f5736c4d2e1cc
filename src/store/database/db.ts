/** The workspace in the browser's own database. */
import Dexie, { type EntityTable, type PromiseExtended, type Table, type Transaction } from 'dexie';
import { newId, broughtUp, MIGRATIONS, type Migrated } from '@/core/kit';
import { SHAPE } from '@/core/kit/checks/generated/shape';
import {
  type Judgement,
  completed,
  isJson,
  type Json,
  RECORDS_VERSION,
  DEFINITIONS,
  TABLE_NAMES,
  type TableName,
  type Tables,
} from '@/core/kit/records';
import type { LightGrid } from '@/core/measure/light';
import { NOTES_TROUBLES, ofStorage } from '../troubles/ofStorage';

/** The one record of preferences that counts as part of the workspace. */
export const JUDGEMENT_ID = 'judgement';

export interface JudgementRecord extends Judgement {
  id: typeof JUDGEMENT_ID;
}

/** Where what a workspace file says beside its tables is kept, for the way out again. */
export const EXTRAS_ID = 'file-extras';

interface ExtrasRecord {
  id: typeof EXTRAS_ID;
  fields: Record<string, unknown>;
}

/** Everything a change can touch. */
export interface Records extends Tables {
  preferences: JudgementRecord | ExtrasRecord;
}
export type RecordTable = keyof Records;
export const RECORD_TABLES: readonly RecordTable[] = [...TABLE_NAMES, 'preferences'];

/** One record before and after a change; null where it was not there. */
export interface Change<T extends RecordTable = RecordTable> {
  table: T;
  id: string;
  before: Records[T] | null;
  after: Records[T] | null;
}

/** Names a record among those of all tables: "lenses/w50". */
export const recordKey = ({ table, id }: { table: string; id: string }): string => `${table}/${id}`;

/** The whole workspace as it was at a time. */
export interface Backup {
  id: number;
  at: number;
  /** What made it be kept: "before Open kit.json", or "from time to time". */
  reason: string;
  /** How many records of each table it holds. */
  counts: Record<TableName, number>;
  /** Length of its text. */
  size: number;
}

/** What a backup holds, apart from it, so that a list of backups does not read them all. */
interface BackupText {
  /** Id of the backup. */
  id: number;
  /** The workspace file; it states the version of its records and is brought up when it is read. */
  text: string;
}

/** The light of a measured frame, kept so that it can be measured anew by a better method. */
export interface KeptGrid {
  /** Id of the measurement. */
  id: string;
  /** When it was kept, ms. */
  at: number;
  grid: LightGrid;
}

export interface JournalEntry {
  seq: number;
  /** What was done, as undo says it: "Turn focal length". */
  label: string;
  at: number;
  changes: Change[];
  /** Set where records came from a file: they are not changed here then. */
  origin?: 'file';
  /** The tab it was done in; steps of before there were such have none. */
  tab?: string;
  /** 1 while taken back, 0 while in force; a number so that it can be indexed. */
  undone: 0 | 1;
  /** Changes in quick succession with the same key become one entry. */
  mergeKey: string | null;
}

/** Whether a step can be taken back: it tells its changes. */
export const isStep = (entry: { changes?: unknown }): boolean =>
  Array.isArray(entry.changes) &&
  entry.changes.every(
    (change) =>
      isJson(change) &&
      typeof change.id === 'string' &&
      RECORD_TABLES.some((table) => table === change.table) &&
      [change.before, change.after].every((side) => side === null || isJson(side)),
  );

/** Which defaults the records have been filled with: the digest of the schemas. */
interface ShapeRecord {
  id: typeof SHAPE_ID;
  shape: string;
}
const SHAPE_ID = 'shape';

/** Tables that came with a version of the records; every version from the first on is in the list. */
const STORES: Readonly<Record<number, Readonly<Record<string, string>>>> = {
  1: {
    mounts: 'id',
    bodies: 'id',
    lenses: 'id',
    parts: 'id',
    rigs: 'id',
    preferences: 'id',
    journal: '++seq, undone',
  },
  3: { markings: 'id', backups: '++id, at' },
  4: { measurements: 'id', grids: 'id, at' },
  6: { jobs: 'id' },
  7: { days: 'id' },
};

/** Since these the records are as before, and how they are kept is not. */
const APART = 5.1;
const STORES_APART = {
  // The last index answers what undo would do without reading the records a step changed.
  journal: '++seq, undone, origin, [undone+seq+label]',
  backupTexts: 'id',
};

/** The browser counts versions in whole numbers, the library in tenths. */
const TENTHS = 10;

/** Version of the database the browser holds; 0 where it holds none or does not tell. */
async function installedVersion(name: string): Promise<number> {
  if (typeof indexedDB.databases !== 'function') return 0;
  const known = await indexedDB.databases();
  return known.find((d) => d.name === name)?.version ?? 0;
}

/** Backups of before had their text with them. */
async function setTextsApart(transaction: Transaction): Promise<void> {
  const backups = transaction.table<Backup & { text?: string }, number>('backups');
  for (const id of await backups.toCollection().primaryKeys()) {
    const { text, ...backup } = (await backups.get(id)) ?? {};
    if (text === undefined) continue;
    await transaction.table<BackupText>('backupTexts').put({ id, text });
    await backups.put({ ...(backup as Backup), size: text.length });
  }
}

/** What sort of record a stored one is: which schema it has and which migrations speak of it; null for none. */
export const sortOf = (table: string, { id }: { id?: unknown }): Migrated | null => {
  if (table === 'preferences') return id === JUDGEMENT_ID ? 'judgement' : null;
  return TABLE_NAMES.find((name) => name === table) ?? null;
};

/** Tables of records there were at a version. */
const tablesAt = (version: number): readonly RecordTable[] => {
  const stores = Object.entries(STORES).flatMap(([since, tables]) =>
    Number(since) <= version ? Object.keys(tables) : [],
  );
  return RECORD_TABLES.filter((table) => stores.includes(table));
};

/** What a change makes of a record of a sort. */
type ChangeRecord = (sort: Migrated, record: Json) => Json;

/** A record changed as its sort asks for; what is none of ours stays as it is, and so does what is too damaged for it. */
export const changedBy =
  (change: ChangeRecord) =>
  <R extends Json | null>(table: string, record: R): R | Json => {
    const sort = record && sortOf(table, record);
    try {
      return record && sort ? change(sort, record) : record;
    } catch {
      return record;
    }
  };

/** Changes the records of a table; one that comes to have another id moves there, unless another has it already. */
async function changeTable(
  transaction: Transaction,
  name: RecordTable,
  change: (record: Json) => Json,
): Promise<void> {
  const table = transaction.table<Json, string>(name);
  const moved: { from: string; record: Json }[] = [];
  await table.toCollection().modify((record, ref) => {
    const next = change(record);
    if (next.id !== record.id) moved.push({ from: String(record.id), record: next });
    ref.value = { ...next, id: record.id };
  });
  for (const { from, record } of moved) {
    if (await table.get(String(record.id))) continue;
    await table.delete(from);
    await table.put(record);
    if (name === 'measurements')
      await moveGrid(transaction.table<KeptGrid, string>('grids'), from, String(record.id));
  }
}

/** The light of a measured frame goes with it. */
async function moveGrid(grids: Table<KeptGrid, string>, from: string, id: string): Promise<void> {
  const grid = await grids.get(from);
  await grids.delete(from);
  if (grid) await grids.put({ ...grid, id });
}

/** Changes every record the database holds, in its tables and in the steps of its journal. */
async function changeRecords(
  transaction: Transaction,
  tables: readonly RecordTable[],
  change: ChangeRecord,
): Promise<void> {
  const changed = changedBy(change);
  for (const table of tables)
    await changeTable(transaction, table, (record) => changed(table, record));
  await transaction
    .table<{ changes: { table: string; id: unknown; before: Json | null; after: Json | null }[] }>(
      'journal',
    )
    .toCollection()
    .modify((entry) => {
      if (!isStep(entry)) return;
      entry.changes = entry.changes.map((c) => {
        const [before, after] = [changed(c.table, c.before), changed(c.table, c.after)];
        return { ...c, id: (after ?? before)?.id ?? c.id, before, after };
      });
    });
}

export class HaloDatabase extends Dexie {
  declare mounts: Table<Records['mounts'], string>;
  declare bodies: Table<Records['bodies'], string>;
  declare lenses: Table<Records['lenses'], string>;
  declare parts: Table<Records['parts'], string>;
  declare rigs: Table<Records['rigs'], string>;
  declare markings: Table<Records['markings'], string>;
  declare measurements: Table<Records['measurements'], string>;
  declare jobs: Table<Records['jobs'], string>;
  declare days: Table<Records['days'], string>;
  declare grids: Table<KeptGrid, string>;
  declare backups: EntityTable<Backup, 'id'>;
  declare backupTexts: Table<BackupText, number>;
  declare preferences: Table<Records['preferences'], string>;
  declare journal: EntityTable<JournalEntry, 'seq'>;

  constructor(
    name = 'wandering-halo',
    /** The tab this connection belongs to: its steps are its own to undo. */
    readonly tab: string = newId(),
  ) {
    super(name);
    this.version(1).stores(STORES[1] ?? {});
    for (const { to } of MIGRATIONS) {
      this.version(to)
        .stores(STORES[to] ?? {})
        .upgrade((transaction) =>
          changeRecords(transaction, tablesAt(to), (sort, record) =>
            broughtUp(sort, record, to - 1, to),
          ),
        );
    }
    this.version(APART).stores(STORES_APART).upgrade(setTextsApart);
    this.on('ready', () => this.fillDefaults(), true);
    this.use(NOTES_TROUBLES);
  }

  /**
   * Opens the database, or refuses one of a newer program with VersionError before it is touched: the library
   * itself would fit it to what this program knows.
   */
  override open(): PromiseExtended<Dexie> {
    return Dexie.Promise.resolve(installedVersion(this.name))
      .then((version) => {
        if (version <= Math.max(APART, RECORDS_VERSION) * TENTHS) return super.open();
        this.close();
        throw new Dexie.VersionError(`version ${version} is here`);
      })
      .catch((error: unknown) => {
        throw ofStorage(error);
      });
  }

  /** Gives every record the fields its schema has come to have since it was stored. */
  private async fillDefaults(): Promise<void> {
    const shapes = this.table<ShapeRecord, string>('preferences');
    if ((await shapes.get(SHAPE_ID))?.shape === SHAPE) return;
    await this.transaction('rw', [...RECORD_TABLES, 'journal'], async (transaction) => {
      await changeRecords(transaction, RECORD_TABLES, (sort, record) =>
        completed(DEFINITIONS[sort], record),
      );
      await shapes.put({ id: SHAPE_ID, shape: SHAPE });
    });
  }

  /** Lets go of backups, each with what it holds. */
  dropBackups(ids: readonly number[]): Promise<void> {
    return this.transaction('rw', this.backups, this.backupTexts, async () => {
      await this.backups.bulkDelete([...ids]);
      await this.backupTexts.bulkDelete([...ids]);
    });
  }

  /** The table of a kind of record, as one type for code that serves them all. */
  records(table: RecordTable): Table<Records[RecordTable], string> {
    return this.table(table);
  }
}
