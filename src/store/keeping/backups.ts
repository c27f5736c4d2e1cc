/** Backups inside the database: the whole workspace, from time to time and before anything large. */
import { problemText } from '@/core/words';
import { TABLE_NAMES, type TableName } from '@/core/kit/records';
import type { Backup, HaloDatabase } from '../database/db';
import { importWorkspace } from './importing';
import { isEmpty, loadWorkspaceFile } from '../database/load';

/** Reading and writing files is loaded only when a backup is kept or restored. */
const fileWork = () => import('@/core/exchange/json');

/** Time between two backups kept from time to time, ms. */
const EVERY_MS = 10 * 60 * 1000;
const DAY_MS = 24 * 60 * 60 * 1000;
/** The newest are kept one and all; of older ones the last of each day, for so many days. */
const KEPT_NEWEST = 6;
const KEPT_DAYS = 8;

/**
 * Ids of the backups that are kept no longer at `now`. They are newest in the order in which they were kept: a
 * clock that once stood wrong dates some in the future, and these must not crowd out the rest.
 */
export function surplus(backups: readonly Pick<Backup, 'id' | 'at'>[], now: number): number[] {
  const newestFirst = [...backups].sort((a, b) => b.id - a.id);
  const days = new Set<number>();
  return newestFirst.slice(KEPT_NEWEST).flatMap(({ id, at }) => {
    const day = Math.floor(at / DAY_MS);
    if (at > now || days.has(day) || days.size >= KEPT_DAYS) return [id];
    days.add(day);
    return [];
  });
}

const lastKept = (db: HaloDatabase) => db.backups.orderBy('id').last();

/** Keeps the workspace as it is now, unless it is empty or as it was; answers whether it did. */
export async function keepBackup(db: HaloDatabase, reason: string, at: number): Promise<boolean> {
  const workspace = await loadWorkspaceFile(db);
  if (isEmpty(workspace)) return false;
  const text = (await fileWork()).writeWorkspace(workspace);
  const counts = Object.fromEntries(
    TABLE_NAMES.map((table) => [table, workspace[table].length]),
  ) as Record<TableName, number>;
  return db.transaction('rw', db.backups, db.backupTexts, async () => {
    const last = await lastKept(db);
    if (last?.size === text.length && (await db.backupTexts.get(last.id))?.text === text)
      return false;
    const id = await db.backups.add({ at, reason, counts, size: text.length });
    await db.backupTexts.put({ id, text });
    await db.dropBackups(surplus(await db.backups.toArray(), at));
    return true;
  });
}

/** Keeps backups while a room is open, by `keepOne`; answers how to stop. */
export function keepBackups(
  db: HaloDatabase,
  keepOne: (reason: string) => Promise<unknown>,
): () => void {
  const keep = async () => {
    const last = await lastKept(db);
    // A clock put back leaves the last one in the future: it says nothing of how long ago that was.
    if (!last || Math.abs(Date.now() - last.at) >= EVERY_MS) await keepOne('from time to time');
  };
  // A backup that does not come about must never stand in the way; the next one may.
  const tryTo = () => void keep().catch(() => undefined);
  const first = setTimeout(tryTo, 5000);
  const timer = setInterval(tryTo, EVERY_MS / 2);
  return () => {
    clearTimeout(first);
    clearInterval(timer);
  };
}

/** The last one kept first. */
export const listBackups = async (db: HaloDatabase): Promise<Backup[]> =>
  (await db.backups.orderBy('id').toArray()).reverse();

/** Puts a backup in place of what is here, as one step that undo takes back; a sentence where it cannot. */
export async function restoreBackup(db: HaloDatabase, id: number): Promise<string | null> {
  const backup = await db.backupTexts.get(id);
  if (!backup) return 'This backup is not there any more.';
  const file = (await fileWork()).readWorkspace(backup.text, 'the backup');
  if (!file.ok) return problemText(file.problems);
  await importWorkspace(db, file.value, 'replace everything', 'Restore a backup');
  return null;
}
