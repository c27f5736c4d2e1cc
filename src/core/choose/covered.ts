/** Which views a lens behind a train gives a frame without dark corners, with exact ends. */
import { leastScaleUp } from '../rig/judged';
import { scaleUp, worstCornerRadius, scaledUp } from '../frame';
import { countedFrom, type FrameSize } from '../optics';
import { keptIn, peakBetween, windowsAmong, type Known, type Window } from '../maths';
import { opensInRectangle } from '../rig/train';
import {
  acceptedAt,
  bestAt,
  firstAperture,
  haloAt,
  aperturesAt,
  NONE,
  spareAt,
  type ApertureRange,
  type BestAt,
  type Covered,
  type Framed,
  type Reach,
} from './reach';

/** What has to be covered, without scale-up, and with what. */
export interface Wanted extends Framed {
  apertures: ApertureRange;
  /** Engraved focal lengths that come into question, mm. */
  span: Window;
  /** Most scale-up in post, >= 1. */
  mostScale: number;
}

/** A place along the zoom, log f; its number among those of the lens, or null between them. */
interface Spot {
  x: number;
  place: number | null;
}

/** Two places nearer than this, as a logarithm, are one. */
const SAME_PLACE = 1e-9;

/** Number of the first place that is not before `x`. */
function placeFrom(places: readonly number[], x: number): number {
  let place = 0;
  while (place < places.length && (places[place] ?? 0) < x - SAME_PLACE) place += 1;
  return place;
}

/** Places of the zoom within a span, with its ends. */
function spotsWithin({ places }: Reach, span: Window): Spot[] {
  const [from, to] = [Math.log(span.from), Math.log(span.to)];
  const first = placeFrom(places, from);
  const end = (x: number, place: number): Spot => {
    const isPlace = Math.abs((places[place] ?? Infinity) - x) <= SAME_PLACE;
    return { x, place: isPlace ? place : null };
  };
  const spots = [end(from, first)];
  if (to - from <= SAME_PLACE) return spots;
  let place = spots[0]?.place === null ? first : first + 1;
  for (; (places[place] ?? Infinity) < to - SAME_PLACE; place += 1)
    spots.push({ x: places[place] ?? to, place });
  spots.push(end(to, place));
  return spots;
}

/** Apertures that may be the best at any place: the widest there, and the best of the places about it. */
function candidates(reach: Reach, x: number, apertures: ApertureRange): number[] {
  const first = firstAperture(reach, Math.exp(x), apertures);
  if (first === null) return [];
  const list = [first];
  const after = placeFrom(reach.places, x);
  for (const place of [after, after - 1]) {
    if (place < 0 || place >= reach.places.length) continue;
    const { fNumber } = bestAt(reach, place, apertures);
    if (fNumber > first && !list.includes(fNumber)) list.push(fNumber);
  }
  return list;
}

const FAR_BELOW = -20;

/** How far it is beyond Clear with the best aperture, or short of it; of the sign the verdict has. */
function bestSpare(reach: Reach, wanted: Wanted, frame: FrameSize, x: number): number {
  const focalMm = Math.exp(x);
  const framed = { ...wanted, frame };
  const most = (apertures: readonly number[]) =>
    apertures.reduce((best, n) => Math.max(best, spareAt(reach, focalMm, n, framed)), FAR_BELOW);
  const likely = most(candidates(reach, x, wanted.apertures));
  // A toss with those that are expected to be best: another one may be surer.
  return likely < 0 && likely > -1
    ? Math.max(likely, most(aperturesAt(reach, focalMm, wanted.apertures)))
    : likely;
}

/** The best at a place, or between places. */
function bestOf(reach: Reach, { x, place }: Spot, apertures: ApertureRange): BestAt {
  if (place !== null) return bestAt(reach, place, apertures);
  const focalMm = Math.exp(x);
  return candidates(reach, x, apertures).reduce<BestAt>((best, fNumber) => {
    const acceptedMm = acceptedAt(reach, focalMm, fNumber);
    if (acceptedMm <= best.acceptedMm) return best;
    const { centre } = haloAt(reach, focalMm, fNumber);
    return { acceptedMm, fNumber, centre };
  }, NONE);
}

/** A margin not farther below nought than this, mm, is asked again, as the verdict does. */
const NEAR_MM = 0.04;
const NOWHERE_NEAR_MM = -1e3;

/** How far the accepted circle reaches beyond the worst corner, mm. */
function marginAt(reach: Reach, wanted: Wanted, frame: FrameSize, spot: Spot): number {
  const { acceptedMm, fNumber, centre } = bestOf(reach, spot, wanted.apertures);
  if (fNumber === 0) return NOWHERE_NEAR_MM;
  // Ways out of the halo's middle differ: no one radius serves all frames.
  if (reach.train.parts.some(opensInRectangle)) return bestSpare(reach, wanted, frame, spot.x);
  const off = countedFrom(centre, wanted.middle);
  const margin = acceptedMm - worstCornerRadius(frame, off, wanted.travel);
  if (margin < -NEAR_MM) return margin;
  const isIn = bestSpare(reach, wanted, frame, spot.x) >= 0;
  return isIn ? Math.abs(margin) : -Math.max(1e-9, Math.abs(margin));
}

/** Stretches of the span, log f, at which a frame is Clear with some aperture allowed. */
function clearStretches(reach: Reach, wanted: Wanted, frame: FrameSize): Window[] {
  const known = spotsWithin(reach, wanted.span).map((spot): Known => ({
    x: spot.x,
    value: marginAt(reach, wanted, frame, spot),
  }));
  return windowsAmong((x) => bestSpare(reach, wanted, frame, x), known);
}

/** Least scale-up that clears the corners at a spot; null where none does. */
function scaleAt(reach: Reach, wanted: Wanted, spot: Spot): number | null {
  const { frame, middle, travel, apertures } = wanted;
  const { acceptedMm, fNumber, centre } = bestOf(reach, spot, apertures);
  return fNumber === 0 ? null : scaleUp(frame, countedFrom(centre, middle), acceptedMm, travel);
}

/** Least scale-up from the expected one to `most` that makes a place Clear for sure; null where none does. */
const sureScale = (reach: Reach, wanted: Wanted, x: number, expected: number, most?: number) =>
  leastScaleUp(
    expected,
    (scale) => bestSpare(reach, wanted, scaledUp(wanted.frame, scale), x) >= 0,
    most,
  );

/** A view, as log f of what it is as wide as, and the scale-up it takes. */
interface ViewTaken {
  view: number;
  scale: number;
}

/**
 * The widest view of a stretch. Where it is expected is not where it is for sure: a place of which little is known takes
 * more scale-up than its expected corners, so each place that may still be wider is asked.
 */
function widestOf(reach: Reach, wanted: Wanted, stretch: Window): ViewTaken {
  const { mostScale } = wanted;
  const taken = (x: number, scale: number): ViewTaken => ({ view: x + Math.log(scale), scale });
  const expected = (spot: Spot) =>
    taken(spot.x, Math.min(mostScale, scaleAt(reach, wanted, spot) ?? mostScale));
  const sure = (x: number, scale: number) =>
    taken(x, sureScale(reach, wanted, x, scale, mostScale) ?? mostScale);
  const sureBetween = (x: number) => sure(x, expected({ x, place: null }).scale);
  const spots = spotsWithin(reach, {
    from: Math.exp(stretch.from),
    to: Math.exp(stretch.to),
  });
  let widest = { ...taken(stretch.from, mostScale), i: 0 };
  const inOrder = spots
    .map((spot, i) => ({ ...expected(spot), x: spot.x, i }))
    .toSorted((a, b) => a.view - b.view);
  for (const { x, scale, i, view } of inOrder) {
    if (view >= widest.view) break;
    const here = sure(x, scale);
    if (here.view < widest.view) widest = { ...here, i };
  }
  const [low, high] = [spots[Math.max(0, widest.i - 1)], spots[widest.i + 1] ?? spots[widest.i]];
  if (!low || !high || high.x - low.x < SAME_PLACE) return widest;
  const between = sureBetween(peakBetween((x) => -sureBetween(x).view, low.x, high.x));
  return between.view < widest.view ? between : widest;
}

/** Names what is wanted. */
const wantedKey = ({ frame, middle, travel, apertures, span, mostScale }: Wanted): string =>
  `${frame.widthMm}|${frame.heightMm}|${middle.xMm}|${middle.yMm}|${travel.xMm}|${travel.yMm}|${travel.discMm}|${apertures.from}|${apertures.to}|${span.from}|${span.to}|${mostScale}`;

/** The same, kept with the lens and its train: many bodies read the same areas. */
export const covered = (reach: Reach, wanted: Wanted): Covered =>
  keptIn(reach.covered, wantedKey(wanted), () => coveredAnew(reach, wanted));

/** The views without dark corners, and what scale-up they take. */
function coveredAnew(reach: Reach, wanted: Wanted): Covered {
  const { frame, mostScale } = wanted;
  const stretches = clearStretches(reach, wanted, scaledUp(frame, mostScale));
  if (stretches.length === 0) {
    const scales = spotsWithin(reach, wanted.span).flatMap((spot) => {
      const scale = scaleAt(reach, wanted, spot);
      return scale === null ? [] : [{ x: spot.x, scale }];
    });
    let leastScale: number | null = null;
    // Here too what is expected to take least may take more for sure.
    for (const { x, scale } of scales.toSorted((a, b) => a.scale - b.scale)) {
      if (leastScale !== null && scale >= leastScale) break;
      leastScale = sureScale(reach, wanted, x, scale, leastScale ?? undefined) ?? leastScale;
    }
    return {
      views: [],
      scale: 1,
      leastScale,
      isToss: scales.some(({ scale }) => scale <= mostScale),
      served: new Map(),
    };
  }
  if (mostScale === 1) {
    const views = stretches.map(({ from, to }) => ({ from: Math.exp(from), to: Math.exp(to) }));
    return { views, scale: 1, leastScale: 1, isToss: false, served: new Map() };
  }
  const widest = stretches.map((stretch) => widestOf(reach, wanted, stretch));
  const views = stretches.map(({ to }, i) => ({
    from: Math.exp(widest[i]?.view ?? to),
    to: Math.exp(to) * mostScale,
  }));
  return {
    views: joined(views),
    scale: Math.max(...widest.map((w) => w.scale)),
    leastScale: Math.min(...widest.map((w) => w.scale)),
    isToss: false,
    served: new Map(),
  };
}

/** Windows that meet are one. */
export function joined(windows: readonly Window[]): Window[] {
  return windows
    .toSorted((a, b) => a.from - b.from)
    .reduce<Window[]>((list, next) => {
      const last = list.at(-1);
      if (!last || next.from > last.to) return [...list, next];
      return [...list.slice(0, -1), { from: last.from, to: Math.max(last.to, next.to) }];
    }, []);
}
