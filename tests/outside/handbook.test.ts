/**
 * Worked examples in the manner of photographic and cine handbooks: thin-lens arithmetic verified
 * independently, the conventions from memory.
 */
import { describe, expect, it } from 'vitest';
import {
  extendedMagnification,
  workingFNumber,
  stopsBetweenFNumbers,
  converterOfShift,
  circleOfConfusionMm,
  depthOfField,
  hyperfocalM,
  diffractionHalf,
  farthestFocusM,
  plainThicknessMm,
  plateMarginalExtraMm,
  plateShiftMm,
  shiftOfConverterMm,
} from '@/core/optics';
import { transmissionAt } from '@/core/halo';
import { mountOf } from '@/core/kit/records';
import { evaluate } from '@/core/rig/report';
import { partOf, plainRig } from '../support/plainRig';

describe('depth of field and hyperfocal distance (handbook examples)', () => {
  it.each([
    [50, 8, 0.03, 3, 10.4667, 2.3379, 4.1853],
    [50, 2, 0.03, 3, 41.7167, 2.8016, 3.2286],
    [24, 8, 0.03, 2, 2.424, 1.0969, 11.3208],
    [35, 5.6, 0.03, 5, 7.3267, 2.9746, 15.6698],
    [85, 1.4, 0.03, 2, 172.1088, 1.978, 2.0225],
    [100, 2.8, 0.03, 1, 119.1476, 0.9925, 1.0076],
    [300, 4, 0.03, 25, 750.3, 24.2029, 25.8514],
    [12, 4, 0.015, 1.5, 2.412, 0.9259, 3.9474],
    [80, 2.8, 0.05, 4, 45.7943, 3.6841, 4.3752],
  ])('%i mm f/%f, c %f, at %f m', (f, n, c, u, h, near, far) => {
    expect(hyperfocalM(f, n, c)).toBeCloseTo(h, 3.9);
    const d = depthOfField(f, n, c, u);
    expect(d.nearM).toBeCloseTo(near, 3.9);
    expect(d.farM).toBeCloseTo(far, 3.4);
  });

  it('cine: 50 mm f/2.8 with a thousandth of an inch is hyperfocal at 115.33 ft (without the last f)', () => {
    const feet = (hyperfocalM(50, 2.8, 0.0254) - 0.05) / 0.3048;
    expect(feet).toBeCloseTo(115.33, 2);
  });

  it('circles of confusion by diagonal', () => {
    const small = { widthMm: 23.5, heightMm: 15.6 };
    expect(circleOfConfusionMm(small, 'diagonal/1440')).toBeCloseTo(0.01959, 5);
    expect(circleOfConfusionMm(small, 'diagonal/1500')).toBeCloseTo(0.0188, 5);
    expect(circleOfConfusionMm(small, 'diagonal/1730')).toBeCloseTo(0.0163, 5);
    expect(circleOfConfusionMm(small, 'diagonal/1000')).toBeCloseTo(0.02821, 5);
    expect(circleOfConfusionMm(small, '0.03 by crop')).toBeCloseTo(0.01956, 5);
  });
});

describe('extension and bellows factor (handbook table)', () => {
  it.each([
    [50, 12, 4, 1, 0.24, 4.96, 0.6207],
    [50, 50, 2.8, 1, 1, 5.6, 2],
    [50, 12, 4, 0.5, 0.24, 5.92, 1.1312],
    [100, 100, 8, 0.8, 1, 18, 2.3399],
    [35, 10, 2, 1.5, 0.2857, 2.381, 0.5031],
    [24, 10, 2.8, 2, 0.4167, 3.3833, 0.546],
  ])('%i mm with %i mm of extension at f/%f, pupil %f', (f, x, n, pupil, m, working, loss) => {
    const magnification = extendedMagnification(f, x, 0);
    expect(magnification).toBeCloseTo(m, 4);
    const there = workingFNumber(n, magnification, pupil);
    expect(there).toBeCloseTo(working, 4);
    expect(-stopsBetweenFNumbers(n, there)).toBeCloseTo(loss, 4);
  });
});

describe('registers (generic mounts, from memory)', () => {
  it.each([
    [45.46, 18, 27.46],
    [52, 18, 34],
    [44, 19.25, 24.75],
    [17.526, 19.25, -1.724],
    [44, 18, 26],
  ])('%f on %f wants %f mm', (lens, body, thickness) => {
    expect(plainThicknessMm(lens, body)).toBeCloseTo(thickness, 9);
  });

  it.each([
    [24, 0.02, 28.824],
    [35, 0.05, 24.535],
    [50, 0.1, 25.05],
    [85, 0.1, 72.335],
    [300, 0.3, 300.3],
  ])('a %i mm held %f mm too long focuses no farther than %f m', (f, d, far) => {
    expect(farthestFocusM(f, d)).toBeCloseTo(far, 3);
  });
});

describe('plane glass in the light path (computed from Snell’s law)', () => {
  it.each([
    [0.5, 1.5168, 0.17036, 0.01128, 0.00567, 0.00145],
    [2, 1.5168, 0.68143, 0.04512, 0.0227, 0.00579],
    [2, 1.54, 0.7013, 0.0454, 0.02285, 0.00583],
    [4, 1.5168, 1.36287, 0.09023, 0.04539, 0.01157],
    [48, 1.5168, 16.35443, 1.08277, 0.54469, 0.13885],
  ])('%f mm of index %f', (t, n, shift, at14, at2, at4) => {
    expect(plateShiftMm(t, n)).toBeCloseTo(shift, 5);
    expect(plateMarginalExtraMm(t, n, 1.4)).toBeCloseTo(at14, 5);
    expect(plateMarginalExtraMm(t, n, 2)).toBeCloseTo(at2, 5);
    expect(plateMarginalExtraMm(t, n, 4)).toBeCloseTo(at4, 5);
  });
});

describe('diffraction at 550 nm (textbook)', () => {
  it.each([
    [1.4, 524.64],
    [2.8, 262.32],
    [5.6, 131.16],
    [8, 91.81],
    [11, 66.77],
    [22, 33.39],
  ])('f/%f keeps half contrast at %f lp/mm', (n, half) => {
    expect(diffractionHalf(n)).toBeCloseTo(half, 1);
  });

  it('half of it is what an ideal lens leaves there: (2/π)(acos s − s√(1 − s²))', () => {
    const contrast = (s: number) => (2 / Math.PI) * (Math.acos(s) - s * Math.sqrt(1 - s * s));
    // Half the cut-off leaves 39.1 %, the Rayleigh frequency 8.9 % (the same handbook table).
    expect(contrast(0.5)).toBeCloseTo(0.391, 4);
    expect(contrast(0.8199)).toBeCloseTo(0.0892, 3);
    expect(contrast(diffractionHalf(8) * 550e-6 * 8)).toBeCloseTo(0.5, 4);
  });
});

describe('converters as thin lenses (computed table)', () => {
  it.each([
    [0.58, 100, 72.4138, 42, 30.4138],
    [0.707107, 100, 41.4214, 29.2893, 12.132],
    [1.25, -100, 20, 25, -5],
    [1.7, -100, 41.1765, 70, -28.8235],
    [2, -100, 50, 100, -50],
  ])('%fx of %i mm', (m, F, a, b, shift) => {
    const c = converterOfShift(m, shift)!;
    expect(c.frontMm).toBeCloseTo(a, 3);
    expect(c.backMm).toBeCloseTo(b, 3);
    // The table's shift has four decimals; F magnifies its rounding by m/(1 - m)².
    expect(c.focalMm / F).toBeCloseTo(1, 4);
  });
});

describe('parts between registers of 44 and 18 mm (the same computed table)', () => {
  const [front, rear] = [44, 18].map((registerMm) =>
    mountOf({ id: `m${registerMm}`, name: `m${registerMm}`, registerMm }),
  );
  it.each([
    [0.64, 5.75],
    [0.71, 14.155],
    [1.4, 37.429],
    [2, 76],
  ])('×%f of 100 mm is %f mm thick', (factor, thickness) => {
    const plain = plainThicknessMm(front!.registerMm, rear!.registerMm);
    const focalMm = factor < 1 ? 100 : -100;
    expect(plain - shiftOfConverterMm(factor, focalMm)).toBeCloseTo(thickness, 3);
  });
});

describe('partial pupils (overlap of two circles, computed table)', () => {
  it.each([
    [1, 0.25, 0.84126],
    [1, 0.5, 0.68504],
    [1, 1, 0.391],
    [1, 1.5, 0.14429],
    [1.2, 0.5, 0.8438],
    [1.2, 1, 0.52913],
    [1.5, 1.5, 0.42845],
  ])('a rim of %f pupil radii at distance %f leaves %f', (rim, distance, share) => {
    // In the model the rim is R/w pupil radii wide and r/w away.
    const w = 10;
    const rims = [{ side: 'front' as const, edgeRadiusMm: rim * w, softnessMm: w }];
    expect(transmissionAt(rims, distance * w)).toBeCloseTo(share, 5);
  });

  it('a throat in front of the sensor: free to 19.64 mm of opening radius, dark below 10.64 mm', () => {
    // Exit pupil 60 mm away at f/2, opening 18 mm before the sensor, image height 21.633 mm.
    const [E, z, y, rho] = [60, 18, 21.633, 15];
    const rimAt = (opening: number) => [
      {
        side: 'rear' as const,
        edgeRadiusMm: opening / (1 - z / E),
        softnessMm: ((z / E) * rho) / (1 - z / E),
      },
    ];
    expect(transmissionAt(rimAt(19.6433), y)).toBeGreaterThan(0.9999);
    expect(transmissionAt(rimAt(19.4), y)).toBeLessThan(0.9999);
    expect(transmissionAt(rimAt(10.6433), y)).toBeLessThan(1e-4);
    expect(transmissionAt(rimAt(11), y)).toBeGreaterThan(1e-4);
  });
});

describe('stabiliser entry (common practice, no source)', () => {
  it('80 mm behind 0.71x is entered as 56.8 mm, 55 from a menu that has it', () => {
    const reducer = partOf('focal reducer', { factor: 0.71, thicknessMm: 21 });
    const rig = plainRig({
      lens: { focalMinMm: 80, focalMaxMm: 80 },
      parts: [reducer],
      settings: { focalMm: 80 },
    });
    const entered = (stabiliserFocalsMm: number[]) =>
      evaluate({ ...rig, body: { ...rig.body, stabiliserFocalsMm } }).steady;
    expect(entered([]).enterFocalMm).toBeCloseTo(56.8, 9);
    expect(entered([35, 50, 55, 70, 85]).menuFocalMm).toBe(55);
    expect(entered([50, 70]).menuFocalMm).toBe(50);
  });
});
