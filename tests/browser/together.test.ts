/** Two tabs on one workspace, and a workspace that is emptied again. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BenchPage } from './bench';

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
