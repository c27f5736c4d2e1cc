/** The fonts of paper, in the order in which a character is looked for. The addresses are written out for the bundler. */
import type { Weight } from '@/core/card/paper';

export const PAPER_FONTS: Readonly<Record<Weight, readonly URL[]>> = {
  regular: [
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-latin-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-latin-ext-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-vietnamese-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-ext-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff',
      import.meta.url,
    ),
  ],
  bold: [
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-latin-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-latin-ext-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/archivo/files/archivo-vietnamese-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-greek-ext-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-600-normal.woff',
      import.meta.url,
    ),
    new URL(
      '../../node_modules/@fontsource/noto-sans/files/noto-sans-cyrillic-ext-600-normal.woff',
      import.meta.url,
    ),
  ],
};
