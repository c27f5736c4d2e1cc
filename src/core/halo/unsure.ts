/** How unsure a halo is, and where its rims stand if it is otherwise than expected. */
import type { Rim } from './rim';
import type { Halo } from './rims';

/**
 * What an estimate rests on ends in the corner of the format the lens was made for. How much farther the halo reaches is
 * lognormal about what is expected: beyond that corner the halo may be stretched or squeezed, and inside nothing changes.
 */
export interface BeyondOwnCorner {
  /** Where the estimate's data ends, mm from the halo's centre on the sensor. */
  fromMm: number;
  /** Standard deviation of the logarithm of the way from there to the edge. */
  sigma: number;
  /** How many rims are the lens's own; they come first. Those of the train stay where they are. */
  rims: number;
}

/** How unsure a halo is. */
export interface HaloUnsure {
  /** Standard deviation of the edge radii on the sensor, mm, besides what is not known beyond its own corner. */
  edgeSigmaMm: number;
  /** Null where frames or a figure tell of the edge. */
  beyond: BeyondOwnCorner | null;
  /** Standard deviation of the logarithm of the softness. */
  softnessSigma: number;
  /** Standard deviation of natural falloff, 1/L², as a share of it. */
  falloffSigma: number;
  /** Share of lenses that are unlike all that was expected: no risk is stated below it, nor above 1 less it. */
  unlikeShare: number;
  /** Whether nobody knows on which side of the iris the lens's own rim stands: a single one was seen. */
  isSideUnknown: boolean;
  /** How errors of the edge spread: most of a measurement's are small and a few large, an estimate's are normal. */
  errors: 'normal' | 'long-tailed';
}

/** No rim is let shrink below this, mm. */
const LEAST_EDGE_MM = 0.05;

/** A place beyond the own corner, stretched away from it so many times, mm. */
const stretched = (mm: number, fromMm: number, times: number): number =>
  fromMm + times * (mm - fromMm);

/** How many times what lies beyond the own corner is stretched, for whoever asks about a radius. */
const stretchAt = ({ beyond }: HaloUnsure, radiusMm: number, z: number): number =>
  beyond && radiusMm > beyond.fromMm ? Math.exp(z * beyond.sigma) : 1;

/**
 * The rims as they stand if the edge is `z` standard deviations farther out and every softness times `soft`, for whoever
 * asks about a place so far from the halo's centre: inside its own corner nothing is stretched.
 */
export function swayed(
  rims: readonly Rim[],
  unsure: HaloUnsure,
  radiusMm: number,
  z: number,
  soft = 1,
): Rim[] {
  const { edgeSigmaMm, beyond } = unsure;
  const fromMm = beyond?.fromMm ?? 0;
  const stretch = stretchAt(unsure, radiusMm, z);
  return rims.map((rim, i): Rim => {
    const { edgeRadiusMm, softnessMm } = rim;
    const times = i < (beyond?.rims ?? 0) ? stretch : 1;
    const moved = times === 1 ? edgeRadiusMm : stretched(edgeRadiusMm, fromMm, times);
    const edge = Math.max(LEAST_EDGE_MM, moved + z * edgeSigmaMm);
    return {
      ...rim,
      edgeRadiusMm: edge,
      softnessMm: Math.min(edge, softnessMm * times * soft),
    };
  });
}

/** Where what is expected at a radius lies if the edge is `z` standard deviations farther out, mm. */
export function swayedRadiusMm(radiusMm: number, unsure: HaloUnsure, z: number): number {
  const { edgeSigmaMm, beyond } = unsure;
  const times = stretchAt(unsure, radiusMm, z);
  const moved = times === 1 ? radiusMm : stretched(radiusMm, beyond?.fromMm ?? 0, times);
  return Math.max(0, moved + z * edgeSigmaMm);
}

/** How well the edge is known: one standard deviation inward and outward, mm. */
export interface EdgeSpread {
  inwardMm: number;
  outwardMm: number;
}

/** How well the narrowest edge of a halo is known. */
export function edgeSpread({ rims }: Halo, unsure: HaloUnsure): EdgeSpread {
  const edgeAt = (z: number) =>
    Math.min(...swayed(rims, unsure, Infinity, z).map(({ edgeRadiusMm }) => edgeRadiusMm));
  const expected = edgeAt(0);
  return { inwardMm: expected - edgeAt(-1), outwardMm: edgeAt(1) - expected };
}
