/** The whole workspace, read at one moment. */
import {
  parted,
  type SetAside,
  TABLE_NAMES,
  type TableName,
  type Tables,
  withSetAside,
  type Workspace,
} from '@/core/kit/records';
import { EXTRAS_ID, type HaloDatabase } from './db';
import { readJudgement } from '../judgement';

/** The workspace, and what of it is damaged and stands in none of its lists. */
export interface Loaded {
  workspace: Workspace;
  setAside: readonly SetAside[];
}

const inOne = <T>(db: HaloDatabase, read: () => Promise<T>): Promise<T> =>
  db.transaction('r', [...TABLE_NAMES.map((t) => db.table(t)), db.preferences], read);

/** The workspace put together from its tables, as `read` answers each. */
export async function gathered(
  db: HaloDatabase,
  read: (table: TableName) => Promise<ReturnType<typeof parted>>,
): Promise<Loaded> {
  const { judgement, broken: setAside } = await readJudgement(db);
  const tables: Partial<Record<TableName, readonly Tables[TableName][]>> = {};
  for (const table of TABLE_NAMES) {
    const { whole, broken } = await read(table);
    tables[table] = whole;
    setAside.push(...broken);
  }
  return { workspace: { ...(tables as Omit<Workspace, 'judgement'>), judgement }, setAside };
}

/** All of it. */
export const loadAll = (db: HaloDatabase): Promise<Loaded> =>
  inOne(db, () =>
    gathered(db, async (table) =>
      parted(table, await db.table<Tables[TableName]>(table).toArray()),
    ),
  );

/** All of it that can be worked with. */
export const loadWorkspace = async (db: HaloDatabase): Promise<Workspace> =>
  (await loadAll(db)).workspace;

/** What a file said beside what is known here. */
export async function readExtras(db: HaloDatabase): Promise<Record<string, unknown>> {
  const stored = await db.preferences.get(EXTRAS_ID);
  return stored?.id === EXTRAS_ID ? stored.fields : {};
}

/** The workspace with all a file once said beside it, for the way out. */
export const loadWorkspaceFile = (db: HaloDatabase): Promise<Workspace> =>
  inOne(db, async () => {
    const { workspace, setAside } = await loadAll(db);
    return withSetAside({ ...(await readExtras(db)), ...workspace }, setAside);
  });

export const isEmpty = (workspace: Workspace): boolean =>
  TABLE_NAMES.every((table) => workspace[table].length === 0);
