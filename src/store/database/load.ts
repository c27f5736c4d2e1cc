/** The whole workspace, read at one moment. */
import { TABLE_NAMES, type Workspace } from '@/core/kit/records';
import { EXTRAS_ID, type HaloDatabase } from './db';
import { readJudgement } from '../judgement';

/** All of it. */
export const loadWorkspace = (db: HaloDatabase): Promise<Workspace> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], async () => ({
    mounts: await db.mounts.toArray(),
    bodies: await db.bodies.toArray(),
    lenses: await db.lenses.toArray(),
    parts: await db.parts.toArray(),
    markings: await db.markings.toArray(),
    rigs: await db.rigs.toArray(),
    measurements: await db.measurements.toArray(),
    jobs: await db.jobs.toArray(),
    days: await db.days.toArray(),
    judgement: await readJudgement(db),
  }));

/** What a file said beside what is known here. */
export async function readExtras(db: HaloDatabase): Promise<Record<string, unknown>> {
  const stored = await db.preferences.get(EXTRAS_ID);
  return stored?.id === EXTRAS_ID ? stored.fields : {};
}

/** The workspace with all a file once said beside it, for the way out. */
export const loadWorkspaceFile = (db: HaloDatabase): Promise<Workspace> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], async () => ({
    ...(await readExtras(db)),
    ...(await loadWorkspace(db)),
  }));

export const isEmpty = (workspace: Workspace): boolean =>
  TABLE_NAMES.every((table) => workspace[table].length === 0);
