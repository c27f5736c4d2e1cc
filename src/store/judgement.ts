/** How corners are judged, as the database keeps it. */
import { DEFAULT_JUDGEMENT, type Judgement } from '@/core/kit/records/judgement';
import { JUDGEMENT_ID, type HaloDatabase } from './db';
import { commit } from './journal';

export async function readJudgement(db: HaloDatabase): Promise<Judgement> {
  const stored = await db.preferences.get(JUDGEMENT_ID);
  if (stored?.id !== JUDGEMENT_ID) return DEFAULT_JUDGEMENT;
  const { id: _, ...judgement } = stored;
  return judgement;
}

/** Changes how corners are judged, as a step of its own. */
export const setJudgement = (db: HaloDatabase, judgement: Judgement): Promise<boolean> =>
  commit(db, 'Change the judgement', [
    { table: 'preferences', id: JUDGEMENT_ID, after: { ...judgement, id: JUDGEMENT_ID } },
  ]);
