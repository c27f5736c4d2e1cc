/** How likely the verdict is worse than the school accepts, given how unsure the halo is. */
import { worstCornerRadius, type Travel } from '../../frame/geometry';
import { HARD_TRANSMISSION } from '../../halo/radii';
import { HERMITE_3, normalShare } from '../../maths/normal';
import { lightAt, type Halo, type Rim } from '../../halo/rims';
import type { FrameSize } from '../../optics/formats';

/** Softness is known to this share of itself where measured in two frames; a wider one otherwise. */
export const SOFTNESS_SIGMA = { measured: 0.1, published: 0.25, estimated: 0.35 } as const;

/** The halo with every edge moved by `deltaMm` and every softness times `soft`. */
function altered(halo: Halo, deltaMm: number, soft: number): Halo {
  const rims = halo.rims.map((rim): Rim => {
    const edgeRadiusMm = Math.max(0.05, rim.edgeRadiusMm + deltaMm);
    return {
      side: rim.side,
      edgeRadiusMm,
      softnessMm: Math.min(edgeRadiusMm, rim.softnessMm * soft),
    };
  });
  const { exitPupilMm, coneTangent, centre } = halo;
  return { rims, exitPupilMm, coneTangent, centre };
}

/** How far on the good side of the school's line the corner lies, stops; negative is worse than accepted. */
function standing(halo: Halo, cornerMm: number, limitStops: number): number {
  const { transmission, light } = lightAt(halo, cornerMm);
  if (transmission <= 0) return -20;
  const soft = Math.log2(transmission / HARD_TRANSMISSION);
  return Math.min(soft, limitStops + Math.log2(light));
}

/** After these the curve is straight enough to read the crossing off. */
const HALVINGS = 5;

/** Edge shift at which the corner is just accepted, mm; beyond ±`reach` the end. */
function criticalShift(
  halo: Halo,
  soft: number,
  cornerMm: number,
  limitStops: number,
  reach: number,
): number {
  const at = (delta: number) => standing(altered(halo, delta, soft), cornerMm, limitStops);
  let low = -reach;
  let high = reach;
  let below = at(low);
  let above = at(high);
  if (below >= 0) return low;
  if (above < 0) return high;
  for (let i = 0; i < HALVINGS; i += 1) {
    const mid = (low + high) / 2;
    const value = at(mid);
    if (value >= 0) {
      high = mid;
      above = value;
    } else {
      low = mid;
      below = value;
    }
  }
  return low + ((high - low) * below) / (below - above);
}

/** Uncertainties beyond this many standard deviations are not looked at. */
const REACH_SIGMAS = 3.6;

export interface Unsure {
  edgeSigmaMm: number;
  /** Standard deviation of the softness as a share of it. */
  softnessSigma: number;
}

/**
 * Probability, 0..1, that the worst corner over the travel is darker than `limitStops` or hard, with edge
 * radius and softness normal with their uncertainties. Quadrature over softness, exact over the edge, as
 * the corner only brightens when the edge moves out.
 */
export function riskOf(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  limitStops: number,
  unsure: Unsure,
): number {
  const cornerMm = worstCornerRadius(frame, halo.centre, travel);
  const sigma = Math.max(unsure.edgeSigmaMm, 1e-3);
  const reach = REACH_SIGMAS * sigma;
  let risk = 0;
  for (const { z, weight } of HERMITE_3) {
    const soft = Math.max(0.05, 1 + z * unsure.softnessSigma);
    risk += weight * normalShare(criticalShift(halo, soft, cornerMm, limitStops, reach) / sigma);
  }
  return Math.min(1, Math.max(0, risk));
}
