import { describe, expect, it } from 'vitest';
import { haloSampleExample } from '../kit/records/haloSample';
import { lensExample, type Lens } from '../kit/records/lens';
import { evidenceFor, focusScale, predictHalo } from './predict';
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
