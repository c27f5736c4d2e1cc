/** Blur discs, thin lens. */

/**
 * Diameter on the sensor, mm, of the blur disc of a point at `pointM` when focused at `focusM`:
 * f²/(N(u - f)) · |D - u|/D. `pointM` null is infinity. Requires focusM·1000 > focalMm.
 */
export function blurDiscMm(
  focalMm: number,
  fNumber: number,
  focusM: number,
  pointM: number | null,
): number {
  const spread = pointM === null ? 1 : Math.abs(pointM - focusM) / pointM;
  return (focalMm ** 2 / (fNumber * (focusM * 1000 - focalMm))) * spread;
}
