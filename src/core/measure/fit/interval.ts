/** How far the half-light radius may lie from its best value: a ladder of refits, not formal sigmas. */
import { halfLightOf, type HaloFit } from './haloFit';
import { radiusAt, type FittedRim } from './haloModel';
import { haloProblem } from './haloProblem';
import { minimise } from '../../maths/leastSquares';

export interface Interval {
  low: number;
  /** Null where the frame sets no limit. */
  high: number | null;
}

/** A rung is held to its half-light radius within about this, mm. */
const HOLD_MM = 0.004;
/** The first rung, and one beyond which a frame sets no limit, mm. */
const FIRST_RUNG_MM = 0.02;
const LAST_RUNG_MM = 8;
/** A rung lies at least and at most so many times as far as the one before. */
const LEAST_GROWTH = 1.5;
const MOST_GROWTH = 6;

/**
 * Cost a rung may add and still be believed. Cells are not independent witnesses: what a fit leaves is
 * mostly the model's own error, alike over many cells. The figure is set so that nine of ten intervals
 * hold the truth on simulated frames (see the tests of measuring).
 */
const BELIEVED_COST = 6;
/** What no frame can beat: errors of tone and model that no residual shows. Shares of the softness, mm. */
const LEAST_MM = 0.016;
const LEAST_SHARE_OF_SOFTNESS = 0.022;
/** So much more of it as the softness is a share of the radius: soft rims and natural falloff look alike. */
const MORE_FOR_SOFT_RIMS = 0.1;

/** Rims as they are at an aperture that makes them `softer` times as soft. */
const softened = (rims: readonly FittedRim[], softer: number): FittedRim[] =>
  rims.map(({ edgeRadiusMm, softnessMm }) => ({
    edgeRadiusMm,
    softnessMm: Math.min(edgeRadiusMm, softnessMm * softer),
  }));

/** Extra cost of holding the half-light radius at `target`, and where the fit then stands. */
function rung(fit: HaloFit, softer: number, from: Float64Array, target: number) {
  const problem = haloProblem({
    layout: fit.layout,
    fields: fit.rough.fields,
    scale: fit.scale,
    frozen: fit.frozen,
    wish: (rims) => (halfLightOf(softened(rims, softer)) - target) / HOLD_MM,
  });
  const { p, cost } = minimise(problem, from, 6, 2e-4);
  return { p, added: cost - fit.rough.cost };
}

/** The best fit with its rims so many times as large, and so its half-light radius. */
function enlarged({ layout, rough }: HaloFit, times: number): Float64Array {
  const p = Float64Array.from(rough.p);
  for (let k = 0; k < layout.rims; k += 1)
    p[radiusAt(k)] = (p[radiusAt(k)] as number) + Math.log(times);
  return p;
}

/** Distance from the best value to where the added cost passes what is believed; null where it never does. */
function reach(fit: HaloFit, softer: number, sign: 1 | -1): number | null {
  const best = halfLightOf(softened(fit.rims, softer));
  const limit = Math.sqrt(BELIEVED_COST);
  const start = fit.rough.p;
  let before = { offset: 0, root: 0, p: start };
  let offset = FIRST_RUNG_MM;
  while (offset <= LAST_RUNG_MM) {
    const target = best + sign * offset;
    if (target <= 0) return best;
    // Each rung starts where the line through the best fit and the rung before leads.
    const onward = offset / before.offset;
    const from =
      before.offset === 0
        ? enlarged(fit, target / best)
        : start.map((v, i) => v + ((before.p[i] as number) - v) * onward);
    const { p, added } = rung(fit, softer, from, target);
    const root = Math.sqrt(Math.max(0, added));
    if (root >= limit) {
      const share = (limit - before.root) / Math.max(1e-9, root - before.root);
      return before.offset + (offset - before.offset) * share;
    }
    before = { offset, root, p };
    // The root grows nearly in step with the offset: aimed a little beyond where it should pass.
    const growth = (1.1 * limit) / Math.max(1e-9, root);
    offset *= Math.min(MOST_GROWTH, Math.max(LEAST_GROWTH, growth));
  }
  return null;
}

function intervalOf(fit: HaloFit, softer: number, leastMm: number): Interval {
  const best = halfLightOf(softened(fit.rims, softer));
  const down = reach(fit, softer, -1);
  const up = reach(fit, softer, 1);
  return {
    low: Math.max(0, best - Math.hypot(down ?? best, leastMm)),
    high: up === null ? null : best + Math.hypot(up, leastMm),
  };
}

/** The interval in which the half-light radius of the first frame lies with 90 % confidence, mm. */
export function halfLightInterval(fit: HaloFit): Interval {
  const { edgeRadiusMm, softnessMm } = fit.rims.reduce((a, b) =>
    b.softnessMm < a.softnessMm ? b : a,
  );
  const share = LEAST_SHARE_OF_SOFTNESS + MORE_FOR_SOFT_RIMS * (softnessMm / edgeRadiusMm);
  return intervalOf(fit, 1, LEAST_MM + share * softnessMm);
}

/** What two frames leave unsure of the stops between them, on 36x24, mm. */
const BETWEEN_MM = 0.05;
/** What one frame leaves unsure of another aperture: so much a stop, up to so much, on 36x24, mm. */
const PER_STOP_MM = 0.5;
const AT_MOST_MM = 2;
const HALF_FULL_FRAME_MM = 21.633;

/** Half-light radius at another f-number of the same setting, mm, with its 90 % interval. */
export function halfLightAt(fit: HaloFit, fNumbers: readonly number[], fNumber: number) {
  const [first = fNumber] = fNumbers;
  const softer = first / fNumber;
  const scale = (fit.fields[0]?.halfDiagonalMm ?? HALF_FULL_FRAME_MM) / HALF_FULL_FRAME_MM;
  const away = Math.min(...fNumbers.map((n) => Math.abs(2 * Math.log2(n / fNumber))));
  const between = Math.min(...fNumbers) <= fNumber && fNumber <= Math.max(...fNumbers);
  const least = between && fNumbers.length > 1 ? BETWEEN_MM : PER_STOP_MM * away;
  const value = halfLightOf(softened(fit.rims, softer));
  const limit = Math.min(AT_MOST_MM, Math.max(0.03, least)) * scale;
  return { value, ...intervalOf(fit, softer, limit) };
}
