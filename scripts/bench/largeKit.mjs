/** How the rooms bear a large kit: 3,000 lenses, 150 bodies, 320 parts, 2,000 log entries. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key, until } from 'selenium-webdriver';
import { openBrowser } from '../lib/browser.mjs';
import { serve } from '../lib/serve.mjs';
import { bundled } from './bundled.mjs';
import { row } from './row.mjs';
import { pages } from '../lib/offline.mjs';

const WAIT_MS = 120_000;
const IMPORTS = 6;

/** In the page: how long after the first press or key something is there, and the longest task until then. */
const WATCH = `
  const [there] = arguments;
  const isThere = new Function('return (' + there + ')');
  let began = null, longest = 0;
  const tasks = new PerformanceObserver((list) => {
    for (const task of list.getEntries()) longest = Math.max(longest, task.duration);
  });
  tasks.observe({ entryTypes: ['longtask'] });
  for (const type of ['pointerdown', 'keydown', 'change'])
    addEventListener(type, (event) => { began ??= event.timeStamp; }, { capture: true, once: true });
  window.watched = new Promise((resolve) => {
    (function look() {
      if (began === null || !isThere()) return void requestAnimationFrame(look);
      const took = performance.now() - began;
      setTimeout(() => {
        for (const task of tasks.takeRecords()) longest = Math.max(longest, task.duration);
        tasks.disconnect();
        resolve({ took, longest });
      }, 300);
    })();
  });`;

const TEXTS = (css) => `[...document.querySelectorAll('${css}')].map((e) => e.textContent)`;
const SHOWN = `${TEXTS('section[aria-label="Records"] [role="status"]')}.join('')`;
const FIRST_ROW = `(${TEXTS('[role="rowheader"]')}[0] ?? '')`;

/** Does something and answers how long until `there` holds, and the longest task meanwhile, ms. */
async function timed(driver, there, act) {
  await driver.executeScript(WATCH, there);
  await act();
  return driver.executeAsyncScript(`window.watched.then(arguments[arguments.length - 1])`);
}

const told = (what, { took, longest }, leastMs) => {
  row(what, `${took.toFixed(0)} ms`, `< ${leastMs.toLocaleString('en')} ms`, took < leastMs);
  row(`${what}: longest task`, `${longest.toFixed(0)} ms`, '< 200 ms', longest < 200);
};

/** What shows that a room stands, where a section of it is not enough. */
const THERE = {
  '/kit': '[role="rowheader"]',
  '/bench': '[data-testid="verdict"]',
  '/sweep': '[role="gridcell"]',
  '/choose': 'section[aria-label="The job"]',
};

/** An element, once it is there. */
const found = (driver, selector) => driver.wait(until.elementLocated(By.css(selector)), WAIT_MS);

async function heapMb(driver) {
  await driver.sendDevToolsCommand('HeapProfiler.collectGarbage', {});
  const { usedSize } = await driver.sendAndGetDevToolsCommand('Runtime.getHeapUsage', {});
  return usedSize / 1e6;
}

/** Brings a workspace file in, and takes it. */
const bringIn = (driver, path) =>
  timed(
    driver,
    `document.querySelector('[data-testid="notice"]')?.textContent.includes('is open')`,
    async () => {
      const [close] = await driver.findElements(By.css('[data-testid="notice"] button'));
      await close?.click();
      await (await found(driver, 'input[type="file"][aria-label="Workspace file"]')).sendKeys(path);
      const take = By.xpath(
        '//*[@role="dialog"]//button[normalize-space(.)="Open it" or starts-with(normalize-space(.), "Add new")]',
      );
      await (await driver.wait(until.elementLocated(take), WAIT_MS)).click();
    },
  );

/** How soon each room stands, and its longest task. */
async function roomsOpen(driver, url) {
  for (const room of pages()) {
    await driver.get(`${url}${room}`);
    await found(driver, THERE[room] ?? 'main section');
    const { ready, longest } = await driver.executeAsyncScript(`
      const done = arguments[arguments.length - 1];
      const ready = performance.now();
      let longest = 0;
      new PerformanceObserver((list) => {
        for (const task of list.getEntries()) longest = Math.max(longest, task.duration);
      }).observe({ type: 'longtask', buffered: true });
      setTimeout(() => done({ ready, longest }), 1500);`);
    told(`${room} opens with it`, { took: ready, longest }, 1500);
  }
}

/** Searching, sorting and changing among thousands of rows. */
async function kitAnswers(driver, url) {
  await driver.get(`${url}/kit`);
  const search = await found(driver, 'input[type="search"]');
  const before = await driver.executeScript(`return ${SHOWN}`);
  told(
    'first letter of a search',
    await timed(driver, `${SHOWN} !== ${JSON.stringify(before)}`, () => search.sendKeys('k')),
    100,
  );
  await search.sendKeys(Key.BACK_SPACE);
  await driver.sleep(1500);
  const first = await driver.executeScript(`return ${FIRST_ROW}`);
  const head = By.xpath(
    '//*[@role="columnheader"][starts-with(normalize-space(.), "Lens")]/button',
  );
  told(
    'sorted the other way',
    await timed(driver, `${FIRST_ROW} !== ${JSON.stringify(first)}`, async () => {
      await (await driver.findElement(head)).click();
    }),
    150,
  );
  await (await found(driver, '[role="rowheader"]')).click();
  const field = await driver.wait(
    until.elementLocated(
      By.xpath('//label[starts-with(normalize-space(.), "Name")]/following-sibling::*[1]'),
    ),
    WAIT_MS,
  );
  await field.click();
  await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Named anew');
  told(
    'Enter in a field',
    await timed(
      driver,
      `${TEXTS('[role="row"][aria-selected="true"] [role="rowheader"]')}.join(' ').includes('Named anew')`,
      () => field.sendKeys(Key.ENTER),
    ),
    150,
  );
}

/** Choosing among thousands of lenses. */
async function pickerAnswers(driver, url) {
  await driver.get(`${url}/bench`);
  await found(driver, '[data-testid="verdict"]');
  await driver.sleep(1000);
  const lens = By.xpath('//*[normalize-space(.)="Lens"]/following-sibling::button');
  told(
    'the picker of lenses opens',
    await timed(driver, `document.querySelectorAll('[role="option"]').length > 3`, async () => {
      await (await driver.findElement(lens)).click();
    }),
    100,
  );
  const options = `${TEXTS('[role="option"]')}.join('|')`;
  const all = await driver.executeScript(`return ${options}`);
  told(
    'a letter typed into it',
    await timed(driver, `${options} !== ${JSON.stringify(all)}`, async () => {
      await (
        await driver.findElement(
          By.css(
            '[role="dialog"] input[type="search"], [role="listbox"] ~ input, input[placeholder="search"]',
          ),
        )
      ).sendKeys('z');
    }),
    100,
  );
}

/** What the page keeps of files that were brought in. */
async function heapOverImports(driver, url, path) {
  await driver.get(`${url}/kit`);
  await found(driver, '[role="rowheader"]');
  const empty = await heapMb(driver);
  const heaps = [];
  for (let i = 0; i < IMPORTS; i += 1) {
    await bringIn(driver, path);
    heaps.push(await heapMb(driver));
  }
  const grown = heaps.at(-1) - heaps[0];
  row(
    `heap over ${IMPORTS} imports (${empty.toFixed(0)} MB before)`,
    `${heaps.at(-1).toFixed(0)} MB`,
    `grows by less than 40 MB (${grown.toFixed(0)} MB)`,
    grown < 40,
  );
}

export async function largeKit() {
  const { text } = await bundled('largeKit');
  const path = join(mkdtempSync(join(tmpdir(), 'halo-large-')), 'large.json');
  writeFileSync(path, text);
  const server = await serve({ port: 4390 });
  const { driver } = await openBrowser();
  await driver.manage().setTimeouts({ script: WAIT_MS });
  try {
    await driver.get(`${server.url}/kit`);
    told('a kit of 3,000 lenses brought in', await bringIn(driver, path), 4000);
    await roomsOpen(driver, server.url);
    await kitAnswers(driver, server.url);
    await pickerAnswers(driver, server.url);
    await heapOverImports(driver, server.url, path);
  } finally {
    await driver.quit();
    await server.stop();
  }
}
