import { describe, expect, it } from 'vitest';
import { sampleWith, type SampleTold } from '../../../tests/support/samples';
import { haloSampleExample, type HaloSample, lensExample, type Lens } from '../kit/records';
import { evidenceFor } from './evidence';
import { lensAt, lensMagnification } from './focus';
import { predictHalo } from './predict';
import { priorFor, usualExitPupilMm } from './priors';
import { pupilMagnification } from './pupil';

/** Engraved distance, m, at which a lens magnifies `m`. */
const engraved = (focalMm: number, m: number): number => (focalMm * (2 + m + 1 / m)) / 1000;

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
  maxMagnification: null,
};

describe('prediction from samples', () => {
  it('gives a sample back at its own setting', () => {
    const { rims, exitPupilMm } = predictHalo(lensAt(lensExample, at(18, 1.8)));
    expect(rims[0]?.edgeRadiusMm).toBeCloseTo(17.4, 9);
    expect(rims[0]?.softnessMm).toBeCloseTo(3.6, 9);
    expect(rims[1]?.side).toBe('rear');
    expect(exitPupilMm).toBe(62);
  });

  it('shrinks the softness as 1/N and leaves the edge alone when stopping down', () => {
    const open = predictHalo(lensAt(lensExample, at(18, 2))).rims[0]!;
    const closed = predictHalo(lensAt(lensExample, at(18, 8))).rims[0]!;
    expect(closed.edgeRadiusMm).toBe(open.edgeRadiusMm);
    expect(closed.softnessMm).toBeCloseTo(open.softnessMm / 4, 9);
  });

  it('grows R 20 to 21.754 at m 0.1 with a pupil magnification of 1.14 when the whole lens moves', () => {
    const close = at(50, 2, engraved(50, 0.1));
    expect(20 * lensAt(unit, close).edgeScale).toBeCloseTo(21.754, 3);
    expect(lensAt({ ...unit, focusing: 'internal' }, close).edgeScale).toBe(1);
  });

  it('never makes a rim softer than its own radius', () => {
    const soft: Lens = {
      ...lensExample,
      halo: [{ ...haloSampleExample, fNumber: 16, front: { edgeRadiusMm: 10, softnessMm: 8 } }],
    };
    const rim = predictHalo(lensAt(soft, at(18, 0.5))).rims[0]!;
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
    expect(predictHalo(lensAt(lens, at(18, 1.8))).rims[0]?.edgeRadiusMm).toBeCloseTo(17.4, 9);
    expect(evidenceFor(lensAt(lens, at(18, 1.8))).sampleIds).toEqual([haloSampleExample.id]);
  });

  it('takes an unseen rear rim as never cutting beside samples that have one', () => {
    const long = { ...haloSampleExample, id: 'long', focalMm: 35, rear: null };
    const lens: Lens = { ...lensExample, halo: [haloSampleExample, long] };
    expect(predictHalo(lensAt(lens, at(35, 1.8))).rims[1]?.edgeRadiusMm).toBeGreaterThan(40);
  });
});

describe('evidence', () => {
  it('grows less sure outside the samples and says why', () => {
    const inside = evidenceFor(lensAt(lensExample, at(18, 1.8)));
    const outside = evidenceFor(lensAt(lensExample, at(35, 1.8)));
    expect(inside.doubts).toEqual([]);
    expect(outside.edgeSigmaMm).toBeGreaterThan(inside.edgeSigmaMm);
    expect(outside.doubts.join()).toMatch(/no sample as long/);
  });

  it('calls a single measured frame three millimetres on 36x24 unsure four stops away', () => {
    const evidence = { ...haloSampleExample.evidence, frames: 1 };
    const lens: Lens = { ...lensExample, halo: [{ ...haloSampleExample, evidence }] };
    expect(evidenceFor(lensAt(lens, at(18, 7.2))).edgeSigmaMm).toBeCloseTo(
      Math.hypot((3 * 28.2066) / 43.2666, 0.12),
      4,
    );
    expect(evidenceFor(lensAt(lensExample, at(18, 7.2))).edgeSigmaMm).toBeCloseTo(0.12, 6);
    expect(evidenceFor(lensAt(lens, at(18, 1.8))).edgeSigmaMm).toBeCloseTo(0.12, 6);
  });

  it('doubts close focus with internal focusing', () => {
    const close = evidenceFor(lensAt(lensExample, at(18, 1.8, 0.3)));
    expect(close.doubts.join()).toMatch(/focuses inside/);
  });

  it('scales with the train behind the lens', () => {
    expect(evidenceFor(lensAt(lensExample, at(18, 1.8)), 0.71).edgeSigmaMm).toBeCloseTo(
      0.12 * 0.71,
      9,
    );
  });
});

describe('between and beside samples', () => {
  const sample = (more: SampleTold): HaloSample => sampleWith({ rear: null, ...more });
  const withHalo = (...halo: HaloSample[]): Lens => ({
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
      expect(evidenceFor(lensAt(lens, at(18, 1.8))).sampleIds).toEqual(['newer']);
  });

  it('of the same day the one with more frames', () => {
    const few = sample({ id: 'few', evidence: { frames: 2 } });
    const many = sample({ id: 'many', evidence: { frames: 4 } });
    expect(evidenceFor(lensAt(withHalo(few, many), at(18, 1.8))).sampleIds).toEqual(['many']);
  });

  it('measured beats published beats estimated, however old', () => {
    const kinds = (['estimated', 'published', 'measured'] as const).map((kind, i) =>
      sample({ id: kind, evidence: { kind, date: `202${6 - i}-01-01` } }),
    );
    expect(evidenceFor(lensAt(withHalo(...kinds), at(18, 1.8))).sampleIds).toEqual(['measured']);
    expect(evidenceFor(lensAt(withHalo(...kinds.slice(0, 2)), at(18, 1.8))).sampleIds).toEqual([
      'published',
    ]);
  });

  it('focal lengths within a thousandth are one mark on the ring', () => {
    const near = sample({ id: 'near', focalMm: 20.01, evidence: { date: '2020-01-01' } });
    const apart = sample({ id: 'apart', focalMm: 20.1, evidence: { date: '2020-01-01' } });
    expect(evidenceFor(lensAt(withHalo(short, near), at(20.01, 1.8))).sampleIds).toEqual(['short']);
    expect(evidenceFor(lensAt(withHalo(short, apart), at(20.1, 1.8))).sampleIds).toEqual(['apart']);
  });

  it('what lies between two samples is only as good as the worse of them', () => {
    const guess = sample({ id: 'guess', focalMm: 80, evidence: { kind: 'estimated', frames: 0 } });
    expect(evidenceFor(lensAt(withHalo(short, guess), at(40, 1.8))).kind).toBe('estimated');
    expect(evidenceFor(lensAt(withHalo(short, guess), at(20, 1.8))).kind).toBe('measured');
    expect(evidenceFor(lensAt(withHalo(short, long), at(40, 1.8))).kind).toBe('measured');
  });

  it('rests on both, their frames together and the later date', () => {
    const early = sample({ ...short, evidence: { date: '2025-03-01', frames: 2 } });
    const late = sample({ ...long, evidence: { date: '2026-03-01', frames: 3 } });
    expect(evidenceFor(lensAt(withHalo(early, late), at(40, 1.8)))).toMatchObject({
      sampleIds: ['short', 'long'],
      frames: 5,
      date: '2026-03-01',
    });
    expect(evidenceFor(lensAt(withHalo(early, late), at(80, 1.8))).sampleIds).toEqual(['long']);
    expect(evidenceFor(lensAt(withHalo(early, late), at(20, 1.8))).sampleIds).toEqual(['short']);
  });

  it('is known at the samples as they are, less between the farther apart they stand', () => {
    const lens = withHalo(short, long);
    expect(evidenceFor(lensAt(lens, at(20, 1.8))).edgeSigmaMm).toBeCloseTo(0.1, 9);
    expect(evidenceFor(lensAt(lens, at(80, 1.8))).edgeSigmaMm).toBeCloseTo(0.3, 9);
    // Half way the mean of the variances, and 2.5 % of the edge for each of the two octaves.
    const between = evidenceFor(lensAt(lens, at(40, 1.8))).edgeSigmaMm;
    expect(between).toBeCloseTo(Math.hypot(0.1 / Math.SQRT2, 0.3 / Math.SQRT2, 0.05 * 17.4), 9);
    for (let f = 20; f < 80; f *= 1.01) {
      const [here, next] = [f, f * 1.01].map(
        (v) => evidenceFor(lensAt(lens, at(v, 1.8))).edgeSigmaMm,
      );
      expect(Math.abs(next! - here!)).toBeLessThan(0.1);
    }
  });

  it('an octave outside the samples it is unsure by 6 % of the edge more, told as short or long', () => {
    const lens = { ...withHalo(short, long), focalMinMm: 10, focalMaxMm: 160 };
    const edge = predictHalo(lensAt(lens, at(160, 1.8))).rims[0]!.edgeRadiusMm;
    expect(evidenceFor(lensAt(lens, at(160, 1.8))).edgeSigmaMm).toBeCloseTo(
      Math.hypot(0.3, 0.06 * edge),
      9,
    );
    expect(evidenceFor(lensAt(lens, at(160, 1.8))).doubts).toEqual([
      'no sample as long as this; the last one is held',
    ]);
    expect(evidenceFor(lensAt(lens, at(10, 1.8))).edgeSigmaMm).toBeCloseTo(
      Math.hypot(0.1, 0.06 * edge),
      9,
    );
    expect(evidenceFor(lensAt(lens, at(10, 1.8))).doubts).toEqual([
      'no sample as short as this; the last one is held',
    ]);
    expect(evidenceFor(lensAt(lens, at(80.5, 1.8))).doubts).toEqual([]);
  });

  it('close up: sure where the whole lens moves, unsure by half of m where groups move inside', () => {
    const one = withHalo(short);
    const m = 0.05;
    const close = at(20, 1.8, engraved(20, m));
    expect(evidenceFor(lensAt(one, close)).doubts).toEqual([]);
    const inside = evidenceFor(lensAt({ ...one, focusing: 'internal' }, close));
    expect(inside.edgeSigmaMm).toBeCloseTo(Math.hypot(0.1, 0.5 * m * 17.4, 0.12 * m * 17.4), 9);
    expect(inside.doubts[0]).toMatch(/^focuses inside/);
    const unknown = evidenceFor(lensAt({ ...one, focusing: 'unknown' }, close));
    expect(unknown.edgeSigmaMm).toBeGreaterThan(inside.edgeSigmaMm);
    expect(unknown.doubts[0]).toMatch(/not known; taken as moving whole/);
    expect(evidenceFor(lensAt({ ...one, focusing: 'unknown' }, at(20, 1.8, 2.1))).doubts).toEqual(
      [],
    );
  });

  it('one frame says all of its own aperture, less the farther one goes from it', () => {
    const lens = withHalo(sample({ ...short, evidence: { frames: 1 } }));
    const sigma = (fNumber: number) => evidenceFor(lensAt(lens, at(20, fNumber))).edgeSigmaMm;
    const whole = (3 * 28.2066) / 43.2666;
    expect(sigma(1.8)).toBeCloseTo(0.1, 9);
    // In full where 1/N differs by 0.3, half that at half.
    const half = [1 / (1 / 1.8 - 0.15), 1 / (1 / 1.8 + 0.15)] as const;
    half.forEach((n) => expect(sigma(n)).toBeCloseTo(Math.hypot(0.1, whole / 2), 4));
    expect(sigma(1 / (1 / 1.8 - 0.3))).toBeCloseTo(Math.hypot(0.1, whole), 4);
    expect(sigma(14.4)).toBeCloseTo(Math.hypot(0.1, whole), 4);
    expect(evidenceFor(lensAt(lens, at(20, 3.6))).doubts.join()).toMatch(/one aperture only/);
  });

  it('a sample taken close up is scaled back to infinity', () => {
    const close = sample({
      id: 'close',
      focalMm: 20,
      focusM: engraved(20, 0.1),
      front: { edgeRadiusMm: 22, softnessMm: 2 },
    });
    const lens: Lens = { ...withHalo(close), pupilMagnification: 1, focusing: 'unit' };
    // m = 20/200 = 0.1: the halo was a tenth larger than at infinity.
    expect(predictHalo(lensAt(lens, at(20, 1.8))).rims[0]?.edgeRadiusMm).toBeCloseTo(20, 9);
    expect(
      predictHalo(lensAt(lens, at(20, 1.8, engraved(20, 0.1)))).rims[0]?.edgeRadiusMm,
    ).toBeCloseTo(22, 9);
  });

  it('one that tells no exit pupil gets that of its kind, as unsure, never none', () => {
    const lens = withHalo({ ...short, exitPupilMm: null }, long);
    const usual = priorFor(lens, 20);
    expect(predictHalo(lensAt(lens, at(20, 1.8))).exitPupilMm).toBeCloseTo(
      usual.exitPupil * 28.2066,
      3,
    );
    const evidence = evidenceFor(lensAt(lens, at(20, 1.8)));
    expect(evidence.falloffSigma).toBeCloseTo(usual.sigma.falloff, 9);
    expect(evidence.doubts.join()).toMatch(/exit pupil is not known/);
    expect(evidenceFor(lensAt(lens, at(80, 1.8))).falloffSigma).toBeLessThan(0.16);
  });

  it('frames of single apertures each speak for their own, straight in stops between', () => {
    const one = (id: string, fNumber: number, edgeRadiusMm: number): HaloSample =>
      sample({
        id,
        focalMm: 20,
        fNumber,
        front: { edgeRadiusMm, softnessMm: 5.6 / fNumber },
        evidence: { frames: 1 },
      });
    const lens = withHalo(one('open', 2, 18), one('closed', 8, 16));
    const edge = (fNumber: number) =>
      predictHalo(lensAt(lens, at(20, fNumber))).rims[0]?.edgeRadiusMm;
    expect(edge(2)).toBeCloseTo(18, 9);
    expect(edge(8)).toBeCloseTo(16, 9);
    expect(edge(4)).toBeCloseTo(17, 9);
    expect(edge(16)).toBeCloseTo(16, 9);
    expect(evidenceFor(lensAt(lens, at(20, 2))).sampleIds).toEqual(['open']);
    expect(evidenceFor(lensAt(lens, at(20, 4))).sampleIds).toEqual(['open', 'closed']);
    const alone = withHalo(one('open', 2, 18));
    expect(evidenceFor(lensAt(lens, at(20, 8))).edgeSigmaMm).toBeLessThan(
      evidenceFor(lensAt(alone, at(20, 8))).edgeSigmaMm,
    );
    // Frames of several apertures measured together speak for all.
    const both = sample({ id: 'both', focalMm: 20, evidence: { frames: 2 } });
    expect(evidenceFor(lensAt(withHalo(one('open', 2, 18), both), at(20, 4))).sampleIds).toEqual([
      'both',
    ]);
  });

  it('what was seen close up counts close up, and leaves infinity alone', () => {
    const focusM = engraved(20, 0.2);
    const close = sample({
      id: 'close',
      focalMm: 20,
      focusM,
      front: { edgeRadiusMm: 20, softnessMm: 2 },
    });
    const lens: Lens = { ...withHalo(short, close), pupilMagnification: 1, focusing: 'internal' };
    const edge = (m: number) =>
      predictHalo(lensAt(lens, at(20, 1.8, m === 0 ? null : engraved(20, m)))).rims[0]
        ?.edgeRadiusMm;
    expect(edge(0)).toBeCloseTo(17.4, 9);
    expect(edge(0.2)).toBeCloseTo(20, 6);
    expect(edge(0.1)).toBeCloseTo(18.7, 6);
    const sigma = (m: number) =>
      evidenceFor(lensAt(lens, at(20, 1.8, engraved(20, m)))).edgeSigmaMm;
    expect(sigma(0.2)).toBeLessThan(sigma(0.1));
  });

  it('the cone closes with extension and with focus, by the pupil', () => {
    const lens: Lens = { ...withHalo(short), pupilMagnification: 2 };
    const cone = (extensionMm: number) =>
      predictHalo(lensAt(lens, { ...at(20, 2), extensionMm })).coneTangent;
    expect(cone(0)).toBeCloseTo(1 / 4, 9);
    // m = 10/20 by extension alone: N(1 + 0.5/2) = 2.5.
    expect(cone(10)).toBeCloseTo(1 / 5, 9);
  });

  it('a pupil magnification nobody told is the exit pupil over the focal length', () => {
    const lens = (exitPupilMm: number | null, focusM: number | null = null): Lens => ({
      ...withHalo(sample({ ...short, exitPupilMm, focusM })),
      pupilMagnification: null,
      maxMagnification: null,
    });
    // L = f (P + m): at infinity 30 mm of a 20 mm are P 1.5; at m = 0.1 they are 1.4.
    expect(pupilMagnification(lens(30), 20)).toBeCloseTo(1.5, 9);
    expect(pupilMagnification(lens(30, engraved(20, 0.1)), 20)).toBeCloseTo(1.4, 6);
    expect(pupilMagnification(lens(10_000), 20)).toBe(10);
    const unmeasured = lens(null);
    expect(pupilMagnification(unmeasured, 20)).toBeCloseTo(
      usualExitPupilMm(unmeasured, 20) / 20,
      9,
    );
    // N (1 + m/P) = 2 (1 + 0.5/1.5) at 10 mm of extension.
    const { coneTangent } = predictHalo(lensAt(lens(30), { ...at(20, 2), extensionMm: 10 }));
    expect(coneTangent).toBeCloseTo(1 / (2 * 2 * (1 + 0.5 / 1.5)), 9);
    expect(pupilMagnification({ ...lens(30), pupilMagnification: 2 }, 20)).toBe(2);
  });

  it('magnification is held at what the lens can do, life size where it does not say', () => {
    const lens = withHalo(short);
    expect(lensMagnification({ ...lens, maxMagnification: 0.2 }, 20, 0.05)).toBe(0.2);
    expect(lensMagnification({ ...lens, maxMagnification: null }, 20, 0.03)).toBe(1);
    expect(lensMagnification(lens, 20, null)).toBe(0);
    expect(lensAt(lens, { ...at(20, 2), extensionMm: 5 }).magnification).toBeCloseTo(0.25, 9);
    expect(lensAt(lens, at(20, 2, engraved(20, 0.1))).magnification).toBeCloseTo(0.1, 9);
  });
});
