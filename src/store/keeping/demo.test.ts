import { describe, expect, it, vi } from 'vitest';
import { tideMill } from '@/core/demo';
import { freshDatabase, rename } from '../../../tests/support/database';
import { undo } from '../changes/undo';
import { loadDemoIfWanted } from './demo';

describe('the demo', () => {
  it('is loaded into a new program that is served with it, and into no other', async () => {
    const served = freshDatabase();
    expect(await loadDemoIfWanted(served, () => Promise.resolve(true))).toBe(true);
    expect(await served.lenses.count()).toBe(tideMill.lenses.length);
    const plain = freshDatabase();
    expect(await loadDemoIfWanted(plain, () => Promise.resolve(false))).toBe(false);
    expect(await plain.lenses.count()).toBe(0);
  });

  it('is not asked for where anything has been, and not loaded over what comes meanwhile', async () => {
    const used = freshDatabase();
    await rename(used, 'a', 'first');
    await undo(used);
    const wanted = vi.fn(() => Promise.resolve(true));
    expect(await loadDemoIfWanted(used, wanted)).toBe(false);
    expect(wanted).not.toHaveBeenCalled();
    const db = freshDatabase();
    const slow = async () => {
      await rename(db, 'a', 'mine');
      return true;
    };
    expect(await loadDemoIfWanted(db, slow)).toBe(false);
    expect(await db.lenses.count()).toBe(0);
  });
});
