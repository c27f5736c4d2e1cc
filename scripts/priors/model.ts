/** The estimate of a lens as the fit sees it: softness and exit pupil in logarithms. The edge lies beyond its data. */
import {
  falloffScatter,
  haloOfShares,
  priorFeatures,
  usualReach,
  type LensKind,
  darknessStops,
  lightAt,
} from '../../src/core/halo';
import { diagonalMm, FULL_FRAME } from '../../src/core/optics';
import type { NativeFalloff } from './database';

export const FIGURES = ['softness', 'exitPupil'] as const;
/** Softness and exit pupil of a lens, as logarithms. */
export type LogFigures = readonly [softness: number, exitPupil: number];

export const isZoom = (lens: NativeFalloff): boolean => lens.focalMaxMm > lens.focalMinMm * 1.01;

export const kindOf = (lens: NativeFalloff): LensKind => ({
  focalShare: lens.focalMm / diagonalMm(lens.format),
  smaller: Math.log2(diagonalMm(FULL_FRAME) / diagonalMm(lens.format)),
  zoomPlace: isZoom(lens)
    ? (2 * Math.log(lens.focalMm / lens.focalMinMm)) / Math.log(lens.focalMaxMm / lens.focalMinMm) -
      1
    : null,
  openFNumber: lens.openFNumber,
});

const DARKEST_STOPS = 8;

/** Darkness in stops at a share of the half-diagonal: that of a lens for 36x24, as all is told in shares of the format. */
export function modelStops(
  kind: LensKind,
  [softness, exitPupil]: LogFigures,
  fNumber: number,
  share: number,
): number {
  const halo = haloOfShares(
    {
      edge: 1 + usualReach(kind),
      softness: Math.exp(softness),
      exitPupil: Math.exp(exitPupil),
    },
    FULL_FRAME,
    kind.openFNumber,
    fNumber,
  );
  const { light } = lightAt(halo, (share * diagonalMm(FULL_FRAME)) / 2);
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
  return [dot(features.softness, fitted.softness), dot(features.exitPupil, fitted.exitPupil)];
}

/** How far such lenses scatter about it: the logarithm of softness, and the falloff 1/L² in shares. */
export const scatterOf = (
  { sigma }: Pick<Fitted, 'sigma'>,
  lens: NativeFalloff,
): readonly [softness: number, falloff: number] => [
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
