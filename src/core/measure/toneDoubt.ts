/** What a tone that was only assumed leaves unsure. */
import type { Rim } from '../halo';

/** What a usual contrast curve on top of the assumed tone moves the edge by, share of its softness. Found on simulated frames. */
const USUAL_TONE_SHARE = 0.1;

/** How far half light may be off, mm, nine times of ten, where a contrast curve may lie on top of what was assumed. */
export const toneDoubtMm = (rims: readonly Pick<Rim, 'softnessMm'>[]): number =>
  USUAL_TONE_SHARE * Math.max(0, ...rims.map(({ softnessMm }) => softnessMm));
