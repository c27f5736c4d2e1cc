import { describe, expect, it } from 'vitest';
import { type HaloSample, lensExample, type Lens } from '../kit/records';
import { sampleWith, type SampleTold } from '../../../tests/support/samples';
import { evidenceFor } from './evidence';
import { lensAt } from './focus';
import { priorFor } from './priors';

const sample = (more: SampleTold = {}): HaloSample =>
  sampleWith({ focalMm: 50, fNumber: 4, ...more });
const lensWith = (...halo: HaloSample[]): Lens => ({
  ...lensExample,
  focalMinMm: 50,
  focalMaxMm: 50,
  openFNumberWide: 2,
  openFNumberLong: 2,
  focusing: 'unit',
  maxMagnification: null,
  pupilMagnification: 1.2,
  halo,
});
const at = (fNumber = 4, focusM: number | null = null) => ({ focalMm: 50, fNumber, focusM });
const of = (more: SampleTold, fNumber = 4) =>
  evidenceFor(lensAt(lensWith(sample(more)), at(fNumber)));

describe('how unsure a halo is, by what it rests on', () => {
  // The figures are those of docs/optics.md, "Risk".
  it('two frames: softness to 7 %, falloff to 8 %, most errors small', () => {
    expect(of({})).toMatchObject({
      kind: 'measured',
      softnessSigma: 0.07,
      falloffSigma: 0.08,
      unlikeShare: 0,
      isSideUnknown: false,
      errors: 'long-tailed',
    });
  });

  it('one frame: falloff to 25 %, the softness of apertures 0.3 away in 1/N to 20 % more', () => {
    const one = { evidence: { frames: 1 } };
    expect(of(one)).toMatchObject({ softnessSigma: 0.07, falloffSigma: 0.25 });
    expect(of(one, 10).softnessSigma).toBeCloseTo(Math.hypot(0.07, 0.1), 9);
    expect(of(one, 2.5).softnessSigma).toBeCloseTo(Math.hypot(0.07, 0.1), 9);
    expect(of(one, 1.6).softnessSigma).toBeCloseTo(Math.hypot(0.07, 0.2), 9);
    expect(of(one, 1).softnessSigma).toBeCloseTo(Math.hypot(0.07, 0.2), 9);
  });

  it('a published figure: 25 and 30 %, errors normal, one in a hundred unlike it', () => {
    const published = { evidence: { kind: 'published', frames: 0 } } as const;
    expect(of(published)).toMatchObject({
      kind: 'published',
      softnessSigma: 0.25,
      falloffSigma: 0.3,
      unlikeShare: 0.01,
      errors: 'normal',
    });
  });

  it('an estimate told by hand is as unsure as that; without an edge in its frames falloff is measured', () => {
    const byHand = { evidence: { kind: 'estimated', frames: 0 } } as const;
    expect(of(byHand)).toMatchObject({ softnessSigma: 0.35, falloffSigma: 0.5, errors: 'normal' });
    const unseen = { evidence: { kind: 'estimated', frames: 1 } } as const;
    expect(of(unseen)).toMatchObject({
      softnessSigma: 0.35,
      falloffSigma: 0.08,
      unlikeShare: 0.01,
      errors: 'long-tailed',
    });
    expect(of(unseen).doubts.join()).toMatch(/no edge was seen in its frames/);
    expect(of(byHand).doubts.join()).not.toMatch(/no edge/);
  });

  it('without an exit pupil falloff scatters as its kind does, and says so', () => {
    const lens = lensWith(sample({ exitPupilMm: null }));
    const evidence = evidenceFor(lensAt(lens, at()));
    expect(evidence.falloffSigma).toBeCloseTo(priorFor(lens, 50).sigma.falloff, 9);
    expect(evidence.doubts.join()).toMatch(/its exit pupil is not known/);
    // What rests on frames errs as frames do, wide open too.
    expect(evidence.errors).toBe('long-tailed');
  });

  it('a single rim stands on a side nobody knows', () => {
    expect(of({ rear: null }).isSideUnknown).toBe(true);
    expect(of({}).isSideUnknown).toBe(false);
  });

  it('nothing measured: as its kind scatters, errors normal, sides as the kind has them', () => {
    const lens = lensWith();
    const { sigma } = priorFor(lens, 50);
    expect(evidenceFor(lensAt(lens, at()))).toMatchObject({
      kind: 'estimated',
      softnessSigma: sigma.softness,
      falloffSigma: sigma.falloff,
      isSideUnknown: false,
      errors: 'normal',
      frames: 0,
      date: '',
    });
  });

  it('the date is that of the newest sample behind it', () => {
    const halo = [
      sample({ id: 'a', focalMm: 40, evidence: { date: '2026-05-12' } }),
      sample({ id: 'b', focalMm: 60, evidence: { date: '2025-01-02' } }),
    ];
    const lens = { ...lensWith(...halo), focalMinMm: 40, focalMaxMm: 60 };
    expect(evidenceFor(lensAt(lens, at())).date).toBe('2026-05-12');
    expect(evidenceFor(lensAt({ ...lens, halo: [...halo].reverse() }, at())).date).toBe(
      '2026-05-12',
    );
  });
});

describe('what several samples leave unsure', () => {
  const one = { frames: 1 } as const;
  const both = (a: SampleTold, b: SampleTold, fNumber = 4) =>
    evidenceFor(
      lensAt(lensWith(sample({ id: 'a', ...a }), sample({ id: 'b', ...b })), at(fNumber)),
    );
  /** A zoom with a sample at 40 and one at 60 mm; 49 mm lies about half way. */
  const ends = (a: SampleTold, b: SampleTold, focalMm = 49) => {
    const halo = [sample({ id: 'a', focalMm: 40, ...a }), sample({ id: 'b', focalMm: 60, ...b })];
    const lens: Lens = { ...lensWith(...halo), focalMinMm: 30, focalMaxMm: 90 };
    return evidenceFor(lensAt(lens, { ...at(), focalMm }));
  };

  it('any single rim leaves the side unknown, any that no frame told makes errors normal', () => {
    expect(ends({ rear: null }, {}).isSideUnknown).toBe(true);
    expect(ends({}, { rear: null }).isSideUnknown).toBe(true);
    expect(ends({}, {}).isSideUnknown).toBe(false);
    const published = { evidence: { kind: 'published', frames: 0 } } as const;
    expect(ends(published, {}).errors).toBe('normal');
    expect(ends({}, {}).errors).toBe('long-tailed');
  });

  it('any without an exit pupil or without an edge is said', () => {
    expect(ends({ exitPupilMm: null }, {}).doubts.join()).toMatch(/exit pupil is not known/);
    const unseen = { evidence: { kind: 'estimated', frames: 1 } } as const;
    expect(ends({}, unseen).doubts.join()).toMatch(/no edge was seen/);
  });

  it('a single frame is lonely half a stop from its aperture, not nearer, and not beside another', () => {
    const lonely = /measured at one aperture only/;
    const alone = (fNumber: number) => of({ fNumber: 4, evidence: one }, fNumber).doubts.join();
    expect(alone(4)).not.toMatch(lonely);
    expect(alone(4 * 2 ** 0.24)).not.toMatch(lonely);
    expect(alone(4 * 2 ** 0.26)).toMatch(lonely);
    const [wide, closed] = [
      { fNumber: 2, evidence: one },
      { fNumber: 8, evidence: one },
    ];
    expect(both(wide, closed, 4).doubts.join()).not.toMatch(lonely);
    expect(of({ fNumber: 4 }, 16).doubts.join()).not.toMatch(lonely);
  });

  it('two frames speak of all apertures, also where they show one rim; a published pair of rims does too', () => {
    const away = (more: SampleTold) =>
      of({ fNumber: 4, edgeSigmaMm: 0.1, ...more }, 1.6).edgeSigmaMm;
    expect(away({ rear: null })).toBeCloseTo(0.1, 9);
    const published = (rear: SampleTold['rear']) =>
      away({ rear, evidence: { kind: 'published', frames: 0 } });
    const pair = published({ edgeRadiusMm: 30, softnessMm: 3 });
    // 2 mm on 36x24, here on 23.5x15.6, far from the aperture the one figure was told at.
    const share = Math.hypot(23.5, 15.6) / Math.hypot(36, 24);
    expect(published(null) ** 2 - pair ** 2).toBeCloseTo((2 * share) ** 2, 6);
  });

  it('beyond the first and the last sample it says so, and is held, as unsure as it is far', () => {
    const plain = ends({ edgeSigmaMm: 0.1 }, { edgeSigmaMm: 0.1 }, 40);
    expect(plain.doubts.join()).not.toMatch(/no sample as/);
    const short = ends({}, {}, 30);
    expect(short.doubts.join()).toMatch(/no sample as short/);
    expect(short.sampleIds).toEqual(['a']);
    const long = ends({}, {}, 90);
    expect(long.doubts.join()).toMatch(/no sample as long/);
    expect(long.sampleIds).toEqual(['b']);
    expect(ends({}, {}, 60.6).doubts.join()).not.toMatch(/no sample as/);
    expect(ends({}, {}).sampleIds).toEqual(['a', 'b']);
  });
});
