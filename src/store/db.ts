/** The workspace in the browser's own database. */
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import type { Judgement } from '@/core/kit/records/judgement';
import type { LightGrid } from '@/core/measure/light/lightGrid';
import { TABLE_NAMES, type TableName, type Tables } from '@/core/kit/records/workspace';

/** The one record of preferences that counts as part of the workspace. */
export const JUDGEMENT_ID = 'judgement';

export interface JudgementRecord extends Judgement {
  id: typeof JUDGEMENT_ID;
}

/** Where what a workspace file says beside its tables is kept, for the way out again. */
export const EXTRAS_ID = 'file-extras';

export interface ExtrasRecord {
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

/** The whole workspace as it was at a time. */
export interface Backup {
  id: number;
  at: number;
  /** What made it be kept: "before Open kit.json", or "from time to time". */
  reason: string;
  /** How many records of each table it holds. */
  counts: Record<TableName, number>;
  /** The workspace file. */
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
  /** 1 while taken back, 0 while in force; a number so that it can be indexed. */
  undone: 0 | 1;
  /** Changes in quick succession with the same key become one entry. */
  mergeKey: string | null;
}

/** Gives every record of a table the fields it has not got. */
const fill = (transaction: Transaction, table: string, fields: object) =>
  transaction
    .table<object, string>(table)
    .toCollection()
    .modify((record, ref) => {
      ref.value = { ...fields, ...record };
    });

/**
 * Version 2 knows more of parts, bodies, lenses, rigs and judgement. Records of version 1 get what is not
 * known, or is at rest, in the new places.
 */
async function fillNewFields(transaction: Transaction): Promise<void> {
  await fill(transaction, 'parts', { plate: null, helicoidMm: 0, shiftMm: 0 });
  await fill(transaction, 'bodies', {
    stabiliserStops: null,
    autofocusPoints: [],
    coverGlass: null,
  });
  await fill(transaction, 'lenses', {
    resolutionLpMm: null,
    resolutionClass: 'good prime',
    radioactive: false,
    price: null,
  });
  await fill(transaction, 'preferences', { circle: 'diagonal/1500' });
  await transaction
    .table<{ settings: object }, string>('rigs')
    .toCollection()
    .modify((rig) => {
      rig.settings = { postScale: 1, shiftXMm: 0, shiftYMm: 0, helicoidMm: 0, ...rig.settings };
    });
}

/** Version 3 knows threads of mounts, mirrors, masses and prices, where data came from, and markings. */
async function fillSources(transaction: Transaction): Promise<void> {
  await fill(transaction, 'mounts', { threadMm: null, pitchMm: null, licence: '' });
  await fill(transaction, 'bodies', {
    mirrorDepthMm: null,
    massG: null,
    price: null,
    priceNew: null,
    licence: '',
  });
  await fill(transaction, 'lenses', { priceNew: null, estimated: [], licence: '' });
  await fill(transaction, 'parts', { price: null, priceNew: null });
}

export class HaloDatabase extends Dexie {
  declare mounts: Table<Records['mounts'], string>;
  declare bodies: Table<Records['bodies'], string>;
  declare lenses: Table<Records['lenses'], string>;
  declare parts: Table<Records['parts'], string>;
  declare rigs: Table<Records['rigs'], string>;
  declare markings: Table<Records['markings'], string>;
  declare measurements: Table<Records['measurements'], string>;
  declare grids: Table<KeptGrid, string>;
  declare backups: EntityTable<Backup, 'id'>;
  declare preferences: Table<Records['preferences'], string>;
  declare journal: EntityTable<JournalEntry, 'seq'>;

  constructor(name = 'wandering-halo') {
    super(name);
    this.version(1).stores({
      mounts: 'id',
      bodies: 'id',
      lenses: 'id',
      parts: 'id',
      rigs: 'id',
      preferences: 'id',
      journal: '++seq, undone',
    });
    this.version(2)
      .stores({})
      .upgrade((transaction) => fillNewFields(transaction));
    this.version(3)
      .stores({ markings: 'id', backups: '++id, at' })
      .upgrade((transaction) => fillSources(transaction));
    this.version(4).stores({ measurements: 'id', grids: 'id, at' });
  }

  /** The table of a kind of record, as one type for code that serves them all. */
  records(table: RecordTable): Table<Records[RecordTable], string> {
    return this.table(table);
  }
}
