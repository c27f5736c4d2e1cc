/** Damages texts and files as accidents and attackers do. */
import type { Random } from '@/core/maths';

const EXTREMES = [
  '0',
  '-1',
  '1e308',
  '-1e308',
  '1e-320',
  'NaN',
  'Infinity',
  '9007199254740993',
  '""',
  'null',
  '[]',
  '{}',
  'true',
  '"__proto__"',
  '"<img src=x onerror=alert(1)>"',
  '"=1+1"',
  '"\\u0000"',
];

const PIECES = [
  '[',
  '{',
  '"',
  '<',
  '&',
  '&#0;',
  '\n',
  '\r\n',
  ';',
  ',',
  '\t',
  '\ufeff',
  '=',
  '\u202e',
  '\u0000',
  '\u001b',
  '\ud800',
  '\u200b',
  ' ',
];

const pick = <T>(random: Random, of: readonly T[]): T => of[random.whole(0, of.length - 1)] as T;

const textChanges: readonly ((text: string, random: Random) => string)[] = [
  (text, random) => text.slice(0, random.whole(0, text.length)),
  (text, random) => text.slice(random.whole(0, text.length)),
  // A number, or a word, becomes another.
  (text, random) => {
    const numbers = [...text.matchAll(/-?\d+(\.\d+)?/g)];
    if (numbers.length === 0) return `${text}${pick(random, EXTREMES)}`;
    const { index, 0: found } = pick(random, numbers);
    return text.slice(0, index) + pick(random, EXTREMES) + text.slice(index + found.length);
  },
  // A stretch is said again, many times.
  (text, random) => {
    const from = random.whole(0, text.length);
    const stretch = text.slice(from, from + random.whole(1, 40));
    return text.slice(0, from) + stretch.repeat(random.whole(1, 300)) + text.slice(from);
  },
  (text, random) => {
    const at = random.whole(0, text.length);
    return text.slice(0, at) + pick(random, PIECES).repeat(random.whole(1, 2000)) + text.slice(at);
  },
  // A stretch goes missing.
  (text, random) => {
    const from = random.whole(0, text.length);
    return text.slice(0, from) + text.slice(from + random.whole(1, 60));
  },
  (text, random) => {
    const at = random.whole(0, Math.max(0, text.length - 1));
    return text.slice(0, at) + String.fromCharCode(random.whole(0, 0xffff)) + text.slice(at + 1);
  },
];

export function damagedText(text: string, random: Random): string {
  let damaged = text;
  for (let i = random.whole(1, 3); i > 0; i -= 1)
    damaged = pick(random, textChanges)(damaged, random);
  return damaged;
}

export function damagedBytes(bytes: Uint8Array, random: Random): Uint8Array {
  const kind = random.whole(0, 4);
  if (kind === 0) return bytes.slice(0, random.whole(0, bytes.length));
  if (kind === 1) {
    const from = random.whole(0, bytes.length);
    return Uint8Array.from([...bytes.slice(0, from), ...bytes.slice(from + random.whole(1, 64))]);
  }
  const damaged = bytes.slice();
  // Headers say how large and how deep a picture is: they are hit more often.
  const reach = kind === 2 ? Math.min(200, damaged.length) : damaged.length;
  for (let i = random.whole(1, 12); i > 0; i -= 1) {
    damaged[random.whole(0, Math.max(0, reach - 1))] = pick(random, [
      0,
      1,
      0x7f,
      0xff,
      random.whole(0, 255),
    ]);
  }
  return damaged;
}
