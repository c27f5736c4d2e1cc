/** Whether the magnification of a converter shows more than cropping. */
import { type Lens, resolutionOf } from '../../kit/records';
import { systemResolution, VISIBLE_DIFFERENCE } from '../../optics';
import { fixed } from '../../words';

export interface ConverterOrCrop {
  /** Detail on the subject with the converter over that of the bare lens, cropped to the same view. */
  gain: number;
  winner: 'converter' | 'crop' | 'neither';
  sentence: string;
}

/**
 * Converter or crop? Both end at the same view from the same place, so detail on the subject is
 * resolution times factor. What holds the bare lens back decides: coarse pixels favour the converter, a
 * soft lens or diffraction the crop. Figures of the lens are its own or those of its class; `pitchMm` is that of
 * the pixels that count.
 */
export function converterOrCrop(
  lens: Lens,
  factor: number,
  lensFNumber: number,
  pitchMm: number,
): ConverterOrCrop {
  const lensResolution = resolutionOf(lens);
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
