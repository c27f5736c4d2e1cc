import { describe, expect, it } from 'vitest';
import { at, engraved, sample, short, withHalo } from '../../../tests/support/zoomOfSamples';
import { type Lens } from '../kit/records';
import { lensAt } from './focus';
import { predictHalo } from './predict';
import { usualExitPupilMm } from './priors';
import { pupilMagnification } from './pupil';

describe('a pupil magnification taken from samples', () => {
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

  it('goes by the nearest in focal length that tells its exit pupil', () => {
    const halo = [
      sample({ id: 'a', focalMm: 20, exitPupilMm: 30 }),
      sample({ id: 'b', focalMm: 26, exitPupilMm: null }),
      sample({ id: 'c', focalMm: 80, exitPupilMm: 160 }),
    ];
    for (const of of [halo, [...halo].reverse()]) {
      const untold: Lens = { ...withHalo(...of), pupilMagnification: null };
      expect(pupilMagnification(untold, 25)).toBeCloseTo(1.5, 9);
      expect(pupilMagnification(untold, 70)).toBeCloseTo(2, 9);
    }
  });

  it('counts with the focal length the lens had when the sample was taken', () => {
    // At its nearest the 60 mm is one of 48 mm (see its breathing): L = 48 (P + 0.25).
    const lens: Lens = {
      ...withHalo(sample({ focalMm: 60, focusM: 0.3, exitPupilMm: 48 * 1.5 })),
      focalMinMm: 60,
      focalMaxMm: 60,
      closestFocusM: 0.3,
      maxMagnification: 0.25,
      estimated: [],
      pupilMagnification: null,
    };
    expect(pupilMagnification(lens, 60)).toBeCloseTo(1.25, 9);
  });
});
