/** npm run shots: retakes docs/screenshots from the demo workspace. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { readyDebian, readyBuild, readyPackages } from './lib/ready.mjs';

await readyPackages();
await readyDebian();
await readyBuild();
const { openBrowser, setSize } = await import('./lib/browser.mjs');
const { serve } = await import('./lib/serve.mjs');

const FOLDER = 'docs/screenshots';
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
  { name: 'bench-phone-dark', path: '/bench?rig=lamplight', theme: 'dark', size: [390, 844] },
  {
    name: 'bench-phone-daylight',
    path: '/bench?rig=waders-at-dawn',
    theme: 'daylight',
    size: [390, 844],
  },
];

mkdirSync(FOLDER, { recursive: true });
const server = await serve({ port: 4400, demo: true });
const { driver } = await openBrowser();
try {
  for (const { name, path, theme, size } of SHOTS) {
    await setSize(driver, ...size);
    await driver.get(server.url + path);
    await driver.wait(
      async () => (await driver.findElements({ css: '[data-testid="verdict"]' })).length > 0,
      20_000,
    );
    await driver.executeScript('document.documentElement.dataset.theme = arguments[0]', theme);
    await driver.executeScript('return document.fonts.ready.then(() => true)');
    await driver.sleep(400);
    writeFileSync(`${FOLDER}/${name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'));
    console.log(`${FOLDER}/${name}.png`);
  }
} finally {
  await driver.quit();
  await server.stop();
}
