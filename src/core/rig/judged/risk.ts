/** How likely a place of the frame is too dark, or hard, given how unsure the halo is. */
import { worstCornerUnder, type Travel } from '../../frame';
import {
  type HaloUnsure,
  HARD_TRANSMISSION,
  lightAt,
  naturalFalloff,
  openRadiusMm,
  swayed,
  transmissionAt,
  type Halo,
  type Rim,
} from '../../halo';
import { clamp, HERMITE_3, normalShare } from '../../maths';
import type { FrameSize } from '../../optics';
import { type Chance, chanceOver, REACH_SIGMAS } from './spread';

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

/** As fine as the hardest rim wants. */
const CELL_SHARE_OF_SOFTNESS = 0.3;

/** How far the edges move about a place over all that is likely, cell by cell of the spread. */
function edgeCells(
  rims: readonly Rim[],
  cornerMm: number,
  { edgeSigmaMm, beyond }: HaloUnsure,
): number {
  const beyondMm = beyond ? Math.max(0, cornerMm - beyond.fromMm) : 0;
  const reachMm =
    REACH_SIGMAS * edgeSigmaMm + beyondMm * Math.sinh(REACH_SIGMAS * (beyond?.sigma ?? 0));
  const hardest = rims.reduce((least, rim) => Math.min(least, rim.softnessMm), Infinity);
  return (2 * reachMm) / (CELL_SHARE_OF_SOFTNESS * Math.max(hardest, 1e-3));
}

/** The lens's single rim on the other side of the iris; null where nothing stands there to tell the two apart. */
export const onOtherSide = (rims: readonly Rim[]): Rim[] | null =>
  rims.some((r) => r.side === 'rear')
    ? rims.map((rim, i) => (i === 0 ? { ...rim, side: 'rear' } : rim))
    : null;

/** The rims with every softness times `soft`. */
const softer = (rims: readonly Rim[], soft: number): Rim[] =>
  rims.map((rim) => ({
    ...rim,
    softnessMm: Math.min(rim.edgeRadiusMm, rim.softnessMm * soft),
  }));

const throughAt = (rims: readonly Rim[], radiusMm: number): number =>
  openRadiusMm(rims) >= radiusMm ? 1 : transmissionAt(rims, radiusMm);

/** How far light is asked to either side, standard deviations, to see what moves it more. */
const ASKED_SIGMAS = 1.5;

/** Chance that what the rims let through to a place is too little, over all they may be. */
function chanceOverRims(
  rims: readonly Rim[],
  radiusMm: number,
  unsure: HaloUnsure,
  chance: Chance,
): number {
  const { errors, softnessSigma } = unsure;
  const edgesAt = (z: number, of = rims) => swayed(of, unsure, radiusMm, z);
  /** Softest first: inside the edge it grows lighter from there. */
  const hardenedAt = (z: number, of = rims) => softer(of, Math.exp(-z * softnessSigma));
  const moves = (at: (z: number) => Rim[]) =>
    Math.abs(throughAt(at(ASKED_SIGMAS), radiusMm) - throughAt(at(-ASKED_SIGMAS), radiusMm));
  const atThree = (of: (z: number) => number) =>
    HERMITE_3.reduce((sum, { z, weight }) => sum + weight * of(z), 0);
  // Three places stand for a normal spread; what moves the light more is summed finely.
  if (errors === 'normal' && moves(hardenedAt) > moves(edgesAt))
    return atThree((edge) => {
      const moved = edgesAt(edge);
      return chanceOver((z) => throughAt(hardenedAt(z, moved), radiusMm), chance, { errors });
    });
  return atThree((soft) => {
    const of = hardenedAt(soft);
    const cells = edgeCells(of, radiusMm, unsure);
    return chanceOver((z) => throughAt(edgesAt(z, of), radiusMm), chance, { errors, cells });
  });
}

/**
 * Probability, 0..1, that a place so far from the halo's centre gets less than `leastLight` (0..1) or a hard edge, with
 * edge radius and natural falloff normal, softness and the way beyond the own corner lognormal with their
 * uncertainties. Quadrature over softness and edge, exact over the falloff; a rim whose side is not known counts half on
 * either.
 */
export function chanceOfDark(
  halo: Halo,
  radiusMm: number,
  leastLight: number,
  unsure: HaloUnsure,
): number {
  const fall = fallAt(halo, radiusMm);
  const chance: Chance = (through) => chanceTooDark(through, leastLight, fall, unsure.falloffSigma);
  const chanceWith = (of: readonly Rim[]) => chanceOverRims(of, radiusMm, unsure, chance);
  const other = unsure.isSideUnknown ? onOtherSide(halo.rims) : null;
  return other ? (chanceWith(halo.rims) + chanceWith(other)) / 2 : chanceWith(halo.rims);
}

/**
 * Beyond the own corner of a lens nobody measured no risk is stated below this share, nor above 1 less it unless what is
 * known says so: nobody knows. A rule of this program.
 */
const BEYOND_SHARE = 0.05;
/** From one to the other, as shares of the own corner, less and less is known; from the last two on a halo may surely end before. */
const BEYOND = { known: 1, unknown: 1.05, far: 1.5, farthest: 1.75 } as const;

/** How far `at` lies from one place to another, 0..1. */
const wayFrom = (at: number, from: number, to: number): number =>
  clamp((at - from) / (to - from), 0, 1);

/** A risk, held as unsure as it is where its place lies beyond the own corner of a lens nobody measured. */
function heldBeyond(
  risk: number,
  halo: Halo,
  cornerMm: number,
  leastLight: number,
  unsure: HaloUnsure,
): number {
  const { beyond } = unsure;
  if (!beyond || cornerMm <= beyond.fromMm) return risk;
  const out = cornerMm / beyond.fromMm;
  const { known, unknown, far, farthest } = BEYOND;
  const least = BEYOND_SHARE * wayFrom(out, known, unknown);
  const most = 1 - BEYOND_SHARE * (1 - wayFrom(out, far, farthest));
  if (risk <= most) return Math.max(least, risk);
  // What is dark at its own corner is darker beyond; and other rims than the lens's may end the halo before.
  const atOwnCorner = chanceOfDark(halo, beyond.fromMm, leastLight, unsure);
  const ofOthers = { ...halo, rims: halo.rims.slice(beyond.rims) };
  const byOthers = chanceOfDark(ofOthers, cornerMm, leastLight, { ...unsure, beyond: null });
  return Math.min(risk, Math.max(most, atOwnCorner, byOthers));
}

/**
 * Probability, 0..1, that the worst corner over the travel is darker than `limitStops` or hard; never surer than the
 * share of lenses unlike their kind, nor than anybody can be beyond the corner of the format a lens was made for.
 */
export function riskOf(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  limitStops: number,
  unsure: HaloUnsure,
): number {
  const { halo: seen, cornerMm } = worstCornerUnder(halo, frame, travel);
  const leastLight = 2 ** -limitStops;
  const told = chanceOfDark(seen, cornerMm, leastLight, unsure);
  const risk = heldBeyond(told, seen, cornerMm, leastLight, unsure);
  return clamp(risk, unsure.unlikeShare, 1 - unsure.unlikeShare);
}
