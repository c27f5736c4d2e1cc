import { describe, expect, it } from 'vitest';
import { ASPECTS, namedAspect } from './aspects';

describe('aspects by name', () => {
  it('stand from narrow to wide, the whole read-out first, each once', () => {
    const values = ASPECTS.map((a) => a.aspect ?? 0);
    expect(values).toEqual(values.toSorted((a, b) => a - b));
    expect(new Set(ASPECTS.map((a) => a.id)).size).toBe(ASPECTS.length);
  });

  it.each([
    ['16:9', 16 / 9],
    ['4:3', 4 / 3],
    ['65:24', 65 / 24],
    ['1:1', 1],
    ['2.39:1', 2.39],
  ])('%s is %f', (name, aspect) => {
    expect(namedAspect(aspect)?.name).toBe(name);
    expect(namedAspect(aspect * 1.0009)?.name).toBe(name);
    expect(namedAspect(aspect * 1.002)).toBeUndefined();
    expect(namedAspect(aspect * 0.998)).toBeUndefined();
  });

  it('nothing is the whole read-out, and an odd one has no name', () => {
    expect(namedAspect(null)?.id).toBe('whole');
    expect(namedAspect(1.9)).toBeUndefined();
  });
});
