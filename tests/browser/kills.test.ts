/** The browser ends at any moment, as by a flat battery: no step is there by half, and the program opens again. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { describe, expect, inject, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { tideMill } from '@/core/demo';
import { writeWorkspace } from '@/core/exchange/json';
import { EMPTY_WORKSPACE } from '@/core/kit/records';
import { randomOf } from '@/core/maths';
import { CAMPAIGN_SEED, tries } from '../campaign/size';
import { KitPage } from './kitPage';

const KILLS = tries({ inTest: 2, inCampaign: 100 });

/** In the page: what of the last step in force does not stand in its table; null where all of it does. */
const HALF = `
  const done = arguments[arguments.length - 1];
  const open = indexedDB.open('wandering-halo');
  open.onsuccess = async () => {
    const db = open.result;
    const ask = (request) => new Promise((resolve) => { request.onsuccess = () => resolve(request.result); });
    const tables = db.transaction([...db.objectStoreNames]);
    const steps = await ask(tables.objectStore('journal').getAll());
    const last = steps.filter((s) => s.undone === 0).at(-1);
    let wrong = null;
    for (const { table, id, after } of last?.changes ?? []) {
      const stored = (await ask(tables.objectStore(table).get(id))) ?? null;
      if (JSON.stringify(stored) !== JSON.stringify(after)) wrong = last.label + ': ' + table + '/' + id;
    }
    const lenses = await ask(tables.objectStore('lenses').count());
    db.close();
    done({ wrong, lenses });
  };`;

interface Found {
  wrong: string | null;
  lenses: number;
}

const FEW = tideMill.lenses.length;
const MANY = 900;

/** A file that brings very many lenses in one step. */
function largeFile(): string {
  const path = join(mkdtempSync(join(tmpdir(), 'halo-large-')), 'large.json');
  const lenses = Array.from({ length: MANY }, (_, i) => ({ ...tideMill.lenses[0]!, id: `l-${i}` }));
  writeFileSync(path, writeWorkspace({ ...EMPTY_WORKSPACE, lenses }));
  return path;
}

describe(`a browser that is killed, ${KILLS} times from seed ${CAMPAIGN_SEED}`, () => {
  const profile = mkdtempSync(join(tmpdir(), 'halo-killed-'));
  const random = randomOf(CAMPAIGN_SEED);

  /** The Kit in a browser of the same profile, where all that was kept is whole. */
  async function reopened(): Promise<{ kit: KitPage; lenses: number }> {
    const { driver, downloads } = await openBrowser(profile);
    const kit = new KitPage(driver, inject('demoUrl'), downloads);
    await kit.open('/kit');
    await kit.find('[role="rowheader"]');
    const { wrong, lenses } = await driver.executeAsyncScript<Found>(HALF);
    expect(wrong).toBeNull();
    expect([FEW, FEW + MANY]).toContain(lenses);
    return { kit, lenses };
  }
  /** One step of those that are worked: a name, all lenses of a file, the same taken back where they came in. */
  async function work(kit: KitPage, i: number, file: string, lenses: number): Promise<void> {
    if (i % 3 === 0) {
      await kit.giveFile(file, 'Workspace file');
      await kit.press('Add new, update changed');
    } else if (i % 3 === 1 && lenses > FEW) await kit.control('z');
    else {
      await (await kit.find('[role="rowheader"]')).click();
      await kit.type('Name', `Killed ${i}`, Key.ENTER);
    }
  }

  it('leaves every step whole, and the program opens on it', async () => {
    const file = largeFile();
    for (let i = 0; i < KILLS; i += 1) {
      const { kit, lenses } = await reopened();
      await work(kit, i, file, lenses);
      await kit.driver.sleep(random.between(0, i % 3 === 0 ? 1500 : 150));
      execFileSync('pkill', ['-9', '-f', profile]);
      await kit.driver.quit().catch(() => undefined);
    }
    await (await reopened()).kit.driver.quit();
  });
});
