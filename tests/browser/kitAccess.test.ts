/** The Kit for everyone: axe finds nothing serious, it fits its screens, and the keyboard works it. */
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { setSize } from '../../scripts/lib/browser.mjs';
import { seriousFindings, setTheme } from './axe';
import { KitPage } from './kitPage';

let kit: KitPage;

beforeAll(async () => {
  kit = await KitPage.opened();
});
beforeEach(() => kit.forget());
afterAll(() => kit.driver.quit());

const findings = () => seriousFindings(kit.driver);

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it('no table, editor or ladder has a serious finding', async () => {
    await kit.openKit();
    await setTheme(kit.driver, theme);
    for (const [table, row] of [
      ['Lenses', '18–35/1.8'],
      ['Bodies', 'C26'],
      ['Adapters', null],
      ['Mounts', null],
      ['Barrel markings', null],
      ['Register ladder', null],
    ] as const) {
      await kit.openTable(table);
      if (row) await kit.openRow(row);
      expect(await findings(), table).toEqual([]);
    }
  });

  it('neither have its dialogs', async () => {
    await kit.openKit();
    await setTheme(kit.driver, theme);
    for (const name of ['I have a lens', 'Seen for sale', 'Which mount is this?']) {
      await kit.press(name);
      await kit.find('[role="dialog"]');
      expect(await findings(), name).toEqual([]);
      await kit.keys(Key.ESCAPE);
    }
    for (const name of ['Bring in a CSV', 'Pick from Lensfun']) {
      await kit.inAndOut(name);
      await kit.find('[role="dialog"]');
      expect(await findings(), name).toEqual([]);
      await kit.keys(Key.ESCAPE);
    }
    await kit.menu('File', 'Backups and storage');
    await kit.find('[role="dialog"]');
    expect(await findings()).toEqual([]);
    await kit.keys(Key.ESCAPE);
  });

  it('neither has the empty kit', async () => {
    const empty = new KitPage(kit.driver, inject('emptyUrl'), kit.downloads);
    await empty.open('/kit');
    await empty.find('h1');
    await setTheme(kit.driver, theme);
    expect(await findings()).toEqual([]);
  });
});

describe('fit', () => {
  const sideways = () =>
    kit.driver.executeScript<number>('return document.documentElement.scrollWidth - innerWidth');

  it.each([
    [1280, 800],
    [390, 844],
  ])('nothing runs out sideways at %ix%i, the editor open', async (width, height) => {
    await setSize(kit.driver, width, height);
    await kit.openKit();
    await kit.openRow('18–35/1.8');
    expect(await sideways()).toBeLessThanOrEqual(0);
    await kit.openTable('Register ladder');
    expect(await sideways()).toBeLessThanOrEqual(0);
    await setSize(kit.driver, 1280, 800);
  });

  it('on a phone an opened record comes into sight', async () => {
    await setSize(kit.driver, 390, 844);
    await kit.openKit();
    await kit.openRow('18–35/1.8');
    const top = async () => (await (await kit.find('section[aria-label="Editor"]')).getRect()).y;
    const scrolled = () => kit.driver.executeScript<number>('return scrollY');
    await kit.expectSoon(
      async () => (await top()) - (await scrolled()),
      (y) => y < 500,
      'the editor stayed below the screen',
    );
    await setSize(kit.driver, 1280, 800);
  });
});

describe('by keyboard alone', () => {
  it('a lens is found, opened, changed, taken back and deleted', async () => {
    await kit.openKit();
    await kit.keys('/');
    await kit.keys('58');
    await kit.expectSoon(
      () => kit.rows(),
      (rows) => rows.length === 1,
      'the search did not narrow the table',
    );
    const [name] = await kit.rows();
    const focused = () =>
      kit.driver.executeScript<string>(
        'return document.getElementById(document.activeElement.getAttribute("aria-activedescendant"))?.textContent ?? ""',
      );
    for (let i = 0; i < 20 && !(await focused()).includes(name!); i++) {
      const inGrid = await kit.driver.executeScript<boolean>(
        'return !!document.activeElement.closest("[role=grid]")',
      );
      await kit.keys(inGrid ? Key.ARROW_DOWN : Key.TAB);
    }
    expect(await focused()).toContain(name);
    await kit.keys(Key.SPACE);
    expect(await (await kit.find('section[aria-label="Editor"] h2')).getText()).toContain(name);
    await kit.keys(Key.DELETE);
    await kit.gone(name!);
    await kit.control('z');
    await kit.row(name!);
  });
});
