/** The pupil magnification of a lens: exit pupil over entrance pupil. */
import type { HaloSample, Lens } from '../kit/records';
import { clamp, keptFor } from '../maths';
import { focusedAt } from './focused';
import { usualExitPupilMm } from './priors';

/** The range of pupil magnifications that lenses have; values are held within it. */
const LEAST = 0.2;
const MOST = 10;

/**
 * What an exit pupil L from the sensor says: P = L/f - m, as L = f (P + m) for any lens focused at a
 * magnification m. From the f-number told both ways, f over the entrance pupil and L over the exit pupil.
 */
export const magnificationOf = (exitPupilMm: number, focalMm: number, m = 0): number =>
  clamp(exitPupilMm / focalMm - m, LEAST, MOST);

function nearestTold(samples: readonly HaloSample[], focalMm: number): HaloSample | null {
  const apart = (s: HaloSample) => Math.abs(Math.log(s.focalMm / focalMm));
  return samples.reduce<HaloSample | null>(
    (best, s) => (s.exitPupilMm !== null && (!best || apart(s) < apart(best)) ? s : best),
    null,
  );
}

function fromExitPupil(lens: Lens, focalMm: number): number {
  const told = nearestTold(lens.halo, focalMm);
  if (!told?.exitPupilMm) return magnificationOf(usualExitPupilMm(lens, focalMm), focalMm);
  const focused = focusedAt(lens, told.focalMm, told.focusM);
  return magnificationOf(told.exitPupilMm, focused.focalMm, focused.magnification);
}

const cache = new WeakMap<Lens, Map<number, number>>();

/** As told; else from the exit pupil of its nearest sample, else from what is usual of its kind. */
export function pupilMagnification(lens: Lens, focalMm: number): number {
  if (lens.pupilMagnification !== null) return lens.pupilMagnification;
  return keptFor(cache, lens, focalMm, () => fromExitPupil(lens, focalMm));
}
