/** The program with its server stopped: every room, its workers, saving; and a newer version that waits. */
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, sep } from 'node:path';
import { By } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { lensfunProfile } from '../../src/core/exchange/lensfun';
import { ROOM_IDS, ROOMS } from '../../src/shell/rooms';
import { demoRig } from '../support/demo';
import { gateBefore, type Gate } from './gate';
import { MeasurePage } from './measurePage';
import { WAIT_MS } from './bench';

/** The browser's own, which it is started with again. */
const profileFolder = mkdtempSync(join(tmpdir(), 'halo-offline-'));
let gate: Gate;
let page: MeasurePage;

async function pageIn(folder: string): Promise<MeasurePage> {
  const { driver, downloads } = await openBrowser(folder);
  return new MeasurePage(driver, gate.url, downloads);
}

/** Waits until the whole program is kept and this page is answered from there. */
const kept = () =>
  page.driver.wait(
    () =>
      page.driver.executeAsyncScript<boolean>(`
        const done = arguments[arguments.length - 1];
        navigator.serviceWorker.getRegistration().then((r) =>
          done(Boolean(r?.active && navigator.serviceWorker.controller)), () => done(false));`),
    WAIT_MS,
    'the program was not kept',
  );

/** When a newer build is said to be made, ms: later than any. */
const FAR_AHEAD = 9e12;

/** What shows that a room stands, and that the worker or the chart behind it answered. */
const STANDS: Readonly<Record<(typeof ROOM_IDS)[number], string>> = {
  kit: 'main table, main [role="grid"], main [role="tablist"], main nav',
  bench: '[data-testid="verdict"]',
  sweep: '.recharts-line',
  measure: 'section[aria-label="Session"]',
  converters: '[data-testid="weighing"]',
  framing: 'main canvas',
  choose: '[data-testid="choose-count"]',
  card: '[data-paper-page]',
};

beforeAll(async () => {
  gate = await gateBefore(inject('demoUrl'));
  page = await pageIn(profileFolder);
});
afterAll(async () => {
  await page.driver.quit();
  await gate.shut().catch(() => undefined);
});

describe('after one visit, with the server stopped', () => {
  it('every script, style and font of the program is kept', async () => {
    await page.openRig('rig=wheel-house-wide');
    await kept();
    const files = readdirSync('.next/static', { recursive: true, encoding: 'utf8' })
      .filter((path) => /\.(js|css|woff2?|svg)$/.test(path))
      .map((path) => `/_next/static/${path.split(sep).map(encodeURIComponent).join('/')}`);
    expect(files.length).toBeGreaterThan(100);
    const missing = await page.driver.executeAsyncScript<string[]>(
      `const done = arguments[1];
       Promise.all(arguments[0].map(async (f) => ((await caches.match(f)) ? null : f))).then((all) => done(all.filter(Boolean)));`,
      files,
    );
    expect(missing).toEqual([]);
  });

  it('every room opens from the one before, none of them loaded anew', async () => {
    await page.openRig('rig=wheel-house-wide');
    await kept();
    await page.complaints();
    await gate.shut();
    await page.driver.executeScript('window.stillThis = true');
    for (const id of [...ROOM_IDS.filter((r) => r !== 'bench'), 'bench' as const]) {
      const link = await page.driver.findElement(
        By.css(`nav[aria-label="Rooms"] a[href="${ROOMS[id].path}"]`),
      );
      await link.click();
      await page.find(STANDS[id]);
      expect(await page.driver.executeScript('return window.stillThis')).toBe(true);
    }
    await page.expectQuiet();
  });

  it('every room opens by its address and is loaded again', async () => {
    for (const id of ROOM_IDS) {
      await page.driver.get(`${gate.url}${ROOMS[id].path}`);
      await page.find(STANDS[id]);
      await page.driver.navigate().refresh();
      await page.find(STANDS[id]);
    }
    await page.driver.get(`${gate.url}/`);
    await page.verdictWord();
    await page.expectQuiet();
  });

  it('ways out are found, dialogs open, and help says that all of it works without a network', async () => {
    await page.openRig('rig=wheel-house-wide&focal=20');
    await page.pressStarting('Zoom to');
    await page.control('z');
    await page.keys('?');
    await page.saying('Everything works without a network: the program is kept in this browser.');
    await page.press('Close');
    for (const [item, title] of [
      ['How this workspace judges', 'How this workspace judges'],
      ['Backups and storage', 'Backups'],
    ] as const) {
      await page.menu('File', item);
      expect(await (await page.find('[role="dialog"]')).getText()).toContain(title);
      await page.press('Close');
    }
    await page.expectQuiet();
  });

  it('frames of the simulated camera are taken, measured and accepted', async () => {
    await page.openMeasure();
    await page.press('Practise');
    await page.pressStarting('Take the 2 shots');
    await page.allMeasured(2);
    await page.pressStarting('Accept 2 frames');
    await page.saying('It is in the log. Undo takes it out again.');
    await page.expectQuiet();
  });

  it('lenses are read from a Lensfun file', async () => {
    await page.openKit();
    await page.inAndOut('Pick from');
    const profile = lensfunProfile(demoRig('mill-pond'));
    const file = join(profileFolder, 'mill-pond.xml');
    writeFileSync(file, profile.ok ? profile.value.xml : '');
    await page.giveFile(file, 'Lensfun files');
    await page.expectSoon(
      () => page.status(),
      (said) => /[1-9]\d* lens/.test(said),
      'no lens was read',
    );
    await page.press('Close');
    await page.expectQuiet();
  });

  it('the workspace is saved and read again, and a card is made', async () => {
    await page.open('/card?rig=wheel-house-wide&paper=A6');
    await page.find('[data-paper-page]');
    await page.menu('File', 'Save the workspace to a file');
    const { text, path } = await page.download('.json');
    expect(JSON.parse(text)).toMatchObject({ format: 'wandering-halo/workspace' });
    await page.giveFile(path);
    expect(await (await page.find('[role="dialog"]')).getText()).toContain(
      'Nothing is written yet',
    );
    await page.press('Leave it');
    await page.press('Save as PDF');
    const pdf = await page.download('.pdf');
    await page.unfold('For correcting pictures');
    await page.press('Save the gain map');
    await page.expectSoon(
      () => page.notice(),
      (said) => said.includes('gain of'),
      'no gain map was made',
    );
    expect(readFileSync(pdf.path).subarray(0, 5).toString()).toBe('%PDF-');
    await page.expectQuiet();
  });

  it('all of it is there when the browser is started again', async () => {
    const before = await page.stored();
    await page.driver.quit();
    page = await pageIn(profileFolder);
    await page.openRig('rig=mill-pond');
    expect((await page.stored()) === before).toBe(true);
    await page.open('/choose');
    await page.find(STANDS.choose);
    await page.expectQuiet();
  });
});

describe('a page that is lost from what is kept', () => {
  it('is taken again at the next visit with a network, and works without one', async () => {
    await gate.reopen();
    await page.openRig('rig=mill-pond');
    await kept();
    const isKept = () =>
      page.driver.executeAsyncScript<boolean>(
        `const done = arguments[0]; caches.match('/card').then((hit) => done(Boolean(hit)));`,
      );
    await page.driver.executeAsyncScript(
      `const done = arguments[0];
       caches.keys().then(async (names) => {
         for (const name of names) {
           const cache = await caches.open(name);
           await cache.delete('/card');
           await cache.delete('/card?data-of-the-page');
         }
         done();
       });`,
    );
    expect(await isKept()).toBe(false);
    await page.driver.navigate().refresh();
    await page.expectSoon(isKept, (is) => is, 'the page was not taken again');
    await gate.shut();
    await page.driver.get(`${gate.url}/card`);
    await page.find(STANDS.card);
    await page.expectQuiet();
  });
});

describe('an earlier version', () => {
  const asked = () =>
    page.driver.executeAsyncScript<string>(
      `const done = arguments[0];
       navigator.serviceWorker.getRegistration().then((r) => r.update()).then(
         (r) => {
           const coming = r.installing;
           if (!coming) return done(String(r.waiting?.state));
           coming.addEventListener('statechange', () => done(coming.state));
         },
         (error) => done(String(error)));`,
    );
  const bar = async () =>
    (await (await page.find('body')).getText()).match(/The server now has .*/);

  it('that could not open the workspace is not kept, and this one goes on', async () => {
    await gate.reopen();
    await page.openRig('rig=mill-pond');
    await kept();
    gate.renew({ version: 'of-an-earlier-program', builtAt: 1, records: 1 });
    expect(await asked()).toBe('redundant');
    expect(await bar()).toBeNull();
    await page.driver.navigate().refresh();
    await page.verdictWord();
    expect(await bar()).toBeNull();
  });

  it('that could is said to be one', async () => {
    gate.renew({ version: 'built-earlier', builtAt: 1 });
    expect(await asked()).toBe('installed');
    await page.expectSoon(bar, (said) => said !== null, 'it was not said');
    expect((await bar())?.[0]).toMatch(
      /^The server now has a version built earlier than this one\./,
    );
  });
});

describe('a newer version', () => {
  it('says so, waits, and takes over when it is let in; nothing one has is lost', async () => {
    await page.openRig('rig=mill-pond');
    await page.driver.executeScript('window.stillThis = true');
    const before = await page.stored();
    gate.renew({ version: 'of-a-newer-build', builtAt: FAR_AHEAD });
    await page.driver.executeScript(
      'navigator.serviceWorker.getRegistration().then((r) => r.update())',
    );
    await page.driver.wait(
      async () =>
        (await page.driver.findElements(By.xpath('//*[starts-with(., "A newer version is here")]')))
          .length > 0,
      WAIT_MS,
      'it was not said',
    );
    const caches = () =>
      page.driver.executeAsyncScript<string[]>('caches.keys().then(arguments[0])');
    expect(await page.driver.executeScript('return window.stillThis')).toBe(true);
    await page.driver.navigate().refresh();
    await page.verdictWord();
    // Loaded anew, it is still the version that was here.
    await page.saying('Change to it', 'button');
    await page.driver.executeScript('window.stillThis = true');
    await page.press('Change to it');
    await page.expectSoon(
      () => page.driver.executeScript<boolean | null>('return window.stillThis ?? null'),
      (mark) => mark === null,
      'the page was not loaded anew',
    );
    await page.verdictWord();
    expect((await caches()).at(-1)).toBe('wandering-halo-of-a-newer-build');
    expect((await page.stored()) === before).toBe(true);
    await page.expectQuiet();
  });
});
