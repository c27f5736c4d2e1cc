/** The whole range of a rig is looked over, a frame goes to the Bench and back, the sheet goes out as files. */
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { expectAccessible, seriousFindings } from './axe';
import { BenchPage } from './bench';

let page: BenchPage;

beforeAll(async () => {
  page = await BenchPage.opened();
});
beforeEach(() => page.forget());
afterAll(() => page.driver.quit());

const answer = async () => (await page.find('[data-testid="sweep-answer"]')).getText();
const expectAnswer = (words: string) =>
  page.expectSoon(answer, (now) => now === words, `the answer never was “${words}”`);
const cell = (row: number, column: number) => page.find(`[data-place="${row}/${column}"]`);
const spoken = async (row: number, column: number) =>
  (await (await cell(row, column)).getAttribute('aria-label')) ?? '';

describe('a sweep', () => {
  it('says where the zoom is Clear, and shows each setting by its verdict', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
    expect(await spoken(0, 0)).toMatch(
      /^18 mm, f\/1\.8: Clipped, darkest corner black, the stabiliser at its end$/,
    );
    expect(await spoken(0, 9)).toMatch(/^35 mm, f\/1\.8: Clear, darkest corner −/);
    await page.saying('Stabiliser off and locked');
    await page.expectQuiet();
  });

  it('a frame goes to the Bench as it is, undo takes it back, and the sweep is found again', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
    await (await cell(2, 5)).click();
    await expectAnswer('Clear from 23.7 mm at f/2.8');
    await page.press('Put it on the Bench');
    await page.expectVerdict('Clear');
    expect(await page.ringWords('Zoom')).toBe('26 mm');
    expect(await page.ringWords('Aperture')).toMatch(/^f\/2\.8/);
    await page.press('Undo: Set as the sweep shows');
    await page.expectSoon(
      () => page.ringWords('Zoom'),
      (w) => w === '20 mm',
      'not taken back',
    );
    await page.keys('S');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
  });

  it('a setting the lens cannot take is marked and never drawn as another', async () => {
    await page.open('/sweep?rig=walk-through');
    await expectAnswer('Nowhere Clear at f/4');
    const labels = await page.driver.executeScript<string[]>(
      'return [...document.querySelectorAll("[role=gridcell]")].map((c) => c.getAttribute("aria-label"))',
    );
    expect(
      labels.filter((l) => l.endsWith('f/4: cannot be set, there it opens to f/5.6')),
    ).toHaveLength(1);
    expect(labels.some((l) => l.startsWith('16 mm, f/4: Keyhole'))).toBe(true);
  });

  it('takes other axes, and another train to be held against', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await page.choose('Down', 'delivered aspect');
    await page.expectSoon(
      () => spoken(1, 0),
      (l) => /1:1/.test(l),
      'no aspects',
    );
    await page.choose('Held against', 'plain 44.00 to 18.00');
    await page.find('[aria-label="The sheet of plain 44.00 to 18.00"]');
    const url = await page.driver.getCurrentUrl();
    expect(url).toContain('down=aspect');
    expect(url).toContain('against=train');
    await page.driver.navigate().refresh();
    await page.find('[aria-label="The sheet of plain 44.00 to 18.00"]');
  });

  it('widens at a press, as one step to undo', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await (await page.saying('Stabiliser off and locked', 'button')).click();
    await expectAnswer('Clear from 21.7 mm at f/1.8');
    await page.press('Undo: Stabiliser off and locked');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
  });

  it('goes out as a table and as a picture', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
    await page.menu('Save sheet', 'Save as CSV');
    const csv = (await page.download('.csv')).text.trim().split('\n');
    expect(csv).toHaveLength(1 + 8 * 10);
    expect(csv[1]).toMatch(/^f\/1\.8,18 mm,18,1\.8,.*Clipped/);
    await page.menu('Save sheet', 'Save as SVG');
    const { text: svg } = await page.download('.svg');
    expect(svg.match(/<radialGradient/g)).toHaveLength(80);
    await page.menu('Save sheet', 'Save as PNG');
    expect((await page.download('.png')).text.length).toBeGreaterThan(5000);
    await page.expectQuiet();
  });
});

describe('by keyboard', () => {
  it('frames are gone over with the arrows and opened with Enter', async () => {
    await page.open('/sweep?rig=wheel-house-wide');
    await expectAnswer('Clear from 24.4 mm at f/1.8');
    await page.driver.executeScript(
      'document.querySelector("[role=gridcell][tabindex=\\"0\\"]").focus()',
    );
    await page.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_DOWN);
    await page.expectSoon(
      async () => (await page.driver.switchTo().activeElement()).getAttribute('data-place'),
      (place) => place === '1/4',
      'the frame in hand did not move',
    );
    await page.keys('c');
    await page.saying('Without corner stops');
    await page.keys(Key.ENTER);
    await page.expectVerdict('Clear');
  });
});

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it('has no serious finding, on a screen and on a phone', () =>
    expectAccessible(page.driver, theme, async () => {
      await page.open('/sweep?rig=walk-through&against=rig:wheel-house-wide');
      await expectAnswer('Nowhere Clear at f/4');
    }));
});

it('an empty program says what it needs', async () => {
  await page.driver.get(`${inject('emptyUrl')}/sweep`);
  await page.saying('No rig to sweep yet', 'h1');
  expect(await seriousFindings(page.driver)).toEqual([]);
});
