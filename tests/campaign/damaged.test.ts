/** Records damaged at random in the database: it opens, all else is there, and the file saved from it is read again. */
import { freshDatabase } from '../support/database';
import { describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { readWorkspace, writeWorkspace } from '@/core/exchange/json';
import { isJson, setAsideWords, TABLE_NAMES, type TableName } from '@/core/kit/records';
import { type Random, randomOf } from '@/core/maths';
import { loadAll, loadWorkspaceFile } from '@/store/database/load';
import { importWorkspace } from '@/store/keeping/importing';
import { salvaged } from '@/store/keeping/salvage';
import { CAMPAIGN_SEED, tries } from './size';

const TRIES = tries({ inTest: 40, inCampaign: 1500 });
const VALUES = [
  undefined,
  null,
  0,
  -1,
  1e308,
  Number.NaN,
  '',
  'text',
  '\u202e',
  true,
  [],
  {},
  [null],
];
const pick = <T>(random: Random, of: readonly T[]): T => of[random.whole(0, of.length - 1)] as T;

/** A value with something in it replaced; its own id stays, for the database holds it by that. */
function damaged(value: unknown, random: Random, isTop = true): unknown {
  const inner = Array.isArray(value) || isJson(value) ? Object.keys(value) : [];
  const keys = inner.filter((key) => !isTop || key !== 'id');
  if (keys.length === 0 || (!isTop && random.chance(0.3))) return pick(random, VALUES);
  const key = pick(random, keys);
  const into = (
    Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }
  ) as Record<string, unknown>;
  into[key] = damaged(into[key], random, false);
  return into;
}

describe(`${TRIES} records damaged at random, from seed ${CAMPAIGN_SEED}`, () => {
  it('are used, or set aside by name; nothing else is lost, and files of it are read', async () => {
    const db = freshDatabase();
    await importWorkspace(db, tideMill, 'replace everything', 'all');
    const tables = TABLE_NAMES.filter((table) => tideMill[table].length > 0);
    let aside = 0;
    for (let i = 0; i < TRIES; i += 1) {
      const told = `CAMPAIGN_SEED=${CAMPAIGN_SEED + i}`;
      const random = randomOf(CAMPAIGN_SEED + i);
      const table: TableName = pick(random, tables);
      const whole = pick<{ id: string }>(random, tideMill[table]);
      await db.table(table).put(damaged(whole, random));
      const { workspace, setAside } = await loadAll(db);
      expect(setAside.length, told).toBeLessThan(2);
      for (const broken of setAside) expect(setAsideWords(broken), told).toMatch(/ “.*”$/);
      for (const each of TABLE_NAMES)
        expect(workspace[each].length, told).toBe(
          tideMill[each].length - (each === table ? setAside.length : 0),
        );
      const texts = [writeWorkspace(await loadWorkspaceFile(db)), (await salvaged(db.name)) ?? ''];
      for (const text of texts) {
        const read = readWorkspace(text);
        expect(read.ok ? '' : read.problems[0]?.sentence, told).toBe('');
        expect(text, told).toContain(whole.id);
      }
      aside += setAside.length;
      await db.table(table).put(whole);
    }
    expect(aside).toBeGreaterThan(TRIES / 20);
  });
});
