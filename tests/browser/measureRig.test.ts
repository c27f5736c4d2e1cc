/** Measuring whole rigs, old entries anew, and the tone response found from two frames. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { encode } from 'fast-png';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { expose, practiceRig, lightMap } from '../../src/core/bench-camera';
import { tideMill } from '../../src/core/demo';
import { largestMode } from '../../src/core/kit/records';
import { evaluate } from '../../src/core/rig/report';
import { isMissing, resolveRig, turned } from '../../src/core/rig';
import { fileAt, folder, MeasurePage, shotAt, truthAt } from './measurePage';

let room: MeasurePage;

beforeAll(async () => {
  room = await MeasurePage.opened();
  await fileAt(5.6, 'jpeg');
});
beforeEach(() => room.forget());
afterAll(() => room.driver.quit());

/** The demo's rig, and the mode the room measures it in. */
const wheelHouse = (() => {
  const record = tideMill.rigs.find((r) => r.name === 'Wheel-house, wide');
  const rig = record && resolveRig(tideMill, record);
  if (!rig || isMissing(rig)) throw new Error('the demo has no such rig');
  return { rig, largest: largestMode(rig.body.modes) ?? rig.mode };
})();

describe('a rig of the Bench', () => {
  it('refuses a frame of another shape than its mode until it is told which mode it was', async () => {
    await room.openMeasure();
    await room.choose('Rig', 'Wheel-house, wide');
    await room.giveFile(join(folder, 'wall-f5.6.jpg'), 'Test frames');
    await room.allMeasured(1);
    expect(await room.figures()).toMatch(/shape is not that of the mode/);
    expect(await room.figures()).not.toMatch(/Half light at/);
  });

  it('is measured as a whole: foretold behind its train, kept in the log alone, chosen again next time', async () => {
    await room.openMeasure();
    await room.choose('Rig', 'Wheel-house, wide');
    const { largest } = wheelHouse;
    await room.giveFile(
      await fileAt(5.6, 'jpeg', { sensor: largest, name: 'wheel-house' }),
      'Test frames',
    );
    await room.allMeasured(1);
    await room.choose('Shot', '35 mm f/8');
    const at = turned(wheelHouse.rig, { focalMm: 35, fNumber: 8, focusM: null });
    const foretold = evaluate(at).coverage.radiiMm.half;
    expect(await room.expectedAt()).toBeCloseTo(foretold, 1);
    expect(await room.figures()).toContain('goes to the log, not to the lens');
    await room.press('Keep in the log only');
    await room.saying('It is in the log. Undo takes it out again.');
    await room.reopen();
    expect(await (await room.find('section[aria-label="Session"]')).getText()).toContain(
      'Wheel-house, wide',
    );
    await room.keys('l');
    expect(await room.log()).toContain('18–35/1.8 + reducer ×0.71, 44.00 to 18.00');
    await room.control('z');
  });
});

describe('the log', () => {
  it('measures old entries anew by the method of today, and keeps the old figures', async () => {
    await room.openMeasure();
    await room.giveFile(join(folder, 'wall-f5.6.jpg'), 'Test frames');
    await room.allMeasured(1);
    await room.choose('Shot', '100 mm f/8');
    const found = await room.halfLight();
    await room.press('Keep in the log only');
    await room.saying('It is in the log. Undo takes it out again.');
    // As an earlier method would have left it.
    await room.driver.executeAsyncScript(`
      const done = arguments[arguments.length - 1];
      indexedDB.open('wandering-halo').onsuccess = ({ target: { result: db } }) => {
        const store = db.transaction('measurements', 'readwrite').objectStore('measurements');
        store.openCursor().onsuccess = ({ target: { result: cursor } }) => {
          if (!cursor) { db.close(); return done(); }
          const old = { ...cursor.value, method: 1 };
          old.halfLightMm = { value: 19.5, low: 19, high: 20 };
          cursor.update(old);
          cursor.continue();
        };
      };`);
    await room.openMeasure();
    await room.keys('l');
    await room.pressStarting('Measure 1 anew');
    await room.expectSoon(
      () => room.log(),
      (t) => t.includes('(measured anew)'),
      'nothing was measured anew',
    );
    expect(await room.log()).toContain('39.00 (38.00–40.00)');
    expect(await room.log()).toContain(`${(2 * found).toFixed(2)} (`);
    expect(await room.log()).not.toContain('by the better method');
    await room.control('z');
    await room.expectSoon(
      () => room.log(),
      (t) => !t.includes('(measured anew)'),
      'undo kept it',
    );
  });
});

describe('the tone response', () => {
  it('is found from two frames of one wall a step apart', async () => {
    await room.openMeasure();
    const { lens, exposure, reachMm } = practiceRig(shotAt(8, 'png'));
    const map = lightMap(lens, 8, reachMm);
    const paths = [0.2, 0.4].map((level, i) => {
      const { widthPx, heightPx, data } = expose(map, {
        ...exposure,
        level,
        tone: 'linear',
        seed: i + 1,
      });
      const path = join(folder, `step-${i}.png`);
      writeFileSync(
        path,
        encode({ width: widthPx, height: heightPx, data, depth: 16, channels: 1 }),
      );
      return path;
    });
    await room.choose('Tone response', 'found from two frames');
    await room.giveFile(paths.join('\n'), 'Two frames a step apart');
    await room.saying('Found. Frames are read by it from now on.');
    await room.giveFile(paths[1] ?? '', 'Test frames');
    await room.allMeasured(1);
    // A response found from two frames is a little rougher than one that is told.
    expect(Math.abs((await room.halfLight()) - truthAt(8))).toBeLessThan(0.15);
  });
});
