/** Where a function passes a level. */

/** Near enough to a level; for light through rims a few mm soft, well under a thousandth of a millimetre. */
const LEVEL_TOLERANCE = 3e-5;
const PLACE_TOLERANCE = 1e-3;
const MOST_STEPS = 60;

/**
 * Place between `low` and `high` at which a falling function passes `level`, to about 5e-4 of a unit; the
 * nearer end where it does not pass it. Chandrupatla's bracketing method (Adv. Eng. Software 28, 1997):
 * inverse quadratic steps where they are safe, bisection where not. What the function is at the ends can be
 * handed in where it is known.
 */
export function whereFalling(
  f: (x: number) => number,
  level: number,
  low: number,
  high: number,
  atLow = f(low),
  atHigh = f(high),
): number {
  let x1 = high;
  let x2 = low;
  let f1 = atHigh - level;
  let f2 = atLow - level;
  if (f2 <= 0) return low;
  if (f1 >= 0) return high;
  let t = f1 / (f1 - f2);
  for (let i = 0; i < MOST_STEPS; i += 1) {
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
    const tolerance = PLACE_TOLERANCE / 2 / Math.abs(x2 - x1);
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

/** Place between a bad end and a good one where a test begins to hold, on the good side, by halving. */
export function whereBeginning(
  holds: (x: number) => boolean,
  bad: number,
  good: number,
  halvings: number,
): number {
  let [low, high] = [bad, good];
  for (let i = 0; i < halvings; i += 1) {
    const mid = (low + high) / 2;
    if (holds(mid)) high = mid;
    else low = mid;
  }
  return high;
}
