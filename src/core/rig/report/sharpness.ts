/** Detail: lens, diffraction and sensor together, and whether a converter beats a crop. */
import { resolutionOf } from '../../kit/records';
import { nyquist, pixelPitchMm, systemResolution, type Detail } from '../../optics';
import type { Situation } from '../../rig';
import { converterOrCrop, type ConverterOrCrop } from './converterOrCrop';

export interface SharpnessReport extends Detail {
  /** Of the pixels that count, on the sensor. */
  pitchMm: number;
  nyquist: number;
  /** What the lens figure rests on. */
  evidence: 'own figure' | 'class of lens';
  /** Whether the magnification behind the lens beats cropping; null where there is none. */
  converterOrCrop: ConverterOrCrop | null;
}

/** `effectiveFNumber` is the working one, behind the train and at the focus distance. */
export function sharpnessReport(
  { rig, light, delivered }: Situation,
  effectiveFNumber: number,
): SharpnessReport {
  const { lens } = rig;
  const pitchMm = pixelPitchMm(delivered.widthMm, delivered.widthPx);
  const {
    lens: lensLp,
    diffraction,
    sensor,
    system,
  } = systemResolution({
    lensResolution: resolutionOf(lens),
    factor: light.factor,
    fNumber: effectiveFNumber,
    pitchMm,
  });
  return {
    lens: lensLp,
    diffraction,
    sensor,
    system,
    pitchMm,
    nyquist: nyquist(pitchMm),
    evidence: lens.resolutionLpMm === null ? 'class of lens' : 'own figure',
    converterOrCrop:
      light.factor > 1
        ? converterOrCrop(lens, light.factor, effectiveFNumber / light.factor, pitchMm)
        : null,
  };
}
