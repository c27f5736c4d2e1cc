import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  apertureScale,
  focalScale,
  focusScale,
  legibleMarks,
  nearestDetent,
  stepDetents,
  type BarrelScale,
} from './scale';

const scales: readonly [string, BarrelScale][] = [
  ['zoom', focalScale(18, 35)],
  ['long zoom', focalScale(28, 300)],
  ['aperture', apertureScale(1.8, 16)],
  ['aperture that does not move', apertureScale(8, 8)],
  ['focus', focusScale(0.28, 35)],
  ['focus of a long lens', focusScale(4.5, 500)],
];

describe.each(scales)('%s scale', (_, scale) => {
  it('leads from place to value and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.9, noNaN: true }), (place) => {
        expect(scale.place(scale.value(place))).toBeCloseTo(place, 2);
      }),
    );
  });

  it('has its ends among detents and marks, in order', () => {
    expect(scale.detents[0]).toBe(scale.min);
    expect(scale.detents.at(-1)).toBe(scale.max);
    const places = scale.detents.map((d) => scale.place(d));
    expect(places.every((p, i) => i === 0 || p >= places[i - 1]!)).toBe(true);
    expect(scale.marks[0]?.value).toBe(scale.min);
    expect(scale.marks.at(-1)?.value).toBe(scale.max);
  });

  it('steps from end to end and no farther', () => {
    let value = scale.min;
    for (let i = 0; i < scale.detents.length + 3; i += 1) value = stepDetents(scale, value, 1);
    expect(value).toBe(scale.max);
    for (let i = 0; i < scale.detents.length + 3; i += 1) value = stepDetents(scale, value, -1);
    expect(value).toBe(scale.min);
  });
});

describe('aperture ring', () => {
  const ring = apertureScale(1.8, 16);

  it('clicks in third stops', () => {
    expect(stepDetents(ring, 2, 1)).toBeCloseTo(2.245, 3);
    expect(stepDetents(ring, 2.8284271, 3)).toBeCloseTo(4, 6);
    expect(stepDetents(ring, 4, -3)).toBeCloseTo(2.828, 3);
    expect(nearestDetent(ring, 2.75)).toBeCloseTo(2.828, 3);
  });

  it('engraves full stops only, and the ends', () => {
    expect(ring.marks.filter((m) => m.label).map((m) => m.label)).toEqual([
      '1.8',
      '2',
      '2.8',
      '4',
      '5.6',
      '8',
      '11',
      '16',
    ]);
  });
});

describe('focus ring', () => {
  it('ends in infinity', () => {
    const ring = focusScale(0.28, 35);
    expect(ring.value(1)).toBe(Infinity);
    expect(stepDetents(ring, Infinity, -1)).toBeLessThan(100);
    expect(ring.marks.at(-1)?.label).toBe('∞');
  });
});

describe('legible marks', () => {
  it('keep the ends and leave room between figures', () => {
    const marks = legibleMarks(focalScale(18, 35), 0.09).filter((m) => m.label);
    expect(marks[0]?.label).toBe('18');
    expect(marks.at(-1)?.label).toBe('35');
    const places = marks.map((m) => focalScale(18, 35).place(m.value));
    expect(places.every((p, i) => i === 0 || p - places[i - 1]! >= 0.089)).toBe(true);
  });
});
