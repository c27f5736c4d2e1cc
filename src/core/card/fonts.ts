/** The fonts of paper, in the order in which a character is looked for; paths within their packages. */
import type { Weight } from './paper';

const files = (weight: number) => [
  `archivo/files/archivo-latin-${weight}-normal.woff`,
  `archivo/files/archivo-latin-ext-${weight}-normal.woff`,
  `archivo/files/archivo-vietnamese-${weight}-normal.woff`,
  `noto-sans/files/noto-sans-greek-${weight}-normal.woff`,
  `noto-sans/files/noto-sans-greek-ext-${weight}-normal.woff`,
  `noto-sans/files/noto-sans-cyrillic-${weight}-normal.woff`,
  `noto-sans/files/noto-sans-cyrillic-ext-${weight}-normal.woff`,
];

export const FONT_FILES: Readonly<Record<Weight, readonly string[]>> = {
  regular: files(400),
  bold: files(600),
};
