import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { nonsenseIn, readEngraving } from './engraving';
import { markingIn } from './records';

const { markings } = tideMill;
const read = (text: string) => readEngraving(text, markings);

describe('what an engraving says', () => {
  // Orders seen on barrels; common practice, no source.
  it.each([
    ['18–35/1.8', 18, 35, 1.8, 1.8],
    ['28-80mm f/3.5-5.6', 28, 80, 3.5, 5.6],
    ['50 mm F1.8', 50, 50, 1.8, 1.8],
    ['50mm 1:1.8', 50, 50, 1.8, 1.8],
    ['18-55mm 1:3.5-5.6', 18, 55, 3.5, 5.6],
    ['24-70 2.8', 24, 70, 2.8, 2.8],
    ['1:2 58', 58, 58, 2, 2],
    ['58mm 1:2', 58, 58, 2, 2],
    ['1:1.4/50', 50, 50, 1.4, 1.4],
    ['1:2.8 f=135mm', 135, 135, 2.8, 2.8],
    ['f=50mm 1:1.9', 50, 50, 1.9, 1.9],
    ['2.8/50', 50, 50, 2.8, 2.8],
    ['1,8/50', 50, 50, 1.8, 1.8],
    ['5.6/150', 150, 150, 5.6, 5.6],
    ['100/2,8 macro', 100, 100, 2.8, 2.8],
    ['100mm f/2.8 Macro 1:1', 100, 100, 2.8, 2.8],
    ['Macro 1:2 55mm f/3.5', 55, 55, 3.5, 3.5],
    ['50mm f/1.4 ⌀58', 50, 50, 1.4, 1.4],
    ['⌀ 49mm 1:1.7 50mm', 50, 50, 1.7, 1.7],
    ['80-200mm 1:4.5', 80, 200, 4.5, 4.5],
    ['4/80-200', 80, 200, 4, 4],
    ['70-300 4-5.6', 70, 300, 4, 5.6],
    ['300 4', 300, 300, 4, 4],
    ['ƒ/2 35 mm', 35, 35, 2, 2],
    ['f/1.2 50', 50, 50, 1.2, 1.2],
    ['F/4 600MM', 600, 600, 4, 4],
    ['8mm 1:3.5', 8, 8, 3.5, 3.5],
    ['4.5 mm f/2.8', 4.5, 4.5, 2.8, 2.8],
    ['85 1.8 II', 85, 85, 1.8, 1.8],
    ['XZ35 50mm f/2', 50, 50, 2, 2],
    ['50mm f/2 anamorphic 2x', 50, 50, 2, 2],
    ['16-35 f2.8', 16, 35, 2.8, 2.8],
    ['24-70mm f/2.8D', 24, 70, 2.8, 2.8],
    ['QF16-55mmF2.8 R', 16, 55, 2.8, 2.8],
  ])('%s', (text, short, long, open, openLong) => {
    expect(read(text)).toMatchObject({
      focalMinMm: short,
      focalMaxMm: long,
      openFNumberWide: open,
      openFNumberLong: openLong,
      tStop: null,
    });
  });

  it.each([
    ['cine 25 T1.5', 25, 25, 1.5],
    ['50mm T2.1', 50, 50, 2.1],
    ['T2.9 50-135mm', 50, 135, 2.9],
    ['T 1.3 / 35mm', 35, 35, 1.3],
    ['50mmT2', 50, 50, 2],
  ])('%s is a T-stop, and no f-number', (text, short, long, tStop) => {
    expect(read(text)).toMatchObject({
      focalMinMm: short,
      focalMaxMm: long,
      openFNumberWide: null,
      openFNumberLong: null,
      tStop,
    });
  });

  it('does not guess what it does not say', () => {
    const nothing = {
      focalMinMm: null,
      focalMaxMm: null,
      openFNumberWide: null,
      openFNumberLong: null,
      tStop: null,
      designFormat: null,
    };
    for (const text of ['swirly old normal', '', '1978', 'f', '1:', '50', '⌀58', '2x', '4/4'])
      expect(read(text), text).toEqual(nothing);
    expect(read('50mm')).toEqual({ ...nothing, focalMinMm: 50, focalMaxMm: 50 });
    expect(read('f/2')).toEqual({ ...nothing, openFNumberWide: 2, openFNumberLong: 2 });
  });

  it('knows the format by a marking that stands as a whole word', () => {
    expect(read('16–50/3.5–5.6 Compact').designFormat).toEqual({ widthMm: 23.5, heightMm: 15.6 });
    expect(read('16–50/3.5–5.6 compactor').designFormat).toBeNull();
    expect(markingIn('anything', [])).toBeNull();
  });
});

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
