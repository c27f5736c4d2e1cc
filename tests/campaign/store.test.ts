/** A store that fails at any moment: what was accepted stays, what was refused leaves no trace. */
import { freshDatabase } from '../support/database';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import type { Mount } from '@/core/kit/records';
import { randomOf } from '@/core/maths';
import { HaloDatabase } from '@/store/database/db';
import { commit, type Write } from '@/store/changes/journal';
import { redo, undo } from '@/store/changes/undo';
import { mirrorOf } from '@/store/database/mirror';
import { troubleSentence } from '@/store/troubles/troubles';
import { CAMPAIGN_SEED, tries } from './size';

const STEPS = tries({ inTest: 60, inCampaign: 1500 });
type Written = (this: IDBObjectStore, ...args: unknown[]) => IDBRequest<IDBValidKey>;
const stores = IDBObjectStore.prototype as Record<'put' | 'add', Written>;
const { put, add } = stores;
const whole = { put, add };

/** The disk is full for some of the writes. */
function fillDisk(isFull: () => boolean): void {
  for (const kind of ['put', 'add'] as const)
    stores[kind] = function write(...args) {
      if (isFull()) throw new DOMException('no room', 'QuotaExceededError');
      return whole[kind].apply(this, args);
    };
}

let db: HaloDatabase;

beforeEach(() => {
  db = freshDatabase();
});
afterEach(() => {
  Object.assign(stores, whole);
});

/** All that is stored, the steps in force among it. */
const everything = async () => ({
  mounts: await db.mounts.toArray(),
  steps: (await db.journal.toArray()).map(({ label, undone }) => `${label} ${undone}`),
});

describe(`a disk that fills and empties, ${STEPS} steps from seed ${CAMPAIGN_SEED}`, () => {
  it('leaves each step whole or not done, and says which', async () => {
    const random = randomOf(CAMPAIGN_SEED);
    const [mount] = tideMill.mounts;
    let failed = 0;
    const step = (i: number): Promise<unknown> => {
      const kind = random.whole(0, 9);
      if (kind === 0) return undo(db);
      if (kind === 1) return redo(db);
      const writes = Array.from({ length: random.whole(1, 5) }, (): Write => {
        const id = `m-${random.whole(0, 12)}`;
        const after: Mount | null = random.chance(0.2) ? null : { ...mount!, id, name: `${i}` };
        return { table: 'mounts', id, after };
      });
      return commit(db, `Step ${i}`, writes);
    };
    for (let i = 0; i < STEPS; i += 1) {
      const before = await everything();
      let puts = random.chance(0.4) ? random.whole(0, 6) : Infinity;
      fillDisk(() => (puts -= 1) < 0);
      const error: unknown = await step(i).then(
        () => null,
        (e: unknown) => e,
      );
      fillDisk(() => false);
      if (error === null) continue;
      failed += 1;
      expect(troubleSentence(error)).toMatch(/no room left for this; nothing was changed/);
      expect(await everything()).toEqual(before);
    }
    expect(failed).toBeGreaterThan(STEPS / 20);
    // All of it can still be taken back, to where nothing was.
    while ((await undo(db)) !== null);
    const known = (await db.journal.count()) < 400;
    if (known) expect(await db.mounts.toArray()).toEqual([]);
  });
});

describe('a disk that is full', () => {
  const [mount] = tideMill.mounts;
  const named = (id: string): Write => ({ table: 'mounts', id, after: { ...mount!, id } });

  it('lets older backups go for a change, and keeps the newest', async () => {
    await commit(db, 'Begin', [named('a')]);
    for (const text of ['one', 'two', 'three']) {
      const id = await db.backups.add({ at: 0, reason: text, counts: {} as never, size: 3 });
      await db.backupTexts.put({ id, text });
    }
    let backups = 3;
    db.backups.hook('deleting', () => void (backups -= 1));
    fillDisk(() => backups > 1);
    await commit(db, 'Change', [named('b')]);
    expect((await db.mounts.toArray()).map((m) => m.id)).toEqual(['a', 'b']);
    expect((await db.backups.toArray()).map((b) => b.reason)).toEqual(['three']);
    expect((await db.backupTexts.toArray()).map((b) => b.text)).toEqual(['three']);
  });

  it('deletes all the same, old steps making way, and undo brings it back', async () => {
    for (let i = 0; i < 40; i += 1) await commit(db, `Step ${i}`, [named(`m-${i}`)]);
    let steps = 40;
    db.journal.hook('deleting', () => void (steps -= 1));
    fillDisk(() => steps >= 40);
    await commit(db, 'Delete', [{ table: 'mounts', id: 'm-3', after: null }]);
    fillDisk(() => false);
    expect(await db.mounts.get('m-3')).toBeUndefined();
    expect(await db.journal.count()).toBe(21);
    expect(await undo(db)).toBe('Delete');
    expect(await db.mounts.get('m-3')).toBeDefined();
  });
});

describe('storage that is refused', () => {
  it.each([
    ['a browser without a database', 'MissingAPIError', /does not let this page keep data/],
    ['a site whose storage is off', 'SecurityError', /does not let this page keep data/],
    ['a damaged store', 'UnknownError', /could not read what it stored here/],
    ['a full disk', 'QuotaExceededError', /no room left/],
  ])('%s is said in its own words', async (_, name, sentence) => {
    const mirror = mirrorOf(db);
    db.open = () => {
      throw new DOMException('refused', name);
    };
    const said = await new Promise<string>((resolve) => {
      mirror.subscribe(() => {
        const open = mirror.current();
        if (open.state === 'failed') resolve(open.sentence);
      });
    });
    expect(said).toMatch(sentence);
  });
});
