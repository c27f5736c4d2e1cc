/** Cards and days: on the screen, on paper, by their code, by keyboard. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, type WebDriver } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { packRig } from '@/core/exchange/links';
import { demoRig } from '../support/demo';
import { expectAccessible } from './axe';
import { CardPage } from './cardPage';

const folder = mkdtempSync(join(tmpdir(), 'halo-card-'));
let page: CardPage;

beforeAll(async () => {
  page = await CardPage.opened();
});
beforeEach(() => page.anew());
afterAll(() => page.driver.quit());

const pdfText = (path: string): string =>
  execFileSync('pdftotext', ['-raw', path, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');

/** The page as the browser prints it; the library's types do not know this command. */
async function printed(): Promise<Buffer> {
  const driver = page.driver as WebDriver & {
    sendAndGetDevToolsCommand: (name: string, how: object) => Promise<{ data: string }>;
  };
  const { data } = await driver.sendAndGetDevToolsCommand('Page.printToPDF', {
    preferCSSPageSize: true,
    printBackground: true,
  });
  return Buffer.from(data, 'base64');
}

describe('a card', () => {
  it('is on paper as on the screen, and its code, scanned, opens the rig on another machine', async () => {
    await page.openCard('rig=wheel-house-wide&paper=A6');
    await page.press('Save as PDF');
    const { path } = await page.download('.pdf');
    const words = pdfText(path);
    for (const word of (await page.paperText()).split(' ').filter(Boolean))
      expect(words).toContain(word);
    expect(execFileSync('pdffonts', [path], { encoding: 'utf8' })).not.toMatch(
      / no +(yes|no) +(yes|no) /,
    );
    await page.expectQuiet();
  });

  it('follows the rig as it is set, and says what its fonts cannot', async () => {
    await page.openCard('rig=wheel-house-wide&focal=28&paper=A6');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('28 mm'),
      'the card did not follow',
    );
    expect(await page.paperText()).toContain('Clear');
    await page.open('/bench?rig=wheel-house-wide');
    await page.menu('Rig', 'Rename it');
    const field = await page.find('[role="dialog"] input');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '<b>=1+1</b> 東', Key.ENTER);
    await page.openCard('rig=wheel-house-wide&paper=A6');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('<b>=1+1</b> ?'),
      'the name is not there',
    );
    expect(await page.side()).toContain('東');
    await page.press('Save as PDF');
    expect(pdfText((await page.download('.pdf')).path)).toContain('<b>=1+1</b> ?');
    await page.expectQuiet();
  });

  it('goes to the printer page by page, alone, in the size of the paper', async () => {
    await page.openCard('rig=wheel-house-wide&paper=A6');
    const file = join(folder, 'printed.pdf');
    writeFileSync(file, await printed());
    const info = execFileSync('pdfinfo', [file], { encoding: 'utf8' });
    expect(info).toMatch(/Pages:\s+2\b/);
    const [, width = 0, height = 0] = (/Page size:\s+([\d.]+) x ([\d.]+)/.exec(info) ?? []).map(
      Number,
    );
    expect(Math.abs(width - (105 * 72) / 25.4)).toBeLessThan(1.5);
    expect(Math.abs(height - (148 * 72) / 25.4)).toBeLessThan(1.5);
    const words = pdfText(file);
    expect(words).toContain('Wheel-house, wide');
    expect(words).not.toContain('Save as PDF');
  });

  it('opens from its code: what it would bring is shown, one press takes it in, undo takes it back', async () => {
    const { name } = demoRig('waders-at-dawn');
    await page.open('/bench');
    await page.verdictWord();
    const rig = demoRig('waders-at-dawn');
    const sent = {
      ...rig,
      name: 'From the marsh',
      lens: { ...rig.lens, id: 'far-lens', name: 'Far 500' },
    };
    await page.driver.get(`${page.url}/bench#${packRig(sent)}`);
    await page.driver.navigate().refresh();
    await page.saying('Open From the marsh');
    await page.press('Take it in');
    await page.expectSoon(
      () => page.driver.getCurrentUrl(),
      (url) => url.includes('rig=link-'),
      'the rig was not opened',
    );
    await page.verdictWord();
    expect(await (await page.find('header')).getText()).toContain('From the marsh');
    expect(name).not.toBe(sent.name);
    await page.driver.get(`${page.url}/bench#rig=ABROKEN`);
    await page.driver.navigate().refresh();
    await page.expectSoon(
      () => page.notice(),
      (text) => text.includes('cut short'),
      'it was not refused',
    );
    await page.expectQuiet();
  });
});

describe('a day', () => {
  it('is made, ordered, dated and undone, and comes out with all its cards', async () => {
    await page.openCard('rig=wheel-house-wide&day=mud-flats&paper=A4');
    expect(await page.paperText()).toContain('Mud flats at dawn');
    await page.menu('Day', 'New day');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('Day 4'),
      'no new day',
    );
    await page.choose('Add a rig', 'Mill pond');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('2 Mill pond'),
      'the rig was not added',
    );
    const grip = await page.find('[aria-label="Move Mill pond, 2 of 2"]');
    await grip.sendKeys(Key.ARROW_UP);
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('1 Mill pond'),
      'the order stayed',
    );
    await page.press('Save as PDF');
    const words = pdfText((await page.download('.pdf')).path);
    expect(words.indexOf('1 Mill pond')).toBeLessThan(words.indexOf('2 Wheel-house, wide'));
    expect(words).toContain('To pack');
    await page.control('z');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('2 Mill pond'),
      'undo did nothing',
    );
    await page.menu('Day', 'Delete this day');
    await page.expectSoon(
      () => page.paperText(),
      (text) => !text.includes('Day 4'),
      'it was not deleted',
    );
    await page.expectQuiet();
  });

  it('goes out in the workspace file', async () => {
    await page.openCard('rig=wheel-house-wide');
    await page.menu('File', 'Save the workspace to a file');
    const { text } = await page.download('.json');
    expect((JSON.parse(text) as { days: unknown[] }).days).toHaveLength(tideMill.days.length);
  });
});

describe('for everybody', () => {
  it.each(['dark', 'daylight'])('no serious finding, whole on a phone: %s', async (theme) => {
    for (const query of [
      'rig=wheel-house-wide&paper=A6',
      'rig=wheel-house-wide&day=wheel-house&paper=A4',
    ])
      await expectAccessible(page.driver, theme, async () => {
        await page.openCard(query);
        await page.driver.executeScript(
          `for (const b of document.querySelectorAll('h3 > button[aria-expanded="false"]')) b.click();`,
        );
      });
  });

  it('the keyboard takes it from the rig to the day to a picture, and saves', async () => {
    await page.openCard('rig=wheel-house-wide&paper=A6');
    await page.keys('d');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('To pack'),
      'd did not show the day',
    );
    await page.keys('d');
    await page.expectSoon(
      () => page.paperText(),
      (text) => text.includes('Safe zoom window') && !text.includes('To pack'),
      'd did not go back',
    );
    await page.keys('l');
    await page.saying('Lift a picture of your own');
    await page.keys('l');
    await page.keys('p');
    expect((await page.download('.pdf')).path).toContain('Wheel-house-wide.pdf');
    await page.expectQuiet();
  });
});
