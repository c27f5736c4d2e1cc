/** What gives way where the browser has no room left. */
import type { HaloDatabase } from '../database/db';
import { isFull } from '../troubles/errorNames';

/** So many steps can still be undone where there is no room for more. */
const KEPT_IN_NEED = 20;

export async function forgetOldSteps(db: HaloDatabase): Promise<void> {
  const seqs = await db.journal.orderBy('seq').primaryKeys();
  await db.journal.bulkDelete(seqs.slice(0, -KEPT_IN_NEED));
}

/** Lets go of all backups but the newest; whether there were any. */
async function forgetOldBackups(db: HaloDatabase): Promise<boolean> {
  const old = (await db.backups.orderBy('id').primaryKeys()).slice(0, -1);
  await db.dropBackups(old);
  return old.length > 0;
}

/**
 * Where the browser has no room left older backups make some; a deletion, which makes room itself, is not
 * refused for want of it as long as old steps can make way.
 */
export async function withRoom<T>(
  db: HaloDatabase,
  isDeletion: boolean,
  attempt: (isTight: boolean) => Promise<T>,
): Promise<T> {
  try {
    return await attempt(false);
  } catch (error) {
    if (!isFull(error)) throw error;
    if (!(await forgetOldBackups(db)) && !isDeletion) throw error;
    return attempt(isDeletion);
  }
}
