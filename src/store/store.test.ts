import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { tideMill } from '@/core/demo/tideMill';
import { readWorkspace, writeWorkspace } from '@/core/exchange/workspaceJson';
import type { KitTable } from '@/core/kit/fields/fieldTypes';
import {
  RECORD_SCHEMAS,
  EMPTY_WORKSPACE,
  WORKSPACE_FORMAT,
  type Workspace,
} from '@/core/kit/records/workspace';
import { RECORDS_VERSION } from '@/core/kit/records/version';
import { arbitraryOf } from '../../tests/support/arbitraries';
import { keepBackup, listBackups, restoreBackup, surplus } from './backups';
import { HaloDatabase } from './db';
import { changedHere, commit, redo, RefusedRecord, steps, undo } from './journal';
import { WorkerLost } from '@/workers/door';
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
        const text = JSON.stringify({ format: WORKSPACE_FORMAT, version: RECORDS_VERSION, ...kit });
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

describe('preferences', () => {
  it('are a step of their own', async () => {
    await setJudgement(db, { ...tideMill.judgement, school: 'as a look' });
    expect((await loadWorkspace(db)).judgement.school).toBe('as a look');
    await undo(db);
    expect((await loadWorkspace(db)).judgement.school).toBe('grade it out');
  });
});

describe('what is written is checked at the door', () => {
  const [mount] = tideMill.mounts;
  const put = (after: unknown, id = 'm') =>
    commit(db, 'Write', [{ table: 'mounts', id, after: after as typeof mount & object }]);

  it.each([
    ['a figure out of its range', { ...mount!, id: 'm', registerMm: -3 }, /registerMm: must be/],
    [
      'a note too long to be read again',
      { ...mount!, id: 'm', note: 'x'.repeat(5000) },
      /note: must be text/,
    ],
    ['a record kept under another id', { ...mount!, id: 'other' }, /"other" was to be kept as "m"/],
    ['a contradiction', null, /shorter than the wide end/],
  ])('%s is refused, and nothing of the step is written', async (_, record, sentence) => {
    const lens = { ...tideMill.lenses[0]!, id: 'l', focalMaxMm: 1 };
    const wrong =
      record === null
        ? commit(db, 'Write', [
            { table: 'mounts', id: 'fine', after: { ...mount!, id: 'fine' } },
            { table: 'lenses', id: 'l', after: lens },
          ])
        : put(record);
    await expect(wrong).rejects.toThrow(RefusedRecord);
    await expect(wrong).rejects.toThrow(sentence);
    expect(await db.mounts.count()).toBe(0);
    expect(await db.journal.count()).toBe(0);
  });

  it('so is a judgement nobody could mean', async () => {
    await expect(setJudgement(db, { ...tideMill.judgement, gradeStops: 60 })).rejects.toThrow(
      /gradeStops: must be a number from 0.1 to 6; it is 60/,
    );
  });
});

describe('steps in quick succession', () => {
  it('become one that takes back every record either of them touched', async () => {
    const [a, b] = tideMill.mounts;
    const step = (mount: typeof a & object) =>
      commit(db, 'Drag', [{ table: 'mounts', id: mount.id, after: mount }], { mergeKey: 'drag' });
    await step(a!);
    await step(b!);
    await step({ ...a!, name: 'moved' });
    expect(await db.journal.count()).toBe(1);
    expect(await db.mounts.count()).toBe(2);
    await undo(db);
    expect(await db.mounts.count()).toBe(0);
    await redo(db);
    expect((await db.mounts.get(a!.id))?.name).toBe('moved');
    expect(await db.mounts.get(b!.id)).toEqual(b);
  });
});

describe('a file against what is here', () => {
  it('is compared by value, not by the order of keys', async () => {
    await importWorkspace(db, tideMill, 'replace everything', 'Load');
    const turned = tideMill.mounts.map(
      (m) => Object.fromEntries(Object.entries(m).reverse()) as unknown as typeof m,
    );
    const items = importItems(tideMill, { ...EMPTY_WORKSPACE, mounts: turned }, new Set());
    expect(new Set(items.map((i) => i.state))).toEqual(new Set(['same']));
    const file = { ...EMPTY_WORKSPACE, mounts: turned };
    expect(await importWorkspace(db, file, 'add and update', 'Open')).toBe(false);
  });

  it('in place of everything leaves nothing of what an earlier file said beside its tables', async () => {
    await importWorkspace(db, { ...tideMill, future: 1 } as Workspace, 'replace everything', 'A');
    await importWorkspace(db, { ...tideMill, later: 2 } as Workspace, 'add and update', 'B');
    expect(await loadWorkspaceFile(db)).toMatchObject({ future: 1, later: 2 });
    await importWorkspace(db, tideMill, 'replace everything', 'C');
    expect(Object.keys(await loadWorkspaceFile(db))).not.toContain('future');
    await undo(db);
    expect(await loadWorkspaceFile(db)).toMatchObject({ future: 1, later: 2 });
  });
});

describe('troubles', () => {
  const named = (name: string, inner?: Error) =>
    Object.assign(new Error('what the browser says'), { name, inner });

  it.each([
    ['a full disk', named('AbortError', named('QuotaExceededError')), /no room left/],
    ['a newer database', named('VersionError'), /newer version/],
    ['a private window', named('OpenFailedError'), /does not let this page keep data/],
    ['a change that did not go through', named('AbortError'), /could not be stored/],
    ['a worker that is gone', new WorkerLost('out of memory'), /works this out stopped/],
    [
      'a record that is refused',
      new RefusedRecord([{ code: '', path: '', sentence: 'f/0 is none.' }]),
      /Nothing was changed: f\/0 is none\./,
    ],
    ['a mistake of ours', new TypeError('x is undefined'), /in the program itself: x is undefined/],
    ['nothing at all', undefined, /in the program itself/],
  ])('%s is said plainly, and of the right thing', (_, error, sentence) => {
    expect(troubleSentence(error)).toMatch(sentence);
  });

  it('only storage is blamed on storage', () => {
    for (const error of [new WorkerLost('gone'), new TypeError('x'), named('SomethingElse')])
      expect(troubleSentence(error)).not.toMatch(/could not be stored|The browser/);
  });
});
