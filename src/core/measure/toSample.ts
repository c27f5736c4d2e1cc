/** Measured frames as what a lens knows of its halo. */
import {
  FARTHEST_PUPIL_MM,
  isOneFrame,
  type Evidence,
  type HaloSample,
} from '../kit/records/haloSample';
import type { FrameLight, HaloFit } from './fit/haloFit';
import { halfLightInterval } from './fit/interval';
import { fitTogether, TELLS_FALLOFF_FROM } from './fit/together';

export interface SampleFacts {
  id: string;
  focalMm: number;
  /** f-number of the first frame of the fit. */
  fNumber: number;
  focusM: number | null;
  /** ISO date. */
  date: string;
  source: string;
  note: string;
  /** Exit pupil to expect of the kind of lens, for a frame too wide open to tell its own, mm. */
  usualPupilMm: number;
}

/** Ends of a 90 % interval lie so many standard deviations from the middle. */
const NINETY_SIGMAS = 1.645;
/** Joint and single fits err each in part. */
const DISAGREEMENT_SHARE = 0.5;
/** One frame leaves the edge unsure by this share of it; found on lenses traced by rays (docs/optics.md, measuring). */
const ONE_FRAME_SHARE = { open: 0.14, closed: 0.03 } as const;
/** Where no frame sets a limit outward, the edge is unsure by this share of it. */
const NO_LIMIT_SHARE = 0.1;
/** What the model of two rims leaves of any lens, share of the edge. */
const MODEL_SHARE = 0.004;
/** An edge at or beyond the frame's corner is carried on from what is inside: unsure by this share of it. */
const BEYOND_SHARE = 0.02;
const NEAR_CORNER = 0.92;
const WELL_BEYOND = 1.04;

const oneFrameShare = (fNumber: number): number =>
  ONE_FRAME_SHARE[fNumber < TELLS_FALLOFF_FROM ? 'open' : 'closed'];

/** The exit pupil, where the frames can tell it, mm; null where the prior of the kind must do. */
function exitPupilOf({ exitPupilMm, layout }: HaloFit, fNumber: number): number | null {
  if (layout.frames < 2 && fNumber < TELLS_FALLOFF_FROM) return null;
  return Math.min(FARTHEST_PUPIL_MM, Math.max(5, exitPupilMm ?? FARTHEST_PUPIL_MM));
}

/** How far the edge lies toward or beyond the farthest corner any frame shows, 0..1. */
function beyondCorner({ fields, halfLightMm, centre }: HaloFit): number {
  const corner =
    (fields[0]?.halfDiagonalMm ?? halfLightMm) + Math.hypot(centre.xMm, centre.yMm) / 2;
  const share = (halfLightMm / corner - NEAR_CORNER) / (WELL_BEYOND - NEAR_CORNER);
  return Math.min(1, Math.max(0, share));
}

/** A sample from frames of one setting at one aperture or several, the widest first. */
export function sampleOf(
  frames: readonly (FrameLight & { fNumber: number })[],
  facts: Omit<SampleFacts, 'fNumber'>,
): HaloSample {
  const { fit, disagreementMm } = fitTogether(frames, facts.usualPupilMm);
  return sampleFrom(fit, { ...facts, fNumber: frames[0]?.fNumber ?? 1 }, disagreementMm);
}

/** A sample from a fit, `disagreementMm` from what single frames say. */
function sampleFrom(fit: HaloFit, facts: SampleFacts, disagreementMm: number): HaloSample {
  const { low, high } = halfLightInterval(fit);
  const edge = fit.halfLightMm;
  const interval =
    Math.max(edge - low, high === null ? NO_LIMIT_SHARE * edge : high - edge) / NINETY_SIGMAS;
  const sigma = Math.hypot(
    interval,
    MODEL_SHARE * edge,
    BEYOND_SHARE * edge * beyondCorner(fit),
    DISAGREEMENT_SHARE * disagreementMm,
  );
  const evidence: Evidence = {
    kind: 'measured',
    date: facts.date,
    frames: fit.layout.frames,
    source: facts.source,
  };
  const [front, rear] = fit.rims;
  const clamp = (v: number, least: number, most: number) => Math.min(most, Math.max(least, v));
  const figure = (rim: HaloFit['rims'][number]) => ({
    edgeRadiusMm: clamp(rim.edgeRadiusMm, 0.5, 400),
    softnessMm: clamp(rim.softnessMm, 0, 400),
  });
  return {
    id: facts.id,
    focalMm: facts.focalMm,
    fNumber: facts.fNumber,
    focusM: facts.focusM,
    front: figure(front ?? { edgeRadiusMm: fit.halfLightMm, softnessMm: 0 }),
    meaning: 'half light',
    rear: rear ? figure(rear) : null,
    exitPupilMm: exitPupilOf(fit, facts.fNumber),
    centreXMm: clamp(fit.centre.xMm, -50, 50),
    centreYMm: clamp(fit.centre.yMm, -50, 50),
    edgeSigmaMm: clamp(
      isOneFrame(evidence) ? Math.hypot(sigma, oneFrameShare(facts.fNumber) * edge) : sigma,
      0.01,
      50,
    ),
    evidence,
    note: facts.note,
  };
}
