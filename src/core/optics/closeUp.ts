/** Magnification, extension and the light they cost. */

/** Magnification of a lens of `focalMm` carried `extensionMm` farther, from magnification `atRing`: m0 + x/f. */
export const extendedMagnification = (focalMm: number, extensionMm: number, atRing = 0): number =>
  atRing + extensionMm / focalMm;

/** Distance of the subject from the front principal plane, mm, at magnification `m` > 0: f(1 + 1/m). */
export const subjectDistanceMm = (focalMm: number, m: number): number => focalMm * (1 + 1 / m);

/**
 * Working f-number at magnification `m`: N(1 + m/P), P the pupil magnification (exit/entrance). For a
 * reversed lens N(1/P + m).
 */
export const workingFNumber = (fNumber: number, m: number, pupil = 1, reversed = false): number =>
  reversed ? fNumber * (1 / pupil + m) : fNumber * (1 + m / pupil);

/** Light lost close up, stops (>= 0): 2 log2(1 + m/P). */
export const closeUpLossStops = (m: number, pupil = 1): number => 2 * Math.log2(1 + m / pupil);
