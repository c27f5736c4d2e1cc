/** Steps of the journal taken back and done again. */
import type { IndexableTypeArray } from 'dexie';
import { isStep, type HaloDatabase, type JournalEntry } from '../database/db';
import { inOne, put } from './journal';

/** Thrown where a step does not tell what it changed any more; it is taken off the list, and nothing else was changed. */
export class BrokenStep extends Error {
  override readonly name = 'BrokenStep';
}

/** Thrown where the step to take back was done in another tab and nobody said that it is meant. */
export class StepElsewhere extends Error {
  override readonly name = 'StepElsewhere';
  constructor(
    label: string,
    readonly tab: string,
  ) {
    super(label);
  }
}

/** Goes over the step that `find` answers; answers its label, or null where there is none. */
async function over(
  db: HaloDatabase,
  find: () => Promise<JournalEntry | undefined>,
  go: (entry: JournalEntry) => Promise<void>,
): Promise<string | null> {
  const done = await inOne(db, async () => {
    const entry = await find();
    if (!entry) return null;
    if (isStep(entry)) {
      await go(entry);
      return entry.label;
    }
    await db.journal.delete(entry.seq);
    return new BrokenStep(typeof entry.label === 'string' ? entry.label : 'without a name');
  });
  // Thrown within, it would bring the step back onto the list.
  if (done instanceof BrokenStep) throw done;
  return done;
}

/**
 * Takes the last change back; answers its label, or null where there is none. One of another tab is taken back
 * only where `isMeant`.
 */
export const undo = (db: HaloDatabase, isMeant = false): Promise<string | null> =>
  over(
    db,
    () => db.journal.where('undone').equals(0).last(),
    async ({ seq, label, tab, changes }) => {
      if (!isMeant && tab !== undefined && tab !== db.tab) throw new StepElsewhere(label, tab);
      await put(db, [...changes].reverse(), 'before');
      await db.journal.update(seq, { undone: 1, mergeKey: null });
    },
  );

/** Does the last change taken back again; answers its label, or null where there is none. */
export const redo = (db: HaloDatabase): Promise<string | null> =>
  over(
    db,
    () => db.journal.where('undone').equals(1).first(),
    async ({ seq, changes }) => {
      await put(db, changes, 'after');
      await db.journal.update(seq, { undone: 0 });
    },
  );

export interface Steps {
  /** Label of the step undo would take back; null where there is none. */
  undo: string | null;
  redo: string | null;
}

/** Labels of the steps in force or taken back, oldest first; the index tells them, and no step is read. */
const labelled = (db: HaloDatabase, undone: 0 | 1) =>
  db.journal.where('[undone+seq+label]').between([undone], [undone, []]);

const firstLabel = (keys: IndexableTypeArray): string | null => {
  const [key] = keys;
  return Array.isArray(key) ? String(key[2]) : null;
};

/** What undo and redo would do now. */
export async function steps(db: HaloDatabase): Promise<Steps> {
  const [back, forward] = await Promise.all([
    labelled(db, 0).reverse().limit(1).keys(),
    labelled(db, 1).limit(1).keys(),
  ]);
  return { undo: firstLabel(back), redo: firstLabel(forward) };
}
