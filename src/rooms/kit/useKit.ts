'use client';
import { useMemo } from 'react';
import { newId } from '@/core/kit';
import { withValueAt, type KitTable } from '@/core/kit/fields';
import {
  stillEstimated,
  type Mount,
  type Part,
  TABLE_WORDS,
  type Tables,
} from '@/core/kit/records';
import { ofKind } from '@/core/kit/starter';
import { db } from '@/store/database/instance';
import { kept } from '@/store/keeping/keeper';
import { commit, edited, type Write } from '@/store/changes/journal';
import { stored, type Tell } from '@/shell/tell';

/** What can be done to the records of a kit; each is one step that undo takes back. */
export interface KitActions {
  /** Puts a record in, with the mounts it needs that are not here yet. */
  add: (table: KitTable, record: Tables[KitTable], mounts?: readonly Mount[]) => void;
  change: (
    table: KitTable,
    record: Tables[KitTable],
    path: string,
    label: string,
    value: unknown,
  ) => void;
  /** The same value in many records at once. */
  changeAll: (
    table: KitTable,
    records: readonly Tables[KitTable][],
    path: string,
    label: string,
    value: unknown,
  ) => void;
  duplicate: (table: KitTable, records: readonly Tables[KitTable][]) => void;
  remove: (table: KitTable, records: readonly Tables[KitTable][]) => void;
  /** Many records from a file. */
  bringIn: (label: string, writes: readonly Write[]) => Promise<void>;
}

const counted = (table: KitTable, records: readonly unknown[]): string =>
  `${records.length} ${TABLE_WORDS[table][records.length === 1 ? 0 : 1]}`;

const one = (table: KitTable, records: readonly Tables[KitTable][]): string =>
  records.length === 1 ? (records[0]?.name ?? '') : counted(table, records);

/** The record with another value, and no longer an estimate there; a part of another kind becomes one of it. */
function changed(
  record: Tables[KitTable],
  path: string,
  value: unknown,
  mounts: readonly Mount[],
): Tables[KitTable] {
  if ('frontMountId' in record && path === 'kind')
    return ofKind(record, value as Part['kind'], mounts);
  const next = withValueAt(record, path, value);
  return 'estimated' in next ? { ...next, estimated: stillEstimated(next, path) } : next;
}

const write = (table: KitTable, after: Tables[KitTable]): Write => ({ table, id: after.id, after });

export function useKit(
  mounts: readonly Mount[],
  tell: Tell,
  onOpen: (table: KitTable, id: string) => void,
): KitActions {
  return useMemo(() => {
    const run = (label: string, writes: readonly Write[]) =>
      stored(tell, () => commit(db, label, writes));
    return {
      add: (table, record, newMounts = []) => {
        const needed = newMounts.map((mount) => write('mounts', mount));
        run(`Add ${record.name}`, [...needed, write(table, record)]);
        onOpen(table, record.id);
      },
      change: (table, record, path, label, value) =>
        run(`${label} of ${record.name}`, [
          edited(table, record, changed(record, path, value, mounts)),
        ]),
      changeAll: (table, records, path, label, value) =>
        run(
          `${label} of ${counted(table, records)}`,
          records.map((record) => edited(table, record, changed(record, path, value, mounts))),
        ),
      duplicate: (table, records) => {
        const copies = records.map((record) => ({
          ...record,
          id: newId(),
          name: `${record.name.slice(0, 190)}, copy`,
        }));
        run(
          `Duplicate ${one(table, records)}`,
          copies.map((copy) => write(table, copy)),
        );
        const [first] = copies;
        if (first && copies.length === 1) onOpen(table, first.id);
      },
      remove: (table, records) => {
        run(
          `Delete ${one(table, records)}`,
          records.map(({ id }) => ({ table, id, after: null })),
        );
        tell({ kind: 'said', text: `${one(table, records)} deleted. Undo brings it back.` });
      },
      bringIn: async (label, writes) => {
        await kept((keeper) => keeper.write(label, writes));
      },
    };
  }, [mounts, tell, onOpen]);
}
