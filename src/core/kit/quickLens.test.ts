import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo/tideMill';
import { hintsFor } from './checks/completeness';
import { markingIn } from './records/marking';
import { quickLens, readEngraving, type LensFacts } from './quickLens';
import { checkRecord } from './checks/validate';

const { markings } = tideMill;
const read = (text: string) => readEngraving(text, markings);

describe('what an engraving says', () => {
  it.each([
    ['18–35/1.8', 18, 35, 1.8, 1.8],
    ['28-80mm f/3.5-5.6', 28, 80, 3.5, 5.6],
    ['50 mm F1.8', 50, 50, 1.8, 1.8],
    ['1:2 58', 58, 58, 2, 2],
    ['58mm 1:2', 58, 58, 2, 2],
    ['100/2,8 macro', 100, 100, 2.8, 2.8],
    ['cine 25 T1.5', 25, 25, 1.5, 1.5],
  ])('%s', (text, short, long, open, openLong) => {
    expect(read(text)).toMatchObject({
      focalMinMm: short,
      focalMaxMm: long,
      openFNumberWide: open,
      openFNumberLong: openLong,
    });
  });

  it('does not guess what it does not say', () => {
    expect(read('swirly old normal')).toEqual({
      focalMinMm: null,
      focalMaxMm: null,
      openFNumberWide: null,
      openFNumberLong: null,
      designFormat: null,
    });
  });

  it('knows the format by a marking that stands as a whole word', () => {
    expect(read('16–50/3.5–5.6 Compact').designFormat).toEqual({ widthMm: 23.5, heightMm: 15.6 });
    expect(read('16–50/3.5–5.6 compactor').designFormat).toBeNull();
    expect(markingIn('anything', [])).toBeNull();
  });
});

describe('a lens by four facts', () => {
  const facts: LensFacts = {
    name: '50/1.8',
    maker: '',
    mountId: 'slr-44',
    focalMinMm: 50,
    focalMaxMm: 50,
    openFNumberWide: 1.8,
    openFNumberLong: 1.8,
    designFormat: { widthMm: 36, heightMm: 24 },
  };

  it('is a lens the program can work with, its guesses marked', () => {
    const lens = quickLens(facts, 'x');
    expect(checkRecord('lenses', lens)).toEqual({ ok: true, value: lens });
    // Common practice, no source: a normal lens focuses to about half a metre and closes to f/16.
    expect(lens.closestFocusM).toBeCloseTo(0.5, 2);
    expect(lens.closedFNumber).toBe(16);
    expect(lens.estimated).toContain('closestFocusM');
    expect(hintsFor('lenses', lens).map((h) => h.path)).toContain('halo');
  });

  it('passes the checks for any focal length and speed', () => {
    for (const focal of [1, 8, 24, 85, 600, 5000]) {
      for (const open of [0.5, 0.95, 2, 4.5, 11, 64]) {
        const lens = quickLens(
          {
            ...facts,
            focalMinMm: focal,
            focalMaxMm: focal,
            openFNumberWide: open,
            openFNumberLong: open,
          },
          'x',
        );
        expect(checkRecord('lenses', lens).ok, `${focal} mm f/${open}`).toBe(true);
      }
    }
  });
});
