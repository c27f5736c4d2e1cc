import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { guarded, unguarded } from './csvGuard';

describe('texts a spreadsheet would take for a formula', () => {
  it.each([
    '=1+1',
    '+1',
    '-1',
    '@SUM(A1)',
    '\t=1',
    '\r=1',
    '\n=1',
    ' =1',
    '\uFEFF=1',
    ' \n\uFEFF@x',
  ])('%j gets an apostrophe', (text) => {
    expect(guarded(text)).toBe(`'${text}`);
  });

  it.each(['50/1.8', 'a=b', '', '  plain', '’tis'])('%j stays as it is', (text) => {
    expect(guarded(text)).toBe(text);
  });

  it('any text comes back as it was', () => {
    const text = fc.oneof(fc.string(), fc.stringMatching(/^['\s=+@-]{0,6}x?$/));
    fc.assert(
      fc.property(text, (t) => {
        expect(unguarded(guarded(t))).toBe(t);
      }),
    );
  });
});
