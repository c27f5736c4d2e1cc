/** The halo in one frame, or in frames at several apertures of one setting. */
import { blackoutRadiusMm } from '../../halo';
import { medianOf, minimise, type Minimum } from '../../maths';
import { contourCircle, edgeContour, middleLight, type LightGrid } from '../light';
import { fieldOf, type FrameField } from './frameField';
import {
  CENTRE_X,
  CENTRE_Y,
  exitPupilOf,
  FALLOFF,
  falloffOf,
  FLOOR,
  frameAt,
  GRADIENT_X,
  GRADIENT_Y,
  halfLightOf,
  LOG_LEVEL,
  parametersIn,
  radiusAt,
  rimsAt,
  rimsOf,
  shareAt,
  type FittedRim,
  type Layout,
} from './haloModel';
import { haloProblem, residualsOf } from './haloProblem';

/** One frame to fit: its light, and its f-number where it is known. */
export interface FrameLight {
  grid: LightGrid;
  fNumber: number | null;
}

/** What a fit says of the wall in one of its frames. */
export interface Wall {
  /** Slope: change of light a mm. */
  xPerMm: number;
  yPerMm: number;
  /** Change over half the diagonal, share. */
  share: number;
  /** Light of the halo's middle, and stray light everywhere, shares of the frame's middle. */
  level: number;
  floor: number;
  /** Whether black lies in the frame; without it nobody knows what is stray light. */
  isBlackSeen: boolean;
}

export interface HaloFit {
  layout: Layout;
  p: Float64Array;
  cost: number;
  /** Spread of the residuals in roots of light (from the median of their sizes). */
  scale: number;
  fields: FrameField[];
  /** Coarser cells, and what the fit costs on them: for the many refits of a ladder. */
  rough: { fields: FrameField[]; cost: number; p: Float64Array };
  /** Rims at the first frame's f-number. */
  rims: FittedRim[];
  centre: { xMm: number; yMm: number };
  exitPupilMm: number | null;
  halfLightMm: number;
  frozen: ReadonlySet<number>;
  /** Of each frame: its wall, and what the fit leaves of it cell by cell, in roots of light. */
  walls: Wall[];
  misses: Float32Array[];
}

/** A second rim must lower the cost by more than this share, and by this after a few steps to be followed up. */
const SECOND_RIM_GAIN = 0.07;
const SECOND_RIM_HINT = 0.02;
const START_POOL = 6;
const COARSE_POOL = 4;
const FINE_POOL = 3;
/** Scale of residuals while nothing is known of them, and the least that is believed. */
const FIRST_SCALE = 0.02;
const LEAST_SCALE = 3e-4;

/** The frames' cells, `pool` by `pool` of them together. */
const fieldsOf = (
  frames: readonly FrameLight[],
  middles: readonly number[],
  pool: number,
): FrameField[] =>
  frames.map(({ grid, fNumber }, i) => {
    const first = frames[0]?.fNumber ?? null;
    const softer = first !== null && fNumber !== null ? first / fNumber : 1;
    return fieldOf(grid, middles[i] ?? 1, pool, softer);
  });

function spreadOf(fit: Minimum, layout: Layout, fields: readonly FrameField[]): number {
  const left = fields.map((field, i) => residualsOf(layout, fit.p, field, i).map(Math.abs));
  const [first = []] = left;
  const sizes = left.length === 1 ? first : left.flatMap((each) => [...each]);
  return Math.max(LEAST_SCALE, 1.4826 * medianOf(sizes));
}

/** Places to start from: the contour's circle if there is one, else edges around and beyond the corner. */
function starts(
  frame: FrameLight,
  middle: number,
  layout: Layout,
  halfDiagonalMm: number,
): Float64Array[] {
  const cell = frame.grid.sensor.widthMm / frame.grid.columns;
  const circle = contourCircle(edgeContour(frame.grid, middle), 3 * cell);
  const begin = (radiusMm: number, share: number, xMm = 0, yMm = 0): Float64Array => {
    const p = new Float64Array(parametersIn(layout));
    p[CENTRE_X] = xMm;
    p[CENTRE_Y] = yMm;
    p[FALLOFF] = 0.12;
    p[radiusAt(0)] = Math.log(radiusMm);
    p[shareAt(0)] = Math.log(share);
    return p;
  };
  const beyond = [1, 1.3].map((k) => begin(k * halfDiagonalMm, 0.2));
  if (!circle || circle.radiusMm > 1.6 * halfDiagonalMm) return beyond;
  const { centre, radiusMm } = circle;
  const near = [0.04, 0.25].map((share) => begin(radiusMm, share, centre.xMm, centre.yMm));
  return [...near, ...beyond.slice(0, 1)];
}

interface Setup {
  fields: readonly FrameField[];
  scale: number;
  frozen: ReadonlySet<number>;
}

const fitFrom = (
  layout: Layout,
  start: Float64Array,
  { fields, scale, frozen }: Setup,
  mostSteps = 40,
  enough = 1e-5,
): Minimum => minimise(haloProblem({ layout, fields, scale, frozen }), start, mostSteps, enough);

/** Written out, not spread: layouts of one shape keep the loops over cells fast. */
const withRims = ({ frames }: Layout, rims: number): Layout => ({ rims, frames });

/**
 * Where a second rim is looked for: so many softnesses of the first beyond its edge, though at most such a
 * share of its radius, and so much softer, in log share. Farther out it would touch no light, and stay.
 */
const SECOND_RIMS = [
  { softnesses: 0.7, atMost: 0.03, softer: 0 },
  { softnesses: 1.2, atMost: 0.12, softer: 0 },
  { softnesses: 1.6, atMost: 0.2, softer: 0.6 },
] as const;

/** The same parameters with one rim more: a twin of the first, a little larger. */
function withSecondRim(
  wider: Layout,
  p: Float64Array,
  { softnesses, atMost, softer }: (typeof SECOND_RIMS)[number],
): Float64Array {
  const out = new Float64Array(parametersIn(wider));
  const added = radiusAt(wider.rims - 1);
  const share = p[shareAt(0)] as number;
  out.set(p.subarray(0, added));
  out[added] = (p[radiusAt(0)] as number) + Math.min(atMost, softnesses * Math.exp(share));
  out[shareAt(wider.rims - 1)] = Math.min(-0.3, share + softer);
  out.set(p.subarray(added), radiusAt(wider.rims));
  return out;
}

/** The fit with a second rim, if that explains the frames much better; null if one rim does. */
function secondRim(
  wider: Layout,
  one: Minimum,
  { few, fields, scale, frozen }: Setup & { few: readonly FrameField[] },
): Minimum | null {
  const likely = SECOND_RIMS.map((place) => {
    const start = withSecondRim(wider, one.p, place);
    return fitFrom(wider, start, { fields: few, scale, frozen }, 6, 1e-3);
  }).reduce((best, next) => (next.cost < best.cost ? next : best));
  // Looked for on few cells; only the best of them is followed up, and only while it promises something.
  const all = { fields, scale, frozen };
  const begun = fitFrom(wider, likely.p, all, 4, 1e-4);
  if (begun.cost > one.cost * (1 - SECOND_RIM_HINT)) return null;
  const two = fitFrom(wider, begun.p, all, 14, 1e-4);
  return two.cost < one.cost * (1 - SECOND_RIM_GAIN) ? two : null;
}

const floorsOf = (layout: Layout): number[] =>
  Array.from({ length: layout.frames }, (_, f) => frameAt(layout, f) + FLOOR);

interface FitOptions {
  /** Exit-pupil distance where it is known, mm. */
  exitPupilMm?: number | null;
}

/** Which parameters stay: the falloff where the pupil is told, floors where no black is in the frame. */
function frozenFor(
  layout: Layout,
  options: FitOptions,
  rims: readonly FittedRim[] | null,
  reachMm: number,
): Set<number> {
  const frozen = new Set<number>();
  if (options.exitPupilMm) frozen.add(FALLOFF);
  if (!rims || blackoutRadiusMm(rimsOf(rims)) > 0.97 * reachMm)
    for (const i of floorsOf(layout)) frozen.add(i);
  return frozen;
}

function wallAt(
  { layout, p, frozen }: Pick<HaloFit, 'layout' | 'p' | 'frozen'>,
  frame: number,
  halfDiagonalMm: number,
): Wall {
  const at = frameAt(layout, frame);
  const [x, y] = [p[at + GRADIENT_X] as number, p[at + GRADIENT_Y] as number];
  return {
    xPerMm: x / halfDiagonalMm,
    yPerMm: y / halfDiagonalMm,
    share: Math.hypot(x, y),
    level: Math.exp(p[at + LOG_LEVEL] as number),
    floor: p[at + FLOOR] as number,
    isBlackSeen: !frozen.has(at + FLOOR),
  };
}

/** Fits one frame, or several of one setting that share centre, rims and pupil. */
export function fitHalo(frames: readonly FrameLight[], options: FitOptions = {}): HaloFit {
  let layout: Layout = { rims: 1, frames: frames.length };
  const middles = frames.map(({ grid }) => Math.max(1e-9, middleLight(grid)));
  const [first, rough, fine] = [START_POOL, COARSE_POOL, FINE_POOL].map((pool) =>
    fieldsOf(frames, middles, pool),
  ) as [FrameField[], FrameField[], FrameField[]];
  const halfDiagonalMm = rough[0]?.halfDiagonalMm ?? 1;
  let frozen = frozenFor(layout, options, null, halfDiagonalMm);
  let best: Minimum | null = null;
  for (const start of starts(frames[0] as FrameLight, middles[0] ?? 1, layout, halfDiagonalMm)) {
    if (options.exitPupilMm) start[FALLOFF] = falloffOf(options.exitPupilMm, halfDiagonalMm);
    const found = fitFrom(layout, start, { fields: first, scale: FIRST_SCALE, frozen }, 12, 1e-3);
    if (!best || found.cost < best.cost) best = found;
  }
  let found = best as Minimum;
  frozen = frozenFor(layout, options, rimsAt(layout, found.p, 1), halfDiagonalMm);
  found = fitFrom(layout, found.p, { fields: rough, scale: FIRST_SCALE, frozen }, 8, 1e-3);
  let scale = spreadOf(found, layout, rough);
  found = fitFrom(layout, found.p, { fields: rough, scale, frozen }, 15, 1e-3);
  scale = spreadOf(found, layout, rough);
  const one = fitFrom(layout, found.p, { fields: rough, scale, frozen }, 15, 1e-4);
  const wider = withRims(layout, 2);
  const wideFrozen = frozenFor(wider, options, rimsAt(layout, found.p, 1), halfDiagonalMm);
  const two = secondRim(wider, one, { few: first, fields: rough, scale, frozen: wideFrozen });
  found = two ?? one;
  if (two) {
    layout = wider;
    frozen = wideFrozen;
  }
  scale = spreadOf(found, layout, fine);
  found = fitFrom(layout, found.p, { fields: fine, scale, frozen }, 6, 1e-4);
  const rims = rimsAt(layout, found.p, 1);
  const onRough = fitFrom(layout, found.p, { fields: rough, scale, frozen }, 6, 1e-6);
  return {
    layout,
    p: found.p,
    cost: found.cost,
    scale,
    fields: fine,
    rough: { fields: rough, ...onRough },
    rims,
    centre: { xMm: found.p[CENTRE_X] as number, yMm: found.p[CENTRE_Y] as number },
    exitPupilMm: exitPupilOf(found.p[FALLOFF] as number, halfDiagonalMm),
    halfLightMm: halfLightOf(rims),
    frozen,
    walls: fine.map((field, i) => wallAt({ layout, p: found.p, frozen }, i, field.halfDiagonalMm)),
    misses: fine.map((field, i) => residualsOf(layout, found.p, field, i)),
  };
}
