import { describe, expect, it } from 'vitest';
import { hintsFor } from './completeness';
import { fNumberOfTStop, quickLens, type LensFacts } from './quickLens';
import { checkRecord } from './checks';

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

  it('of a T-stop keeps it, and estimates the f-number from it', () => {
    const cine = quickLens(
      { ...facts, openFNumberWide: 1.9, openFNumberLong: 1.9, tStop: 2.1 },
      'x',
    );
    expect(cine.tStop).toBe(2.1);
    expect(cine.estimated).toContain('openFNumberWide');
    expect(fNumberOfTStop(2.1)).toBeCloseTo(1.9, 9);
    expect(quickLens(facts, 'x').tStop).toBeNull();
    expect(quickLens(facts, 'x').estimated).not.toContain('openFNumberWide');
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
