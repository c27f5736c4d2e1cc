/** Everyone can work it: axe finds nothing serious in any state, and the page fits its screens. */
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser, setSize } from '../../scripts/lib/browser.mjs';
import { seriousFindings, setTheme } from './axe';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(() => bench.forget());
afterAll(() => bench.driver.quit());

const findings = () => seriousFindings(bench.driver);
const themed = (theme: string) => setTheme(bench.driver, theme);

const RIGS = ['wheel-house-wide', 'lamplight', 'sluice-tower', 'mill-pond', 'waders-at-dawn'];

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it.each(RIGS)('%s has no serious finding', async (rig) => {
    await bench.openRig(`rig=${rig}`);
    await themed(theme);
    expect(await findings()).toEqual([]);
  });

  it('neither have open lists, explanations, menus and dialogs', async () => {
    await bench.openRig('rig=wheel-house-wide');
    await themed(theme);
    for (const css of [
      'section[aria-label="Light path"] button',
      'section[aria-label="Readings"] button',
      'header button[aria-label="File"]',
      'header button[aria-label="Help"]',
      'button[aria-label^="Mind here"]',
    ]) {
      await (await bench.find(css)).click();
      expect(await findings()).toEqual([]);
      await bench.keys('\uE00C');
    }
  });

  it('neither have compared rigs, a pinned state, the chain finder and the judgement', async () => {
    await bench.openRig('rig=waders-at-dawn');
    await themed(theme);
    await bench.keys('k', 'j');
    await bench.find('section[aria-label="Rigs compared"]');
    expect(await findings()).toEqual([]);
    await bench.keys('k', 'j');
    await bench.press('Find a chain');
    await bench.find('ul[aria-label="Chains"]');
    expect(await findings()).toEqual([]);
    await bench.keys('\uE00C');
    await bench.menu('File', 'How this workspace judges');
    await bench.saying('How this workspace judges');
    expect(await findings()).toEqual([]);
    await bench.keys('\uE00C');
  });

  it('neither has the empty program', async () => {
    await bench.driver.get(`${inject('emptyUrl')}/bench`);
    await bench.saying('What do you have?', 'h1');
    await themed(theme);
    expect(await findings()).toEqual([]);
  });
});

describe('the picture in words', () => {
  it('says all the stage shows', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const words = await (await bench.find('figure[role="img"]')).getAttribute('aria-label');
    expect(words).toMatch(
      /Clipped\. .*half light.*Read-out 23\.5 mm by 15\.6 mm.*Corners at rest: top left black/s,
    );
  });
});

describe('fit', () => {
  const overflow = () =>
    bench.driver.executeScript<{ x: number; y: number }>(`return {
      x: document.documentElement.scrollWidth - innerWidth,
      y: Math.max(document.documentElement.scrollHeight - innerHeight,
        ...[...document.querySelectorAll('main section')].map((s) => s.scrollHeight - s.clientHeight)),
    }`);

  it.each(RIGS)('%s needs no scrolling at 1280x800', async (rig) => {
    await setSize(bench.driver, 1280, 800);
    await bench.openRig(`rig=${rig}`);
    const { x, y } = await overflow();
    expect(x).toBeLessThanOrEqual(0);
    expect(y).toBeLessThanOrEqual(0);
  });

  it.each([
    [1280, 800],
    [390, 844],
  ])('names of sixty characters stay in their places at %ix%i', async (width, height) => {
    const long = JSON.parse(readFileSync('docs/examples/tide-mill.workspace.json', 'utf8')) as {
      [table: string]: { name: string }[];
    };
    for (const table of ['bodies', 'lenses', 'parts', 'rigs', 'mounts'])
      for (const record of long[table] ?? [])
        record.name = `${record.name}, the one lent by the museum of salt and water mills`.slice(
          0,
          60,
        );
    const path = join(mkdtempSync(join(tmpdir(), 'halo-')), 'long.json');
    writeFileSync(path, JSON.stringify(long));
    const { driver, downloads } = await openBrowser();
    const other = new BenchPage(driver, inject('emptyUrl'), downloads);
    try {
      await setSize(driver, width, height);
      await other.open();
      await other.saying('What do you have?', 'h1');
      await other.giveFile(path);
      await other.press('Open it');
      await other.verdictWord();
      await other.openRig('rig=waders-at-dawn');
      expect(
        await driver.executeScript('return document.documentElement.scrollWidth - innerWidth'),
      ).toBeLessThanOrEqual(0);
    } finally {
      await driver.quit();
    }
  });

  it('nothing runs out sideways at 390x844', async () => {
    await setSize(bench.driver, 390, 844);
    await bench.openRig('rig=waders-at-dawn');
    expect((await overflow()).x).toBeLessThanOrEqual(0);
    await setSize(bench.driver, 1280, 800);
  });
});
