/** The first two minutes: from an empty program to a verdict on one's own camera and lens. */
import { By, Key, until } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser, setSize } from '../../scripts/lib/browser.mjs';
import { seriousFindings, setTheme } from './axe';
import { BenchPage, WAIT_MS } from './bench';

/** A hand that counts what it does. */
class Starter extends BenchPage {
  presses = 0;
  typed = 0;

  override async answer(question: string, answer: string): Promise<void> {
    await super.answer(question, answer);
    this.presses += 1;
  }

  async write(question: string, text: string): Promise<void> {
    const path = `//label[normalize-space(.)="${question}"]/following-sibling::input`;
    const field = await this.driver.wait(until.elementLocated(By.xpath(path)), WAIT_MS, path);
    await this.driver.executeScript('arguments[0].scrollIntoView({block:"center"})', field);
    await field.sendKeys(text, Key.TAB);
    this.typed += 1;
  }

  async go(): Promise<void> {
    await this.press('Put it on the Bench');
    this.presses += 1;
    await this.verdictWord();
  }

  async soFar(): Promise<string> {
    return (await this.find('aside[aria-label="The answer so far"]')).getText();
  }
}

let start: Starter;

beforeAll(async () => {
  const { driver, downloads } = await openBrowser();
  start = new Starter(driver, inject('emptyUrl'), downloads);
});
beforeEach(async () => {
  await start.forget();
  await start.open('/');
  await start.saying('What do you have?', 'h1');
  start.presses = 0;
  start.typed = 0;
});
afterAll(() => start.driver.quit());

const CAMERA_MOUNT = 'Mount of the camera, by register: mm from flange to sensor';
const LENS_MOUNT = 'Mount of the lens, by register';

describe('an empty program', () => {
  it('comes from a small body, a reducer and a zoom to a verdict in 8 presses and 2 typed fields', async () => {
    await start.answer('Sensor, mm', '1.5 crop, 23.5×15.6');
    await start.answer('Megapixels', '24 MP');
    await start.answer('Does the sensor move to steady the picture?', 'No');
    await start.answer(CAMERA_MOUNT, 'Mirrorless bayonet 18.00');
    await start.write('What stands on it', '24–70/2.8');
    await start.answer('Made for, mm', 'full frame, 36×24');
    await start.answer(LENS_MOUNT, 'SLR bayonet 44.00');
    await start.answer('Between lens and camera', 'Focal reducer ×0.71');
    await start.expectSoon(
      () => start.soFar(),
      (words) => words.includes('Clear') && !words.includes('Taken as usual'),
      'the answer never became Clear',
    );
    await start.driver.navigate().refresh();
    await start.expectSoon(
      () => start.soFar(),
      (words) => words.includes('Clear') && !words.includes('Taken as usual'),
      'a reload lost what was answered',
    );
    await start.go();
    expect(start.presses).toBeLessThanOrEqual(8);
    expect(start.typed).toBeLessThanOrEqual(2);
    // Expected to cover, and nobody measured it: an estimate at the wide end is no answer yet.
    await start.expectVerdict('Clear or Clipped');
    expect(await start.reading('Focal length')).toMatch(/^17\.0 mm/);
    await start.saying(
      'Surer: Two test frames of an even wall, wide open and at f/8, would measure the halo.',
      'p',
    );
    // It goes together: the thickness followed from the registers.
    expect(await (await start.find('main')).getText()).not.toMatch(/does not join/i);
    await start.control('z');
    await start.saying('What do you have?', 'h1');
    await start.expectQuiet();
  });

  it('answers with nothing told, and the risk says how little that is', async () => {
    const before = await start.soFar();
    expect(before).toContain('Taken as usual, until you say:');
    const [, risk] = /risk (\d+) %/.exec(before) ?? [];
    expect(Number(risk)).toBeGreaterThanOrEqual(30);
    await start.go();
    await start.saying(
      'Surer: Say in the Kit how large the sensor is: everything hangs on it.',
      'p',
    );
  });

  it('says what it cannot read, and what nobody can build', async () => {
    await start.write('What stands on it', 'the black one');
    await start.expectSoon(
      () => start.soFar(),
      (words) => words.includes('No focal length can be read'),
      'the trouble was not told',
    );
    const go = await start.saying('Put it on the Bench', 'button');
    expect(await go.isEnabled()).toBe(false);
    await start.write('What stands on it', Key.chord(Key.CONTROL, 'a') + '35mm 1:2');
    await start.answer(CAMERA_MOUNT, 'SLR bayonet 44.00');
    await start.answer(LENS_MOUNT, 'Mirrorless bayonet 18.00');
    await start.expectSoon(
      () => start.soFar(),
      (words) => words.includes('does not reach infinity'),
      'nobody was told that no adapter can be built',
    );
  });

  it('takes a thickness that stands on the part, and what a camera shows at the counter', async () => {
    await start.answer('Sensor, mm', 'full frame, 36×24');
    await start.answer(CAMERA_MOUNT, 'Mirrorless bayonet 18.00');
    await start.write('What stands on it', '80mm f/2.8');
    await start.answer('Made for, mm', '6×4.5');
    await start.answer(LENS_MOUNT, 'Medium-format bayonet 63.30');
    await start.answer('Between lens and camera', 'Focal reducer ×0.71');
    await start.write('Thickness, flange to flange estimated', `34.5${Key.ENTER}`);
    await start.expectSoon(
      async () => (await start.find('main')).getText(),
      (words) => words.includes('34.50 mm thick'),
      'the thickness was not taken',
    );
    await start.answer('Between lens and camera', 'Plain adapter');
    await start.go();
    const known = async () => (await start.find('[aria-label="Readings"]')).getText();
    expect(await known()).toContain('estimated');
    await start.unfold('The picture');
    await start.press('Say what a camera shows you…');
    await start.press('just clear');
    const notice = await start.saying(
      '80mm f/2.8 has a sample seen by eye. Test frames say more; undo takes it out again.',
      'p',
    );
    // Where one reads and presses it covers nothing that is written.
    const isAlone = await start.driver.executeScript<boolean>(
      `const box = arguments[0].getBoundingClientRect();
       return [...document.querySelectorAll('[aria-label="Readings"] *, [aria-label^="Light path"] *')].every((e) => {
         const b = e.getBoundingClientRect();
         return b.right <= box.left || b.left >= box.right || b.bottom <= box.top || b.top >= box.bottom || b.width === 0;
       });`,
      notice,
    );
    expect(isAlone).toBe(true);
    await start.expectSoon(known, (words) => words.includes('seen'), 'nothing was learnt of it');
    await start.press('Undo: Say what a camera shows');
    await start.expectSoon(known, (words) => words.includes('estimated'), 'it was not taken back');
  });

  it('is worked by keyboard alone', async () => {
    await start.find('[role="radiogroup"]');
    const focused = () =>
      start.driver.executeScript<string>(
        'const a = document.activeElement; return (a.closest("[role=radiogroup]")?.textContent ?? a.textContent ?? "") + "|" + (a.closest("label")?.textContent ?? "");',
      );
    for (let i = 0; i < 40 && !(await focused()).startsWith('Sensor, mm'); i += 1)
      await start.keys(Key.TAB);
    await start.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await start.expectSoon(
      () => start.soFar(),
      (words) => words.includes('A normal lens') || !words.includes('a sensor of'),
      'the arrows chose no sensor',
    );
    for (let i = 0; i < 40 && !(await focused()).startsWith('Put it on'); i += 1)
      await start.keys(Key.TAB);
    await start.keys(Key.ENTER);
    await start.verdictWord();
  });

  it.each(['dark', 'daylight'])('has no serious finding, %s', async (theme) => {
    await setTheme(start.driver, theme);
    expect(await seriousFindings(start.driver)).toEqual([]);
  });

  it('fits a phone', async () => {
    await setSize(start.driver, 390, 844);
    try {
      await start.open('/');
      await start.saying('What do you have?', 'h1');
      const wide = await start.driver.executeScript<number>(
        'return document.documentElement.scrollWidth',
      );
      expect(wide).toBeLessThanOrEqual(390);
    } finally {
      await setSize(start.driver, 1280, 800);
    }
  });
});
