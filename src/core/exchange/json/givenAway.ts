/** Records that travel from one workspace to another. */

/** What of gear is nobody else's business: it stays at home. */
export const AT_HOME = {
  price: null,
  priceNew: null,
  note: '',
  availability: 'not told',
} as const;

/** Records of a list that are not here yet, each once. */
export const lacking = <R extends { id: string }>(
  theirs: readonly R[],
  here: readonly R[],
): R[] => {
  const ids = new Set(here.map((r) => r.id));
  return [...new Map(theirs.map((r) => [r.id, r])).values()].filter((r) => !ids.has(r.id));
};
