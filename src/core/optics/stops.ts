/** Light measured in stops: base-two logarithms, + is brighter. */

/** Light change, stops, from f-number `from` to f-number `to` (both > 0): 2 log2(from/to). ISO 517 series. */
export const stopsBetweenFNumbers = (from: number, to: number): number => 2 * Math.log2(from / to);

/**
 * Light change of a rear part of magnification `factor` (> 0), stops, without glass losses:
 * -2 log2 factor. The same light is spread over factor² the area.
 */
export const lightStopsOfFactor = (factor: number): number => -2 * Math.log2(factor);

/** Factor by which ISO must be multiplied to keep the exposure after a light change of `lightStops`: 2^-stops. */
export const isoFactor = (lightStops: number): number => 2 ** -lightStops;

/** T-stop of f-number `n` through glass passing `transmission` (0..1]: N / sqrt(transmission). */
export const tStop = (n: number, transmission: number): number => n / Math.sqrt(transmission);

/** Stops lost in glass passing `transmission` (0..1]; 0 or negative. */
export const glassLossStops = (transmission: number): number => Math.log2(transmission);

/**
 * What people say of common factors, in stops; common practice, no source.
 * The exact figure always stands first on screen.
 */
const CUSTOMARY: readonly { factor: number; stops: number }[] = [
  { factor: 0.64, stops: 4 / 3 },
  { factor: 0.71, stops: 1 },
  { factor: 1.4, stops: -1 },
  { factor: 1.6, stops: -1 },
  { factor: 2, stops: -2 },
];

/**
 * The customary light change of a factor in stops, or null where there is no custom.
 * A factor within 1 % of a customary one counts as that one (0.707 is said "one stop" too).
 */
export function customaryStops(factor: number): number | null {
  const hit = CUSTOMARY.find((c) => Math.abs(factor / c.factor - 1) <= 0.01);
  return hit ? hit.stops : null;
}

/** What is commonly said of several factors together, stops; null for none, or where one has no custom. */
export function customaryStopsTogether(factors: readonly number[]): number | null {
  let sum = 0;
  for (const factor of factors) {
    const said = customaryStops(factor);
    if (said === null) return null;
    sum += said;
  }
  return factors.length > 0 ? sum : null;
}

/** True where custom and arithmetic differ by more than a quarter stop, so that the screen must say so. */
export function customDisagrees(exactStops: number, customary: number | null): boolean {
  return customary !== null && Math.abs(exactStops - customary) > 0.25;
}
