/** `v` held within `low` and `high`. */
export const clamp = (v: number, low: number, high: number): number =>
  Math.min(high, Math.max(low, v));
