import { SyntaxValidator } from 'fast-xml-validator';
import { describe, expect, it } from 'vitest';
import { escapedMarkup } from './markup';

describe('text in markup', () => {
  it('keeps its signs as characters', () => {
    expect(escapedMarkup(`18–35 <"&'>`)).toBe('18–35 &#60;&#34;&#38;&#39;&#62;');
  });

  // XML 1.0, production 2: tab, line ends, and all but controls, halves of pairs, FFFE and FFFF.
  it.each([
    ['NUL and bell', 'a\u0000b\u0007c', 'abc'],
    ['halves of pairs', 'a\uD800b\uDC00c', 'abc'],
    ['no characters', 'a\uFFFEb\uFFFFc', 'abc'],
    ['tabs, line ends and pairs', 'a\tb\nc\rd😀', 'a\tb\nc\rd😀'],
  ])('%s', (_, text, kept) => {
    expect(escapedMarkup(text)).toBe(kept);
  });

  it('is well formed whatever stands in it', () => {
    for (let code = 0; code < 0x300; code += 1) {
      const xml = `<a>${escapedMarkup(`x${String.fromCharCode(code)}y`)}</a>`;
      expect(SyntaxValidator.validate(xml)).toBe(true);
    }
  });
});
