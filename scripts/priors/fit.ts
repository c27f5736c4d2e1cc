/**
 * Fits what is usual of softness and exit pupil: each logarithm a weighted sum of features of the lens, with
 * a scatter of its own. Method: expectation and maximisation for a nonlinear mixed-effects model, each lens
 * linearised about its own likeliest figures (after Lindstrom and Bates, Biometrics 46, 1990), then the
 * levels set so that the corner is darker than expected as often as lighter, wide open and at f/8.
 */
import { falloffScatter } from '../../src/core/halo';
import { solveNormal, medianOf } from '../../src/core/maths';
import { READ_AT, type NativeFalloff } from './database';
import { apertureOf, cornerOf, forecast, HELD, heldShare, type Which } from './forecast';
import {
  dot,
  expectedFigures,
  falloffOfPupil,
  featuresOf,
  FIGURES,
  kindOf,
  modelStops,
  scatterOf,
  type Fitted,
  type LogFigures,
} from './model';

const NONE: ReadonlySet<number> = new Set();
const SIZE = FIGURES.length;

/** Solves a small symmetric system, given whole. */
function solved(square: readonly (readonly number[])[], right: readonly number[]): number[] {
  const size = right.length;
  const sums = {
    cost: 0,
    gradient: Float64Array.from(right),
    curvature: Float64Array.from(square.flat()),
  };
  const answer = solveNormal(sums, size, 0, NONE);
  if (!answer) throw new RangeError('the features of the fit depend on each other');
  return [...answer];
}

function predicted(lens: NativeFalloff, figures: LogFigures): number[] {
  const kind = kindOf(lens);
  return lens.apertures.flatMap(({ fNumber }) =>
    READ_AT.map((share) => modelStops(kind, figures, fNumber, share)),
  );
}

const moved = (figures: LogFigures, k: number, by: number): LogFigures => {
  const next = [...figures] as [number, number];
  next[k] = (next[k] ?? 0) + by;
  return next;
};

const STEP = 0.02;
const LARGEST_MOVE = 0.3;

interface Likeliest {
  figures: LogFigures;
  /** Variance of each figure left. */
  variance: number[];
  /** Mean square of what is left over, stops². */
  leftOver: number;
}

/** The likeliest figures of one lens, given what is usual, and how sure they are. */
function likeliest(
  lens: NativeFalloff,
  expected: LogFigures,
  start: LogFigures,
  fitted: Fitted,
): Likeliest {
  const seen = lens.apertures.flatMap(({ stops }) => stops);
  const [softness, falloff] = scatterOf(fitted, lens);
  const tightness = [softness, falloff / 2].map((s) => 1 / s ** 2);
  const weight = 1 / fitted.noiseStops ** 2;
  let figures = start;
  let now = predicted(lens, figures);
  let square: number[][] = [];
  for (let step = 0; step < 3; step += 1) {
    const slopes = FIGURES.map((_, k) =>
      predicted(lens, moved(figures, k, STEP)).map((v, j) => (v - (now[j] ?? 0)) / STEP),
    );
    const left = seen.map((v, j) => v - (now[j] ?? 0));
    square = slopes.map((a, i) =>
      slopes.map((b, j) => weight * dot(a, b) + (i === j ? (tightness[i] ?? 0) : 0)),
    );
    const pull = slopes.map(
      (a, i) =>
        weight * dot(a, left) - (tightness[i] ?? 0) * ((figures[i] ?? 0) - (expected[i] ?? 0)),
    );
    solved(square, pull).forEach((by, k) => {
      figures = moved(figures, k, Math.max(-LARGEST_MOVE, Math.min(LARGEST_MOVE, by)));
    });
    now = predicted(lens, figures);
  }
  const variance = Array.from(
    { length: SIZE },
    (_, k) =>
      solved(
        square,
        FIGURES.map((__, i) => (i === k ? 1 : 0)),
      )[k] ?? 0,
  );
  const leftOver =
    seen.reduce((sum, v, j) => sum + (v - (now[j] ?? 0)) ** 2, 0) / Math.max(1, seen.length);
  return { figures, variance, leftOver };
}

/** A feature that hardly varies stays near 0 by this much ridge. */
const RIDGE = 1e-3;

/** Weighted straight fit. */
function straight(
  rows: readonly (readonly number[])[],
  values: readonly number[],
  weights: readonly number[],
): number[] {
  const columns = (rows[0] ?? []).map((_, k) => rows.map((row) => row[k] ?? 0));
  const weighted = columns.map((c) => c.map((v, i) => v * (weights[i] ?? 0)));
  return solved(
    weighted.map((a, i) => columns.map((b, j) => dot(a, b) + (i === j ? RIDGE : 0))),
    weighted.map((a) => dot(a, values)),
  );
}

/** Every lens counts once, however many focal lengths were calibrated. */
function weightsOf(lenses: readonly NativeFalloff[]): number[] {
  const counts = new Map<number, number>();
  for (const { lens } of lenses) counts.set(lens, (counts.get(lens) ?? 0) + 1);
  return lenses.map(({ lens }) => 1 / (counts.get(lens) ?? 1));
}

/** Standard deviations at both ends of the line along which variances run. */
function scatterLine(
  lenses: readonly NativeFalloff[],
  squares: readonly number[],
  weights: readonly number[],
): [short: number, long: number] {
  const rows = lenses.map((lens) => {
    const share = falloffScatter(kindOf(lens), [0, 1]);
    return [1 - share, share];
  });
  const [short, long] = straight(rows, squares, weights);
  return [
    Math.sqrt(Math.max(LEAST_VARIANCE, short ?? 0)),
    Math.sqrt(Math.max(LEAST_VARIANCE, long ?? 0)),
  ];
}

/** No kind of lens is more alike than this. */
const LEAST_VARIANCE = 0.01;

const ROUNDS = 25;
const START = { sigma: { softness: 0.3, falloff: [0.6, 0.6] }, noiseStops: 0.1 } as const;

function byRounds(lenses: readonly NativeFalloff[]): Fitted {
  const weights = weightsOf(lenses);
  const whole = weights.reduce((a, b) => a + b, 0);
  const mean = (values: readonly number[]) => dot(values, weights) / whole;
  const features = lenses.map(featuresOf);
  const level = (value: number, length: number) => [value, ...Array<number>(length - 1).fill(0)];
  let fitted: Fitted = {
    ...START,
    softness: level(-0.6, features[0]?.softness.length ?? 1),
    exitPupil: level(0.15, features[0]?.exitPupil.length ?? 1),
  };
  let starts = lenses.map((lens) => expectedFigures(fitted, lens));
  for (let round = 0; round < ROUNDS; round += 1) {
    const found = lenses.map((lens, i) =>
      likeliest(lens, expectedFigures(fitted, lens), starts[i] ?? [0, 0], fitted),
    );
    starts = found.map((f) => f.figures);
    const lines = {
      softness: straight(
        features.map((f) => f.softness),
        starts.map((f) => f[0]),
        weights,
      ),
      exitPupil: straight(
        features.map((f) => f.exitPupil),
        starts.map((f) => f[1]),
        weights,
      ),
    };
    const expected = lenses.map((lens) => expectedFigures({ ...fitted, ...lines }, lens));
    const away = (i: number, k: 0 | 1) => (starts[i]?.[k] ?? 0) - (expected[i]?.[k] ?? 0);
    const softnesses = found.map(({ variance }, i) => away(i, 0) ** 2 + (variance[0] ?? 0));
    const falloffs = found.map(
      ({ variance }, i) => falloffOfPupil(away(i, 1)) ** 2 + 4 * (variance[1] ?? 0),
    );
    fitted = {
      ...lines,
      sigma: {
        softness: Math.sqrt(mean(softnesses)),
        falloff: scatterLine(lenses, falloffs, weights),
      },
      noiseStops: Math.sqrt(mean(found.map((f) => f.leftOver))),
    };
  }
  return fitted;
}

/** Median of how much darker the corners are than expected, stops. */
export function bias(fitted: Fitted, lenses: readonly NativeFalloff[], which: Which): number {
  return medianOf(
    lenses.flatMap((lens) => {
      const aperture = apertureOf(lens, which);
      return aperture
        ? [
            cornerOf(aperture) -
              modelStops(kindOf(lens), expectedFigures(fitted, lens), aperture.fNumber, 1),
          ]
        : [];
    }),
  );
}

/** Sets the two levels so that the corners are darker than expected as often as lighter. */
function levelled(fitted: Fitted, lenses: readonly NativeFalloff[]): Fitted {
  const raised = (line: readonly number[], by: number) =>
    line.map((v, i) => (i === 0 ? v + by : v));
  let level = fitted;
  for (let i = 0; i < 12; i += 1) {
    level = { ...level, exitPupil: raised(level.exitPupil, -0.5 * bias(level, lenses, 'f/8')) };
    level = { ...level, softness: raised(level.softness, 0.3 * bias(level, lenses, 'open')) };
  }
  return level;
}

/** Sets the scatters so that nine corners of ten lie in their 90 % interval: wide open, and at f/8 short and long. */
function widened(fitted: Fitted, lenses: readonly NativeFalloff[]): Fitted {
  let wide = fitted;
  const isLong = (lens: NativeFalloff) => falloffScatter(kindOf(lens), [0, 1]) > 0.5;
  const [short, long] = [lenses.filter((l) => !isLong(l)), lenses.filter(isLong)];
  const step = (some: readonly NativeFalloff[], which: Which) =>
    Math.exp(HELD - heldShare(some.flatMap((lens) => forecast(wide, lens, which))));
  for (let i = 0; i < 10; i += 1) {
    const { softness, falloff } = wide.sigma;
    const ends: [number, number] = [
      falloff[0] * step(short, 'f/8'),
      falloff[1] * step(long, 'f/8'),
    ];
    wide = { ...wide, sigma: { softness, falloff: ends } };
    wide = { ...wide, sigma: { softness: softness * step(lenses, 'open'), falloff: ends } };
  }
  return wide;
}

/** What is usual of some lenses, all zooms or all primes. */
export const fitPriors = (lenses: readonly NativeFalloff[]): Fitted =>
  widened(levelled(byRounds(lenses), lenses), lenses);
