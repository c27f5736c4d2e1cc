import { describe, expect, it } from 'vitest';
import { at, engraved, short, withHalo } from '../../../tests/support/zoomOfSamples';
import { type Lens } from '../kit/records';
import { lensAt } from './focus';
import { focusedAt } from './focused';

describe('a bare lens on its focusing ring', () => {
  it('a lens that tells its nearest distance and what it magnifies there breathes between infinity and that', () => {
    // 0.3 m and 1:4 are only together at f = 300/(2 + 1/4 + 4) = 48 mm, not at the engraved 60.
    const breathing: Lens = {
      ...withHalo(short),
      focalMinMm: 60,
      focalMaxMm: 60,
      closestFocusM: 0.3,
      maxMagnification: 0.25,
      estimated: [],
    };
    expect(focusedAt(breathing, 60, null)).toEqual({ focalMm: 60, magnification: 0 });
    const nearest = focusedAt(breathing, 60, 0.3);
    expect(nearest.focalMm).toBeCloseTo(48, 9);
    expect(nearest.magnification).toBeCloseTo(0.25, 9);
    // Half of the way in 1/distance.
    expect(focusedAt(breathing, 60, 0.6).focalMm).toBeCloseTo(54, 9);
    // A zoom tells it of its long end; a guessed nearest distance tells nothing.
    expect(focusedAt({ ...breathing, focalMinMm: 24 }, 40, 0.3).focalMm).toBe(40);
    const guessed: Lens = { ...breathing, estimated: ['closestFocusM'] };
    expect(focusedAt(guessed, 60, 0.3).focalMm).toBe(60);
  });

  it('magnification is held at what the lens can do, life size where it does not say', () => {
    const lens = withHalo(short);
    expect(focusedAt({ ...lens, maxMagnification: 0.2 }, 20, 0.05).magnification).toBe(0.2);
    expect(focusedAt({ ...lens, maxMagnification: null }, 20, 0.03).magnification).toBe(1);
    expect(focusedAt(lens, 20, null).magnification).toBe(0);
    expect(lensAt(lens, { ...at(20, 2), extensionMm: 5 }).magnification).toBeCloseTo(0.25, 9);
    expect(lensAt(lens, at(20, 2, engraved(20, 0.1))).magnification).toBeCloseTo(0.1, 9);
  });
});
