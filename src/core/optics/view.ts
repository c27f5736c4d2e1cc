/** Focus magnification and angles of view, thin lens. */
import { diagonalMm, type FrameSize } from './formats';

const DEG = 180 / Math.PI;

/**
 * Magnification of a lens of `focalMm` focused at `focusM` (m, null is infinity): m = f/(u - f).
 * Distances are marked from the sensor and real lenses shorten their focal length close up, so the
 * thin-lens figure is held at `maxMagnification` (default 1, life size). Range 0..maxMagnification.
 */
export function focusMagnification(
  focalMm: number,
  focusM: number | null,
  maxMagnification = 1,
): number {
  if (focusM === null) return 0;
  const roomMm = focusM * 1000 - focalMm;
  if (roomMm * maxMagnification <= focalMm) return maxMagnification;
  return focalMm / roomMm;
}

/** Angle of view of a side, degrees: 2 atan(side / (2 f'(1 + m))). Rectilinear. */
export const angleOfView = (sideMm: number, focalMm: number, magnification = 0): number =>
  2 * Math.atan(sideMm / (2 * focalMm * (1 + magnification))) * DEG;

export interface Angles {
  horizontal: number;
  vertical: number;
  diagonal: number;
}

/** Angles of view of a frame on all axes, degrees; the horizontal side counts times the anamorphic squeeze. */
export function anglesOfView(
  frame: FrameSize,
  focalMm: number,
  magnification = 0,
  squeeze = 1,
): Angles {
  const seen = { widthMm: frame.widthMm * squeeze, heightMm: frame.heightMm };
  return {
    horizontal: angleOfView(seen.widthMm, focalMm, magnification),
    vertical: angleOfView(seen.heightMm, focalMm, magnification),
    diagonal: angleOfView(diagonalMm(seen), focalMm, magnification),
  };
}
