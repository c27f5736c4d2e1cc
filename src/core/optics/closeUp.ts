/** Magnification, extension and what they do to light and picture. P is exit pupil over entrance pupil. */

/**
 * Magnification of a lens of `focalMm` carried `extensionMm` farther out than its ring, which alone gives
 * `atRing`: m0 + x/f.
 */
export const extendedMagnification = (
  focalMm: number,
  extensionMm: number,
  atRing: number,
): number => atRing + extensionMm / focalMm;

/** How much farther from the sensor the exit pupil stands at magnification `m`: 1 + m/P. */
export const pupilScale = (m: number, pupil: number): number => 1 + m / pupil;

/** Working f-number at magnification `m`: N(1 + m/P). */
export const workingFNumber = (fNumber: number, m: number, pupil: number): number =>
  fNumber * pupilScale(m, pupil);
