/**
 * How far the half-light radius may lie from its best value. Formal standard deviations are far too small
 * here, as soft rims and natural falloff look alike. So the radius is held at values farther and farther
 * from the best, all else is fitted anew each time, and the interval ends where the fit gets too much worse.
 */
import { minimise } from '../../maths';
import type { HaloFit } from './haloFit';
import { halfLightOf, radiusAt } from './haloModel';
import { haloProblem } from './haloProblem';

export interface Interval {
  low: number;
  /** Null where the frame sets no limit. */
  high: number | null;
}

/** The half-light radius is held to the value tried within about this, mm. */
const HELD_WITHIN_MM = 0.004;
/** Offsets from the best radius: the first one tried, and one beyond which a frame sets no limit, mm. */
const FIRST_OFFSET_MM = 0.02;
const LAST_OFFSET_MM = 8;
/** Each offset is at least and at most so many times the one before. */
const LEAST_FACTOR = 1.5;
const MOST_FACTOR = 6;
/** The next offset is aimed so much beyond where the limit should be passed. */
const AIM_BEYOND = 1.1;

/**
 * Cost an offset may add and still be believed. Cells are not independent witnesses: what a fit leaves is
 * mostly the model's own error, alike over many cells. The figure is set so that nine of ten intervals
 * hold the truth on simulated frames (see the tests of measuring).
 */
const BELIEVED_COST = 6;
/** What no frame can beat: errors of tone and model that no residual shows. Shares of the softness, mm. */
const LEAST_MM = 0.016;
const LEAST_SHARE_OF_SOFTNESS = 0.022;
/** So much more of it as the softness is a share of the radius: soft rims and natural falloff look alike. */
const MORE_FOR_SOFT_RIMS = 0.1;

/** The fit with its half-light radius held at `targetMm`: where it then stands and what that adds to its cost. */
function heldAt(fit: HaloFit, from: Float64Array, targetMm: number) {
  const problem = haloProblem({
    layout: fit.layout,
    fields: fit.rough.fields,
    scale: fit.scale,
    frozen: fit.frozen,
    penalty: (rims) => (halfLightOf(rims) - targetMm) / HELD_WITHIN_MM,
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

/** Offset, outward or inward, at which the added cost passes what is believed, mm; null where it never does. */
function believedOffset(fit: HaloFit, sign: 1 | -1): number | null {
  const best = fit.halfLightMm;
  const limit = Math.sqrt(BELIEVED_COST);
  const start = fit.rough.p;
  let before = { offset: 0, root: 0, p: start };
  let offset = FIRST_OFFSET_MM;
  while (offset <= LAST_OFFSET_MM) {
    const target = best + sign * offset;
    if (target <= 0) return best;
    // Each search starts where the line through the best fit and the one before leads.
    const onward = offset / before.offset;
    const from =
      before.offset === 0
        ? enlarged(fit, target / best)
        : start.map((v, i) => v + ((before.p[i] as number) - v) * onward);
    const { p, added } = heldAt(fit, from, target);
    // The root of the added cost grows nearly in step with the offset.
    const root = Math.sqrt(Math.max(0, added));
    if (root >= limit) {
      const share = (limit - before.root) / Math.max(1e-9, root - before.root);
      return before.offset + (offset - before.offset) * share;
    }
    before = { offset, root, p };
    const factor = (AIM_BEYOND * limit) / Math.max(1e-9, root);
    offset *= Math.min(MOST_FACTOR, Math.max(LEAST_FACTOR, factor));
  }
  return null;
}

/** The interval in which the half-light radius of the first frame lies with 90 % confidence, mm. */
export function halfLightInterval(fit: HaloFit): Interval {
  const { edgeRadiusMm, softnessMm } = fit.rims.reduce((a, b) =>
    b.softnessMm < a.softnessMm ? b : a,
  );
  const share = LEAST_SHARE_OF_SOFTNESS + MORE_FOR_SOFT_RIMS * (softnessMm / edgeRadiusMm);
  const least = LEAST_MM + share * softnessMm;
  const best = fit.halfLightMm;
  const down = believedOffset(fit, -1);
  const up = believedOffset(fit, 1);
  return {
    low: Math.max(0, best - Math.hypot(down ?? best, least)),
    high: up === null ? null : best + Math.hypot(up, least),
  };
}
