import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blurDiscMm } from './blur';
import { cropFactor, equivalents, CROP_BASES } from './crop';
import { diagonalMm, FORMATS, parseFrame } from './formats';
import { anglesOfView, focusMagnification } from './view';

/** A thin lens focused at `focusM` from itself. */
const thin = (focalMm: number, fNumber: number, focusM: number) => ({
  distanceMm: focusM * 1000,
  magnification: focalMm / (focusM * 1000 - focalMm),
  entrancePupilMm: focalMm / fNumber,
});

const SMALL = { widthMm: 23.5, heightMm: 15.6 };

describe('formats', () => {
  it('stand in order of their diagonals, each once', () => {
    const diagonals = FORMATS.map(diagonalMm);
    expect(new Set(FORMATS.map((f) => f.id)).size).toBe(FORMATS.length);
    expect(diagonals.at(0)).toBeLessThan(diagonals.at(-1) ?? 0);
  });

  it('are read from text, and nonsense is not', () => {
    expect(parseFrame('36x24')).toEqual({ widthMm: 36, heightMm: 24 });
    expect(parseFrame(' 23.5 × 15.6 ')).toEqual(SMALL);
    for (const bad of ['', '36', '36x', '0x24', '36x-24', '1e5x3', '999x24', 'axb']) {
      expect(parseFrame(bad)).toBeNull();
    }
  });
});

describe('crop factor', () => {
  it('differs by basis where the aspect differs', () => {
    expect(cropFactor(SMALL, 'width')).toBeCloseTo(1.5319, 4);
    expect(cropFactor(SMALL, 'height')).toBeCloseTo(1.5385, 4);
    expect(cropFactor({ widthMm: 36, heightMm: 24 })).toBe(1);
  });

  it('turns 14.2 mm f/1.28 on the small format into 21.8 mm f/1.96', () => {
    const e = equivalents(14.2, 1.278, SMALL);
    expect(e.focalMm).toBeCloseTo(21.78, 2);
    expect(e.fNumber).toBeCloseTo(1.96, 2);
    // 23.5 · 15.6 of 36 · 24 mm².
    expect(e.totalLightStops).toBeCloseTo(-1.237, 3);
  });

  it('all the light is that of the area on the sensor, however wide a squeezed picture is seen', () => {
    // 2.39:1 through a 2x squeeze on 25.5 mm of height: 30.47 x 25.5 mm, 777 of 864 mm².
    const onSensor = { widthMm: (25.5 * 2.39) / 2, heightMm: 25.5 };
    const seen = { widthMm: 25.5 * 2.39, heightMm: 25.5 };
    for (const basis of CROP_BASES)
      expect(equivalents(50, 2, seen, basis, onSensor).totalLightStops).toBeCloseTo(-0.153, 3);
  });
});

describe('focus and view', () => {
  it('magnifies f/(u - f) of the distance from the lens, nothing at infinity, never more than it can', () => {
    // Subject u = 1050 mm before the lens, sensor v = u f/(u - f) = 52.5 mm behind it: engraved u + v.
    expect(focusMagnification(50, 1.1025)).toBeCloseTo(0.05, 9);
    expect(focusMagnification(50, 0.2)).toBeCloseTo(1, 9);
    expect(focusMagnification(50, 0.2001)).toBeLessThan(1);
    expect(focusMagnification(50, 1e6)).toBeCloseTo(50 / 1e9, 12);
    expect(focusMagnification(50, null)).toBe(0);
    expect(focusMagnification(100, 0.11, 1)).toBe(1);
    expect(focusMagnification(100, 0.05, 1)).toBe(1);
  });

  it('never magnifies more when the subject goes farther away', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 1000, noNaN: true }),
        fc.double({ min: 0.01, max: 1000, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (focal, near, more) => {
          expect(focusMagnification(focal, near + more)).toBeLessThanOrEqual(
            focusMagnification(focal, near),
          );
        },
      ),
    );
  });

  it('sees wider through a squeeze', () => {
    const plain = anglesOfView(SMALL, 40);
    const squeezed = anglesOfView(SMALL, 40, 0, 2);
    expect(squeezed.horizontal).toBeGreaterThan(plain.horizontal);
    expect(squeezed.vertical).toBe(plain.vertical);
  });
});

describe('blur disc', () => {
  it('is 0.47483 mm for 50 mm f/1.8 at 2 m of a point at 6 m, 0.33464 mm behind a 0.71x reducer', () => {
    expect(blurDiscMm(thin(50, 1.8, 2), 4000)).toBeCloseTo(0.47483, 5);
    expect(blurDiscMm(thin(50 * 0.71, 1.8 * 0.71, 2), 4000)).toBeCloseTo(0.33464, 5);
  });

  it('is nothing in focus and greatest at infinity', () => {
    expect(blurDiscMm(thin(50, 2, 3), 0)).toBe(0);
    expect(blurDiscMm(thin(50, 2, 3), null)).toBeGreaterThan(blurDiscMm(thin(50, 2, 3), 97_000));
  });
});
