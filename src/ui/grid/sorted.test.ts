import { describe, expect, it } from 'vitest';
import { sortedBy } from './sorted';

const RECORDS = [
  { name: 'mount 9', mm: 2 },
  { name: 'Mount 10', mm: null },
  { name: 'adapter', mm: 11 },
  { name: 'mount 1', mm: 3 },
];
const COLUMNS = [
  { id: 'name', text: (r: (typeof RECORDS)[number]) => r.name },
  { id: 'mm', text: () => '', order: (r: (typeof RECORDS)[number]) => r.mm },
];
const names = (column: string, isDescending = false) =>
  sortedBy(RECORDS, COLUMNS, { column, isDescending }).map((r) => r.name);

describe('a sorted table', () => {
  it('goes by words as people read them, figures within them as figures', () => {
    expect(names('name')).toEqual(['adapter', 'mount 1', 'mount 9', 'Mount 10']);
    expect(names('name', true)).toEqual(['Mount 10', 'mount 9', 'mount 1', 'adapter']);
  });

  it('goes by a figure where the column has one; what is not known comes last either way', () => {
    expect(names('mm')).toEqual(['mount 9', 'mount 1', 'adapter', 'Mount 10']);
    expect(names('mm', true)).toEqual(['adapter', 'mount 1', 'mount 9', 'Mount 10']);
  });

  it('goes by its first column where it is asked for one it has not', () => {
    expect(names('none')).toEqual(names('name'));
    expect(sortedBy(RECORDS, [], { column: 'x', isDescending: false })).toBe(RECORDS);
  });
});
