/** Databases with damaged records: everything else opens, nothing of them is lost. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { tideMill } from '@/core/demo';
import { readWorkspace, writeWorkspace } from '@/core/exchange/json';
import { DEFAULT_JUDGEMENT, RECORDS_VERSION, setAsideWords, type Json } from '@/core/kit/records';
import { freshDatabase, rename } from '../../../tests/support/database';
import { commit } from '../changes/journal';
import { BrokenStep, redo, steps, undo } from '../changes/undo';
import { keepBackup, listBackups, restoreBackup } from '../keeping/backups';
import { importWorkspace } from '../keeping/importing';
import { salvaged } from '../keeping/salvage';
import { troubleSentence } from '../troubles/troubles';
import { HaloDatabase } from './db';
import { loadAll, loadWorkspaceFile } from './load';
import { mirrorOf, type OpenWorkspace } from './mirror';

let db: HaloDatabase;
const [body] = tideMill.bodies;
const BROKEN = { ...body!, modes: 'none' };

beforeEach(async () => {
  db = freshDatabase();
  await importWorkspace(db, tideMill, 'replace everything', 'all');
});

afterEach(() => vi.restoreAllMocks());

/** Stores something past all checks. */
const putRaw = (table: string, record: object) => db.table(table).put(record);

type Open = Extract<OpenWorkspace, { state: 'open' }>;
const when = (of: HaloDatabase, is: (open: Open) => boolean) =>
  new Promise<Open>((resolve, reject) => {
    const mirror = mirrorOf(of);
    const look = () => {
      const now = mirror.current();
      if (now.state === 'failed') reject(new Error(now.sentence));
      if (now.state === 'open' && is(now)) resolve(now);
    };
    mirror.subscribe(look);
    look();
  });

describe('a damaged record', () => {
  it('is set aside and told by its name; everything else opens', async () => {
    await putRaw('bodies', BROKEN);
    await putRaw('preferences', { id: 'judgement', school: 7 });
    const { workspace, setAside } = await when(db, () => true);
    expect(workspace.bodies).toHaveLength(tideMill.bodies.length - 1);
    expect(workspace.lenses).toHaveLength(tideMill.lenses.length);
    expect(workspace.judgement).toEqual((await loadAll(freshDatabase())).workspace.judgement);
    expect(setAside.map(setAsideWords)).toEqual([
      'how the workspace judges',
      `body “${body!.name}”`,
    ]);
  });

  it('is heard of when it comes to be so, and when it is mended', async () => {
    const open = when(db, ({ setAside }) => setAside.length === 1);
    await putRaw('bodies', BROKEN);
    expect((await open).workspace.bodies).toHaveLength(tideMill.bodies.length - 1);
    const mended = when(db, ({ setAside }) => setAside.length === 0);
    await putRaw('bodies', body!);
    expect((await mended).workspace.bodies).toHaveLength(tideMill.bodies.length);
  });

  it('is taken out as a step, and undo brings it back as it was', async () => {
    await putRaw('bodies', BROKEN);
    await commit(db, 'Take it out', [{ table: 'bodies', id: BROKEN.id, after: null }]);
    expect((await loadAll(db)).setAside).toEqual([]);
    expect(await undo(db)).toBe('Take it out');
    expect((await loadAll(db)).setAside).toEqual([
      { table: 'bodies', id: BROKEN.id, record: BROKEN },
    ]);
  });

  it('goes into files beside the lists, so that they can be read, and backups come back', async () => {
    await putRaw('bodies', BROKEN);
    // Whole, and a figure in it that no file may hold.
    const impossible = { ...tideMill.lenses[0]!, openFNumberWide: 0 };
    await putRaw('lenses', impossible);
    await putRaw('preferences', { ...DEFAULT_JUDGEMENT, id: 'judgement', strictStops: 1e9 });
    expect((await loadAll(db)).setAside).toHaveLength(1);
    const read = readWorkspace(writeWorkspace(await loadWorkspaceFile(db)));
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value).toMatchObject({
      setAside: [
        { record: { modes: 'none' } },
        { record: { openFNumberWide: 0 } },
        { table: 'judgement', record: { strictStops: 1e9 } },
      ],
      judgement: DEFAULT_JUDGEMENT,
    });
    expect(read.value.lenses).toHaveLength(tideMill.lenses.length - 1);
    // Brought in elsewhere it goes out again, beside what is damaged there.
    const other = freshDatabase();
    await importWorkspace(other, read.value, 'replace everything', 'all');
    await other.table('bodies').put({ id: 'b', name: 'Another', modes: null });
    const again = readWorkspace(writeWorkspace(await loadWorkspaceFile(other)));
    expect(again.ok && again.value).toMatchObject({
      setAside: [{ table: 'bodies' }, { table: 'lenses' }, { table: 'judgement' }, { id: 'b' }],
    });
    await keepBackup(db, 'test', 1);
    const [backup] = await listBackups(db);
    expect(await restoreBackup(db, backup!.id)).toBeNull();
    expect((await db.bodies.get(BROKEN.id))?.modes).toBe('none');
  });

  it('does not keep the database from being opened by a newer shape of the records', async () => {
    await putRaw('bodies', BROKEN);
    await putRaw('rigs', { id: 'r', settings: 5, name: null });
    await db.table('journal').add({ label: 'of nothing', at: 1, undone: 0, mergeKey: null });
    await putRaw('preferences', { id: 'shape', shape: 'of an earlier schema' });
    db.close();
    const { setAside } = await when(new HaloDatabase(db.name), () => true);
    expect(setAside.map(({ id }) => id)).toEqual([BROKEN.id, 'r']);
  });
});

describe('a step that does not tell its changes', () => {
  it.each([
    ['none', undefined],
    ['no list', 'all'],
    ['of no table', [{ table: 'cameras', id: 'a', before: null, after: null }]],
    ['of no record', [{ table: 'bodies', id: 'a', before: 3, after: null }]],
  ])('is said to be damaged, goes off the list, and undo goes on: %s', async (_, changes) => {
    await rename(db, 'a', 'first');
    await db.table('journal').add({ label: 'Broken', at: 2, undone: 0, mergeKey: 'x', changes });
    const error: unknown = await undo(db).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(BrokenStep);
    expect(troubleSentence(error)).toMatch(/^The step “Broken” is damaged: .*taken off the list/);
    expect(await steps(db)).toMatchObject({ undo: 'Rename to first' });
    expect(await undo(db)).toBe('Rename to first');
    await db.table('journal').add({ label: 'Undone', at: 3, undone: 1, mergeKey: null, changes });
    expect(await redo(db)).toBe('Rename to first');
    await expect(redo(db)).rejects.toThrow(BrokenStep);
    expect(await redo(db)).toBeNull();
  });

  it('is not made one with the next', async () => {
    // At one moment, so that nothing but its damage keeps them apart.
    const at = 5000;
    vi.spyOn(Date, 'now').mockReturnValue(at);
    const broken = { label: 'Broken', at, undone: 0, mergeKey: 'typing', tab: db.tab };
    await db.table('journal').add(broken);
    await rename(db, 'a', 'b', 'typing');
    expect(await undo(db)).toBe('Rename to b');
  });
});

describe('what can be read of a database', () => {
  it('is a workspace file that opens, damaged records beside it', async () => {
    await putRaw('bodies', BROKEN);
    await putRaw('preferences', { id: 'judgement', school: 7 });
    db.close();
    const read = readWorkspace((await salvaged(db.name)) ?? '');
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.lenses).toHaveLength(tideMill.lenses.length);
    expect(read.value.bodies).toHaveLength(tideMill.bodies.length - 1);
    const { setAside } = read.value as unknown as { setAside: Json[] };
    expect(setAside.map(({ table }) => table)).toEqual(['bodies', 'judgement']);
  });

  it('is told as it is where a newer program keeps it, for that one to read', async () => {
    db.close();
    const { default: Dexie } = await import('dexie');
    const newer = new Dexie(db.name);
    newer.version(RECORDS_VERSION + 1).stores({ lenses: 'id' });
    await newer.open();
    await newer.table('lenses').put({ id: 'n', shape: 'of tomorrow' });
    newer.close();
    const file = JSON.parse((await salvaged(db.name)) ?? '') as { version: number; lenses: Json[] };
    expect(file.version).toBe(RECORDS_VERSION + 1);
    expect(file.lenses).toContainEqual({ id: 'n', shape: 'of tomorrow' });
  });

  it('is nothing where nothing is stored', async () => {
    const empty = freshDatabase();
    await empty.open();
    empty.close();
    expect(await salvaged(empty.name)).toBeNull();
  });
});
