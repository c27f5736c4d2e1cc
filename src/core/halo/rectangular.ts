/**
 * What is common to the pupil, round rims and rectangular openings. From an image point the pupil is a disc of radius 1
 * at 0, x along the way from the halo's middle to the point; an opening is the rectangle itself, 1/w as large, carried
 * as far along the way as a round rim is. Summed over chords across the way.
 */
import { modelSoftness, type Rectangle, type Rim } from './rim';

/** Where chords lie across the common area, -1..1, and for how much of it each stands. */
interface Chords {
  at: Float64Array;
  width: Float64Array;
}

/** So many chords, closer together at the ends, where the area is round. */
function chordsOf(count: number): Chords {
  const angle = (i: number): number => ((i + 0.5) / count - 0.5) * Math.PI;
  return {
    at: Float64Array.from({ length: count }, (_, i) => Math.sin(angle(i))),
    width: Float64Array.from({ length: count }, (_, i) => (Math.PI / count) * Math.cos(angle(i))),
  };
}

/** The area has corners; the weight over it is smooth. */
const OF_AREA = chordsOf(40);
const OF_WEIGHT = chordsOf(12);
/** Three-point Gauss-Legendre nodes and weights (standard tables): the weight is smooth along a chord. */
const NODE_OUT = Math.sqrt(0.6);
const WEIGHT_MIDDLE = 4 / 9;
const WEIGHT_OUT = 5 / 18;

/** As many as a halo may have rims, and the pupil; a rectangle is two strips across the way. */
const MOST = 32;
const at = (values: Float64Array, i: number): number => values[i] as number;
/* Laid out anew for each place and read within the same call: nothing here may be called from within. */
const discAt = new Float64Array(MOST);
const discSquare = new Float64Array(MOST);
const stripAt = new Float64Array(MOST);
const stripRise = new Float64Array(MOST);
const stripHalf = new Float64Array(MOST);
let discs = 0;
let strips = 0;
/** Where the common area begins and ends along the way, and on the chord laid out last. */
const span = { from: 0, to: 0 };
const chord = { from: 0, to: 0 };

function addDisc(centre: number, radius: number): void {
  discAt[discs] = centre;
  discSquare[discs] = radius * radius;
  discs += 1;
  narrowSpan(centre, radius);
}

function narrowSpan(centre: number, half: number): void {
  span.from = Math.max(span.from, centre - half);
  span.to = Math.min(span.to, centre + half);
}

/** A strip about a line that rises by so much and passes the way at `centre`, so wide to either side on each chord. */
function addStrip(centre: number, rise: number, half: number): void {
  stripAt[strips] = centre;
  stripRise[strips] = rise;
  stripHalf[strips] = half;
  strips += 1;
}

/**
 * A pupil point (x, y) lies x alongX - y alongY from the opening's middle across it, and x alongY + y alongX down it:
 * both pairs of sides are strips. Sides across the way bound the span alone.
 */
function addRectangle(centre: number, radius: number, rectangle: Rectangle): void {
  const { halfWidth, halfHeight, alongX, alongY } = rectangle;
  narrowSpan(centre, radius * (halfWidth * alongX + halfHeight * alongY));
  if (alongY > 0) addStrip(centre, alongX / alongY, (radius * halfWidth) / alongY);
  if (alongX > 0) addStrip(centre, -alongY / alongX, (radius * halfHeight) / alongX);
}

/** Lays out pupil and rims as seen from a place; false when nothing is common to them. */
function lay(rims: readonly Rim[], rMm: number): boolean {
  discs = 0;
  strips = 0;
  span.from = -1;
  span.to = 1;
  addDisc(0, 1);
  for (const rim of rims) {
    const w = modelSoftness(rim);
    const centre = (rim.side === 'front' ? rMm : -rMm) / w;
    const radius = rim.edgeRadiusMm / w;
    if (rim.rectangle) addRectangle(centre, radius, rim.rectangle);
    else addDisc(centre, radius);
  }
  return span.to > span.from;
}

/** Lays out the chord at x; returns its length, 0 where there is none. */
function layChord(x: number): number {
  let square = Infinity;
  for (let i = 0; i < discs; i += 1) {
    const along = x - at(discAt, i);
    square = Math.min(square, at(discSquare, i) - along * along);
  }
  if (square <= 0) return 0;
  const half = Math.sqrt(square);
  let from = -half;
  let to = half;
  for (let i = 0; i < strips; i += 1) {
    const middle = (x - at(stripAt, i)) * at(stripRise, i);
    from = Math.max(from, middle - at(stripHalf, i));
    to = Math.min(to, middle + at(stripHalf, i));
  }
  chord.from = from;
  chord.to = to;
  return Math.max(0, to - from);
}

/** Common area as seen from radius `rMm` along the rims' way, in pupil radii squared. Good to 2e-3 of the pupil's. */
export function commonAreaThrough(rims: readonly Rim[], rMm: number): number {
  if (!lay(rims, rMm)) return 0;
  const middle = (span.from + span.to) / 2;
  const half = (span.to - span.from) / 2;
  let area = 0;
  for (let i = 0; i < OF_AREA.at.length; i += 1)
    area += layChord(middle + half * at(OF_AREA.at, i)) * half * at(OF_AREA.width, i);
  return area;
}

/**
 * Mean obliquity weight over it, [1 + (t - εx)² + (εy)²]^-2 for tilt t = r/L and cone tangent ε; 0 where nothing is common.
 */
export function meanWeightThrough(
  rims: readonly Rim[],
  rMm: number,
  tilt: number,
  cone: number,
): number {
  if (!lay(rims, rMm)) return 0;
  const middle = (span.from + span.to) / 2;
  const half = (span.to - span.from) / 2;
  let area = 0;
  let weighed = 0;
  for (let i = 0; i < OF_WEIGHT.at.length; i += 1) {
    const x = middle + half * at(OF_WEIGHT.at, i);
    const length = layChord(x);
    if (length === 0) continue;
    const piece = length * at(OF_WEIGHT.width, i);
    const y = (chord.from + chord.to) / 2;
    const out = (NODE_OUT * length) / 2;
    const base = 1 + (tilt - cone * x) ** 2;
    const low = base + (cone * (y - out)) ** 2;
    const mid = base + (cone * y) ** 2;
    const high = base + (cone * (y + out)) ** 2;
    area += piece;
    weighed +=
      piece * (WEIGHT_MIDDLE / (mid * mid) + WEIGHT_OUT / (low * low) + WEIGHT_OUT / (high * high));
  }
  return area > 0 ? weighed / area : 0;
}
