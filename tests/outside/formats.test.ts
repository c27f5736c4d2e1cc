/**
 * Sources: SMPTE 59 and 195 film apertures, SMPTE 201 and 7 (16 mm), SMPTE 215 (65 mm), ISO 1007 (135 film),
 * all from memory; sensor sizes as published. Diagonals and crop factors computed from them.
 */
import { describe, expect, it } from 'vitest';
import { areaShare, fitAspect } from '@/core/frame';
import { cropFactor, diagonalMm, FORMATS, FULL_FRAME } from '@/core/optics';

const formatOf = (id: string) => FORMATS.find((f) => f.id === id)!;

const TABLE: readonly [id: string, diagonal: number, crop: number][] = [
  ['35-full-gate', 31.115, 1.3905],
  ['academy', 27.16, 1.593],
  ['8-perf', 45.206, 0.9571],
  ['65', 57.44, 0.7532],
  ['16', 12.706, 3.4052],
  ['16-super', 14.554, 2.9729],
  ['36x24', 43.267, 1],
  ['half-frame', 30, 1.4422],
  ['645', 69.701, 0.6207],
  ['6x6', 79.196, 0.5463],
  ['53x40', 66.72, 0.6485],
  ['44x33', 54.78, 0.7898],
  ['crop-1.5', 28.207, 1.5339],
  ['crop-1.6', 26.82, 1.6132],
  ['four-thirds-inch', 21.64, 1.9994],
  ['one-inch', 15.864, 2.7273],
  ['two-thirds-inch', 11, 3.9333],
];

describe('formats and crop factors', () => {
  it.each(TABLE)('%s has a diagonal of %f mm and a crop factor of %f', (id, diagonal, crop) => {
    const format = formatOf(id);
    // Film gates are standardised in inches; in millimetres they are rounded to a hundredth.
    expect(Math.abs(diagonalMm(format) - diagonal)).toBeLessThan(0.004);
    expect(Math.abs(cropFactor(format) - crop)).toBeLessThan(0.0009);
  });

  it('windows of 36x24 have the handbook diagonals', () => {
    expect(diagonalMm(fitAspect(FULL_FRAME, 16 / 9))).toBeCloseTo(41.305, 3);
    expect(diagonalMm(fitAspect(FULL_FRAME, 2.39))).toBeCloseTo(39.024, 3);
    expect(diagonalMm(fitAspect(FULL_FRAME, 4 / 3))).toBeCloseTo(40, 9);
    expect(diagonalMm(fitAspect(FULL_FRAME, 1))).toBeCloseTo(33.941, 3);
  });

  it('lit shares of a centred circle agree with numerical integration done elsewhere', () => {
    const share = (id: string, diameter: number) =>
      areaShare(formatOf(id), { xMm: 0, yMm: 0 }, diameter / 2);
    expect(share('36x24', 28.4)).toBeCloseTo(0.68078, 5);
    expect(share('crop-1.5', 26)).toBeCloseTo(0.98477, 5);
    expect(share('four-thirds-inch', 16)).toBeCloseTo(0.80937, 5);
    expect(share('44x33', 45)).toBeCloseTo(0.92085, 5);
  });
});
