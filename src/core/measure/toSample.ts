/** Measured frames as what a lens knows of its halo. */
import { isOneFrame, type Evidence, type HaloSample } from '../kit/records/haloSample';
import type { HaloFit } from './fit/haloFit';
import { halfLightInterval } from './fit/interval';

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
}

/** Ends of a 90 % interval lie so many standard deviations from the middle. */
const NINETY_SIGMAS = 1.645;
/** One frame leaves other apertures unsure by about this, mm (docs/optics.md, measuring). */
const ONE_FRAME_SIGMA_MM = 1;

/** A sample from a fit of one frame or of several at different apertures. */
export function sampleFrom(fit: HaloFit, facts: SampleFacts): HaloSample {
  const { low, high } = halfLightInterval(fit);
  const sigma =
    Math.max(fit.halfLightMm - low, (high ?? fit.halfLightMm + 2) - fit.halfLightMm) /
    NINETY_SIGMAS;
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
    rear: rear ? figure(rear) : null,
    exitPupilMm: fit.exitPupilMm === null ? null : clamp(fit.exitPupilMm, 5, 10_000),
    centreXMm: clamp(fit.centre.xMm, -50, 50),
    centreYMm: clamp(fit.centre.yMm, -50, 50),
    edgeSigmaMm: clamp(
      isOneFrame(evidence) ? Math.max(sigma, ONE_FRAME_SIGMA_MM) : sigma,
      0.01,
      50,
    ),
    evidence,
    note: facts.note,
  };
}
