/**
 * Monotone cubic interpolation (PCHIP, Fritsch and Butland 1984): no overshoot between samples, and the
 * last value held outside them.
 */
export type Curve = (x: number) => number;

/** Slopes at the knots; harmonic means inside, shape-preserving three-point formula at the ends. */
function slopes(xs: readonly number[], ys: readonly number[]): number[] {
  const n = xs.length;
  const h = xs.slice(1).map((x, i) => x - (xs[i] ?? 0));
  const d = h.map((step, i) => ((ys[i + 1] ?? 0) - (ys[i] ?? 0)) / step);
  const inner = (i: number): number => {
    const [d0, d1, h0, h1] = [d[i - 1] ?? 0, d[i] ?? 0, h[i - 1] ?? 1, h[i] ?? 1];
    if (d0 * d1 <= 0) return 0;
    const [w1, w2] = [2 * h1 + h0, h1 + 2 * h0];
    return (w1 + w2) / (w1 / d0 + w2 / d1);
  };
  const end = (h0: number, h1: number, d0: number, d1: number): number => {
    const s = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
    if (s * d0 <= 0) return 0;
    return d0 * d1 <= 0 && Math.abs(s) > 3 * Math.abs(d0) ? 3 * d0 : s;
  };
  if (n === 2) return [d[0] ?? 0, d[0] ?? 0];
  return xs.map((_, i) => {
    if (i === 0) return end(h[0] ?? 1, h[1] ?? 1, d[0] ?? 0, d[1] ?? 0);
    if (i === n - 1) return end(h[n - 2] ?? 1, h[n - 3] ?? 1, d[n - 2] ?? 0, d[n - 3] ?? 0);
    return inner(i);
  });
}

/** Curve through (xs, ys); xs strictly rising, at least one point. */
export function pchip(xs: readonly number[], ys: readonly number[]): Curve {
  const [first, last] = [ys[0], ys[ys.length - 1]];
  if (first === undefined || last === undefined) throw new RangeError('a curve needs a point');
  if (xs.length === 1) return () => first;
  const m = slopes(xs, ys);
  return (x) => {
    if (x <= (xs[0] ?? 0)) return first;
    if (x >= (xs[xs.length - 1] ?? 0)) return last;
    let i = 0;
    while (x > (xs[i + 1] ?? Infinity)) i += 1;
    const [x0, x1, y0, y1] = [xs[i] ?? 0, xs[i + 1] ?? 1, ys[i] ?? 0, ys[i + 1] ?? 0];
    const h = x1 - x0;
    const t = (x - x0) / h;
    const t2 = t * t;
    const t3 = t2 * t;
    return (
      y0 * (2 * t3 - 3 * t2 + 1) +
      (m[i] ?? 0) * h * (t3 - 2 * t2 + t) +
      y1 * (3 * t2 - 2 * t3) +
      (m[i + 1] ?? 0) * h * (t3 - t2)
    );
  };
}
