/** Names of things as files may have them. */

const LONGEST = 80;

/** A name as a file may have it: letters and digits with hyphens between; `fallback` where none is left. */
export const fileNameOf = (name: string, fallback: string): string =>
  name
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')
    .slice(0, LONGEST) || fallback;
