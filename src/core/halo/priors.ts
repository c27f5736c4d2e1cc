/**
 * What to expect of a lens nobody has measured: edge radius, softness and exit pupil as smooth functions of
 * its focal length over the diagonal it was made for, of where in its zoom it stands and of how fast it is.
 * Softness and exit pupil are fitted to the corners of the lenses of the Lensfun database on their own format
 * (`npm run priors`, see docs/optics.md "Without a measurement"). That data ends in the corner: how far the
 * halo reaches beyond is common practice, no source. Shown as "estimated" and never as fact.
 */
import { isZoom, openFNumberAt, type Lens } from '../kit/records';
import { clamp, keptFor } from '../maths';
import { diagonalMm, type FrameSize } from '../optics';
import { PRIOR_CONSTANTS } from './priorConstants';
import type { Halo } from './rims';

/** A halo by shares of the format the lens was made for. */
interface HaloShares {
  /** Edge radius of the front rim over half the diagonal. */
  edge: number;
  /** Softness of the front rim wide open over its edge radius. */
  softness: number;
  /** Exit-pupil distance over the diagonal. */
  exitPupil: number;
}

interface Prior extends HaloShares {
  /**
   * How far lenses of the kind scatter: standard deviations of the logarithms of edge and softness, and that
   * of natural falloff, 1/L², as a share of the usual.
   */
  sigma: { edge: number; softness: number; falloff: number };
  /** In words, for the reader who asks why. */
  kind: string;
}

/** What of a lens the estimate looks at. */
export interface LensKind {
  /** Focal length over the design diagonal. */
  focalShare: number;
  /** Where in the zoom: -1 at the wide end, +1 at the long one; null for a prime. */
  zoomPlace: number | null;
  openFNumber: number;
}

/** Beyond these the functions are held: the data ends there. In doublings of the design diagonal. */
const SHORTEST = -1.5;
const LONGEST = 3;

const doublings = ({ focalShare }: LensKind): number =>
  clamp(Math.log2(focalShare), SHORTEST, LONGEST);

/** Features whose weighted sum is the logarithm of softness, and that of the exit pupil. */
export function priorFeatures(kind: LensKind): { softness: number[]; exitPupil: number[] } {
  const x = doublings(kind);
  const speed = Math.log2(clamp(kind.openFNumber, 1, 11) / 2.8);
  const place = kind.zoomPlace === null ? [] : [kind.zoomPlace];
  return { softness: [1, x, x * x, speed, ...place], exitPupil: [1, x, x * x] };
}

const smoothStep = (t: number): number => {
  const s = clamp(t, 0, 1);
  return s * s * (3 - 2 * s);
};

/**
 * How far the halo reaches beyond the format. Common practice, no source: primes cover better than zooms,
 * long lenses better than short ones, zooms least at their ends; from 85 mm up most primes for 36x24 cover
 * or nearly cover 43.8x32.9.
 */
export function usualEdge(kind: LensKind): number {
  const x = doublings(kind);
  return kind.zoomPlace === null
    ? 1.2 + 0.12 * smoothStep((x + 1) / 2.2)
    : 1.13 + 0.06 * smoothStep((x + 1) / 2.5) + 0.03 * (1 - kind.zoomPlace ** 2);
}

/** Standard deviation of the logarithm of the edge radius; common practice, no source. */
export const EDGE_SIGMA = 0.07;

/**
 * The second rim of such a lens: wider and softer than the first. With it two figures describe what the
 * corners do over the apertures about as well as two free rims would; see docs/optics.md.
 */
const REAR_EDGE = 1.7;
const REAR_SOFTNESS = 2.5;

const sum = (weights: readonly number[], features: readonly number[]): number =>
  features.reduce((total, v, i) => total + v * (weights[i] ?? 0), 0);

/** The scatter of falloff is told at the focal shares 1/2 and 2, and runs straight between. */
const SCATTER_DOUBLINGS = 1;

/** Standard deviation of natural falloff as a share of the usual. */
export function falloffScatter(kind: LensKind, [short, long]: readonly [number, number]): number {
  const t = (doublings(kind) + SCATTER_DOUBLINGS) / (2 * SCATTER_DOUBLINGS);
  return short + (long - short) * clamp(t, 0, 1);
}

/** What the fit says of a kind of lens. */
export function usualOf(kind: LensKind): Omit<Prior, 'kind'> {
  const { softness, exitPupil, sigma } =
    kind.zoomPlace === null ? PRIOR_CONSTANTS.prime : PRIOR_CONSTANTS.zoom;
  const features = priorFeatures(kind);
  return {
    edge: usualEdge(kind),
    softness: Math.exp(sum(softness, features.softness)),
    exitPupil: Math.exp(sum(exitPupil, features.exitPupil)),
    sigma: {
      edge: EDGE_SIGMA,
      softness: sigma.softness,
      falloff: falloffScatter(kind, sigma.falloff),
    },
  };
}

/** A halo of given shares at f-number `fNumber`, on the lens's own image plane, focused far away. */
export function haloOfShares(
  { edge, softness, exitPupil }: HaloShares,
  format: FrameSize,
  openFNumber: number,
  fNumber: number,
): Halo {
  const diagonal = diagonalMm(format);
  const edgeMm = (edge * diagonal) / 2;
  const softMm = (softness * edgeMm * openFNumber) / fNumber;
  return {
    rims: [
      { side: 'front', edgeRadiusMm: edgeMm, softnessMm: Math.min(edgeMm, softMm) },
      {
        side: 'rear',
        edgeRadiusMm: REAR_EDGE * edgeMm,
        softnessMm: Math.min(REAR_EDGE * edgeMm, REAR_SOFTNESS * softMm),
      },
    ],
    exitPupilMm: exitPupil * diagonal,
    coneTangent: 1 / (2 * fNumber),
    centre: { xMm: 0, yMm: 0 },
  };
}

/** Where a lens at `focalMm` stands among its kind. */
function lensKind(lens: Lens, focalMm: number): LensKind {
  const share = Math.log(focalMm / lens.focalMinMm) / Math.log(lens.focalMaxMm / lens.focalMinMm);
  return {
    focalShare: focalMm / diagonalMm(lens.designFormat),
    zoomPlace: isZoom(lens) ? 2 * clamp(share, 0, 1) - 1 : null,
    openFNumber: openFNumberAt(lens, focalMm),
  };
}

const KIND_WORDS = { macro: 'macro', cine: 'cine prime', anamorphic: 'anamorphic' } as const;

function kindWords(lens: Lens, { focalShare, zoomPlace }: LensKind): string {
  const { character } = lens;
  if (character !== 'general' && (zoomPlace === null || character === 'anamorphic'))
    return KIND_WORDS[character];
  if (zoomPlace !== null)
    return (
      ['zoom, wide end', 'zoom, middle', 'zoom, long end'][Math.round(zoomPlace) + 1] ?? 'zoom'
    );
  if (focalShare < 0.8) return 'short prime';
  return focalShare < 1.6 ? 'normal prime' : 'long prime';
}

/** What the open data does not tell, by character: macros cover more than others, anamorphics less; common practice, no source. */
const CHARACTER_EDGE = { general: 1, cine: 1, macro: 1.06, anamorphic: 0.97 } as const;
/** How much less sure the estimate is where the data has no such lenses. */
const CHARACTER_DOUBT = { general: 1, cine: 1.25, macro: 1.25, anamorphic: 1.4 } as const;

/** Exit-pupil distance to expect of a lens at `focalMm`, mm from the sensor. */
export const usualExitPupilMm = (lens: Lens, focalMm: number): number =>
  priorFor(lens, focalMm).exitPupil * diagonalMm(lens.designFormat);

const cache = new WeakMap<Lens, Map<number, Prior>>();

/** What to expect of a lens at `focalMm` without a measurement. */
export const priorFor = (lens: Lens, focalMm: number): Prior =>
  keptFor(cache, lens, focalMm, () => buildPrior(lens, focalMm));

function buildPrior(lens: Lens, focalMm: number): Prior {
  const kind = lensKind(lens, focalMm);
  const usual = usualOf(kind);
  const doubt = CHARACTER_DOUBT[lens.character];
  return {
    ...usual,
    edge: usual.edge * CHARACTER_EDGE[lens.character],
    sigma: {
      edge: usual.sigma.edge * doubt,
      softness: usual.sigma.softness * doubt,
      falloff: usual.sigma.falloff * doubt,
    },
    kind: kindWords(lens, kind),
  };
}
