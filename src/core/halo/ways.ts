/**
 * Ways out of a halo's middle. About a round halo all are alike; where a rim is a rectangle they differ, and whoever asks
 * about a place asks the halo told along the way to it.
 */
import type { Offset } from '../optics';
import { circleOf, outlinePoints, type Outline } from './outline';
import { blackoutRadiusMm, hasRectangle, rimOnSide, rimToward } from './rim';
import { acceptedRadius, haloRadii } from './radii';
import { lightShown, shownOf, towardEdge } from './shown';
import { lightAt, type Halo } from './rims';

/** Whether all ways out of a halo's middle are alike. */
export const isRound = ({ rims }: Pick<Halo, 'rims'>): boolean => !hasRectangle(rims);

/** A halo as told along the way to a place so far from its middle, mm; a round one as it is. */
export const haloToward = (halo: Halo, { xMm, yMm }: Offset): Halo =>
  isRound(halo) ? halo : { ...halo, rims: halo.rims.map((rim) => rimToward(rim, xMm, yMm)) };

/** Light at a place so far from the halo's middle, mm. */
export const lightAtPlace = (halo: Halo, place: Offset): ReturnType<typeof lightAt> =>
  lightAt(haloToward(halo, place), Math.hypot(place.xMm, place.yMm));

/** Ways asked on either side of an opening's corner within a quarter: nothing is seen between two of them. */
const WAYS_TO_CORNER = 12;

/** The ways a halo is asked along within a quarter, radians from across to down; the corner of its opening is one. */
export function anglesOf({ rims }: Pick<Halo, 'rims'>): readonly number[] {
  const opening = rims.find(({ rectangle }) => rectangle)?.rectangle;
  if (!opening) return [0];
  const corner = Math.atan2(opening.halfHeight, opening.halfWidth);
  const right = Math.PI / 2;
  return Array.from({ length: 2 * WAYS_TO_CORNER + 1 }, (_, i) =>
    i <= WAYS_TO_CORNER
      ? (corner * i) / WAYS_TO_CORNER
      : corner + ((right - corner) * (i - WAYS_TO_CORNER)) / WAYS_TO_CORNER,
  );
}

/** A halo told along each of its ways; a round one is told once. */
export const waysOf = (halo: Halo): Halo[] =>
  anglesOf(halo).map((angle) => haloToward(halo, { xMm: Math.cos(angle), yMm: Math.sin(angle) }));

/** A halo seen on its side: what lay across lies down. Its centre stays. */
export const haloOnSide = (halo: Halo): Halo =>
  isRound(halo) ? halo : { ...halo, rims: halo.rims.map(rimOnSide) };

/** What is asked of a halo along one way, along all of them; about a round one it is asked once. */
export const outlineOf = (halo: Halo, radiusOf: (halo: Halo) => number): Outline => ({
  angles: anglesOf(halo),
  radiiMm: waysOf(halo).map(radiusOf),
});

/** Where corners are accepted, along all ways; `acceptedMm` is that radius along one of them, which serves all of a round one. */
export const acceptedOutline = (halo: Halo, limitStops: number, acceptedMm: number): Outline =>
  isRound(halo)
    ? circleOf(acceptedMm)
    : outlineOf(halo, (along) => acceptedRadius(along, limitStops));

/** The edge of a halo as people draw it: half light through the rims. */
export const edgeOutline = (halo: Halo): Outline =>
  outlineOf(halo, (along) => haloRadii(along).half);

/** Where the rims leave 1 %. */
export const blackOutline = (halo: Halo): Outline =>
  outlineOf(halo, (along) => haloRadii(along).black);

/** A line of equal light, and the light between it and the next one inside. */
export interface LightRing {
  light: number;
  points: Offset[];
}

/** Samples along each way from which lines of equal light are taken. */
const SAMPLES_A_WAY = 64;

/** A halo's light along one way, as it is shown. */
interface ShownAlong {
  radiiMm: number[];
  shown: number[];
}

function shownAlong(way: Halo): ShownAlong {
  const endMm = blackoutRadiusMm(way.rims);
  const radiiMm = towardEdge(SAMPLES_A_WAY).map((share) => share * endMm);
  return { radiiMm, shown: radiiMm.map((r) => shownOf(lightAt(way, r).light)) };
}

/** Where the light along a way has fallen to a level, straight between samples. */
function reachOf({ radiiMm, shown }: ShownAlong, level: number): number {
  const i = shown.findIndex((value) => value <= level);
  if (i <= 0) return (i === 0 ? radiiMm[0] : radiiMm.at(-1)) ?? 0;
  const [before = 0, here = 0] = [shown[i - 1], shown[i]];
  const [from = 0, to = 0] = [radiiMm[i - 1], radiiMm[i]];
  return from + ((to - from) * (before - level)) / Math.max(1e-12, before - here);
}

/**
 * The light of a halo that is not round as so many outlines to be filled one upon the other, the largest first, evenly
 * spread as it is shown; what lies outside all of them is black. Null for a round one, which is drawn by its radius.
 */
export function lightRings(halo: Halo, count: number): LightRing[] | null {
  if (isRound(halo)) return null;
  const angles = anglesOf(halo);
  const ways = waysOf(halo).map(shownAlong);
  return Array.from({ length: count }, (_, i): LightRing => {
    const outline: Outline = { angles, radiiMm: ways.map((way) => reachOf(way, i / count)) };
    return { light: lightShown((i + 0.5) / count), points: outlinePoints(outline) ?? [] };
  });
}
