/** What a job leaves a combination, on inconvenient gear: slower at the long end, cropped, squeezed, behind glass. */
import { describe, expect, it } from 'vitest';
import { MOUNTS, partOf, plainRig } from '../../../tests/support/plainRig';
import {
  EMPTY_WORKSPACE,
  jobOf,
  modeOf,
  type Body,
  type Job,
  type Lens,
  type Workspace,
} from '../kit/records';
import { evaluate } from '../rig/report';
import { rigOf } from './asRig';
import type { Candidate } from './candidate';
import { choose } from './choose';
import { reasonOf } from './words';

const rig = plainRig();
const reducer = partOf('focal reducer', {
  id: 'r',
  factor: 0.71,
  thicknessMm: 21,
  transmission: 0.9,
});
const small = modeOf({ ...rig.mode, widthMm: 18, heightMm: 12, widthPx: 6000, heightPx: 4000 });
const zoom: Lens = {
  ...rig.lens,
  focalMinMm: 25,
  focalMaxMm: 75,
  openFNumberWide: 2,
  openFNumberLong: 5,
  tStop: null,
};
const kit = (more: Partial<Workspace> = {}): Workspace => ({
  ...EMPTY_WORKSPACE,
  mounts: [...MOUNTS.values()],
  bodies: [{ ...rig.body, modes: [small] }],
  lenses: [zoom],
  parts: [partOf('plain adapter')],
  ...more,
});
const EASY = jobOf({ id: 'j', name: 'job', viewFromMm: 50, viewToMm: 150 });
const only = (asked: Partial<Job>, more?: Partial<Workspace>): Candidate => {
  const [candidate, other] = choose(kit(more), { ...EASY, ...asked });
  if (!candidate || other) throw new Error('not one candidate');
  return candidate;
};

describe('autofocus', () => {
  // Common practice, no source: detectors see the open aperture, which a zoom has slower at its long end.
  it.each([
    ['works where the slow end is within the limit', 5.6, false],
    ['fails where only the fast end is', 4, true],
  ])('%s', (_, autofocusLimitFNumber, fails) => {
    const bodies = [{ ...rig.body, modes: [small], autofocusLimitFNumber }];
    const found = only({ autofocus: true }, { bodies });
    expect(found.fails.map((f) => f.code)).toEqual(fails ? ['autofocus'] : []);
  });

  it('is judged behind the glass: f/5 behind 0.71 is f/3.55', () => {
    const bodies = [{ ...rig.body, modes: [small], autofocusLimitFNumber: 3.5 }];
    expect(only({ autofocus: true }, { bodies, parts: [reducer] }).fails).toEqual([]);
  });
});

describe('the body’s digital zoom', () => {
  // 150 mm of view from the zoom's 75 mm take 2 in all: the mode crops by 2 already, so 300 takes 1.5 of zoom.
  const asked: Partial<Job> = { viewFromMm: 220, viewToMm: 220, crops: true, use: 'video' };
  const silent = partOf('plain adapter', {
    electronics: { focus: true, aperture: true, metadata: false, stabiliser: false },
  });
  const on = (body: Partial<Body>, job: Partial<Job>, part = silent) =>
    only(
      { ...asked, ...job },
      { bodies: [{ ...rig.body, modes: [small], ...body }], parts: [part] },
    );

  it('is taken where the body gives it to any lens, or knows this one', () => {
    expect(on({ digitalZoomWith: 'any lens' }, {})).toMatchObject({
      digitalZoom: 1.5,
      unknowns: [],
      fails: [],
    });
    expect(on({ digitalZoomWith: 'lenses it knows' }, {}, partOf('plain adapter'))).toMatchObject({
      digitalZoom: 1.5,
      fails: [],
    });
  });

  it('is not there where the body refuses it, and not known where it does not say', () => {
    expect(on({ digitalZoomWith: 'lenses it knows' }, {})).toMatchObject({
      digitalZoom: 1,
      fails: [{ code: 'view' }],
    });
    expect(on({}, {}).unknowns).toEqual(['digital zoom']);
  });

  it('serves no job that wants autofocus where the body loses it there', () => {
    const zoomed = (digitalZoomFocus: Body['digitalZoomFocus']) =>
      on(
        { digitalZoomWith: 'any lens', digitalZoomFocus },
        { autofocus: true },
        partOf('plain adapter'),
      );
    expect(zoomed('works')).toMatchObject({ digitalZoom: 1.5, fails: [], unknowns: [] });
    expect(zoomed('lost').fails.map((f) => f.code)).toEqual(['view']);
    expect(zoomed('not told').unknowns).toEqual(['autofocus']);
  });

  it('a part that focuses for single shots alone fails a video job, and says so', () => {
    const job: Partial<Job> = { autofocus: true };
    const single = partOf('plain adapter', { autofocus: 'single shots' });
    const found = on({}, { ...job, viewFromMm: 100, viewToMm: 100 }, single);
    expect(reasonOf(found, { ...EASY, ...job })).toContain(
      'No autofocus: plain adapter focuses for single shots alone',
    );
  });
});

describe('depth', () => {
  // N' C with C = 43.267/21.633 = 2 on the small mode: f/8 there is as deep as f/16 on 36x24.
  it('counts the crop of the mode: as deep as f/16 at f/8', () => {
    const found = only({ deepFNumber: 16, viewToMm: 60 });
    // On its mark: no ring and no menu has f/7.77, however little a mark may mean.
    expect(found.at?.fNumber).toBe(8);
    const { optics } = evaluate(rigOf(found, { ...EASY, deepFNumber: 16 }, kit())!);
    expect(optics.equivalents.fNumber).toBeGreaterThan(16 / 1.031);
  });

  it('and counts it where shallow is asked: f/2 there is as f/4, and no shallower', () => {
    expect(only({ shallowFNumber: 4, viewToMm: 55 }).fails).toEqual([]);
    expect(only({ shallowFNumber: 2.8, viewToMm: 55 }).fails[0]).toMatchObject({
      code: 'depth',
      has: 4,
    });
  });
});

describe('light', () => {
  it('ends the views where a zoom grows too slow', () => {
    // f/2 to f/5 runs straight in log f: f/3.16 half way, at 43.3 mm; C = 2.
    const found = only({ slowestTStop: 3.16 / 1.03 });
    expect(found.views.at(-1)?.to).toBeCloseTo(2 * 43.3, 0);
    expect(found.tStop).toBeCloseTo(2, 2);
    expect(reasonOf(found, EASY)).toMatch(/f\/2\.0/);
  });

  it('counts the glass where it is known, and says at best where it is not', () => {
    const lens = { ...zoom, tStop: 2.2 };
    const asked = { viewFromMm: 20 };
    const known = only(asked, { lenses: [lens], parts: [reducer] });
    expect(known.tStop).toBeCloseTo((2.2 * 0.71) / Math.sqrt(0.9), 2);
    expect(known.light).toBe('T');
    const unknown = only(asked, { lenses: [lens], parts: [{ ...reducer, transmission: null }] });
    expect(unknown.light).toBe('T at best');
  });
});

describe('mass and price', () => {
  it('of what is known may be too much by itself; else an unknown is an unknown', () => {
    const bodies = [{ ...rig.body, modes: [small], massG: 600, price: null }];
    expect(only({ mostMassG: 800 }, { bodies }).fails[0]).toMatchObject({
      code: 'mass',
      has: 900,
      words: 'at least',
    });
    const asked = only({ mostPrice: 500 }, { bodies });
    expect([asked.fails, asked.unknowns, asked.price]).toEqual([[], ['price'], null]);
    expect(only({ mostPrice: 99 }, { bodies }).fails[0]).toMatchObject({ code: 'price', has: 100 });
  });

  it('and how it is had is that of what is hardest to have', () => {
    const bodies = [{ ...rig.body, modes: [small], availability: 'at hand' as const }];
    const lenses = [{ ...zoom, availability: 'to buy' as const }];
    const parts = [partOf('plain adapter', { availability: 'rentable' })];
    expect(only({}, { bodies, lenses, parts }).source).toBe('to buy');
    expect(only({ sources: ['rentable'] }, { bodies, lenses, parts }).fails[0]?.code).toBe(
      'source',
    );
    expect(only({}, { bodies, parts }).source).toBeNull();
  });
});

describe('frame rate', () => {
  it('is asked of video; a mode that tells none is not known to have it', () => {
    expect(only({ framesPerSecond: 50 }).fails[0]).toMatchObject({ code: 'frame rate', has: 25 });
    const bodies = [{ ...rig.body, modes: [{ ...small, framesPerSecond: null }] }];
    expect(only({ framesPerSecond: 50 }, { bodies }).unknowns).toContain('frame rate');
  });
});
