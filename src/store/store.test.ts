import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo/tideMill';
import { EMPTY_WORKSPACE, type Workspace } from '@/core/kit/workspace';
import { HaloDatabase } from './db';
import { commit, redo, steps, undo } from './journal';
import { storageSentence } from './troubles';
import { difference, importWorkspace, isEmpty, loadWorkspace, setJudgement } from './workspace';

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
  };
};
const rename = (id: string, name: string, key: string | null = null) =>
  commit(
    db,
    `Rename to ${name}`,
    [{ table: 'mounts', id, after: { ...tideMill.mounts[0]!, id, name } }],
    key,
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
    const { mounts, rigs } = difference(await loadWorkspace(db), file);
    expect(mounts).toEqual({ added: 1, changed: 1, same: 1, onlyHere: tideMill.mounts.length - 2 });
    expect(rigs.onlyHere).toBe(tideMill.rigs.length);
  });
});

describe('a database of version 1', () => {
  it('opens, and its records get what they lacked', async () => {
    const old = new Dexie('old-version');
    old.version(1).stores({
      mounts: 'id',
      bodies: 'id',
      lenses: 'id',
      parts: 'id',
      rigs: 'id',
      preferences: 'id',
      journal: '++seq, undone',
    });
    const { plate: _p, helicoidMm: _h, shiftMm: _s, ...part } = tideMill.parts[0]!;
    const {
      postScale: _q,
      shiftXMm: _x,
      shiftYMm: _y,
      helicoidMm: _z,
      ...settings
    } = tideMill.rigs[0]!.settings;
    await old.table('parts').put(part);
    await old.table('rigs').put({ ...tideMill.rigs[0]!, settings });
    old.close();
    const opened = new HaloDatabase('old-version');
    expect(await opened.parts.get(part.id)).toEqual({
      ...part,
      plate: null,
      helicoidMm: 0,
      shiftMm: 0,
    });
    expect((await opened.rigs.get(tideMill.rigs[0]!.id))?.settings).toEqual(
      tideMill.rigs[0]!.settings,
    );
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
      storageSentence(Object.assign(new Error('outer'), { name: 'AbortError', inner })),
    ).toMatch(sentence);
  });
});
