/** The normal distribution. */

/** Standard deviations to either side that hold nine of ten; standard tables. */
export const NINETY_SIGMAS = 1.645;

/** Standard normal distribution function, the share below `z`; Abramowitz and Stegun 26.2.17, error below 1e-7. */
export function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
  return z >= 0 ? 1 - tail : tail;
}

/**
 * Most errors of a measured edge are small; the few large ones lie rather inward, since a fit is carried outward
 * from what it sees. Parts of a mixture, by the standard deviation stated (docs/optics.md, "Risk").
 */
const LONG_TAILED = [
  { weight: 0.7, scale: 0.3, shift: 0 },
  { weight: 0.3, scale: 1.25, shift: -0.3 },
] as const;

/** Share below `z` of that mixture of two normal distributions; its own deviation is 0.74. */
export const longTailedShare = (z: number): number =>
  LONG_TAILED.reduce(
    (sum, { weight, scale, shift }) => sum + weight * normalShare((z - shift) / scale),
    0,
  );

/** Nodes and weights of three-point Gauss-Hermite quadrature over a normal variable. */
export const HERMITE_3 = [
  { z: -Math.sqrt(3), weight: 1 / 6 },
  { z: 0, weight: 2 / 3 },
  { z: Math.sqrt(3), weight: 1 / 6 },
] as const;
