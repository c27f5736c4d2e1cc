/** The workspace in the browser's own database. */
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import type { Judgement } from '@/core/kit/judgement';
import { TABLE_NAMES, type Tables } from '@/core/kit/workspace';

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

/**
 * Version 2 knows more of parts, bodies, lenses, rigs and judgement. Records of version 1 get what is not
 * known, or is at rest, in the new places.
 */
async function fillNewFields(transaction: Transaction): Promise<void> {
  const fill = (table: string, fields: object) =>
    transaction
      .table<object, string>(table)
      .toCollection()
      .modify((record, ref) => {
        ref.value = { ...fields, ...record };
      });
  await fill('parts', { plate: null, helicoidMm: 0, shiftMm: 0 });
  await fill('bodies', { stabiliserStops: null, autofocusPoints: [], coverGlass: null });
  await fill('lenses', {
    resolutionLpMm: null,
    resolutionClass: 'good prime',
    radioactive: false,
    price: null,
  });
  await fill('preferences', { circle: 'diagonal/1500' });
  await transaction
    .table<{ settings: object }, string>('rigs')
    .toCollection()
    .modify((rig) => {
      rig.settings = { postScale: 1, shiftXMm: 0, shiftYMm: 0, helicoidMm: 0, ...rig.settings };
    });
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
    this.version(2)
      .stores({})
      .upgrade((transaction) => fillNewFields(transaction));
  }

  /** The table of a kind of record, as one type for code that serves them all. */
  records(table: RecordTable): Table<Records[RecordTable], string> {
    return this.table(table);
  }
}
