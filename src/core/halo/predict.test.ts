import { describe, expect, it } from 'vitest';
import { at, engraved, sample, short, withHalo } from '../../../tests/support/zoomOfSamples';
import { haloSampleExample, type HaloSample, type Lens, lensExample } from '../kit/records';
import { evidenceFor } from './evidence';
import { lensAt } from './focus';
import { predictHalo } from './predict';

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

  it('never makes a rim softer than its own radius', () => {
    const soft: Lens = {
      ...lensExample,
      halo: [{ ...haloSampleExample, fNumber: 16, front: { edgeRadiusMm: 10, softnessMm: 8 } }],
    };
    const rim = predictHalo(lensAt(soft, at(18, 0.5))).rims[0]!;
    expect(rim.softnessMm).toBe(rim.edgeRadiusMm);
  });

  it('takes an unseen rear rim as never cutting beside samples that have one', () => {
    const long = { ...haloSampleExample, id: 'long', focalMm: 35, rear: null };
    const lens: Lens = { ...lensExample, halo: [haloSampleExample, long] };
    expect(predictHalo(lensAt(lens, at(35, 1.8))).rims[1]?.edgeRadiusMm).toBeGreaterThan(40);
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
});
