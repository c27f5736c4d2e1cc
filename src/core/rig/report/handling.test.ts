import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../../tests/support/plainRig';
import { demoRig, turned } from '../../../../tests/support/demo';
import { NO_ELECTRONICS, type Body, type Part } from '../../kit/records';
import type { Rig } from '../../rig';
import { evaluate } from './evaluate';

const tele = (more: Partial<Part> = {}) =>
  partOf('teleconverter', { factor: 2, rearMountId: 'ml', clearDepthMm: 9, ...more });
const onBody = (rig: Rig, more: Partial<Body>): Rig => ({ ...rig, body: { ...rig.body, ...more } });

describe('the stabiliser', () => {
  it('is told f′, and the nearest value of the body’s menu by ratio', () => {
    const { steady } = evaluate(
      plainRig({ parts: [partOf('focal reducer', { factor: 0.8, thicknessMm: 20 })] }),
    );
    expect(steady.enterFocalMm).toBeCloseTo(40, 9);
    expect(steady.menuFocalMm).toBe(35);
    expect(evaluate(onBody(plainRig(), { stabiliserFocalsMm: [] })).steady.menuFocalMm).toBeNull();
  });

  it('learns the focal length by itself only where metadata comes through', () => {
    expect(evaluate(plainRig()).steady.toldByLens).toBe(true);
    const cut = partOf('plain adapter', { electronics: NO_ELECTRONICS });
    expect(evaluate(plainRig({ parts: [cut] })).steady.toldByLens).toBe(false);
  });

  it('warns of zooming where nothing tells the body, the stabiliser is on and there is a zoom', () => {
    const cut = partOf('plain adapter', { electronics: NO_ELECTRONICS });
    const zoom = { focalMaxMm: 100 };
    const warning = (rig: Rig) => evaluate(rig).steady.zoomWarning;
    const on = { stabiliser: true };
    expect(warning(plainRig({ lens: zoom, parts: [cut], settings: on }))).toMatch(/after zooming/);
    expect(warning(plainRig({ lens: zoom, parts: [cut] }))).toBeNull();
    expect(warning(plainRig({ lens: zoom, settings: on }))).toBeNull();
    expect(warning(plainRig({ parts: [cut], settings: on }))).toBeNull();
  });

  it('is worth its stops only while it is on: 1/50 s by hand becomes 1/3 s with four', () => {
    const by = (
      stabiliser: boolean,
      stops: number | null = 4,
      framesPerSecond: number | null = null,
    ) => {
      const rig = onBody(plainRig({ settings: { stabiliser } }), { stabiliserStops: stops });
      return evaluate({ ...rig, mode: { ...rig.mode, framesPerSecond } }).steady.handHeldSeconds;
    };
    expect(by(false)).toBeCloseTo(1 / 50, 9);
    expect(by(true)).toBeCloseTo(16 / 50, 9);
    expect(by(true, null)).toBeCloseTo(1 / 50, 9);
    // No frame is exposed longer than it lasts.
    expect(by(true, 4, 25)).toBeCloseTo(1 / 25, 9);
    expect(by(false, 4, 25)).toBeCloseTo(1 / 50, 9);
  });

  it('electronic, asks short shutter times; off, it asks nothing', () => {
    expect(evaluate(plainRig()).steady.shutterAdvice).toBeNull();
    expect(evaluate(plainRig({ settings: { cropId: 'active' } })).steady.shutterAdvice).toMatch(
      /1\/250 s or shorter, 1\/400 s/,
    );
  });

  it('enters 14.2 mm behind the demo’s reducer, 14 from the menu', () => {
    const { steady } = evaluate(demoRig('wheel-house-wide'));
    expect(steady.enterFocalMm).toBeCloseTo(14.2, 9);
    expect(steady.menuFocalMm).toBe(14);
  });
});

describe('autofocus', () => {
  it('works up to the body’s limit, with the points its table gives', () => {
    expect(evaluate(plainRig()).autofocus).toMatchObject({
      state: 'works',
      openFNumber: 2,
      limitFNumber: 8,
      points: 400,
    });
  });

  it('a marked limit means the exact aperture behind it: f/4 doubled is f/8, a third more is not', () => {
    const at = (open: number) =>
      evaluate(
        plainRig({
          lens: { openFNumberWide: open, openFNumberLong: open },
          parts: [tele()],
          settings: { fNumber: 16 },
        }),
      ).autofocus;
    expect(at(4)).toMatchObject({ state: 'works', points: 40 });
    expect(at(4.1)).toMatchObject({ state: 'works' });
    expect(at(4.5)).toMatchObject({ state: 'too slow', points: 0, openFNumber: 9 });
  });

  it('sees the lens wide open, however far it is stopped down', () => {
    expect(evaluate(plainRig({ settings: { fNumber: 16 } })).autofocus.openFNumber).toBe(2);
  });

  it('is not known where the body does not say, with points all the same', () => {
    const rig = onBody(plainRig(), { autofocusLimitFNumber: null });
    expect(evaluate(rig).autofocus).toMatchObject({ state: 'not known', points: 400 });
    const bare = onBody(rig, { autofocusPoints: [] });
    expect(evaluate(bare).autofocus.points).toBeNull();
  });

  it('is by hand without a drive, and says whose fault it is', () => {
    const none = evaluate(plainRig({ lens: { electronics: NO_ELECTRONICS } })).autofocus;
    expect(none).toMatchObject({ state: 'manual', points: null });
    expect(none.sentence).toMatch(/Fifty has no focus drive/);
    const cut = partOf('plain adapter', { electronics: NO_ELECTRONICS });
    expect(evaluate(plainRig({ parts: [cut] })).autofocus.sentence).toMatch(
      /a part between carries no/,
    );
  });

  it('fails behind two converters in the demo, and works on its f/8 body', () => {
    const rig = demoRig('waders-at-dawn');
    expect(evaluate(rig).autofocus).toMatchObject({ state: 'works', points: 567 });
    expect(evaluate(turned(onBody(rig, { autofocusLimitFNumber: 4 }), {})).autofocus.state).toBe(
      'too slow',
    );
  });
});
