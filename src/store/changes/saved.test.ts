import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshDatabase, rename } from '../../../tests/support/database';
import type { HaloDatabase } from '../database/db';
import { undo } from './undo';
import { rememberSaved, unsavedSteps } from './saved';

let db: HaloDatabase;

beforeEach(() => {
  db = freshDatabase();
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('changes that no file holds', () => {
  it('are counted from the last file on, without those taken back', async () => {
    expect(await unsavedSteps(db)).toBe(0);
    await rename(db, 'a', 'one');
    await rename(db, 'a', 'two');
    expect(await unsavedSteps(db)).toBe(2);
    await undo(db);
    expect(await unsavedSteps(db)).toBe(1);
    await rememberSaved(db);
    expect(await unsavedSteps(db)).toBe(0);
    await rename(db, 'a', 'three');
    expect(await unsavedSteps(db)).toBe(1);
  });

  it('are all there are where the browser remembers nothing', async () => {
    vi.stubGlobal('localStorage', undefined);
    await rename(db, 'a', 'one');
    await rememberSaved(db);
    expect(await unsavedSteps(db)).toBe(1);
  });
});
