/**
 * The two-rim model of a halo. Off axis the pupil is clipped by rims in front of it and behind it.
 * Seen from an image point at radius r, in units of the pupil radius: the pupil is a disc of radius 1
 * at 0; a front rim is a disc of radius R/w centred at +r/w; a rear rim one centred at -r/w. What is
 * common to all of them is the light that comes through. A rectangular opening among them is a rectangle instead.
 */
import { commonAreaThrough, meanWeightThrough } from './rectangular';
import { blackoutRadiusMm, hasRectangle, modelSoftness, openRadiusMm, type Rim } from './rim';

/** A halo as it falls on the sensor at one setting. */
export interface Halo {
  rims: readonly Rim[];
  /** Exit-pupil distance from the sensor, mm (negative: behind it); null where it plays no part. */
  exitPupilMm: number | null;
  /** Tangent of the half-angle of the image-side cone: 1/(2N). 0 for a pinpoint pupil. */
  coneTangent: number;
  /** Halo centre against the middle of the read-out area, mm. */
  centre: { xMm: number; yMm: number };
}

/* The discs' centres lie on one line, so the square of each half-chord is -x² + (2 c x + ρ² - c²):
   a common parabola plus a straight line. The shortest chord follows the lowest line, and the lowest of
   some lines is a chain of straight pieces of falling slope. Each piece integrates in closed form. */
/** More rims than any train has: a lens has two, and each of its parts one. */
const MOST_RIMS = 15;
const MOST_DISCS = MOST_RIMS + 1;
/* Laid out anew for each radius and read within the same call: nothing here may be called from within. */
const centreOf = new Float64Array(MOST_DISCS);
const radiusOf = new Float64Array(MOST_DISCS);
const interceptOf = new Float64Array(MOST_DISCS);
let discs = 0;
/** Where the common area begins and ends along the line of centres; typed, so that nothing is boxed. */
const span = new Float64Array(2);
const LEFT = 0;
const RIGHT = 1;

const at = (values: Float64Array, i: number): number => values[i] as number;

function addDisc(centre: number, radius: number): void {
  centreOf[discs] = centre;
  radiusOf[discs] = radius;
  interceptOf[discs] = (radius - centre) * (radius + centre);
  discs += 1;
  span[LEFT] = Math.max(at(span, LEFT), centre - radius);
  span[RIGHT] = Math.min(at(span, RIGHT), centre + radius);
}

/** Lays out pupil and rims as seen from radius `r`; false when nothing is common to them. */
function layDiscs(rims: readonly Rim[], r: number): boolean {
  if (rims.length > MOST_RIMS)
    throw new RangeError(`at most ${MOST_RIMS} rims, not ${rims.length}`);
  discs = 0;
  span[LEFT] = -1;
  span[RIGHT] = 1;
  addDisc(0, 1);
  for (const rim of rims) {
    const w = modelSoftness(rim);
    const c = (rim.side === 'front' ? r : -r) / w;
    addDisc(c, rim.edgeRadiusMm / w);
  }
  return at(span, RIGHT) > at(span, LEFT);
}

/** Index of the disc with the shortest chord at x, just right of it where two are level. */
function shortestAt(x: number): number {
  let best = 0;
  let bestValue = Infinity;
  for (let i = 0; i < discs; i += 1) {
    const value = 2 * at(centreOf, i) * x + at(interceptOf, i);
    if (value < bestValue || (value === bestValue && at(centreOf, i) < at(centreOf, best))) {
      best = i;
      bestValue = value;
    }
  }
  return best;
}

const clampUnit = (v: number): number => Math.min(1, Math.max(-1, v));

/** Twice the primitive of the half-chord of a unit disc. */
const chordPrimitive = (u: number): number => u * Math.sqrt(1 - u * u) + Math.asin(u);

/** Area of disc `i` between x1 and x2. */
function chordArea(i: number, x1: number, x2: number): number {
  const rho = at(radiusOf, i);
  const u1 = clampUnit((x1 - at(centreOf, i)) / rho);
  const u2 = clampUnit((x2 - at(centreOf, i)) / rho);
  return rho * rho * (chordPrimitive(u2) - chordPrimitive(u1));
}

function commonArea(): number {
  const right = at(span, RIGHT);
  let area = 0;
  let x = at(span, LEFT);
  let active = shortestAt(x);
  while (x < right) {
    let next = right;
    let nextDisc = active;
    for (let j = 0; j < discs; j += 1) {
      const slopeGap = at(centreOf, active) - at(centreOf, j);
      if (slopeGap <= 0) continue;
      const crossing = (at(interceptOf, j) - at(interceptOf, active)) / (2 * slopeGap);
      if (crossing > x && crossing < next) {
        next = crossing;
        nextDisc = j;
      }
    }
    area += chordArea(active, x, next);
    if (nextDisc === active) break;
    x = next;
    active = nextDisc;
  }
  return area;
}

/** An area of the pupil as a share of it. */
const shareOf = (area: number): number => Math.min(1, Math.max(0, area / Math.PI));

/** Share let through where a rim is a rectangle. */
function transmissionThroughRectangle(rims: readonly Rim[], rMm: number): number {
  if (rMm <= openRadiusMm(rims)) return 1;
  return rMm >= blackoutRadiusMm(rims) ? 0 : shareOf(commonAreaThrough(rims, rMm));
}

/**
 * Light through the rims at image radius `rMm` as a share of what the bare pupil would give there.
 * Range 0..1, falling with r; exactly 0 in the black. Closed form, exact to about 1e-10; with a rectangle among the rims
 * summed, good to 2e-3.
 */
export function transmissionAt(rims: readonly Rim[], rMm: number): number {
  if (hasRectangle(rims)) return transmissionThroughRectangle(rims, Math.abs(rMm));
  if (!layDiscs(rims, Math.abs(rMm))) return 0;
  return shareOf(commonArea());
}

/* Gauss-Legendre nodes of 8 points on -1..1 (standard tables), taken through x = mid + half sin θ so that
   the round ends of the chords do no harm. The weight they average is smooth: the mean is good to 1e-4. */
const NODES = 8;
const GL_X = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363];
const GL_W = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763];
const NODE_SIN = new Float64Array(NODES);
const NODE_WEIGHT = new Float64Array(NODES);
GL_X.forEach((x, k) => {
  const theta = x * (Math.PI / 2);
  const weight = (GL_W[k] ?? 0) * Math.cos(theta);
  NODE_SIN[k] = Math.sin(theta);
  NODE_SIN[NODES - 1 - k] = -Math.sin(theta);
  NODE_WEIGHT[k] = weight;
  NODE_WEIGHT[NODES - 1 - k] = weight;
});
/** Two-point Gauss-Legendre nodes on 0..1: the weight is smooth along a chord. */
const CHORD_LOW = 0.5 - Math.sqrt(3) / 6;
const CHORD_HIGH = 0.5 + Math.sqrt(3) / 6;

/** Mean obliquity weight over what is common to the discs laid out, for tilt r/L and cone tangent ε. */
function meanWeight(tilt: number, cone: number): number {
  const mid = (at(span, LEFT) + at(span, RIGHT)) / 2;
  const half = (at(span, RIGHT) - at(span, LEFT)) / 2;
  let light = 0;
  let area = 0;
  for (let k = 0; k < NODES; k += 1) {
    const x = mid + half * at(NODE_SIN, k);
    let square = Infinity;
    for (let i = 0; i < discs; i += 1) {
      square = Math.min(square, 2 * at(centreOf, i) * x + at(interceptOf, i));
    }
    square -= x * x;
    if (square <= 0) continue;
    const chord = at(NODE_WEIGHT, k) * Math.sqrt(square);
    const base = 1 + (tilt - cone * x) ** 2;
    const rise = cone * cone * square;
    const low = base + rise * CHORD_LOW * CHORD_LOW;
    const high = base + rise * CHORD_HIGH * CHORD_HIGH;
    light += (chord * (1 / (low * low) + 1 / (high * high))) / 2;
    area += chord;
  }
  return area > 0 ? light / area : 0;
}

/** Natural falloff of a pinpoint pupil at radius `rMm`: (1 + r²/L²)^-2, relative to the axis. cos⁴ law. */
export function naturalFalloff(rMm: number, exitPupilMm: number): number {
  const rise = 1 + (rMm / exitPupilMm) ** 2;
  return 1 / (rise * rise);
}

/** Cone tangent below which all rays of a point are as oblique as its middle one. */
const SLENDER = 1e-4;

/** What one point of the halo gets. */
interface PointLight {
  /** Share let through by the rims, 0..1. */
  transmission: number;
  /** Light relative to the axis, rims and natural falloff together, 0..1. */
  light: number;
}

/**
 * Light at image radius `rMm` from the halo's centre, relative to its axis. Each point of the pupil
 * has its own weight [1 + (r/L - εx)² + (εy)²]^-2, so that the figure also holds for fast apertures.
 */
export function lightAt(halo: Halo, rMm: number): PointLight {
  const { rims, exitPupilMm, coneTangent: cone } = halo;
  const r = Math.abs(rMm);
  const transmission = transmissionAt(rims, r);
  if (exitPupilMm === null || transmission === 0) return { transmission, light: transmission };
  if (cone < SLENDER) return { transmission, light: transmission * naturalFalloff(r, exitPupilMm) };
  const weight = hasRectangle(rims)
    ? meanWeightThrough(rims, r, r / exitPupilMm, cone)
    : meanWeight(r / exitPupilMm, cone);
  return { transmission, light: transmission * (weight * (1 + cone * cone)) };
}

/** Darkness in stops of a relative light; null where there is none at all. + is darker. */
export const darknessStops = (light: number): number | null =>
  light > 0 ? Math.max(0, -Math.log2(light)) : null;
