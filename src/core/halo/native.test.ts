import { describe, expect, it } from 'vitest';
import { plainLens } from '../../../tests/support/plainRig';
import type { Lens } from '../kit/records';
import { nativeStanding } from './native';

const prime = (focal: number, more: Partial<Lens> = {}): Lens =>
  plainLens({ focalMinMm: focal, focalMaxMm: focal, ...more });
const zoom = (focal: number): Lens => plainLens({ focalMinMm: focal, focalMaxMm: focal * 2 });
const standing = (lens: Lens, focal: number, fNumber = 2, stops: number | null = 1) =>
  nativeStanding(lens, focal, 2, fNumber, stops);

describe('what is normal among native lenses', () => {
  // Quartiles wide open and at f/8: our own statistics of the Lensfun database, 461 lenses (CC BY-SA 3.0).
  it.each([
    [prime(20), 20, 'primes under 24 mm', [2, 2.4], [0.7, 1.3]],
    [prime(28), 28, 'primes of 24 to 35 mm', [1.9, 2.5], [0.6, 1.2]],
    [prime(50), 50, 'primes of 36 to 70 mm', [1.8, 2.2], [0.4, 0.7]],
    [prime(85), 85, 'primes of 71 to 135 mm', [1.2, 1.7], [0.1, 0.3]],
    [prime(200), 200, 'primes over 135 mm', [1, 1.4], [0.4, 0.6]],
    [zoom(18), 18, 'zooms under 24 mm', [1.7, 2], [0.9, 1.4]],
    [zoom(28), 28, 'zooms at 24 to 35 mm', [1.4, 1.8], [0.6, 1]],
    [zoom(50), 50, 'zooms at 36 to 70 mm', [1.1, 1.4], [0.3, 0.6]],
    [zoom(100), 100, 'zooms over 70 mm', [0.9, 1.5], [0.2, 0.6]],
  ] as const)('%#: %s mm has its own quartiles', (lens, focal, kind, open, closed) => {
    const wide = standing(lens, focal, 2);
    expect(wide.kind).toBe(kind);
    expect([wide.betterQuarter, wide.worseQuarter]).toEqual(open);
    const f8 = standing(lens, focal, 8);
    expect(f8.betterQuarter).toBeCloseTo(closed[0], 9);
    expect(f8.worseQuarter).toBeCloseTo(closed[1], 9);
  });

  it('a lens for a smaller format counts by what it sees on its own', () => {
    const small = prime(24, { designFormat: { widthMm: 23.5, heightMm: 15.6 } });
    // 24 mm on a diagonal of 28.2 mm sees what 36.8 mm sees on 43.3 mm.
    expect(standing(small, 24).kind).toBe('primes of 36 to 70 mm');
  });

  it('runs straight in stops between wide open and f/8, and is held beyond both', () => {
    const at = (fNumber: number) => standing(prime(50), 50, fNumber).betterQuarter;
    expect(at(4)).toBeCloseTo((1.8 + 0.4) / 2, 9);
    expect(at(22)).toBeCloseTo(0.4, 9);
    expect(at(1.4)).toBeCloseTo(1.8, 9);
    const slow = nativeStanding(prime(50), 50, 8, 11, 1);
    expect(slow.betterQuarter).toBeCloseTo(0.4, 9);
  });

  it.each([
    [
      null,
      /^Three of four native primes of 36 to 70 mm are better at this aperture, at rest \(1\.8 to 2\.2 stops is usual\)\.$/,
    ],
    [2.3, /^Three of four/],
    [2.24, /^Normal for native/],
    [2, /^Normal for native primes of 36 to 70 mm at this aperture/],
    [1.76, /^Normal for native/],
    [1.7, /^Better than three of four native/],
  ])('%s stops down is said in words', (stops, sentence) => {
    expect(standing(prime(50), 50, 2, stops).sentence).toMatch(sentence);
  });
});
