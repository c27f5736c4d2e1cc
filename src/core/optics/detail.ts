/** What can be resolved: lens, diffraction and sensor together. Frequencies in line pairs per mm. */

/** Green light, mm. */
const WAVELENGTH_MM = 550e-6;
/** Frequency at which a perfect lens keeps half the contrast, as a share of its cut-off 1/(λN). */
const HALF_CONTRAST_SHARE = 0.40397;
/** What a sensor resolves of its Nyquist frequency, filters and all; an assumption. */
const SENSOR_SHARE = 0.8;
/** A difference in detail below this cannot be seen. */
export const VISIBLE_DIFFERENCE = 0.05;

/** Classes of lens by resolution in the middle at half contrast, lp/mm: assumptions, editable. */
export const RESOLUTION_CLASSES = {
  'kit zoom': 40,
  'good zoom': 60,
  'good prime': 75,
  'top long prime': 110,
} as const;

/** Pixel pitch, mm. */
export const pixelPitchMm = (widthMm: number, widthPx: number): number => widthMm / widthPx;

/** Nyquist frequency of a pitch, lp/mm: 1/(2p). */
export const nyquist = (pitchMm: number): number => 1 / (2 * pitchMm);

/** Frequency at which diffraction alone leaves half the contrast, lp/mm: 0.404/(λN). */
export const diffractionHalf = (fNumber: number, wavelengthMm = WAVELENGTH_MM): number =>
  HALF_CONTRAST_SHARE / (wavelengthMm * fNumber);

/** Share of a converter's own sharpness loss where it is not known: 5 % at 1.4x and 10 % at 2x, by octaves. */
export function converterLoss(factor: number): number {
  if (factor <= 1) return 0;
  return Math.min(0.2, 0.05 * (Math.log2(factor) / Math.log2(1.4)));
}

interface DetailInputs {
  /** Lens alone, in the middle, lp/mm. */
  lensResolution: number;
  /** Magnification of the parts behind it. */
  factor: number;
  /** f-number behind the parts. */
  fNumber: number;
  pitchMm: number;
}

export interface Detail {
  lens: number;
  diffraction: number;
  sensor: number;
  /** 1/r² = 1/r_L² + 1/r_D² + 1/r_S². */
  system: number;
}

/** Resolution on the sensor, lp/mm, of lens behind a converter, diffraction and sensor together. */
export function systemResolution({
  lensResolution,
  factor,
  fNumber,
  pitchMm,
}: DetailInputs): Detail {
  const lens = (lensResolution / factor) * (1 - converterLoss(factor));
  const diffraction = diffractionHalf(fNumber);
  const sensor = SENSOR_SHARE * nyquist(pitchMm);
  return {
    lens,
    diffraction,
    sensor,
    system: 1 / Math.sqrt(lens ** -2 + diffraction ** -2 + sensor ** -2),
  };
}

/** What lens and diffraction resolve together, without the sensor, lp/mm. */
export const glassSharpness = ({
  lens,
  diffraction,
}: Pick<Detail, 'lens' | 'diffraction'>): number => 1 / Math.sqrt(lens ** -2 + diffraction ** -2);
