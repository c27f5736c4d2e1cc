/** Everyone can work it: axe finds nothing serious in any state, and the page fits its screens. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { openBrowser, setSize } from '../../scripts/lib/browser.mjs';
import { BenchPage } from './bench';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);
let bench: BenchPage;

beforeAll(async () => {
  const { driver, downloads } = await openBrowser();
  bench = new BenchPage(driver, inject('demoUrl'), downloads);
});
afterAll(() => bench.driver.quit());

interface Finding {
  id: string;
  impact: string;
  nodes: { html: string; failureSummary: string }[];
}

async function findings(): Promise<string[]> {
  await bench.driver.executeScript(axeSource);
  const found = await bench.driver.executeAsyncScript<Finding[]>(
    'const done = arguments[arguments.length - 1]; axe.run().then((r) => done(r.violations));',
  );
  return found
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map(
      (v) =>
        `${v.id}: ${v.nodes.map((n) => `${n.html.slice(0, 160)} ${n.failureSummary}`).join(' | ')}`,
    );
}

const setTheme = (theme: string) =>
  bench.driver.executeScript('document.documentElement.dataset.theme = arguments[0]', theme);

const RIGS = ['wheel-house-wide', 'lamplight', 'sluice-tower', 'mill-pond', 'waders-at-dawn'];

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it.each(RIGS)('%s has no serious finding', async (rig) => {
    await bench.openRig(`rig=${rig}`);
    await setTheme(theme);
    expect(await findings()).toEqual([]);
  });

  it('neither have open lists, explanations, menus and dialogs', async () => {
    await bench.openRig('rig=wheel-house-wide');
    await setTheme(theme);
    for (const css of [
      'section[aria-label="Light path"] button',
      'section[aria-label="Readings"] button',
      'header button[aria-label="File"]',
      'header button[aria-label="Keyboard"]',
    ]) {
      await (await bench.find(css)).click();
      expect(await findings()).toEqual([]);
      await bench.keys('\uE00C');
    }
  });

  it('neither has the empty program', async () => {
    await bench.driver.get(`${inject('emptyUrl')}/bench`);
    await bench.saying('Nothing in the cabinet yet', 'h1');
    await setTheme(theme);
    expect(await findings()).toEqual([]);
  });
});

describe('the picture in words', () => {
  it('says all the stage shows', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const words = await (await bench.find('figure[role="img"]')).getAttribute('aria-label');
    expect(words).toMatch(
      /Clipped\. .*half light.*Read-out 23\.5 mm by 15\.6 mm.*Corners: top left black/s,
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

  it('nothing runs out sideways at 390x844', async () => {
    await setSize(bench.driver, 390, 844);
    await bench.openRig('rig=waders-at-dawn');
    expect((await overflow()).x).toBeLessThanOrEqual(0);
    await setSize(bench.driver, 1280, 800);
  });
});
