/** The worker that touches the whole workspace at once; it ends when what it was asked is done. */
import type { Remote } from 'comlink';
import { openDoor, type Door } from '@/workers/door';
import { db } from '../database/instance';
import type { Answer, KeeperDoor } from './keeper.worker';
import { Told } from '../troubles/troubles';

export type Keeper = Door<KeeperDoor>;

export const openKeeper = (): Keeper =>
  openDoor<KeeperDoor>(
    () =>
      new Worker(new URL('./keeper.worker.ts', import.meta.url), { type: 'module', name: db.tab }),
  );

type Asked<T> = (keeper: Remote<KeeperDoor>) => Promise<Answer<T>>;

/** Asks a keeper that is open; throws Told where it did not come about. */
export async function asked<T>(keeper: Keeper, work: Asked<T>): Promise<T> {
  const answer = await keeper.ask(work);
  if (!answer.ok) throw new Told(answer.sentence);
  return answer.value;
}

/** Asks a keeper of its own. */
export async function kept<T>(work: Asked<T>): Promise<T> {
  const keeper = openKeeper();
  try {
    return await asked(keeper, work);
  } finally {
    keeper.close();
  }
}
