/** From the values of a file back to light: tone response. */
import { fail, ok, type Result } from '../../words';
import { medianOf, solveNormal } from '../../maths';

/** Light, share of full scale, for each value a file can hold. */
export type ToneTable = Float32Array;

export type Tone =
  | { kind: 'srgb' }
  | { kind: 'linear' }
  /** A curve given by points: value written (0..1) against light (0..1, or in any unit, linear). */
  | { kind: 'curve'; points: readonly TonePoint[] };

interface TonePoint {
  value: number;
  light: number;
}

/** Light of an sRGB value, 0..1 each (IEC 61966-2-1). */
export const srgbLight = (value: number): number =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

/** sRGB value of a light, 0..1 each: the same the other way round. */
export const srgbValue = (light: number): number =>
  light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;

/** Light at a value, by straight lines between the points of a curve. */
function curveLight(points: readonly TonePoint[], value: number): number {
  const above = points.findIndex((p) => p.value >= value);
  const last = points.at(-1);
  if (above === -1) return last?.light ?? 0;
  const high = points[above];
  const low = points[above - 1];
  if (!high) return 0;
  if (!low) return high.light;
  const share = (value - low.value) / (high.value - low.value);
  return low.light + (high.light - low.light) * share;
}

/** Light for every value of a file of 8 or 16 bits. */
export function toneTable(tone: Tone, depth: 8 | 16): ToneTable {
  const full = depth === 8 ? 255 : 65_535;
  const lightOf = (value: number): number => {
    switch (tone.kind) {
      case 'linear':
        return value;
      case 'srgb':
        return srgbLight(value);
      case 'curve':
        return curveLight(tone.points, value);
    }
  };
  return Float32Array.from({ length: full + 1 }, (_, i) => lightOf(i / full));
}

/**
 * Reads a pasted curve: two numbers a line, the value written and the light it stands for, rising both.
 * Values may run to 1, to 255, to 1023 or to 65,535.
 */
export function readCurve(text: string): Result<Tone> {
  const rows = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => line.split(/[\s;,]+/).map(Number));
  const bad = rows.findIndex((row) => row.length !== 2 || !row.every(Number.isFinite));
  if (bad !== -1)
    return fail(
      'curve',
      '',
      `Line ${bad + 1} of the curve does not hold two numbers: the value written and its light.`,
    );
  if (rows.length < 4)
    return fail('curve', '', 'A tone curve needs at least four lines of value and light.');
  const most = Math.max(...rows.map(([v = 0]) => v));
  const full = [1, 255, 1023, 4095, 65_535].find((f) => most <= f * 1.000001) ?? most;
  const brightest = Math.max(...rows.map(([, l = 0]) => l));
  const points = rows
    .map(([v = 0, l = 0]) => ({ value: v / full, light: l / brightest }))
    .sort((a, b) => a.value - b.value);
  const falls = points.some((p, i) => {
    const before = points[i - 1];
    return before !== undefined && (p.light <= before.light || p.value <= before.value);
  });
  if (falls || points.some((p) => p.light < 0 || p.value < 0))
    return fail('curve', '', 'The light of a tone curve must rise with the value, from 0 up.');
  return ok({ kind: 'curve', points });
}

/**
 * The tone response from two frames of the same wall, one exposed `stepStops` longer than the other: pairs
 * of values say which lights stand that step apart, and a smooth monotone curve through all of them is the
 * response (after Debevec and Malik, SIGGRAPH 1997, with one step).
 *
 * @param pairs values 0..1 of the same places in the shorter and the longer frame, unclipped
 * @param stepStops the step between them, stops, more than 0
 */
export function toneFromPair(
  pairs: readonly { short: number; long: number }[],
  stepStops: number,
): Result<Tone> {
  const good = pairs
    .filter((p) => p.short > 0.004 && p.long < 0.985 && p.long > p.short)
    .sort((a, b) => a.short - b.short);
  const lowest = good[0];
  const highest = good.reduce((most, p) => Math.max(most, p.long), 0);
  if (good.length < 50 || !lowest || stepStops < 0.25)
    return fail(
      'pair',
      '',
      'The two frames share too few places that are neither clipped nor dark, or lie less than a quarter stop apart.',
    );
  // Where a value of the short frame goes in the long one: a running median.
  const WINDOW = 24;
  const jumps: { from: number; to: number }[] = [];
  for (let i = 0; i + WINDOW <= good.length; i += Math.max(1, Math.floor(good.length / 200))) {
    const slice = good.slice(i, i + WINDOW);
    jumps.push({
      from: medianOf(slice.map((p) => p.short)),
      to: medianOf(slice.map((p) => p.long)),
    });
  }
  const jump = (value: number): number => {
    const i = jumps.findIndex((j) => j.from >= value);
    const high = jumps[i === -1 ? jumps.length - 1 : i];
    const low = jumps[Math.max(0, (i === -1 ? jumps.length : i) - 1)];
    if (!high || !low || high.from === low.from) return high?.to ?? value;
    return low.to + ((high.to - low.to) * (value - low.from)) / (high.from - low.from);
  };
  const smooth = smoothResponse(jump, jumps[0]?.from ?? lowest.short, highest, stepStops);
  const points = smooth.map(({ value, logLight }) => ({ value, light: 2 ** logLight }));
  return ok({ kind: 'curve', points: [{ value: 0, light: 0 }, ...points] });
}

const KNOTS = 24;

/**
 * log2 light at knots of value such that light(jump(v)) = light(v) + step, the whole as straight in log
 * light against log value as that allows: linear least squares.
 */
function smoothResponse(
  jump: (value: number) => number,
  low: number,
  high: number,
  stepStops: number,
): { value: number; logLight: number }[] {
  const a = Math.log(low);
  const b = Math.log(high);
  const at = (k: number) => Math.exp(a + ((b - a) * k) / (KNOTS - 1));
  const rows: { weights: [number, number][]; value: number; weight: number }[] = [];
  const place = (value: number): [number, number][] => {
    const x = ((Math.log(value) - a) / (b - a)) * (KNOTS - 1);
    const k = Math.min(KNOTS - 2, Math.max(0, Math.floor(x)));
    return [
      [k, k + 1 - x],
      [k + 1, x - k],
    ];
  };
  for (let i = 0; i < 3 * KNOTS; i += 1) {
    const value = Math.exp(a + ((b - a) * i) / (3 * KNOTS));
    const to = jump(value);
    if (to > high || to <= value) continue;
    const from = place(value).map(([k, w]): [number, number] => [k, -w]);
    rows.push({ weights: [...place(to), ...from], value: stepStops, weight: 1 });
  }
  for (let k = 1; k < KNOTS - 1; k += 1)
    rows.push({
      weights: [
        [k - 1, 1],
        [k, -2],
        [k + 1, 1],
      ],
      value: 0,
      weight: 0.3,
    });
  rows.push({ weights: [[KNOTS - 1, 1]], value: 0, weight: 10 });
  const solved = leastSquares(rows, KNOTS);
  // A response rises: where noise makes it fall it is taken to rise by almost nothing.
  let before = -Infinity;
  return solved.map((logLight, k) => {
    before = Math.max(before + 1e-6, logLight);
    return { value: at(k), logLight: before };
  });
}

/** Solves rows of sparse weights for `n` unknowns by the normal equations. */
function leastSquares(
  rows: readonly { weights: [number, number][]; value: number; weight: number }[],
  n: number,
): number[] {
  const gradient = new Float64Array(n);
  const curvature = new Float64Array(n * n);
  for (const { weights, value, weight } of rows)
    for (const [i, wi] of weights) {
      gradient[i] = (gradient[i] ?? 0) + weight * wi * value;
      for (const [j, wj] of weights)
        curvature[i * n + j] = (curvature[i * n + j] ?? 0) + weight * wi * wj;
    }
  return [...(solveNormal({ cost: 0, gradient, curvature }, n, 1e-9, new Set()) ?? gradient)];
}
