import { describe, expect, it } from 'vitest';
import { plainLens } from '../../../../tests/support/plainRig';
import { nothingKnown, type Knowledge } from '../../kit/records';
import { knownAt, knownWords } from './known';

const note = (
  id: string,
  focalMm: number | null,
  fNumber: number | null,
  said: Partial<Knowledge>,
): Knowledge => ({ ...nothingKnown(id, focalMm, fNumber), ...said });

const lens = plainLens({
  focalMinMm: 24,
  focalMaxMm: 70,
  knowledge: [
    note('wide', 24, 2.8, { corners: 'soft', distortion: 'barrel' }),
    note('long', 70, 2.8, { corners: 'smeared' }),
    note('any', null, null, { breathing: 'much', corners: 'good', character: 'glows' }),
  ],
});
const at = (focalMm: number, fNumber: number) =>
  Object.fromEntries(knownAt(lens, { focalMm, fNumber }).map((k) => [k.aspect, k.word]));

describe('what is known of a lens', () => {
  it('is what was said nearest to the setting, and nothing that was not said', () => {
    expect(at(24, 2.8)).toEqual({
      corners: 'soft',
      distortion: 'barrel',
      breathing: 'much',
      character: 'glows',
    });
    expect(at(70, 2.8)).toEqual({ corners: 'smeared', breathing: 'much', character: 'glows' });
  });

  it('at a mark or an aperture nobody looked at only what holds everywhere is said', () => {
    expect(at(45, 2.8).corners).toBe('good');
    expect(at(24, 8).corners).toBe('good');
    expect(at(24, 8).distortion).toBeUndefined();
  });

  it('says where it was seen, and that nobody said anything', () => {
    const words = (focalMm: number) => knownWords(lens, { focalMm, fNumber: 2.8 }, 'corners');
    expect(words(26)).toBe('soft, seen at 24 mm and f/2.8');
    expect(words(45)).toBe('good, seen everywhere');
    expect(knownWords(plainLens(), { focalMm: 50, fNumber: 2 }, 'corners')).toBeNull();
  });
});
