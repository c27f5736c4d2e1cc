/** A figure rounded to so many decimals upward (`way` 1) or downward (−1); one that stands on a step stays. */
export function towards(value: number, way: 1 | -1, digits: number): number {
  const factor = 10 ** digits;
  // What misses a step by rounding alone stands on it.
  const steps = value * factor;
  return (way > 0 ? Math.ceil(steps - 1e-6) : Math.floor(steps + 1e-6)) / factor;
}
