import { describe, expect, it } from 'vitest';
import { ageWords, daysBetween } from './age';

describe('age of a figure', () => {
  it('is counted in days, months or years', () => {
    expect(daysBetween('2026-05-12', '2026-05-13')).toBe(1);
    expect(ageWords('2026-05-12', '2026-05-12')).toBe(', today');
    expect(ageWords('2026-05-12', '2026-05-13')).toBe(', 1 day ago');
    expect(ageWords('2026-05-12', '2026-11-25')).toBe(', 6 months ago');
    expect(ageWords('2020-05-12', '2026-11-25')).toBe(', 7 years ago');
  });

  it('is not told where there is no date, or one that has not come', () => {
    expect(ageWords('', '2026-11-25')).toBe('');
    expect(ageWords('2026-05-12', '')).toBe('');
    expect(ageWords('2027-05-12', '2026-11-25')).toBe('');
  });
});
