/** How a lens behind a train is set where it serves a view, and how surely. */
import { scaledUp } from '../frame';
import type { ServedAt } from './candidate';
import { clamp, type Window } from '../maths';
import type { Wanted } from './covered';
import { firstClear, riskAt, type Covered, type Reach } from './reach';

/** Between no scale-up and the most so many are tried. */
const SCALE_STEPS = 8;

/**
 * Scale-ups with which some focal length of the lens gives a view, the least first; that of the window's end is among them,
 * slightly enlarged.
 */
function scalesToTry(
  { lens: { focalMinMm, focalMaxMm } }: Reach,
  view: number,
  scale: number,
  most: number,
): number[] {
  if (most === 1) return [1];
  // A prime gives a view with one scale-up, which may be less than that of the window's end.
  const least = clamp(view / focalMaxMm, 1, most);
  const greatest = clamp(view / focalMinMm, 1, most);
  const even = Array.from({ length: SCALE_STEPS + 1 }, (_, i) => most ** (i / SCALE_STEPS));
  const between = [...even, Math.min(most, scale * 1.0005)].filter(
    (s) => s > least && s < greatest,
  );
  return [least, ...between, greatest].toSorted((a, b) => a - b);
}

/** How one view, an engraved focal length times its scale-up, is served with the least scale-up; null where it is not. */
function settingFor(
  reach: Reach,
  { frame, middle, travel, apertures, mostScale }: Wanted,
  scale: number,
  view: number,
): ServedAt | null {
  const { focalMinMm, focalMaxMm } = reach.lens;
  for (const postScale of scalesToTry(reach, view, scale, mostScale)) {
    const focalMm = Math.min(focalMaxMm, Math.max(focalMinMm, view / postScale));
    const framed = { frame: scaledUp(frame, postScale), middle, travel };
    const fNumber = firstClear(reach, focalMm, apertures, framed);
    if (fNumber !== null)
      return { focalMm, fNumber, postScale, ...riskAt(reach, focalMm, fNumber, framed) };
  }
  return null;
}

/** Slightly inside a window's end, where rounding cannot lose it. */
const INSIDE = 1.0005;

/**
 * How a lens is set for the ends and the middle of a window of the views it covers, the widest first; where even that
 * is lost to rounding, nothing.
 */
export function servedOver(
  reach: Reach,
  wanted: Wanted,
  { scale, served }: Covered,
  { from, to }: Window,
): ServedAt[] {
  const views =
    to > from * INSIDE ** 2 ? [from * INSIDE, Math.sqrt(from * to), to / INSIDE] : [from];
  return views.flatMap((view) => {
    let found = served.get(view);
    if (found === undefined) {
      found = settingFor(reach, wanted, scale, view);
      served.set(view, found);
    }
    return found ?? [];
  });
}
