/**
 * How sure a frame is that was taken wide open. There soft rims look like natural falloff, and one frame cannot tell them
 * apart: its interval reaches from what it says itself to what it says with a usual exit pupil, and a little beyond both.
 */
import { fitHalo, type FrameLight, type HaloFit } from './haloFit';
import type { Interval } from './interval';

/** Wider than this, one frame cannot tell natural falloff from soft rims. */
const TELLS_FALLOFF_FROM = 5.6;

/** Whether a frame tells its natural falloff itself; of one whose f-number is not known nobody knows. */
export const tellsFalloff = ({ fNumber }: Pick<FrameLight, 'fNumber'>): boolean =>
  fNumber !== null && fNumber >= TELLS_FALLOFF_FROM;

/** Where an exit pupil usually stands, share of the diagonal. Found on lenses traced by rays, as is the next. */
const USUAL_PUPIL_SHARE = 1.15;
/** What is added beyond both, share of the softness of the hardest rim. */
const SHARE_OF_SOFTNESS = 0.12;

/** The interval of a frame too wide open to tell its falloff, from that of its fit. */
export function openInterval(fit: HaloFit, frame: FrameLight, { low, high }: Interval): Interval {
  const { widthMm, heightMm } = frame.grid.sensor;
  const exitPupilMm = USUAL_PUPIL_SHARE * Math.hypot(widthMm, heightMm);
  const usual = fitHalo([frame], { exitPupilMm }).halfLightMm;
  const more = SHARE_OF_SOFTNESS * Math.min(...fit.rims.map(({ softnessMm }) => softnessMm));
  // A usual pupil that sends the edge far out of the frame says nothing.
  const isFar = usual > 2 * fit.halfLightMm;
  return {
    low: Math.max(0, (isFar ? low : Math.min(low, usual)) - more),
    high: high === null ? null : (isFar ? high : Math.max(high, usual)) + more,
  };
}
