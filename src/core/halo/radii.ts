/** From a halo to the radii people speak of: clear, half light, black, and the -1 and -2 stop circles. */
import { whereFalling } from '../maths';
import { blackoutRadiusMm, openRadiusMm, type Rim } from './rim';
import { lightAt, transmissionAt, type Halo } from './rims';

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

/** Radius at which rims let `transmission` through, mm. */
export const radiusAtTransmission = (rims: readonly Rim[], transmission: number): number =>
  whereFalling(
    (r) => transmissionAt(rims, r),
    transmission,
    openRadiusMm(rims),
    blackoutRadiusMm(rims),
  );

/** A halo at some places from its centre to the black, between which its named radii are sought. */
export interface HaloProfile {
  radii: number[];
  through: number[];
  light: number[];
}

/** Places between where the rims begin to cut and where nothing gets through. */
const PLACES_IN_EDGE = 6;

/** Worked out once where several radii of one halo are asked for. */
export function haloProfile(halo: Halo): HaloProfile {
  const open = openRadiusMm(halo.rims);
  const end = blackoutRadiusMm(halo.rims);
  const radii = [0];
  for (let i = 0; i <= PLACES_IN_EDGE; i += 1)
    radii.push(open + ((end - open) * i) / PLACES_IN_EDGE);
  const points = radii.map((r) => lightAt(halo, r));
  return {
    radii,
    through: points.map((p) => p.transmission),
    light: points.map((p) => p.light),
  };
}

/** Where a falling figure of the halo, known along its profile, passes a level, mm. */
function radiusAt(
  level: number,
  of: (r: number) => number,
  radii: readonly number[],
  known: readonly number[],
): number {
  const after = known.findIndex((value) => value <= level);
  const i = after < 0 ? radii.length - 1 : Math.max(1, after);
  const [low = 0, high = 0] = [radii[i - 1], radii[i]];
  return whereFalling(of, level, low, high, known[i - 1], known[i]);
}

const radiusOfLight = (halo: Halo, { radii, light }: HaloProfile, level: number): number =>
  radiusAt(level, (r) => lightAt(halo, r).light, radii, light);

/** Radius at which a halo's light has fallen to `level` of its middle's, mm; where none does so, that at which it ends. */
export const radiusAtLight = (halo: Halo, level: number): number =>
  radiusOfLight(halo, haloProfile(halo), level);

const radiusThrough = (halo: Halo, { radii, through }: HaloProfile, level: number): number =>
  radiusAt(level, (r) => transmissionAt(halo.rims, r), radii, through);

/**
 * The radius within which a corner is accepted, mm: the light is down by no more than `limitStops` and the
 * rims leave an eighth. The one circle that verdict, margin, clean frame, scale-up and ways out go by.
 */
export function acceptedRadius(
  halo: Halo,
  limitStops: number,
  profile: HaloProfile = haloProfile(halo),
): number {
  const dark = radiusOfLight(halo, profile, 2 ** -limitStops);
  return transmissionAt(halo.rims, dark) >= HARD_TRANSMISSION
    ? dark
    : Math.min(dark, radiusThrough(halo, profile, HARD_TRANSMISSION));
}

/** All named radii of a halo, mm, each >= 0. */
export const haloRadii = (halo: Halo, profile: HaloProfile = haloProfile(halo)): HaloRadii => ({
  clear: radiusThrough(halo, profile, CLEAR_TRANSMISSION),
  half: radiusThrough(halo, profile, HALF_TRANSMISSION),
  black: radiusThrough(halo, profile, BLACK_TRANSMISSION),
  minus1: radiusOfLight(halo, profile, 0.5),
  minus2: radiusOfLight(halo, profile, 0.25),
});
