import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { freshDatabase, rename, sorted } from '../../../tests/support/database';
import Dexie from 'dexie';
import { HaloDatabase } from './db';
import { importWorkspace } from '../keeping/importing';
import { commit, edited } from '../changes/journal';
import { undo } from '../changes/undo';
import { setJudgement } from '../judgement';
import { mirrorOf, type Mirror } from './mirror';
import { DEFAULT_JUDGEMENT } from '@/core/kit/records';

let db: HaloDatabase;
let mirror: Mirror;

beforeEach(() => {
  db = freshDatabase();
  mirror = mirrorOf(db);
});

/** The workspace the mirror holds once it is as asked. */
const when = (is: (w: ReturnType<typeof held>) => boolean) =>
  new Promise<ReturnType<typeof held>>((resolve) => {
    const look = () => {
      if (mirror.current().state !== 'open' || !is(held())) return;
      stop();
      resolve(held());
    };
    const stop = mirror.subscribe(look);
    look();
  });
const held = () => {
  const open = mirror.current();
  if (open.state !== 'open') throw new Error(open.state);
  return open.workspace;
};

describe('the workspace in memory', () => {
  it('is what is stored, and stays so through edits, undo and other connections', async () => {
    await importWorkspace(db, tideMill, 'replace everything', 'all');
    expect(sorted(await when((w) => w.lenses.length > 0))).toEqual(sorted(tideMill));
    const [lens] = held().lenses;
    await commit(db, 'Name', [edited('lenses', lens!, { ...lens!, name: 'other' })]);
    await when((w) => w.lenses.some((l) => l.name === 'other'));
    await undo(db);
    expect(sorted(await when((w) => w.lenses.every((l) => l.name !== 'other')))).toEqual(
      sorted(tideMill),
    );
    const other = new HaloDatabase(db.name);
    await rename(other, 'elsewhere', 'of another tab');
    await when((w) => w.mounts.some((m) => m.id === 'elsewhere'));
    await setJudgement(db, DEFAULT_JUDGEMENT, { ...DEFAULT_JUDGEMENT, school: 'strict' });
    await when((w) => w.judgement.school === 'strict');
    other.close();
  });

  it('leaves every record that did not change the very same object', async () => {
    await importWorkspace(db, tideMill, 'replace everything', 'all');
    const before = await when((w) => w.lenses.length > 0);
    const [lens, ...others] = before.lenses;
    await commit(db, 'Name', [edited('lenses', lens!, { ...lens!, name: 'other' })]);
    const after = await when((w) => w.lenses.some((l) => l.name === 'other'));
    expect(after.bodies).toBe(before.bodies);
    expect(after.lenses).not.toBe(before.lenses);
    for (const same of others) expect(after.lenses).toContain(same);
  });

  it('shows records put in together at once, rigs by name and all else by id', async () => {
    const shown: number[][] = [];
    mirror.subscribe(() => {
      const { lenses, rigs } = held();
      shown.push([lenses.length, rigs.length]);
    });
    await when((w) => w.lenses.length === 0);
    await importWorkspace(db, tideMill, 'replace everything', 'all');
    const { lenses, rigs } = await when((w) => w.lenses.length > 0);
    expect(shown).toEqual([
      [0, 0],
      [tideMill.lenses.length, tideMill.rigs.length],
    ]);
    expect(lenses.map((l) => l.id)).toEqual(tideMill.lenses.map((l) => l.id).sort());
    expect(rigs.map((r) => r.name)).toEqual(
      tideMill.rigs.map((r) => r.name).sort((a, b) => a.localeCompare(b)),
    );
  });

  it('is read whole where very much changed at once', async () => {
    await when(() => true);
    const [mount] = tideMill.mounts;
    const writes = Array.from({ length: 900 }, (_, i) => {
      const id = `m-${i}`;
      return { table: 'mounts' as const, id, after: { ...mount!, id } };
    });
    await commit(db, 'many', writes);
    expect((await when((w) => w.mounts.length > 0)).mounts).toHaveLength(900);
    await undo(db);
    expect((await when((w) => w.mounts.length === 0)).mounts).toEqual([]);
  });

  it('says why where the database cannot be opened', async () => {
    const newer = new Dexie(db.name);
    newer.version(99).stores({ mounts: 'id' });
    await newer.open();
    newer.close();
    const said = await new Promise<string>((resolve) => {
      mirror.subscribe(() => {
        const open = mirror.current();
        if (open.state === 'failed') resolve(open.sentence);
      });
    });
    expect(said).toMatch(/newer version/);
    // It is left as it was: the newer program opens it again.
    const [found] = (await indexedDB.databases()).filter((d) => d.name === db.name);
    expect(found?.version).toBe(990);
  });

  it.each([
    ['a newer program opens it in another tab', 99, /newer version of the program/],
    ['it is deleted from outside', null, /was deleted while the page stood open/],
  ])('says so when %s', async (_, version, sentence) => {
    await when(() => true);
    const said = new Promise<string>((resolve) => {
      mirror.subscribe(() => {
        const open = mirror.current();
        if (open.state === 'failed') resolve(open.sentence);
      });
    });
    if (version === null) await Dexie.delete(db.name);
    else {
      const newer = new Dexie(db.name);
      newer.version(version).stores({ mounts: 'id' });
      await newer.open();
      newer.close();
    }
    expect(await said).toMatch(sentence);
  });
});
