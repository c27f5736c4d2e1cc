import { describe, expect, it } from 'vitest';
import { sampleWith } from '../../../tests/support/samples';
import { at, engraved, short, withHalo } from '../../../tests/support/zoomOfSamples';
import { type Lens, lensExample } from '../kit/records';
import { evidenceFor } from './evidence';
import { focusDoubt, lensAt } from './focus';
import { pupilMagnification } from './pupil';

const unit: Lens = {
  ...lensExample,
  id: 'unit',
  focusing: 'unit',
  pupilMagnification: 1.14,
  focalMinMm: 50,
  focalMaxMm: 50,
  maxMagnification: null,
};

describe('close focus', () => {
  const lens: Lens = {
    ...unit,
    pupilMagnification: 1.2,
    halo: [sampleWith({ focalMm: 50, fNumber: 4 })],
  };
  // m = 0.25 at f (2 + m + 1/m).
  const close = at(50, 4, (50 * 6.25) / 1000);

  it('moves a lens that moves whole: edge by 1 + m/P, exit pupil by m f', () => {
    expect(lensAt(lens, close).edgeScale).toBeCloseTo(1 + 0.25 / 1.2, 6);
    expect(lensAt(lens, close).outMm).toBeCloseTo(12.5, 4);
    const inside: Lens = { ...lens, focusing: 'internal' };
    expect(lensAt(inside, close).edgeScale).toBe(1);
    expect(lensAt(inside, { ...close, extensionMm: 10 }).edgeScale).toBeCloseTo(1 + 0.2 / 1.2, 6);
  });

  it('leaves the edge unsure by 12 % of m, the softness by 30 %, and no more where the pupil is told', () => {
    expect(focusDoubt(lensAt(lens, close), [0], 0.08)).toEqual({
      edgeShare: expect.closeTo(0.03, 6) as number,
      softness: expect.closeTo(0.075, 6) as number,
      falloff: 0,
      doubts: [],
    });
    // What was measured there is known there; half as far away it is half as unsure.
    expect(focusDoubt(lensAt(lens, close), [0.25], 0.08).edgeShare).toBe(0);
    expect(focusDoubt(lensAt(lens, close), [0, 0.125], 0.08).edgeShare).toBeCloseTo(0.015, 6);
    expect(focusDoubt(lensAt(lens, close), [0.245], 0.08).edgeShare).toBe(0);
  });

  it('a pupil taken from the exit pupil is half as unsure as the falloff', () => {
    const untold: Lens = { ...lens, pupilMagnification: null };
    const share = 0.25 / pupilMagnification(untold, 50);
    const doubt = focusDoubt(lensAt(untold, close), [0], 0.4);
    expect(doubt.edgeShare).toBeCloseTo(Math.hypot(0.03, (0.2 * share) / (1 + share)), 6);
    expect(doubt.doubts).toEqual([
      'its pupil magnification is not told: taken from its exit pupil',
    ]);
    // Focusing inside, nothing moves by it.
    const inside = focusDoubt(lensAt({ ...untold, focusing: 'internal' }, close), [0], 0.4);
    expect(inside.edgeShare).toBeCloseTo(Math.hypot(0.03, 0.125), 6);
    expect(inside.falloff).toBeCloseTo(0.25, 6);
    expect(inside.doubts).toEqual(['focuses inside: how the halo changes close up is not known']);
  });

  it('grows R 20 to 21.754 at m 0.1 with a pupil magnification of 1.14 when the whole lens moves', () => {
    const close = at(50, 2, engraved(50, 0.1));
    expect(20 * lensAt(unit, close).edgeScale).toBeCloseTo(21.754, 3);
    expect(lensAt({ ...unit, focusing: 'internal' }, close).edgeScale).toBe(1);
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

  it('doubts close focus with internal focusing', () => {
    const close = evidenceFor(lensAt(lensExample, at(18, 1.8, 0.3)));
    expect(close.doubts.join()).toMatch(/focuses inside/);
  });
});
