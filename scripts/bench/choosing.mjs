/** How the screen bears choosing from half a million combinations. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key, until } from 'selenium-webdriver';
import { openBrowser } from '../lib/browser.mjs';
import { serve } from '../lib/serve.mjs';
import { bundled } from './bundled.mjs';
import { row } from './row.mjs';

const WAIT_MS = 120_000;

/** In the page: when the first row was there and when all were judged, and the longest task until then, ms. */
const WATCH_CHOOSING = `
  const [before, done] = arguments;
  const firstRow = () => document.querySelector('[role="listitem"]')?.textContent ?? before;
  const began = performance.now();
  let first = null, longest = 0;
  new PerformanceObserver((list) => {
    for (const task of list.getEntries()) longest = Math.max(longest, task.duration);
  }).observe({ type: 'longtask' });
  (function look() {
    if (first === null && !firstRow().startsWith(before)) first = performance.now() - began;
    const count = document.querySelector('[data-testid="choose-count"]');
    if (!count) return void setTimeout(look, 10);
    done({ first, all: performance.now() - began, longest, count: count.textContent });
  })();`;

/** Choosing from a kit of half a million combinations: a word of the job is changed, and all is judged anew. */
export async function choosing() {
  const { text } = await bundled('chooseKit');
  const path = join(mkdtempSync(join(tmpdir(), 'halo-choose-')), 'choose.json');
  writeFileSync(path, text);
  const server = await serve({ port: 4390 });
  const { driver } = await openBrowser();
  await driver.manage().setTimeouts({ script: WAIT_MS });
  const located = (by) => driver.wait(until.elementLocated(by), WAIT_MS);
  const css = (selector) => located(By.css(selector));
  try {
    await driver.get(`${server.url}/kit`);
    await (await css('input[type="file"][aria-label="Workspace file"]')).sendKeys(path);
    await (
      await located(By.xpath('//*[@role="dialog"]//button[normalize-space(.)="Open it"]'))
    ).click();
    await css('[role="rowheader"]');
    await driver.get(`${server.url}/choose`);
    await chosen(driver, css);
  } finally {
    await driver.quit();
    await server.stop();
  }
}

async function chosen(driver, css) {
  const input = await css('input[aria-label="Longest view, mm on 36×24"]');
  await css('[data-testid="choose-count"]');
  const before = await (await css('[role="listitem"]')).getAttribute('textContent');
  await input.click();
  await input.sendKeys(Key.chord(Key.CONTROL, 'a'), '400', Key.ENTER);
  await driver.wait(
    async () => (await driver.findElements(By.css('progress'))).length > 0,
    WAIT_MS,
  );
  const { first, all, longest, count } = await driver.executeAsyncScript(WATCH_CHOOSING, before);
  const combinations = Number(/[\d,]+/.exec(count)[0].replaceAll(',', ''));
  const perHalfMillion = (all / combinations) * 500_000;
  row(
    `choosing, ${combinations.toLocaleString('en')} combinations on the screen`,
    `${(all / 1000).toFixed(1)} s`,
    '< 8 s for 500,000',
    perHalfMillion < 8000,
  );
  row('first row after', `${(first ?? all).toFixed(0)} ms`, '< 300 ms', (first ?? all) < 300);
  row('longest task meanwhile', `${longest.toFixed(0)} ms`, '< 50 ms', longest < 50);
}
