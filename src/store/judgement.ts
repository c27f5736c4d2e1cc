/** How corners are judged, as the database keeps it. */
import {
  DEFAULT_JUDGEMENT,
  isWhole,
  type Judgement,
  judgementSchema,
  type SetAside,
} from '@/core/kit/records';
import { JUDGEMENT_ID, type HaloDatabase, type JudgementRecord } from './database/db';
import { commit, edited, type Committed } from './changes/journal';

/** How corners are judged; as usual, and what is stored set aside, where that is damaged. */
export async function readJudgement(
  db: HaloDatabase,
): Promise<{ judgement: Judgement; broken: SetAside[] }> {
  const stored = await db.preferences.get(JUDGEMENT_ID);
  if (stored?.id !== JUDGEMENT_ID) return { judgement: DEFAULT_JUDGEMENT, broken: [] };
  const { id, ...judgement } = stored;
  return isWhole(judgementSchema, judgement)
    ? { judgement, broken: [] }
    : { judgement: DEFAULT_JUDGEMENT, broken: [{ table: 'judgement', id, record: stored }] };
}

const asRecord = (judgement: Judgement): JudgementRecord => ({ ...judgement, id: JUDGEMENT_ID });

/** Changes how corners are judged from `seen`, as a step of its own. */
export const setJudgement = (
  db: HaloDatabase,
  seen: Judgement,
  judgement: Judgement,
): Promise<Committed> =>
  commit(db, 'Change the judgement', [edited('preferences', asRecord(seen), asRecord(judgement))]);
