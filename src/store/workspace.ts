/** The whole workspace, read and replaced at once. */
import { DEFAULT_JUDGEMENT, type Judgement } from '@/core/kit/judgement';
import { TABLE_NAMES, type TableName, type Tables, type Workspace } from '@/core/kit/workspace';
import { JUDGEMENT_ID, type HaloDatabase, type JudgementRecord } from './db';
import { commit, type Write } from './journal';

export async function readJudgement(db: HaloDatabase): Promise<Judgement> {
  const stored = await db.preferences.get(JUDGEMENT_ID);
  if (!stored) return DEFAULT_JUDGEMENT;
  const { id: _, ...judgement } = stored;
  return judgement;
}

/** The gear, without the rigs put together from it. Read at one moment. */
export const loadKit = (db: HaloDatabase): Promise<Omit<Workspace, 'rigs' | 'judgement'>> =>
  db.transaction('r', [db.mounts, db.bodies, db.lenses, db.parts], async () => ({
    mounts: await db.mounts.toArray(),
    bodies: await db.bodies.toArray(),
    lenses: await db.lenses.toArray(),
    parts: await db.parts.toArray(),
  }));

export const loadWorkspace = (db: HaloDatabase): Promise<Workspace> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], async () => ({
    ...(await loadKit(db)),
    rigs: await db.rigs.toArray(),
    judgement: await readJudgement(db),
  }));

/** How a file compares with what is here, by table. */
export interface TableDifference {
  added: number;
  changed: number;
  same: number;
  /** Records that are here and not in the file. */
  onlyHere: number;
}

export type Difference = Record<TableName, TableDifference>;

const equal = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What an import would do, before it is done. */
export function difference(here: Workspace, file: Workspace): Difference {
  const of = (table: TableName): TableDifference => {
    const mine = new Map<string, Tables[TableName]>(here[table].map((r) => [r.id, r]));
    const theirs: readonly Tables[TableName][] = file[table];
    const count = { added: 0, changed: 0, same: 0, onlyHere: 0 };
    for (const record of theirs) {
      const own = mine.get(record.id);
      if (!own) count.added += 1;
      else if (equal(own, record)) count.same += 1;
      else count.changed += 1;
    }
    const ids = new Set(theirs.map((r) => r.id));
    count.onlyHere = here[table].filter((r) => !ids.has(r.id)).length;
    return count;
  };
  return {
    mounts: of('mounts'),
    bodies: of('bodies'),
    lenses: of('lenses'),
    parts: of('parts'),
    rigs: of('rigs'),
  };
}

export type ImportMode = 'add and update' | 'replace everything';

/** Brings a workspace in as one step that undo takes back: all of it or nothing. */
export async function importWorkspace(
  db: HaloDatabase,
  file: Workspace,
  mode: ImportMode,
  label: string,
): Promise<boolean> {
  const writes: Write[] = TABLE_NAMES.flatMap((table) =>
    file[table].map((after) => ({ table, id: after.id, after })),
  );
  if (mode === 'replace everything') {
    const here = await loadWorkspace(db);
    for (const table of TABLE_NAMES) {
      const ids = new Set(file[table].map((r) => r.id));
      for (const { id } of here[table]) if (!ids.has(id)) writes.push({ table, id, after: null });
    }
    const preference: JudgementRecord = { ...file.judgement, id: JUDGEMENT_ID };
    writes.push({ table: 'preferences', id: JUDGEMENT_ID, after: preference });
  }
  return commit(db, label, writes);
}

/** Changes how corners are judged, as a step of its own. */
export const setJudgement = (db: HaloDatabase, judgement: Judgement): Promise<boolean> =>
  commit(db, 'Change the judgement', [
    { table: 'preferences', id: JUDGEMENT_ID, after: { ...judgement, id: JUDGEMENT_ID } },
  ]);

export const isEmpty = (workspace: Workspace): boolean =>
  TABLE_NAMES.every((table) => workspace[table].length === 0);
