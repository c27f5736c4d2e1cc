/** What the halo on the sensor rests on, the rims of the train counted in. */
import {
  evidenceFor,
  type HaloEvidence,
  predictHalo,
  PUPIL_SHARE_OF_FALLOFF,
  widestEdgeMm,
} from '../../halo';
import { fullName, isFront, type Part } from '../../kit/records';
import type { Situation } from '../../rig';
import { haloBehind, isMadeForLens, isRimUnknown, placeDoubt, rimsKnown } from '../train';

/** A halo as it falls on the sensor, and what threw it. */
type OnSensor = Pick<Situation, 'at' | 'train' | 'halo'>;

/** A rim wider than the narrowest by this ratio does not affect the edge. */
const TAKES_NO_PART = 1.4;

/**
 * Least share of rigs that differ from what is said: where a rim was taken from throat or format, and where nothing at all
 * tells of one. Assumptions; that glass before a lens cuts oftener than glass behind it is common practice, no source.
 */
const ASSUMED_UNLIKE_SHARE = 0.01;
const UNKNOWN_UNLIKE = {
  behind: {
    share: 0.1,
    words:
      'is not known at all: neither its rim, its format nor its throat; one in ten cuts more than is said',
  },
  before: {
    share: 0.2,
    words: 'before this lens nobody measured; one in five cuts more than is said',
  },
} as const;
const unlikeOf = (part: Part) => UNKNOWN_UNLIKE[isFront(part) ? 'before' : 'behind'];

/** What such a rim scatters by, share of its radius; an assumption. */
const MADE_FOR_SIGMA = 0.02;

const DOUBTS = {
  assumed: (name: string) =>
    `the rim of ${name} was never measured: taken from its throat or format`,
  'pupil unknown': (name: string) =>
    `the rim of ${name} was seen with a lens whose exit pupil is not known; with another it may look wider or narrower`,
  measured: null,
} as const;

/**
 * Where falloff says an exit pupil is, rays toward the edge cross no nearer than to this share of it: pupils wander with
 * the angle. Found on lenses traced by rays (docs/optics.md, "Risk").
 */
const PUPIL_WANDERS = 0.12;

/**
 * What is not known of the lens's exit pupil makes the edge unsure where a tube stands behind a converter, mm: the halo
 * grows there by 1 + e/L′, and glass throws the pupil much farther out than it is unsure by.
 */
function edgeByPupil({ at, train, halo }: OnSensor, falloffSigma: number, helicoidMm: number) {
  const { behindMm = 0, fNumber } = at.setting;
  if (behindMm === 0) return 0;
  const bare = predictHalo(at);
  const { exitPupilMm: pupilMm } = bare;
  if (pupilMm === null) return 0;
  const edgeIf = (exitPupilMm: number) =>
    haloBehind(train, { ...bare, exitPupilMm }, fNumber, helicoidMm).rims[0]?.edgeRadiusMm ?? 0;
  const share = Math.hypot(PUPIL_SHARE_OF_FALLOFF * falloffSigma, PUPIL_WANDERS);
  const told = halo.rims[0]?.edgeRadiusMm ?? 0;
  return Math.max(
    ...[1 + share, 1 / (1 + share)].map((times) => Math.abs(edgeIf(pupilMm * times) - told)),
  );
}

/** How many times as wide a tube behind a converter makes the lens's halo. */
function grownBehind({ at, train, halo }: OnSensor): number {
  if (!at.setting.behindMm) return 1;
  const bare = predictHalo(at).rims[0];
  const here = halo.rims[0];
  return bare && here ? here.edgeRadiusMm / (bare.edgeRadiusMm * train.factor) : 1;
}

/** The evidence of the bare lens, less sure by what is not known of the converters' own rims. */
export function evidenceBehind(situation: OnSensor, helicoidMm = 0): HaloEvidence {
  const { at, train, halo } = situation;
  const bare = evidenceFor(at, train.factor);
  const byPupilMm = edgeByPupil(situation, bare.falloffSigma, helicoidMm);
  const evidence: HaloEvidence = {
    ...bare,
    edgeSigmaMm: Math.hypot(bare.edgeSigmaMm, byPupilMm),
    beyond: bare.beyond && { ...bare.beyond, fromMm: bare.beyond.fromMm * grownBehind(situation) },
  };
  const own = train.parts.flatMap((part) =>
    rimsKnown(part, train.mounts).map((known) => ({ part, ...known })),
  );
  const unknown = train.parts.filter((part) => isRimUnknown(part, train.mounts));
  if (own.length === 0 && unknown.length === 0) return evidence;
  const edges = halo.rims.map(widestEdgeMm);
  const narrowest = Math.min(...edges);
  /** How far what is not known of a rim makes the edge unsure, 0..1: all of it where it is the narrowest. */
  const takesPart = (edge: number): number =>
    Math.max(0, Math.min(1, (TAKES_NO_PART - edge / narrowest) / (TAKES_NO_PART - 1)));
  // The train's own rims stand behind the lens's, in its order.
  const first = edges.length - own.length;
  const ofLens = takesPart(Math.min(...edges.slice(0, first))) * evidence.edgeSigmaMm;
  const variance = own.reduce((sum, { part, sigma, how }, i) => {
    const edge = edges[first + i] ?? narrowest;
    // Nobody measured it, but behind a lens of the kind it is made for it is made not to cut.
    const isMadeFor = how === 'assumed' && isMadeForLens(part, at.lens);
    const placed = how === 'assumed' ? placeDoubt(part, train.mounts, halo.exitPupilMm) : 0;
    const known = isMadeFor ? MADE_FOR_SIGMA : Math.hypot(sigma, placed);
    return sum + (takesPart(edge) * known * edge) ** 2;
  }, ofLens ** 2);
  const isAssumed = own.some(({ how }) => how === 'assumed');
  return {
    ...evidence,
    edgeSigmaMm: Math.sqrt(variance),
    unlikeShare: Math.max(
      evidence.unlikeShare,
      isAssumed ? ASSUMED_UNLIKE_SHARE : 0,
      ...unknown.map((part) => unlikeOf(part).share),
    ),
    doubts: [
      ...evidence.doubts,
      ...own.flatMap(({ part, how }) => DOUBTS[how]?.(fullName(part)) ?? []),
      ...unknown.map(
        (part) => `how wide ${fullName(part)} lets light through ${unlikeOf(part).words}`,
      ),
    ],
  };
}
