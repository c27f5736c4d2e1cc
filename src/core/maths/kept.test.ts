import { describe, expect, it } from 'vitest';
import { keptIn } from './kept';

describe('values kept by key', () => {
  it('are made once, and anew only after many other keys', () => {
    const kept = new Map<number, { made: number }>();
    let made = 0;
    const ask = (key: number) => keptIn(kept, key, () => ({ made: (made += 1) }));
    expect(ask(1)).toBe(ask(1));
    expect(made).toBe(1);
    for (let key = 2; key <= 64; key += 1) ask(key);
    expect(ask(1).made).toBe(1);
    ask(65);
    expect(kept.size).toBe(1);
    expect(ask(1).made).toBe(66);
  });
});
