import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { readWorkspace, writeWorkspace } from '@/core/exchange/json';
import type { KitTable } from '@/core/kit/fields';
import {
  RECORDS_VERSION,
  EMPTY_WORKSPACE,
  RECORD_SCHEMAS,
  WORKSPACE_FORMAT,
  type Workspace,
} from '@/core/kit/records';
import { arbitraryOf } from '../../../tests/support/arbitraries';
import { freshDatabase, names, rename, sorted } from '../../../tests/support/database';
import type { HaloDatabase } from '../database/db';
import { importWorkspace, previewOf } from './importing';
import { changedHere } from '../changes/journal';
import { undo } from '../changes/undo';
import { isEmpty, loadWorkspace, loadWorkspaceFile } from '../database/load';

let db: HaloDatabase;

beforeEach(() => {
  db = freshDatabase();
});

describe('importing a workspace', () => {
  it('fills an empty one, and undo empties it again', async () => {
    await importWorkspace(db, tideMill, 'add and update', 'Load the demo');
    expect(sorted(await loadWorkspace(db))).toEqual(sorted(tideMill));
    await undo(db);
    expect(isEmpty(await loadWorkspace(db))).toBe(true);
  });

  it('adds and updates without removing', async () => {
    await rename(db, 'mine', 'my own mount');
    await importWorkspace(db, tideMill, 'add and update', 'Open');
    expect(await names(db)).toContain('my own mount');
  });

  it('replaces everything, preferences too, as one step', async () => {
    await rename(db, 'mine', 'my own mount');
    const strict = { ...tideMill, judgement: { ...tideMill.judgement, school: 'strict' as const } };
    await importWorkspace(db, strict, 'replace everything', 'Open');
    expect(sorted(await loadWorkspace(db))).toEqual(sorted(strict));
    await undo(db);
    expect(await names(db)).toEqual(['my own mount']);
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
    await rename(db, tideMill.mounts[3]!.id, 'renamed here');
    const here = await loadWorkspace(db);
    const both = {
      ...file,
      mounts: [...file.mounts, { ...tideMill.mounts[3]!, name: 'renamed there' }],
    };
    const { counts, differing, isFresh } = previewOf(here, both, await changedHere(db));
    expect(isFresh).toBe(false);
    expect(differing.map((i) => i.state)).toEqual(['conflict', 'changed', 'new']);
    const only = tideMill.mounts.length - 3;
    expect(counts.mounts).toEqual({ new: 1, changed: 1, same: 1, conflict: 1, 'only here': only });
    expect(counts.rigs['only here']).toBe(tideMill.rigs.length);
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
    await fc.assert(
      fc.asyncProperty(kits, async (kit) => {
        const text = JSON.stringify({ format: WORKSPACE_FORMAT, version: RECORDS_VERSION, ...kit });
        const file = readWorkspace(text);
        // Kits that contradict themselves are refused as a whole; that is tested elsewhere.
        fc.pre(file.ok);
        const into = freshDatabase();
        await importWorkspace(into, file.value, 'replace everything', 'Open');
        const out = readWorkspace(writeWorkspace(await loadWorkspaceFile(into)));
        into.close();
        expect(out).toEqual(file);
      }),
      { numRuns: 25 },
    );
  });
});

describe('a file against what is here', () => {
  it('is compared by value, not by the order of keys', async () => {
    await importWorkspace(db, tideMill, 'replace everything', 'Load');
    const turned = tideMill.mounts.map(
      (m) => Object.fromEntries(Object.entries(m).reverse()) as unknown as typeof m,
    );
    const preview = previewOf(tideMill, { ...EMPTY_WORKSPACE, mounts: turned }, new Set());
    expect(preview.differing).toEqual([]);
    expect(preview.counts.mounts.same).toBe(turned.length);
    const file = { ...EMPTY_WORKSPACE, mounts: turned };
    expect((await importWorkspace(db, file, 'add and update', 'Open')).written).toBe(false);
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
