import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  customaryStops,
  customaryStopsTogether,
  customDisagrees,
  glassLossStops,
  isoFactor,
  lightStopsOfFactor,
  stopsBetweenFNumbers,
  tStop,
} from './stops';

describe('light in stops', () => {
  it('gains 0.988 stop through a 0.71x reducer, and custom calls it one', () => {
    expect(lightStopsOfFactor(0.71)).toBeCloseTo(0.9882, 4);
    expect(customaryStops(0.71)).toBe(1);
    expect(customDisagrees(lightStopsOfFactor(0.71), customaryStops(0.71))).toBe(false);
  });

  it('loses 1.36 stops through a 1.6x expander though custom says one, and says that they differ', () => {
    expect(lightStopsOfFactor(1.6)).toBeCloseTo(-1.3561, 4);
    expect(customaryStops(1.6)).toBe(-1);
    expect(customDisagrees(lightStopsOfFactor(1.6), customaryStops(1.6))).toBe(true);
  });

  it('knows no custom for an odd factor', () => {
    expect(customaryStops(0.85)).toBeNull();
    expect(customDisagrees(0.47, null)).toBe(false);
  });

  it('adds up what is said of several parts, and says nothing where one has no custom', () => {
    expect(customaryStopsTogether([2, 1.4])).toBe(-3);
    expect(customaryStopsTogether([0.71, 1.4])).toBe(0);
    expect(customaryStopsTogether([2, 0.85])).toBeNull();
    expect(customaryStopsTogether([])).toBeNull();
  });

  it('lets a quarter stop between custom and arithmetic pass', () => {
    expect(customDisagrees(1.25, 1)).toBe(false);
    expect(customDisagrees(1.26, 1)).toBe(true);
    expect(customDisagrees(0.74, 1)).toBe(true);
  });

  it('keeps the exposure: light and ISO factor cancel', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (factor) => {
        const light = lightStopsOfFactor(factor);
        expect(Math.log2(isoFactor(light)) + light).toBeCloseTo(0, 9);
        expect(stopsBetweenFNumbers(2, 2 * factor)).toBeCloseTo(light, 9);
      }),
    );
  });

  it('turns glass loss into T-stops', () => {
    expect(tStop(2, 0.8)).toBeCloseTo(2.2361, 4);
    expect(glassLossStops(0.9)).toBeCloseTo(-0.152, 4);
  });
});
