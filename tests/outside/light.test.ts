/** Trade facts: common practice, no source, unless one is named. */
import { evaluate } from '@/core/rig/report';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../support/demo';
import { MOUNTS } from '../support/plainRig';
import { deliveredFrame } from '@/core/frame';
import { naturalFalloff } from '@/core/halo';
import {
  printsAs,
  customaryStops,
  glassLossStops,
  lightStopsOfFactor,
  tStop,
  anglesOfView,
  converterOfShift,
} from '@/core/optics';
import { trainOf, trainLight } from '@/core/rig/train';

describe('teleconverters (common practice, no source)', () => {
  const { lens, parts } = demoRig('waders-at-dawn');
  const tele = { ...parts[0]!, transmission: 1 };

  it('500 mm f/4 with 1.4x is 700 mm f/5.6, one stop lost', () => {
    const light = trainLight(trainOf([tele], MOUNTS), lens, 500, 4);
    expect(light.focalMm).toBeCloseTo(700, 9);
    expect(printsAs(light.fNumber)).toEqual(['f/5.6']);
    expect(Math.round(light.lightStops)).toBe(-1);
  });

  it('500 mm f/4 with 2x is 1000 mm f/8, two stops lost', () => {
    const light = trainLight(trainOf([{ ...tele, factor: 2 }], MOUNTS), lens, 500, 4);
    expect([light.focalMm, printsAs(light.fNumber)[0], light.lightStops]).toEqual([
      1000,
      'f/8',
      -2,
    ]);
  });
});

describe('reducers (common practice, no source)', () => {
  it('0.71x gains about a stop, 0.64x about a stop and a third', () => {
    expect(customaryStops(0.71)).toBe(1);
    expect(Math.abs(lightStopsOfFactor(0.71) - 1)).toBeLessThan(0.02);
    expect(Math.abs(lightStopsOfFactor(0.64) - 4 / 3)).toBeLessThan(0.05);
  });

  it('80 mm behind 0.71x acts as 56.8 mm', () => {
    expect(
      trainLight(
        trainOf(demoRig('wheel-house-wide').parts, MOUNTS),
        demoRig('wheel-house-wide').lens,
        80,
        2,
      ).focalMm,
    ).toBeCloseTo(56.8, 9);
  });
});

describe('thin-lens table of converters (computed independently)', () => {
  it.each([
    [0.58, 100, 72.4138, 42, 30.4138],
    [0.64, 100, 56.25, 36, 20.25],
    [0.71, 90, 36.7606, 26.1, 10.6606],
    [0.8, 150, 37.5, 30, 7.5],
    [1.4, -100, 28.5714, 40, -11.4286],
    [2, -60, 30, 60, -30],
  ])(
    '%fx of %f mm stands %f mm before the image and forms the new one %f mm behind',
    (m, F, a, b, shift) => {
      const thin = converterOfShift(m, shift)!;
      expect(thin.focalMm).toBeCloseTo(F, 2);
      expect(thin.frontMm).toBeCloseTo(a, 3);
      expect(thin.backMm).toBeCloseTo(b, 3);
    },
  );
});

describe('crops (common practice, no source)', () => {
  it('24 megapixels cropped 1.5x leave about 10.7', () => {
    const mode = { ...demoRig('gears-close').mode, digitalZooms: [1, 1.5] };
    const frame = deliveredFrame(mode, {
      aspect: null,
      digitalZoom: 1.5,
      cropId: null,
      postScale: 1,
      squeeze: 1,
    });
    expect(frame.megapixels).toBeCloseTo(10.67, 2);
  });
});

describe('T-stops', () => {
  it('f/2 through glass that passes 0.80 is T2.236; 0.90 costs 0.152 stop, 0.70 costs 0.515', () => {
    expect(tStop(2, 0.8)).toBeCloseTo(2.2361, 4);
    expect(glassLossStops(0.9)).toBeCloseTo(-0.152, 4);
    expect(glassLossStops(0.7)).toBeCloseTo(-0.5146, 4);
  });
});

describe('cos-fourth table (textbook law)', () => {
  it.each([
    [5, 0.98487],
    [10, 0.9406],
    [15, 0.87051],
    [20, 0.77973],
    [25, 0.67469],
    [30, 0.5625],
    [35, 0.45025],
    [40, 0.34436],
    [45, 0.25],
    [50, 0.17071],
    [60, 0.0625],
  ])('at %i degrees %f of the light is left', (degrees, share) => {
    expect(naturalFalloff(50 * Math.tan((degrees * Math.PI) / 180), 50)).toBeCloseTo(share, 5);
  });
});

describe('angles of view on 36x24 (handbook table, computed)', () => {
  it.each([
    [12, 112.62, 90, 121.966],
    [24, 73.74, 53.13, 84.062],
    [35, 54.432, 37.849, 63.44],
    [50, 39.598, 26.991, 46.793],
    [85, 23.913, 16.071, 28.558],
    [200, 10.286, 6.867, 12.347],
  ])('%i mm', (focal, horizontal, vertical, diagonal) => {
    const view = anglesOfView({ widthMm: 36, heightMm: 24 }, focal);
    expect(view.horizontal).toBeCloseTo(horizontal, 2);
    expect(view.vertical).toBeCloseTo(vertical, 2);
    expect(view.diagonal).toBeCloseTo(diagonal, 2);
  });
});

describe('stopping down (common practice, no source)', () => {
  it('makes a dark corner harder and blacker, and the dark part smaller', () => {
    const rig = demoRig('lamplight');
    const at = (fNumber: number) =>
      evaluate({ ...rig, settings: { ...rig.settings, fNumber, aspect: 1.5 } });
    const [open, closed] = [at(1.4), at(11)];
    const width = (r: ReturnType<typeof at>) => r.coverage.radiiMm.black - r.coverage.radiiMm.clear;
    expect(width(closed)).toBeLessThan(width(open) / 4);
    expect(closed.coverage.radiiMm.clear).toBeGreaterThan(open.coverage.radiiMm.clear);
  });
});
