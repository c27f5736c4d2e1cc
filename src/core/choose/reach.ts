/**
 * The radius within which corners are accepted, for a lens behind a train, over zoom and aperture. Computed once
 * for a lens and a train, and used for every body and mode they are put on.
 */
import type { Travel } from '../frame';
import { type Offset, type FrameSize, apertureSeries, isAsOpenAs, MARK_SLACK } from '../optics';
import { type Halo, acceptedRadius, type HaloEvidence, lensAt } from '../halo';
import type { Window } from '../maths';
import { openFNumberAt, type Lens } from '../kit/records';
import {
  apertureControl,
  carriedOut,
  type CarriedOut,
  extensionOf,
  type Train,
} from '../rig/train';
import { haloThrough, seenFrom } from '../rig';
import { evidenceBehind, riskIn, spareIn } from '../rig/judged';
import { zoomPlaces } from '../sweep';
import type { ServedAt } from './candidate';

const NOT_YET = Number.NaN;
const THIRDS = apertureSeries('third').map((m) => m.exact);
/** Every third of the third stops is a whole stop; whole stops are searched first. */
const THIRDS_A_STOP = 3;

/** The apertures allowed, as f-numbers of the lens itself. */
export interface ApertureRange {
  from: number;
  to: number;
}

/** A frame on a sensor that the lens's axis meets in the middle. */
export interface Framed {
  frame: FrameSize;
  /** Where the middle of the read-out lies from the middle of the sensor, mm. */
  middle: Offset;
  /** How far it moves. */
  travel: Travel;
}

export interface Covered {
  /** Engraved focal lengths times the scale-up used there, mm: views without dark corners. */
  views: Window[];
  /** The most scale-up any of them needs. */
  scale: number;
  /** Least scale-up that would clear the corners somewhere in the span; null where none does. */
  leastScale: number | null;
  /** Whether somewhere in the span it may be Clear as well as not, where it nowhere is for sure. */
  isToss: boolean;
  /** How it is set for the views it was asked for, by the view. */
  served: Map<number, ServedAt | null>;
}

export interface Reach {
  lens: Lens;
  train: Train;
  /** How far tubes carry lens and picture out. */
  carried: CarriedOut;
  limitStops: number;
  /** Places along the zoom, log f. */
  places: readonly number[];
  /** Whether the aperture can be closed at all. */
  closes: boolean;
  /** Accepted radius at a place and an aperture, mm: known ones, by place and number of the aperture. */
  known: Map<number, Float64Array>;
  /** The best aperture at every place for the range asked last: mostly it is the same for every mode. */
  best: { range: ApertureRange; at: (BestAt | undefined)[] };
  /** The halo and what it rests on at a setting, by focal length and f-number. */
  thrown: Map<string, Thrown>;
  /** What was found for what was wanted. */
  covered: Map<string, Covered>;
}

export const reachOf = (lens: Lens, train: Train, limitStops: number): Reach => ({
  lens,
  train,
  carried: carriedOut(train, extensionOf(0)),
  limitStops,
  places: zoomPlaces({ lens }, { from: lens.focalMinMm, to: lens.focalMaxMm }),
  closes: apertureControl(lens, train.parts) !== 'nothing',
  known: new Map(),
  best: { range: { from: 0, to: 0 }, at: [] },
  thrown: new Map(),
  covered: new Map(),
});

/** The lens at a focal length and an aperture, focused far away. */
const setAt = ({ lens, carried }: Reach, focalMm: number, fNumber: number) =>
  lensAt(lens, {
    focalMm,
    fNumber,
    focusM: null,
    extensionMm: carried.lensMm,
    behindMm: carried.behindMm,
  });

/** The halo at a focal length and an aperture, about the lens's own axis. */
export const haloAt = (reach: Reach, focalMm: number, fNumber: number): Halo =>
  haloThrough(setAt(reach, focalMm, fNumber), reach.train);

/** A halo about the lens's own axis, and what it rests on. */
interface Thrown {
  halo: Halo;
  evidence: HaloEvidence;
}

function thrownAt(reach: Reach, focalMm: number, fNumber: number): Thrown {
  const key = `${focalMm} ${fNumber}`;
  const known = reach.thrown.get(key);
  if (known) return known;
  const { train } = reach;
  const at = setAt(reach, focalMm, fNumber);
  const halo = haloThrough(at, train);
  const fresh = { halo, evidence: evidenceBehind({ at, train, halo }) };
  reach.thrown.set(key, fresh);
  return fresh;
}

const askedOf = (halo: Halo, { frame, middle, travel }: Framed, limitStops: number) => ({
  halo: seenFrom(halo, middle),
  delivered: frame,
  travel,
  limitStops,
});

/** How far a setting is beyond Clear or short of it, as the Bench has it: negative where it is a coin's toss. */
export function spareAt(reach: Reach, focalMm: number, fNumber: number, framed: Framed): number {
  const { halo, evidence } = thrownAt(reach, focalMm, fNumber);
  return spareIn(askedOf(halo, framed, reach.limitStops), () => evidence);
}

/** How likely a setting is not Clear, and what that rests on. */
export function riskAt(reach: Reach, focalMm: number, fNumber: number, framed: Framed) {
  const { halo, evidence } = thrownAt(reach, focalMm, fNumber);
  return {
    risk: riskIn(askedOf(halo, framed, reach.limitStops), evidence),
    evidence: evidence.kind,
  };
}

/**
 * The widest aperture allowed at a focal length: the open one, or the first marked third stop that is closed enough; null
 * where even that is too slow or the lens closes too little.
 */
export function firstAperture(reach: Reach, focalMm: number, range: ApertureRange): number | null {
  const { closedFNumber } = reach.lens;
  const open = openFNumberAt(reach.lens, focalMm);
  const isOpenAllowed = !reach.closes || open >= range.from;
  const marked = isOpenAllowed ? open : (THIRDS.find((n) => n >= range.from) ?? closedFNumber);
  const first = Math.max(open, Math.min(marked, closedFNumber));
  const closesEnough =
    first >= range.from || (reach.closes && isAsOpenAs(range.from, closedFNumber));
  return closesEnough && first <= range.to ? first : null;
}

/** Numbers of the marked third stops allowed at a focal length behind the widest one. */
function thirdsAllowed(reach: Reach, first: number, range: ApertureRange): [number, number] {
  if (!reach.closes) return [0, 0];
  const most = Math.min(range.to, reach.lens.closedFNumber * MARK_SLACK);
  const from = THIRDS.findIndex((n) => !isAsOpenAs(n, first));
  if (from < 0) return [0, 0];
  let to = from;
  while (to < THIRDS.length && (THIRDS[to] ?? Infinity) <= most) to += 1;
  return [from, to];
}

/** A marked third stop of the lens; the smallest is where its ring stops, whatever is engraved there. */
const thirdOf = ({ lens }: Reach, third: number): number =>
  Math.min(THIRDS[third] ?? 1, lens.closedFNumber);

/** Every aperture allowed at a focal length: the widest, and the marked third stops beyond it. */
export function aperturesAt(reach: Reach, focalMm: number, range: ApertureRange): number[] {
  const first = firstAperture(reach, focalMm, range);
  if (first === null) return [];
  const [from, to] = thirdsAllowed(reach, first, range);
  const marked = Array.from({ length: to - from }, (_, i) => thirdOf(reach, from + i));
  return [first, ...marked];
}

/** The radius within which corners are accepted at a setting, mm. */
export const acceptedAt = (reach: Reach, focalMm: number, fNumber: number): number =>
  acceptedRadius(haloAt(reach, focalMm, fNumber), reach.limitStops);

/** The same at a place and a marked third stop, kept. */
function keptAt(reach: Reach, place: number, third: number): number {
  let row = reach.known.get(place);
  if (!row) {
    row = new Float64Array(THIRDS.length).fill(NOT_YET);
    reach.known.set(place, row);
  }
  const known = row[third] ?? NOT_YET;
  if (!Number.isNaN(known)) return known;
  const focalMm = Math.exp(reach.places[place] ?? 0);
  const fresh = acceptedAt(reach, focalMm, thirdOf(reach, third));
  row[third] = fresh;
  return fresh;
}

export interface BestAt {
  /** The farthest corner accepted with any aperture allowed, mm; 0 where none is allowed. */
  acceptedMm: number;
  /** 0 where none is allowed. */
  fNumber: number;
  centre: Halo['centre'];
}
/** Where no aperture is allowed. */
export const NONE: BestAt = { acceptedMm: 0, fNumber: 0, centre: { xMm: 0, yMm: 0 } };

/** The best of the apertures allowed at a place: whole stops first, then the thirds about the best of them. */
function foundAt(reach: Reach, place: number, range: ApertureRange): BestAt {
  const focalMm = Math.exp(reach.places[place] ?? 0);
  const first = firstAperture(reach, focalMm, range);
  if (first === null) return NONE;
  const halo = haloAt(reach, focalMm, first);
  const { centre } = halo;
  let best: BestAt = {
    acceptedMm: acceptedRadius(halo, reach.limitStops),
    fNumber: first,
    centre,
  };
  const [from, to] = thirdsAllowed(reach, first, range);
  let bestThird = from;
  const take = (third: number) => {
    const acceptedMm = keptAt(reach, place, third);
    if (acceptedMm > best.acceptedMm) {
      best = { acceptedMm, fNumber: thirdOf(reach, third), centre };
      bestThird = third;
    }
  };
  for (let third = from; third < to; third += THIRDS_A_STOP) take(third);
  if (to > from) take(to - 1);
  const middle = bestThird;
  for (let third = Math.max(from, middle - 2); third < Math.min(to, middle + 3); third += 1)
    take(third);
  return best;
}

/** The same, kept for as long as the same apertures are asked about. */
export function bestAt(reach: Reach, place: number, range: ApertureRange): BestAt {
  const { best } = reach;
  if (best.range.from !== range.from || best.range.to !== range.to) reach.best = { range, at: [] };
  const known = reach.best.at[place];
  if (known) return known;
  const fresh = foundAt(reach, place, range);
  reach.best.at[place] = fresh;
  return fresh;
}

/** The widest aperture allowed at which a frame is Clear and no coin's toss; null for none. */
export const firstClear = (
  reach: Reach,
  focalMm: number,
  range: ApertureRange,
  framed: Framed,
): number | null =>
  aperturesAt(reach, focalMm, range).find((n) => spareAt(reach, focalMm, n, framed) >= 0) ?? null;
