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

/** Frames that are sharp at the slowest time of the rule, a share. An assumption. */
const SHARP_AT_RULE = 0.75;

/**
 * Share of frames by hand, 0..1, in which shake is not seen, at a shutter time, s, where the rule of thumb gives
 * `ruleSeconds`. Shake is taken to grow with the time and to be normal in two directions, so that its length is
 * Rayleigh distributed (any handbook of probability); three of four are taken to be sharp at the rule's time.
 */
export const sharpShare = (seconds: number, ruleSeconds: number): number =>
  1 - (1 - SHARP_AT_RULE) ** ((ruleSeconds / seconds) ** 2);
