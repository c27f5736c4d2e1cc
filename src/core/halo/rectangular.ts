/**
 * What is common to the pupil, round rims and rectangular openings. From an image point the pupil is a disc of radius 1
 * at 0, x along the way from the halo's middle to the point; an opening is the rectangle itself, 1/w as large, carried
 * as far along the way as a round rim is. Summed over chords across the way.
 */
import { modelSoftness, type Rim } from './rim';

/** Chords across the common area; closer together at its ends, where it is round. */
const CHORDS = 64;
const CHORD_AT = Float64Array.from({ length: CHORDS }, (_, i) =>
  Math.sin(((i + 0.5) / CHORDS - 0.5) * Math.PI),
);
const CHORD_WIDTH = Float64Array.from(
  { length: CHORDS },
  (_, i) => (Math.PI / CHORDS) * Math.cos(((i + 0.5) / CHORDS - 0.5) * Math.PI),
);
/** Three-point Gauss-Legendre nodes and weights (standard tables): the weight is smooth along a chord. */
const NODE_OUT = Math.sqrt(0.6);
const WEIGHT_MIDDLE = 4 / 9;
const WEIGHT_OUT = 5 / 18;

/** A span along x, or along a chord. */
interface Span {
  from: number;
  to: number;
}

const narrow = (span: Span, from: number, to: number): void => {
  span.from = Math.max(span.from, from);
  span.to = Math.min(span.to, to);
};

/** A rim as seen from the image point, in pupil radii. */
interface Seen {
  /** Its middle, along the way. */
  at: number;
  /** Edge radius, and half its sides where it is a rectangle. */
  radius: number;
  rectangle: Rim['rectangle'];
}

function seenFrom(rim: Rim, rMm: number): Seen {
  const w = modelSoftness(rim);
  return {
    at: (rim.side === 'front' ? rMm : -rMm) / w,
    radius: rim.edgeRadiusMm / w,
    rectangle: rim.rectangle,
  };
}

/** Where a rim can be at all, along the way. */
function narrowAlong(span: Span, { at, radius, rectangle }: Seen): void {
  const half = rectangle
    ? radius * (rectangle.halfWidth * rectangle.alongX + rectangle.halfHeight * rectangle.alongY)
    : radius;
  narrow(span, at - half, at + half);
}

/** What a rim leaves of the chord at x. */
function narrowChord(chord: Span, x: number, { at, radius, rectangle }: Seen): void {
  const along = x - at;
  if (!rectangle) {
    const square = radius * radius - along * along;
    const half = square > 0 ? Math.sqrt(square) : -1;
    narrow(chord, -half, half);
    return;
  }
  const { halfWidth, halfHeight, alongX, alongY } = rectangle;
  // A pupil point (x, y) lies x alongX - y alongY from the middle across the opening, and x alongY + y alongX down it.
  if (alongY > 0) {
    const [middle, half] = [(along * alongX) / alongY, (radius * halfWidth) / alongY];
    narrow(chord, middle - half, middle + half);
  }
  if (alongX > 0) {
    const [middle, half] = [(-along * alongY) / alongX, (radius * halfHeight) / alongX];
    narrow(chord, middle - half, middle + half);
  }
}

/** Area common to all, in units of the pupil's radius squared, and the mean of a weight over it. */
interface Common {
  area: number;
  /** 0 where nothing is common. */
  meanWeight: number;
}

/** Common area as seen from radius `rMm` along the rims' way. Good to 1e-3 of the pupil's area. */
export function commonThrough(
  rims: readonly Rim[],
  rMm: number,
  weightAt: (x: number, y: number) => number,
): Common {
  const seen = rims.map((rim) => seenFrom(rim, rMm));
  const pupil: Seen = { at: 0, radius: 1, rectangle: undefined };
  const span: Span = { from: -1, to: 1 };
  for (const rim of seen) narrowAlong(span, rim);
  const half = (span.to - span.from) / 2;
  if (half <= 0) return { area: 0, meanWeight: 0 };
  const middle = (span.from + span.to) / 2;
  let area = 0;
  let weighed = 0;
  const chord: Span = { from: 0, to: 0 };
  for (let i = 0; i < CHORDS; i += 1) {
    const x = middle + half * (CHORD_AT[i] as number);
    chord.from = -Infinity;
    chord.to = Infinity;
    narrowChord(chord, x, pupil);
    for (const rim of seen) narrowChord(chord, x, rim);
    const length = chord.to - chord.from;
    if (length <= 0) continue;
    const piece = length * half * (CHORD_WIDTH[i] as number);
    const y = (chord.from + chord.to) / 2;
    const out = (NODE_OUT * length) / 2;
    area += piece;
    weighed +=
      piece *
      (WEIGHT_MIDDLE * weightAt(x, y) +
        WEIGHT_OUT * (weightAt(x, y - out) + weightAt(x, y + out)));
  }
  return { area, meanWeight: area > 0 ? weighed / area : 0 };
}
