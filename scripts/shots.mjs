/** npm run shots: retakes docs/screenshots from the demo workspace. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { readyDebian, readyBuild, readyPackages } from './lib/ready.mjs';

await readyPackages();
await readyDebian();
await readyBuild();
const { openBrowser, setSize } = await import('./lib/browser.mjs');
const { serve } = await import('./lib/serve.mjs');

const FOLDER = 'docs/screenshots';
/** The chart of a sweep arrives a moment after its sheet. */
const CURVE = '.recharts-line';
const SHOTS = [
  {
    name: 'bench-dark',
    path: '/bench?rig=wheel-house-wide&focal=22',
    theme: 'dark',
    size: [1280, 800],
  },
  {
    name: 'bench-daylight',
    path: '/bench?rig=miller-portrait',
    theme: 'daylight',
    size: [1280, 800],
  },
  { name: 'bench-keyhole', path: '/bench?rig=sluice-tower', theme: 'dark', size: [1280, 800] },
  {
    name: 'bench-compared',
    path: '/bench?rig=waders-at-dawn',
    theme: 'dark',
    size: [1280, 800],
    keys: 'kj',
  },
  { name: 'bench-phone-dark', path: '/bench?rig=lamplight', theme: 'dark', size: [390, 844] },
  {
    name: 'start',
    path: '/bench',
    theme: 'dark',
    size: [1280, 800],
    isEmpty: true,
    presses: ['1.5 crop, 23.5×15.6', '24 MP', 'No'],
  },
  {
    name: 'sweep-dark',
    path: '/sweep?rig=wheel-house-wide',
    theme: 'dark',
    size: [1280, 800],
    shows: CURVE,
  },
  {
    name: 'sweep-against',
    path: '/sweep?rig=wheel-house-wide&against=train:p44-18',
    theme: 'daylight',
    size: [1280, 800],
    shows: CURVE,
  },
  {
    name: 'sweep-phone',
    path: '/sweep?rig=walk-through',
    theme: 'dark',
    size: [390, 844],
    shows: CURVE,
  },
  {
    name: 'converters-dark',
    path: '/converters?rig=waders-at-dawn',
    theme: 'dark',
    size: [1280, 800],
  },
  {
    name: 'framing-dark',
    path: '/framing?rig=miller-portrait&rig=miller-portrait~bc26~m6k&from=1.8 2.7&size=alike&lamps=2.7&beside=0.85',
    theme: 'dark',
    size: [1280, 800],
  },
  {
    name: 'choose-dark',
    path: '/choose?job=sluice-wide',
    theme: 'dark',
    size: [1280, 800],
    shows: '.recharts-scatter',
  },
  {
    name: 'card-dark',
    path: '/card?rig=wheel-house-wide&focal=28&paper=A6',
    theme: 'dark',
    size: [1280, 800],
    shows: '[data-paper-page]',
  },
  {
    name: 'choose-phone',
    path: '/choose?job=wheel-house-interview',
    theme: 'daylight',
    size: [390, 844],
  },
  {
    name: 'kit-dark',
    path: '/kit',
    theme: 'dark',
    size: [1280, 800],
    click: '[role="rowheader"]',
  },
  { name: 'kit-ladder', path: '/kit', theme: 'daylight', size: [1280, 800], keys: '6' },
  { name: 'kit-phone', path: '/kit', theme: 'dark', size: [390, 844] },
  {
    name: 'measure-dark',
    path: '/measure',
    theme: 'dark',
    size: [1280, 800],
    presses: ['Practise', 'Take the 2 shots'],
    until: '2 frames',
  },
  {
    name: 'measure-daylight',
    path: '/measure',
    theme: 'daylight',
    size: [1280, 800],
    presses: ['Practise', 'Take the 2 shots'],
    until: '2 frames',
    keys: 'e',
  },
];

/** A room is ready once one of these stands on it. */
const READY =
  '[data-testid="verdict"], [role="rowheader"], [role="listitem"], section[aria-label="Session"], [data-testid="weighing"], [data-testid="moved"], [data-paper-page], aside[aria-label="The answer so far"]';

mkdirSync(FOLDER, { recursive: true });
const server = await serve({ port: 4400, demo: true });
const empty = await serve({ port: 4440 });
const { driver } = await openBrowser();

/** Presses a button or an answer by its words, once it is there. */
async function press(words) {
  const path = `//*[self::button or self::label][normalize-space(.)="${words}"]`;
  const button = await driver.wait(
    async () => (await driver.findElements({ xpath: path }))[0] ?? null,
    20_000,
  );
  await button.click();
}

try {
  for (const {
    name,
    path,
    theme,
    size,
    isEmpty,
    keys,
    click,
    presses = [],
    until,
    shows,
  } of SHOTS) {
    await setSize(driver, ...size);
    await driver.get((isEmpty ? empty : server).url + path);
    await driver.wait(async () => (await driver.findElements({ css: READY })).length > 0, 20_000);
    await driver.executeScript('document.documentElement.dataset.theme = arguments[0]', theme);
    await driver.executeScript('return document.fonts.ready.then(() => true)');
    for (const words of presses) await press(words);
    if (until)
      await driver.wait(
        async () =>
          (await driver.findElements({ xpath: `//*[@role="status"][.="${until}"]` })).length > 0,
        60_000,
      );
    if (shows)
      await driver.wait(async () => (await driver.findElements({ css: shows })).length > 0, 20_000);
    if (click) await driver.findElement({ css: click }).click();
    if (keys) await driver.actions({ async: true }).sendKeys(keys).perform();
    await driver.sleep(400);
    writeFileSync(`${FOLDER}/${name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'));
    console.log(`${FOLDER}/${name}.png`);
  }
} finally {
  await driver.quit();
  await Promise.all([server.stop(), empty.stop()]);
}
