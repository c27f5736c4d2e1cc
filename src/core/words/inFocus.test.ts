import { describe, expect, it } from 'vitest';
import { inFocusWords } from './figures';

const words = (nearM: number, focusM: number | null, farM: number | null) =>
  inFocusWords({ nearM, focusM, farM });

describe('what is in focus, in words', () => {
  it('stands by its ends where these say it', () => {
    expect(words(2.4, 3, 4.1)).toBe('2.40 m to 4.10 m');
    expect(words(8.2, 15, null)).toBe('8.20 m to ∞');
    expect(words(40, null, null)).toBe('40.0 m to ∞');
  });

  it('stands by the ways to them where rounding would eat these', () => {
    expect(words(0.6342, 0.635, 0.6358)).toBe('−0.8 mm / +0.8 mm about 0.64 m');
    expect(words(1.7772, 1.793, 1.809)).toBe('−1.6 cm / +1.6 cm about 1.79 m');
    expect(words(29.88, 30, 30.12)).toBe('−12 cm / +12 cm about 30.0 m');
    expect(words(0.02, 0.0203, 0.0206)).toBe('−0.3 mm / +0.3 mm about 0.02 m');
    expect(words(3.6, 3.8, 6)).toBe('3.60 m to 6.00 m');
  });
});
