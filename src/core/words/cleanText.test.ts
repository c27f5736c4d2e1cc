import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cleanText, harmless, withCleanTexts } from './cleanText';

describe('a text from outside', () => {
  it.each([
    ['control characters', 'Prime\u0000 \u001b[31m50\u007f\u0085', 'Prime [31m50'],
    ['halves of pairs', 'a\ud800b\udc00', 'ab'],
    ['places that stand for no character', 'a\uffff\ufffe\u{1fffe}\ufdd0b', 'ab'],
    ['what turns the direction of all that follows', '\u202e05\u2066 em\u2069\u202c', '05 em'],
    ['marks of byte order and of notes between lines', '\ufeffa\ufff9b\ufffb', 'ab'],
  ])('loses %s', (_, told, kept) => {
    expect(cleanText(told)).toBe(kept);
  });

  it.each([
    ['lines and columns', 'one\ttwo\r\nthree'],
    ['characters beyond the first 65,536', 'lens 𝟓𝟎 📷'],
    ['joined signs', '👩‍🎨 می‌خواهم'],
    ['single marks of direction', 'שלום‏ 50 mm'],
    ['accents told apart', 'e\u0301'],
    ['a soft hyphen', 'Wander\u00adweg'],
  ])('keeps %s', (_, told) => {
    expect(cleanText(told)).toBe(told);
  });

  it.each(['\u200b', ' \u2060\ufeff', '\u3164\u115f', '\u2800', '\u00ad\u200d', '\u0000', ' \n\t'])(
    'in which there is nothing to see is empty: %j',
    (told) => {
      expect(cleanText(told)).toBe('');
    },
  );

  it('stays as it is once it is clean, is never longer, and fits into addresses', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 40 }), (text) => {
        const clean = cleanText(text);
        expect(cleanText(clean)).toBe(clean);
        expect(clean.length).toBeLessThanOrEqual(text.length);
        expect(() => encodeURIComponent(clean)).not.toThrow();
      }),
    );
  });

  it('is taken by another reader of XML and of UTF-8 (Python’s)', () => {
    const all = Array.from({ length: 0x11000 }, (_, i) => String.fromCodePoint(i)).join('');
    const clean = harmless(all).replace(/[&<>]/g, '');
    const read = execFileSync(
      'python3',
      [
        '-c',
        'import sys,xml.dom.minidom as m; t=sys.stdin.buffer.read().decode("utf-8"); d=m.parseString(("<a>"+t+"</a>").encode("utf-8")); print(len(d.documentElement.firstChild.data) > 60000)',
      ],
      { input: Buffer.from(clean, 'utf8') },
    );
    expect(read.toString().trim()).toBe('True');
  });

  it('is cleaned wherever it stands in a record, and the record told is not changed', () => {
    const told = { name: 'a\u0000', list: [{ note: '\u202eb', n: 1, none: null }], '\u0000k': 'v' };
    const before = structuredClone(told);
    expect(withCleanTexts(told)).toEqual({
      name: 'a',
      list: [{ note: 'b', n: 1, none: null }],
      '\u0000k': 'v',
    });
    expect(told).toEqual(before);
    expect(Object.getPrototypeOf(withCleanTexts(JSON.parse('{"__proto__":{"a":1}}')))).toBe(
      Object.prototype,
    );
  });
});
