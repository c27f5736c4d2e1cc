/** What the focusing ring makes of a bare lens: its focal length and its magnification. */
import type { Lens } from '../kit/records';
import { distanceInFocals, focusMagnification } from '../optics';

export interface Focused {
  /** Focal length as the lens is focused, mm. */
  focalMm: number;
  magnification: number;
}

/** The focal length close up is held within these shares of the engraved one. */
const SHORTEST_SHARE = 0.5;
const LONGEST_SHARE = 1.3;
/** A zoom tells its greatest magnification of its long end. */
const LONG_END_SHARE = 0.98;

/**
 * Focal length at an engraved distance, mm: where a lens tells its closest focus and what it magnifies there,
 * it runs from the engraved one, at infinity, to the one that keeps both figures; else it stays.
 */
function focusedFocalMm(lens: Lens, focalMm: number, focusM: number | null): number {
  const { maxMagnification: most, closestFocusM, focalMaxMm, estimated } = lens;
  if (focusM === null || most === null || estimated.includes('closestFocusM')) return focalMm;
  if (focalMm < focalMaxMm * LONG_END_SHARE) return focalMm;
  const closest = (closestFocusM * 1000) / distanceInFocals(most) / focalMm;
  const share = Math.min(LONGEST_SHARE, Math.max(SHORTEST_SHARE, closest));
  return focalMm * (1 + (share - 1) * Math.min(1, closestFocusM / focusM));
}

/** What a lens magnifies at the most; one that does not say is held at life size. */
const mostMagnification = (lens: Lens): number => lens.maxMagnification ?? 1;

/** The bare lens at an engraved distance: its focal length there, mm, and its magnification, held at what it can do. */
export function focusedAt(lens: Lens, focalMm: number, focusM: number | null): Focused {
  const focusedMm = focusedFocalMm(lens, focalMm, focusM);
  return {
    focalMm: focusedMm,
    magnification: focusMagnification(focusedMm, focusM, mostMagnification(lens)),
  };
}
