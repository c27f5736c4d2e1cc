/** Registers (flange focal distances), adapter thickness, and what a wrong one does. Lengths mm. */

/** Thinnest adapter that can be made between two mounts; common practice, no source. */
const THINNEST_ADAPTER_MM = 1.5;

/** Thickness of a plain adapter: register of the lens less register of the body. May be negative. */
export const plainThicknessMm = (lensRegisterMm: number, bodyRegisterMm: number): number =>
  lensRegisterMm - bodyRegisterMm;

/** Whether a plain adapter between these registers can be built and reaches infinity. */
export const canBePlain = (lensRegisterMm: number, bodyRegisterMm: number): boolean =>
  plainThicknessMm(lensRegisterMm, bodyRegisterMm) >= THINNEST_ADAPTER_MM;

/**
 * Farthest distance in focus, m, of a lens of `focalMm` held `tooLongMm` too far from the sensor with its
 * ring at infinity: f + f²/δ. Null for δ <= 0: infinity is reached, before the stop when δ < 0.
 */
export const farthestFocusM = (focalMm: number, tooLongMm: number): number | null =>
  tooLongMm > 0 ? (focalMm + focalMm ** 2 / tooLongMm) / 1000 : null;

/**
 * How far plane glass of thickness `thicknessMm` and refractive `index` behind the lens moves the focus
 * away from it, mm: t(1 - 1/n). Paraxial.
 */
export const plateShiftMm = (thicknessMm: number, index: number): number =>
  thicknessMm * (1 - 1 / index);

/**
 * How much farther than the paraxial focus the marginal ray of f-number `fNumber` is moved by a plate, mm:
 * the blur a missing or extra cover glass costs fast lenses. Snell's law, tan u = 1/(2N).
 */
export function plateMarginalExtraMm(thicknessMm: number, index: number, fNumber: number): number {
  const u = Math.atan(1 / (2 * fNumber));
  const marginal = thicknessMm * (1 - Math.cos(u) / Math.sqrt(index ** 2 - Math.sin(u) ** 2));
  return marginal - plateShiftMm(thicknessMm, index);
}
