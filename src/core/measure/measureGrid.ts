/** One frame's light measured: where the halo ends, how soft, how sure. */
import { BLACK_TRANSMISSION, CLEAR_TRANSMISSION, radiusAtTransmission, type Rim } from '../halo';
import { farthestCornerMm, type FrameSize } from '../optics';
import {
  fitHalo,
  type FrameLight,
  halfLightInterval,
  type HaloFit,
  openInterval,
  rimsOf,
  tellsFalloff,
} from './fit';
import { judgeFit, type FrameWarning } from './judge';
import {
  edgeContour,
  type LightGrid,
  lowerBoundMm,
  middleLight,
  profileRadius,
  radialProfile,
  type ProfilePoint,
  rectangularEdge,
  type RectangularEdge,
} from './light';

export interface Figure {
  value: number;
  low: number;
  high: number;
}

export interface FrameMeasure {
  status: 'measured' | 'bound' | 'refused';
  /** Where rims leave half the light, mm, with its 90 % interval; null where the frame cannot tell. */
  halfLightRadiusMm: Figure | null;
  /** The half-light radius is at least this, mm, whatever the model; null for refused frames. */
  lowerBoundMm: number | null;
  clearRadiusMm: number | null;
  blackRadiusMm: number | null;
  /** Radii at which the whole light is 1 and 2 stops below the middle's, mm; null outside the frame. */
  stopRadiiMm: { 1: number | null; 2: number | null };
  /** Halo centre against the middle of the frame, mm, x right, y down. */
  centreMm: [number, number] | null;
  rims: Rim[];
  exitPupilMm: number | null;
  /** Change of the wall's light over half the diagonal, share. */
  wallShare: number | null;
  warnings: FrameWarning[];
}

/** The fitted edge must lie within this share of the farthest corner's distance to be believed. */
const EDGE_IN_REACH = 1.02;
/** An interval wider than this share of the radius says too little to be called a measurement. */
const WIDEST_INTERVAL = 0.25;
const SOFT_INTERVAL = 0.05;

/** What is said of a frame that is refused. */
export const refusedWith = (warnings: FrameWarning[]): FrameMeasure => ({
  status: 'refused',
  halfLightRadiusMm: null,
  lowerBoundMm: null,
  clearRadiusMm: null,
  blackRadiusMm: null,
  stopRadiiMm: { 1: null, 2: null },
  centreMm: null,
  rims: [],
  exitPupilMm: null,
  wallShare: null,
  warnings,
});

/** Largest angle, degrees, over which the half-light circle leaves the frame. */
function unseenArc({ centre, halfLightMm }: HaloFit, sensor: FrameSize): number {
  let gap = 0;
  let widest = 0;
  // Twice round, so that a gap across the start is seen whole.
  for (let degree = 0; degree < 720; degree += 1) {
    const angle = (degree * Math.PI) / 180;
    const inside =
      Math.abs(centre.xMm + halfLightMm * Math.cos(angle)) <= sensor.widthMm / 2 &&
      Math.abs(centre.yMm + halfLightMm * Math.sin(angle)) <= sensor.heightMm / 2;
    gap = inside ? 0 : gap + 1;
    widest = Math.max(widest, gap);
  }
  return widest;
}

/** Seen on one side only, an edge tells its distance from the frame's middle, not from the halo's. */
const ONE_SIDED_DEGREES = 190;
const ONE_SIDED_SHARE = 0.04;

/** Half light of a fit, with its interval, if the frame can tell; null otherwise. */
function halfLightFrom(
  fit: HaloFit,
  reachMm: number,
  boundMm: number,
  oneSided: boolean,
): Figure | null {
  if (fit.halfLightMm > EDGE_IN_REACH * reachMm) return null;
  const interval = halfLightInterval(fit);
  if (interval.high === null) return null;
  const more = oneSided ? ONE_SIDED_SHARE * fit.halfLightMm : 0;
  const [low, high] = [interval.low - more, interval.high + more];
  if (high - low > WIDEST_INTERVAL * fit.halfLightMm) return null;
  return {
    value: fit.halfLightMm,
    low: Math.min(fit.halfLightMm, Math.max(low, boundMm - 0.05)),
    high,
  };
}

/** The same figure where a rectangular opening made the edge: no circle is all of it. */
const spanningBoth = (half: Figure, { nearestMm, farthestMm }: RectangularEdge): Figure => ({
  value: half.value,
  low: Math.min(half.low, nearestMm),
  high: Math.max(half.high, farthestMm),
});

/** The same figure of a frame too wide open to tell its falloff. */
function openFigure(half: Figure, fit: HaloFit, frame: FrameLight): Figure {
  const { low, high } = openInterval(fit, frame, half);
  return { value: half.value, low, high: high ?? half.high };
}

function edgeWarnings(half: Figure | null, oneSided: boolean): FrameWarning[] {
  if (!half) return ['edgeOutside'];
  const soft = half.high - half.low > SOFT_INTERVAL * half.value;
  return [...(oneSided ? (['oneSided'] as const) : []), ...(soft ? (['softEdge'] as const) : [])];
}

export interface GridOptions {
  fNumber?: number | null;
  exitPupilMm?: number | null;
}

interface MeasuredGrid {
  measure: FrameMeasure;
  profile: ProfilePoint[];
  fit: HaloFit;
}

/** A wall without a slope. */
export const EVEN_WALL = { xPerMm: 0, yPerMm: 0 };

/**
 * Measures a grid of light, wherever it comes from: a picture just reduced, one kept in the log, or a mean
 * of many frames. Fits the halo, judges the fit, then reads the figures off it.
 */
export function measureGrid(
  grid: LightGrid,
  { fNumber = null, exitPupilMm = null }: GridOptions,
): MeasuredGrid {
  const fit = fitHalo([{ grid, fNumber }], { exitPupilMm });
  const wall = fit.walls[0] ?? { ...EVEN_WALL, share: 0 };
  const profile = radialProfile(grid, fit.centre, wall);
  const judged = judgeFit(fit);
  const rectangular = rectangularEdge(edgeContour(grid, middleLight(grid)), fit.centre);
  // What a circle leaves over is then the opening's, and nothing that stands in the picture.
  const warnings: FrameWarning[] = rectangular
    ? [...judged.warnings.filter((w) => w !== 'structure' && w !== 'notFlat'), 'straightEdge']
    : judged.warnings;
  if (judged.refused) return { measure: refusedWith(warnings), profile, fit };
  const bound = lowerBoundMm(grid, fit.centre, wall);
  const reach = farthestCornerMm(grid.sensor, fit.centre);
  const oneSided = unseenArc(fit, grid.sensor) > ONE_SIDED_DEGREES;
  const round = halfLightFrom(fit, reach, bound, oneSided);
  const half = round && rectangular ? spanningBoth(round, rectangular) : round;
  const isSure = exitPupilMm !== null || tellsFalloff({ fNumber });
  const rims = rimsOf(fit.rims);
  const black = radiusAtTransmission(rims, BLACK_TRANSMISSION);
  const stopRadius = (light: number) => (oneSided ? null : profileRadius(profile, light));
  const measure: FrameMeasure = {
    status: half ? 'measured' : 'bound',
    halfLightRadiusMm: half && !isSure ? openFigure(half, fit, { grid, fNumber }) : half,
    lowerBoundMm: bound,
    clearRadiusMm: half ? radiusAtTransmission(rims, CLEAR_TRANSMISSION) : null,
    blackRadiusMm: half && black < reach ? black : null,
    stopRadiiMm: { 1: stopRadius(0.5), 2: stopRadius(0.25) },
    centreMm: [fit.centre.xMm, fit.centre.yMm],
    rims: half ? rims : [],
    exitPupilMm: fit.exitPupilMm,
    wallShare: wall.share,
    warnings: [...warnings, ...edgeWarnings(half, oneSided)],
  };
  return { measure, profile, fit };
}
