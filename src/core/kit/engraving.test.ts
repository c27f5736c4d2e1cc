import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { readEngraving, readingWords } from './engraving';
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
    // A number of the name, a filter and a width of film are no focal length.
    ['ORLANT-12 2.8/90', 90, 90, 2.8, 2.8],
    ['ОРЛАНТ-12 2,8/90', 90, 90, 2.8, 2.8],
    ['ORLANT 12 2.8/90', 90, 90, 2.8, 2.8],
    ['ОРЛАНТ-44 1:2 58', 58, 58, 2, 2],
    ['ORLANT 12 90 f/2.8', 90, 90, 2.8, 2.8],
    ['ORLANT 12 90 2.8', 90, 90, 2.8, 2.8],
    ['ОРЛАНТ-12А 3,5/28', 28, 28, 3.5, 3.5],
    ['16mm lens 25mm f/1.4', 25, 25, 1.4, 1.4],
    ['for 16mm film 1:1.9 25mm', 25, 25, 1.9, 1.9],
    ['35mm lens f/2', 35, 35, 2, 2],
    ['105 f2.5 52mm', 105, 105, 2.5, 2.5],
    ['50mm f/1.4 58mm', 50, 50, 1.4, 1.4],
    ['85 1.8 II 67mm', 85, 85, 1.8, 1.8],
    ['No 4512 1:2 58', 58, 58, 2, 2],
    ['4.5/80-200 No. 1234', 80, 200, 4.5, 4.5],
    // Centimetres and inches; one inch is 25.4 mm.
    ['F=10,5 cm 1:4,5', 105, 105, 4.5, 4.5],
    ['f=5 cm 1:2', 50, 50, 2, 2],
    ['5cm f/3.5', 50, 50, 3.5, 3.5],
    ['Cine 3" f/2.5', 76.2, 76.2, 2.5, 2.5],
    ['2 inch f/1.9', 50.8, 50.8, 1.9, 1.9],
    ['6 3/4" f/4.5', 171.5, 171.5, 4.5, 4.5],
    ['8½″ 1:6.3', 215.9, 215.9, 6.3, 6.3],
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
      readings: [],
    };
    for (const text of ['swirly old normal', '', '1978', 'f', '1:', '50', '⌀58', '2x', '4/4'])
      expect(read(text), text).toEqual(nothing);
    expect(read('50mm')).toEqual({ ...nothing, focalMinMm: 50, focalMaxMm: 50 });
    expect(read('f/2')).toEqual({ ...nothing, openFNumberWide: 2, openFNumberLong: 2 });
  });

  it.each([
    ['25mm 50mm f/1.4', ['25 mm f/1.4', '50 mm f/1.4']],
    ['55mm 1:2.8 58mm', ['55 mm f/2.8', '58 mm f/2.8']],
    ['12 1:2.8 90', ['12 mm f/2.8', '90 mm f/2.8']],
    ['50 1.8 58', ['50 mm f/1.8', '58 mm f/1.8']],
    ['25mm 35mm T1.5', ['25 mm T1.5', '35 mm T1.5']],
  ])('%s reads two ways: both are told, and none is taken', (text, both) => {
    const { readings, focalMinMm, openFNumberWide, tStop } = read(text);
    expect(readings.map(readingWords)).toEqual(both);
    expect([focalMinMm, openFNumberWide, tStop]).toEqual([null, null, null]);
  });

  it('knows the format by a marking that stands as a whole word', () => {
    expect(read('16–50/3.5–5.6 Compact').designFormat).toEqual({ widthMm: 23.5, heightMm: 15.6 });
    expect(read('16–50/3.5–5.6 compactor').designFormat).toBeNull();
    expect(markingIn('anything', [])).toBeNull();
  });
});
