import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readQuantity } from './quantity';

describe('quantities as people type them', () => {
  // The international inch is 25.4 mm and the avoirdupois pound 453.59237 g exactly (ISO 80000, from memory).
  it.each([
    ['25,4', 'mm', 25.4],
    ['1 in', 'mm', 25.4],
    ['1 1/2 in', 'mm', 38.1],
    ['1/2"', 'mm', 12.7],
    ['2.6 cm', 'mm', 26],
    ['3 ft', 'm', 0.9144],
    ['5 ft 6 in', 'm', 1.6764],
    ['5\' 6"', 'm', 1.6764],
    ['30 cm', 'm', 0.3],
    ['1.2 kg', 'g', 1200],
    ['1 lb 2 oz', 'g', 510.291416],
    ['f/2.8', '', 2.8],
    ['T1.5', '', 1.5],
    ['×0.71', '', 0.71],
    ['−1.724 mm', 'mm', -1.724],
    ['45 %', '', 0.45],
    ['24 fps', 'fps', 24],
  ] as const)('%s in %s is %d', (text, unit, value) => {
    expect(readQuantity(text, unit)).toBeCloseTo(value, 5);
  });

  it.each([
    ['twelve', 'mm'],
    ['12 lb', 'mm'],
    ['1 2', 'mm'],
    ['5 ft 6', 'm'],
    ['12 5 mm', 'mm'],
    ['', 'mm'],
    ['12 mm x', 'mm'],
    ['1/0', 'mm'],
    ['NaN', 'mm'],
    ['1e999', 'mm'],
    ['<b>12</b>', 'mm'],
  ] as const)('%s is no length', (text, unit) => {
    expect(readQuantity(text, unit)).toBeNull();
  });

  it('reads back any number as it is written', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e5, max: 1e5, noNaN: true }), (v) => {
        const written = Number(v.toPrecision(10));
        expect(readQuantity(String(written), 'mm')).toBeCloseTo(written, 8);
      }),
    );
  });
});
