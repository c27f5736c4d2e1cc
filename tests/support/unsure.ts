/** How unsure a halo is, for tests: wholly sure but for what is told. */
import type { HaloUnsure } from '@/core/halo';

export const unsureBy = (more: Partial<HaloUnsure>): HaloUnsure => ({
  edgeSigmaMm: 0,
  beyond: null,
  softnessSigma: 0,
  falloffSigma: 0,
  unlikeShare: 0,
  isSideUnknown: false,
  errors: 'normal',
  ...more,
});
