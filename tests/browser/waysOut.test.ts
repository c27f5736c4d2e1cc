/** A bad verdict is mended from the list of ways out, by mouse and by keyboard. */
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(() => bench.forget());
afterAll(() => bench.driver.quit());

describe('ways out', () => {
  const wayOut = (words: string) => bench.find(`li button[title^="${words}"]`);

  it('are shown on the stage by pointing at them, and gone again', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const stage = () => bench.find('figure[role="img"]');
    expect(await (await stage()).getAttribute('aria-label')).toMatch(/^Clipped/);
    const way = await wayOut('Scale up');
    await bench.driver.actions({ async: true }).move({ origin: way }).perform();
    await bench.expectSoon(
      async () => (await stage()).getAttribute('aria-label'),
      (w) => /^Clear/.test(w ?? ''),
      'no preview',
    );
    expect(await (await bench.find('[data-testid="said"]')).getText()).toMatch(
      /^If: Scale up \d+\.\d % in post$/,
    );
    expect(await bench.verdictWord()).toBe('Clipped');
    await bench.driver.actions({ async: true }).move({ x: 5, y: 5 }).perform();
    await bench.expectSoon(
      async () => (await stage()).getAttribute('aria-label'),
      (w) => /^Clipped/.test(w ?? ''),
      'preview stayed',
    );
  });

  it('are taken by pressing, and undone', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const way = await wayOut('Zoom to');
    const words = await way.getAttribute('title');
    await way.click();
    await bench.expectVerdict('Clear');
    expect(Number.parseFloat(await bench.ringWords('Zoom'))).toBeGreaterThan(20);
    await bench.press(`Undo: ${words ?? ''}`);
    await bench.expectVerdict('Clipped');
    expect(await bench.ringWords('Zoom')).toBe('20 mm');
  });

  it('work by keyboard alone', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const way = await wayOut('Digital zoom');
    await bench.driver.executeScript('arguments[0].focus()', way);
    await bench.keys(Key.ENTER);
    await bench.expectVerdict('Clear');
    await bench.driver.executeScript('document.activeElement.blur()');
    await bench.control('z');
    await bench.expectVerdict('Clipped');
  });

  it('need none where the corners are covered', async () => {
    await bench.openRig('rig=mill-pond');
    await bench.unfold('Ways out');
    await bench.saying('Nothing needs mending.');
    await bench.expectQuiet();
  });

  it('are found anew while a ring is still being turned', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const list = async () =>
      (await (await bench.find('section[aria-label="Readings"] ul')).getText()).trim();
    await wayOut('Zoom to');
    const before = await list();
    const ring = await bench.ring('Aperture');
    const { width } = await ring.getRect();
    const drag = bench.driver.actions({ async: true });
    await drag
      .move({ origin: ring, x: -Math.round(width / 2) + 16 })
      .press()
      .perform();
    await bench.driver
      .actions({ async: true })
      .move({ origin: ring, x: 0, duration: 100 })
      .perform();
    await bench.expectSoon(list, (now) => now !== before && now !== '', 'the list stood still');
    await bench.driver.actions({ async: true }).release().perform();
  });
});
