import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keysAfter, NOTHING_KEYED } from './listKeys';

const step = (upToFNumber: number, points: number) => ({ upToFNumber, points });
const [a, b, c] = [step(4, 400), step(5.6, 90), step(8, 9)];
const first = keysAfter(NOTHING_KEYED, [a, b, c]);

describe('the keys of a list without ids', () => {
  it('follow their entries when one is taken out, put in or put elsewhere', () => {
    const [keyA, keyB, keyC] = first.keys;
    expect(new Set(first.keys).size).toBe(3);
    expect(keysAfter(first, [b, c]).keys).toEqual([keyB, keyC]);
    expect(keysAfter(first, [a, c]).keys).toEqual([keyA, keyC]);
    const more = keysAfter(first, [step(2.8, 1), a, b, c]).keys;
    expect(more.slice(1)).toEqual(first.keys);
    expect(first.keys).not.toContain(more[0]);
  });

  it('stay with an entry that is changed in its place, whether it is the same object or a copy', () => {
    expect(keysAfter(first, [{ ...a }, step(5.6, 91), { ...c }]).keys).toEqual(first.keys);
    expect(keysAfter(first, [step(5.6, 90), b, c]).keys).toEqual([
      first.keys[1],
      expect.any(Number),
      first.keys[2],
    ]);
  });

  it('are never two alike', () => {
    const lists = fc.array(fc.integer({ min: 0, max: 3 }), { maxLength: 6 });
    fc.assert(
      fc.property(lists, lists, lists, (one, two, three) => {
        const { keys } = keysAfter(keysAfter(keysAfter(NOTHING_KEYED, one), two), three);
        expect(keys).toHaveLength(three.length);
        expect(new Set(keys).size).toBe(three.length);
      }),
    );
  });
});
