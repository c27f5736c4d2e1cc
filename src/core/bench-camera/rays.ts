/**
 * Light on a sensor by tracing rays: from a point of the sensor through the iris as it is seen from there,
 * through the rims and groups of glass, out to the scene. It shares no formula with the halo model, so
 * that what measures can be tried against it.
 */

/** A round opening in the lens. */
export interface Opening {
  /** Distance from the sensor, mm; behind the iris it is below the exit pupil's, before it beyond. */
  zMm: number;
  radiusMm: number;
}

export interface RayLens {
  /** Distance of the exit pupil from the sensor, mm. */
  exitPupilMm: number;
  /** Widest f-number; there the iris is round. */
  openFNumber: number;
  /** Blades of the iris once it is stopped down. */
  blades: number;
  /** Relative growth of the exit pupil with the square of the field tangent: pupil aberration. */
  pupilGrowth: number;
  /** Relative wandering of the exit pupil away from the sensor with the square of the field tangent. */
  pupilDrift: number;
  /** The groups before the iris, nearest the sensor first. */
  groups: readonly Group[];
  openings: readonly Opening[];
  /** A thin converter behind the lens: rays are told as they would go on without it. */
  converter?: Converter;
}

/** A thin group of glass with a spherical error of its own. */
export interface Group {
  /** Distance from the sensor, mm. */
  zMm: number;
  focalMm: number;
  spherical: number;
}

export interface Converter {
  /** How far it stands before the image of the bare lens, mm. */
  zMm: number;
  factor: number;
}

/** Rays through the iris, in units of its radius, each standing for the same area. */
interface RayBundle {
  x: Float64Array;
  y: Float64Array;
  /** Distance between neighbouring rays, in the same units. */
  spacing: number;
}

const RINGS = 18;

function bundle(blades: number | null, turn: number): RayBundle {
  const x: number[] = [];
  const y: number[] = [];
  // A polygon of the disc's area has its corners outside the unit circle.
  const corner =
    blades === null ? 1 : Math.sqrt((2 * Math.PI) / (blades * Math.sin((2 * Math.PI) / blades)));
  const flat = blades === null ? 1 : corner * Math.cos(Math.PI / blades);
  const step = corner / RINGS;
  for (let i = -RINGS; i <= RINGS; i += 1) {
    for (let j = -RINGS; j <= RINGS; j += 1) {
      const px = (i + (j % 2 === 0 ? 0 : 0.5)) * step;
      const py = j * step * (Math.sqrt(3) / 2);
      const r = Math.hypot(px, py);
      if (blades === null) {
        if (r > 1) continue;
      } else {
        const sector = (2 * Math.PI) / blades;
        const angle = Math.atan2(py, px) - turn;
        const off = ((((angle + sector / 2) % sector) + sector) % sector) - sector / 2;
        if (r * Math.cos(off) > flat) continue;
      }
      x.push(px);
      y.push(py);
    }
  }
  return { x: Float64Array.from(x), y: Float64Array.from(y), spacing: step };
}

/** What one point of the sensor gets. */
interface TracedLight {
  /** Share of the rays through the iris that no rim stops, 0..1. */
  through: number;
  /** Light of what is let through, cos⁴ of each ray counted; relative, not yet to the axis. */
  light: number;
}

/** A ray at a plane, and where it goes from there. */
interface Ray {
  zMm: number;
  x: number;
  y: number;
  slopeX: number;
  slopeY: number;
  /** Growth of the distance between neighbouring rays: at the plane, and per mm beyond it. */
  apart: number;
  spread: number;
}

/** Carries a ray on to a plane farther from the sensor. */
function carry(ray: Ray, zMm: number): void {
  const by = zMm - ray.zMm;
  ray.x += ray.slopeX * by;
  ray.y += ray.slopeY * by;
  ray.apart += ray.spread * by;
  ray.zMm = zMm;
}

/** Bends a ray at the group it has come to. */
function bend(ray: Ray, { focalMm, spherical }: Group): void {
  const power = (1 + spherical * ((ray.x * ray.x + ray.y * ray.y) / focalMm ** 2)) / focalMm;
  ray.slopeX -= ray.x * power;
  ray.slopeY -= ray.y * power;
  ray.spread -= ray.apart * power;
}

/**
 * 1 + tan² of a ray where it meets the sensor. Behind a converter of factor m at a it comes from the height it
 * has there to m r, over the distance m a.
 */
function squareOfSlope(sx: number, sy: number, rMm: number, converter?: Converter): number {
  if (!converter) return 1 + sx * sx + sy * sy;
  const { zMm, factor } = converter;
  const x = (rMm + sx * zMm - factor * rMm) / (factor * zMm);
  const y = sy / factor;
  return 1 + x * x + y * y;
}

/** Openings and groups of a lens in the order in which a ray from the sensor meets them. */
type Station = { opening: Opening } | { group: Group };
const stationsOf = ({ openings, groups }: RayLens): Station[] => {
  const at = (s: Station) => ('opening' in s ? s.opening.zMm : s.group.zMm);
  return [...openings.map((opening) => ({ opening })), ...groups.map((group) => ({ group }))].sort(
    (a, b) => at(a) - at(b),
  );
};

/** Traces one point of the sensor at (rMm, 0); with a converter, the point it would be without. */
function tracePoint(
  lens: RayLens,
  irisRadiusMm: number,
  rays: RayBundle,
  stations: readonly Station[],
  rMm: number,
): TracedLight {
  const tangent = (rMm / lens.exitPupilMm) ** 2;
  const pupilZ = lens.exitPupilMm * (1 + lens.pupilDrift * tangent);
  const pupilRadius = irisRadiusMm * (1 + lens.pupilGrowth * tangent);
  const soft = rays.spacing * pupilRadius;
  const { converter } = lens;
  const ray: Ray = { zMm: 0, x: 0, y: 0, slopeX: 0, slopeY: 0, apart: 0, spread: 0 };
  let through = 0;
  let light = 0;
  for (let k = 0; k < rays.x.length; k += 1) {
    const sx = ((rays.x[k] as number) * pupilRadius - rMm) / pupilZ;
    const sy = ((rays.y[k] as number) * pupilRadius) / pupilZ;
    ray.zMm = 0;
    ray.x = rMm;
    ray.y = 0;
    ray.slopeX = sx;
    ray.slopeY = sy;
    ray.apart = 0;
    ray.spread = 1 / pupilZ;
    let open = 1;
    for (const station of stations) {
      if ('group' in station) {
        carry(ray, station.group.zMm);
        bend(ray, station.group);
        continue;
      }
      carry(ray, station.opening.zMm);
      // Neighbouring rays stand apart here by about this much: the edge between them is shared out.
      const edge = Math.max(1e-6, soft * Math.abs(ray.apart));
      const inside =
        0.5 + (station.opening.radiusMm - Math.sqrt(ray.x * ray.x + ray.y * ray.y)) / edge;
      open *= inside <= 0 ? 0 : inside >= 1 ? 1 : inside;
      if (open === 0) break;
    }
    if (open === 0) continue;
    through += open;
    const square = squareOfSlope(sx, sy, rMm, converter);
    light += open / (square * square);
  }
  const share = pupilRadius ** 2 / rays.x.length;
  return { through: through / rays.x.length, light: light * share };
}

/** Light over a sensor at one f-number: by radius, and by angle where the iris has corners. */
export interface LightMap {
  stepMm: number;
  radii: number;
  angles: number;
  /** Angle after which it repeats, radians. */
  periodRad: number;
  /** Relative to the axis; row by angle, column by radius. */
  light: Float64Array;
  through: Float64Array;
}

const ANGLES = 4;

/**
 * Traces a lens out to `reachMm` from its axis, a point every `stepMm`, both as they fall on the sensor.
 * `fNumber` is that of the lens itself.
 */
export function lightMap(lens: RayLens, fNumber: number, reachMm: number, stepMm = 0.06): LightMap {
  const stations = stationsOf(lens);
  const factor = lens.converter?.factor ?? 1;
  const irisRadiusMm = lens.exitPupilMm / (2 * fNumber);
  const round = fNumber < lens.openFNumber * 1.15;
  const angles = round ? 1 : ANGLES;
  const periodRad = round ? 2 * Math.PI : (2 * Math.PI) / lens.blades;
  const radii = Math.ceil(reachMm / stepMm) + 2;
  const light = new Float64Array(angles * radii);
  const through = new Float64Array(angles * radii);
  for (let a = 0; a < angles; a += 1) {
    const rays = bundle(round ? null : lens.blades, -(a / angles) * periodRad);
    const axis = tracePoint(lens, irisRadiusMm, rays, stations, 0);
    for (let i = 0; i < radii; i += 1) {
      const here = tracePoint(lens, irisRadiusMm, rays, stations, (i * stepMm) / factor);
      light[a * radii + i] = here.light / axis.light;
      through[a * radii + i] = here.through / axis.through;
    }
  }
  return { stepMm, radii, angles, periodRad, light, through };
}

/** Mean over all angles of one of the map's columns. */
const meanAt = (map: LightMap, values: Float64Array, i: number): number => {
  let sum = 0;
  for (let a = 0; a < map.angles; a += 1) sum += values[a * map.radii + i] ?? 0;
  return sum / map.angles;
};

function radiusAt(map: LightMap, values: Float64Array, level: number): number | null {
  for (let i = 1; i < map.radii; i += 1) {
    const before = meanAt(map, values, i - 1);
    const here = meanAt(map, values, i);
    if (before >= level && here < level)
      return (i - 1 + (before - level) / (before - here)) * map.stepMm;
  }
  return null;
}

/** The radii a frame of this map should be found to have, mm; null where they lie beyond the map. */
export interface TrueRadii {
  halfLight: number | null;
  clear: number | null;
  black: number | null;
  minus1: number | null;
  minus2: number | null;
}

export const trueRadii = (map: LightMap): TrueRadii => ({
  halfLight: radiusAt(map, map.through, 0.5),
  clear: radiusAt(map, map.through, 2 ** -0.1),
  black: radiusAt(map, map.through, 0.01),
  minus1: radiusAt(map, map.light, 0.5),
  minus2: radiusAt(map, map.light, 0.25),
});
