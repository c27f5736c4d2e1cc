import { describe, expect, it } from 'vitest';
import { chosenAfter, placeAfter } from './gridKeys';

const LINES = { first: 0, last: 9, page: 4, standing: 3 };

describe('moving through a table', () => {
  it.each([
    ['ArrowDown', 3, 4],
    ['ArrowUp', 3, 2],
    ['PageDown', 3, 7],
    ['PageUp', 3, 0],
    ['Home', 3, 0],
    ['End', 3, 9],
    ['ArrowDown', 9, 9],
    ['ArrowUp', 0, 0],
    ['PageDown', 8, 9],
    ['x', 3, null],
  ])('%s leads from line %s to %s', (key, from, to) => {
    expect(placeAfter(key, from, LINES)).toBe(to);
  });

  it('the first arrow takes the line one stands on, and an empty table has none', () => {
    expect(placeAfter('ArrowDown', null, LINES)).toBe(3);
    expect(placeAfter('End', null, LINES)).toBe(9);
    expect(placeAfter('ArrowDown', null, { ...LINES, last: -1 })).toBeNull();
  });
});

describe('choosing in a table', () => {
  const idOf = (i: number) => 'abcdefghij'[i] ?? '';
  const choose = (
    selected: string,
    at: number,
    how: { adds?: boolean; extends?: boolean } = {},
  ) => {
    const { ids, anchor } = chosenAfter({
      selected: new Set(selected),
      anchor: 2,
      at,
      idOf,
      adds: false,
      extends: false,
      ...how,
    });
    return [[...ids].sort().join(''), anchor];
  };

  it('a line alone takes the place of what was chosen', () => {
    expect(choose('abc', 5)).toEqual(['f', 5]);
  });

  it('with the command key it is added, or taken out again', () => {
    expect(choose('ab', 5, { adds: true })).toEqual(['abf', 5]);
    expect(choose('abf', 5, { adds: true })).toEqual(['ab', 5]);
  });

  it('with Shift all from the anchor to it, either way, and the anchor stays', () => {
    expect(choose('c', 5, { extends: true })).toEqual(['cdef', 2]);
    expect(choose('cdef', 0, { extends: true })).toEqual(['abc', 2]);
    expect(choose('j', 3, { extends: true, adds: true })).toEqual(['cdj', 2]);
  });
});
