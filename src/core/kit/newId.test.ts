import { afterEach, describe, expect, it, vi } from 'vitest';
import { newId } from './newId';

afterEach(() => {
  vi.unstubAllGlobals();
});

describe('new ids', () => {
  it('are 32 hexadecimal digits, each its own, leading zeros among them', () => {
    const ids = Array.from({ length: 2000 }, newId);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{32}$/);
    expect(ids.some((id) => id.startsWith('0'))).toBe(true);
  });

  it('are drawn where a page is not served safely, too', () => {
    const whole = crypto;
    const getRandomValues = (into: Uint8Array<ArrayBuffer>) => whole.getRandomValues(into);
    vi.stubGlobal('crypto', { getRandomValues });
    expect(newId()).toMatch(/^[0-9a-f]{32}$/);
  });
});
