/** How rigs before the scene are told apart: by the line first, by its colour second. */
const INKS = ['var(--amber)', 'var(--ink)', 'var(--muted)', 'var(--stage-ink)'] as const;
const DASHES = ['', '7 4', '2 3', '9 3 2 3'] as const;

export const inkOf = (index: number): string => INKS[index % INKS.length] ?? INKS[0];
export const dashOf = (index: number): string | undefined =>
  DASHES[index % DASHES.length] || undefined;
