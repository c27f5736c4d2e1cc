/** What a tone that was only assumed leaves unsure. */
import type { Rim } from '../halo';
import type { Tone } from './light';
import type { FrameMeasure } from './measureGrid';

/**
 * Whether a contrast curve may lie on top of a frame's tone. Pictures of cameras say sRGB and mostly carry one that they do
 * not speak of; the simulated camera has none, and a curve told or light as it is leaves nothing to assume.
 */
export const isToneAssumed = (kind: Tone['kind'], simulated: boolean): boolean =>
  kind === 'srgb' && !simulated;

/** What a usual contrast curve on top of the assumed tone moves the edge by, share of its softness. Found on simulated frames. */
const USUAL_TONE_SHARE = 0.1;

/** How far half light may be off, mm, nine times of ten, where a contrast curve may lie on top of what was assumed. */
export const toneDoubtMm = (rims: readonly Pick<Rim, 'softnessMm'>[]): number =>
  USUAL_TONE_SHARE * Math.max(0, ...rims.map(({ softnessMm }) => softnessMm));

/**
 * A measure whose interval holds what such a curve would do. It is said where nothing of the tone was told, and where the
 * tone is most of what is not known.
 */
export function withToneDoubt(measure: FrameMeasure, isTold: boolean): FrameMeasure {
  const half = measure.halfLightRadiusMm;
  if (measure.status === 'refused') return measure;
  const by = toneDoubtMm(measure.rims);
  const outgrows = half !== null && by > Math.min(half.high - half.value, half.value - half.low);
  return {
    ...measure,
    halfLightRadiusMm: half && {
      value: half.value,
      low: Math.max(0, half.value - Math.hypot(half.value - half.low, by)),
      high: half.value + Math.hypot(half.high - half.value, by),
    },
    warnings: isTold && !outgrows ? measure.warnings : [...measure.warnings, 'toneAssumed'],
  };
}
