/** Measured frames as what a lens knows of its halo. */
import { priorFor, usualExitPupilMm } from '../halo';
import {
  FARTHEST_PUPIL_MM,
  isOneFrame,
  type Evidence,
  type HaloSample,
  openFNumberAt,
  type Lens,
  haloSampleOf,
} from '../kit/records';
import { clamp, NINETY_SIGMAS } from '../maths';
import type { Offset } from '../optics';
import { type FrameLight, type HaloFit, halfLightInterval, fitTogether, tellsFalloff } from './fit';
import { toneDoubtMm } from './toneDoubt';

export interface SampleFacts {
  id: string;
  focalMm: number;
  /** f-number of the first frame of the fit. */
  fNumber: number;
  focusM: number | null;
  /** Where the middle of the frames lies from the lens's axis, mm: read off the sensor's middle, or shifted. */
  frameMiddle: Offset;
  /** ISO date. */
  date: string;
  source: string;
  note: string;
  /** What is usual of its kind stands in for what the frames do not tell. */
  lens: Lens;
}

/** A frame of one setting. */
export interface SampleFrame extends FrameLight {
  fNumber: number;
  /** No edge was seen out to here, mm; null where one was. */
  unseenToMm: number | null;
  /** Whether its tone was only assumed: a contrast curve may lie on top of it. */
  isToneAssumed: boolean;
}

/** Joint and single fits err each in part. */
const DISAGREEMENT_SHARE = 0.5;
/** One frame leaves the edge unsure by this share of it; found on lenses traced by rays (docs/optics.md, measuring). */
const ONE_FRAME_SHARE = { open: 0.14, closed: 0.01 } as const;
/** Where no frame sets a limit outward, the edge is unsure by this share of it. */
const NO_LIMIT_SHARE = 0.1;
/** Wide open a falloff told by another frame leaves the edge unsure by this share of the softness of the hardest rim. */
const OPEN_SHARE_OF_SOFTNESS = { own: 0.06, every: 0.03 } as const;
/** What the model of two rims leaves of any lens, share of the edge. */
const MODEL_SHARE = 0.004;
/** An edge at or beyond the frame's corner is carried on from what is inside: unsure by this share of it. */
const BEYOND_SHARE = 0.02;
const NEAR_CORNER = 0.92;
const WELL_BEYOND = 1.04;

const oneFrameShare = (fNumber: number): number =>
  ONE_FRAME_SHARE[tellsFalloff({ fNumber }) ? 'closed' : 'open'];

/** The exit pupil, where the frames can tell it, mm; null where the prior of the kind must do. */
function exitPupilOf({ exitPupilMm, layout }: HaloFit, fNumber: number): number | null {
  if (layout.frames < 2 && !tellsFalloff({ fNumber })) return null;
  return clamp(exitPupilMm ?? FARTHEST_PUPIL_MM, 5, FARTHEST_PUPIL_MM);
}

/** How far the edge lies toward or beyond the farthest corner any frame shows, 0..1. */
function beyondCorner({ fields, halfLightMm, centre }: HaloFit): number {
  const corner =
    (fields[0]?.halfDiagonalMm ?? halfLightMm) + Math.hypot(centre.xMm, centre.yMm) / 2;
  return clamp((halfLightMm / corner - NEAR_CORNER) / (WELL_BEYOND - NEAR_CORNER), 0, 1);
}

/** What an assumed tone leaves unsure of a fit of some frames, mm, nine times of ten. */
const toneMmOf = (frames: readonly SampleFrame[], { rims }: HaloFit): number =>
  frames.some(({ isToneAssumed }) => isToneAssumed) ? toneDoubtMm(rims) : 0;

/** By how much of its softness a sample is less sure at a frame's aperture, its falloff told by another frame. */
const softShareOf = (
  frame: SampleFrame | undefined,
  apertures: keyof typeof OPEN_SHARE_OF_SOFTNESS,
): number => (frame && !tellsFalloff(frame) ? OPEN_SHARE_OF_SOFTNESS[apertures] : 0);

/** One pair of rims serves all apertures where it leaves no frame by more than this share of the half diagonal. */
const SERVED_SHARE = 0.0023;

/**
 * What frames of one setting at one aperture or several, the widest first, say of a lens: one sample for all apertures,
 * or one for each where no one pair of rims serves all. A frame that shows no edge counts where it tells the falloff:
 * stopped down further than those that show one.
 */
export function samplesOf(
  frames: readonly SampleFrame[],
  facts: Omit<SampleFacts, 'fNumber'>,
): HaloSample[] {
  const edge = frames.filter((f) => f.unseenToMm === null);
  const widest = edge.at(-1);
  if (!widest) return [sampleWithoutEdge(frames, facts)];
  const telling = frames.filter((f) => f.unseenToMm === null || f.fNumber > widest.fNumber);
  const usualPupilMm = usualExitPupilMm(facts.lens, facts.focalMm);
  const { joint, alone, disagreementMm } = fitTogether(telling, usualPupilMm);
  const servedMm = SERVED_SHARE * (joint.fields[0]?.halfDiagonalMm ?? 0);
  if (disagreementMm <= servedMm || edge.length < 2)
    return [
      sampleFrom(
        joint,
        { ...facts, fNumber: telling[0]?.fNumber ?? 1 },
        {
          disagreementMm,
          toneMm: toneMmOf(telling, joint),
          softShare: telling.length > 1 ? softShareOf(telling[0], 'every') : 0,
        },
      ),
    ];
  const pupilMm = exitPupilOf(joint, telling.at(-1)?.fNumber ?? 1);
  return telling.flatMap((frame, i) => {
    const fit = alone[i];
    if (!fit || frame.unseenToMm !== null) return [];
    const id = i === 0 ? facts.id : `${facts.id}-${i + 1}`;
    const sample = sampleFrom(
      fit,
      { ...facts, id, fNumber: frame.fNumber },
      {
        frames: frames.length,
        toneMm: toneMmOf([frame], fit),
        softShare: softShareOf(frame, 'own'),
      },
    );
    return [{ ...sample, apertures: 'its own' as const, exitPupilMm: pupilMm }];
  });
}

/*
 * A fit that is carried on beyond the frame finds the edge too far out, a soft one much too far: it lies 0.7 of
 * the way there, give or take 0.45. Found on lenses traced by rays (docs/optics.md, "Measuring").
 */
const UNSEEN_SHARE = 0.7;
const UNSEEN_SIGMA = 0.45;
const UNSEEN_SIGMA_LEAST = 0.02;
/** Farther beyond what was seen than this share of it no edge is looked for. */
const UNSEEN_REACH = 0.4;
/** Rims begin to be noticed about here; that was seen, and stays. */
const CLEAR_WIDTHS = 0.77;

/**
 * What frames without an edge tell: how the light falls off within them, and that the edge lies farther out,
 * which makes it an estimate.
 */
function sampleWithoutEdge(
  frames: readonly SampleFrame[],
  facts: Omit<SampleFacts, 'fNumber'>,
): HaloSample {
  const { lens, focalMm } = facts;
  const last = frames.at(-1);
  if (!last) throw new RangeError('no frames to measure');
  const { fNumber } = last;
  const { joint: fit } = fitTogether([last], usualExitPupilMm(lens, focalMm));
  const seen = Math.max(...frames.map((f) => f.unseenToMm ?? 0));
  const beyond = Math.min(Math.max(0, fit.halfLightMm - seen), UNSEEN_REACH * seen);
  const inward = fit.halfLightMm - (seen + UNSEEN_SHARE * beyond);
  // How soft an edge is that nobody saw: no harder than is usual.
  const { softness } = priorFor(lens, focalMm);
  const usualSoftness = (softness * openFNumberAt(lens, focalMm)) / fNumber;
  const carriedBack = (rim: HaloFit['rims'][number]) => {
    const edgeRadiusMm = rim.edgeRadiusMm - inward;
    const carried = rim.softnessMm - inward / CLEAR_WIDTHS;
    return figureOf({
      edgeRadiusMm,
      softnessMm: Math.max(carried, Math.min(1, usualSoftness) * edgeRadiusMm),
    });
  };
  const [front, rear] = fit.rims;
  return haloSampleOf({
    id: facts.id,
    focalMm,
    fNumber,
    focusM: facts.focusM,
    front: front ? carriedBack(front) : { edgeRadiusMm: seen, softnessMm: 0 },
    meaning: 'half light',
    rear: rear ? carriedBack(rear) : null,
    exitPupilMm: exitPupilOf(fit, fNumber),
    edgeSigmaMm: clamp(UNSEEN_SIGMA * beyond + UNSEEN_SIGMA_LEAST * seen, 0.01, 50),
    evidence: {
      kind: 'estimated',
      date: facts.date,
      frames: frames.length,
      source: facts.source,
    },
    note: facts.note,
  });
}

/** A fitted rim as a record keeps it. */
const figureOf = (rim: HaloFit['rims'][number]) => ({
  edgeRadiusMm: clamp(rim.edgeRadiusMm, 0.5, 400),
  softnessMm: clamp(rim.softnessMm, 0, 400),
});

interface FitDoubt {
  /** How far it is from what single frames say, mm. */
  disagreementMm?: number;
  /** What an assumed tone leaves unsure, mm, nine times of ten. */
  toneMm: number;
  /** How many frames it rests on, where that is more than were fitted. */
  frames?: number;
  /** Share of the softness of its hardest rim by which it is less sure. */
  softShare?: number;
}

/** A sample from a fit. */
function sampleFrom(
  fit: HaloFit,
  facts: SampleFacts,
  { disagreementMm = 0, toneMm, frames = fit.layout.frames, softShare = 0 }: FitDoubt,
): HaloSample {
  const { low, high } = halfLightInterval(fit);
  const edge = fit.halfLightMm;
  const interval =
    Math.max(edge - low, high === null ? NO_LIMIT_SHARE * edge : high - edge) / NINETY_SIGMAS;
  const sigma = Math.hypot(
    interval,
    MODEL_SHARE * edge,
    BEYOND_SHARE * edge * beyondCorner(fit),
    DISAGREEMENT_SHARE * disagreementMm,
    toneMm / NINETY_SIGMAS,
    softShare * Math.min(...fit.rims.map(({ softnessMm }) => softnessMm)),
  );
  const evidence: Evidence = {
    kind: 'measured',
    date: facts.date,
    frames,
    source: facts.source,
  };
  const [front, rear] = fit.rims;
  return haloSampleOf({
    id: facts.id,
    focalMm: facts.focalMm,
    fNumber: facts.fNumber,
    focusM: facts.focusM,
    front: figureOf(front ?? { edgeRadiusMm: fit.halfLightMm, softnessMm: 0 }),
    meaning: 'half light',
    rear: rear ? figureOf(rear) : null,
    exitPupilMm: exitPupilOf(fit, facts.fNumber),
    centreXMm: clamp(fit.centre.xMm + facts.frameMiddle.xMm, -50, 50),
    centreYMm: clamp(fit.centre.yMm + facts.frameMiddle.yMm, -50, 50),
    edgeSigmaMm: clamp(
      isOneFrame(evidence) ? Math.hypot(sigma, oneFrameShare(facts.fNumber) * edge) : sigma,
      0.01,
      50,
    ),
    evidence,
    note: facts.note,
  });
}
