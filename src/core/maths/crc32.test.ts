import { crc32 as outside } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { crc32 } from './crc32';
import { randomOf } from './random';

const bytes = (text: string) => new TextEncoder().encode(text);

describe('crc32', () => {
  it('is the check value of the catalogues: CBF43926 for the digits 1 to 9', () => {
    expect(crc32(bytes('123456789'))).toBe(0xcbf43926);
    expect(crc32(bytes(''))).toBe(0);
  });

  it.skipIf(typeof outside !== 'function')('agrees with zlib on random bytes', () => {
    const random = randomOf(31);
    for (let i = 0; i < 40; i += 1) {
      const some = Uint8Array.from({ length: random.whole(1, 300) }, () => random.whole(0, 255));
      expect(crc32(some)).toBe(outside(some));
    }
  });
});
