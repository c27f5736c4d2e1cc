/** From a lens and a camera to a verdict, as a new user does it. */
import { execFileSync } from 'node:child_process';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser } from '../../scripts/lib/browser.mjs';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(async () => {
  await bench.forget();
  await bench.open('/');
  await bench.expectVerdict('Clipped');
});
afterAll(() => bench.driver.quit());

describe('first light', () => {
  it('opens on the demo with a verdict', async () => {
    expect(await bench.reading('Focal length')).toMatch(/^14\.2 mm 22\.8 eq · diagonal$/);
    expect(await bench.reading('Aperture')).toMatch(/^f\/1\.28 prints 1\.2 or 1\.3/);
    expect(await bench.reading('Light')).toMatch(/^\+0\.93 stop/);
    await bench.expectQuiet();
  });

  it('a zoom ring dragged out of the clipped stretch clears the corners', async () => {
    await bench.dragRing('Zoom', 0.16, 0.95);
    await bench.expectVerdict('Clear');
    expect(Number.parseFloat(await bench.ringWords('Zoom'))).toBeGreaterThan(30);
  });

  it('what was turned is there after a reload', async () => {
    await bench.dragRing('Zoom', 0.16, 0.95);
    await bench.expectVerdict('Clear');
    const words = await bench.ringWords('Zoom');
    await bench.driver.navigate().refresh();
    await bench.expectVerdict('Clear');
    expect(await bench.ringWords('Zoom')).toBe(words);
  });

  it('undo takes it back and redo does it again, also after the reload', async () => {
    await bench.dragRing('Zoom', 0.16, 0.95);
    await bench.expectVerdict('Clear');
    await bench.driver.navigate().refresh();
    await bench.expectVerdict('Clear');
    await bench.control('z');
    await bench.expectVerdict('Clipped');
    expect(await bench.ringWords('Zoom')).toBe('20 mm');
    await bench.press('Redo: Turn the zoom ring');
    await bench.expectVerdict('Clear');
    await bench.press('Undo: Turn the zoom ring');
    await bench.expectVerdict('Clipped');
  });

  it('rings take typing, and say what they cannot do', async () => {
    await bench.typeRing('Zoom', '28 mm');
    await bench.expectVerdict('Clear');
    expect(await bench.ringWords('Zoom')).toBe('28 mm');
    await bench.typeRing('Zoom', '500');
    expect(await (await bench.find('[role="alert"]')).getText()).toBe(
      'Zoom takes 18 to 35 mm; “500” is not in it.',
    );
    await bench.keys(Key.ESCAPE);
    expect(await bench.ringWords('Zoom')).toBe('28 mm');
  });

  it('rings turn by keyboard, mark by mark', async () => {
    await bench.keys('8');
    await bench.keys(Key.HOME, Key.ARROW_RIGHT);
    await bench.expectSoon(
      () => bench.ringWords('Aperture'),
      (w) => w === 'f/2',
      'the aperture never clicked to f/2',
    );
    await bench.keys(Key.PAGE_UP);
    await bench.expectSoon(
      () => bench.ringWords('Aperture'),
      (w) => w === 'f/2.8',
      'three marks on from f/2 is f/2.8',
    );
    await bench.keys('9', Key.END);
    await bench.expectSoon(
      () => bench.ringWords('Focus'),
      (w) => w === '∞',
      'focus never reached infinity',
    );
  });

  it('another body, mode, lens and part make another rig', async () => {
    await bench.choose('Body', 'Tolvane H24');
    await bench.choose('Mode', 'Stills, 24 MP');
    await bench.choose('Between', 'plain 44.00 to 18.00');
    await bench.choose('Lens', 'Wendmere 50/1.8');
    await bench.expectSoon(
      () => bench.reading('Focal length'),
      (w) => w.startsWith('50.0 mm'),
      'the 50 never came',
    );
    expect(await bench.reading('Light')).toMatch(/^0\.00 stop nothing in the way/);
    await bench.choose('Lens', 'Brisk & Marrow 500/4');
    await bench.choose('Between', 'teleconverter ×1.4');
    await bench.expectSoon(
      () => bench.reading('Focal length'),
      (w) => w.startsWith('700.0 mm'),
      'never 700 mm',
    );
    await bench.saying(
      'Ninefold teleconverter ×1.4 has SLR bayonet 44.00; Tolvane H24 takes Mirrorless bayonet 18.00.',
    );
    await bench.choose('Lens', 'Wendmere 24–70/2.8');
    await bench.press('Take out teleconverter ×1.4');
    await bench.expectSoon(
      () => bench.reading('Focal length'),
      (w) => /^\d+\.0 mm/.test(w) && !w.startsWith('700'),
      'part never came out',
    );
    await bench.choose('Lens', 'Brisk & Marrow 16–50/3.5–5.6 compact');
    await bench.typeRing('Zoom', '16');
    await bench.expectVerdict('Keyhole');
    await bench.expectQuiet();
  });

  it('what is switched and back in one breath is as it was', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const address = () => bench.driver.getCurrentUrl();
    expect(await address()).toContain('stabiliser=on');
    // The second press comes before the first is stored.
    await bench.keys('v', 'v');
    await bench.typeRing('Aperture', '8');
    await bench.expectSoon(
      () => bench.stored(),
      (all) => all.includes('Turn the aperture ring'),
      'the ring was never stored',
    );
    await bench.driver.navigate().refresh();
    await bench.find('[data-testid="verdict"]');
    expect(await address()).toContain('aperture=8');
    expect(await address()).toContain('stabiliser=on');
  });

  it('stabiliser, crops and delivered aspect change the frame', async () => {
    await bench.choose('Body', 'Tolvane H24');
    await bench.choose('Mode', '4K full width, 25 fps');
    await bench.choose('Digital zoom', '×2');
    await bench.expectSoon(
      () => bench.reading('Delivered'),
      (w) => w.startsWith('18.0 × 10.1 mm crop ×2.00'),
      'zoom',
    );
    await bench.choose('Electronic', 'electronic ×1.13');
    await bench.expectSoon(
      () => bench.reading('Delivered'),
      (w) => w.includes('crop ×2.26'),
      'crops multiply',
    );
    await bench.choose('Deliver', '1:1');
    await bench.expectSoon(
      () => bench.reading('Delivered'),
      (w) => w.startsWith('9.0 × 9.0 mm'),
      'square',
    );
    await bench.choose('A dark corner is fine', 'strict: 1 stop');
    await bench.choose('Equivalents count by', 'height');
    await bench.expectSoon(
      () => bench.reading('Focal length'),
      (w) => w.endsWith('height'),
      'basis',
    );
  });

  it('every figure says why', async () => {
    await bench.ask('Light');
    expect(await (await bench.find('[role="dialog"]')).getText()).toMatch(
      /Light against the bare lens[\s\S]*−2 log₂ M/,
    );
    await bench.keys(Key.ESCAPE);
  });
});

describe('the whole report', () => {
  it('unfolds what to set, what is left, the picture, and whether it fits', async () => {
    await bench.openRig('rig=waders-at-dawn');
    for (const title of ['What to set', 'What is left', 'The picture', 'Does it fit'])
      await bench.unfold(title);
    expect(await bench.reading('Stabiliser')).toMatch(/^700\.0 mm/);
    expect(await bench.reading('Autofocus')).toBe('works 567 points');
    expect(await bench.reading('Infinity')).toBe('reached');
    expect(await bench.reading('Rear glass')).toMatch(/^not measured/);
    expect(await bench.reading('Contacts')).toBe('focus, aperture, metadata');
    expect(await bench.reading('In focus')).toMatch(/^58\.9 m to 61\.2 m/);
    await bench.ask('Detail');
    expect(await (await bench.find('[role="dialog"]')).getText()).toMatch(/converter|difference/i);
    await bench.keys(Key.ESCAPE);
  });

  it('says what to mind, the most urgent first', async () => {
    await bench.openRig('rig=archive-table');
    await bench.pressStarting('Mind: Rear glass may strike');
    expect(await (await bench.find('[role="dialog"]')).getText()).toMatch(
      /Rear glass stands 11\.0 mm deep; Ninefold plain M39 to 18\.00 leaves 8\.8 mm/,
    );
    await bench.keys(Key.ESCAPE);
  });

  it('names the risk and its evidence beside the verdict', async () => {
    await bench.openRig('rig=miller-portrait');
    const words = await (await bench.find('section[aria-label="Readings"] button')).getText();
    expect(words).toMatch(
      /^(Clear|Clear or Shaded|Shaded)\s+risk (\d+|> 99|< 1) % · measured, edge ± 0\.18 mm$/,
    );
  });
});

describe('taking it along', () => {
  it('the workspace goes to a file and opens on another machine as it was', async () => {
    await bench.openRig('rig=mill-pond&aperture=4&focus=inf');
    const corner = await bench.reading('Darkest corner');
    await bench.menu('File', 'Save the workspace to a file');
    const { path } = await bench.download();

    const other = await openBrowser();
    const there = new BenchPage(other.driver, inject('emptyUrl'), other.downloads);
    try {
      await there.open();
      await there.saying('What do you have?', 'h1');
      await there.giveFile(path);
      await there.press('Open it');
      await there.verdictWord();
      await there.openRig('rig=mill-pond');
      expect(await there.reading('Darkest corner')).toBe(corner);
      await there.expectQuiet();
    } finally {
      await other.driver.quit();
    }

    const answer = execFileSync(
      'node',
      ['bin/halo.mjs', 'evaluate', `${path}#mill-pond`, '--json'],
      { encoding: 'utf8' },
    );
    const report = JSON.parse(answer) as { verdict: { worstCornerStops: number } };
    expect(corner.startsWith(`−${report.verdict.worstCornerStops.toFixed(2)}`)).toBe(true);
  });

  it('a link opens a rig as it was set, and a link to nothing says so', async () => {
    await bench.openRig(
      'rig=walk-through&focal=35&aperture=8&focus=1.5&deliver=whole&zoom=1&crop=none&stabiliser=off',
    );
    expect(await bench.ringWords('Zoom')).toBe('35 mm');
    expect(await bench.ringWords('Aperture')).toBe('f/8');
    expect(await bench.ringWords('Focus')).toBe('1.5 m');
    expect(await bench.reading('Delivered')).toMatch(/^36\.0 × 20\.3 mm/);
    expect(await bench.notice()).toMatch(/Shown as the link says/);
    // It shows, and stores nothing.
    await bench.openRig('rig=walk-through');
    expect(await bench.ringWords('Aperture')).not.toBe('f/8');
    // What is done then can be taken back to what the link showed.
    await bench.openRig('rig=walk-through&focal=35&aperture=8');
    await bench.choose('Deliver', '1:1');
    await bench.press('Undo: Change the delivered aspect');
    await bench.expectSoon(
      () => bench.ringWords('Aperture'),
      (w) => w === 'f/8',
      'undo went past the link',
    );
    await bench.openRig('rig=no-such-rig&focal=35');
    expect(await bench.notice()).toMatch(/not in this workspace/);
  });

  it('a link with impossible settings is held to what the lens can do', async () => {
    await bench.openRig('rig=walk-through&focal=9999&aperture=0&focus=banana');
    expect(Number.parseFloat(await bench.ringWords('Zoom'))).toBeLessThanOrEqual(50);
    await bench.expectQuiet();
  });
});

describe('rigs', () => {
  it('are duplicated, renamed with any text, deleted and brought back', async () => {
    await bench.openRig('rig=gears-close');
    await bench.menu('Rig', 'Duplicate this rig');
    await bench.saying('Gears, close up, copy');
    await bench.menu('Rig', 'Rename it…');
    const field = await bench.find('[role="dialog"] input');
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '<img src=x onerror=alert(1)>', Key.ENTER);
    await bench.saying('<img src=x onerror=alert(1)>');
    await bench.menu('Rig', 'Delete it');
    expect(await bench.notice()).toMatch(/is deleted/);
    await bench.press('Undo: Delete <img src=x onerror=alert(1)>');
    await bench.expectSoon(
      async () => (await bench.stored()).includes('onerror'),
      Boolean,
      'the deleted rig never came back',
    );
    await bench.expectQuiet();
  });
});
