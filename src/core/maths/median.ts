/** The middle of some values, the upper one of two; 0 where there are none. */
export const medianOf = (values: ArrayLike<number>): number =>
  new Float64Array(values).sort()[values.length >> 1] ?? 0;
