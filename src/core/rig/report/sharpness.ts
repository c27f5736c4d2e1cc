/** Detail: lens, diffraction and sensor together, and whether a converter beats a crop. */
import { resolutionOf } from '../../kit/records';
import {
  nyquist,
  pixelPitchMm,
  systemResolution,
  VISIBLE_DIFFERENCE,
  type Detail,
} from '../../optics';
import type { Rig, Situation } from '../../rig';
import { fixed } from '../../words';

export interface SharpnessReport extends Detail {
  pitchMm: number;
  nyquist: number;
  /** What the lens figure rests on. */
  evidence: 'own figure' | 'class of lens';
  /** Whether the magnification behind the lens beats cropping; null where there is none. */
  converterOrCrop: ConverterOrCrop | null;
}

/** `effectiveFNumber` is the working one, behind the train and at the focus distance. */
export function sharpnessReport(
  { rig, light }: Situation,
  effectiveFNumber: number,
): SharpnessReport {
  const { mode, lens } = rig;
  const pitchMm = pixelPitchMm(mode.widthMm, mode.widthPx);
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
      light.factor > 1 ? converterOrCrop(rig, light.factor, effectiveFNumber / light.factor) : null,
  };
}

interface ConverterOrCrop {
  /** Detail on the subject with the converter over that of the bare lens, cropped to the same view. */
  gain: number;
  winner: 'converter' | 'crop' | 'neither';
  sentence: string;
}

/**
 * Converter or crop? Both end at the same view from the same place, so detail on the subject is
 * resolution times factor. What holds the bare lens back decides: coarse pixels favour the converter, a
 * soft lens or diffraction the crop. Figures of the lens are its own or those of its class.
 */
export function converterOrCrop(rig: Rig, factor: number, lensFNumber: number): ConverterOrCrop {
  const pitchMm = pixelPitchMm(rig.mode.widthMm, rig.mode.widthPx);
  const lensResolution = resolutionOf(rig.lens);
  const bare = systemResolution({ lensResolution, factor: 1, fNumber: lensFNumber, pitchMm });
  const converted = systemResolution({
    lensResolution,
    factor,
    fNumber: lensFNumber * factor,
    pitchMm,
  });
  const gain = (converted.system * factor) / bare.system;
  const percent = fixed(Math.abs((gain - 1) * 100), 0);
  if (Math.abs(gain - 1) <= VISIBLE_DIFFERENCE) {
    return {
      gain,
      winner: 'neither',
      sentence: `No visible difference (${percent} %): crop, and keep the light.`,
    };
  }
  const held =
    bare.sensor < Math.min(bare.lens, bare.diffraction)
      ? 'pixels'
      : bare.lens < bare.diffraction
        ? 'lens'
        : 'diffraction';
  return gain > 1
    ? {
        gain,
        winner: 'converter',
        sentence: `The converter shows ${percent} % more detail; the bare lens is held back by the ${held}.`,
      }
    : {
        gain,
        winner: 'crop',
        sentence: `Cropping shows ${percent} % more detail; the ${held} holds the lens back already.`,
      };
}
