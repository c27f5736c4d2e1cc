/** Two tabs on one workspace, and a workspace that is emptied again. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { By, until } from 'selenium-webdriver';
import { BenchPage, WAIT_MS } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(async () => {
  await bench.forget();
  await bench.open();
  await bench.verdictWord();
});
afterAll(() => bench.driver.quit());

describe('undoing the demo', () => {
  it('leaves an empty program that says so, not one that opens for ever', async () => {
    await bench.press('Undo: Load the demo workspace');
    await bench.saying('What do you have?', 'h1');
    // There is something to do again.
    await bench.press('Load the demo workspace');
    await bench.verdictWord();
  });
});

describe('a step of another tab', () => {
  it('is taken back only after asking', async () => {
    const { driver } = bench;
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await bench.openRig('rig=miller-portrait');
    await bench.press('Undo: Load the demo workspace');
    await bench.saying('Undo it all the same', 'button');
    expect(await bench.verdictWord()).toMatch(/\w/);
    await bench.press('Undo it all the same');
    await bench.saying('What do you have?', 'h1');
    await driver.close();
    await driver.switchTo().window(first);
  });

  it('is taken back without asking once that tab is closed', async () => {
    const { driver } = bench;
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await bench.openRig('rig=miller-portrait');
    const second = await driver.getWindowHandle();
    await driver.switchTo().window(first);
    await driver.close();
    await driver.switchTo().window(second);
    await bench.press('Undo: Load the demo workspace');
    await bench.saying('What do you have?', 'h1');
  });
});

describe('a newer version that takes the workspace over in another tab', () => {
  it('leaves what was typed here and not taken', async () => {
    const { driver } = bench;
    await bench.open('/kit');
    await bench.press('I have a lens');
    const field = await driver.wait(
      until.elementLocated(
        By.xpath('//input[@id=//label[starts-with(normalize-space(.), "What stands on it")]/@for]'),
      ),
      WAIT_MS,
    );
    await field.sendKeys('ORLANT-12 2.8/90');
    const name = await driver.executeAsyncScript<string>(
      `const done = arguments[0];
       indexedDB.databases().then(([{ name }]) => {
         const newer = indexedDB.open(name, 99990);
         newer.onupgradeneeded = () => undefined;
         newer.onsuccess = () => { newer.result.close(); done(name); };
         newer.onerror = () => done('');
       });`,
    );
    expect(name).not.toBe('');
    await bench.find('[role="alert"]');
    const said = await (await bench.find('[role="alert"]')).getText();
    expect(said).toMatch(/newer version of the program, which now keeps the workspace/);
    const kept = await driver.executeScript<string>(
      'return Object.values(sessionStorage).join(" ")',
    );
    expect(kept).toContain('ORLANT-12 2.8/90');
  });
});
