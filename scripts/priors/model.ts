/** The estimate of a lens as the fit sees it: softness and exit pupil in logarithms, the edge beside them. */
import {
  EDGE_SIGMA,
  falloffScatter,
  haloOfShares,
  priorFeatures,
  usualEdge,
  type LensKind,
  darknessStops,
  lightAt,
} from '../../src/core/halo';
import { diagonalMm, FULL_FRAME } from '../../src/core/optics';
import type { NativeFalloff } from './database';

export const FIGURES = ['edge', 'softness', 'exitPupil'] as const;
/** Departures of a lens's edge from the usual one, and its softness and exit pupil, as logarithms. */
export type LogFigures = readonly [edge: number, softness: number, exitPupil: number];

export const HALF_DIAGONAL_MM = diagonalMm(FULL_FRAME) / 2;

export const isZoom = (lens: NativeFalloff): boolean => lens.focalMaxMm > lens.focalMinMm * 1.01;

export const kindOf = (lens: NativeFalloff): LensKind => ({
  focalShare: lens.focalMm / (2 * HALF_DIAGONAL_MM),
  zoomPlace: isZoom(lens)
    ? (2 * Math.log(lens.focalMm / lens.focalMinMm)) / Math.log(lens.focalMaxMm / lens.focalMinMm) -
      1
    : null,
  openFNumber: lens.openFNumber,
});

const DARKEST_STOPS = 8;

/** Darkness in stops at a share of the half-diagonal of 36x24. */
export function modelStops(
  kind: LensKind,
  [edge, softness, exitPupil]: LogFigures,
  fNumber: number,
  share: number,
): number {
  const halo = haloOfShares(
    {
      edge: usualEdge(kind) * Math.exp(edge),
      softness: Math.exp(softness),
      exitPupil: Math.exp(exitPupil),
    },
    FULL_FRAME,
    kind.openFNumber,
    fNumber,
  );
  const { light } = lightAt(halo, share * HALF_DIAGONAL_MM);
  return Math.min(DARKEST_STOPS, darknessStops(light) ?? DARKEST_STOPS);
}

export const featuresOf = (lens: NativeFalloff): { softness: number[]; exitPupil: number[] } =>
  priorFeatures(kindOf(lens));

/** What a fit finds. */
export interface Fitted {
  softness: readonly number[];
  exitPupil: readonly number[];
  /** Of the falloff at the focal shares 1/2 and 2. */
  sigma: { softness: number; falloff: readonly [short: number, long: number] };
  /** What the model leaves over, stops. */
  noiseStops: number;
}

export const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, v, i) => sum + v * (b[i] ?? 0), 0);

/** What is expected of a lens. */
export function expectedFigures(fitted: Fitted, lens: NativeFalloff): LogFigures {
  const features = featuresOf(lens);
  return [0, dot(features.softness, fitted.softness), dot(features.exitPupil, fitted.exitPupil)];
}

/** How far such lenses scatter about it: the logarithms of edge and softness, and the falloff 1/L² in shares. */
export const scatterOf = (
  { sigma }: Pick<Fitted, 'sigma'>,
  lens: NativeFalloff,
): readonly [edge: number, softness: number, falloff: number] => [
  EDGE_SIGMA,
  sigma.softness,
  falloffScatter(kindOf(lens), sigma.falloff),
];

/** Falloff never vanishes wholly. */
const LEAST_FALLOFF = 1e-3;

/** Change of the logarithm of the exit pupil where falloff is `share` more than usual. */
export const pupilOfFalloff = (share: number): number =>
  -Math.log(Math.max(LEAST_FALLOFF, 1 + share)) / 2;

/** How much more than usual falloff is where the logarithm of the exit pupil is `by` more. */
export const falloffOfPupil = (by: number): number => Math.exp(-2 * by) - 1;
