/** One decoded frame measured: its pixels to light, the light judged, then measured. */
import type { FrameSize } from '../optics';
import type { PixelImage } from './file';
import type { HaloFit } from './fit';
import { judgeLight, type FrameWarning } from './judge';
import {
  middleLight,
  grainOf,
  reduceFrame,
  type LightGrid,
  radialProfile,
  type ProfilePoint,
  toneTable,
  type Tone,
} from './light';
import {
  EVEN_WALL,
  measureGrid,
  refusedWith,
  type FrameMeasure,
  type GridOptions,
} from './measureGrid';

/** What is shown of a measured frame beside its figures. */
export interface FrameEvidence {
  grid: LightGrid;
  profile: ProfilePoint[];
  /** Null where nothing was fitted. */
  fit: HaloFit | null;
}

interface MeasureOptions extends GridOptions {
  sensor: FrameSize;
  tone: Tone;
}

const LEAST_PIXELS = 64;
/** Sides may differ by this share before the frame's shape is said not to be the sensor's. */
const SHAPE_TOLERANCE = 0.02;

const shapeIsOff = ({ widthPx, heightPx }: PixelImage, sensor: FrameSize): boolean =>
  Math.abs((widthPx / heightPx) * (sensor.heightMm / sensor.widthMm) - 1) > SHAPE_TOLERANCE;

/** Measures one decoded frame. It never throws for what is in the picture: it refuses, with reasons. */
export function measureFrame(
  image: PixelImage,
  { sensor, tone, ...options }: MeasureOptions,
): { measure: FrameMeasure; evidence: FrameEvidence | null } {
  const { widthPx, heightPx } = image;
  if (Math.min(widthPx, heightPx) < LEAST_PIXELS)
    return { measure: refusedWith(['tooSmall']), evidence: null };
  const table = toneTable(tone, image.depth);
  const grid = reduceFrame(image, table, sensor);
  const shape: FrameWarning[] = shapeIsOff(image, grid.sensor) ? ['sensorShape'] : [];
  const light = judgeLight(grid, middleLight(grid), grainOf(image, table));
  // How large the picture is on the sensor is then not known.
  if (light.refused || shape.length > 0) {
    const profile = radialProfile(grid, { xMm: 0, yMm: 0 }, EVEN_WALL);
    return {
      measure: refusedWith([...shape, ...light.warnings]),
      evidence: { grid, profile, fit: null },
    };
  }
  const { measure, profile, fit } = measureGrid(grid, options);
  const warnings = [...new Set([...light.warnings, ...measure.warnings])];
  return { measure: { ...measure, warnings }, evidence: { grid, profile, fit } };
}
