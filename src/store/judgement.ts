/** How corners are judged, as the database keeps it. */
import { DEFAULT_JUDGEMENT, type Judgement } from '@/core/kit/records';
import { JUDGEMENT_ID, type HaloDatabase, type JudgementRecord } from './database/db';
import { commit, edited, type Committed } from './changes/journal';

export async function readJudgement(db: HaloDatabase): Promise<Judgement> {
  const stored = await db.preferences.get(JUDGEMENT_ID);
  if (stored?.id !== JUDGEMENT_ID) return DEFAULT_JUDGEMENT;
  const { id: _, ...judgement } = stored;
  return judgement;
}

const asRecord = (judgement: Judgement): JudgementRecord => ({ ...judgement, id: JUDGEMENT_ID });

/** Changes how corners are judged from `seen`, as a step of its own. */
export const setJudgement = (
  db: HaloDatabase,
  seen: Judgement,
  judgement: Judgement,
): Promise<Committed> =>
  commit(db, 'Change the judgement', [edited('preferences', asRecord(seen), asRecord(judgement))]);
