import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { freshDatabase, sorted } from '../../../tests/support/database';
import { keepBackup, listBackups, restoreBackup, surplus } from './backups';
import type { HaloDatabase } from '../database/db';
import { importWorkspace } from './importing';
import { commit } from '../changes/journal';
import { undo } from '../changes/undo';
import { loadWorkspace } from '../database/load';

let db: HaloDatabase;

beforeEach(() => {
  db = freshDatabase();
});

describe('backups', () => {
  const at = (day: number, hour = 0) => (day * 24 + hour) * 3_600_000;

  it('keep what there is, once, and bring it back as a step that undo takes back', async () => {
    expect(await keepBackup(db, 'from time to time', at(1))).toBe(false);
    await importWorkspace(db, tideMill, 'replace everything', 'Load');
    expect(await keepBackup(db, 'from time to time', at(1))).toBe(true);
    expect(await keepBackup(db, 'from time to time', at(2))).toBe(false);
    const [backup] = await listBackups(db);
    expect(backup!.counts).toMatchObject({
      lenses: tideMill.lenses.length,
      rigs: tideMill.rigs.length,
    });
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

  const kept = (list: { id: number; at: number }[], now: number) => {
    const gone = new Set(surplus(list, now));
    return list.filter((b) => !gone.has(b.id)).map((b) => b.id);
  };
  const daily = Array.from({ length: 12 }, (_, i) => ({ id: i, at: at(i + 1, 9) }));
  const hourly = Array.from({ length: 12 }, (_, i) => ({ id: 100 + i, at: at(20, i) }));

  it('the newest six are kept, of older ones the last of each day for eight days', () => {
    expect(kept(hourly, at(21))).toEqual([105, 106, 107, 108, 109, 110, 111]);
    expect(kept([...daily, ...hourly], at(21))).toEqual([
      5, 6, 7, 8, 9, 10, 11, 105, 106, 107, 108, 109, 110, 111,
    ]);
  });

  it('those a wrong clock dated in the future do not crowd out the rest', () => {
    const wrong = Array.from({ length: 12 }, (_, i) => ({ id: 50 + i, at: at(4000 + i) }));
    expect(kept([...daily, ...wrong, ...hourly], at(21))).toEqual([
      5, 6, 7, 8, 9, 10, 11, 105, 106, 107, 108, 109, 110, 111,
    ]);
  });

  it('go on being kept after the clock was put right', async () => {
    await importWorkspace(db, tideMill, 'replace everything', 'Load');
    await keepBackup(db, 'from time to time', at(4000));
    await commit(db, 'Delete', [{ table: 'rigs', id: tideMill.rigs[0]!.id, after: null }]);
    expect(await keepBackup(db, 'from time to time', at(20))).toBe(true);
    const [newest] = await listBackups(db);
    expect(newest?.at).toBe(at(20));
    expect(await keepBackup(db, 'from time to time', at(21))).toBe(false);
  });

  it('one that is gone says so', async () => {
    expect(await restoreBackup(db, 99)).toBe('This backup is not there any more.');
  });
});
