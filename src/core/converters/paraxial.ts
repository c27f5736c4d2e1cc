/**
 * The way of the light through a converter, paraxial and to scale: thin lenses at their own places. Lengths mm;
 * x runs along the axis toward the sensor from the plane where the bare lens has its image, y across it.
 */
import { predictHalo, haloRadii } from '../halo';
import { magnifies, fullName } from '../kit/records';
import { type Rig, situationOf } from '../rig';
import { trainOf } from '../rig/train';

export interface Point {
  x: number;
  y: number;
}

/** A converter as the thin lens that does what it does. */
export interface Glass {
  name: string;
  x: number;
  /** > 0 gathers, < 0 spreads, mm. */
  focalMm: number;
}

export interface Optics {
  /** f-number the lens itself works at. */
  fNumber: number;
  /** Where the exit pupil of the bare lens stands; null where it is too far to draw. */
  pupilX: number | null;
  /** Where the lens ends and its rays begin to be drawn. */
  startX: number;
  /** Half-light radius of the bare lens's halo, on its own image plane. */
  haloMm: number;
  glass: readonly Glass[];
}

export interface RayPath {
  /** Where the picture lies. */
  imageX: number;
  /** Magnification of the bare lens's picture. */
  factor: number;
  /** f-number of the cone there. */
  fNumber: number;
  haloMm: number;
  /** The cone to the middle of the picture, and that to the edge of the halo: two rays each. */
  axial: readonly (readonly Point[])[];
  edge: readonly (readonly Point[])[];
}

/** Farther pupils are drawn as if the light came from the mount. */
const FARTHEST_DRAWN = 3;

/**
 * The converters of a rig as thin lenses at their places, with the pupil and cone of the bare lens. Null where a
 * register is not known, or factor and thickness cannot belong to one thin lens.
 */
export function opticsOf(rig: Rig): Optics | null {
  const { lens, parts, mounts, settings } = rig;
  const register = mounts.get(lens.mountId)?.registerMm;
  if (register === undefined) return null;
  const bare = predictHalo(situationOf({ ...rig, parts: [] }).at);
  const glass: Glass[] = [];
  // Where the picture lies before the next converter.
  let imageX = 0;
  for (const { part, thin } of trainOf(parts, mounts).links) {
    if (!magnifies(part)) continue;
    if (!thin) return null;
    const x = imageX - thin.frontMm;
    glass.push({ name: fullName(part), x, focalMm: thin.focalMm });
    imageX = x + thin.backMm;
  }
  const pupil = bare.exitPupilMm;
  const isNear = pupil !== null && pupil > 0 && pupil < FARTHEST_DRAWN * register;
  return {
    fNumber: settings.fNumber,
    pupilX: pupil === null ? null : -pupil,
    startX: Math.min(isNear ? -pupil : -register, -register),
    haloMm: haloRadii(bare).half,
    glass,
  };
}

interface Ray {
  y: number;
  /** dy/dx. */
  slope: number;
}

/** A ray from `x` on through the glass to `endX`, as the corners of its way. */
function traced(from: Point, slope: number, glass: readonly Glass[], power: number, endX: number) {
  const way: Point[] = [from];
  let { x } = from;
  let ray: Ray = { y: from.y, slope };
  for (const thin of glass) {
    const y = ray.y + ray.slope * (thin.x - x);
    // A thin lens bends by y/F; source: paraxial refraction of a thin lens.
    ray = { y, slope: ray.slope - (power * y) / thin.focalMm };
    x = thin.x;
    way.push({ x, y });
  }
  const end = { x: endX, y: ray.y + ray.slope * (endX - x) };
  return { way: [...way, end], last: ray, lastX: x };
}

/** Slope and height at the start of the ray that bare would meet the image plane at height `y`, from `side` of the pupil. */
function started({ fNumber, pupilX, startX }: Optics, y: number, side: -1 | 0 | 1) {
  // Chief ray from the pupil's middle; without a near pupil it runs along the axis.
  const chief = pupilX === null ? y : y * (1 - startX / pupilX);
  const from = chief + (side * -startX) / (2 * fNumber);
  return { from: { x: startX, y: from }, slope: (y - from) / -startX };
}

/**
 * The way of the light with the converters at a share `t` of their power, 0 (not there) to 1: what is between
 * is what a weaker glass at the same place would do. The pupil of the lens stays where it is throughout.
 */
export function pathAt(optics: Optics, t: number): RayPath {
  const { glass, haloMm } = optics;
  const trace = (y: number, side: -1 | 0 | 1, endX: number) => {
    const { from, slope } = started(optics, y, side);
    return traced(from, slope, glass, t, endX);
  };
  const marginal = trace(0, 1, 0);
  const imageX = marginal.lastX - marginal.last.y / marginal.last.slope;
  const to = (y: number, side: -1 | 0 | 1) => trace(y, side, imageX).way;
  const edgeY = to(haloMm, 0).at(-1)?.y ?? haloMm;
  return {
    imageX,
    factor: edgeY / haloMm,
    fNumber: -1 / (2 * marginal.last.slope),
    haloMm: edgeY,
    axial: [to(0, 1), to(0, -1)],
    edge: [to(haloMm, 1), to(haloMm, -1)],
  };
}
