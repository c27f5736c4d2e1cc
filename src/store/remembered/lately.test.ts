import { beforeEach, describe, expect, it, vi } from 'vitest';
import { chosenLately, lately } from './lately';

describe('gear chosen lately', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
    });
  });

  it('stands with the last chosen first, none twice, and not without end', () => {
    expect(lately()).toEqual([]);
    chosenLately(['a']);
    chosenLately(['b', 'c']);
    chosenLately(['a']);
    expect(lately()).toEqual(['a', 'b', 'c']);
    chosenLately(Array.from({ length: 40 }, (_, i) => `x${i}`));
    expect(lately()).toHaveLength(24);
    expect(lately()[0]).toBe('x0');
  });

  it('is empty where what is kept is no list of names, and where nothing can be kept', () => {
    for (const text of ['{', '{}', '7', 'null']) {
      kept.set('wandering-halo-lately', text);
      expect(lately()).toEqual([]);
    }
    kept.set('wandering-halo-lately', '["a", 7, null]');
    expect(lately()).toEqual(['a']);
    vi.stubGlobal('localStorage', {
      getItem: () => {
        throw new Error('refused');
      },
    });
    expect(lately()).toEqual([]);
    expect(() => chosenLately(['a'])).not.toThrow();
  });
});
