/** Today's date as records and file names have it: 2026-05-12. */
export const today = (): string => new Date().toISOString().slice(0, 10);
