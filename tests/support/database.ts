/** A database of its own for each test, and what tests of the store ask of it. */
import 'fake-indexeddb/auto';
import { tideMill } from '@/core/demo';
import { TABLE_NAMES, type Workspace } from '@/core/kit/records';
import { HaloDatabase } from '@/store/database/db';
import { commit } from '@/store/changes/journal';

let count = 0;

export function freshDatabase(): HaloDatabase {
  count += 1;
  return new HaloDatabase(`test-${count}`);
}

/** The workspace with its records in the order of their ids, to compare. */
export const sorted = (w: Workspace): Workspace => {
  const byId = <T extends { id: string }>(list: readonly T[]) =>
    [...list].sort((a, b) => a.id.localeCompare(b.id));
  const tables = TABLE_NAMES.map((table) => [table, byId<{ id: string }>(w[table])]);
  return { ...w, ...(Object.fromEntries(tables) as Partial<Workspace>) };
};

/** A mount of that id under another name, as one step. */
export const rename = async (
  db: HaloDatabase,
  id: string,
  name: string,
  key: string | null = null,
): Promise<boolean> => {
  const after = { ...tideMill.mounts[0]!, id, name };
  const write = { table: 'mounts', id, after } as const;
  return (await commit(db, `Rename to ${name}`, [write], { mergeKey: key })).written;
};

/** Names of the mounts there are. */
export const names = async (db: HaloDatabase) => (await db.mounts.toArray()).map((m) => m.name);
