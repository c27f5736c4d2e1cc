/** From a halo to the radii people speak of: clear, half light, black, and the -1 and -2 stop circles. */
import { blackoutRadiusMm, lightAt, openRadiusMm, transmissionAt, type Halo } from './rims';

/** Transmission at which each named radius lies. */
export const CLEAR_TRANSMISSION = 2 ** -0.1;
export const HALF_TRANSMISSION = 0.5;
export const BLACK_TRANSMISSION = 0.01;
/** Below this much light through the rims a corner counts as hard and beyond lifting. */
export const HARD_TRANSMISSION = 1 / 8;

export interface HaloRadii {
  /** Rims take 0.1 stop. */
  clear: number;
  /** Rims take half the light: the halo's edge as people draw it. */
  half: number;
  /** Rims leave 1 %. */
  black: number;
  /** Whole light 1 stop below the middle, rims and natural falloff together. */
  minus1: number;
  /** Whole light 2 stops below the middle. */
  minus2: number;
}

/** Near enough to a level: with rims a few mm soft, well under a thousandth of a millimetre. */
const LEVEL_TOLERANCE = 3e-5;
const RADIUS_TOLERANCE_MM = 1e-3;

/**
 * Radius at which a falling function passes `level`, between `low` and `high`, to about 5e-4 mm; the
 * nearer end where it does not pass it. Chandrupatla's bracketing method (Adv. Eng. Software 28, 1997):
 * inverse quadratic steps where they are safe, bisection where not.
 */
export function radiusWhere(
  f: (r: number) => number,
  level: number,
  low: number,
  high: number,
): number {
  let x1 = high;
  let x2 = low;
  let f1 = f(x1) - level;
  let f2 = f(x2) - level;
  if (f2 <= 0) return low;
  if (f1 >= 0) return high;
  let t = 0.5;
  for (let i = 0; i < 60; i += 1) {
    const x = x1 + t * (x2 - x1);
    const fx = f(x) - level;
    let x3 = x1;
    let f3 = f1;
    if (fx > 0 === f1 > 0) {
      x1 = x;
      f1 = fx;
    } else {
      x3 = x2;
      f3 = f2;
      x2 = x1;
      f2 = f1;
      x1 = x;
      f1 = fx;
    }
    const best = Math.abs(f2) < Math.abs(f1) ? x2 : x1;
    if (Math.min(Math.abs(f1), Math.abs(f2)) < LEVEL_TOLERANCE) return best;
    const tolerance = RADIUS_TOLERANCE_MM / 2 / Math.abs(x2 - x1);
    if (tolerance > 0.5) return best;
    const xi = (x1 - x2) / (x3 - x2);
    const phi = (f1 - f2) / (f3 - f2);
    const safe = phi * phi < xi && (1 - phi) * (1 - phi) < 1 - xi;
    t = safe
      ? (f1 / (f2 - f1)) * (f3 / (f2 - f3)) +
        (((x3 - x1) / (x2 - x1)) * f1 * f2) / ((f3 - f1) * (f3 - f2))
      : 0.5;
    t = Math.min(1 - tolerance, Math.max(tolerance, t));
  }
  return x1;
}

/** All named radii of a halo, mm, each >= 0. Each search starts where the last one ended. */
export function haloRadii(halo: Halo): HaloRadii {
  const through = (r: number) => transmissionAt(halo.rims, r);
  const light = (r: number) => lightAt(halo, r).light;
  const open = openRadiusMm(halo.rims);
  const end = blackoutRadiusMm(halo.rims);
  const half = radiusWhere(through, HALF_TRANSMISSION, open, end);
  const minus1 = radiusWhere(light, 0.5, 0, end);
  return {
    clear: radiusWhere(through, CLEAR_TRANSMISSION, open, half),
    half,
    black: radiusWhere(through, BLACK_TRANSMISSION, half, end),
    minus1,
    minus2: radiusWhere(light, 0.25, minus1, end),
  };
}
