import { describe, expect, it } from 'vitest';
import { MOUNTS, partOf, plainRig } from '../../../tests/support/plainRig';
import { tideMill } from '../demo';
import { jobOf, type Job, type Lens, EMPTY_WORKSPACE, type Workspace } from '../kit/records';
import { evaluate } from '../rig/report';
import { rigOf } from './asRig';
import { passes, type Candidate } from './candidate';
import { choose, countOf } from './choose';
import { keep, nothingKept, together } from './ranking';
import { failWords, reasonOf, wayOutOf } from './words';

const rig = plainRig();
const plain = partOf('plain adapter', { massG: 100, price: 20 });
const kit = (more: Partial<Workspace> = {}): Workspace => ({
  ...EMPTY_WORKSPACE,
  mounts: [...MOUNTS.values()],
  bodies: [{ ...rig.body, massG: 600, price: 900 }],
  lenses: [rig.lens],
  parts: [plain],
  ...more,
});
const EASY = jobOf({ id: 'j', name: 'job', viewFromMm: 20, viewToMm: 200 });
const all = (workspace: Workspace, job: Job): Candidate[] =>
  [...choose(workspace, job)].flatMap((c) => c ?? []);
const judged = (asked: Partial<Job> = {}, more: Partial<Workspace> = {}): Candidate[] =>
  all(kit(more), { ...EASY, ...asked });
const only = (asked: Partial<Job> = {}, more: Partial<Workspace> = {}): Candidate => {
  const [candidate, ...others] = judged(asked, more);
  if (!candidate || others.length > 0) throw new Error('not one candidate');
  return candidate;
};
const reason = (asked: Partial<Job>, more: Partial<Workspace> = {}) =>
  reasonOf(only(asked, more), { ...EASY, ...asked });

describe('one lens, one body, one job', () => {
  it('passes with the figures of its light, pixels, mass and price, body counted in', () => {
    const found = only();
    expect(found).toMatchObject({
      bodyId: 'body',
      modeId: 'full',
      lensId: 'lens',
      partIds: ['plain adapter'],
      fails: [],
      unknowns: [],
      share: 0,
      scale: 1,
      tStop: 2,
      light: 'T',
      // The mode reads 6000 and records 3000.
      pixelsAcross: 3000,
      massG: 1000,
      price: 1020,
    });
    expect(found.views).toEqual([
      { from: expect.closeTo(50, 6) as number, to: expect.closeTo(50, 6) as number },
    ]);
    expect(reason({})).toBe('Clear at 50 mm, T2.0, risk < 1 %, measured.');
  });

  it.each<[string, Partial<Job>, string]>([
    ['too few pixels', { pixelsAcross: 3100 }, '100 pixels short across: 3000 of 3100.'],
    ['too few frames a second', { framesPerSecond: 26 }, '25 frames a second; 26 are wanted.'],
    ['too heavy', { mostMassG: 900 }, '100 g too heavy: 1000 g.'],
    ['too dear', { mostPrice: 1000 }, '20 too dear: 1020.'],
    ['too long a lens', { viewToMm: 40 }, 'Too long: from 50 mm, 40 is wanted.'],
    ['too short a lens', { viewFromMm: 60 }, 'Too short: to 50 mm, 60 is wanted.'],
    ['too slow', { slowestTStop: 1.4 }, '1.0 stop too slow: T2.0 at best, T1.4 is wanted.'],
    [
      'not shallow enough',
      { shallowFNumber: 1.4 },
      'Not shallow enough: as f/2.0 on 36×24, f/1.4 is wanted.',
    ],
    [
      'not deep enough',
      { deepFNumber: 32 },
      'Not deep enough: as f/16.0 on 36×24, f/32.0 is wanted.',
    ],
  ])('is turned down where it is %s, and says by how much', (_, asked, words) => {
    expect(passes(only(asked))).toBe(false);
    expect(reason(asked)).toBe(words);
  });

  it('passes on the very limit of each', () => {
    const limits: Partial<Job> = {
      // The mode reads 6000 and records 3000.
      pixelsAcross: 3000,
      framesPerSecond: 25,
      mostMassG: 1000,
      mostPrice: 1020,
      slowestTStop: 2,
      shallowFNumber: 2,
      deepFNumber: 16,
      viewFromMm: 50,
      viewToMm: 50,
    };
    expect(passes(only({ ...limits, deepFNumber: null }))).toBe(true);
    expect(passes(only({ ...limits, slowestTStop: null, shallowFNumber: null }))).toBe(true);
  });

  it('tells more than one thing it fails by', () => {
    expect(reason({ mostMassG: 900, mostPrice: 1000 })).toBe(
      '100 g too heavy: 1000 g; 20 too dear: 1020.',
    );
  });
});

describe('fit comes first', () => {
  it('a rig that strikes, or whose adapter is 2 mm too long, never passes', () => {
    const long = { ...plain, thicknessMm: 28 };
    expect(reason({}, { parts: [long] })).toMatch(/2\.00 mm too far out/);
    const deep = { ...rig.lens, rearProtrusionMm: 40 };
    const shallow = { ...rig.body, clearDepthMm: 5 };
    expect(reason({}, { lenses: [deep], bodies: [shallow] })).toMatch(/^Rear glass stands/);
  });

  it('no demo job has a passing rig that the Bench says does not go together', () => {
    for (const job of tideMill.jobs)
      for (const candidate of all(tideMill, job).filter(passes)) {
        const found = rigOf(candidate, job, tideMill);
        expect(found && evaluate(found).fitProblem).toBeNull();
      }
  });

  it('rear glass nobody measured is said, and kept', () => {
    const unmeasured = { ...rig.lens, rearProtrusionMm: null };
    const found = only({ unknowns: 'leave out' }, { lenses: [unmeasured] });
    expect(found.unknowns).toEqual(['rear glass']);
    expect(reasonOf(found, EASY)).toBe(
      'Clear at 50 mm, T2.0, risk < 1 %, measured; rear glass never measured.',
    );
  });

  it('tubes, which give infinity away, are not put between', () => {
    const tube = partOf('extension tube', { id: 'tube', rearMountId: 'slr' });
    expect(judged({}, { parts: [tube, plain] }).map((c) => c.partIds)).toEqual([['plain adapter']]);
  });
});

describe('what is not known', () => {
  const light = { ...rig.lens, massG: null, price: null };
  it('is never nought and never a pass unsaid: the row says so, and can be left out', () => {
    const found = only({ mostMassG: 5000, mostPrice: 5000 }, { lenses: [light] });
    expect(found).toMatchObject({ massG: null, price: null, unknowns: ['mass', 'price'] });
    expect(reasonOf(found, EASY)).toMatch(/mass not known, price not known\.$/);
    const left = judged({ mostMassG: 5000, unknowns: 'leave out' }, { lenses: [light] });
    expect(left).toEqual([]);
  });

  it('what is known may be too much by itself', () => {
    expect(reason({ mostMassG: 650 }, { lenses: [light] })).toBe('At least 50 g too heavy: 700 g.');
  });

  it('what a part’s glass takes, what works the aperture, and which mounts these are', () => {
    const glass = partOf('focal reducer', { id: 'r', factor: 0.7, thicknessMm: 20 });
    const dim = judged({ viewFromMm: 30, slowestTStop: 4 }, { parts: [glass] });
    expect(dim[0]?.unknowns).toEqual(['light']);
    const [sample] = rig.lens.halo;
    const untold: Lens = {
      ...rig.lens,
      apertureRing: 'unknown',
      estimated: ['electronics', 'mountId'],
      halo: [{ ...sample!, front: { edgeRadiusMm: 22.2, softnessMm: 10 } }],
    };
    const found = only({ school: 'strict' }, { lenses: [untold] });
    expect(found.unknowns).toEqual(['mounts', 'aperture']);
    expect(judged({ school: 'strict', unknowns: 'leave out' }, { lenses: [untold] })).toEqual([]);
  });

  it('is not asked where there is no limit', () => {
    expect(only({ unknowns: 'leave out' }, { lenses: [light] }).unknowns).toEqual([]);
  });

  it('a T-stop nobody told is the f-number, and says so', () => {
    const bare = { ...rig.lens, tStop: null };
    expect(reason({}, { lenses: [bare] })).toBe('Clear at 50 mm, f/2.0, risk < 1 %, measured.');
    const glass = partOf('focal reducer', { id: 'r', factor: 0.7, thicknessMm: 20 });
    const found = judged({ viewFromMm: 30 }, { parts: [glass] });
    expect(found[0]?.light).toBe('T at best');
  });

  it('whether autofocus works, where nobody told what the lens has', () => {
    const untold = { ...rig.lens, estimated: ['electronics'] };
    expect(only({ autofocus: true }, { lenses: [untold] }).unknowns).toEqual(['autofocus']);
    const limit = { ...rig.body, autofocusLimitFNumber: 1.4 };
    expect(reason({ autofocus: true }, { bodies: [limit] })).toMatch(
      /^Autofocus fails: f\/2\.0 open/,
    );
  });
});

describe('how gear is to be had', () => {
  const at = (availability: Lens['availability']) => ({ ...rig.lens, availability });
  const rest = {
    bodies: [{ ...rig.body, availability: 'at hand' as const }],
    parts: [{ ...plain, availability: 'at hand' as const }],
  };
  it('the least of body, lens and parts counts', () => {
    const asked: Partial<Job> = { sources: ['at hand', 'rentable'] };
    expect(passes(only(asked, { ...rest, lenses: [at('rentable')] }))).toBe(true);
    expect(reason(asked, { ...rest, lenses: [at('to buy')] })).toBe('Has to be bought.');
    expect(only(asked, { ...rest, lenses: [at('not told')] }).unknowns).toEqual(['source']);
    const near = only(asked, { ...rest, lenses: [at('to buy')] });
    expect(wayOutOf(near)).toBe('buy it');
  });

  it('gear that is left out is not taken', () => {
    expect(judged({ leaveOut: ['lens'] })).toEqual([]);
    expect(judged({ leaveOut: ['plain adapter'] })).toEqual([]);
  });
});

describe('stabiliser, crops and scale-up', () => {
  const far = (xMm: number) => ({
    ...rig.body,
    sensorTravel: { shape: 'disc' as const, xMm, yMm: 0 },
  });
  it('a stabiliser asked for must be there, and its travel counts against the corners', () => {
    const still = { ...rig.body, sensorTravel: null };
    expect(reason({ stabilised: true }, { bodies: [still] })).toMatch(/no stabiliser/);
    expect(passes(only({ stabilised: true }, { bodies: [far(20)] }))).toBe(false);
    expect(passes(only({ stabilised: false }, { bodies: [far(20)] }))).toBe(true);
  });

  const [sample] = rig.lens.halo;
  const small: Lens = {
    ...rig.lens,
    halo: [{ ...sample!, front: { edgeRadiusMm: 20, softnessMm: 0.2 } }],
  };
  it('dark corners pass with the scale-up the job allows, and say how much', () => {
    // The corner stands at 21.633 mm; an eighth of the light is left at 20.07: 7.8 % of scale-up, and 0.2 % more until
    // the edge, known to 0.1 mm, leaves a risk below a quarter.
    const near = only({}, { lenses: [small] });
    expect(passes(near)).toBe(false);
    expect(wayOutOf(near)).toBe('allow 8.0 % of scale-up');
    const scaled = only({ postScale: 1.1 }, { lenses: [small] });
    expect(passes(scaled)).toBe(true);
    expect(scaled.scale).toBeGreaterThan(1.07);
    // The view is that of the scaled-up frame, from there to the most scale-up allowed.
    expect(scaled.views[0]?.from).toBeCloseTo(50 * scaled.scale, 1);
    expect(scaled.views[0]?.to).toBeCloseTo(55, 6);
    expect(reasonOf(scaled, { ...EASY, postScale: 1.1 })).toMatch(
      /, scaled up by as much as 8\.\d %, risk \d+ %, measured\.$/,
    );
    expect(passes(only({ postScale: 1.05 }, { lenses: [small] }))).toBe(false);
  });

  it('but not where the pixels are gone by then', () => {
    const asked = { postScale: 1.1, pixelsAcross: 2900 };
    expect(passes(only(asked, { lenses: [small] }))).toBe(false);
  });

  it('and with the body’s own crops where they may be used', () => {
    const mode = { ...rig.mode, digitalZooms: [1, 1.2] };
    const bodies = [{ ...rig.body, modes: [mode] }];
    expect(passes(only({}, { bodies, lenses: [small] }))).toBe(false);
    const cropped = only({ crops: true }, { bodies, lenses: [small] });
    // 50 mm behind a crop of 1.2, and behind that and the body's stabilisation crop of 1.1.
    expect(cropped).toMatchObject({ fails: [], digitalZoom: 1.2, cropId: null });
    expect(cropped.views.map(({ from }) => from)).toEqual([
      expect.closeTo(60, 6),
      expect.closeTo(66, 6),
    ]);
    expect(cropped.crops.map((c) => c.cropId)).toEqual([null, 'active']);
    // As it is handed over: at the widest of them.
    expect(cropped.pixelsAcross).toBeCloseTo(3000, 6);
  });
});

describe('a zoom', () => {
  const [sample] = rig.lens.halo;
  const at = (focalMm: number, edgeRadiusMm: number) => ({
    ...sample!,
    id: `${focalMm}`,
    focalMm,
    front: { edgeRadiusMm, softnessMm: 0.5 },
  });
  it('over a gap is not called Clear there', () => {
    const zoom = {
      ...rig.lens,
      focalMinMm: 20,
      focalMaxMm: 80,
      halo: [at(20, 24), at(40, 20), at(80, 24)],
    };
    const found = only({}, { lenses: [zoom] });
    expect(found.views).toHaveLength(2);
    expect(found.share).toBeLessThan(0.55);
    expect(reasonOf(found, EASY)).toMatch(/^Clear at 20–\d+(\.\d)? mm and \d+(\.\d)?–80 mm/);
    const whole = only({ wholeRange: true, viewToMm: 80 }, { lenses: [zoom] });
    expect(failWords(whole.fails[0]!, EASY)).toMatch(/^serves \d\d % of the views/);
  });

  it('that stopping down within the asked light cures passes', () => {
    const soft = {
      ...rig.lens,
      tStop: null,
      halo: [{ ...sample!, front: { edgeRadiusMm: 22.2, softnessMm: 10 } }],
    };
    // Half the light is left at R - w²/(6R): 21.45 mm at f/2, short of the corner; 22.0 at f/4.
    const school = 'strict';
    expect(passes(only({ slowestTStop: 2, school }, { lenses: [soft] }))).toBe(false);
    const found = only({ slowestTStop: 8, school }, { lenses: [soft] });
    expect(passes(found)).toBe(true);
    expect(found.tStop).toBeGreaterThan(2.2);
  });

  it('that grows slower counts where it is fast enough', () => {
    const slow = {
      ...rig.lens,
      tStop: null,
      focalMinMm: 25,
      focalMaxMm: 100,
      openFNumberWide: 2,
      openFNumberLong: 8,
    };
    // f/2 to f/8 over two octaves: f/4.12 (4 and a little for how it is marked) at 51.5 mm.
    expect(only({ slowestTStop: 4 }, { lenses: [slow] }).views[0]?.to).toBeCloseTo(51.5, 1);
  });
});

describe('the whole kit', () => {
  const [job] = tideMill.jobs;

  it('is judged whole, in shares as in one', () => {
    expect(all(tideMill, job!)).toHaveLength(countOf(tideMill, job!));
    const shares = [0, 1, 2].map((part) => {
      const kept = nothingKept();
      for (const c of choose(tideMill, job!, { part, of: 3 })) if (c) keep(kept, c);
      return kept;
    });
    const whole = nothingKept();
    for (const c of choose(tideMill, job!)) if (c) keep(whole, c);
    expect(together(shares)).toEqual(together([whole]));
    expect(shares.reduce((sum, s) => sum + s.judged, 0)).toBe(countOf(tideMill, job!));
  });

  it('gives every one a reason, and every near miss a way out', () => {
    for (const each of tideMill.jobs) {
      const kept = nothingKept();
      for (const c of choose(tideMill, each)) {
        if (!c) continue;
        keep(kept, c);
        expect(reasonOf(c, each)).toMatch(/^[\p{Lu}\d].*\.$/u);
      }
      for (const near of together([kept]).near) expect(wayOutOf(near)).not.toBeNull();
    }
  });
});
