import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo/tideMill';
import { restingSettings } from '../kit/records/rigRecord';
import { verdictOf } from '../rig/report/setUp';
import { isMissing, resolveRig } from '../rig/rig';
import { MOUNTS, partOf, plainRig } from '../../../tests/support/plainRig';
import { EMPTY_WORKSPACE as EMPTY, type Workspace } from '../kit/records/workspace';
import { choose, type Candidate, type Job } from './choose';

const job: Job = {
  use: 'video',
  aspect: 16 / 9,
  pixelsAcross: 3800,
  framesPerSecond: 24,
  focalFromMm: 20,
  focalToMm: 60,
  slowestTStop: 2.8,
  stabilised: false,
  mostMassG: null,
  mostPrice: null,
};

function candidates(asked: Partial<Job> = {}): Candidate[] {
  return [...choose(tideMill, { ...job, ...asked })].flatMap((f) =>
    'candidate' in f ? [f.candidate] : [],
  );
}

describe('choose', () => {
  it('judges every combination and tells how far it is', () => {
    const last = [...choose(tideMill, job)].at(-1);
    const count = candidates().length;
    expect(count).toBeGreaterThan(400);
    expect(last && 'progress' in last && last.progress).toEqual({ judged: count, total: count });
  });

  it('gives every one a reason', () => {
    for (const c of candidates()) expect(c.reason).toMatch(/\.$/);
  });

  it('what passes is Clear on the Bench at the ends of its window', () => {
    const passing = candidates().filter((c) => c.passes);
    expect(passing.length).toBeGreaterThan(10);
    for (const c of passing.slice(0, 40)) {
      const lens = tideMill.lenses.find((l) => l.id === c.lensId)!;
      const rig = resolveRig(tideMill, {
        id: 'x',
        name: 'x',
        bodyId: c.bodyId,
        modeId: c.modeId,
        lensId: c.lensId,
        partIds: c.partIds,
        note: '',
        settings: {
          ...restingSettings(lens.focalMaxMm, lens.openFNumberLong),
          aspect: job.aspect,
        },
      });
      if (isMissing(rig)) throw new Error('missing');
      if (lens.focalMaxMm === lens.focalMinMm) expect(verdictOf(rig).kind).toBe('Clear');
    }
  });

  it('refuses for the reason asked about', () => {
    const reasons = (asked: Partial<Job>) =>
      new Set(candidates(asked).map((c) => c.reason.split(/[\d;:]/)[0]));
    expect(candidates({ pixelsAcross: 99_999 }).every((c) => !c.passes)).toBe(true);
    expect(
      candidates({ framesPerSecond: 5000 }).every(
        (c) => /frames a second/.test(c.reason) || /pixels/.test(c.reason),
      ),
    ).toBe(true);
    expect(
      [...reasons({ stabilised: true })].some((r) => r?.startsWith('The sensor does not move')),
    ).toBe(true);
    expect(candidates({ mostMassG: 10 }).some((c) => c.passes)).toBe(false);
    expect(candidates({ mostPrice: 0 }).some((c) => /costs/.test(c.reason))).toBe(true);
    expect(candidates({ slowestTStop: 0.7 }).some((c) => /^Too slow/.test(c.reason))).toBe(true);
  });

  it('finds more when less is asked', () => {
    const passing = (asked: Partial<Job>) => candidates(asked).filter((c) => c.passes).length;
    expect(passing({ slowestTStop: 5.6 })).toBeGreaterThanOrEqual(passing({}));
    expect(passing({ focalToMm: 120 })).toBeGreaterThanOrEqual(passing({}));
  });
});

describe('one lens, one body, one job', () => {
  const rig = plainRig();
  const plain = partOf('plain adapter', { massG: 100 });
  const kit = (more: Partial<Workspace> = {}): Workspace => ({
    ...EMPTY,
    mounts: [...MOUNTS.values()],
    bodies: [rig.body],
    lenses: [rig.lens],
    parts: [plain],
    ...more,
  });
  const EASY: Job = {
    use: 'video',
    aspect: null,
    pixelsAcross: 1000,
    framesPerSecond: null,
    focalFromMm: 20,
    focalToMm: 200,
    slowestTStop: 4,
    stabilised: false,
    mostMassG: null,
    mostPrice: null,
  };
  const judged = (asked: Partial<Job> = {}, more: Partial<Workspace> = {}): Candidate[] =>
    [...choose(kit(more), { ...EASY, ...asked })].flatMap((f) =>
      'candidate' in f ? [f.candidate] : [],
    );
  const [first] = judged();

  it('passes with the figures of its light, pixels, mass and price', () => {
    expect(first).toEqual({
      bodyId: 'body',
      modeId: 'full',
      lensId: 'lens',
      partIds: ['plain adapter'],
      passes: true,
      reason: 'Clear from 50 to 50 mm equivalent at T2.0.',
      verdict: 'Clear',
      windowMm: { from: 50, to: 50 },
      tStop: 2,
      pixelsAcross: 6000,
      massG: 400,
      price: 100,
    });
    expect(judged()).toHaveLength(1);
  });

  it.each<[string, Partial<Job>, RegExp]>([
    ['too few pixels', { pixelsAcross: 6001 }, /^Only 6000 pixels across; 6001 are wanted\.$/],
    ['too few frames a second', { framesPerSecond: 26 }, /^25 frames a second; 26 are wanted\.$/],
    [
      'too heavy, adapter counted in',
      { mostMassG: 399 },
      /^Lens and parts weigh 400 g; at most 399 g\.$/,
    ],
    ['too dear', { mostPrice: 99 }, /^The lens costs 100; at most 99\.$/],
    ['too wide a view asked for', { focalFromMm: 20, focalToMm: 40 }, /not in the range asked for/],
    ['too long a view asked for', { focalFromMm: 60 }, /not in the range asked for/],
    ['too slow', { slowestTStop: 1.4 }, /^Too slow: T2\.0 at best; T1\.4 is wanted\.$/],
  ])('is turned down where it is %s, and says so', (_, asked, reason) => {
    const [candidate] = judged(asked);
    expect(candidate?.passes).toBe(false);
    expect(candidate?.reason).toMatch(reason);
    expect(candidate?.windowMm).toBeNull();
  });

  it('passes on the very limit of each', () => {
    const limits = {
      pixelsAcross: 6000,
      framesPerSecond: 25,
      mostMassG: 400,
      mostPrice: 100,
      slowestTStop: 2,
    };
    expect(judged({ ...limits, focalFromMm: 50, focalToMm: 50 })[0]?.passes).toBe(true);
  });

  it('what is not known does not speak against it', () => {
    const lens = { ...rig.lens, massG: null, price: null, tStop: null };
    const [candidate] = judged({ mostMassG: 1, mostPrice: 1 }, { lenses: [lens] });
    expect(candidate).toMatchObject({ passes: true, massG: null, price: null, tStop: 2 });
  });

  it('a stabiliser asked for must be there, and its travel counts against the corners', () => {
    const still = { ...rig.body, sensorTravel: null };
    expect(judged({ stabilised: true }, { bodies: [still] })[0]?.reason).toMatch(/no stabiliser/);
    const far = { ...rig.body, sensorTravel: { shape: 'disc' as const, xMm: 20, yMm: 0 } };
    expect(judged({ stabilised: true }, { bodies: [far] })[0]?.passes).toBe(false);
    expect(judged({ stabilised: false }, { bodies: [far] })[0]?.passes).toBe(true);
  });

  it('only modes of the use asked for are judged', () => {
    expect(judged({ use: 'stills' })).toEqual([]);
    const stills = { ...rig.mode, id: 'stills', use: 'stills' as const, framesPerSecond: null };
    const bodies = [{ ...rig.body, modes: [rig.mode, stills] }];
    expect(judged({ use: 'stills' }, { bodies }).map((c) => c.modeId)).toEqual(['stills']);
    expect(judged({ use: 'stills', framesPerSecond: 1 }, { bodies })[0]?.reason).toMatch(
      /^0 frames a second/,
    );
  });

  it('a converter shifts view and light: behind 0.7x 50 mm f/2 is 35 mm f/1.4', () => {
    const reducer = partOf('focal reducer', { id: 'r', factor: 0.7, thicknessMm: 20 });
    const [sample] = rig.lens.halo;
    const small = {
      ...rig.lens,
      halo: [{ ...sample!, front: { edgeRadiusMm: 26, softnessMm: 1 } }],
    };
    const asked = { focalToMm: 40, slowestTStop: 1.4 };
    const found = judged(asked, { lenses: [small], parts: [plain, reducer] });
    const [by] = found.filter((c) => c.partIds[0] === 'r');
    expect(by?.windowMm).toBeNull();
    expect(by?.reason).toMatch(/^Nowhere in the range is it Clear; at best (Clipped|Keyhole)\.$/);
    expect(found.filter((c) => c.partIds[0] === 'plain adapter')[0]?.reason).toMatch(/view/);
    const front = judged({}, { parts: [plain] }).length;
    expect(front).toBe(1);
  });

  it('extension tubes, which give infinity away, are not put between', () => {
    const tube = partOf('extension tube', { id: 'tube', rearMountId: 'slr' });
    expect(judged({}, { parts: [tube, plain] }).map((c) => c.partIds)).toEqual([['plain adapter']]);
  });

  it('the delivered aspect decides the view and the pixels', () => {
    const square = judged({ aspect: 1, focalFromMm: 60, focalToMm: 70 })[0];
    // 24x24 has a crop factor of 43.27/33.94 = 1.275: 50 mm see as 63.7 mm do.
    expect(square).toMatchObject({ passes: true, pixelsAcross: 4000 });
    expect(square?.windowMm?.from).toBeCloseTo(63.74, 2);
  });

  it('the window runs from the first to the last focal length tried that is Clear', () => {
    const [sample] = rig.lens.halo;
    const at = (focalMm: number, edgeRadiusMm: number) => ({
      ...sample!,
      id: `${focalMm}`,
      focalMm,
      front: { edgeRadiusMm, softnessMm: 0.2 },
    });
    const zoom = {
      ...rig.lens,
      focalMinMm: 25,
      focalMaxMm: 100,
      halo: [at(25, 18), at(50, 26), at(100, 26)],
    };
    const [candidate] = judged({}, { lenses: [zoom] });
    expect(candidate?.passes).toBe(true);
    expect(candidate?.windowMm?.to).toBeCloseTo(100, 6);
    expect(candidate?.windowMm?.from).toBeGreaterThan(30);
    expect(candidate?.windowMm?.from).toBeLessThan(60);
    const shorter = judged({ focalToMm: 60 }, { lenses: [zoom] })[0];
    expect(shorter?.windowMm?.to).toBeCloseTo(60, 6);
    const nowhere = judged({ focalToMm: 26 }, { lenses: [zoom] })[0];
    expect(nowhere).toMatchObject({ passes: false, verdict: 'Clipped' });
  });

  it('a zoom that grows slower counts where it is fast enough', () => {
    const slow = {
      ...rig.lens,
      focalMinMm: 25,
      focalMaxMm: 100,
      openFNumberWide: 2,
      openFNumberLong: 8,
    };
    const [candidate] = judged({ slowestTStop: 4 }, { lenses: [slow] });
    expect(candidate?.passes).toBe(true);
    expect(candidate?.windowMm?.to).toBeLessThan(55);
    expect(candidate?.tStop).toBeCloseTo(2, 6);
  });

  it('counts all there is to judge beforehand', () => {
    const found = [...choose(kit({ lenses: [rig.lens, { ...rig.lens, id: 'second' }] }), EASY)];
    expect(found.at(-1)).toEqual({ progress: { judged: 2, total: 2 } });
  });
});
