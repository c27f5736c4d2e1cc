/** The middle of some values, the upper one of two; 0 where there are none. Sorts them in place. */
export const medianOf = (values: number[]): number =>
  values.sort((a, b) => a - b)[values.length >> 1] ?? 0;
