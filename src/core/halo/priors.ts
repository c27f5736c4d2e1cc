/**
 * What to expect of a lens nobody has measured: edge radius, softness and exit pupil as smooth functions of its focal
 * length over the diagonal it was made for, of how small that is, of where in its zoom it stands and of how fast it is.
 * Softness and exit pupil are fitted to the corners of the lenses of the Lensfun database on their own format
 * (`npm run priors`, see docs/optics.md "Without a measurement"). That data ends in the corner: how far the
 * halo reaches beyond is common practice, no source, and wide open to doubt. Shown as "estimated" and never as fact.
 */
import { isZoom, openFNumberAt, type Lens } from '../kit/records';
import { clamp, keptFor } from '../maths';
import { diagonalMm, type FrameSize, FULL_FRAME } from '../optics';
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
   * How far lenses of the kind scatter: standard deviations of the logarithms of the way from the own corner to the
   * edge and of softness, and that of natural falloff, 1/L², as a share of the usual.
   */
  sigma: { reach: number; softness: number; falloff: number };
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
  /** How much smaller than that of 36x24 the design diagonal is, in doublings. */
  smaller: number;
}

/** Beyond these the functions are held: the data ends there. In doublings of the design diagonal. */
const SHORTEST = -1.5;
const LONGEST = 3;
/** The data knows formats down to 17.3x13: half the diagonal of 36x24. */
const SMALLEST = 1;

const smallness = ({ smaller }: LensKind): number => clamp(smaller, 0, SMALLEST);

const doublings = ({ focalShare }: LensKind): number =>
  clamp(Math.log2(focalShare), SHORTEST, LONGEST);

/** Features whose weighted sum is the logarithm of softness, and that of the exit pupil. */
export function priorFeatures(kind: LensKind): { softness: number[]; exitPupil: number[] } {
  const x = doublings(kind);
  const speed = Math.log2(clamp(kind.openFNumber, 1, 11) / 2.8);
  const smaller = smallness(kind);
  const place = kind.zoomPlace === null ? [] : [kind.zoomPlace];
  return {
    softness: [1, x, x * x, speed, smaller, ...place],
    exitPupil: [1, x, x * x, smaller],
  };
}

const smoothStep = (t: number): number => {
  const s = clamp(t, 0, 1);
  return s * s * (3 - 2 * s);
};

/**
 * The way from the own corner to the edge to expect, over half the design diagonal. Common practice, no source: primes
 * cover better than zooms, long ones better than short ones and those for small formats less well, zooms least at their
 * wide end; from 85 mm up most primes for 36x24 cover or nearly cover 43.8x32.9, many zooms 12-24 for
 * 23.5x15.6 cover 36x24 from about 18 mm, and a 25/1.4 for 17.3x13 does not cover 23.5x15.6.
 */
export function usualReach(kind: LensKind): number {
  const { zoomPlace } = kind;
  if (zoomPlace === null) {
    const tight = 1 - 0.25 * smallness(kind);
    return tight * (0.22 + 0.24 * smoothStep((doublings(kind) + 1) / 3.5));
  }
  const fromLongEnd = (1 - zoomPlace) / 2;
  return 0.14 + 0.26 * (1 - fromLongEnd ** 2);
}

/** How far lenses of a kind scatter about it: standard deviation of its logarithm. Common practice, no source. */
const REACH_SIGMA = { prime: 0.55, zoom: 0.65 } as const;

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
    edge: 1 + usualReach(kind),
    softness: Math.exp(sum(softness, features.softness)),
    exitPupil: Math.exp(sum(exitPupil, features.exitPupil)),
    sigma: {
      reach: REACH_SIGMA[kind.zoomPlace === null ? 'prime' : 'zoom'],
      softness: sigma.softness,
      falloff: falloffScatter(kind, sigma.falloff),
    },
  };
}

/** How many rims such a lens is given. */
export const USUAL_RIMS = 2;

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
  const diagonal = diagonalMm(lens.designFormat);
  return {
    focalShare: focalMm / diagonal,
    smaller: Math.log2(diagonalMm(FULL_FRAME) / diagonal),
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

/**
 * What the open data does not tell, by character: how many times as far beyond their own corner they reach. Common
 * practice, no source: macros farther than others, anamorphics less far; longer lenses for film much farther: of those
 * for 16 mm film most from 25 mm up cover or nearly cover 17.3x13.
 */
const CHARACTER_REACH = {
  general: () => 1,
  cine: (kind: LensKind) => 1 + 1.5 * smoothStep((doublings(kind) + 1) / 2),
  macro: () => 1.3,
  anamorphic: () => 0.85,
} as const satisfies Record<Lens['character'], (kind: LensKind) => number>;
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
    edge: 1 + (usual.edge - 1) * CHARACTER_REACH[lens.character](kind),
    sigma: {
      reach: usual.sigma.reach * doubt,
      softness: usual.sigma.softness * doubt,
      falloff: usual.sigma.falloff * doubt,
    },
    kind: kindWords(lens, kind),
  };
}
