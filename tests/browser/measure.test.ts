/** The Measure room as a person uses it: practice on the simulated camera, own files, bad files. */
import { copyFileSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import sharp from 'sharp';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { setSize } from '../../scripts/lib/browser.mjs';
import { seriousFindings, setTheme } from './axe';
import { fileAt, folder, MeasurePage, truthAt } from './measurePage';

let room: MeasurePage;

beforeAll(async () => {
  room = await MeasurePage.opened();
  await fileAt(5.6, 'jpeg');
});
beforeEach(() => room.forget());
afterAll(() => room.driver.quit());

/** Both frames of the practice lens taken, measured, and accepted. */
async function practise(): Promise<void> {
  await room.press('Practise');
  await room.pressStarting('Take the 2 shots');
  await room.allMeasured(2);
  await room.pressStarting('Accept 2 frames');
  await room.saying('It is in the log. Undo takes it out again.');
}

describe('a session on the simulated camera', () => {
  it('finds the hidden halo, gives it to the lens, and the next prediction knows it', async () => {
    await room.openMeasure();
    await room.press('Practise');
    const current = () =>
      room.driver.executeScript<string>(
        `return document.querySelector('[aria-current="step"]')?.textContent ?? ''`,
      );
    await room.saying('Practice: a lens with a hidden halo');
    expect(await current()).toContain('Take the shots');
    await room.pressStarting('Take the 2 shots');
    await room.allMeasured(2);
    expect(await current()).toContain('Press “Half light at”');
    await room.driver.findElement(By.xpath('//button[starts-with(., "Half light at")]')).click();
    expect(await (await room.find('[role="dialog"]')).getText()).toMatch(
      /90 %.*Measured in this frame/s,
    );
    await room.keys(Key.ESCAPE);
    expect(await current()).toContain('Accept both frames');
    await room.pickFrame('practice-40mm-f8.jpg');
    expect(Math.abs((await room.halfLight()) - truthAt(8))).toBeLessThan(0.1);
    await room.pickFrame('practice-40mm-f2.jpg');
    expect(Math.abs((await room.halfLight()) - truthAt(2))).toBeLessThan(0.3);
    const expectedBefore = await room.expectedAt();
    expect(Math.abs(expectedBefore - truthAt(2))).toBeGreaterThan(0.5);
    await room.pressStarting('Accept 2 frames');
    await room.saying('It is in the log. Undo takes it out again.');
    // What was expected of a frame that is kept stays; frames of the same setting taken from now on are foretold.
    expect(await room.expectedAt()).toBeCloseTo(expectedBefore, 2);
    await room.press('Uncover the halo');
    const told = () => room.driver.findElement(By.css('ol [role="status"]')).getText();
    await room.expectSoon(told, (t) => /f\/8: hidden/.test(t), 'nothing was uncovered');
    expect(await told()).toContain(`f/2: hidden ⌀ ${(2 * truthAt(2)).toFixed(2)} mm`);
    expect(await told()).toMatch(
      /f\/8: hidden ⌀ \d+\.\d\d mm, found \d+\.\d\d, inside its interval/,
    );
    await room.pressStarting('Take the 2 shots');
    await room.allMeasured(4);
    const after = await room.driver.findElements(
      By.xpath(
        '//section[@aria-label="Frames"]//button[starts-with(normalize-space(.), "practice-40mm-f2")]',
      ),
    );
    await after.at(-1)?.click();
    await room.expectSoon(
      () => room.expectedAt(),
      (radiusMm) => Math.abs(radiusMm - truthAt(2)) < 0.3,
      'the lens did not learn',
    );
  });

  it('stands in the log with what had been expected, and goes out as CSV', async () => {
    await room.openMeasure();
    await practise();
    await room.keys('l');
    const log = await (await room.find('section[aria-label="Log"]')).getText();
    expect(log).toMatch(/40 mm f\/8\s.*\(.*–.*\)/);
    await room.press('Save as CSV');
    const { text } = await room.download('.csv');
    const [head, ...rows] = text.trim().split('\r\n');
    expect(head).toMatch(/^takenAt,lens,between,focalMm,fNumber/);
    expect(rows).toHaveLength(2);
  });

  it('undo takes frames out of the log and the sample from the lens', async () => {
    await room.openMeasure();
    await practise();
    await room.control('z');
    await room.expectSoon(
      async () => (await room.find('section[aria-label="Frames and log"]')).getText(),
      (t) => t.includes('Log (0)'),
      'the log kept them',
    );
  });

  it('a stabiliser left on is told, where frames of one setting are put together', async () => {
    await room.openMeasure();
    await room.press('Practise');
    await room
      .saying('leave the stabiliser on, and see what that does', 'label')
      .then((e) => e.click());
    await room.pressStarting('Take the 2 shots');
    await room.allMeasured(2);
    expect(await room.figures()).toMatch(/moved between/i);
  });

  it('frames of the simulated camera go to its own lens alone, whatever they are called', async () => {
    await room.openMeasure();
    await room.choose('Lens', '18–35/1.8');
    const renamed = join(folder, 'renamed-wall.jpg');
    copyFileSync(await fileAt(4, 'jpeg'), renamed);
    await room.giveFile(renamed, 'Test frames');
    await room.allMeasured(1);
    await room.pickFrame('renamed-wall.jpg');
    await room.choose('Shot', '18 mm f/8');
    expect(await room.figures()).toContain('goes to the practice lens alone');
  });
});

describe('frames from files', () => {
  it('JPEG and 16-bit PNG are measured, matched with the list, and kept in the log alone', async () => {
    await room.openMeasure();
    const paths = [join(folder, 'wall-f5.6.jpg'), await fileAt(8, 'png')];
    await room.giveFile(paths.join('\n'), 'Test frames');
    await room.allMeasured(2);
    for (const [name, n] of [
      ['wall-f5.6.jpg', 5.6],
      ['wall-f8.png', 8],
    ] as const) {
      await room.pickFrame(name);
      expect(Math.abs((await room.halfLight()) - truthAt(n))).toBeLessThan(0.1);
    }
    await room.choose('Shot', '100 mm f/8');
    await room.press('Keep in the log only');
    await room.saying('It is in the log. Undo takes it out again.');
    await room.expectQuiet();
  });

  it.each([
    ['empty.jpg', Buffer.alloc(0), /is empty/],
    ['notes.txt', Buffer.from('a note'), /cannot be read as a picture/],
    [
      'cut.png',
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]),
      /cannot be read/,
    ],
    ['cut.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 1, 2]), /cannot be read/],
  ])('%s is told in a sentence, and the others are measured', async (name, bytes, sentence) => {
    await room.openMeasure();
    const before = await room.stored();
    const bad = join(folder, name);
    writeFileSync(bad, bytes);
    await room.giveFile([bad, join(folder, 'wall-f5.6.jpg')].join('\n'), 'Test frames');
    await room.allMeasured(2);
    const row = await room.driver.findElement(
      By.css(`section[aria-label="Frames"] button[title*="${name}"]`),
    );
    expect(await row.getAttribute('title')).toMatch(sentence);
    await room.pickFrame('wall-f5.6.jpg');
    expect(await room.halfLight()).toBeGreaterThan(20);
    expect(await room.stored()).toBe(before);
  });

  it('a file too large to read is told at once', async () => {
    await room.openMeasure();
    const huge = join(folder, 'huge.tif');
    writeFileSync(huge, '');
    truncateSync(huge, 401e6);
    await room.giveFile(huge, 'Test frames');
    await room.allMeasured(1);
    expect(await (await room.find('section[aria-label="Frame"]')).getText()).toContain(
      'huge.tif is larger than 400 MB.',
    );
  });

  it('a worker that breaks is told, and the next frame is measured by a new one', async () => {
    await room.openMeasure();
    await room.driver.executeScript(`
      const Whole = window.Worker;
      window.Worker = class extends Whole {
        constructor(...given) {
          super(...given);
          if (!window.hasBroken) setTimeout(() => this.dispatchEvent(new ErrorEvent('error')), 20);
          window.hasBroken = true;
        }
      };`);
    const path = join(folder, 'wall-f5.6.jpg');
    await room.giveFile([path, path].join('\n'), 'Test frames');
    await room.allMeasured(2);
    const rows = await room.driver.findElements(
      By.css('section[aria-label="Frames"] li button[title]'),
    );
    const titles = await Promise.all(rows.map((r) => r.getAttribute('title')));
    expect(titles).toEqual([
      expect.stringContaining('The measuring stopped on this file'),
      expect.stringMatching(/^⌀ \d+\.\d\d mm$/),
    ]);
  });

  it('where no room is left it says so, and neither log nor lens is changed', async () => {
    await room.openMeasure();
    await room.giveFile(join(folder, 'wall-f5.6.jpg'), 'Test frames');
    await room.allMeasured(1);
    await room.choose('Shot', '100 mm f/8');
    const before = await room.stored();
    await room.driver.executeScript(`
      for (const write of ['put', 'add'])
        IDBObjectStore.prototype[write] = () => { throw new DOMException('full', 'QuotaExceededError'); };`);
    await room.press('Keep in the log only');
    await room.expectSoon(
      () => room.notice(),
      (t) => /no room left/i.test(t),
      'nothing was said',
    );
    await room.open('/measure');
    expect(await room.stored()).toBe(before);
  });

  it('a dark frame is refused', async () => {
    await room.openMeasure();
    const dark = join(folder, 'dark.jpg');
    await sharp({ create: { width: 900, height: 676, channels: 3, background: '#020202' } })
      .jpeg()
      .toFile(dark);
    await room.giveFile(dark, 'Test frames');
    await room.allMeasured(1);
    expect(await room.figures()).toMatch(/Refused.*too dark/s);
  });

  it('thirty frames queue while the screen stays alive, and can be stopped', async () => {
    await room.openMeasure();
    const path = join(folder, 'wall-f5.6.jpg');
    for (let i = 0; i < 3; i += 1) {
      await room.giveFile(Array.from({ length: 10 }, () => path).join('\n'), 'Test frames');
    }
    await room.expectSoon(
      () => room.frameCount(),
      (t) => /^[3-9] of 30/.test(t),
      'the queue does not move',
    );
    // The screen answers while the worker works: the log opens, the frames come back, the queue stops.
    await room.keys('l');
    await room.find('section[aria-label="Log"]');
    await room.keys('f');
    expect(await room.frameCount()).toMatch(/ of 30/);
    await room.press('Stop');
    await room.expectSoon(
      () => room.frameCount(),
      (t) => /^\d+ frames?$/.test(t),
      'it did not stop',
    );
    await room.press('Clear the list');
  });
});

describe('for everyone', () => {
  it.each(['dark', 'daylight'])('%s theme has no serious finding', async (theme) => {
    await room.openMeasure();
    await setTheme(room.driver, theme);
    expect(await seriousFindings(room.driver)).toEqual([]);
    await room.giveFile(join(folder, 'wall-f5.6.jpg'), 'Test frames');
    await room.allMeasured(1);
    await room.find('.recharts-line');
    expect(await seriousFindings(room.driver)).toEqual([]);
    await room.keys('l');
    expect(await seriousFindings(room.driver)).toEqual([]);
  });

  it.each([
    [1280, 800],
    [390, 844],
  ])('nothing runs out sideways at %ix%i', async (width, height) => {
    await setSize(room.driver, width, height);
    await room.openMeasure();
    await room.giveFile(join(folder, 'wall-f5.6.jpg'), 'Test frames');
    await room.allMeasured(1);
    const sideways = await room.driver.executeScript<number>(
      'return document.documentElement.scrollWidth - innerWidth',
    );
    expect(sideways).toBeLessThanOrEqual(0);
    await setSize(room.driver, 1280, 800);
  });

  it('the empty program says what a session needs', async () => {
    await room.driver.get(`${inject('emptyUrl')}/measure`);
    await room.saying('Nothing to measure yet', 'h1');
    expect(await seriousFindings(room.driver)).toEqual([]);
  });
});
