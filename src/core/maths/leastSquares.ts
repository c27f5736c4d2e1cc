/** Levenberg-Marquardt least squares on normal equations that the problem itself adds up. */

/** Sums of a problem at some parameters: cost, gradient and curvature (upper half of a square). */
export interface Sums {
  cost: number;
  gradient: Float64Array;
  curvature: Float64Array;
}

export interface Problem {
  size: number;
  /** Parameters that stay as they are. */
  frozen: ReadonlySet<number>;
  /** Adds up cost, gradient and curvature at `p`. */
  add: (p: Float64Array, sums: Sums) => void;
  /** Brings parameters back inside what is possible. */
  hold: (p: Float64Array) => void;
}

/** Nothing summed yet. */
export const emptySums = (size: number): Sums => ({
  cost: 0,
  gradient: new Float64Array(size),
  curvature: new Float64Array(size * size),
});

/** Solves (A + λ diag A) x = g by Cholesky; null where A is not positive. Frozen rows give 0. */
export function solveNormal(
  { gradient, curvature }: Sums,
  size: number,
  damping: number,
  frozen: ReadonlySet<number>,
): Float64Array | null {
  const free = Array.from({ length: size }, (_, i) => i).filter((i) => !frozen.has(i));
  const n = free.length;
  const lower = new Float64Array(n * n);
  const out = new Float64Array(n);
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j <= i; j += 1) {
      const a = free[j] as number;
      const b = free[i] as number;
      let sum = curvature[a * size + b] as number;
      if (i === j) sum += damping * sum + 1e-12;
      for (let k = 0; k < j; k += 1)
        sum -= (lower[i * n + k] as number) * (lower[j * n + k] as number);
      if (i === j) {
        if (sum <= 0) return null;
        lower[i * n + i] = Math.sqrt(sum);
      } else lower[i * n + j] = sum / (lower[j * n + j] as number);
    }
  }
  for (let i = 0; i < n; i += 1) {
    let sum = gradient[free[i] as number] as number;
    for (let k = 0; k < i; k += 1) sum -= (lower[i * n + k] as number) * (out[k] as number);
    out[i] = sum / (lower[i * n + i] as number);
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = out[i] as number;
    for (let k = i + 1; k < n; k += 1) sum -= (lower[k * n + i] as number) * (out[k] as number);
    out[i] = sum / (lower[i * n + i] as number);
  }
  const whole = new Float64Array(size);
  free.forEach((index, i) => {
    whole[index] = out[i] as number;
  });
  return whole;
}

export interface Minimum {
  p: Float64Array;
  cost: number;
}

const MOST_DAMPING = 1e7;

/** The nearest minimum from `start`; stops when a step gains less than a share `enough` of the cost. */
export function minimise(
  problem: Problem,
  start: Float64Array,
  mostSteps = 40,
  enough = 1e-5,
): Minimum {
  const { size, frozen, add, hold } = problem;
  let p = Float64Array.from(start);
  hold(p);
  let sums = emptySums(size);
  add(p, sums);
  let damping = 1e-3;
  for (let i = 0; i < mostSteps && damping < MOST_DAMPING; i += 1) {
    const move = solveNormal(sums, size, damping, frozen);
    const tried = p.map((v, k) => v - (move?.[k] ?? 0));
    hold(tried);
    const there = emptySums(size);
    // Most steps are taken, so that their derivatives are wanted and come in the same pass.
    if (move) add(tried, there);
    if (!move || !(there.cost < sums.cost)) {
      damping *= 8;
      continue;
    }
    const gain = (sums.cost - there.cost) / sums.cost;
    p = tried;
    sums = there;
    damping = Math.max(1e-9, damping / 6);
    if (gain < enough) break;
  }
  return { p, cost: sums.cost };
}
