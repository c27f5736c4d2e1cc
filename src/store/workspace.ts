/** The whole workspace, read and replaced at once. */
import { DEFAULT_JUDGEMENT, type Judgement } from '@/core/kit/records/judgement';
import {
  TABLE_NAMES,
  type TableName,
  type Tables,
  type Workspace,
} from '@/core/kit/records/workspace';
import { EXTRAS_ID, JUDGEMENT_ID, type HaloDatabase, type JudgementRecord } from './db';
import { commit, type Write } from './journal';

export async function readJudgement(db: HaloDatabase): Promise<Judgement> {
  const stored = await db.preferences.get(JUDGEMENT_ID);
  if (stored?.id !== JUDGEMENT_ID) return DEFAULT_JUDGEMENT;
  const { id: _, ...judgement } = stored;
  return judgement;
}

/** The gear, without the rigs put together from it. Read at one moment. */
export const loadKit = (
  db: HaloDatabase,
): Promise<Omit<Workspace, 'rigs' | 'measurements' | 'judgement'>> =>
  db.transaction('r', [db.mounts, db.bodies, db.lenses, db.parts, db.markings], async () => ({
    mounts: await db.mounts.toArray(),
    bodies: await db.bodies.toArray(),
    lenses: await db.lenses.toArray(),
    parts: await db.parts.toArray(),
    markings: await db.markings.toArray(),
  }));

export const loadWorkspace = (db: HaloDatabase): Promise<Workspace> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], async () => ({
    ...(await loadKit(db)),
    rigs: await db.rigs.toArray(),
    measurements: await db.measurements.toArray(),
    judgement: await readJudgement(db),
  }));

/** What a file said beside what is known here. */
async function readExtras(db: HaloDatabase): Promise<Record<string, unknown>> {
  const stored = await db.preferences.get(EXTRAS_ID);
  return stored?.id === EXTRAS_ID ? stored.fields : {};
}

/** The workspace with all a file once said beside it, for the way out. */
export const loadWorkspaceFile = (db: HaloDatabase): Promise<Workspace> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], async () => ({
    ...(await readExtras(db)),
    ...(await loadWorkspace(db)),
  }));

const KNOWN_KEYS = new Set<string>([...TABLE_NAMES, 'judgement', 'format', 'version']);

/** How one record of a file compares with what is here. */
export type ItemState =
  | 'new'
  | 'changed'
  | 'same'
  /** It differs, and was changed here by hand as well. */
  | 'conflict';

export interface ImportItem {
  table: TableName;
  id: string;
  name: string;
  state: ItemState;
}

/** What an import would meet, record by record; `changedByHand` names records as "table/id". */
export function importItems(
  here: Workspace,
  file: Workspace,
  changedByHand: ReadonlySet<string>,
): ImportItem[] {
  return TABLE_NAMES.flatMap((table) => {
    const mine = new Map<string, Tables[TableName]>(here[table].map((r) => [r.id, r]));
    const theirs: readonly Tables[TableName][] = file[table];
    return theirs.map(({ id, name }, i): ImportItem => {
      const own = mine.get(id);
      const state: ItemState = !own
        ? 'new'
        : equal(own, theirs[i])
          ? 'same'
          : changedByHand.has(`${table}/${id}`)
            ? 'conflict'
            : 'changed';
      return { table, id, name, state };
    });
  });
}

const equal = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Records that are here and not in the file. */
export const onlyHere = (here: Workspace, file: Workspace, table: TableName): number => {
  const ids = new Set(file[table].map((r) => r.id));
  return here[table].filter((r) => !ids.has(r.id)).length;
};

export type ImportMode = 'add and update' | 'replace everything';

/**
 * Brings a workspace in as one step that undo takes back: all of it or nothing. Records that `takes` turns
 * down stay as they are here.
 */
export async function importWorkspace(
  db: HaloDatabase,
  file: Workspace,
  mode: ImportMode,
  label: string,
  takes: (table: TableName, id: string) => boolean = () => true,
): Promise<boolean> {
  const writes: Write[] = TABLE_NAMES.flatMap((table) =>
    file[table]
      .filter(({ id }) => takes(table, id))
      .map((after) => ({ table, id: after.id, after })),
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
  const extras = Object.entries(file).filter(([key]) => !KNOWN_KEYS.has(key));
  if (extras.length > 0) {
    const fields = { ...(await readExtras(db)), ...Object.fromEntries(extras) };
    writes.push({ table: 'preferences', id: EXTRAS_ID, after: { id: EXTRAS_ID, fields } });
  }
  return commit(db, label, writes, { origin: 'file' });
}

/** Changes how corners are judged, as a step of its own. */
export const setJudgement = (db: HaloDatabase, judgement: Judgement): Promise<boolean> =>
  commit(db, 'Change the judgement', [
    { table: 'preferences', id: JUDGEMENT_ID, after: { ...judgement, id: JUDGEMENT_ID } },
  ]);

export const isEmpty = (workspace: Workspace): boolean =>
  TABLE_NAMES.every((table) => workspace[table].length === 0);
