/** The fonts of paper, from the packages they come in. */
import { readFileSync } from 'node:fs';
import { FONT_FILES } from '@/core/card/fonts';
import type { FontFiles } from '@/core/card/typeset';

const read = (path: string): Uint8Array => readFileSync(`node_modules/@fontsource/${path}`);

export const PAPER_FONTS: FontFiles = {
  regular: FONT_FILES.regular.map(read),
  bold: FONT_FILES.bold.map(read),
};
