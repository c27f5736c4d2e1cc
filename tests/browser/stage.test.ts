/** The stage is a thing one can point at, drag, and watch. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(() => bench.forget());
afterAll(() => bench.driver.quit());

const stage = () => bench.find('figure[role="img"]');
const words = async () => (await (await stage()).getAttribute('aria-label')) ?? '';

describe('pointing at the stage', () => {
  it('reads radius and darkness there', async () => {
    await bench.openRig('rig=wheel-house-wide');
    const point = async (x: number, y: number) => {
      await bench.driver
        .actions({ async: true })
        .move({ origin: await stage(), x, y })
        .perform();
      return (await bench.find('[data-testid="point"]')).getText();
    };
    expect(await point(0, 0)).toMatch(/^r 0\.\d mm · 0\.0 stops$/);
    expect(await point(330, 200)).toMatch(/^r \d\d\.\d mm · black$/);
  });
});

describe('the light path', () => {
  const order = () =>
    bench.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('[data-grip]')].map((g) => g.getAttribute('aria-label'))`,
    );

  it('lets a part be dragged past another by its grip, as one step to undo', async () => {
    await bench.openRig('rig=waders-at-dawn');
    const [tele, plain] = await bench.driver.findElements({ css: '[data-grip]' });
    await bench.driver
      .actions({ async: true })
      .move({ origin: tele! })
      .press()
      .move({ origin: plain!, y: 4, duration: 80 })
      .move({ origin: plain!, y: 12, duration: 80 })
      .release()
      .perform();
    await bench.expectSoon(
      order,
      ([first = '']) => first.startsWith('Move plain 44.00'),
      'the teleconverter stayed in front',
    );
    await bench.press('Undo: Move a part along the train');
    await bench.expectSoon(
      order,
      ([first = '']) => first.startsWith('Move teleconverter'),
      'it never came back',
    );
  });

  it('puts a part in where its mounts are', async () => {
    await bench.openRig('rig=gears-close');
    await bench.choose('Add a part', 'teleconverter ×2');
    await bench.expectSoon(
      order,
      ([first = '', second = '']) => /Move teleconverter ×2/.test(first) && /plain/.test(second),
      'the teleconverter went elsewhere',
    );
    await bench.press('Undo: Put a part in');
  });
});

describe('letting the stabiliser wander', () => {
  it('moves the corners until it is held still', async () => {
    await bench.openRig('rig=waders-at-dawn');
    const still = await words();
    await bench.press('Let it wander');
    await bench.expectSoon(words, (w) => w !== still, 'nothing moved');
    expect(await bench.verdictWord()).toBe('Clear');
    await bench.press('Hold still');
    await bench.expectSoon(words, (w) => w === still, 'it never came to rest');
  });

  it('is not offered where nothing moves', async () => {
    await bench.openRig('rig=mill-pond');
    expect(
      await bench.driver.findElements({ xpath: '//button[normalize-space(.)="Let it wander"]' }),
    ).toEqual([]);
  });
});

describe('a shift adapter', () => {
  it('shifts by dragging the stage, as one step to undo', async () => {
    await bench.openRig('rig=sluice-shift');
    const before = await bench.reading('Darkest corner');
    const origin = await stage();
    await bench.driver
      .actions({ async: true })
      .move({ origin })
      .press()
      .move({ origin, x: 40, y: 0, duration: 80 })
      .move({ origin, x: 80, y: 0, duration: 80 })
      .release()
      .perform();
    await bench.expectSoon(
      () => bench.reading('Darkest corner'),
      (w) => w !== before,
      'nothing shifted',
    );
    await bench.press('Undo: Shift the lens');
    await bench.expectSoon(
      () => bench.reading('Darkest corner'),
      (w) => w === before,
      'the shift stayed',
    );
  });

  it('takes typed shifts within its range and refuses others', async () => {
    await bench.openRig('rig=sluice-shift');
    await bench.typeRing('Shift down', '-12');
    await bench.expectSoon(
      () => bench.reading('Margin'),
      (w) => /mm/.test(w),
      'no margin',
    );
    await bench.typeRing('Shift down', '30');
    expect(await (await bench.find('[role="alert"]')).getText()).toBe(
      'Shift down takes -12 to 12 mm; “30” is not in it.',
    );
    await bench.keys('\uE00C');
    await bench.expectQuiet();
  });

  it('a helicoid is run out by typing', async () => {
    await bench.openRig('rig=oak-grain');
    await bench.typeRing('Helicoid', '2 mm');
    await bench.expectSoon(
      () => bench.reading('Infinity'),
      (w) => /^to \d/.test(w),
      'infinity came back',
    );
    await bench.typeRing('Helicoid', '0');
    await bench.expectSoon(
      () => bench.reading('Infinity'),
      (w) => w === 'reached',
      'infinity never came',
    );
  });
});
