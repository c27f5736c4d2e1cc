/** Stabilisers and holding still. */

/** Nearest value a body's stabiliser menu offers to `focalMm`, in ratio; null where it takes any. */
export function nearestMenuFocalMm(focalMm: number, menuMm: readonly number[]): number | null {
  if (menuMm.length === 0) return null;
  return menuMm.reduce((best, v) =>
    Math.abs(Math.log(v / focalMm)) < Math.abs(Math.log(best / focalMm)) ? v : best,
  );
}

/**
 * Slowest shutter time, s, most people hold by hand: 1/(f'·C), lengthened by the stabiliser's stops. A
 * rule of thumb; common practice, no source.
 */
export const handHeldSeconds = (focalMm: number, crop: number, stabiliserStops = 0): number =>
  2 ** stabiliserStops / (focalMm * crop);

/** Shutter times electronic stabilisation wants, s: a frame blurred in itself cannot be steadied. Advice, not law. */
export const ELECTRONIC_SHUTTER = { enough: 1 / 250, better: 1 / 400 } as const;
