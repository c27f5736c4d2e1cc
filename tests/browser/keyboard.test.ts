/** The whole job by keyboard alone: build a rig, read the verdict, apply a way out, undo. */
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(() => bench.forget());
afterAll(() => bench.driver.quit());

const focused = () =>
  bench.driver.executeScript<string>(`
    const e = document.activeElement;
    const named = e.getAttribute('aria-labelledby');
    return (e.getAttribute('aria-label') ||
      (named ? named.split(' ').map((id) => document.getElementById(id)?.textContent).join(' ') : '') ||
      e.textContent).trim();`);

const MOST_TABS = 120;

/** Presses Tab until what has the focus is called so. */
async function tabTo(name: RegExp): Promise<void> {
  for (let i = 0; i < MOST_TABS; i += 1) {
    if (name.test(await focused())) return;
    await bench.keys(Key.TAB);
  }
  throw new Error(`Tab never reached ${String(name)}`);
}

/** Opens the list in focus and chooses what the typed letters find. */
async function pick(typed: string): Promise<void> {
  await bench.keys(Key.ENTER);
  await bench.find('[role="listbox"]');
  await bench.keys(typed);
  await bench.expectSoon(focused, (w) => w.startsWith(typed), `typing found no ${typed}`);
  await bench.keys(Key.ENTER);
  await bench.expectSoon(
    async () => (await bench.driver.findElements({ css: '[role="listbox"]' })).length,
    (n) => n === 0,
    'the list stayed open',
  );
}

describe('by keyboard alone', () => {
  it('a rig is built', async () => {
    await bench.open('/bench');
    await bench.verdictWord();
    await tabTo(/^Rig$/);
    await bench.keys(Key.ENTER);
    await bench.find('[role="menu"]');
    await bench.keys(Key.ENTER);
    await bench.saying('New rig');
    await tabTo(/Body$/);
    await pick('Tolvane C26');
    await bench.keys(Key.chord(Key.SHIFT, Key.TAB));
    await tabTo(/Lens$/);
    await pick('Wendmere 18–35');
    await tabTo(/Add a part$/);
    await pick('reducer ×0.71');
    await bench.expectSoon(
      () => bench.reading('Focal length'),
      (w) => /^12\.8 mm/.test(w),
      'the reducer never went in',
    );
  });

  it('its verdict is read', async () => {
    await bench.openRig('rig=wheel-house-wide&stabiliser=off');
    await bench.keys('8', Key.HOME, '7', Key.HOME);
    await bench.expectVerdict('Clipped');
    expect(await focused()).toBe('Zoom ring');
  });

  it('a way out is looked at, taken, and taken back', async () => {
    await bench.openRig('rig=wheel-house-wide');
    await tabTo(/^Zoom to [\d.]+ mm or longer/);
    expect(await (await bench.find('[data-testid="said"]')).getText()).toMatch(/^If: Zoom to/);
    await bench.keys(Key.ENTER);
    await bench.expectVerdict('Clear');
    await bench.control('z');
    await bench.expectVerdict('Clipped');
    await bench.control('z', true);
    await bench.expectVerdict('Clear');
  });

  it('parts change places by their grips', async () => {
    await bench.openRig('rig=waders-at-dawn');
    await tabTo(/^Move plain 44\.00 to 18\.00, 2 of 2$/);
    await bench.keys(Key.ARROW_UP);
    await bench.expectSoon(focused, (w) => w === 'Move plain 44.00 to 18.00, 1 of 2', 'unmoved');
    await bench.saying(
      'Ninefold plain 44.00 to 18.00 has Mirrorless bayonet 18.00; Ninefold teleconverter ×1.4 takes SLR bayonet 44.00. Ninefold teleconverter ×1.4 has SLR bayonet 44.00; Tolvane H61 takes Mirrorless bayonet 18.00.',
    );
    await bench.keys(Key.ARROW_DOWN);
    await bench.expectSoon(focused, (w) => w === 'Move plain 44.00 to 18.00, 2 of 2', 'not back');
  });

  it('the stage is pointed at, zoomed and fitted', async () => {
    await bench.openRig('rig=waders-at-dawn');
    await tabTo(/^Point at the stage/);
    await bench.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    expect(await (await bench.find('[data-testid="point"]')).getText()).toMatch(
      /^r 2\.\d mm · 0\.0/,
    );
    const ruler = () =>
      bench.driver.executeScript<number>(
        `return [...document.querySelectorAll('svg.lines .figure')].length`,
      );
    const before = await ruler();
    await bench.keys('-', '-', '-');
    await bench.expectSoon(ruler, (n) => n !== before, 'nothing got smaller');
    await bench.keys('0');
    await bench.expectSoon(ruler, (n) => n === before, 'not fitted again');
    await bench.expectQuiet();
  });

  it('a state is pinned, and rigs are compared and chosen side by side', async () => {
    await bench.openRig('rig=waders-at-dawn');
    await bench.keys('k', 'j');
    await bench.find('section[aria-label="Rigs compared"]');
    await tabTo(/Rig to compare$/);
    await pick('Mill pond');
    await tabTo(/^Mill pond$/);
    await bench.keys(Key.ENTER);
    await bench.expectSoon(
      async () => (await bench.find('figure[role="img"]')).getAttribute('aria-label'),
      (w) => /pinned: Waders at dawn at 500 mm f\/4, Clear/.test(w ?? ''),
      'the pinned state was lost',
    );
    await bench.keys('k', 'j');
  });

  it('rooms are gone to by their letters', async () => {
    await bench.openRig('rig=mill-pond');
    for (const [key, path] of [
      ['K', '/kit'],
      ['M', '/measure'],
      ['B', '/bench'],
    ] as const) {
      await bench.keys(key);
      await bench.expectSoon(
        () => bench.driver.executeScript<string>('return location.pathname'),
        (at) => at === path,
        `${key} does not lead to ${path}`,
      );
      await bench.find('[aria-current="page"]');
    }
  });
});
