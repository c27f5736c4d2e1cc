import { describe, expect, it } from 'vitest';
import { fileNameOf } from './fileName';
import { placeWords } from './figures';

describe('where a place lies', () => {
  it.each([
    [{ xMm: 3, yMm: -1.04 }, '3.0 mm right, 1.0 mm up'],
    [{ xMm: -0.25, yMm: 12 }, '0.3 mm left, 12.0 mm down'],
    [{ xMm: 0, yMm: -8 }, '8.0 mm up'],
    [{ xMm: 0.04, yMm: -0.04 }, 'in the middle'],
  ])('%o is %s', (place, words) => {
    expect(placeWords(place)).toBe(words);
  });
});

describe('a name as a file may have it', () => {
  it.each([
    ['Wheel-house, wide', 'Wheel-house-wide'],
    ['  ../../x  ', 'x'],
    ['Tür № 5', 'Tür-5'],
    ['***', 'rig'],
    ['a'.repeat(200), 'a'.repeat(80)],
  ])('%s', (name, file) => {
    expect(fileNameOf(name, 'rig')).toBe(file);
  });
});
