/** The halo model against frames, as a least-squares problem with a robust loss. */
import {
  frameAt,
  heldInside,
  parametersIn,
  rimProfile,
  rimsAt,
  CENTRE_X,
  CENTRE_Y,
  FALLOFF,
  FLOOR,
  GRADIENT_X,
  GRADIENT_Y,
  LOG_LEVEL,
  PER_FRAME,
  PER_RIM,
  RIM_RADIUS,
  type FittedRim,
  type Layout,
  type RimProfile,
} from './haloModel';
import { ROOT_EPSILON, type FrameField } from './frameField';
import type { Problem, Sums } from './levenberg';

/** Beyond this many scales a residual counts less and less (Cauchy loss). */
const LOSS_SCALES = 2.5;
/** Step in log radius and log share for their derivatives. */
const NUDGE = 1e-3;

/** A wish the fit is held to beside the frames: how far off it is, in units that count like residuals. */
export type Wish = (rims: readonly FittedRim[]) => number;

/** Light through the rims at one radius, by straight lines in the table. */
function profileAt({ startMm, stepMm, values }: RimProfile, r: number): number {
  const place = (r - startMm) / stepMm;
  if (place <= 0) return 1;
  if (place >= values.length - 2) return 0;
  const k = place | 0;
  const low = values[k] as number;
  return low + ((values[k + 1] as number) - low) * (place - k);
}

/** The profile with one rim parameter moved a little. */
interface Nudged {
  by: number;
  profile: RimProfile;
}

interface FrameSums {
  layout: Layout;
  field: FrameField;
  frame: number;
  scale: number;
}

/** Columns of the whole problem that one frame touches: shared ones, then its own. */
function columnsOf({ layout, frame }: FrameSums): Int32Array {
  const shared = RIM_RADIUS + PER_RIM * layout.rims;
  const own = frameAt(layout, frame);
  return Int32Array.from({ length: shared + PER_FRAME }, (_, i) =>
    i < shared ? i : own + i - shared,
  );
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

function profilesAt(layout: Layout, p: Float64Array, field: FrameField, derivatives: boolean) {
  const base = rimProfile(rimsAt(layout, p, field.softer), field.cellMm);
  if (!derivatives) return { base, nudged: [] };
  const nudged = Array.from({ length: layout.rims * PER_RIM }, (_, i) => {
    const { by, moved } = nudgedAt(p, RIM_RADIUS + i);
    return { by, profile: rimProfile(rimsAt(layout, moved, field.softer), field.cellMm) };
  });
  return { base, nudged };
}

/** Puts one frame's gradient and curvature in their places among all parameters. */
function spread(
  columns: Int32Array,
  slope: Float64Array,
  normal: Float64Array,
  size: number,
  sums: Sums,
): void {
  const n = columns.length;
  for (let i = 0; i < n; i += 1) {
    const a = columns[i] as number;
    sums.gradient[a] = (sums.gradient[a] as number) + (slope[i] as number);
    for (let j = i; j < n; j += 1) {
      const at = a * size + (columns[j] as number);
      sums.curvature[at] = (sums.curvature[at] as number) + (normal[i * n + j] as number);
    }
  }
}

const zeros = (n: number): Float64Array => new Float64Array(n);

type Places = [number, number, number, number];

/* Places in a row as constants of this file: the loop below runs millions of times. */
const OWN_PLACES: Places = [GRADIENT_X, GRADIENT_Y, LOG_LEVEL, FLOOR];
const X_AT = CENTRE_X;
const Y_AT = CENTRE_Y;
const FALLOFF_AT = FALLOFF;
const RIMS_AT = RIM_RADIUS;
const EPSILON = ROOT_EPSILON;

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
function addFrame(given: FrameSums, p: Float64Array, sums: Sums, derivatives: boolean): void {
  const { layout, field } = given;
  const { base, nudged } = profilesAt(layout, p, field, derivatives);
  const { cx, cy, falloff, gx, gy, level, floor, perLoss } = stateOf(given, p);
  const [D, perDiagonal] = [field.halfDiagonalMm, field.halfDiagonalMm ** -2];
  const columns = columnsOf(given);
  const n = columns.length;
  const [gxAt, gyAt, levelAt, floorAt] = OWN_PLACES.map((i) => n - PER_FRAME + i) as Places;
  const [row, slope, normal] = [zeros(n), zeros(n), zeros(n * n)];
  const { startMm, values } = base;
  const perStep = 1 / base.stepMm;
  const lastPlace = values.length - 2;
  // Inside this radius no rim, nudged or not, takes anything.
  const open = Math.min(startMm, ...nudged.map((m) => m.profile.startMm));
  let cost = 0;
  // Logarithms are dear: of products of some cells each, not of every cell.
  let product = 1;
  for (let k = 0; k < field.count; k += 1) {
    const x = field.xMm[k] as number;
    const y = field.yMm[k] as number;
    const [dx, dy] = [x - cx, y - cy];
    const squareMm = dx * dx + dy * dy;
    const r = Math.sqrt(squareMm);
    let through = 1;
    let fall = 0;
    const place = (r - startMm) * perStep;
    if (place >= lastPlace) through = 0;
    else if (place > 0) {
      const low = place | 0;
      const value = values[low] as number;
      const rise = (values[low + 1] as number) - value;
      through = value + rise * (place - low);
      fall = rise * perStep;
    }
    const square = squareMm * perDiagonal;
    const inner = 1 / (1 + falloff * square);
    const natural = inner * inner;
    const wall = 1 + (gx * x + gy * y) / D;
    const bright = level * (wall > 0.02 ? wall : 0.02);
    const light = bright * (through * natural + floor);
    const root = Math.sqrt(light + EPSILON);
    const miss = root - (field.root[k] as number);
    const loss = 1 + miss * miss * perLoss;
    product *= loss;
    if ((k & 15) === 15) {
      cost += Math.log(product);
      product = 1;
    }
    if (!derivatives) continue;
    const chain = 0.5 / root;
    const byRadius =
      bright * (fall * natural - through * 4 * falloff * r * inner * natural * perDiagonal) * chain;
    const towards = r > 1e-6 ? byRadius / r : 0;
    row[X_AT] = -dx * towards;
    row[Y_AT] = -dy * towards;
    row[FALLOFF_AT] = -2 * bright * through * natural * inner * square * chain;
    for (let i = 0; i < nudged.length; i += 1) {
      if (r <= open) {
        row[RIMS_AT + i] = 0;
        continue;
      }
      const { by, profile } = nudged[i] as Nudged;
      row[RIMS_AT + i] = ((profileAt(profile, r) - through) / by) * bright * natural * chain;
    }
    const each = (level * (through * natural + floor) * chain) / D;
    row[gxAt] = each * x;
    row[gyAt] = each * y;
    row[levelAt] = light * chain;
    row[floorAt] = bright * chain;
    const weight = perLoss / loss;
    for (let i = 0; i < n; i += 1) {
      const wi = weight * (row[i] as number);
      if (wi === 0) continue;
      slope[i] = (slope[i] as number) + wi * miss;
      for (let j = i; j < n; j += 1)
        normal[i * n + j] = (normal[i * n + j] as number) + wi * (row[j] as number);
    }
  }
  cost += Math.log(product);
  sums.cost += cost;
  if (derivatives) spread(columns, slope, normal, parametersIn(layout), sums);
}

/** Adds a wish about the first frame's rims, by differences. */
function addWish(layout: Layout, wish: Wish, p: Float64Array, sums: Sums, derivatives: boolean) {
  const size = parametersIn(layout);
  const miss = wish(rimsAt(layout, p, 1));
  sums.cost += miss * miss;
  if (!derivatives) return;
  const touched = Array.from({ length: layout.rims * PER_RIM }, (_, i) => RIM_RADIUS + i);
  const slopes = touched.map((index) => {
    const { by, moved } = nudgedAt(p, index);
    return (wish(rimsAt(layout, moved, 1)) - miss) / by;
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

export interface HaloProblem {
  layout: Layout;
  fields: readonly FrameField[];
  /** Scale of the residuals, in roots of light. */
  scale: number;
  frozen: ReadonlySet<number>;
  wish?: Wish;
}

export function haloProblem({ layout, fields, scale, frozen, wish }: HaloProblem): Problem {
  const halfDiagonalMm = fields[0]?.halfDiagonalMm ?? 1;
  return {
    size: parametersIn(layout),
    frozen,
    hold: (p) => {
      heldInside(layout, p, halfDiagonalMm);
    },
    add: (p, sums, derivatives) => {
      fields.forEach((field, frame) => {
        addFrame({ layout, field, frame, scale }, p, sums, derivatives);
      });
      if (wish) addWish(layout, wish, p, sums, derivatives);
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
  const profile = rimProfile(rimsAt(layout, p, field.softer), field.cellMm);
  const own = frameAt(layout, frame);
  const D = field.halfDiagonalMm;
  return Float32Array.from({ length: field.count }, (_, k) => {
    const x = field.xMm[k] as number;
    const y = field.yMm[k] as number;
    const r = Math.hypot(x - (p[CENTRE_X] as number), y - (p[CENTRE_Y] as number));
    const natural = (1 + (p[FALLOFF] as number) * (r / D) ** 2) ** -2;
    const wall =
      1 + ((p[own + GRADIENT_X] as number) * x + (p[own + GRADIENT_Y] as number) * y) / D;
    const light =
      Math.exp(p[own + LOG_LEVEL] as number) *
      Math.max(0.02, wall) *
      (profileAt(profile, r) * natural + (p[own + FLOOR] as number));
    return (field.root[k] as number) - Math.sqrt(light + ROOT_EPSILON);
  });
}
