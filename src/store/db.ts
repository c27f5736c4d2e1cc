/** The workspace in the browser's own database. */
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Judgement } from '@/core/kit/judgement';
import { TABLE_NAMES, type TableName, type Tables } from '@/core/kit/workspace';

/** The one record of preferences that counts as part of the workspace. */
export const JUDGEMENT_ID = 'judgement';

export interface JudgementRecord extends Judgement {
  id: typeof JUDGEMENT_ID;
}

/** Everything a change can touch. */
export interface Records extends Tables {
  preferences: JudgementRecord;
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

export interface JournalEntry {
  seq: number;
  /** What was done, as undo says it: "Turn focal length". */
  label: string;
  at: number;
  changes: Change[];
  /** 1 while taken back, 0 while in force; a number so that it can be indexed. */
  undone: 0 | 1;
  /** Changes in quick succession with the same key become one entry. */
  mergeKey: string | null;
}

export class HaloDatabase extends Dexie {
  declare mounts: Table<Records['mounts'], string>;
  declare bodies: Table<Records['bodies'], string>;
  declare lenses: Table<Records['lenses'], string>;
  declare parts: Table<Records['parts'], string>;
  declare rigs: Table<Records['rigs'], string>;
  declare preferences: Table<JudgementRecord, string>;
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
  }

  /** The table of a kind of record, as one type for code that serves them all. */
  records(table: RecordTable): Table<Records[RecordTable], string> {
    return this.table(table);
  }
}

export type { TableName };
