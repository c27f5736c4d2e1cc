/** Focal reducers and extenders as thin lenses. Lengths mm. */

export interface ThinConverter {
  /** Its focal length; > 0 for a reducer, < 0 for an extender. */
  focalMm: number;
  /** How far it stands in front of the bare lens's image. */
  frontMm: number;
  /** How far behind it the new image lies. */
  backMm: number;
  /** How far it moves the image toward the lens; negative: away. */
  shiftMm: number;
}

/**
 * How far a thin converter of a factor moves the image toward the lens, mm; negative: away. F(1 - m)²/m for
 * its focal length F, which an extender has below 0. Source: thin-lens equation.
 */
export const shiftOfConverterMm = (factor: number, focalMm: number): number =>
  (focalMm * (1 - factor) ** 2) / factor;

/** Places outside these cannot belong to a real converter. */
const NEAREST_MM = 0.5;
const FARTHEST_MM = 500;

/**
 * The thin lens that does what a converter does, from its factor and from how far it moves the image
 * toward the lens: a = shift/(1 - m), b = m a, F = shift·m/(1 - m)². Null where factor and shift cannot
 * belong to one thin lens. Source: thin-lens equation.
 */
export function converterOfShift(factor: number, shiftMm: number): ThinConverter | null {
  if (factor === 1) return null;
  const frontMm = shiftMm / (1 - factor);
  if (!(frontMm > NEAREST_MM) || frontMm > FARTHEST_MM) return null;
  const focalMm = (shiftMm * factor) / (1 - factor) ** 2;
  return { focalMm, frontMm, backMm: factor * frontMm, shiftMm };
}
