/** The tide mill's jobs have the winners worked out by hand in docs/choosing.md, and can be changed word by word. */
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

const count = async () => (await page.find('[data-testid="choose-count"]')).getText();
const rows = async () => {
  const texts = await page.driver.executeScript<string[]>(
    'return [...document.querySelectorAll("[role=listitem]")].map((r) => r.innerText.replace(/\\s+/g, " "))',
  );
  return texts.map((text) => text.replace('Open on the Bench: ', ''));
};
const firstRow = (test: RegExp) =>
  page.expectSoon(
    async () => (await rows())[0] ?? '',
    (row) => test.test(row),
    `the first row never was ${String(test)}`,
  );
const field = (label: string) => page.find(`input[aria-label="${label}"]`);
async function type(label: string, text: string): Promise<void> {
  const input = await field(label);
  await input.click();
  await page.driver.executeScript('arguments[0].select()', input);
  await input.sendKeys(text, Key.ENTER);
}

describe('the tide mill’s jobs', () => {
  it.each([
    [
      'wheel-house-interview',
      /^Wendmere 18–35\/1\.8 plain 44\.00 to 18\.00 · Tolvane H24 · 4K small format.* T2\.0 1578 g .*Clear at 28\.8–50 mm, T2\.0, risk < 1 %, measured\./,
    ],
    [
      'waders',
      /^Brisk & Marrow 500\/4 plain 44\.00 to 19\.25 · Tolvane M17.*Clear at 1000 mm, T4\.4, risk [<\d ]+ %, \w+; rear glass never measured\./,
    ],
    [
      'sluice-wide',
      /^Wendmere 18–35\/1\.8 reducer ×0\.71.*Tolvane C26.*Clear at 26–40 mm, all that is wanted, T1\.4, risk < 1 %, measured\./,
    ],
  ])('%s has the documented winner for the documented reason', async (job, winner) => {
    await page.open(`/choose?job=${job}`);
    expect(await count()).toMatch(/^of (523|278) combinations$/);
    await firstRow(winner);
    await page.expectQuiet();
  });

  it('near misses say what is missing, and what would mend it', async () => {
    await page.open('/choose?job=waders');
    await count();
    await page.keys('n');
    await page.expectSoon(
      async () => (await rows()).join('\n'),
      (all) =>
        /0\.4 stop too slow: T9\.1 at best, T8 is wanted.*To mend it: take T9\.1\./.test(all),
      'no near miss',
    );
  });

  it('the plan spans what can be spanned and names what cannot', async () => {
    await page.open('/choose?job=wheel-house-interview');
    await count();
    const panel = await page.find('aside[aria-label="What the rows come to"]');
    await page.expectSoon(
      () => panel.getText(),
      (text) => /24–26\.8 mm\s+open\. Nothing in the kit closes it\./.test(text),
      'no gap',
    );
  });
});

describe('a job', () => {
  it('is changed word by word, kept, and taken back', async () => {
    await page.open('/choose?job=wheel-house-interview');
    await firstRow(/18–35/);
    await page.saying('0 can do all of it, 25 part', 'button');
    await type('Slowest T-stop', '2.2');
    await page.expectSoon(
      async () => (await page.find('[aria-pressed="true"]')).getText(),
      (words) => /^0 can do all of it, (?!25)\d+ part$/.test(words),
      'nothing changed',
    );
    await page.driver.navigate().refresh();
    expect(await (await field('Slowest T-stop')).getAttribute('value')).toBe('2.2');
    await page.press('Undo: Ask for light');
    await page.expectSoon(
      async () => (await field('Slowest T-stop')).getAttribute('value'),
      (v) => v === '2.8',
      'not taken back',
    );
  });

  it('says what cannot stand, and keeps what stood', async () => {
    await page.open('/choose?job=wheel-house-interview');
    await type('Widest view, mm on 36×24', 'abc');
    await page.saying('a number from 1 to 5000', 'span');
    await (await field('Widest view, mm on 36×24')).sendKeys(Key.ESCAPE);
    expect(await (await field('Widest view, mm on 36×24')).getAttribute('value')).toBe('24');
  });

  it('nothing that does it is said with what stands in the way', async () => {
    await page.open('/choose?job=wheel-house-interview');
    await count();
    await type('Slowest T-stop', '0.7');
    await page.saying('Nothing in this kit can do it as asked.');
  });

  it('a new one, a copy and a deleted one are steps to undo', async () => {
    await page.open('/choose');
    await count();
    await page.menu('Job', 'Duplicate this job');
    await page.find('button[aria-label="Undo: Duplicate the job"]');
    await page.menu('Job', 'Delete this job');
    await page.find('button[aria-label^="Undo: Delete the job"]');
  });

  it('a link opens it on a kit that never had it, and writes nothing', async () => {
    const told = {
      name: 'From a friend',
      viewFromMm: 26,
      viewToMm: 40,
      aspect: 2.39,
      slowestTStop: 4,
    };
    const query = new URLSearchParams({ job: 'friend', told: JSON.stringify(told) }).toString();
    await page.open(`/choose?${query}`);
    await page.saying('As the link tells it; it is kept here once a word of it is changed.');
    await firstRow(/Clear at 26–40 mm, all that is wanted/);
    expect(await page.stored()).not.toContain('From a friend');
  });
});

describe('rows', () => {
  it('are opened on the Bench as a rig, Clear as it is handed over', async () => {
    await page.open('/choose?job=sluice-wide');
    await firstRow(/18–35/);
    await (await page.find('[role="listitem"] button[title]')).click();
    await page.expectVerdict('Clear');
    await page.find('button[aria-label="Undo: Put a chosen rig on the Bench"]');
  });

  it('are grouped, sorted, searched, starred, and filtered by the front', async () => {
    await page.open('/choose?job=sluice-wide');
    await firstRow(/18–35/);
    await page.choose('Groups', 'by body');
    await firstRow(/^Tolvane C26, \d+$/);
    await page.choose('Groups', 'not grouped');
    await page.choose('Order', 'lightest');
    await page.keys('/');
    await (await field('Search the rows')).sendKeys('12–24');
    await firstRow(/^Brisk & Marrow 12–24\/4/);
    await (await page.find('button[aria-label^="On the shortlist"]')).click();
    await page.find('aside table');
    await (
      await field('Search the rows')
    ).sendKeys(Key.ESCAPE, ...Array<string>(5).fill(Key.BACK_SPACE));
    await page.pressStarting('Only the ');
    await page.saying('Show all rows', 'button');
    await page.expectQuiet();
  });

  it('other modes of the same gear stand behind its first row until they are asked for', async () => {
    await page.open('/choose?job=sluice-wide');
    await firstRow(/reducer ×0\.71.*4K 16:9.*2 more modes$/);
    const reduced = async () =>
      (await rows()).filter((r) => /18–35\/1\.8 .*reducer ×0\.71.*Tolvane C26/.test(r));
    expect(await reduced()).toHaveLength(1);
    await page.press('2 more modes');
    await page.expectSoon(reduced, (r) => r.length === 3, 'the other modes did not come');
    expect((await rows())[1]).toMatch(/^Full width 6K, 25 fps Wendmere 18–35\/1\.8 · reducer/);
    await page.press('this mode alone');
    await page.expectSoon(reduced, (r) => r.length === 1, 'the other modes stayed');
    // Sought by its own name it stands by itself.
    await (await field('Search the rows')).sendKeys('6k reducer');
    await firstRow(/Full width 6K(?!.*more mode)/);
  });

  it('gear is left out, and taken in again', async () => {
    await page.open('/choose?job=sluice-wide');
    await firstRow(/18–35/);
    await (
      await page.find('[role="listitem"] button[aria-label="Leave gear out of the job"]')
    ).click();
    await (await page.saying('Leave out Wendmere 18–35/1.8')).click();
    await firstRow(/^(?!Wendmere 18–35)/);
    await page.pressStarting('More');
    await page.press('Take Wendmere 18–35/1.8 in again');
    await firstRow(/^Wendmere 18–35/);
  });
});

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it('has no serious finding, on a screen and on a phone', () =>
    expectAccessible(page.driver, theme, async () => {
      await page.open('/choose?job=wheel-house-interview');
      await firstRow(/18–35/);
      await page.pressStarting('More');
    }));
});

it('an empty program says what it needs', async () => {
  await page.driver.get(`${inject('emptyUrl')}/choose`);
  await page.saying('Nothing to choose from yet', 'h1');
  expect(await seriousFindings(page.driver)).toEqual([]);
});
