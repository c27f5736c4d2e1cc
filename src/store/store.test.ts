import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { tideMill } from '@/core/demo/tideMill';
import { readWorkspace, writeWorkspace } from '@/core/exchange/workspaceJson';
import type { KitTable } from '@/core/kit/fields/fieldTypes';
import { checkRecord } from '@/core/kit/checks/validate';
import {
  RECORD_SCHEMAS,
  EMPTY_WORKSPACE,
  WORKSPACE_FORMAT,
  type Workspace,
} from '@/core/kit/records/workspace';
import { arbitraryOf } from '../../tests/support/arbitraries';
import { keepBackup, listBackups, restoreBackup, surplus } from './backups';
import { HaloDatabase } from './db';
import { changedHere, commit, redo, steps, undo } from './journal';
import { troubleSentence } from './troubles';
import { importItems, importWorkspace, onlyHere } from './importing';
import { isEmpty, loadWorkspace, loadWorkspaceFile } from './load';
import { setJudgement } from './judgement';

let db: HaloDatabase;
let count = 0;

beforeEach(() => {
  count += 1;
  db = new HaloDatabase(`test-${count}`);
});

const sorted = (w: Workspace): Workspace => {
  const byId = <T extends { id: string }>(list: T[]) =>
    [...list].sort((a, b) => a.id.localeCompare(b.id));
  return {
    ...w,
    mounts: byId(w.mounts),
    bodies: byId(w.bodies),
    lenses: byId(w.lenses),
    parts: byId(w.parts),
    rigs: byId(w.rigs),
    markings: byId(w.markings),
  };
};
const rename = (id: string, name: string, key: string | null = null) =>
  commit(
    db,
    `Rename to ${name}`,
    [{ table: 'mounts', id, after: { ...tideMill.mounts[0]!, id, name } }],
    { mergeKey: key },
  );
const names = async () => (await db.mounts.toArray()).map((m) => m.name);

describe('the journal', () => {
  it('takes back and does again, in order', async () => {
    await rename('a', 'first');
    await rename('a', 'second');
    expect(await steps(db)).toEqual({ undo: 'Rename to second', redo: null });
    expect(await undo(db)).toBe('Rename to second');
    expect(await names()).toEqual(['first']);
    expect(await undo(db)).toBe('Rename to first');
    expect(await names()).toEqual([]);
    expect(await undo(db)).toBeNull();
    expect(await redo(db)).toBe('Rename to first');
    expect(await redo(db)).toBe('Rename to second');
    expect(await names()).toEqual(['second']);
    expect(await redo(db)).toBeNull();
  });

  it('forgets what was taken back once something new is done', async () => {
    await rename('a', 'first');
    await undo(db);
    await rename('a', 'other');
    expect(await steps(db)).toEqual({ undo: 'Rename to other', redo: null });
  });

  it('makes one step of quick changes with the same key', async () => {
    await rename('a', 'start');
    for (const name of ['b', 'bc', 'bcd']) await rename('a', name, 'typing');
    await undo(db);
    expect(await names()).toEqual(['start']);
    await redo(db);
    expect(await names()).toEqual(['bcd']);
  });

  it('writes nothing when nothing differs', async () => {
    expect(await rename('a', 'first')).toBe(true);
    expect(await rename('a', 'first')).toBe(false);
    expect(await db.journal.count()).toBe(1);
  });

  it('keeps a bounded history', async () => {
    for (let i = 0; i < 410; i += 1) await rename('a', `name ${i}`);
    expect(await db.journal.count()).toBe(400);
  });

  it('leaves everything as it was when one write of several fails', async () => {
    await rename('a', 'first');
    const broken = { ...tideMill.mounts[0]!, id: 'b', bad: () => 0 };
    const writes = [
      { table: 'mounts' as const, id: 'a', after: null },
      { table: 'mounts' as const, id: 'b', after: broken },
    ];
    await expect(commit(db, 'Break', writes)).rejects.toThrow();
    expect(await names()).toEqual(['first']);
    expect(await db.journal.count()).toBe(1);
  });
});

describe('importing a workspace', () => {
  it('fills an empty one, and undo empties it again', async () => {
    await importWorkspace(db, tideMill, 'add and update', 'Load the demo');
    expect(sorted(await loadWorkspace(db))).toEqual(sorted(tideMill));
    await undo(db);
    expect(isEmpty(await loadWorkspace(db))).toBe(true);
  });

  it('adds and updates without removing', async () => {
    await rename('mine', 'my own mount');
    await importWorkspace(db, tideMill, 'add and update', 'Open');
    expect(await names()).toContain('my own mount');
  });

  it('replaces everything, preferences too, as one step', async () => {
    await rename('mine', 'my own mount');
    const strict = { ...tideMill, judgement: { ...tideMill.judgement, school: 'strict' as const } };
    await importWorkspace(db, strict, 'replace everything', 'Open');
    expect(sorted(await loadWorkspace(db))).toEqual(sorted(strict));
    await undo(db);
    expect(await names()).toEqual(['my own mount']);
  });

  it('says beforehand what is new, changed, the same and only here', async () => {
    await importWorkspace(db, tideMill, 'add and update', 'Load');
    const file: Workspace = {
      ...EMPTY_WORKSPACE,
      mounts: [
        tideMill.mounts[0]!,
        { ...tideMill.mounts[1]!, name: 'renamed' },
        { ...tideMill.mounts[2]!, id: 'new' },
      ],
    };
    await rename(tideMill.mounts[3]!.id, 'renamed here');
    const here = await loadWorkspace(db);
    const both = {
      ...file,
      mounts: [...file.mounts, { ...tideMill.mounts[3]!, name: 'renamed there' }],
    };
    const items = importItems(here, both, await changedHere(db));
    expect(items.map((i) => i.state)).toEqual(['same', 'changed', 'new', 'conflict']);
    expect(onlyHere(here, both, 'mounts')).toBe(tideMill.mounts.length - 3);
    expect(onlyHere(here, both, 'rigs')).toBe(tideMill.rigs.length);
  });

  it('takes only what is chosen, one by one', async () => {
    await importWorkspace(db, tideMill, 'add and update', 'Load');
    const renamed = tideMill.mounts.map((m) => ({ ...m, name: `${m.name}, new` }));
    const file = { ...EMPTY_WORKSPACE, mounts: renamed };
    const [first] = renamed;
    await importWorkspace(db, file, 'add and update', 'Open', (_, id) => id === first!.id);
    expect((await db.mounts.get(first!.id))?.name).toBe(first!.name);
    expect(await db.mounts.get(renamed[1]!.id)).toEqual(tideMill.mounts[1]);
  });

  it('keeps what a newer program put into the file, for the way out again', async () => {
    const text = JSON.stringify({
      ...JSON.parse(writeWorkspace(tideMill)),
      futureTable: [{ id: 1 }],
      mounts: [{ ...tideMill.mounts[0]!, futureFact: 'kept' }],
    });
    const file = readWorkspace(text);
    if (!file.ok) throw new Error(file.problems[0]?.sentence);
    await importWorkspace(db, file.value, 'replace everything', 'Open');
    const out = JSON.parse(writeWorkspace(await loadWorkspaceFile(db))) as Record<string, unknown>;
    expect(out.futureTable).toEqual([{ id: 1 }]);
    expect(out.mounts).toEqual([{ ...tideMill.mounts[0]!, futureFact: 'kept' }]);
  });

  it('any workspace goes through the database and out again without loss', async () => {
    const anyRecords = (table: KitTable) =>
      fc
        .array(arbitraryOf(RECORD_SCHEMAS[table]), { maxLength: 3 })
        .map((records) => records.map((r, i) => ({ ...(r as object), id: `${table}-${i}` })));
    const kits = fc.record({
      mounts: anyRecords('mounts'),
      lenses: anyRecords('lenses'),
      bodies: anyRecords('bodies'),
      parts: anyRecords('parts'),
      markings: anyRecords('markings'),
      unknownTable: fc.jsonValue(),
    });
    let round = 0;
    await fc.assert(
      fc.asyncProperty(kits, async (kit) => {
        const text = JSON.stringify({ format: WORKSPACE_FORMAT, version: 1, ...kit });
        const file = readWorkspace(text);
        // Kits that contradict themselves are refused as a whole; that is tested elsewhere.
        fc.pre(file.ok);
        round += 1;
        const into = new HaloDatabase(`round-${round}`);
        await importWorkspace(into, file.value, 'replace everything', 'Open');
        const out = readWorkspace(writeWorkspace(await loadWorkspaceFile(into)));
        into.close();
        expect(out).toEqual(file);
      }),
      { numRuns: 25 },
    );
  });
});

describe('backups', () => {
  const at = (day: number, hour = 0) => (day * 24 + hour) * 3_600_000;

  it('keep what there is, once, and bring it back as a step that undo takes back', async () => {
    expect(await keepBackup(db, 'from time to time', at(1))).toBe(false);
    await importWorkspace(db, tideMill, 'replace everything', 'Load');
    expect(await keepBackup(db, 'from time to time', at(1))).toBe(true);
    expect(await keepBackup(db, 'from time to time', at(2))).toBe(false);
    const [backup] = await listBackups(db);
    expect(backup!.counts).toMatchObject({ lenses: tideMill.lenses.length, rigs: 14 });
    await commit(
      db,
      'Delete all',
      tideMill.lenses.map(({ id }) => ({ table: 'lenses', id, after: null })),
    );
    expect(await restoreBackup(db, backup!.id)).toBeNull();
    expect(sorted(await loadWorkspace(db))).toEqual(sorted(tideMill));
    expect(await undo(db)).toBe('Restore a backup');
    expect(await db.lenses.count()).toBe(0);
  });

  it('the newest six are kept, of older ones the last of each day for eight days', () => {
    const kept = (list: { id: number; at: number }[]) => {
      const gone = new Set(surplus(list));
      return list.filter((b) => !gone.has(b.id)).map((b) => b.id);
    };
    const hourly = Array.from({ length: 12 }, (_, i) => ({ id: i, at: at(20, i) }));
    const daily = Array.from({ length: 12 }, (_, i) => ({ id: 100 + i, at: at(i + 1, 9) }));
    expect(kept(hourly)).toEqual([5, 6, 7, 8, 9, 10, 11]);
    expect(kept([...daily, ...hourly])).toEqual([
      105, 106, 107, 108, 109, 110, 111, 5, 6, 7, 8, 9, 10, 11,
    ]);
  });

  it('one that is gone says so', async () => {
    expect(await restoreBackup(db, 99)).toBe('This backup is not there any more.');
  });
});

describe.each([1, 2] as const)('a database written by the schema of version %i', (version) => {
  const STORES = {
    mounts: 'id',
    bodies: 'id',
    lenses: 'id',
    parts: 'id',
    rigs: 'id',
    preferences: 'id',
    journal: '++seq, undone',
  };
  type Dump = Record<string, { id: string }[]> & { judgement: object };
  const dump = JSON.parse(readFileSync(`tests/fixtures/database-${version}.json`, 'utf8')) as Dump;

  it('opens, loses nothing, and every record passes the checks of today', async () => {
    const name = `old-version-${version}`;
    const old = new Dexie(name);
    old.version(1).stores(STORES);
    if (version === 2) old.version(2).stores({});
    for (const table of ['mounts', 'bodies', 'lenses', 'parts', 'rigs'])
      await old.table(table).bulkPut(dump[table]!);
    await old.table('preferences').put({ ...dump.judgement, id: 'judgement' });
    old.close();
    const opened = new HaloDatabase(name);
    const workspace = await loadWorkspaceFile(opened);
    for (const table of ['mounts', 'bodies', 'lenses', 'parts', 'rigs'] as const) {
      expect(workspace[table]).toHaveLength(dump[table]!.length);
      for (const before of dump[table]!) {
        const after = workspace[table].find((r) => r.id === before.id)!;
        expect(after).toMatchObject(before);
        expect(checkRecord(table, after)).toEqual({ ok: true, value: after });
      }
    }
    expect(readWorkspace(writeWorkspace(workspace)).ok).toBe(true);
    expect(await opened.markings.count()).toBe(0);
    opened.close();
  });
});

describe('preferences', () => {
  it('are a step of their own', async () => {
    await setJudgement(db, { ...tideMill.judgement, school: 'as a look' });
    expect((await loadWorkspace(db)).judgement.school).toBe('as a look');
    await undo(db);
    expect((await loadWorkspace(db)).judgement.school).toBe('grade it out');
  });
});

describe('storage troubles', () => {
  it.each([
    ['QuotaExceededError', /no room left/],
    ['VersionError', /newer version/],
    ['MissingAPIError', /does not let this page keep data/],
    ['SomethingElse', /could not be stored/],
  ])('%s is said plainly', (name, sentence) => {
    const inner = Object.assign(new Error('inner'), { name });
    expect(
      troubleSentence(Object.assign(new Error('outer'), { name: 'AbortError', inner })),
    ).toMatch(sentence);
  });
});
