/**
 * Edits in the Kit and on the Bench, undo and redo from any room, in any order: whenever the same steps are in force,
 * just the same is stored. `npm run campaign` takes very many steps.
 */
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { randomOf } from '@/core/maths';
import { ROOM_IDS, ROOMS } from '@/shell/rooms';
import { CAMPAIGN_SEED, tries } from '../campaign/size';
import { KitPage } from './kitPage';

const STEPS = tries({ inTest: 24, inCampaign: 400 });
/** Lenses of the demo, and a length in their forms. */
const LENSES = ['50/1.8', '58/2 swirl', '500/4'] as const;
const FIELD = 'Closest focus';

let kit: KitPage;

beforeAll(async () => {
  kit = await KitPage.opened();
  await kit.open();
  await kit.verdictWord();
});
afterAll(() => kit.driver.quit());

interface Stored {
  /** The steps in force, as one text. */
  inForce: string;
  /** All records, as one text. */
  records: string;
}

async function read(): Promise<Stored> {
  const {
    journal,
    grids: _,
    ...records
  } = JSON.parse(await kit.stored()) as {
    journal: { seq: number; undone: number }[];
    grids: unknown;
  };
  const inForce = journal.filter(({ undone }) => undone === 0).map(({ seq }) => seq);
  return { inForce: inForce.join(' '), records: JSON.stringify(records) };
}

/** What is stored once nothing changes any more. */
async function settled(): Promise<Stored> {
  let last = await read();
  for (;;) {
    await kit.driver.sleep(400);
    const now = await read();
    if (now.inForce === last.inForce && now.records === last.records) return now;
    last = now;
  }
}

describe(`${STEPS} edits, undos and redos in all rooms, from seed ${CAMPAIGN_SEED}`, () => {
  const random = randomOf(CAMPAIGN_SEED);
  const pick = <T>(of: readonly T[]): T => of[random.whole(0, of.length - 1)] as T;

  const edits: readonly (() => Promise<string>)[] = [
    async () => {
      const { id } = pick(tideMill.rigs);
      await kit.openRig(`rig=${id}`);
      const ring = pick(['zoom', 'aperture', 'focus']);
      const [there] = await kit.driver.findElements({ css: `[data-ring="${ring}"]` });
      await there?.sendKeys(...Array<string>(random.whole(1, 4)).fill(pick([Key.LEFT, Key.RIGHT])));
      return `turn ${ring} of ${id}`;
    },
    async () => {
      const name = pick(LENSES);
      await kit.openKit();
      await kit.openRow(name);
      await kit.unfold('Focus and pupil');
      await kit.type(FIELD, `${random.whole(1, 9)} m`, Key.ENTER);
      return `${FIELD} of ${name}`;
    },
  ];
  const anyRoom = async (): Promise<string> => {
    const { path } = ROOMS[pick(ROOM_IDS)];
    await kit.open(path);
    await kit.find('button[aria-label^="Undo"]');
    return path;
  };

  it('leave the same wherever the same steps are in force', async () => {
    const seen = new Map<string, string>();
    const done: string[] = [];
    const start = await settled();
    seen.set(start.inForce, start.records);
    let returns = 0;
    let last = start;
    for (let i = 0; i < STEPS; i += 1) {
      const kind = random.whole(0, 9);
      // Without the demo there is nothing to edit.
      if (kind < 5 || (kind < 8 && last.inForce === start.inForce)) {
        done.push(await pick(edits)());
        last = await settled();
        // A step that another was made one with says more than it did.
        seen.set(last.inForce, last.records);
      } else {
        done.push(`${kind < 8 ? 'undo' : 'redo'} in ${await anyRoom()}`);
        await kit.control('z', kind >= 8);
        last = await settled();
        const before = seen.get(last.inForce);
        const told = `CAMPAIGN_SEED=${CAMPAIGN_SEED}: ${done.join('; ')}`;
        if (before !== undefined) {
          expect(last.records === before, told).toBe(true);
          returns += 1;
        }
        seen.set(last.inForce, last.records);
      }
    }
    expect(returns).toBeGreaterThan(0);
    await kit.expectQuiet();
  });
});
