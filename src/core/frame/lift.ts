/** Whether the dark of a halo's corners can be lifted in grading, and what that costs. */
import {
  darknessStops,
  lightAt,
  lightAtPlace,
  type Halo,
  HARD_TRANSMISSION,
  radiusAtTransmission,
} from '../halo';
import type { FrameSize } from '../optics';
import { NO_TRAVEL } from './geometry';
import { worstCornerUnder } from './worstCorner';

export interface CornerLift {
  /** Stops the corner must be lifted; null where no light arrives. */
  stops: number | null;
  /** Lifting makes noise as at an ISO this many times higher; null likewise. */
  isoFactor: number | null;
  verdict:
    | 'nothing to lift'
    | 'can be lifted'
    | 'too dark for the school'
    | 'too dark to lift'
    | 'a hard edge';
}

/** Below this many stops nobody lifts anything. */
const NOTHING_STOPS = 0.1;

/** An edge over which the rims close within less than this share of its radius is seen as one. Common practice, no source. */
const HARD_SHARE = 0.2;

/** Whether the rims close so fast that an edge is seen, from seven eighths of the light to one. */
export function isHardEdge({ rims }: Halo): boolean {
  const [from, to] = [1 - HARD_TRANSMISSION, HARD_TRANSMISSION].map((share) =>
    radiusAtTransmission(rims, share),
  );
  return from !== undefined && to !== undefined && to - from < HARD_SHARE * to;
}

/** The darkest corner of a frame under a halo, against what a school accepts (stops). */
export function cornerLift(halo: Halo, frame: FrameSize, limitStops: number): CornerLift {
  const { cornerMm, halo: towardIt } = worstCornerUnder(halo, frame, NO_TRAVEL);
  const { light, transmission } = lightAt(towardIt, cornerMm);
  const stops = darknessStops(light);
  const verdict =
    stops === null || transmission < HARD_TRANSMISSION
      ? isHardEdge(towardIt)
        ? 'a hard edge'
        : 'too dark to lift'
      : stops <= NOTHING_STOPS
        ? 'nothing to lift'
        : stops <= limitStops
          ? 'can be lifted'
          : 'too dark for the school';
  return { stops, isoFactor: stops === null ? null : 2 ** stops, verdict };
}

/** What linear values are multiplied by to even out a frame, at the places people look at. */
interface FrameGains {
  side: number | null;
  top: number | null;
  /** Null where no light arrives; so for the others. */
  corner: number | null;
}

/** Light below this share of the middle's is not brought back by any gain. */
const LEAST_LIGHT = 1 / 256;

/** Correction gain at the middle of the sides, of the top and bottom, and in the farthest corner. */
export function frameGains(halo: Halo, frame: FrameSize): FrameGains {
  const [x, y] = [Math.abs(halo.centre.xMm), Math.abs(halo.centre.yMm)];
  const [sideMm, topMm] = [frame.widthMm / 2 + x, frame.heightMm / 2 + y];
  const gainAt = (xMm: number, yMm: number): number | null => {
    const { light } = lightAtPlace(halo, { xMm, yMm });
    return light > LEAST_LIGHT ? 1 / light : null;
  };
  return { side: gainAt(sideMm, 0), top: gainAt(0, topMm), corner: gainAt(sideMm, topMm) };
}
