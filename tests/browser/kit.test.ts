/** The Kit as a person keeps it: editing, finding, and the quick ways in. */
import { By, Key } from 'selenium-webdriver';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { KitPage } from './kitPage';

let kit: KitPage;

beforeAll(async () => {
  kit = await KitPage.opened();
});
beforeEach(async () => {
  await kit.forget();
  await kit.openKit();
});
afterAll(() => kit.driver.quit());

describe('editing a record', () => {
  it('takes figures in any unit, stores them at once, and undo takes them back', async () => {
    await kit.openRow('50/1.8');
    await kit.unfold('Focus and pupil');
    await kit.type('Closest focus', '1 ft 6 in', Key.ENTER);
    await kit.expectSoon(
      () => kit.shown('Closest focus'),
      (v) => v === '0.4572 m',
      'feet were not read',
    );
    await kit.press('Undo: Closest focus of 50/1.8');
    await kit.expectSoon(
      () => kit.shown('Closest focus'),
      (v) => v !== '0.4572 m',
      'undo did nothing',
    );
  });

  it('takes a rectangular opening of a part, and the stage shows its sides', async () => {
    await kit.openTable('Adapters, converters');
    await kit.openRow('reducer ×0.71, 44.00 to 18.00');
    await kit.tick('A rectangular opening');
    await kit.type('Width', '23', Key.ENTER);
    await kit.type('Height', '14.5', Key.ENTER);
    await kit.openRig('rig=wheel-house-wide');
    await kit.expectVerdict('Clipped');
    const lines = () =>
      kit.driver.executeScript<string>(
        `return document.querySelector('figure[role="img"] svg.lines').textContent`,
      );
    await kit.expectSoon(
      lines,
      (text) => text.includes('at half light along the diagonal'),
      'the stage draws it round',
    );
    await kit.ask('Halo');
    expect(await (await kit.find('[role="dialog"]')).getText()).toContain('(rectangular)');
  });

  it('says what is wrong as one types, and stores none of it', async () => {
    await kit.openRow('50/1.8');
    const before = await kit.stored();
    for (const [text, sentence] of [
      ['f/0', /^It must be a number from 0\.5 to 128; it is 0/],
      ['wide', /“wide” is no number/],
      ['30', /wider than the widest/],
      ['1e308', /must be a number from 0\.5 to 128/],
    ] as const) {
      await kit.type('Widest aperture, short end', text);
      expect(await (await kit.find('[role="alert"]')).getText()).toMatch(sentence);
      await kit.keys(Key.ESCAPE);
    }
    expect(await kit.shown('Widest aperture, short end')).toBe('1.8');
    expect(await kit.stored()).toBe(before);
  });

  it('what is typed and not taken yet is there after a reload, until it is taken', async () => {
    await kit.openRow('50/1.8');
    const before = await kit.stored();
    await kit.type('Widest aperture, short end', '1.4x');
    await kit.openKit();
    await kit.openRow('50/1.8');
    expect(await kit.shown('Widest aperture, short end')).toBe('1.4x');
    expect(await kit.stored()).toBe(before);
    await kit.type('Widest aperture, short end', '1.7', Key.ENTER);
    await kit.openKit();
    await kit.openRow('50/1.8');
    expect(await kit.shown('Widest aperture, short end')).toBe('1.7');
  });

  it('lists within a record grow and shrink', async () => {
    await kit.openTable('Bodies');
    await kit.openRow('C26');
    await kit.pressStarting('mode 1');
    await kit.type('Name', 'C26', Key.ENTER);
    const count = async () =>
      /Recording modes: (\d)/.exec(
        await (await kit.find('section[aria-label="Editor"]')).getText(),
      )?.[1];
    expect(await count()).toBe('3');
    await kit.pressStarting('mode 3');
    await kit.press('Remove mode 3');
    await kit.expectSoon(count, (n) => n === '2', 'the mode stayed');
    await kit.press('Undo: Recording modes of C26');
    await kit.expectSoon(count, (n) => n === '3', 'the mode stayed away');
  });

  it('what is half typed in one mode stays with it when a mode before it is removed', async () => {
    await kit.openTable('Bodies');
    await kit.openRow('C26');
    await kit.pressStarting('mode 1');
    await kit.pressStarting('mode 2');
    const fields = `//label[starts-with(normalize-space(.), "Pixels across")]/following-sibling::*[1]`;
    const second = (await kit.driver.findElements(By.xpath(fields)))[1]!;
    await second.sendKeys(Key.chord(Key.CONTROL, 'a'), 'as many');
    await kit.press('Remove mode 1');
    // Read at one moment: entries come and go meanwhile.
    const values = () =>
      kit.driver.executeScript<string[]>(`
        return [...document.querySelectorAll('label')]
          .filter((label) => label.textContent.trim().startsWith('Pixels across'))
          .map((label) => label.nextElementSibling.value);`);
    await kit.expectSoon(
      values,
      (shown) => shown.length === 1 && shown[0] === 'as many',
      'it went to another mode',
    );
    await kit.press('Undo: Recording modes of C26');
    // It comes back folded; what is half typed stays where it is.
    await kit.expectSoon(
      async () => (await kit.find('section[aria-label="Editor"]')).getText(),
      (text) => text.includes('Recording modes: 3'),
      'the mode stayed away',
    );
    expect(await values()).toEqual(['as many']);
  });

  it('names with markup are shown as text', async () => {
    await kit.openTable('Mounts');
    await kit.pressStarting('mount');
    await kit.press('None of these: fill it in by hand');
    await kit.row('New mount');
    await kit.type('Name', '<img src=x onerror=alert(1)>', Key.ENTER);
    await kit.row('<img src=x onerror=alert(1)>');
    await kit.press('Delete');
    await kit.expectSoon(
      () => kit.rows(),
      (r) => !r.some((n) => n.includes('img')),
      'it stayed',
    );
    await kit.expectQuiet();
  });
});

describe('gear told by a few facts', () => {
  it('a camera stands in the cabinet with the modes that are usual, its guesses marked', async () => {
    await kit.openTable('Bodies');
    await kit.pressStarting('body');
    await kit.answer('Sensor, mm', '2.0 crop, 17.3×13');
    await kit.answer('Megapixels', '20 MP');
    await kit.answer('Does the sensor move to steady the picture?', 'I do not know');
    await kit.press('Put it in the cabinet');
    await kit.row('20 MP 17.3×13 camera');
    const editor = await (await kit.find('section[aria-label="Editor"]')).getText();
    expect(editor).toContain('Some figures are what is usual, not what this camera says.');
    await kit.expectQuiet();
  });

  it('a converter is as thick as the registers leave it, and is put in with its mount', async () => {
    await kit.openTable('Adapters');
    await kit.pressStarting('adapter');
    await kit.choose('Takes a lens with', 'SLR bayonet 42.00');
    await kit.choose('Goes on a camera with', 'Mirrorless bayonet 18.00');
    await kit.answer('What it is', 'Plain adapter');
    await kit.press('Put it in the cabinet');
    await kit.row('plain adapter, 42.00 to 18.00');
    await kit.openTable('Mounts');
    await kit.row('SLR bayonet 42.00');
  });
});

describe('forms that are half filled in', () => {
  const forms = [
    {
      what: 'a lens by its facts',
      table: 'Lenses',
      open: 'lens',
      label: 'What stands on it',
      text: '40/2.5 half typed',
    },
    {
      what: 'a camera by what is known of it',
      table: 'Bodies',
      open: 'body',
      label: 'What you call the camera',
      text: 'The second one',
    },
  ] as const;

  it.each(forms)('$what: a reload leaves what is typed, leaving it does not', async (form) => {
    const reopened = async () => {
      await kit.openTable(form.table);
      await kit.pressStarting(form.open);
    };
    await reopened();
    await kit.type(form.label, form.text);
    await kit.openKit();
    await reopened();
    expect(await kit.shown(form.label)).toBe(form.text);
    // Taken into the form by leaving the field, and there again after another reload.
    await kit.keys(Key.TAB);
    await kit.openKit();
    await reopened();
    expect(await kit.shown(form.label)).toBe(form.text);
    await kit.press('Leave it');
    await reopened();
    expect(await kit.shown(form.label)).toBe('');
    await kit.press('Leave it');
  });

  it('an adapter half answered is there again', async () => {
    await kit.openTable('Adapters');
    await kit.pressStarting('adapter');
    await kit.choose('Takes a lens with', 'SLR bayonet 42.00');
    await kit.answer('What it is', 'Plain adapter');
    await kit.openKit();
    await kit.openTable('Adapters');
    await kit.pressStarting('adapter');
    expect(await (await kit.find('[role="dialog"]')).getText()).toContain(
      'Still to say: the mount on the camera',
    );
    await kit.press('Leave it');
    await kit.expectQuiet();
  });
});

/** The head of the column pressed, once more for the other way round. */
async function sortByFocal(first = '12–24/4'): Promise<void> {
  await kit.pressHead('Focal');
  await kit.expectSoon(
    () => kit.rows(),
    (r) => r[0] === first,
    `${first} never came first`,
  );
}

describe('many records', () => {
  it('are searched, filtered and sorted', async () => {
    await (await kit.find('input[type="search"]')).sendKeys('medium');
    await kit.expectSoon(
      () => kit.rows(),
      (r) => r.length === 2,
      'search found others',
    );
    expect(await kit.status()).toMatch(/2 of 16 lenses/);
    await (
      await kit.find('input[type="search"]')
    ).sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE);
    await sortByFocal();
    await sortByFocal('500/4');
  });

  it('are changed all at once, as one step', async () => {
    await sortByFocal();
    await sortByFocal('500/4');
    await kit.openRow('500/4');
    const last = await kit.row('80/2.8 medium format');
    await kit.driver.actions().keyDown(Key.SHIFT).click(last).keyUp(Key.SHIFT).perform();
    await kit.saying('3 lenses chosen');
    await kit.choose('Change in all', 'Price, used');
    await kit.type('Price, used', '321', Key.ENTER);
    await kit.expectSoon(
      async () => (await kit.stored()).split('"price":321').length - 1,
      // Once in each record, and once more in the journal’s account of the step.
      (n) => n >= 3,
      'not all were changed',
    );
    await kit.press('Undo: Price, used of 3 lenses');
    await kit.press('Choose none');
  });

  it('are duplicated, deleted with the key, and brought back', async () => {
    await kit.openRow('58/2 swirl');
    await kit.press('Duplicate');
    await kit.row('58/2 swirl, copy');
    await kit.openRow('58/2 swirl, copy');
    await kit.keys(Key.DELETE);
    await kit.expectSoon(
      () => kit.rows(),
      (r) => !r.includes('58/2 swirl, copy'),
      'it stayed',
    );
    await kit.press('Undo: Delete 58/2 swirl, copy');
    await kit.row('58/2 swirl, copy');
    await kit.press('Undo: Duplicate 58/2 swirl');
    await kit.expectSoon(
      () => kit.rows(),
      (r) => !r.includes('58/2 swirl, copy'),
      'the copy stayed',
    );
  });
});

describe('the quick ways in', () => {
  it('a lens goes in by four facts, what was guessed is marked', async () => {
    await kit.press('I have a lens');
    await kit.type('What stands on it', '28–80/3.5–5.6 compact', Key.ENTER);
    expect(await kit.shown('Focal length, mm')).toBe('28–80');
    expect(await kit.shown('Widest aperture')).toBe('3.5–5.6');
    await kit.choose('Mount', 'SLR bayonet 44.00');
    await kit.press('Put it in the cabinet');
    await kit.row('28–80/3.5–5.6 compact');
    await kit.unfold('Focus and pupil');
    await kit.saying('estimated', 'em');
    expect(await kit.shown('Made for, width')).toBe('23.5 mm');
    await kit.press('Undo: Add 28–80/3.5–5.6 compact');
  });

  it('a lens seen for sale is held against every body, and nothing is saved', async () => {
    const before = await kit.stored();
    await kit.press('Seen for sale');
    await kit.type('What stands on it', '28–80/3.5–5.6 compact', Key.ENTER);
    await kit.choose('Mount', 'SLR bayonet 44.00');
    const table = await kit.find('[role="dialog"] table');
    expect(await table.getText()).toMatch(/Tolvane H24\s+Stills, 24 MP\s+(Clipped|Keyhole)/);
    expect(await (await kit.find('[role="dialog"]')).getText()).toMatch(/haze, fungus, scratches/);
    await kit.press('Close, keep nothing');
    expect(await kit.stored()).toBe(before);
  });

  it('the ladder shows the reach of a mount, and its lenses', async () => {
    await kit.openTable('Register ladder');
    await kit.choose('To a body with', 'Mirrorless bayonet 26.70');
    await kit.saying('adapter 36.60 mm');
    await kit.pressStarting('Medium-format bayonet 63.30');
    await kit.expectSoon(
      () => kit.rows(),
      (r) => r.length === 2,
      'other lenses are shown',
    );
  });

  it('a ruler finds the mount', async () => {
    await kit.press('Which mount is this?');
    await kit.type('Thread diameter', '1.65 in', Key.ENTER);
    await kit.type('Thread pitch', '0.75', Key.ENTER);
    const found = await kit.find('ul[aria-label="Mounts found"] button');
    expect(await found.getText()).toMatch(/^T-thread 55\.00/);
    await found.click();
    await kit.saying('T-thread 55.00', 'h2');
    await kit.expectQuiet();
  });
});
