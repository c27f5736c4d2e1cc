/** The demo workspace, loaded only when it is asked for. */
import type { HaloDatabase } from '../database/db';
import { rememberRig } from '../remembered/lastRig';
import { importWorkspace } from './importing';
import { isEmpty, loadWorkspace } from '../database/load';

/** Loads the demo. It adds to what is there; in an empty program it is the whole workspace. */
export async function tideMillLoader(db: HaloDatabase): Promise<void> {
  const { tideMill } = await import('@/core/demo');
  const empty = isEmpty(await loadWorkspace(db));
  await importWorkspace(
    db,
    tideMill,
    empty ? 'replace everything' : 'add and update',
    'Load the demo workspace',
  );
  const [first] = tideMill.rigs;
  if (empty && first) rememberRig(first.id);
}

/** Whether the program is served with the demo; without an answer it is not. */
async function isWanted(): Promise<boolean> {
  const answer = await fetch('/api/demo', { cache: 'no-store' });
  return answer.ok && ((await answer.json()) as { wanted?: unknown }).wanted === true;
}

/**
 * Loads the demo into a program that was never used, nothing in it and nothing undone, where it is served with the
 * demo. Answers whether it did.
 */
export async function loadDemoIfWanted(db: HaloDatabase, wanted = isWanted): Promise<boolean> {
  const isFresh = async () => isEmpty(await loadWorkspace(db)) && (await db.journal.count()) === 0;
  if (!(await isFresh()) || !(await wanted()) || !(await isFresh())) return false;
  await tideMillLoader(db);
  return true;
}
