/**
 * The samples of a lens as marks along its focal range. At each mark the best evidence counts: frames of one
 * aperture each speak for that aperture, what was seen close up for close up.
 */
import {
  EVIDENCE_KINDS,
  isOfOneAperture,
  isOneFrame,
  type EvidenceKind,
  type HaloSample,
  type Lens,
} from '../kit/records';
import { stopsBetweenFNumbers } from '../optics';
import { lensAt } from './focus';
import { focusedAt } from './focused';
import { usualExitPupilMm } from './priors';
import { edgeTold } from './published';

/** What a sample says at its own aperture, brought to infinity. */
export interface Knot {
  sample: HaloSample;
  /** log2 of its f-number. */
  logN: number;
  frontEdge: number;
  /** Softness times f-number, mm. */
  frontSoftnessN: number;
  rearEdge: number;
  rearSoftnessN: number;
}

export interface Mark {
  focalMm: number;
  logFocal: number;
  kind: EvidenceKind;
  /** By aperture, widest first; one where a sample speaks for all apertures. */
  knots: readonly Knot[];
  /** What was seen close up: its edge over the one foretold there, and at which magnification. */
  close: { magnification: number; ratio: number; sample: HaloSample } | null;
  /** Magnifications at which something was seen; 0 is infinity. */
  knownAt: readonly number[];
}

/** A rear rim nobody saw is taken to be so wide that it never cuts. */
const UNSEEN_REAR = 3;
/** Focal lengths this near, as a share, count as the same mark on the ring. */
const SAME_FOCAL = 1e-3;
/** A frame speaks for apertures as near as this, stops; two so near were taken at the same. */
export const SAME_APERTURE_STOPS = 1 / 2;
/** Below this magnification a sample speaks for infinity. */
const FAR_MAGNIFICATION = 0.02;

const better = (a: HaloSample, b: HaloSample): number =>
  EVIDENCE_KINDS.indexOf(a.evidence.kind) - EVIDENCE_KINDS.indexOf(b.evidence.kind) ||
  b.evidence.date.localeCompare(a.evidence.date) ||
  b.evidence.frames - a.evidence.frames;

/** Samples of one focal length together, each list the best first. */
function byFocal(samples: readonly HaloSample[]): HaloSample[][] {
  const groups: HaloSample[][] = [];
  for (const sample of [...samples].sort(better)) {
    const group = groups.find(
      ([first]) => first && Math.abs(Math.log(sample.focalMm / first.focalMm)) < 1.5 * SAME_FOCAL,
    );
    if (group) group.push(sample);
    else groups.push([sample]);
  }
  return groups.sort((a, b) => (a[0]?.focalMm ?? 0) - (b[0]?.focalMm ?? 0));
}

function knotOf(lens: Lens, sample: HaloSample): Knot {
  const { front, rear, fNumber } = sample;
  const scale = lensAt(lens, sample).edgeScale;
  const pupilMm = sample.exitPupilMm ?? usualExitPupilMm(lens, sample.focalMm);
  const rearRim = rear ?? { ...front, edgeRadiusMm: front.edgeRadiusMm * UNSEEN_REAR };
  return {
    sample,
    logN: Math.log2(fNumber),
    frontEdge: edgeTold(sample, pupilMm) / scale,
    frontSoftnessN: front.softnessMm * fNumber,
    rearEdge: rearRim.edgeRadiusMm / scale,
    rearSoftnessN: rearRim.softnessMm * fNumber,
  };
}

/** The samples that count among some of the same kind, the best first: one for all apertures, or the newest of each. */
function speaking(samples: readonly HaloSample[]): HaloSample[] {
  const best = samples.find((s) => !isOneFrame(s.evidence));
  if (best && !isOfOneAperture(best)) return [best];
  const chosen: HaloSample[] = [];
  for (const sample of samples.filter(isOfOneAperture)) {
    const taken = chosen.some(
      (c) => Math.abs(stopsBetweenFNumbers(c.fNumber, sample.fNumber)) < SAME_APERTURE_STOPS,
    );
    if (!taken) chosen.push(sample);
  }
  return chosen.sort((a, b) => a.fNumber - b.fNumber);
}

function markOf(lens: Lens, group: readonly HaloSample[]): Mark | null {
  const [best] = group;
  if (!best) return null;
  const magnification = (s: HaloSample) => focusedAt(lens, s.focalMm, s.focusM).magnification;
  const kind = best.evidence.kind;
  const ofKind = group.filter((s) => s.evidence.kind === kind);
  const far = ofKind.filter((s) => magnification(s) < FAR_MAGNIFICATION);
  const near = ofKind.filter((s) => magnification(s) >= FAR_MAGNIFICATION);
  const knots = speaking(far.length > 0 ? far : near).map((s) => knotOf(lens, s));
  const [closest] = far.length > 0 ? near : [];
  const close = closest
    ? {
        magnification: magnification(closest),
        ratio: knotOf(lens, closest).frontEdge / atAperture(knots, closest.fNumber).frontEdge,
        sample: closest,
      }
    : null;
  return {
    focalMm: best.focalMm,
    logFocal: Math.log(best.focalMm),
    kind,
    knots,
    close,
    knownAt: [
      ...knots.map((k) => magnification(k.sample)),
      ...(close ? [close.magnification] : []),
    ],
  };
}

type KnotFigures = Pick<Knot, 'frontEdge' | 'frontSoftnessN' | 'rearEdge' | 'rearSoftnessN'>;

/** The two knots round an aperture, and how far toward the second it lies. */
export function knotsAbout(
  knots: readonly Knot[],
  fNumber: number,
): [before: Knot, after: Knot, share: number] {
  const logN = Math.log2(fNumber);
  const i = knots.findIndex((k) => k.logN >= logN);
  const after = knots[i < 0 ? knots.length - 1 : i];
  const before = knots[i <= 0 ? (i < 0 ? knots.length - 1 : 0) : i - 1];
  if (!after || !before) throw new RangeError('a mark needs a sample');
  const span = after.logN - before.logN;
  return [before, after, span > 0 ? (logN - before.logN) / span : 0];
}

/** What a mark says at an aperture: straight in stops between frames of two, held outside them. */
export function atAperture(knots: readonly Knot[], fNumber: number): KnotFigures {
  const [a, b, share] = knotsAbout(knots, fNumber);
  if (share === 0) return a;
  const mix = (of: keyof KnotFigures) => a[of] + (b[of] - a[of]) * share;
  return {
    frontEdge: mix('frontEdge'),
    frontSoftnessN: mix('frontSoftnessN'),
    rearEdge: mix('rearEdge'),
    rearSoftnessN: mix('rearSoftnessN'),
  };
}

/** By how much what was seen close up corrects what is foretold at a magnification. */
export const closeUpRatio = ({ close }: Mark, magnification: number): number =>
  close === null ? 1 : 1 + (close.ratio - 1) * Math.min(1, magnification / close.magnification);

const cache = new WeakMap<Lens, readonly Mark[]>();

/** The marks of a lens, short to long; none where nothing is known of it. */
export function marksOf(lens: Lens): readonly Mark[] {
  let marks = cache.get(lens);
  if (!marks) {
    marks = byFocal(lens.halo).flatMap((group) => markOf(lens, group) ?? []);
    cache.set(lens, marks);
  }
  return marks;
}
