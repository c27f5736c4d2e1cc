/** One scene through several rigs: what moves on the plan moves the pictures. */
import { join } from 'node:path';
import { By, Key, Origin } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser, setSize } from '../../scripts/lib/browser.mjs';
import { expectAccessible } from './axe';
import { BenchPage } from './bench';

let page: BenchPage;

beforeAll(async () => {
  page = await BenchPage.opened();
});
beforeEach(() => page.forget());
afterAll(() => page.driver.quit());

const moved = async () => (await page.find('[data-testid="moved"]')).getText();
const expectMoved = (words: string) =>
  page.expectSoon(moved, (now) => now === words, `the headline never was “${words}”`);
const camera = (n: number) => page.find(`[role="slider"][aria-label^="Camera ${n}"]`);
/** Takes a camera in hand and moves it so far, px, piece by piece. */
async function drag(n: number, ...pieces: number[]): Promise<void> {
  const hand = page.driver
    .actions({ async: true })
    .move({ origin: await camera(n) })
    .press();
  for (const x of pieces) hand.move({ origin: Origin.POINTER, x, duration: 60 });
  await hand.release().perform();
}
/** A key on something of the plan. */
async function press(slider: string, key: string): Promise<void> {
  await page.driver.executeScript(
    'arguments[0].focus()',
    await page.find(`[role="slider"][aria-label^="${slider}"]`),
  );
  await page.keys(key);
}
const stands = async (n: number) => (await (await camera(n)).getAttribute('aria-valuetext')) ?? '';

describe('pictures of one scene', () => {
  it('a rig alone is shown on both formats of the kit, the miller as large', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    expect(await stands(1)).toBe('1.80 m from the miller');
    expect(await stands(2)).toBe('2.70 m from the miller');
    await page.saying('58 mm on 36.0×24.0');
    await page.saying('58 mm on 23.5×15.6');
    await page.expectQuiet();
  });

  it('a camera moved by hand takes the other along; let alone, each stands for itself', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    await drag(1, -60);
    await page.expectSoon(
      () => stands(1),
      (w) => Number.parseFloat(w) > 2,
      'it did not move',
    );
    const [one, two] = [await stands(1), await stands(2)].map((w) => Number.parseFloat(w));
    expect(two! / one!).toBeGreaterThan(1.4);
    await page.keys('e');
    await press('Camera 2', Key.ARROW_LEFT);
    await page.expectSoon(
      () => stands(2),
      (w) => Number.parseFloat(w) > two!,
      'the arrow did nothing',
    );
    expect(Number.parseFloat(await stands(1))).toBe(one);
  });

  it('what was moved is taken back, hold by hold, and done again', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    await drag(1, -30, -30);
    await page.expectSoon(
      () => stands(1),
      (w) => Number.parseFloat(w) > 2,
      'it did not move',
    );
    const there = await stands(1);
    await press('The lamps', Key.ARROW_RIGHT);
    await page.press('Undo: Move the lamps');
    expect(await stands(1)).toBe(there);
    await page.control('z');
    await page.expectSoon(
      () => stands(1),
      (w) => w === '1.80 m from the miller',
      'the camera stayed',
    );
    await page.press('Redo: Move a camera');
    await page.expectSoon(
      () => stands(1),
      (w) => w === there,
      'it was not done again',
    );
    await page.press('Undo: Move a camera');
    await page.find(
      'button[aria-label^="Undo: "]:not([aria-label^="Undo: Move"]), button[aria-label="Nothing to undo"]',
    );
    await page.expectQuiet();
  });

  it('the lamps are moved by the arrow keys, and their discs follow', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    const discs = async () =>
      (await page.find('button[aria-label^="Lamp discs, of the height, picture 1"]')).getText();
    const before = await discs();
    for (let i = 0; i < 8; i += 1) await press('The lamps', Key.ARROW_RIGHT);
    await page.expectSoon(discs, (now) => now !== before, 'the discs did not follow');
  });

  it('a usual question puts the rigs for it, and a link brings them back', async () => {
    await page.open('/framing?rig=waders-at-dawn');
    await page.press('converter or crop');
    await page.saying('500 mm ×1.40 on 36.0×24.0');
    await page.saying('500 mm on 36.0×24.0, cropped ×1.40');
    await expectMoved('From the same place');
    await page.expectSoon(
      () => page.driver.getCurrentUrl(),
      (url) => url.includes('x1.4'),
      'the address did not follow',
    );
    await page.driver.navigate().refresh();
    await page.saying('500 mm ×1.40 on 36.0×24.0');
    await expectMoved('From the same place');
  });

  it('is shown split, one over the other, and with more rigs', async () => {
    await page.open('/framing?rig=miller-portrait');
    await page.press('split');
    await page.find('input[aria-label="Where the pictures are cut"]');
    await page.keys('v');
    expect(await page.driver.findElements(By.css('canvas'))).toHaveLength(1);
    await page.keys('v');
    await page.menu('Add a rig', 'Lantern room');
    await page.expectSoon(
      async () => (await page.driver.findElements(By.css('canvas'))).length,
      (n) => n === 3,
      'no third picture',
    );
    await page.press('Take picture 3 away');
    await page.expectSoon(
      async () => (await page.driver.findElements(By.css('canvas'))).length,
      (n) => n === 2,
      'it stayed',
    );
  });

  it('goes out as pictures', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    await page.menu('Save or share', 'Pictures as SVG');
    const { text: svg } = await page.download('.svg');
    expect(svg.match(/<radialGradient/g)).toHaveLength(2);
    expect(svg).toContain('The miller, swirl: 58 mm on 36.0×24.0');
    await page.menu('Save or share', 'Pictures as PNG');
    expect((await page.download('.png')).text.length).toBeGreaterThan(5000);
    await page.expectQuiet();
  });

  it('what is said of a lens on the Bench stands beside its picture', async () => {
    await page.openRig('rig=lamplight');
    await page.unfold('The picture');
    await page.press('Say what you saw…');
    await page.choose('Corners', 'soft');
    await (await page.find('input[aria-label="Character, in your own words"]')).sendKeys('glows');
    await page.press('Keep it');
    await page.find('button[aria-label="Undo: Say what the lens does"]');
    await page.open('/framing?rig=lamplight');
    const known = async () =>
      (await page.find('button[aria-label^="Corners and character, picture 1"]')).getText();
    await page.expectSoon(known, (w) => w.includes('soft, glows'), 'nothing was said of it');
  });

  it('every figure explains itself', async () => {
    await page.open('/framing?rig=miller-portrait');
    await expectMoved('Step back 0.90 m');
    await (await page.find('button[aria-label^="Lamps, against him, picture 2"]')).click();
    await page.saying('How large the far stands beside the near');
  });
});

describe('the stage of the Bench', () => {
  const picks = (path: string) => page.giveFile(path, 'A picture to look at through the rig');

  it('shows the scene through the rig, and plain light again', async () => {
    await page.openRig('rig=miller-portrait');
    await page.menu('The stage shows plain light', 'The scene through the rig');
    await page.find('button[aria-label="The stage shows the scene"]');
    await page.typeRing('Focus', '3');
    await page.menu('The stage shows the scene', 'Plain light');
    await page.find('button[aria-label="The stage shows plain light"]');
    await page.expectQuiet();
  });

  it('shows a picture of one’s own, as the view one says; what is no picture is refused', async () => {
    await page.openRig('rig=miller-portrait');
    await picks(join(process.cwd(), 'package.json'));
    await page.expectSoon(
      () => page.notice(),
      (words) => words === 'package.json is not a JPEG or PNG picture.',
      'it was not refused',
    );
    await picks(join(process.cwd(), 'docs/screenshots/bench-dark.png'));
    await page.find('button[aria-label="The stage shows my picture"]');
    const view = await page.find('input[aria-label="The picture\'s view, mm on 36×24"]');
    expect(await view.getAttribute('value')).toBe('28');
    await page.expectQuiet();
  });
});

describe.each(['dark', 'daylight'])('%s theme', (theme) => {
  it('has no serious finding, on a screen and on a phone', () =>
    expectAccessible(page.driver, theme, async () => {
      await page.open('/framing?rig=miller-portrait');
      await expectMoved('Step back 0.90 m');
    }));
});

it('on a phone no more than five rooms stand at the foot, the rest behind the last', async () => {
  await setSize(page.driver, 390, 844);
  await page.open('/kit');
  const seen = await page.driver.executeScript(
    `return [...document.querySelectorAll('nav[aria-label="Rooms"] > *')].filter((e) => e.getClientRects().length > 0).map((e) => e.innerText.trim())`,
  );
  expect(seen).toEqual(['Kit', 'Bench', 'Sweep', 'Measure', 'More']);
  await page.menu('More rooms', 'Framing');
  await page.find('[data-testid="moved"]');
  await setSize(page.driver, 1280, 800);
});

it('an empty program says what both rooms need', async () => {
  const { driver, downloads } = await openBrowser();
  try {
    const empty = new BenchPage(driver, inject('emptyUrl'), downloads);
    await empty.open('/framing');
    await empty.saying('No rigs to look through yet', 'h1');
    await empty.open('/converters');
    await empty.saying('No rig to weigh converters on yet', 'h1');
  } finally {
    await driver.quit();
  }
});
