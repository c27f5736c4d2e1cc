/** How much was changed since the workspace was last saved to a file: a database can be lost with all its backups. */
import type { HaloDatabase } from '../database/db';
import { recall, remember } from '../remembered/remembered';

const KEY = 'wandering-halo-saved';

/** Number of the last step that went into a file; 0 where none was saved. */
const savedUpTo = (): number => Number(recall(KEY) ?? 0);

/** Tells that all there is now stands in a file. */
export async function rememberSaved(db: HaloDatabase): Promise<void> {
  const [last] = await db.journal.orderBy('seq').reverse().limit(1).primaryKeys();
  remember(KEY, String(last ?? 0));
}

/** Steps in force that no file holds. */
export const unsavedSteps = (db: HaloDatabase): Promise<number> =>
  db.journal
    .where('[undone+seq+label]')
    .between([0, savedUpTo() + 1], [0, []])
    .count();
