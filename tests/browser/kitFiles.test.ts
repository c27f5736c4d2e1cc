/** Gear in and out of the Kit, and nothing lost on the way. */
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { KitPage } from './kitPage';

const folder = mkdtempSync(join(tmpdir(), 'halo-kit-'));
let kit: KitPage;

beforeAll(async () => {
  kit = await KitPage.opened();
});
beforeEach(() => kit.forget());
afterAll(() => kit.driver.quit());

describe('CSV', () => {
  const give = async (name: string, text: string) => {
    const path = join(folder, name);
    writeFileSync(path, text);
    await kit.giveFile(path, 'CSV file');
  };
  const openCsv = () => kit.inAndOut('Bring in');

  it('goes out, is changed elsewhere, and comes back with each bad row told', async () => {
    await kit.openKit();
    await kit.inAndOut('Save these');
    const { text } = await kit.download('.csv');
    expect(text.split('\r\n')).toHaveLength(18);
    await openCsv();
    await give(
      'edited.csv',
      `${text.replace('Wendmere,slr-44', 'Somebody else,slr-44')}broken,No focal length,,slr-44\r\n`,
    );
    await kit.expectSoon(
      () => kit.status(),
      (s) => /0 new, 16 changed/.test(s),
      'rows were not read',
    );
    expect(await (await kit.find('ul[aria-label="Rows that cannot be read"]')).getText()).toMatch(
      /^Row 18: /,
    );
    await kit.press('Bring in the 16 good rows');
    await kit.saying('Somebody else');
    await kit.press('Undo: Bring in edited.csv');
    await kit.expectSoon(
      async () => (await kit.driver.findElements(By.xpath('//*[text()="Somebody else"]'))).length,
      (n) => n === 0,
      'undo did nothing',
    );
  });

  it.each([
    ['empty.csv', '', /is empty/],
    ['heading.csv', 'name,registerMm\n', /no rows below its heading/],
    ['quote.csv', 'name,note\n"never closed,1\n', /a quote is never closed/],
    ['binary.csv', 'a\u0000b,c\n1,2\n', /not a text file/],
  ])('%s is refused with a sentence, and nothing changes', async (name, text, sentence) => {
    await kit.openKit();
    const before = await kit.stored();
    await openCsv();
    await give(name, text);
    await kit.expectSoon(
      async () => (await kit.find('[role="dialog"] [role="alert"]')).getText(),
      (w) => sentence.test(w) && /Nothing was changed/.test(w),
      'no sentence',
    );
    await kit.press('Close');
    expect(await kit.stored()).toBe(before);
  });
});

describe('the Lensfun database', () => {
  const LENSFUN = '/usr/share/lensfun/version_1';
  const files = readdirSync(LENSFUN)
    .filter((f) => f.endsWith('.xml'))
    .map((f) => join(LENSFUN, f));
  const counted = (tag: RegExp) =>
    files.reduce((n, f) => n + (readFileSync(f, 'utf8').match(tag) ?? []).length, 0);
  const openLensfun = () => kit.inAndOut('Pick from');

  it('is read whole, searched, and taken over', async () => {
    // A browser of its own: thousands of records are not left to the tests after this one.
    const { driver, downloads } = await openBrowser();
    const own = new KitPage(driver, inject('demoUrl'), downloads);
    try {
      await own.openKit();
      await own.inAndOut('Pick from');
      await own.giveFile(files.join('\n'), 'Lensfun files');
      const expected = `${counted(/<lens>/g)} lenses, ${counted(/<camera>/g)} cameras`;
      await own.expectSoon(
        () => own.status(),
        (s) => s.includes(expected),
        `not ${expected}`,
      );
      await (await own.find('input[aria-label="Search entries"]')).sendKeys('50mm');
      await own.expectSoon(
        () => own.status(),
        (s) => {
          const found = Number(/(\d+) shown/.exec(s)?.[1]);
          return found > 0 && found < 800;
        },
        'search shows all or none',
      );
      await (
        await own.find('input[aria-label="Search entries"]')
      ).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
      await own.pressStarting('Pick all');
      await own.pressStarting('Take over');
      await own.expectSoon(
        async () => (await own.driver.findElements(By.css('[data-testid="notice"] p'))).length,
        (n) => n > 0,
        'never taken over',
      );
      const said = await own.notice();
      expect(said).toMatch(/^\d+ lenses and \d+ bodies taken over/);
      expect(Number(/and (\d+) bodies/.exec(said)?.[1])).toBe(counted(/<camera>/g));
      await own.expectSoon(
        () => own.status(),
        (s) => Number(/(\d+) lenses/.exec(s)?.[1]) > 800,
        'the table does not show them',
      );
      await own.expectQuiet();
      await own.pressStarting('Undo: Take').catch(() => own.control('z'));
      await own.expectSoon(
        () => own.status(),
        (s) => / 16 lenses|^16 lenses/.test(s),
        'undo left some',
      );
    } finally {
      await driver.quit();
    }
  });

  it.each([
    ['no.xml', 'hello', /is not whole XML/],
    ['cut.xml', '<lensdatabase><lens><model>x', /is not whole XML/],
    ['other.xml', '<gallery/>', /no Lensfun database/],
    ['entities.xml', '<!DOCTYPE x [<!ENTITY a "b">]><lensdatabase/>', /declares entities/],
    ['empty.xml', '', /is empty/],
  ])('%s is refused with a sentence, and nothing changes', async (name, text, sentence) => {
    await kit.openKit();
    const before = await kit.stored();
    await openLensfun();
    const path = join(folder, name);
    writeFileSync(path, text);
    await kit.giveFile(path, 'Lensfun files');
    await kit.expectSoon(
      async () => (await kit.find('[role="dialog"] [role="alert"]')).getText(),
      (w) => sentence.test(w),
      'no sentence',
    );
    await kit.press('Close');
    expect(await kit.stored()).toBe(before);
  });
});

describe('nothing is lost', () => {
  it('a backup is kept, shows what it holds, and is restored', async () => {
    await kit.openKit();
    await kit.menu('File', 'Backups and storage');
    await kit.press('Keep one now');
    await kit.expectSoon(
      async () => (await kit.find('ul[aria-label="Backups"]')).getText(),
      (t) => /11 mounts, 6 bodies, 16 lenses/.test(t),
      'no backup',
    );
    await kit.press('Close');
    await kit.openRow('500/4');
    await kit.press('Delete');
    await kit.expectSoon(
      () => kit.rows(),
      (r) => !r.includes('500/4'),
      'still there',
    );
    await kit.menu('File', 'Backups and storage');
    await kit.press('Restore');
    await kit.row('500/4');
  });

  it('what was changed here as well is kept unless one says otherwise', async () => {
    await kit.openKit();
    await kit.menu('File', 'Save the workspace to a file');
    const { path } = await kit.download();
    await kit.openRow('500/4');
    await kit.type('Maker', 'Changed here', Key.ENTER);
    await kit.saying('Changed here');
    const there = JSON.parse(readFileSync(path, 'utf8')) as {
      lenses: { id: string; maker: string }[];
    };
    for (const lens of there.lenses) if (lens.id === 'b500') lens.maker = 'Changed there';
    const other = join(folder, 'theirs.json');
    writeFileSync(other, JSON.stringify(there));
    await kit.giveFile(other);
    await kit.saying('500/4: lens, changed here too');
    await kit.press('Add new, update changed');
    await kit.saying('Changed here');
    await kit.giveFile(other);
    await (await kit.saying('500/4: lens, changed here too')).click();
    await kit.press('Add new, update changed');
    await kit.saying('Changed there');
  });

  it('two open tabs show the same', async () => {
    await kit.openKit();
    const first = await kit.driver.getWindowHandle();
    await kit.driver.switchTo().newWindow('tab');
    await kit.openKit();
    await kit.openRow('100/2.8 macro');
    await kit.type('Name', '100/2.8 macro, ours', Key.ENTER);
    await kit.row('100/2.8 macro, ours');
    await kit.driver.close();
    await kit.driver.switchTo().window(first);
    await kit.row('100/2.8 macro, ours');
  });
});
