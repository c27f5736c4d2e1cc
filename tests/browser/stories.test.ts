/** Each kind of user finds the answer to what they ask, on the Bench, by hand. */
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BenchPage } from './bench';

let bench: BenchPage;

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(() => bench.forget());
afterAll(() => bench.driver.quit());

const figure = async (name: string): Promise<number> =>
  Number(/[-−+]?\d+(\.\d+)?/.exec(await bench.reading(name))?.[0].replace('−', '-'));
const becomes = (name: string, test: (words: string) => boolean) =>
  bench.expectSoon(() => bench.reading(name), test, `${name} never became that`);

describe('a stills photographer moving to a larger sensor', () => {
  it('sees from where on a small-format zoom covers, and the pixels left in a crop', async () => {
    await bench.openRig('rig=walk-through&focal=50&stabiliser=off');
    await bench.choose('Mode', 'Stills, 24 MP');
    await becomes('Pixels', (w) => w === '24.0 MP');
    expect(await bench.verdictWord()).toBe('Keyhole');
    // Common practice, no source: a small-format crop of 1.5 leaves 24/1.5² = 10.7 MP.
    const [, left] = /([\d.]+) MP/.exec(await bench.reading('Clean frame')) ?? [];
    expect(Number(left)).toBeGreaterThan(9);
    expect(Number(left)).toBeLessThan(24);
    await bench.choose('Body', 'Tolvane H61');
    await bench.choose('Mode', 'Stills, small format, 26 MP');
    await bench.expectVerdict('Clear');
    await becomes('Pixels', (w) => w === '26.1 MP' || w.startsWith('26'));
  });
});

describe('the owner of a smaller sensor with lenses for a larger one', () => {
  it('weighs plain adapter against reducer in view and light', async () => {
    await bench.openRig('rig=wheel-house-wide&focal=28');
    expect(await bench.reading('Focal length')).toMatch(/^19\.9 mm/);
    expect(await bench.reading('Light')).toMatch(/^\+0\.9\d stop/);
    const wide = await figure('View');
    await bench.choose('Between', 'plain 44.00 to 18.00');
    await becomes('Focal length', (w) => w.startsWith('28.0 mm'));
    expect(await bench.reading('Light')).toMatch(/^0\.00 stop/);
    expect(await figure('View')).toBeLessThan(wide);
    await bench.press('Undo: Swap a part');
    await becomes('Focal length', (w) => w.startsWith('19.9 mm'));
  });

  it('is told of the rear glass before it touches, where it would', async () => {
    await bench.openRig('rig=wheel-house-wide');
    expect(await bench.reading('Rear glass')).toBe('close 4.1 into 5.0 mm');
    await bench.choose('Lens', 'Brisk & Marrow 12–24/4');
    await becomes('Rear glass', (w) => w === 'strikes 6.2 into 5.0 mm');
    await bench.saying(
      'Rear glass stands 6.2 mm deep into Ninefold reducer ×0.71, 44.00 to 18.00, which leaves 5.0 mm: it strikes.',
    );
    await bench.press(
      'Mind here: Rear glass may strike here and break lens, shutter or sensor cover. Measure first, mount slowly, stop at resistance; test mirror clearance with care. Sun through this glass can blind and burn: never look, cap the lens, mind the sensor. Powered adapters: switch the camera off before changing.',
    );
    await bench.saying('What to mind here');
    await bench.keys('\uE00C');
    await bench.press('Undo: Swap the lens');
  });
});

describe('a wildlife photographer', () => {
  it('sees what 1.4x and 2x do to f-number, ISO, autofocus and hand-holding', async () => {
    await bench.openRig('rig=waders-at-dawn');
    expect(await bench.reading('Aperture')).toMatch(/^f\/5\.60/);
    expect(await bench.reading('Light')).toMatch(/ISO × 2\.\d\d/);
    const byHand = await bench.reading('By hand');
    const points = await bench.reading('Autofocus');
    await bench.choose('Between, 1 of 2', 'teleconverter ×2');
    await becomes('Aperture', (w) => w.startsWith('f/8.00'));
    expect(await bench.reading('Focal length')).toMatch(/^1000\.0 mm/);
    expect(await bench.reading('By hand')).not.toBe(byHand);
    expect(await bench.reading('Autofocus')).not.toBe(points);
    expect(await bench.reading('Light')).toMatch(/^−2\.\d\d stops ISO × 4\.\d\d/);
  });
});

describe('a camera assistant at the rental counter', () => {
  it('gets a small-format cine lens onto a large body, and the price of each way', async () => {
    await bench.openRig('rig=sluice-tower');
    await bench.expectVerdict('Keyhole');
    const way = (words: string) => bench.find(`li button[title^="${words}"]`);
    expect(await (await way('Add Ninefold expander')).getText()).toMatch(/−1\.5 stops/);
    expect(await (await way('Scale up')).getText()).toMatch(/pixels −\d+ %/);
    await (await way('Record in Small format')).click();
    await bench.expectVerdict('Clear');
    await bench.press('Undo: Record in Small format 1.33:1, 24 fps');
    await bench.expectVerdict('Keyhole');
    await (await way('Add Ninefold expander')).click();
    await bench.expectVerdict('Clear');
    expect(await bench.reading('Light')).toMatch(/^−1\.48 stops said to be −1\.0/);
    await bench.press('Undo: Add Ninefold expander ×1.6, cine 52.00');
  });

  it('frames an anamorphic for 2.39', async () => {
    await bench.openRig('rig=long-wall');
    expect(await (await bench.find('figure[role="img"]')).getAttribute('aria-label')).toMatch(
      /delivered \d/,
    );
    // A 2x squeeze delivers 2.39:1 from a sensor frame of 1.195:1.
    const [w = '0', h = '1'] = (await bench.reading('Delivered')).match(/\d+\.\d/g) ?? [];
    expect(Number(w) / Number(h)).toBeCloseTo(2.39 / 2, 1);
  });

  it('finds a chain between any lens and any body', async () => {
    await bench.openRig('rig=sluice-tower');
    await bench.press('Find a chain');
    await bench.choose('From', 'Wendmere 45/3.5 medium format');
    await bench.choose('To', 'Tolvane H24');
    await bench.expectSoon(
      async () => (await bench.find('p[role="status"]')).getText(),
      (w) => /join them.* A plain adapter between these mounts would be 45\.30 mm thick\./.test(w),
      'no word of a plain adapter',
    );
    const first = await bench.find('ul[aria-label="Chains"] button');
    expect(await first.getText()).toMatch(/Ninefold/);
    await first.click();
    await bench.expectSoon(
      () => bench.reading('Infinity'),
      (w) => w !== '',
      'no rig came',
    );
    await becomes('Delivered', (w) => w.startsWith('36.0 × 24.0 mm'));
    await bench.press('Undo: Join by a chain');
    await bench.expectVerdict('Keyhole');
  });
});

describe('a videographer on a gimbal', () => {
  it('hides dark corners in a crop, and sees whether they creep back when the sensor moves', async () => {
    await bench.openRig('rig=waders-at-dawn&aperture=11');
    const still = await bench.reading('Corner flicker');
    expect(still).toMatch(/stops? over the travel/);
    await bench.press('Worst case');
    expect(await (await bench.find('[data-testid="said"]')).getText()).toMatch(
      /^The frame at its worst end: corners flicker by \d\.\d\d stops?$/,
    );
    await bench.press('Worst case');
    await bench.openRig('rig=wheel-house-wide&focal=20');
    await bench.expectVerdict('Clipped');
    // The window of electronic stabilisation wanders to the corners itself; a fixed crop does not.
    await bench.choose('Electronic', 'electronic, walking');
    await bench.expectVerdict('Clipped');
    await bench.choose('Electronic', 'off');
    await bench.choose('Digital zoom', '×1.4');
    await bench.expectVerdict('Clear');
  });
});

describe('the user of a sensor larger than 36x24', () => {
  it('asks whether it covers at this aspect, and how far it can be shifted', async () => {
    await bench.openRig('rig=mill-pond');
    await bench.expectVerdict('Clear');
    const roomy = await figure('Shift left over');
    expect(roomy).toBeGreaterThan(10);
    await bench.choose('Deliver', '65:24');
    await becomes('Shift left over', (w) => Number(/\d+\.\d/.exec(w)?.[0]) !== roomy);
  });
});

describe('the lover of old lenses', () => {
  it('sees how much of the outer halo stays, and how large the far lights get', async () => {
    await bench.openRig('rig=miller-portrait');
    const large = await figure('Edge of the halo');
    const disc = await figure('Far lights');
    expect(large).toBeGreaterThan(3);
    await bench.choose('Body', 'Tolvane C26');
    await becomes('Edge of the halo', (w) => !w.startsWith(`${large} %`));
    // The smaller sensor cuts the wild edge away, and each disc fills more of the frame.
    expect(await figure('Edge of the halo')).toBeLessThan(large);
    expect(await figure('Far lights')).toBeGreaterThan(disc);
    await bench.expectQuiet();
  });
});

describe('gear that is not in the kit', () => {
  it('a lens is said in the picker and stands on the rig, as one step', async () => {
    await bench.openRig('rig=mill-pond');
    await bench.choose('Lens', 'Say what it is');
    await bench.saying('I have a lens');
    const field = await bench.find('[role="dialog"] input');
    await field.sendKeys('135/3.5', '\uE004');
    await bench.choose('Mount', 'SLR bayonet 42.00');
    await bench.choose('Made for', 'full frame');
    await bench.press('Put it in the cabinet');
    await bench.expectSoon(
      () => bench.ringWords('Aperture'),
      (w) => w !== '',
      'no lens came on the rig',
    );
    await becomes('Focal length', (w) => w.startsWith('135') || w.startsWith('95'));
    await bench.press('Undo: Put another lens on');
    await bench.expectQuiet();
  });

  it('a part is said for the place of another, between the same mounts', async () => {
    await bench.openRig('rig=lamplight');
    await becomes('Focal length', (w) => w.startsWith('35'));
    await bench.choose('Between', 'Say what it is');
    await bench.saying('I have an adapter or converter');
    await bench.answer('What it is', 'Focal reducer ×0.64');
    await bench.press('Put it in the cabinet');
    await becomes('Focal length', (w) => w.startsWith('22.4'));
    await bench.press('Undo: Swap a part');
    await becomes('Focal length', (w) => w.startsWith('35'));
    await bench.expectQuiet();
  });

  it('rigs are told apart in words by what matters', async () => {
    await bench.openRig('rig=waders-at-dawn');
    await bench.keys('j');
    const strip = await bench.find('section[aria-label="Rigs compared"]');
    await bench.expectSoon(
      () => strip.getText(),
      (words) => /Against the first/.test(words) && /tighter|wider/.test(words),
      'nothing is said of what differs',
    );
    await bench.choose('Compare by', 'photo or video');
    await bench.expectSoon(
      () => strip.getText(),
      (words) => /stills [\d.]+ MP within the halo/.test(words),
      'photo or video is not answered',
    );
    const before = (await bench.driver.findElements({ css: '[aria-label^="Leave out"]' })).length;
    await (await bench.find('[aria-label^="Leave out"]')).click();
    await bench.expectSoon(
      async () => (await bench.driver.findElements({ css: '[aria-label^="Leave out"]' })).length,
      (n) => n === before - 1,
      'the rig was not left out',
    );
  });
});
