/** A lens is weighed bare, behind every converter that fits, and cropped. */
import { By, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { expectAccessible } from './axe';
import { BenchPage } from './bench';

let page: BenchPage;

beforeAll(async () => {
  page = await BenchPage.opened();
});
beforeEach(() => page.forget());
afterAll(() => page.driver.quit());

const verdict = async () => (await page.find('[data-testid="weighing"]')).getText();
const expectVerdict = (words: string) =>
  page.expectSoon(verdict, (now) => now === words, `the verdict never was “${words}”`);

/** The figures of a row, column by column. */
const figures = async (name: string) => {
  const cells = await page.driver.findElements(
    By.xpath(`//tr[th[normalize-space(.)="${name}"]]/td//b`),
  );
  return Promise.all(cells.map((c) => c.getText()));
};

describe('weighing converters', () => {
  it('shows each converter that fits beside the bare lens and the crop, and says which to use', async () => {
    await page.open('/converters?rig=waders-at-dawn');
    await expectVerdict('The ×1.40 converter');
    expect(await figures('Focal length')).toEqual([
      '500.0 mm',
      '350.0 mm',
      '355.0 mm',
      '700.0 mm',
      '1000.0 mm',
      '1400.0 mm',
      '500.0 mm',
    ]);
    expect((await figures('Autofocus')).slice(3)).toEqual([
      '567 points',
      '67 points',
      'fails',
      '567 points',
    ]);
    await page.saying('Does not fit here');
    await page.expectQuiet();
  });

  it('one that is not in the kit is told and weighed, and the rig keeps its own', async () => {
    await page.open('/converters?rig=lamplight');
    await page.press('Weigh another…');
    await page.answer('What it is', 'Focal reducer ×0.64');
    await page.press('Put it in the cabinet');
    await page.expectSoon(
      verdict,
      (now) => now.startsWith('×0.64 gives light and view'),
      'it is not in hand',
    );
    expect(await figures('Focal length')).toContain('22.4 mm');
    await page.press('Undo: Weigh another converter');
    await page.expectSoon(
      () => figures('Focal length'),
      (now) => !now.includes('22.4 mm'),
      'it was not taken back',
    );
    await page.expectQuiet();
  });

  it('another is taken in hand, the address keeps it, and undo is not asked for', async () => {
    await page.open('/converters?rig=waders-at-dawn');
    await expectVerdict('The ×1.40 converter');
    await page.press('×0.71');
    await expectVerdict('×0.71 gives light and view, and costs corners');
    await page.expectSoon(
      () => page.driver.getCurrentUrl(),
      (url) => url.includes('with=r71-44-18'),
      'the address did not follow',
    );
    await page.driver.navigate().refresh();
    await expectVerdict('×0.71 gives light and view, and costs corners');
    await page.keys('[');
    await expectVerdict('×0.70 in front gives view, and no light, and costs corners');
  });

  it('every figure explains itself', async () => {
    await page.open('/converters?rig=waders-at-dawn');
    await expectVerdict('The ×1.40 converter');
    const cell = await page.driver.findElement(
      By.xpath('//tr[th[normalize-space(.)="Crop left, by diagonal"]]/td[4]/button'),
    );
    await page.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', cell);
    await cell.click();
    await page.saying('The crop that is left');
    await page.keys(Key.ESCAPE);
  });

  it('the rings turn it, and what they turn is a step to undo', async () => {
    await page.open('/converters?rig=waders-at-dawn');
    await expectVerdict('The ×1.40 converter');
    await page.pressStarting('Set at 500 mm');
    await page.typeRing('Aperture', '8');
    await page.expectSoon(
      () => figures('f-number'),
      (f) => f[3] === 'f/11.20',
      'the table did not follow',
    );
    await page.press('Undo: Turn the aperture ring');
    await page.expectSoon(
      () => figures('f-number'),
      (f) => f[3] === 'f/5.60',
      'it was not taken back',
    );
  });

  it('the drawing moves between bare and converted by keyboard', async () => {
    await page.open('/converters?rig=waders-at-dawn');
    await expectVerdict('The ×1.40 converter');
    await page.saying('picture +17.0 mm', '*');
    const slider = await page.find('input[aria-label="Between bare and converted"]');
    await slider.sendKeys(Key.HOME);
    await page.saying('picture 0.0 mm', '*');
    await page.keys(Key.ESCAPE);
  });

  it('a rig whose lens takes no converter of the kit says so', async () => {
    await page.open('/converters?rig=walk-through');
    await page.find('[data-testid="weighing"]');
    await page.expectQuiet();
  });
});

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it('has no serious finding, on a screen and on a phone', () =>
    expectAccessible(page.driver, theme, async () => {
      await page.open('/converters?rig=wheel-house-wide');
      await expectVerdict('×0.71 gives light and view, and costs corners');
    }));
});
