/** From a halo to the radii people speak of: clear, half light, black, and the -1 and -2 stop circles. */
import { whereFalling } from '../maths/rootFinding';
import {
  blackoutRadiusMm,
  lightAt,
  openRadiusMm,
  transmissionAt,
  type Halo,
  type Rim,
} from './rims';

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

/**
 * The radius within which a corner is accepted, mm: the light is down by no more than `limitStops` and the
 * rims leave an eighth. The one circle that verdict, margin, clean frame, scale-up and ways out go by.
 */
export function acceptedRadius(halo: Halo, limitStops: number): number {
  const { rims } = halo;
  const dark = whereFalling(
    (r) => lightAt(halo, r).light,
    2 ** -limitStops,
    0,
    blackoutRadiusMm(rims),
  );
  return transmissionAt(rims, dark) >= HARD_TRANSMISSION
    ? dark
    : Math.min(dark, radiusAtTransmission(rims, HARD_TRANSMISSION));
}

/** All named radii of a halo, mm, each >= 0. Each search starts where the last one ended. */
export function haloRadii(halo: Halo): HaloRadii {
  const through = (r: number) => transmissionAt(halo.rims, r);
  const light = (r: number) => lightAt(halo, r).light;
  const open = openRadiusMm(halo.rims);
  const end = blackoutRadiusMm(halo.rims);
  const half = whereFalling(through, HALF_TRANSMISSION, open, end);
  const minus1 = whereFalling(light, 0.5, 0, end);
  return {
    clear: whereFalling(through, CLEAR_TRANSMISSION, open, half),
    half,
    black: whereFalling(through, BLACK_TRANSMISSION, half, end),
    minus1,
    minus2: whereFalling(light, 0.25, minus1, end),
  };
}
