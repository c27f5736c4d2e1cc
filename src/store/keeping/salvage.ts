/** A workspace file out of a database the program itself cannot open or show: whatever of it can be read. */
import Dexie from 'dexie';
import { broughtUp } from '@/core/kit';
import {
  completed,
  DEFINITIONS,
  EMPTY_WORKSPACE,
  isJson,
  isWhole,
  type Json,
  RECORDS_VERSION,
  type SetAside,
  TABLE_NAMES,
  withSetAside,
  type Workspace,
  WORKSPACE_FORMAT,
} from '@/core/kit/records';
import { writeWorkspace } from '@/core/exchange/json';
import { changedBy, sortOf } from '../database/db';

type Sort = keyof typeof DEFINITIONS;

/** All records of a table that can be read; none where the table is not there. */
async function readable(db: Dexie, table: string): Promise<Json[]> {
  if (!db.tables.some(({ name }) => name === table)) return [];
  const records: unknown[] = await db
    .table<unknown>(table)
    .toArray()
    .catch(() => []);
  return records.filter(isJson);
}

/**
 * The text of a workspace file with all of a database that can be read, damaged records beside the lists; null where
 * nothing can. The database is opened as it stands and not changed. One of a newer program is told as it is, for that
 * program to read.
 */
export async function salvaged(name: string): Promise<string | null> {
  const db = new Dexie(name);
  await db.open();
  try {
    const version = Math.max(1, Math.floor(db.verno));
    const isNewer = version > RECORDS_VERSION;
    const today = changedBy((sort, record) =>
      completed(DEFINITIONS[sort], broughtUp(sort, record, version)),
    );
    const lists: Partial<Record<Sort, Json | Json[]>> = {};
    const setAside: SetAside[] = [];
    for (const table of [...TABLE_NAMES, 'preferences']) {
      for (const stored of await readable(db, table)) {
        const sort = sortOf(table, stored);
        if (sort === null) continue;
        const record = isNewer ? stored : today(table, stored);
        if (!isNewer && !isWhole(DEFINITIONS[sort], record))
          setAside.push({ table: sort, id: String(stored.id), record });
        else if (sort === 'judgement') lists.judgement = record;
        else lists[sort] = [...((lists[sort] as Json[] | undefined) ?? []), record];
      }
    }
    if (TABLE_NAMES.every((table) => !lists[table]) && setAside.length === 0) return null;
    if (isNewer)
      return `${JSON.stringify({ format: WORKSPACE_FORMAT, version, ...lists }, null, 2)}\n`;
    const workspace = { ...EMPTY_WORKSPACE, ...(lists as Partial<Workspace>) };
    return writeWorkspace(withSetAside(workspace, setAside));
  } finally {
    db.close();
  }
}
