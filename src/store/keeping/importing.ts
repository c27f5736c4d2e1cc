/** A workspace file against what is here, and in its place or beside it. */
import {
  sameValue,
  TABLE_NAMES,
  type TableName,
  type Tables,
  type Workspace,
} from '@/core/kit/records';
import {
  EXTRAS_ID,
  JUDGEMENT_ID,
  recordKey,
  type HaloDatabase,
  type JudgementRecord,
} from '../database/db';
import { commit, type Committed, type Write } from '../changes/journal';
import { isEmpty, loadWorkspace, readExtras } from '../database/load';

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
function importItems(
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
        : sameValue(own, theirs[i])
          ? 'same'
          : changedByHand.has(recordKey({ table, id }))
            ? 'conflict'
            : 'changed';
      return { table, id, name, state };
    });
  });
}

/** Records that are here and not in the file. */
const onlyHere = (here: Workspace, file: Workspace, table: TableName): number => {
  const ids = new Set(file[table].map((r) => r.id));
  return here[table].filter((r) => !ids.has(r.id)).length;
};

/** How many records of a table are in each state, and how many are not in the file. */
type ImportCounts = Record<ItemState | 'only here', number>;

/** What a file would bring, before any of it is written. */
export interface ImportPreview {
  /** Whether there is nothing here yet. */
  isFresh: boolean;
  counts: Record<TableName, ImportCounts>;
  /** Records that differ, those that were changed here as well first. */
  differing: ImportItem[];
}

const BY_URGENCY: readonly ItemState[] = ['conflict', 'changed', 'new'];

export function previewOf(
  here: Workspace,
  file: Workspace,
  changedByHand: ReadonlySet<string>,
): ImportPreview {
  const items = importItems(here, file, changedByHand);
  const counts = Object.fromEntries(
    TABLE_NAMES.map((table): [TableName, ImportCounts] => {
      const of = { new: 0, changed: 0, same: 0, conflict: 0 };
      for (const item of items) if (item.table === table) of[item.state] += 1;
      return [table, { ...of, 'only here': onlyHere(here, file, table) }];
    }),
  ) as Record<TableName, ImportCounts>;
  const differing = items
    .filter((i) => i.state !== 'same')
    .sort((a, b) => BY_URGENCY.indexOf(a.state) - BY_URGENCY.indexOf(b.state));
  return { isFresh: isEmpty(here), counts, differing };
}

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
): Promise<Committed> {
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
  const told = Object.fromEntries(Object.entries(file).filter(([key]) => !KNOWN_KEYS.has(key)));
  const fields = mode === 'replace everything' ? told : { ...(await readExtras(db)), ...told };
  const hasExtras = Object.keys(fields).length > 0;
  writes.push({
    table: 'preferences',
    id: EXTRAS_ID,
    after: hasExtras ? { id: EXTRAS_ID, fields } : null,
  });
  return commit(db, label, writes, { origin: 'file' });
}
