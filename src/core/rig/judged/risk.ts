/** How likely a place of the frame is too dark, or hard, given how unsure the halo is. */
import { worstCornerRadius, type Travel } from '../../frame';
import {
  type HaloUnsure,
  HARD_TRANSMISSION,
  lightAt,
  naturalFalloff,
  openRadiusMm,
  transmissionAt,
  type Halo,
  type Rim,
} from '../../halo';
import { HERMITE_3, longTailedShare, normalShare } from '../../maths';
import type { FrameSize } from '../../optics';

/** The rims with every edge moved by `deltaMm` and every softness times `soft`. */
export const altered = (rims: readonly Rim[], deltaMm: number, soft: number): Rim[] =>
  rims.map(({ side, edgeRadiusMm, softnessMm }): Rim => {
    const edge = Math.max(0.05, edgeRadiusMm + deltaMm);
    return { side, edgeRadiusMm: edge, softnessMm: Math.min(edge, softnessMm * soft) };
  });

/** What natural falloff leaves at the corner, 0..1; the rims' part of the light is taken out. */
function fallAt(halo: Halo, cornerMm: number): number {
  if (halo.exitPupilMm === null) return 1;
  const { light, transmission } = lightAt(halo, cornerMm);
  return transmission > 0 ? light / transmission : naturalFalloff(cornerMm, halo.exitPupilMm);
}

/**
 * How likely natural falloff is too much where the rims let `through`. The light it leaves is (1 + r²/L²)^-2;
 * r²/L² is normal about the one expected, by `sigma` as a share of it.
 */
function chanceTooDark(through: number, leastLight: number, fall: number, sigma: number): number {
  if (through < HARD_TRANSMISSION) return 1;
  const needed = leastLight / through;
  if (needed >= 1) return 1;
  if (sigma <= 0 || fall >= 1) return fall >= needed ? 0 : 1;
  const square = (light: number) => 1 / Math.sqrt(light) - 1;
  return 1 - normalShare((square(needed) / square(fall) - 1) / sigma);
}

/** The least uncertainty that is counted with, mm. */
const LEAST_SIGMA_MM = 1e-3;
/** The integral ends at this many standard deviations to either side. */
const REACH_SIGMAS = 3.6;
/** Cells along the edge's uncertainty between which the rims are asked: as fine as the hardest rim wants. */
const FEWEST_CELLS = 4;
const MOST_CELLS = 9;
const CELL_SHARE_OF_SOFTNESS = 0.3;

function cellsFor(rims: readonly Rim[], reachMm: number): number {
  const hardest = rims.reduce((least, rim) => Math.min(least, rim.softnessMm), Infinity);
  const wanted = Math.ceil((2 * reachMm) / (CELL_SHARE_OF_SOFTNESS * Math.max(hardest, 1e-3)));
  return Math.min(MOST_CELLS, Math.max(FEWEST_CELLS, wanted));
}
/** Between two places the chance may change by so much before it is looked at more closely. */
const STEADY = 0.03;
const FINER = 16;
/** Light changing by more than this between two places does not run straight from one to the other. */
const SHARP = 0.25;

/** By number of cells: share of the errors below the finer places of its cells. */
const sharesBelow = (share: (z: number) => number): readonly (readonly number[])[] =>
  Array.from({ length: MOST_CELLS + 1 }, (_, n) =>
    Array.from({ length: n * FINER + 1 }, (_, k) =>
      share(REACH_SIGMAS * ((2 * k) / (n * FINER) - 1)),
    ),
  );
const SHARES_BELOW = {
  normal: sharesBelow(normalShare),
  'long-tailed': sharesBelow(longTailedShare),
} as const;

/** Chance over one softness, the edge spread as it is unsure. */
function chanceOverEdge(
  rims: readonly Rim[],
  cornerMm: number,
  { edgeSigmaMm, errors }: HaloUnsure,
  chance: (through: number) => number,
): number {
  const sigma = Math.max(edgeSigmaMm, LEAST_SIGMA_MM);
  const reach = REACH_SIGMAS * sigma;
  const cells = cellsFor(rims, reach);
  const below = SHARES_BELOW[errors][cells] ?? [];
  const step = (2 * reach) / cells;
  const throughAt = (deltaMm: number): number => {
    const moved = altered(rims, deltaMm, 1);
    return openRadiusMm(moved) >= cornerMm ? 1 : transmissionAt(moved, cornerMm);
  };
  /** Share of the variable between two of the finer places. */
  const between = (from: number, to: number) => (below[to] ?? 1) - (below[from] ?? 0);
  let through = throughAt(-reach);
  let here = chance(through);
  let total = (below[0] ?? 0) * here;
  for (let i = 1; i <= cells; i += 1) {
    const from = (i - 1) * FINER;
    const nextThrough = through >= 1 ? 1 : throughAt(-reach + i * step);
    const next = nextThrough === through ? here : chance(nextThrough);
    if (Math.abs(next - here) < STEADY) {
      total += ((here + next) / 2) * between(from, from + FINER);
    } else {
      const isSharp = nextThrough - through > SHARP;
      for (let k = 0; k < FINER; k += 1) {
        const place = (k + 0.5) / FINER;
        const mid = isSharp
          ? throughAt(-reach + (i - 1 + place) * step)
          : through + (nextThrough - through) * place;
        total += chance(mid) * between(from + k, from + k + 1);
      }
    }
    through = nextThrough;
    here = next;
  }
  return total + here * (1 - (below[cells * FINER] ?? 1));
}

/** The lens's single rim on the other side of the iris; null where nothing stands there to tell the two apart. */
export const onOtherSide = (rims: readonly Rim[]): Rim[] | null =>
  rims.some((r) => r.side === 'rear')
    ? rims.map((rim, i) => (i === 0 ? { ...rim, side: 'rear' } : rim))
    : null;

/**
 * Probability, 0..1, that a place so far from the halo's centre gets less than `leastLight` (0..1) or a hard edge, with
 * edge radius and natural falloff normal, softness lognormal with their uncertainties. Quadrature over softness
 * and edge, exact over the falloff; a rim whose side is not known counts half on either.
 */
export function chanceOfDark(
  halo: Halo,
  radiusMm: number,
  leastLight: number,
  unsure: HaloUnsure,
): number {
  const fall = fallAt(halo, radiusMm);
  const chance = (through: number) => chanceTooDark(through, leastLight, fall, unsure.falloffSigma);
  const chanceWith = (of: readonly Rim[]): number =>
    HERMITE_3.reduce((sum, { z, weight }) => {
      const rims = altered(of, 0, Math.exp(z * unsure.softnessSigma));
      return sum + weight * chanceOverEdge(rims, radiusMm, unsure, chance);
    }, 0);
  const other = unsure.isSideUnknown ? onOtherSide(halo.rims) : null;
  return other ? (chanceWith(halo.rims) + chanceWith(other)) / 2 : chanceWith(halo.rims);
}

/**
 * Probability, 0..1, that the worst corner over the travel is darker than `limitStops` or hard; never surer than the
 * share of lenses unlike their kind.
 */
export function riskOf(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  limitStops: number,
  unsure: HaloUnsure,
): number {
  const cornerMm = worstCornerRadius(frame, halo.centre, travel);
  const risk = chanceOfDark(halo, cornerMm, 2 ** -limitStops, unsure);
  return Math.min(1 - unsure.unlikeShare, Math.max(unsure.unlikeShare, risk));
}
