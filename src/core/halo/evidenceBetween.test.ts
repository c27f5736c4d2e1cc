import { describe, expect, it } from 'vitest';
import { at, long, sample, short, withHalo } from '../../../tests/support/zoomOfSamples';
import { haloSampleExample, type Lens, lensExample } from '../kit/records';
import { evidenceFor } from './evidence';
import { lensAt } from './focus';
import { predictHalo } from './predict';
import { priorFor } from './priors';

describe('what a halo rests on between and beside its samples', () => {
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

  it('scales with the train behind the lens', () => {
    expect(evidenceFor(lensAt(lensExample, at(18, 1.8)), 0.71).edgeSigmaMm).toBeCloseTo(
      0.12 * 0.71,
      9,
    );
  });
});
