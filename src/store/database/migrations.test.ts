/**
 * Workspaces as every earlier version of the program wrote them, kept in tests/fixtures, brought up by
 * everything that holds records: the database's tables, its journal and backups, workspace and rig files.
 */
import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { rigOfFile, readWorkspace } from '@/core/exchange/json';
import { broughtUp, MIGRATIONS, type Migrated } from '@/core/kit';
import { checkRecord } from '@/core/kit/checks';
import { withCleanTexts } from '@/core/words';
import {
  judgementSchema,
  completed,
  type Json,
  RECORDS_VERSION,
  RECORD_SCHEMAS,
  TABLE_NAMES,
  type TableName,
} from '@/core/kit/records';
import { restoreBackup } from '../keeping/backups';
import { HaloDatabase, JUDGEMENT_ID } from './db';
import { redo, undo } from '../changes/undo';
import { loadWorkspaceFile } from './load';

type Fixture = Partial<Record<TableName, Json[]>> & { judgement: Json };

const EARLIER = Array.from({ length: RECORDS_VERSION - 1 }, (_, i) => i + 1);
const fixtures = new Map(
  EARLIER.map((version) => {
    const text = readFileSync(`tests/fixtures/database-${version}.json`, 'utf8');
    return [version, JSON.parse(text) as Fixture];
  }),
);
const fixture = (version: number): Fixture => fixtures.get(version)!;

/** The version that mends records left behind in the journal. */
const STEPS_TO_UNDO = 5;

/** What of a record stays: all of it, its texts without what nobody sees. */
function staying(record: Json): Json {
  const clean = withCleanTexts(record) as Json;
  // A name of nothing but a Hangul filler, U+3164.
  return clean.name === '' ? { ...clean, name: 'unseen 3164' } : clean;
}

const recordsOf = (kept: Fixture, table: Migrated): readonly Json[] =>
  table === 'judgement' ? [kept.judgement] : (kept[table] ?? []);

describe('the list of migrations', () => {
  it('goes up one version after another and ends at today’s', () => {
    expect(MIGRATIONS.map((m) => m.to)).toEqual(EARLIER.map((v) => v + 1));
    expect(new Set(MIGRATIONS.map((m) => m.name)).size).toBe(MIGRATIONS.length);
  });

  it.each(MIGRATIONS)('to version $to is exercised by what was kept: $name', ({ to, records }) => {
    // What that one mends are records of any earlier version, left behind in the journal.
    const kept = to === STEPS_TO_UNDO ? EARLIER.map(fixture) : [fixture(to - 1)];
    for (const [table, step] of Object.entries(records) as [Migrated, (r: Json) => Json][]) {
      const before = kept.flatMap((each) => recordsOf(each, table));
      const changed = before.filter(
        (record) => JSON.stringify(step(record)) !== JSON.stringify(record),
      );
      expect(changed.length, `${table} to version ${to}`).toBeGreaterThan(0);
    }
  });

  it('changes nothing of the records it is given', () => {
    for (const [version, kept] of fixtures)
      for (const table of [...TABLE_NAMES, 'judgement'] as const)
        for (const record of recordsOf(kept, table)) {
          const before = structuredClone(record);
          broughtUp(table, record, version);
          expect(record).toEqual(before);
        }
  });

  it('leaves every record as the checks of today want it', () => {
    for (const [version, kept] of fixtures)
      for (const table of TABLE_NAMES)
        for (const record of recordsOf(kept, table)) {
          const today = completed(RECORD_SCHEMAS[table], broughtUp(table, record, version));
          expect(checkRecord(table, today)).toEqual({ ok: true, value: today });
          expect(today).toMatchObject(staying(record));
        }
  });
});

/** The tables each version of the database had. */
const STORES: readonly Record<string, string>[] = [
  {
    mounts: 'id',
    bodies: 'id',
    lenses: 'id',
    parts: 'id',
    rigs: 'id',
    preferences: 'id',
    journal: '++seq, undone',
  },
  {},
  { markings: 'id', backups: '++id, at' },
  { measurements: 'id', grids: 'id, at' },
  {},
  { jobs: 'id' },
  { days: 'id' },
];

/** The first version of the records to keep what backups hold apart from their list. */
const TEXTS_APART = 6;

/**
 * A database as version `version` left it, holding `kept`; every lens was deleted in its last step and
 * the last step but one was taken back, both with records of version `journalled`.
 */
let written = 0;
async function writtenBy(version: number, journalled: number): Promise<string> {
  written += 1;
  const name = `written-${written}`;
  const old = new Dexie(name);
  STORES.slice(0, version).forEach((stores, i) => old.version(i + 1).stores(stores));
  const hasTextsApart = version >= TEXTS_APART;
  if (hasTextsApart) old.version(TEXTS_APART - 0.5).stores({ backupTexts: 'id' });
  const kept = fixture(version);
  for (const table of TABLE_NAMES.filter((t) => kept[t] && old.tables.some((o) => o.name === t)))
    await old.table(table).bulkPut(kept[table]!);
  await old.table('preferences').put({ ...kept.judgement, id: JUDGEMENT_ID });
  const stepsOf = fixture(journalled);
  const deleting = (table: TableName) =>
    stepsOf[table]!.map((before) => ({ table, id: before.id, before, after: null }));
  const adding = (table: TableName) =>
    stepsOf[table]!.map((after) => ({ table, id: after.id, before: null, after }));
  const step = { at: 0, mergeKey: null };
  await old.table('journal').bulkAdd([
    { ...step, label: 'Delete the lenses', changes: deleting('lenses'), undone: 0 },
    {
      ...step,
      label: 'Add bodies and parts',
      changes: adding('bodies').concat(adding('parts')),
      undone: 1,
    },
  ]);
  await old.table('lenses').clear();
  if (version >= 3) {
    const text = JSON.stringify({ format: 'wandering-halo/workspace', ...stepsOf, version: 1 });
    const backup = { at: 0, reason: 'test', counts: {} };
    if (hasTextsApart) {
      const id = await old.table('backups').add({ ...backup, size: text.length });
      await old.table('backupTexts').put({ id, text });
    } else await old.table('backups').add({ ...backup, text });
  }
  old.close();
  return name;
}

describe.each(EARLIER)('a database written by version %i', (version) => {
  it('opens, loses nothing, and every record passes the checks of today', async () => {
    const db = new HaloDatabase(await writtenBy(version, version));
    const workspace = await loadWorkspaceFile(db);
    for (const table of TABLE_NAMES.filter((t) => t !== 'lenses')) {
      const kept = recordsOf(fixture(version), table);
      expect(workspace[table]).toHaveLength(kept.length);
      for (const before of kept) {
        const after = workspace[table].find((r) => r.id === before.id)!;
        expect(after).toMatchObject(staying(before));
        expect(checkRecord(table, after)).toEqual({ ok: true, value: after });
      }
    }
    expect(workspace.judgement).toEqual(
      completed(judgementSchema, staying(fixture(version).judgement)),
    );
    db.close();
  });

  it.each(EARLIER.filter((v) => v <= version))(
    'takes back and does again steps made with records of version %i',
    async (journalled) => {
      const db = new HaloDatabase(await writtenBy(version, journalled));
      expect(await undo(db)).toBe('Delete the lenses');
      expect(await redo(db)).toBe('Delete the lenses');
      expect(await undo(db)).toBe('Delete the lenses');
      const lenses = await db.lenses.toArray();
      expect(lenses).toHaveLength(fixture(journalled).lenses!.length);
      for (const lens of lenses)
        expect(checkRecord('lenses', lens)).toEqual({ ok: true, value: lens });
      expect(await redo(db)).toBe('Delete the lenses');
      expect(await redo(db)).toBe('Add bodies and parts');
      for (const table of ['bodies', 'parts'] as const)
        for (const record of await db.table<Json>(table).toArray())
          expect(checkRecord(table, record)).toEqual({ ok: true, value: record });
      db.close();
    },
  );

  it('gives its backups back', async () => {
    const db = new HaloDatabase(await writtenBy(Math.max(3, version), version));
    const [backup] = await db.backups.toArray();
    expect(backup!.size).toBe((await db.backupTexts.get(backup!.id))!.text.length);
    expect(await restoreBackup(db, backup!.id)).toBeNull();
    const lenses = await db.lenses.toArray();
    expect(lenses).toHaveLength(fixture(version).lenses!.length);
    for (const lens of lenses)
      expect(checkRecord('lenses', lens)).toEqual({ ok: true, value: lens });
    db.close();
  });
});

describe('a record whose id holds what nobody sees', () => {
  const BEFORE_CLEAN = 7;
  const DIRTY = 'w\u0000\ud800';

  /** A database of before with one lens, rig and frame by such ids, and the step that brought the lens. */
  async function withDirtyIds(beside: readonly Json[] = []): Promise<HaloDatabase> {
    const name = await writtenBy(BEFORE_CLEAN, BEFORE_CLEAN);
    const old = await new Dexie(name).open();
    const { lenses, rigs, measurements } = fixture(BEFORE_CLEAN);
    const lens = { ...lenses![0]!, id: DIRTY };
    await old.table('lenses').bulkPut([lens, ...beside]);
    await old.table('rigs').put({ ...rigs![0]!, id: 'r', lensId: DIRTY });
    await old.table('measurements').put({ ...measurements![0]!, id: '\u200b', lensId: DIRTY });
    await old.table('grids').put({ id: '\u200b', at: 1, grid: {} });
    const changes = [{ table: 'lenses', id: DIRTY, before: null, after: lens }];
    await old.table('journal').add({ label: 'Add it', changes, undone: 0, at: 1, mergeKey: null });
    old.close();
    return new HaloDatabase(name);
  }

  it('moves to the clean one, with all that calls it so, its light and its steps', async () => {
    const db = await withDirtyIds();
    expect((await db.lenses.toArray()).map(({ id }) => id)).toEqual(['w']);
    expect((await db.rigs.get('r'))?.lensId).toBe('w');
    expect((await db.measurements.get('unseen 200b'))?.lensId).toBe('w');
    expect(await db.grids.get('unseen 200b')).toMatchObject({ at: 1 });
    expect(await db.grids.get('\u200b')).toBeUndefined();
    expect(await undo(db)).toBe('Add it');
    expect(await db.lenses.toArray()).toEqual([]);
    db.close();
  });

  it('stays where it is rather than take the place of another', async () => {
    const other = { ...fixture(BEFORE_CLEAN).lenses![1]!, id: 'w', name: 'stays' };
    const db = await withDirtyIds([other]);
    expect((await db.lenses.toArray()).map(({ id, name }) => [id, name])).toEqual([
      ['w', 'stays'],
      [DIRTY, '18–35/1.8'],
    ]);
    db.close();
  });
});

describe.each(EARLIER)('a file of version %i', (version) => {
  it('is read as a workspace', () => {
    const kept = fixture(version);
    const text = JSON.stringify({ ...kept, format: 'wandering-halo/workspace', version });
    const read = readWorkspace(text);
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.version).toBe(RECORDS_VERSION);
    for (const table of TABLE_NAMES)
      expect(read.value[table]).toMatchObject(recordsOf(kept, table).map(staying));
  });

  it('is read as a rig', () => {
    const { bodies, lenses, parts, mounts, rigs, judgement } = fixture(version);
    const [body] = bodies as { modes: { id: string }[] }[];
    const file = {
      format: 'wandering-halo/rig',
      version,
      name: 'kept',
      body,
      modeId: body!.modes[0]!.id,
      lens: lenses![0],
      parts: parts!.slice(0, 2),
      mounts,
      settings: rigs![0]!.settings,
      judgement,
    };
    const read = rigOfFile(file);
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.settings.postScale).toBe(1);
    expect(checkRecord('lenses', read.value.lens).ok).toBe(true);
  });
});

describe('a field that records have come to have since', () => {
  it('is filled in when the database is opened', async () => {
    const name = 'without-a-newer-field';
    const first = new HaloDatabase(name);
    const { lenses } = fixture(RECORDS_VERSION - 1);
    const { note: _, ...lens } = lenses![0]!;
    await first.table('lenses').put(lens);
    await first.table('preferences').put({ id: 'shape', shape: 'of an earlier schema' });
    first.close();
    const again = new HaloDatabase(name);
    const filled = await again.lenses.get(String(lens.id));
    expect(filled).toEqual(completed(RECORD_SCHEMAS.lenses, { ...lens, note: '' }));
    again.close();
  });

  it('is one that a short record gets, inside lists and inner records too', () => {
    const [body] = fixture(RECORDS_VERSION - 1).bodies!;
    const [mode] = body!.modes as Json[];
    const { digitalZooms: _, ...bare } = mode!;
    const whole = completed(RECORD_SCHEMAS.bodies, { ...body, modes: [bare] } as never);
    expect(whole.modes[0]).toMatchObject({ ...bare, digitalZooms: [1] });
  });
});
