/** What the halo of a lens at a setting rests on, and how sure it is. */
import {
  EVIDENCE_KINDS,
  isEdgeUnseen,
  isOneFrame,
  type EvidenceKind,
  type Lens,
} from '../kit/records';
import { diagonalMm, FULL_FRAME, stopsBetweenFNumbers } from '../optics';
import { focusDoubt, type FocusDoubt, type LensAt } from './focus';
import {
  atAperture,
  knotsAbout,
  marksOf,
  SAME_APERTURE_STOPS,
  type Knot,
  type Mark,
} from './marks';
import { priorFor, USUAL_RIMS } from './priors';
import { MEANING_SIGMA } from './published';
import type { HaloUnsure } from './unsure';

export interface HaloEvidence extends HaloUnsure {
  kind: EvidenceKind;
  /** Ids of the samples it rests on; empty for an estimate from the kind of lens. */
  sampleIds: string[];
  /** Test frames behind those samples. */
  frames: number;
  /** Latest date among them, ISO; empty where none is known. */
  date: string;
  /** Reasons why the figure is less sure than its samples, for the reader. */
  doubts: string[];
}

/**
 * Of the lenses of the Lensfun database one in a hundred is unlike its kind (scripts/priors); a figure told by
 * somebody else is taken to be no better.
 */
const UNLIKE_SHARE = { measured: 0, seen: 0.01, published: 0.01, estimated: 0.01 } as const;

/**
 * Prediction far from the aperture of one frame, or one published figure, mm on 36x24: found on lenses traced by
 * rays (docs/optics.md, "Risk").
 */
const ONE_APERTURE_SIGMA_MM = { measured: 3, seen: 3, published: 2, estimated: 3 } as const;
/**
 * An edge wanders with the width of the cone that grazes it, so with 1/N and not with stops: f/8 tells f/16 well
 * and f/2 badly. Where 1/N differs by so much, one figure tells as little as it ever will.
 */
const ONE_APERTURE_REACH = 0.3;
/** Growth per octave of focal length outside the samples, share of R. An assumption. */
const OUTSIDE_SIGMA_SHARE = 0.06;
/** Growth half way between two samples an octave apart, share of R; zooms wander between. An assumption. */
const BETWEEN_SIGMA_SHARE = 0.025;

/** Half way between two apertures of which each spoke for its own, share of what they differ by. An assumption. */
const BETWEEN_APERTURES_SHARE = 0.25;

/** Softness as samples of a kind tell it; one frame tells that of other apertures less well. */
export const SOFTNESS_SIGMA = {
  measured: 0.07,
  seen: 0.35,
  published: 0.25,
  estimated: 0.35,
} as const;
const SINGLE_FRAME_SOFTNESS_SIGMA = 0.2;
/** Falloff by a told exit pupil; within one frame it is easily taken for the softness of a rim. */
const FALLOFF_SIGMA = { measured: 0.08, seen: 0.5, published: 0.3, estimated: 0.5 } as const;
const SINGLE_FRAME_FALLOFF_SIGMA = 0.25;

interface Variances {
  edge: number;
  softness: number;
  falloff: number;
}

/** How unsure one sample of a mark at `markMm` is at an aperture. */
function knotVariances(
  lens: Lens,
  { sample, frontEdge }: Knot,
  fNumber: number,
  markMm: number,
): Variances {
  const { kind } = sample.evidence;
  const single = isOneFrame(sample.evidence);
  // A published radius speaks of one aperture, as a frame does; two rims were told from several.
  const ofOne = single || (kind !== 'measured' && sample.rear === null);
  const away = ofOne
    ? Math.min(1, Math.abs(1 / fNumber - 1 / sample.fNumber) / ONE_APERTURE_REACH)
    : 0;
  const singleMm =
    (ONE_APERTURE_SIGMA_MM[kind] * diagonalMm(lens.designFormat)) / diagonalMm(FULL_FRAME);
  const falloffKind = isEdgeUnseen(sample) ? 'measured' : kind;
  const falloffSigma =
    sample.exitPupilMm === null
      ? priorFor(lens, markMm).sigma.falloff
      : single
        ? SINGLE_FRAME_FALLOFF_SIGMA
        : FALLOFF_SIGMA[falloffKind];
  const told = kind === 'published' ? MEANING_SIGMA[sample.meaning] : 0;
  return {
    edge: sample.edgeSigmaMm ** 2 + (told * frontEdge) ** 2 + (singleMm * away) ** 2,
    softness: SOFTNESS_SIGMA[kind] ** 2 + (SINGLE_FRAME_SOFTNESS_SIGMA * away) ** 2,
    falloff: falloffSigma ** 2,
  };
}

/** What two things say of one that lies `share` of the way between them; either may be all there is. */
function mixed<T>(a: T, b: T, share: number, of: (x: T) => Variances): Variances {
  if (a === b || share === 0) return of(a);
  const [from, to] = [of(a), of(b)];
  return {
    edge: from.edge + (to.edge - from.edge) * share,
    softness: from.softness + (to.softness - from.softness) * share,
    falloff: from.falloff + (to.falloff - from.falloff) * share,
  };
}

function markVariances(lens: Lens, mark: Mark, fNumber: number): Variances {
  const [before, after, share] = knotsAbout(mark.knots, fNumber);
  const known = mixed(before, after, share, (knot) =>
    knotVariances(lens, knot, fNumber, mark.focalMm),
  );
  const apart = BETWEEN_APERTURES_SHARE * Math.abs(after.frontEdge - before.frontEdge);
  return { ...known, edge: known.edge + (apart * 4 * share * (1 - share)) ** 2 };
}

/** The marks round a focal length, and how far toward the second it lies. */
interface Between {
  marks: readonly [Mark, Mark];
  share: number;
  /** Octaves beyond the first or the last mark; 0 between them. */
  outside: number;
  isShort: boolean;
}

function marksAbout(marks: readonly Mark[], focalMm: number): Between | null {
  const x = Math.log(focalMm);
  const i = marks.findIndex((m) => m.logFocal >= x - 1e-9);
  const after = marks[i < 0 ? marks.length - 1 : i];
  const before = marks[i < 0 ? marks.length - 1 : Math.max(0, i - 1)];
  if (!before || !after) return null;
  const span = after.logFocal - before.logFocal;
  const isShort = x < before.logFocal;
  const outside = isShort ? before.logFocal - x : Math.max(0, x - after.logFocal);
  return {
    marks: [before, after],
    share: span > 0 && !isShort ? Math.min(1, (x - before.logFocal) / span) : 0,
    outside: outside / Math.LN2,
    isShort,
  };
}

/** Nearer to a mark than this share of the way, the other is not said to be behind a figure. */
const AT_MARK = 0.02;
/** No doubt is stated for a focal length outside the samples by less than this, octaves. */
const SLIGHTLY_OUTSIDE = 0.02;

const worstKind = (kinds: readonly EvidenceKind[]): EvidenceKind =>
  EVIDENCE_KINDS[Math.max(...kinds.map((k) => EVIDENCE_KINDS.indexOf(k)))] ?? 'estimated';

/** What is known of a lens nobody measured. */
function usualEvidence(at: LensAt, scale: number): HaloEvidence {
  const { lens, setting, edgeScale } = at;
  const usual = priorFor(lens, setting.focalMm);
  /** The corner of its own format, as far out as the halo has grown with focus, on the sensor. */
  const ownCornerMm = (diagonalMm(lens.designFormat) / 2) * edgeScale * scale;
  const focus = focusDoubt(at, [0], usual.sigma.falloff);
  return {
    kind: 'estimated',
    edgeSigmaMm: usual.edge * ownCornerMm * focus.edgeShare,
    beyond: { fromMm: ownCornerMm, sigma: usual.sigma.reach, rims: USUAL_RIMS },
    softnessSigma: Math.hypot(usual.sigma.softness, focus.softness),
    falloffSigma: Math.hypot(usual.sigma.falloff, focus.falloff),
    unlikeShare: UNLIKE_SHARE.estimated,
    isSideUnknown: false,
    errors: 'normal',
    sampleIds: [],
    frames: 0,
    date: '',
    doubts: [
      `no halo sample: what is usual for a ${usual.kind} of its design format; how far it reaches beyond the corner of that format nobody knows`,
      ...focus.doubts,
    ],
  };
}

const later = (a: string, b: string): string => (a > b ? a : b);

/** Knots a figure at an aperture rests on. */
function knotsBehind({ knots }: Mark, fNumber: number): Knot[] {
  const [before, after, share] = knotsAbout(knots, fNumber);
  if (before === after || share < AT_MARK) return [before];
  return share > 1 - AT_MARK ? [after] : [before, after];
}

function doubtsOf(
  { outside, isShort }: Between,
  knots: readonly Knot[],
  fNumber: number,
  focus: FocusDoubt,
): string[] {
  const doubts: string[] = [];
  if (outside > SLIGHTLY_OUTSIDE)
    doubts.push(`no sample as ${isShort ? 'short' : 'long'} as this; the last one is held`);
  const lonely = knots.some(
    ({ sample }) =>
      isOneFrame(sample.evidence) &&
      Math.abs(stopsBetweenFNumbers(fNumber, sample.fNumber)) > SAME_APERTURE_STOPS,
  );
  if (lonely && knots.length < 2)
    doubts.push('measured at one aperture only; a second frame at f/8 would settle the others');
  if (knots.some(({ sample }) => isEdgeUnseen(sample)))
    doubts.push(
      'no edge was seen in its frames: it is estimated from how they darken toward the corners',
    );
  if (knots.some(({ sample }) => sample.exitPupilMm === null))
    doubts.push('its exit pupil is not known: natural falloff is what is usual for its kind');
  return [...doubts, ...focus.doubts];
}

/** Test frames behind the knots of one mark: those that were taken together are told by each of their samples. */
function framesBehind(knots: readonly Knot[]): number {
  const [alone, together] = [true, false].map((isAlone) =>
    knots
      .filter(({ sample }) => isOneFrame(sample.evidence) === isAlone)
      .map(({ sample }) => sample.evidence.frames),
  );
  return (alone ?? []).reduce((a, b) => a + b, 0) + Math.max(0, ...(together ?? []));
}

const restsOnFrames = ({ sample }: Knot): boolean => sample.evidence.frames > 0;

/**
 * What the prediction rests on and how sure it is. `scale` is the factor of the train behind the lens,
 * by which the uncertainty grows on the sensor.
 */
export function evidenceFor(at: LensAt, scale = 1): HaloEvidence {
  const { lens, edgeScale } = at;
  const { focalMm, fNumber } = at.setting;
  const between = marksAbout(marksOf(lens), focalMm);
  if (!between) return usualEvidence(at, scale);
  const { marks, share, outside } = between;
  const [a, b] = marks;
  const variances = mixed(a, b, share, (mark) => markVariances(lens, mark, fNumber));
  const edgeOf = (mark: Mark) => atAperture(mark.knots, fNumber).frontEdge;
  const edge = share === 0 ? edgeOf(a) : edgeOf(a) * (1 - share) + edgeOf(b) * share;
  const edgeMm = edge * edgeScale;
  const octaves = (b.logFocal - a.logFocal) / Math.LN2;
  const apart = BETWEEN_SIGMA_SHARE * octaves * 4 * share * (1 - share);
  const near = share < AT_MARK ? [a] : share > 1 - AT_MARK ? [b] : [a, b];
  const focus = focusDoubt(
    at,
    near.flatMap((m) => m.knownAt),
    Math.sqrt(variances.falloff),
  );
  const behind = near.map((m) => knotsBehind(m, fNumber));
  const knots = behind.flat();
  const spread =
    (apart ** 2 + (OUTSIDE_SIGMA_SHARE * outside) ** 2 + focus.edgeShare ** 2) * edgeMm ** 2;
  const kind = worstKind(near.map((m) => m.kind));
  return {
    kind,
    edgeSigmaMm: Math.sqrt(variances.edge + spread) * scale,
    beyond: null,
    softnessSigma: Math.hypot(Math.sqrt(variances.softness), focus.softness),
    falloffSigma: Math.hypot(Math.sqrt(variances.falloff), focus.falloff),
    unlikeShare: UNLIKE_SHARE[kind],
    isSideUnknown: knots.some(({ sample }) => sample.rear === null),
    errors: knots.every(restsOnFrames) ? 'long-tailed' : 'normal',
    sampleIds: knots.map((k) => k.sample.id),
    frames: behind.reduce((sum, some) => sum + framesBehind(some), 0),
    date: knots.reduce((latest, { sample }) => later(latest, sample.evidence.date), ''),
    doubts: doubtsOf(between, knots, fNumber, focus),
  };
}
