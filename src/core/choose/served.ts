/** How a lens behind a train is set where it serves the widest of the views wanted. */
import type { ServedAt } from './candidate';
import type { Wanted } from './covered';
import { firstClear, type Covered, type Reach } from './reach';

/** Between no scale-up and the most so many are tried. */
const SCALE_STEPS = 8;

/** Scale-ups to try at a view, the least first; that of the window's end is among them, slightly enlarged. */
function scalesToTry(scale: number, most: number): number[] {
  if (most === 1) return [1];
  const even = Array.from({ length: SCALE_STEPS + 1 }, (_, i) => most ** (i / SCALE_STEPS));
  return [...even, Math.min(most, scale * 1.0005)].toSorted((a, b) => a - b);
}

/** Where, how far closed, and with what scale-up the widest of the views is served; null where none is. */
export function servedAt(
  reach: Reach,
  wanted: Wanted,
  covered: Covered,
  viewFrom: number,
): ServedAt | null {
  const known = covered.served.get(viewFrom);
  if (known !== undefined) return known;
  const fresh = servedAnew(reach, wanted, covered, viewFrom);
  covered.served.set(viewFrom, fresh);
  return fresh;
}

function servedAnew(
  reach: Reach,
  { frame, middle, travel, apertures, mostScale }: Wanted,
  { views, scale }: Covered,
  viewFrom: number,
): ServedAt | null {
  const [first] = views;
  if (!first) return null;
  const { focalMinMm, focalMaxMm } = reach.lens;
  // The widest view that is wanted and served; slightly inside the window's end, where rounding cannot lose it.
  const inside = first.to > first.from ? 1.0005 : 1;
  const view = Math.min(first.to, Math.max(first.from, viewFrom) * inside);
  for (const postScale of scalesToTry(scale, mostScale)) {
    const focalMm = Math.min(focalMaxMm, Math.max(focalMinMm, view / postScale));
    const small = { widthMm: frame.widthMm / postScale, heightMm: frame.heightMm / postScale };
    const fNumber = firstClear(reach, focalMm, apertures, { frame: small, middle, travel });
    if (fNumber !== null) return { focalMm, fNumber, postScale };
  }
  return null;
}
