/** One frame measured: where the halo ends, how soft, how sure. */
import { BLACK_TRANSMISSION, CLEAR_TRANSMISSION, radiusWhere } from '../halo/radii';
import { blackoutRadiusMm, transmissionAt, type Rim } from '../halo/rims';
import { farthestCornerMm, type FrameSize } from '../optics/formats';
import { middleLight } from './light/contour';
import { fitHalo, wallOf, type HaloFit } from './fit/haloFit';
import { rimsOf } from './fit/haloModel';
import { halfLightInterval } from './fit/interval';
import { judgeFit, judgeLight, type FrameWarning } from './judge';
import { grainOf } from './light/grain';
import type { PixelImage } from './file/pixels';
import {
  lowerBoundMm,
  profileRadius,
  radialProfile,
  type ProfilePoint,
} from './light/radialProfile';
import { reduceFrame, type LightGrid } from './light/lightGrid';
import { toneTable, type Tone } from './light/tone';

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

/** What is shown of a measured frame beside its figures. */
export interface FrameEvidence {
  grid: LightGrid;
  profile: ProfilePoint[];
  fit: HaloFit | null;
}

export interface MeasureOptions {
  sensor: FrameSize;
  tone: Tone;
  fNumber?: number | null;
  exitPupilMm?: number | null;
}

const LEAST_PIXELS = 64;
/** The fitted edge must lie within this share of the farthest corner's distance to be believed. */
const EDGE_IN_REACH = 1.02;
/** An interval wider than this share of the radius says too little to be called a measurement. */
const WIDEST_INTERVAL = 0.25;
const SOFT_INTERVAL = 0.05;
/** Sides may differ by this share before the frame's shape is said not to be the sensor's. */
const SHAPE_TOLERANCE = 0.02;

const refusedWith = (warnings: FrameWarning[]): FrameMeasure => ({
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

const shapeIsOff = ({ widthPx, heightPx }: PixelImage, sensor: FrameSize): boolean =>
  Math.abs((widthPx / heightPx) * (sensor.heightMm / sensor.widthMm) - 1) > SHAPE_TOLERANCE;

/** Largest angle, degrees, over which the half-light circle leaves the frame. */
function unseenArc(fit: HaloFit, sensor: FrameSize): number {
  const { centre, halfLightMm } = fit;
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

/** The rest of what a fit says of one of its frames. */
export function figuresOf(
  fit: HaloFit,
  frame: number,
  grid: LightGrid,
): { measure: FrameMeasure; profile: ProfilePoint[] } {
  const judged = judgeFit(fit, frame);
  const wall = wallOf(fit, frame);
  const profile = radialProfile(grid, fit.centre, wall);
  if (judged.refused) return { measure: refusedWith(judged.warnings), profile };
  const bound = lowerBoundMm(grid, fit.centre, wall);
  const reach = farthestCornerMm(grid.sensor, fit.centre);
  const oneSided = unseenArc(fit, grid.sensor) > ONE_SIDED_DEGREES;
  const half = halfLightFrom(fit, reach, bound, oneSided);
  const rims = rimsOf(fit.rims);
  const through = (r: number) => transmissionAt(rims, r);
  const blackRadius = radiusWhere(
    through,
    BLACK_TRANSMISSION,
    fit.halfLightMm,
    blackoutRadiusMm(rims),
  );
  const warnings = [...judged.warnings];
  if (half && oneSided) warnings.push('oneSided');
  if (!half) warnings.push('edgeOutside');
  else if (half.high - half.low > SOFT_INTERVAL * half.value) warnings.push('softEdge');
  const measure: FrameMeasure = {
    status: half ? 'measured' : 'bound',
    halfLightRadiusMm: half,
    lowerBoundMm: bound,
    clearRadiusMm: half ? radiusWhere(through, CLEAR_TRANSMISSION, 0, fit.halfLightMm) : null,
    blackRadiusMm: half && blackRadius < reach ? blackRadius : null,
    stopRadiiMm: {
      1: oneSided ? null : profileRadius(profile, 0.5),
      2: oneSided ? null : profileRadius(profile, 0.25),
    },
    centreMm: [fit.centre.xMm, fit.centre.yMm],
    rims: half ? rims : [],
    exitPupilMm: fit.exitPupilMm,
    wallShare: wall.share,
    warnings,
  };
  return { measure, profile };
}

/** Measures one decoded frame. It never throws for what is in the picture: it refuses, with reasons. */
export function measureFrame(
  image: PixelImage,
  options: MeasureOptions,
): { measure: FrameMeasure; evidence: FrameEvidence | null } {
  const { widthPx, heightPx } = image;
  if (Math.min(widthPx, heightPx) < LEAST_PIXELS)
    return { measure: refusedWith(['tooSmall']), evidence: null };
  const tone = toneTable(options.tone, image.depth);
  const grid = reduceFrame(image, tone, options.sensor);
  const light = judgeLight(grid, middleLight(grid), grainOf(image, tone));
  const shape: FrameWarning[] = shapeIsOff(image, grid.sensor) ? ['sensorShape'] : [];
  if (light.refused) {
    const profile = radialProfile(grid, { xMm: 0, yMm: 0 }, { xPerMm: 0, yPerMm: 0 });
    return {
      measure: refusedWith([...shape, ...light.warnings]),
      evidence: { grid, profile, fit: null },
    };
  }
  const fit = fitHalo([{ grid, fNumber: options.fNumber ?? null }], {
    exitPupilMm: options.exitPupilMm ?? null,
  });
  const { measure, profile } = figuresOf(fit, 0, grid);
  const warnings = [...new Set([...shape, ...light.warnings, ...measure.warnings])];
  return { measure: { ...measure, warnings }, evidence: { grid, profile, fit } };
}
