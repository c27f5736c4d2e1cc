/** The whole workspace, read at one moment. */
import {
  isJson,
  TABLE_NAMES,
  type TableName,
  type Tables,
  type Workspace,
} from '@/core/kit/records';
import { EXTRAS_ID, type HaloDatabase, recordKey } from './db';
import { readJudgement } from '../judgement';
import { parted, type SetAside } from './setAside';

/** The workspace, and what of it is damaged and stands in none of its lists. */
export interface Loaded {
  workspace: Workspace;
  setAside: SetAside[];
}

const inOne = <T>(db: HaloDatabase, read: () => Promise<T>): Promise<T> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], read);

/** All of it. */
export const loadAll = (db: HaloDatabase): Promise<Loaded> =>
  inOne(db, async () => {
    const { judgement, broken: setAside } = await readJudgement(db);
    const tables: Partial<Record<TableName, readonly Tables[TableName][]>> = {};
    for (const table of TABLE_NAMES) {
      const { whole, broken } = parted(table, await db.table<Tables[TableName]>(table).toArray());
      tables[table] = whole;
      setAside.push(...broken);
    }
    return { workspace: { ...(tables as Omit<Workspace, 'judgement'>), judgement }, setAside };
  });

/** All of it that can be worked with. */
export const loadWorkspace = async (db: HaloDatabase): Promise<Workspace> =>
  (await loadAll(db)).workspace;

/** What a file said beside what is known here. */
export async function readExtras(db: HaloDatabase): Promise<Record<string, unknown>> {
  const stored = await db.preferences.get(EXTRAS_ID);
  return stored?.id === EXTRAS_ID ? stored.fields : {};
}

/**
 * What is damaged goes into files as it is, beside the lists: a file is read whole or not at all. What a file brought
 * so once goes out again too.
 */
export function withSetAside(workspace: Workspace, setAside: readonly SetAside[]): Workspace {
  if (setAside.length === 0) return workspace;
  const { setAside: brought } = workspace as { setAside?: unknown };
  const keys = new Set(setAside.map(recordKey));
  const others = (Array.isArray(brought) ? (brought as unknown[]) : []).filter(
    (one) => !isJson(one) || !keys.has(`${String(one.table)}/${String(one.id)}`),
  );
  return { ...workspace, ...{ setAside: [...others, ...setAside] } };
}

/** The workspace with all a file once said beside it, for the way out. */
export const loadWorkspaceFile = (db: HaloDatabase): Promise<Workspace> =>
  inOne(db, async () => {
    const { workspace, setAside } = await loadAll(db);
    return withSetAside({ ...(await readExtras(db)), ...workspace }, setAside);
  });

export const isEmpty = (workspace: Workspace): boolean =>
  TABLE_NAMES.every((table) => workspace[table].length === 0);
