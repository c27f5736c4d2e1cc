/** The fonts of paper, read from the packages they come in. */
import { readFileSync } from 'node:fs';
import type { FontFiles } from '@/core/card/paper';
import { PAPER_FONTS as PLACES } from '@/workers/paperFonts';

const read = (places: readonly URL[]): Uint8Array[] =>
  places.map((place) => new Uint8Array(readFileSync(place)));

export const PAPER_FONTS: FontFiles = { regular: read(PLACES.regular), bold: read(PLACES.bold) };
