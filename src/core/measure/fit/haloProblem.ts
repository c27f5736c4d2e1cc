/** The halo model against frames, as a least-squares problem with a robust loss. */
import {
  frameAt,
  heldInside,
  parametersIn,
  rimsAt,
  rimTables,
  CENTRE_X,
  CENTRE_Y,
  FALLOFF,
  FLOOR,
  GRADIENT_X,
  GRADIENT_Y,
  LOG_LEVEL,
  PER_FRAME,
  PER_RIM,
  PLACES,
  RIM_RADIUS,
  type FittedRim,
  type Layout,
  type RimTables,
} from './haloModel';
import { ROOT_EPSILON, type FrameField } from './frameField';
import type { Problem, Sums } from '../../maths';

/** Beyond this many scales a residual counts less and less (Cauchy loss). */
const LOSS_SCALES = 2.5;
/** Step in log radius and log share for their derivatives. */
const NUDGE = 1e-3;

/** A condition the fit is held to beside the frames: how far it is from being met, in the units of residuals. */
type Penalty = (rims: readonly FittedRim[]) => number;

/** Light through one set of rims at a radius, by straight lines in its table. */
function throughAt(tables: RimTables, row: number, r: number): number {
  const place = (r - (tables.startMm[row] as number)) * (tables.perStep[row] as number);
  if (place <= 0) return 1;
  if (place >= LAST_PLACE) return 0;
  const at = row * PLACES + (place | 0);
  const low = tables.values[at] as number;
  return low + ((tables.values[at + 1] as number) - low) * (place - (place | 0));
}

interface FrameSums {
  layout: Layout;
  field: FrameField;
  frame: number;
  scale: number;
}

/** Columns of the whole problem that one frame touches: centre and falloff, its own, and the rims last. */
function columnsOf({ layout, frame }: FrameSums): Int32Array {
  const own = frameAt(layout, frame);
  return Int32Array.from({ length: RIMS_AT + PER_RIM * layout.rims }, (_, i) => {
    if (i < OWN_AT) return i;
    return i < RIMS_AT ? own + i - OWN_AT : RIM_RADIUS + i - RIMS_AT;
  });
}

/** Parameters with one of a rim's moved a little, for a derivative; and by how much. */
function nudgedAt(p: Float64Array, index: number): { by: number; moved: Float64Array } {
  const here = p[index] as number;
  // Shares stop at 1: there the derivative is taken from below.
  const isShare = (index - RIM_RADIUS) % PER_RIM === 1;
  const by = isShare && here > -2 * NUDGE ? -NUDGE : NUDGE;
  const moved = Float64Array.from(p);
  moved[index] = here + by;
  return { by, moved };
}

/** The rims of a frame, then the same with each of their parameters moved a little, for derivatives. */
function tablesAt(layout: Layout, p: Float64Array, field: FrameField) {
  const moves = Array.from({ length: layout.rims * PER_RIM }, (_, i) =>
    nudgedAt(p, RIM_RADIUS + i),
  );
  const sets = [p, ...moves.map((m) => m.moved)].map((at) => rimsAt(layout, at, field.softer));
  return {
    tables: rimTables(sets, field.cellMm),
    perNudge: Float64Array.from(moves, (m) => 1 / m.by),
  };
}

/* Columns of one frame as constants of this file: the loop below runs millions of times. */
const X_AT = CENTRE_X;
const Y_AT = CENTRE_Y;
const FALLOFF_AT = FALLOFF;
const OWN_AT = RIM_RADIUS;
const WALL_X_AT = OWN_AT + GRADIENT_X;
const WALL_Y_AT = OWN_AT + GRADIENT_Y;
const LEVEL_AT = OWN_AT + LOG_LEVEL;
const FLOOR_AT = OWN_AT + FLOOR;
const RIMS_AT = OWN_AT + PER_FRAME;
const EPSILON = ROOT_EPSILON;
const LAST_PLACE = PLACES - 2;

/** Cells whose derivatives are kept together before they are added up. */
const BLOCK = 16;

/**
 * Derivatives of some cells, column by column, and what each misses, both already weighted. Added up a
 * block at a time: far fewer sums are fetched and put back than cell by cell.
 */
interface Block {
  filled: number;
  rows: Float64Array;
  miss: Float64Array;
}

const emptyBlock = (columns: number): Block => ({
  filled: 0,
  rows: new Float64Array(columns * BLOCK),
  miss: new Float64Array(BLOCK),
});

/** Adds a block's first `width` columns to one frame's gradient and curvature, and empties it. */
function addBlock(
  block: Block,
  width: number,
  slope: Float64Array,
  normal: Float64Array,
  n: number,
): void {
  const { filled, rows, miss } = block;
  for (let i = 0; i < width; i += 1) {
    const a = i * BLOCK;
    let along = 0;
    for (let k = 0; k < filled; k += 1) along += (rows[a + k] as number) * (miss[k] as number);
    slope[i] = (slope[i] as number) + along;
    for (let j = i; j < width; j += 1) {
      const b = j * BLOCK;
      let sum = 0;
      for (let k = 0; k < filled; k += 1) sum += (rows[a + k] as number) * (rows[b + k] as number);
      normal[i * n + j] = (normal[i * n + j] as number) + sum;
    }
  }
  block.filled = 0;
}

/** Puts one frame's gradient and curvature in their places among all parameters. */
function spread(columns: Int32Array, slope: Float64Array, normal: Float64Array, sums: Sums): void {
  const n = columns.length;
  const size = sums.gradient.length;
  for (let i = 0; i < n; i += 1) {
    const a = columns[i] as number;
    sums.gradient[a] = (sums.gradient[a] as number) + (slope[i] as number);
    for (let j = i; j < n; j += 1) {
      const b = columns[j] as number;
      const at = Math.min(a, b) * size + Math.max(a, b);
      sums.curvature[at] = (sums.curvature[at] as number) + (normal[i * n + j] as number);
    }
  }
}

/** Parameters of one frame by name. */
function stateOf({ layout, frame, scale }: FrameSums, p: Float64Array) {
  const own = frameAt(layout, frame);
  return {
    cx: p[CENTRE_X] as number,
    cy: p[CENTRE_Y] as number,
    falloff: p[FALLOFF] as number,
    gx: p[own + GRADIENT_X] as number,
    gy: p[own + GRADIENT_Y] as number,
    level: Math.exp(p[own + LOG_LEVEL] as number),
    floor: p[own + FLOOR] as number,
    perLoss: 1 / (LOSS_SCALES * scale) ** 2,
  };
}

/** Adds one frame's residuals to the sums. */
function addFrame(given: FrameSums, p: Float64Array, sums: Sums): void {
  const { layout, field } = given;
  const { tables, perNudge } = tablesAt(layout, p, field);
  const { cx, cy, falloff, gx, gy, level, floor, perLoss } = stateOf(given, p);
  const [D, perDiagonal] = [field.halfDiagonalMm, field.halfDiagonalMm ** -2];
  const columns = columnsOf(given);
  const n = columns.length;
  const [slope, normal] = [new Float64Array(n), new Float64Array(n * n)];
  // Most cells no rim touches: they are kept apart, and only the columns before the rims added up.
  const [inner, outer] = [emptyBlock(RIMS_AT), emptyBlock(n)];
  const [startMm, perStep] = [tables.startMm[0] as number, tables.perStep[0] as number];
  const { values } = tables;
  const { xMm, yMm, root: roots, count } = field;
  // Inside this radius no rim, nudged or not, takes anything.
  const open = Math.min(...tables.startMm);
  let cost = 0;
  // Logarithms are dear: of products of some cells each, not of every cell.
  let product = 1;
  for (let k = 0; k < count; k += 1) {
    const x = xMm[k] as number;
    const y = yMm[k] as number;
    const [dx, dy] = [x - cx, y - cy];
    const squareMm = dx * dx + dy * dy;
    const r = Math.sqrt(squareMm);
    let through = 1;
    let fall = 0;
    const place = (r - startMm) * perStep;
    if (place >= LAST_PLACE) through = 0;
    else if (place > 0) {
      const low = place | 0;
      const value = values[low] as number;
      const rise = (values[low + 1] as number) - value;
      through = value + rise * (place - low);
      fall = rise * perStep;
    }
    const square = squareMm * perDiagonal;
    const toCorner = 1 / (1 + falloff * square);
    const natural = toCorner * toCorner;
    const wall = 1 + (gx * x + gy * y) / D;
    const bright = level * (wall > 0.02 ? wall : 0.02);
    const light = bright * (through * natural + floor);
    const root = Math.sqrt(light + EPSILON);
    const miss = root - (roots[k] as number);
    const loss = 1 + miss * miss * perLoss;
    product *= loss;
    if ((k & 15) === 15) {
      cost += Math.log(product);
      product = 1;
    }
    const weight = Math.sqrt(perLoss / loss);
    const chain = (0.5 * weight) / root;
    const byRadius =
      bright *
      (fall * natural - through * 4 * falloff * r * toCorner * natural * perDiagonal) *
      chain;
    const towards = r > 1e-6 ? byRadius / r : 0;
    const touched = r > open;
    const block = touched ? outer : inner;
    const { rows, filled: at } = block;
    block.miss[at] = weight * miss;
    rows[X_AT * BLOCK + at] = -dx * towards;
    rows[Y_AT * BLOCK + at] = -dy * towards;
    rows[FALLOFF_AT * BLOCK + at] = -2 * bright * through * natural * toCorner * square * chain;
    const each = (level * (through * natural + floor) * chain) / D;
    rows[WALL_X_AT * BLOCK + at] = each * x;
    rows[WALL_Y_AT * BLOCK + at] = each * y;
    rows[LEVEL_AT * BLOCK + at] = light * chain;
    rows[FLOOR_AT * BLOCK + at] = bright * chain;
    if (touched) {
      const reaches = bright * natural * chain;
      for (let i = 0; i < perNudge.length; i += 1)
        rows[(RIMS_AT + i) * BLOCK + at] =
          (throughAt(tables, i + 1, r) - through) * (perNudge[i] as number) * reaches;
    }
    block.filled = at + 1;
    if (block.filled === BLOCK) addBlock(block, touched ? n : RIMS_AT, slope, normal, n);
  }
  cost += Math.log(product);
  sums.cost += cost;
  addBlock(inner, RIMS_AT, slope, normal, n);
  addBlock(outer, n, slope, normal, n);
  spread(columns, slope, normal, sums);
}

/** Adds a penalty on the first frame’s rims, its slopes by differences. */
function addPenalty(layout: Layout, penalty: Penalty, p: Float64Array, sums: Sums) {
  const size = parametersIn(layout);
  const miss = penalty(rimsAt(layout, p, 1));
  sums.cost += miss * miss;
  const touched = Array.from({ length: layout.rims * PER_RIM }, (_, i) => RIM_RADIUS + i);
  const slopes = touched.map((index) => {
    const { by, moved } = nudgedAt(p, index);
    return (penalty(rimsAt(layout, moved, 1)) - miss) / by;
  });
  touched.forEach((a, i) => {
    sums.gradient[a] = (sums.gradient[a] as number) + (slopes[i] ?? 0) * miss;
    touched.forEach((b, j) => {
      if (b < a) return;
      const at = a * size + b;
      sums.curvature[at] = (sums.curvature[at] as number) + (slopes[i] ?? 0) * (slopes[j] ?? 0);
    });
  });
}

interface HaloProblem {
  layout: Layout;
  fields: readonly FrameField[];
  /** Scale of the residuals, in roots of light. */
  scale: number;
  frozen: ReadonlySet<number>;
  penalty?: Penalty;
}

export function haloProblem({ layout, fields, scale, frozen, penalty }: HaloProblem): Problem {
  const halfDiagonalMm = fields[0]?.halfDiagonalMm ?? 1;
  return {
    size: parametersIn(layout),
    frozen,
    hold: (p) => {
      heldInside(layout, p, halfDiagonalMm);
    },
    add: (p, sums) => {
      fields.forEach((field, frame) => {
        addFrame({ layout, field, frame, scale }, p, sums);
      });
      if (penalty) addPenalty(layout, penalty, p, sums);
    },
  };
}

/** What a fit leaves of one frame, in roots of light, cell by cell. */
export function residualsOf(
  layout: Layout,
  p: Float64Array,
  field: FrameField,
  frame: number,
): Float32Array {
  const tables = rimTables([rimsAt(layout, p, field.softer)], field.cellMm);
  const { cx, cy, falloff, gx, gy, level, floor } = stateOf({ layout, field, frame, scale: 1 }, p);
  const { xMm, yMm, root, count, halfDiagonalMm: D } = field;
  const out = new Float32Array(count);
  for (let k = 0; k < count; k += 1) {
    const x = xMm[k] as number;
    const y = yMm[k] as number;
    const square = (x - cx) ** 2 + (y - cy) ** 2;
    const natural = (1 + (falloff * square) / D ** 2) ** -2;
    const wall = Math.max(0.02, 1 + (gx * x + gy * y) / D);
    const light = level * wall * (throughAt(tables, 0, Math.sqrt(square)) * natural + floor);
    out[k] = (root[k] as number) - Math.sqrt(light + ROOT_EPSILON);
  }
  return out;
}
