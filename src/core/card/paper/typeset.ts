/** Text on paper: which font has a character, how wide it runs, and where a line breaks. */
import { create, type Font } from 'fontkit';
import type { Weight } from './paper';

/** Fonts of one weight, the first that has a character sets it. */
export type FontFiles = Readonly<Record<Weight, readonly Uint8Array[]>>;

interface FontRun {
  /** Place of the font among those of its weight. */
  font: number;
  text: string;
}

export interface Typesetter {
  /** `text` with what paper cannot say put otherwise; characters no font has are added to `missing`. */
  plain: (text: string, missing?: Set<string>) => string;
  runs: (text: string, weight: Weight) => FontRun[];
  /** Width of a line, in sizes of the type. */
  width: (text: string, weight: Weight) => number;
  /** Lines no wider than `most` sizes; a word that is wider is broken, never cut. */
  lines: (text: string, weight: Weight, most: number) => string[];
}

/** Signs our fonts lack, and what stands for them. */
const INSTEAD: Readonly<Record<string, string>> = {
  '⌀': 'Ø',
  '∞': 'infinity',
  '′': "'",
  '″': '"',
  '‐': '-',
  '\u00a0': ' ',
  '\u202f': ' ',
  '\t': ' ',
  '\n': ' ',
  '\r': ' ',
};
const UNKNOWN = '?';

/** Control characters print nothing, and PDF readers stumble over them. */
const isControl = (code: number): boolean => code < 0x20 || (code >= 0x7f && code < 0xa0);

export function typesetter(files: FontFiles): Typesetter {
  const open = (bytes: Uint8Array): Font => create(bytes as Buffer) as Font;
  const fonts: Record<Weight, Font[]> = {
    regular: files.regular.map(open),
    bold: files.bold.map(open),
  };
  const fontFor = (code: number, weight: Weight): number =>
    fonts[weight].findIndex((f) => f.hasGlyphForCodePoint(code));
  const plain = (text: string, missing?: Set<string>): string => {
    let said = '';
    for (const character of text.normalize('NFC')) {
      const instead = INSTEAD[character] ?? character;
      const code = instead.codePointAt(0) ?? 0;
      if (isControl(code)) continue;
      if (fontFor(code, 'regular') >= 0) {
        said += instead;
        continue;
      }
      missing?.add(character);
      said += UNKNOWN;
    }
    return said;
  };
  const runs = (text: string, weight: Weight): FontRun[] => {
    const found: FontRun[] = [];
    for (const character of text) {
      const font = Math.max(0, fontFor(character.codePointAt(0) ?? 0, weight));
      const last = found.at(-1);
      if (last?.font === font) last.text += character;
      else found.push({ font, text: character });
    }
    return found;
  };
  const known = new Map<string, number>();
  const width = (text: string, weight: Weight): number => {
    const key = `${weight}/${text}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const sum = runs(text, weight).reduce((total, run) => {
      const font = fonts[weight][run.font];
      if (!font) return total;
      const glyphs = font.layout(run.text).glyphs;
      return total + glyphs.reduce((w, g) => w + g.advanceWidth, 0) / font.unitsPerEm;
    }, 0);
    known.set(key, sum);
    return sum;
  };
  /** A word too wide for a line, in pieces that are not. */
  const broken = (word: string, weight: Weight, most: number): string[] => {
    const pieces: string[] = [];
    let piece = '';
    for (const character of word) {
      if (piece !== '' && width(piece + character, weight) > most) {
        pieces.push(piece);
        piece = '';
      }
      piece += character;
    }
    return piece === '' ? pieces : [...pieces, piece];
  };
  const lines = (text: string, weight: Weight, most: number): string[] => {
    const found: string[] = [];
    let line = '';
    const words = text.split(' ').filter(Boolean);
    for (const word of words.flatMap((w) =>
      width(w, weight) > most ? broken(w, weight, most) : [w],
    )) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && width(longer, weight) > most) {
        found.push(line);
        line = word;
      } else line = longer;
    }
    return line === '' ? found : [...found, line];
  };
  return { plain, runs, width, lines };
}
