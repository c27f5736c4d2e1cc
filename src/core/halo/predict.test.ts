import { describe, expect, it } from 'vitest';
import { haloSampleExample } from '../kit/records/haloSample';
import { lensExample, type Lens } from '../kit/records/lens';
import {
  evidenceFor,
  focusScale,
  lensMagnification,
  predictHalo,
  workingMagnification,
} from './predict';
import { priorFor } from './priors';

const at = (focalMm: number, fNumber: number, focusM: number | null = null) => ({
  focalMm,
  fNumber,
  focusM,
});

const unit: Lens = {
  ...lensExample,
  id: 'unit',
  focusing: 'unit',
  pupilMagnification: 1.14,
  focalMinMm: 50,
  focalMaxMm: 50,
};

describe('prediction from samples', () => {
  it('gives a sample back at its own setting', () => {
    const { rims, exitPupilMm } = predictHalo(lensExample, at(18, 1.8));
    expect(rims[0]?.edgeRadiusMm).toBeCloseTo(17.4, 9);
    expect(rims[0]?.softnessMm).toBeCloseTo(3.6, 9);
    expect(rims[1]?.side).toBe('rear');
    expect(exitPupilMm).toBe(62);
  });

  it('shrinks the softness as 1/N and leaves the edge alone when stopping down', () => {
    const open = predictHalo(lensExample, at(18, 2)).rims[0]!;
    const closed = predictHalo(lensExample, at(18, 8)).rims[0]!;
    expect(closed.edgeRadiusMm).toBe(open.edgeRadiusMm);
    expect(closed.softnessMm).toBeCloseTo(open.softnessMm / 4, 9);
  });

  it('grows R 20 to 21.754 at m 0.1 with a pupil magnification of 1.14 when the whole lens moves', () => {
    expect(20 * focusScale(unit, 50, 0.55)).toBeCloseTo(21.754, 3);
    expect(focusScale({ ...unit, focusing: 'internal' }, 50, 0.55)).toBe(1);
  });

  it('never makes a rim softer than its own radius', () => {
    const soft: Lens = {
      ...lensExample,
      halo: [{ ...haloSampleExample, fNumber: 16, front: { edgeRadiusMm: 10, softnessMm: 8 } }],
    };
    const rim = predictHalo(soft, at(18, 0.5)).rims[0]!;
    expect(rim.softnessMm).toBe(rim.edgeRadiusMm);
  });

  it('uses the better evidence where two samples share a focal length', () => {
    const guess = {
      ...haloSampleExample,
      id: 'guess',
      front: { edgeRadiusMm: 30, softnessMm: 3 },
      evidence: { kind: 'estimated' as const, date: '2026-06-01', frames: 0, source: '' },
    };
    const lens: Lens = { ...lensExample, halo: [guess, haloSampleExample] };
    expect(predictHalo(lens, at(18, 1.8)).rims[0]?.edgeRadiusMm).toBeCloseTo(17.4, 9);
    expect(evidenceFor(lens, at(18, 1.8)).sampleIds).toEqual([haloSampleExample.id]);
  });

  it('takes an unseen rear rim as never cutting beside samples that have one', () => {
    const long = { ...haloSampleExample, id: 'long', focalMm: 35, rear: null };
    const lens: Lens = { ...lensExample, halo: [haloSampleExample, long] };
    expect(predictHalo(lens, at(35, 1.8)).rims[1]?.edgeRadiusMm).toBeGreaterThan(40);
  });
});

describe('evidence', () => {
  it('grows less sure outside the samples and says why', () => {
    const inside = evidenceFor(lensExample, at(18, 1.8));
    const outside = evidenceFor(lensExample, at(35, 1.8));
    expect(inside.doubts).toEqual([]);
    expect(outside.edgeSigmaMm).toBeGreaterThan(inside.edgeSigmaMm);
    expect(outside.doubts.join()).toMatch(/no sample as long/);
  });

  it('calls a single measured frame two millimetres unsure four stops away', () => {
    const evidence = { ...haloSampleExample.evidence, frames: 1 };
    const lens: Lens = { ...lensExample, halo: [{ ...haloSampleExample, evidence }] };
    expect(evidenceFor(lens, at(18, 7.2)).edgeSigmaMm).toBeCloseTo(Math.hypot(2, 0.12), 6);
    expect(evidenceFor(lensExample, at(18, 7.2)).edgeSigmaMm).toBeCloseTo(0.12, 6);
    expect(evidenceFor(lens, at(18, 1.8)).edgeSigmaMm).toBeCloseTo(0.12, 6);
  });

  it('doubts close focus with internal focusing', () => {
    const close = evidenceFor(lensExample, at(18, 1.8, 0.3));
    expect(close.doubts.join()).toMatch(/focuses inside/);
  });

  it('scales with the train behind the lens', () => {
    expect(evidenceFor(lensExample, at(18, 1.8), 0.71).edgeSigmaMm).toBeCloseTo(0.12 * 0.71, 9);
  });
});

describe('a lens nobody has measured', () => {
  const bare: Lens = { ...lensExample, id: 'bare', halo: [] };

  it('is estimated from its kind, and the evidence says so', () => {
    const halo = predictHalo(bare, at(18, 2));
    expect(halo.rims[0]?.edgeRadiusMm).toBeCloseTo((1.04 * 28.2066) / 2, 3);
    expect(halo.rims[0]?.softnessMm).toBeCloseTo(0.12 * (halo.rims[0]?.edgeRadiusMm ?? 0), 9);
    expect(evidenceFor(bare, at(18, 2)).kind).toBe('estimated');
  });

  it('expects more of primes than of zooms, of long lenses than of short, of macros most of all', () => {
    const prime = (focal: number): Lens => ({ ...bare, focalMinMm: focal, focalMaxMm: focal });
    const mean = (lens: Lens, focal: number) => priorFor(lens, focal).mean;
    expect(mean(prime(28), 28)).toBeGreaterThan(mean(bare, 18));
    expect(mean(prime(200), 200)).toBeGreaterThan(mean(prime(28), 28));
    expect(mean({ ...prime(28), character: 'macro' }, 28)).toBeGreaterThan(mean(prime(28), 28));
    expect(mean(bare, Math.sqrt(18 * 35))).toBeCloseTo(1.1, 6);
  });
});

describe('between and beside samples', () => {
  type Sample = (typeof lensExample.halo)[number];
  type Told = Omit<Partial<Sample>, 'evidence'> & { evidence?: Partial<Sample['evidence']> };
  const sample = (more: Told): Sample => ({
    ...haloSampleExample,
    rear: null,
    ...more,
    evidence: { ...haloSampleExample.evidence, ...more.evidence },
  });
  const withHalo = (...halo: Sample[]): Lens => ({
    ...lensExample,
    focalMinMm: 20,
    focalMaxMm: 80,
    focusing: 'unit',
    halo,
  });
  const short = sample({ id: 'short', focalMm: 20, edgeSigmaMm: 0.1 });
  const long = sample({ id: 'long', focalMm: 80, edgeSigmaMm: 0.3 });

  it('the newer of two equal samples of one focal length counts', () => {
    const old = sample({ id: 'old', evidence: { date: '2025-01-01' } });
    const newer = sample({ id: 'newer', evidence: { date: '2026-01-01' } });
    for (const lens of [withHalo(old, newer), withHalo(newer, old)])
      expect(evidenceFor(lens, at(18, 1.8)).sampleIds).toEqual(['newer']);
  });

  it('of the same day the one with more frames', () => {
    const few = sample({ id: 'few', evidence: { frames: 2 } });
    const many = sample({ id: 'many', evidence: { frames: 4 } });
    expect(evidenceFor(withHalo(few, many), at(18, 1.8)).sampleIds).toEqual(['many']);
  });

  it('measured beats published beats estimated, however old', () => {
    const kinds = (['estimated', 'published', 'measured'] as const).map((kind, i) =>
      sample({ id: kind, evidence: { kind, date: `202${6 - i}-01-01` } }),
    );
    expect(evidenceFor(withHalo(...kinds), at(18, 1.8)).sampleIds).toEqual(['measured']);
    expect(evidenceFor(withHalo(...kinds.slice(0, 2)), at(18, 1.8)).sampleIds).toEqual([
      'published',
    ]);
  });

  it('focal lengths within a thousandth are one mark on the ring', () => {
    const near = sample({ id: 'near', focalMm: 20.01, evidence: { date: '2020-01-01' } });
    const apart = sample({ id: 'apart', focalMm: 20.1, evidence: { date: '2020-01-01' } });
    expect(evidenceFor(withHalo(short, near), at(20.01, 1.8)).sampleIds).toEqual(['short']);
    expect(evidenceFor(withHalo(short, apart), at(20.1, 1.8)).sampleIds).toEqual(['apart']);
  });

  it('what lies between two samples is only as good as the worse of them', () => {
    const guess = sample({ id: 'guess', focalMm: 80, evidence: { kind: 'estimated', frames: 0 } });
    expect(evidenceFor(withHalo(short, guess), at(40, 1.8)).kind).toBe('estimated');
    expect(evidenceFor(withHalo(short, guess), at(20, 1.8)).kind).toBe('measured');
    expect(evidenceFor(withHalo(short, long), at(40, 1.8)).kind).toBe('measured');
  });

  it('rests on both, their frames together and the later date', () => {
    const early = sample({ ...short, evidence: { date: '2025-03-01', frames: 2 } });
    const late = sample({ ...long, evidence: { date: '2026-03-01', frames: 3 } });
    expect(evidenceFor(withHalo(early, late), at(40, 1.8))).toMatchObject({
      sampleIds: ['short', 'long'],
      frames: 5,
      date: '2026-03-01',
    });
    expect(evidenceFor(withHalo(early, late), at(80, 1.8)).sampleIds).toEqual(['long']);
    expect(evidenceFor(withHalo(early, late), at(20, 1.8)).sampleIds).toEqual(['short']);
  });

  it('is known between as the samples are, running from one to the other', () => {
    const lens = withHalo(short, long);
    expect(evidenceFor(lens, at(20, 1.8)).edgeSigmaMm).toBeCloseTo(0.1, 9);
    expect(evidenceFor(lens, at(80, 1.8)).edgeSigmaMm).toBeCloseTo(0.3, 9);
    expect(evidenceFor(lens, at(40, 1.8)).edgeSigmaMm).toBeCloseTo(0.2, 9);
  });

  it('an octave outside the samples it is unsure by 6 % of the edge more, told as short or long', () => {
    const lens = { ...withHalo(short, long), focalMinMm: 10, focalMaxMm: 160 };
    const edge = predictHalo(lens, at(160, 1.8)).rims[0]!.edgeRadiusMm;
    expect(evidenceFor(lens, at(160, 1.8)).edgeSigmaMm).toBeCloseTo(
      Math.hypot(0.3, 0.06 * edge),
      9,
    );
    expect(evidenceFor(lens, at(160, 1.8)).doubts).toEqual([
      'no sample as long as this; the last one is held',
    ]);
    expect(evidenceFor(lens, at(10, 1.8)).edgeSigmaMm).toBeCloseTo(Math.hypot(0.1, 0.06 * edge), 9);
    expect(evidenceFor(lens, at(10, 1.8)).doubts).toEqual([
      'no sample as short as this; the last one is held',
    ]);
    expect(evidenceFor(lens, at(80.5, 1.8)).doubts).toEqual([]);
  });

  it('close up: sure where the whole lens moves, unsure by half of m where groups move inside', () => {
    const one = withHalo(short);
    const m = 20 / (400 - 20);
    expect(evidenceFor(one, at(20, 1.8, 0.4)).doubts).toEqual([]);
    const inside = evidenceFor({ ...one, focusing: 'internal' }, at(20, 1.8, 0.4));
    expect(inside.edgeSigmaMm).toBeCloseTo(Math.hypot(0.1, 0.5 * m * 17.4), 9);
    expect(inside.doubts[0]).toMatch(/^focuses inside/);
    const unknown = evidenceFor({ ...one, focusing: 'unknown' }, at(20, 1.8, 0.4));
    expect(unknown.edgeSigmaMm).toBe(inside.edgeSigmaMm);
    expect(unknown.doubts[0]).toMatch(/not known; taken as moving whole/);
    expect(evidenceFor({ ...one, focusing: 'unknown' }, at(20, 1.8, 2.1)).doubts).toEqual([]);
  });

  it('one frame says all of its own aperture, less the farther one goes from it', () => {
    const lens = withHalo(sample({ ...short, evidence: { frames: 1 } }));
    const sigma = (fNumber: number) => evidenceFor(lens, at(20, fNumber)).edgeSigmaMm;
    expect(sigma(1.8 * 2 ** 0.24)).toBeCloseTo(0.1, 9);
    expect(sigma(3.6)).toBeCloseTo(Math.hypot(0.1, 1), 9);
    expect(sigma(0.9)).toBeCloseTo(Math.hypot(0.1, 1), 9);
    expect(sigma(14.4)).toBeCloseTo(Math.hypot(0.1, 2), 9);
    expect(evidenceFor(lens, at(20, 3.6)).doubts.join()).toMatch(/one aperture only/);
  });

  it('a sample taken close up is scaled back to infinity, one with a pupil elsewhere lends it', () => {
    const close = sample({
      id: 'close',
      focalMm: 20,
      focusM: 0.22,
      front: { edgeRadiusMm: 22, softnessMm: 2 },
    });
    const lens: Lens = { ...withHalo(close), pupilMagnification: 1, focusing: 'unit' };
    // m = 20/200 = 0.1: the halo was a tenth larger than at infinity.
    expect(predictHalo(lens, at(20, 1.8)).rims[0]?.edgeRadiusMm).toBeCloseTo(20, 9);
    expect(predictHalo(lens, at(20, 1.8, 0.22)).rims[0]?.edgeRadiusMm).toBeCloseTo(22, 9);
    const lending = withHalo({ ...short, exitPupilMm: null }, { ...long, exitPupilMm: 70 });
    expect(predictHalo(lending, at(20, 1.8)).exitPupilMm).toBe(70);
    const none = withHalo({ ...short, exitPupilMm: null });
    expect(predictHalo(none, at(20, 1.8)).exitPupilMm).toBeNull();
  });

  it('the cone closes with extension and with focus, by the pupil', () => {
    const lens: Lens = { ...withHalo(short), pupilMagnification: 2 };
    const cone = (extensionMm: number) =>
      predictHalo(lens, { ...at(20, 2), extensionMm }).coneTangent;
    expect(cone(0)).toBeCloseTo(1 / 4, 9);
    // m = 10/20 by extension alone: N(1 + 0.5/2) = 2.5.
    expect(cone(10)).toBeCloseTo(1 / 5, 9);
    const plain: Lens = { ...lens, pupilMagnification: null };
    expect(predictHalo(plain, { ...at(20, 2), extensionMm: 10 }).coneTangent).toBeCloseTo(1 / 6, 9);
  });

  it('magnification is held at what the lens can do, life size where it does not say', () => {
    const lens = withHalo(short);
    expect(lensMagnification({ ...lens, maxMagnification: 0.2 }, 20, 0.05)).toBe(0.2);
    expect(lensMagnification({ ...lens, maxMagnification: null }, 20, 0.03)).toBe(1);
    expect(lensMagnification(lens, 20, null)).toBe(0);
    expect(workingMagnification(lens, { ...at(20, 2), extensionMm: 5 })).toBeCloseTo(0.25, 9);
    expect(workingMagnification(lens, at(20, 2, 0.22))).toBeCloseTo(0.1, 9);
  });
});

describe('what is usual of a kind', () => {
  const bare: Lens = { ...lensExample, halo: [], designFormat: { widthMm: 36, heightMm: 24 } };
  const prime = (focal: number, more: Partial<Lens> = {}): Lens => ({
    ...bare,
    focalMinMm: focal,
    focalMaxMm: focal,
    ...more,
  });
  const kind = (lens: Lens, focal: number) => priorFor(lens, focal).kind;

  it('is told by character first, then zoom or prime, then focal length over the diagonal', () => {
    expect(kind(prime(28), 28)).toBe('short prime');
    expect(kind(prime(50), 50)).toBe('normal prime');
    expect(kind(prime(100), 100)).toBe('long prime');
    expect(kind(prime(28, { character: 'cine' }), 28)).toBe('cine prime');
    expect(kind(prime(100, { character: 'macro' }), 100)).toBe('macro');
    expect(kind({ ...bare, character: 'anamorphic' }, 20)).toBe('anamorphic');
    expect(kind({ ...bare, character: 'cine' }, 18)).toBe('zoom, wide end');
    expect(kind(bare, 25)).toBe('zoom, middle');
    expect(kind(bare, 35)).toBe('zoom, long end');
  });

  it('runs without a step along a zoom and is held at its ends', () => {
    const mean = (focal: number) => priorFor(bare, focal).mean;
    expect(mean(10)).toBe(mean(18));
    expect(mean(60)).toBe(mean(35));
    for (let f = 18; f < 35; f *= 1.01)
      expect(Math.abs(mean(f * 1.01) - mean(f))).toBeLessThan(0.003);
    const middle = Math.sqrt(18 * 35);
    expect(mean(Math.sqrt(18 * middle))).toBeCloseTo((mean(18) + mean(middle)) / 2, 9);
    expect(mean(Math.sqrt(35 * middle))).toBeCloseTo((mean(35) + mean(middle)) / 2, 9);
  });

  it('is unsure by its scatter, scaled to the sensor behind a train, and says what it took', () => {
    const lens = prime(50);
    const evidence = evidenceFor(lens, at(50, 2), 0.7);
    expect(evidence.edgeSigmaMm).toBeCloseTo(((priorFor(lens, 50).sigma * 43.2666) / 2) * 0.7, 4);
    expect(evidence).toMatchObject({ sampleIds: [], frames: 0, date: '' });
    expect(evidence.doubts).toEqual([
      'no halo sample: what is usual for a normal prime of its design format',
    ]);
  });

  it('grows close up as any halo does', () => {
    const lens = prime(50, { focusing: 'unit', pupilMagnification: 1, maxMagnification: null });
    const edge = (focusM: number | null) =>
      predictHalo(lens, at(50, 2, focusM)).rims[0]!.edgeRadiusMm;
    expect(edge(0.55) / edge(null)).toBeCloseTo(1.1, 9);
  });
});
