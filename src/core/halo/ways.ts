/**
 * Ways out of a halo's middle. About a round halo all are alike; where a rim is a rectangle they differ, and whoever asks
 * about a place asks the halo told along the way to it.
 */
import type { Offset } from '../optics';
import { hasRectangle, rimToward } from './rim';
import { acceptedRadius } from './radii';
import { lightAt, type Halo } from './rims';

/** Whether all ways out of a halo's middle are alike. */
export const isRound = ({ rims }: Pick<Halo, 'rims'>): boolean => !hasRectangle(rims);

/** A halo as told along the way to a place so far from its middle, mm; a round one as it is. */
export const haloToward = (halo: Halo, { xMm, yMm }: Offset): Halo =>
  isRound(halo) ? halo : { ...halo, rims: halo.rims.map((rim) => rimToward(rim, xMm, yMm)) };

/** Light at a place so far from the halo's middle, mm. */
export const lightAtPlace = (halo: Halo, place: Offset): ReturnType<typeof lightAt> =>
  lightAt(haloToward(halo, place), Math.hypot(place.xMm, place.yMm));

/** Ways asked within a quarter: nothing is seen between two of them. */
const WAYS_A_QUARTER = 24;
const BETWEEN_WAYS = Math.PI / 2 / WAYS_A_QUARTER;

/** A distance from a halo's middle along every way of a quarter, from across to down, evenly spread. All quarters are alike. */
export interface Outline {
  radiiMm: readonly number[];
}

const wayOf = (i: number): Offset => {
  const angle = i * BETWEEN_WAYS;
  return { xMm: Math.cos(angle), yMm: Math.sin(angle) };
};

/** What is asked of a halo along one way, along all of them; about a round one it is asked once. */
export function outlineOf(halo: Halo, radiusOf: (halo: Halo) => number): Outline {
  if (isRound(halo)) return { radiiMm: [radiusOf(halo)] };
  const radiiMm = Array.from({ length: WAYS_A_QUARTER + 1 }, (_, i) =>
    radiusOf(haloToward(halo, wayOf(i))),
  );
  return { radiiMm };
}

/** Where corners are accepted, along all ways; `acceptedMm` is that radius along one of them, which serves all of a round one. */
export const acceptedOutline = (halo: Halo, limitStops: number, acceptedMm: number): Outline =>
  isRound(halo)
    ? { radiiMm: [acceptedMm] }
    : outlineOf(halo, (along) => acceptedRadius(along, limitStops));

/** How far an outline reaches along the way to a place so far from the middle. */
export function outlineToward({ radiiMm }: Outline, { xMm, yMm }: Offset): number {
  const [round = 0] = radiiMm;
  if (radiiMm.length === 1) return round;
  const angle = Math.atan2(Math.abs(yMm), Math.abs(xMm));
  const i = Math.min(WAYS_A_QUARTER - 1, Math.floor(angle / BETWEEN_WAYS));
  const [from = 0, to = 0] = [radiiMm[i], radiiMm[i + 1]];
  const past = angle - i * BETWEEN_WAYS;
  // Straight between two ways, as the sides of a rectangle are.
  const across = from * Math.sin(past) + to * Math.sin(BETWEEN_WAYS - past);
  return across > 0 ? (from * to * Math.sin(BETWEEN_WAYS)) / across : 0;
}

/** The outline's corners about the middle, mm, the way round; null about a round halo, whose outline is a circle. */
export function outlinePoints(outline: Outline): Offset[] | null {
  if (outline.radiiMm.length === 1) return null;
  return Array.from({ length: 4 * WAYS_A_QUARTER }, (_, i) => {
    const way = wayOf(i);
    const reach = outlineToward(outline, way);
    return { xMm: reach * way.xMm, yMm: reach * way.yMm };
  });
}

/** A slice of a halo about its middle within which all ways are drawn alike; angles from across to down, radians. */
export interface Sector {
  from: number;
  to: number;
  /** Told along the middle of the slice. */
  halo: Halo;
}

/** A halo in slices to be painted one by one; a round one is a single slice. */
export function sectorsOf(halo: Halo): Sector[] {
  if (isRound(halo)) return [{ from: 0, to: 2 * Math.PI, halo }];
  const quarter = Array.from({ length: WAYS_A_QUARTER }, (_, i) =>
    haloToward(halo, wayOf(i + 0.5)),
  );
  return Array.from({ length: 4 * WAYS_A_QUARTER }, (_, i): Sector => {
    const within = i % WAYS_A_QUARTER;
    const isMirrored = Math.floor(i / WAYS_A_QUARTER) % 2 === 1;
    const of = quarter[isMirrored ? WAYS_A_QUARTER - 1 - within : within] ?? halo;
    return { from: i * BETWEEN_WAYS, to: (i + 1) * BETWEEN_WAYS, halo: of };
  });
}
