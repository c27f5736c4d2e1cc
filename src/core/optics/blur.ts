/** Blur discs. */
import type { Subject } from './depth';

/**
 * Diameter on the sensor, mm, of the blur disc of a point `behindMm` behind the subject (null: infinitely far):
 * E m |D - s|/D. For one thin lens f²/(N(u - f)) · |D - u|/D. 0 where the focus is at infinity.
 */
export function blurDiscMm(
  { distanceMm, magnification, entrancePupilMm }: Omit<Subject, 'focalMm'>,
  behindMm: number | null,
): number {
  if (distanceMm === null) return 0;
  const spread = behindMm === null ? 1 : Math.abs(behindMm) / (distanceMm + behindMm);
  return entrancePupilMm * magnification * spread;
}
