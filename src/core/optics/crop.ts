/** Crop factors and full-frame equivalents on the basis the user chooses. */
import { diagonalMm, FULL_FRAME, type FrameSize } from './formats';

export const CROP_BASES = ['diagonal', 'width', 'height'] as const;
export type CropBasis = (typeof CROP_BASES)[number];

/** Crop factor of a frame against 36x24: 43.2666/d, 36/w or 24/h. Dimensionless; < 1 for larger frames. */
export function cropFactor(frame: FrameSize, basis: CropBasis = 'diagonal'): number {
  if (basis === 'width') return FULL_FRAME.widthMm / frame.widthMm;
  if (basis === 'height') return FULL_FRAME.heightMm / frame.heightMm;
  return diagonalMm(FULL_FRAME) / diagonalMm(frame);
}

const areaOf = ({ widthMm, heightMm }: FrameSize): number => widthMm * heightMm;

export interface Equivalents {
  basis: CropBasis;
  cropFactor: number;
  /** Focal length on 36x24 with the same view, mm. */
  focalMm: number;
  /** f-number on 36x24 with the same depth of field and total light; the exposure does not change. */
  fNumber: number;
  /** Light on the area of the sensor that is used against 36x24 at the same exposure, stops: log2 of the areas. */
  totalLightStops: number;
}

/**
 * Full-frame equivalents of focal length `focalMm` at `fNumber` on `frame`: f'·C, N'·C. `onSensor` is the frame as it lies
 * on the sensor, where a squeezed one is narrower than it is seen: its area gathers the light.
 */
export function equivalents(
  focalMm: number,
  fNumber: number,
  frame: FrameSize,
  basis: CropBasis = 'diagonal',
  onSensor: FrameSize = frame,
): Equivalents {
  const c = cropFactor(frame, basis);
  return {
    basis,
    cropFactor: c,
    focalMm: focalMm * c,
    fNumber: fNumber * c,
    totalLightStops: Math.log2(areaOf(onSensor) / areaOf(FULL_FRAME)),
  };
}
