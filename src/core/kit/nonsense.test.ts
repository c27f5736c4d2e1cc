import { describe, expect, it } from 'vitest';
import { nonsenseIn } from './nonsense';

describe('lenses nobody built', () => {
  const facts = (focal: number, open: number, designFormat = { widthMm: 36, heightMm: 24 }) => ({
    focalMinMm: focal,
    focalMaxMm: focal,
    openFNumberWide: open,
    openFNumberLong: open,
    designFormat,
  });

  it('are refused with the figure that is wrong', () => {
    expect(nonsenseIn(facts(8, 1))).toMatch(/8 mm f\/1 is not built for 36×24/);
    expect(nonsenseIn(facts(600, 1.4))).toMatch(/429 mm wide/);
    expect(nonsenseIn(facts(50, 0.5))).toMatch(/as fast as f\/0.5/);
  });

  it.each([
    [8, 3.5],
    [11, 4],
    [14, 1.8],
    [20, 1.4],
    [50, 0.95],
    [85, 1.2],
    [135, 1.8],
    [300, 2.8],
    [600, 4],
    [1200, 5.6],
  ])('%s mm f/%s is one that is built (common practice, no source)', (focal, open) => {
    expect(nonsenseIn(facts(focal, open))).toBeNull();
  });

  it('what is nonsense for one format is usual for a smaller one', () => {
    expect(nonsenseIn(facts(4.5, 1.8, { widthMm: 6.4, heightMm: 4.8 }))).toBeNull();
    expect(nonsenseIn(facts(4.5, 1.8))).not.toBeNull();
  });
});
