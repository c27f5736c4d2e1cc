import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { extendedMagnification, workingFNumber } from './closeUp';
import { circleOfConfusionMm, depthOfField, hyperfocalM } from './depth';
import { converterLoss, nyquist, pixelPitchMm, systemResolution } from './detail';
import {
  canBePlain,
  farthestFocusM,
  plainThicknessMm,
  plateMarginalExtraMm,
  plateShiftMm,
} from './register';
import { shutterLimitWords, shutterWords } from '../words';
import { handHeldSeconds, nearestMenuFocalMm } from './steady';

const positive = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('registers', () => {
  it('44.00 on 18.00 wants 26 mm; 17.526 on 19.25 cannot be built', () => {
    expect(plainThicknessMm(44, 18)).toBe(26);
    expect(canBePlain(44, 18)).toBe(true);
    expect(plainThicknessMm(17.526, 19.25)).toBeCloseTo(-1.724, 9);
    expect(canBePlain(17.526, 19.25)).toBe(false);
    expect(canBePlain(45.46, 44)).toBe(false);
  });

  it('a lens held too long cannot reach infinity, one held too short can', () => {
    expect(farthestFocusM(50, 0.1)).toBeCloseTo(25.05, 9);
    expect(farthestFocusM(50, 0)).toBeNull();
    expect(farthestFocusM(50, -0.2)).toBeNull();
  });

  it('glass carries the focus back, and the marginal ray farther', () => {
    expect(plateShiftMm(2, 1.52)).toBeCloseTo(0.684, 3);
    expect(plateMarginalExtraMm(2, 1.5168, 1.4)).toBeGreaterThan(
      plateMarginalExtraMm(2, 1.5168, 4),
    );
    expect(plateShiftMm(0, 1.5)).toBe(0);
  });
});

describe('close up', () => {
  it('extension adds magnification and costs light by the pupil', () => {
    expect(extendedMagnification(50, 12, 0)).toBeCloseTo(0.24, 12);
    expect(extendedMagnification(50, 12, 0.1)).toBeCloseTo(0.34, 12);
    expect(workingFNumber(4, 0.24, 1)).toBeCloseTo(4.96, 12);
    expect(workingFNumber(4, 0.24, 0.5)).toBeCloseTo(5.92, 12);
  });
});

describe('depth of field', () => {
  it('grows with f-number and distance, and holds the focus between its limits', () => {
    fc.assert(
      fc.property(positive(8, 600), positive(1, 22), positive(0.8, 100), (f, n, u) => {
        const d = depthOfField(f, n, 0.03, u);
        expect(d.nearM).toBeLessThanOrEqual(u);
        if (d.farM !== null) expect(d.farM).toBeGreaterThanOrEqual(u);
        expect(depthOfField(f, n * 2, 0.03, u).nearM).toBeLessThanOrEqual(d.nearM);
      }),
    );
  });

  it('focused at the hyperfocal distance runs from half of it to infinity', () => {
    const h = hyperfocalM(50, 8, 0.03);
    const d = depthOfField(50, 8, 0.03, h);
    expect(d.nearM).toBeCloseTo(h / 2, 6);
    expect(d.farM === null || d.farM > 1e6).toBe(true);
  });

  it('circles of confusion follow the frame', () => {
    const full = { widthMm: 36, heightMm: 24 };
    expect(circleOfConfusionMm(full)).toBeCloseTo(0.02884, 5);
    expect(circleOfConfusionMm(full, '0.03 by crop')).toBeCloseTo(0.03, 9);
  });
});

describe('detail', () => {
  it('no system resolves more than its weakest member', () => {
    fc.assert(
      fc.property(
        positive(20, 200),
        positive(0.5, 3),
        positive(1, 32),
        positive(0.002, 0.02),
        (lens, factor, n, pitch) => {
          const d = systemResolution({ lensResolution: lens, factor, fNumber: n, pitchMm: pitch });
          expect(d.system).toBeLessThanOrEqual(Math.min(d.lens, d.diffraction, d.sensor) + 1e-9);
          expect(d.system).toBeGreaterThan(0);
        },
      ),
    );
  });

  it('converters lose 5 % at 1.4x and 10 % at 2x, reducers nothing', () => {
    expect(converterLoss(1.4)).toBeCloseTo(0.05, 9);
    expect(converterLoss(2)).toBeCloseTo(0.103, 3);
    expect(converterLoss(0.71)).toBe(0);
  });

  it('pitch and Nyquist: 36 mm over 6000 pixels is 6 µm and 83 lp/mm', () => {
    expect(pixelPitchMm(36, 6000)).toBeCloseTo(0.006, 12);
    expect(nyquist(0.006)).toBeCloseTo(83.33, 2);
  });
});

describe('holding still', () => {
  it('enters the nearest menu value in ratio', () => {
    expect(nearestMenuFocalMm(56.8, [50, 70])).toBe(50);
    expect(nearestMenuFocalMm(60, [50, 70])).toBe(70);
    expect(nearestMenuFocalMm(60, [])).toBeNull();
  });

  it('one over the equivalent focal length, longer by the stabiliser', () => {
    expect(handHeldSeconds(100, 1.5)).toBeCloseTo(1 / 150, 12);
    expect(handHeldSeconds(100, 1.5, 3)).toBeCloseTo(8 / 150, 12);
    expect(shutterWords(1 / 150)).toBe('1/150 s');
    expect(shutterWords(2)).toBe('2 s');
    // A limit is never told longer than it is.
    expect(shutterLimitWords(16 / 135)).toBe('1/9 s');
    expect(shutterLimitWords(1 / 250)).toBe('1/250 s');
    expect(shutterLimitWords(0.59)).toBe('0.5 s');
  });
});
