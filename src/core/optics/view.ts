/** Focus magnification and angles of view, thin lens. */
import { diagonalMm, type FrameSize } from './formats';

const DEG = 180 / Math.PI;

/** Subject and sensor cannot stand nearer each other than this many focal lengths: there m is 1. */
const NEAREST_FOCALS = 4;

/**
 * Magnification of a lens of `focalMm` focused at the engraved distance `focusM` (m, null is infinity), which
 * counts from the sensor: D = f (2 + m + 1/m), thin lens. Real lenses shorten their focal length close up,
 * so it is held at `maxMagnification` (default 1, life size). Range 0..maxMagnification.
 */
export function focusMagnification(
  focalMm: number,
  focusM: number | null,
  maxMagnification = 1,
): number {
  if (focusM === null) return 0;
  const focals = (focusM * 1000) / focalMm;
  if (focals <= NEAREST_FOCALS) return maxMagnification;
  const sum = focals - 2;
  // The smaller root of m + 1/m = sum, written so that far subjects lose no digits.
  return Math.min(maxMagnification, 2 / (sum + Math.sqrt(sum * sum - 4)));
}

/** From the subject to its picture in focal lengths at magnification `m` > 0: 2 + m + 1/m, thin lens. */
export const distanceInFocals = (m: number): number => 2 + m + 1 / m;

/** Angle of view of a side, degrees: 2 atan(side / (2 f'(1 + m))). Rectilinear. */
export const angleOfView = (sideMm: number, focalMm: number, magnification = 0): number =>
  2 * Math.atan(sideMm / (2 * focalMm * (1 + magnification))) * DEG;

/** Two views count as one where their focal lengths differ by less than this ratio. */
export const SAME_VIEW = 1.001;

export interface Angles {
  horizontal: number;
  vertical: number;
  diagonal: number;
}

/** A frame as it looks after desqueezing: its width times the anamorphic squeeze. */
export const desqueezed = ({ widthMm, heightMm }: FrameSize, squeeze: number): FrameSize => ({
  widthMm: widthMm * squeeze,
  heightMm,
});

/** Angles of view of a frame on all axes, degrees; the horizontal side counts times the anamorphic squeeze. */
export function anglesOfView(
  frame: FrameSize,
  focalMm: number,
  magnification = 0,
  squeeze = 1,
): Angles {
  const seen = desqueezed(frame, squeeze);
  return {
    horizontal: angleOfView(seen.widthMm, focalMm, magnification),
    vertical: angleOfView(seen.heightMm, focalMm, magnification),
    diagonal: angleOfView(diagonalMm(seen), focalMm, magnification),
  };
}

/** Half the width of a person, m. */
export const PERSON_HALF_M = 0.26;
