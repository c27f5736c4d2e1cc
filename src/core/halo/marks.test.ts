import { describe, expect, it } from 'vitest';
import { sampleWith, type SampleTold } from '../../../tests/support/samples';
import { lensExample, lensOf, type Lens } from '../kit/records';
import { evidenceFor } from './evidence';
import { atAperture, closeUpRatio, knotsAbout, marksOf } from './marks';
import { lensAt } from './focus';
import { predictHalo } from './predict';

/** A 50 mm lens that moves whole, with pupils of the same size, measured at infinity. */
const lensWith = (...halo: SampleTold[]): Lens =>
  lensOf({
    ...lensExample,
    focalMinMm: 20,
    focalMaxMm: 80,
    focusing: 'unit',
    pupilMagnification: 1,
    maxMagnification: null,
    halo: halo.map((told, i) =>
      sampleWith({ id: 'abcdef'[i], focalMm: 50, focusM: null, exitPupilMm: 60, ...told }),
    ),
  });
const edge = (edgeRadiusMm: number, softnessMm = 2) => ({ edgeRadiusMm, softnessMm });
const one = { frames: 1, kind: 'measured' } as const;
const two = { frames: 2, kind: 'measured' } as const;
const idsOf = (lens: Lens) => marksOf(lens).map((m) => m.knots.map((k) => k.sample.id).join(''));
/** m = 0.25: 50 (2 + 0.25 + 4) mm from the sensor. */
const CLOSE_M = 0.3125;

describe('which samples speak', () => {
  it('single frames each for their own aperture, the widest first, of equals the newest', () => {
    const lens = lensWith(
      { fNumber: 8, evidence: { ...one, date: '2026-01-01' } },
      { fNumber: 2, evidence: { ...one, date: '2026-01-01' } },
      { fNumber: 8.5, evidence: { ...one, date: '2026-02-02' } },
    );
    expect(idsOf(lens)).toEqual(['bc']);
  });

  it('a quarter of a stop apart they are two apertures', () => {
    const apart = (fNumber: number) =>
      idsOf(lensWith({ fNumber: 4, evidence: one }, { fNumber, evidence: one }))[0];
    expect(apart(4 * 2 ** 0.24)).toHaveLength(1);
    expect(apart(4 * 2 ** 0.26)).toHaveLength(2);
  });

  it('one of several frames for all apertures, before any single frame', () => {
    const lens = lensWith(
      { fNumber: 8, evidence: { ...one, date: '2026-09-09' } },
      { fNumber: 2, evidence: two },
    );
    expect(idsOf(lens)).toEqual(['b']);
  });

  it('of frames taken together where no one pair of rims serves all, each for its own aperture', () => {
    const own = { apertures: 'its own', evidence: { ...two, date: '2026-05-05' } } as const;
    const lens = lensWith(
      { fNumber: 2, front: edge(20, 6), ...own },
      { fNumber: 8, front: edge(16, 1), ...own },
      // Older, and for all apertures; and a single frame between.
      { fNumber: 2.8, front: edge(25), evidence: { ...two, date: '2025-05-05' } },
      { fNumber: 4, front: edge(17), evidence: { ...one, date: '2026-04-04' } },
    );
    expect(idsOf(lens)).toEqual(['adb']);
    const [mark] = marksOf(lens);
    expect(atAperture(mark!.knots, 2).frontEdge).toBe(20);
    expect(atAperture(mark!.knots, 8).frontEdge).toBe(16);
    const newer = { ...lens.halo[2]!, evidence: { ...lens.halo[2]!.evidence, date: '2026-06-06' } };
    const remeasured = { ...lens, halo: [...lens.halo.filter((s) => s.id !== 'c'), newer] };
    expect(idsOf(remeasured)).toEqual(['c']);
  });

  it('such a pair rests on its two frames, and half way between is less sure by a quarter of what they differ', () => {
    const own = { apertures: 'its own', edgeSigmaMm: 0.1, evidence: two } as const;
    const lens = lensWith(
      { fNumber: 2, front: edge(20, 6), ...own },
      { fNumber: 8, front: edge(16, 1), ...own },
    );
    const at = (fNumber: number) =>
      evidenceFor(lensAt(lens, { focalMm: 50, fNumber, focusM: null }));
    expect([at(2), at(4), at(8), at(16)].map((e) => e.frames)).toEqual([2, 2, 2, 2]);
    expect(at(2).edgeSigmaMm).toBeCloseTo(0.1, 9);
    expect(at(8).edgeSigmaMm).toBeCloseTo(0.1, 9);
    expect(at(4).edgeSigmaMm).toBeCloseTo(Math.hypot(0.1, 0.25 * 4), 9);
    expect(at(4).doubts.join()).not.toMatch(/one aperture only/);
  });

  it('what is measured before what is published, whenever', () => {
    const lens = lensWith(
      { fNumber: 2, evidence: { kind: 'published', frames: 0, date: '2026-09-09' } },
      { fNumber: 8, evidence: one },
    );
    expect(idsOf(lens)).toEqual(['b']);
  });

  it('focal lengths a thousandth apart are one mark, two thousandths apart two, the shortest first', () => {
    const marks = (focalMm: number) => marksOf(lensWith({ focalMm: 50 }, { focalMm })).length;
    expect(marks(50 * 1.0014)).toBe(1);
    expect(marks(50 * 1.0016)).toBe(2);
    const lens = lensWith({ focalMm: 70 }, { focalMm: 24 }, { focalMm: 35 });
    expect(marksOf(lens).map((m) => m.focalMm)).toEqual([24, 35, 70]);
    expect(marksOf(lensWith())).toEqual([]);
  });

  it('what was seen close up corrects close up alone, and less toward infinity', () => {
    const lens = lensWith(
      { front: edge(20), evidence: two },
      // The whole lens moved: 20 mm would have become 25; 27.5 is a tenth more.
      { front: edge(27.5), focusM: CLOSE_M, evidence: two },
    );
    const [mark] = marksOf(lens);
    expect(mark!.knots.map((k) => k.sample.id)).toEqual(['a']);
    expect(mark!.close?.magnification).toBeCloseTo(0.25, 6);
    expect(mark!.knownAt).toEqual([0, expect.closeTo(0.25, 6)]);
    expect(closeUpRatio(mark!, 0.25)).toBeCloseTo(1.1, 6);
    expect(closeUpRatio(mark!, 0.125)).toBeCloseTo(1.05, 6);
    expect(closeUpRatio(mark!, 0)).toBe(1);
    expect(closeUpRatio(mark!, 0.5)).toBeCloseTo(1.1, 6);
    const rims = (focusM: number | null) =>
      predictHalo(lensAt(lens, { focalMm: 50, fNumber: 4, focusM })).rims[0]!.edgeRadiusMm;
    expect(rims(null)).toBeCloseTo(20, 9);
    expect(rims(CLOSE_M)).toBeCloseTo(27.5, 6);
  });

  it('seen close up alone it speaks for all distances, brought back to infinity', () => {
    const [mark] = marksOf(lensWith({ front: edge(25), focusM: CLOSE_M, evidence: two }));
    expect(mark!.close).toBeNull();
    expect(mark!.knots[0]!.frontEdge).toBeCloseTo(20, 6);
    expect(mark!.knownAt).toEqual([expect.closeTo(0.25, 6)]);
  });

  it('a rear rim close up comes back to infinity as the front one does', () => {
    const told = { front: edge(25), rear: edge(30), focusM: CLOSE_M, evidence: two };
    expect(marksOf(lensWith(told))[0]!.knots[0]!.rearEdge).toBeCloseTo(24, 6);
  });
});

describe('between apertures', () => {
  const lens = lensWith(
    { fNumber: 2, front: edge(20, 4), evidence: one },
    { fNumber: 8, front: edge(24, 1), evidence: one },
  );
  const knots = marksOf(lens)[0]!.knots;

  it('goes straight in stops, and is held beyond the first and the last', () => {
    expect(atAperture(knots, 4).frontEdge).toBeCloseTo(22, 9);
    expect(atAperture(knots, 2.8284).frontEdge).toBeCloseTo(21, 4);
    for (const [fNumber, held] of [
      [1.4, 20],
      [2, 20],
      [8, 24],
      [22, 24],
    ] as const)
      expect(atAperture(knots, fNumber).frontEdge).toBeCloseTo(held, 9);
    expect(atAperture(knots, 4).frontSoftnessN).toBeCloseTo(8, 9);
    expect(() => knotsAbout([], 4)).toThrow(RangeError);
  });

  it('rests on the frames about it, and on one alone at its own aperture', () => {
    const ids = (fNumber: number) =>
      evidenceFor(lensAt(lens, { focalMm: 50, fNumber, focusM: null })).sampleIds.join('');
    expect([1.4, 2, 2.02, 2.2, 4, 7.4, 7.9, 8, 11].map(ids)).toEqual([
      'a',
      'a',
      'a',
      'ab',
      'ab',
      'ab',
      'b',
      'b',
      'b',
    ]);
  });
});
