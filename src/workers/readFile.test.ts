import { describe, expect, it } from 'vitest';
import { bytesOf, textOf } from './readFile';

describe('a picked file', () => {
  it('is read as text or bytes', async () => {
    const file = new File(['halo'], 'kit.json');
    expect(await textOf(file)).toEqual({ ok: true, value: 'halo' });
    expect(await bytesOf(file)).toEqual({ ok: true, value: new TextEncoder().encode('halo') });
  });

  it('that changed since it was picked is told by its name, and nothing is thrown', async () => {
    // As a browser has it: the file is there, and reading it fails.
    const gone = () => Promise.reject(new DOMException('changed', 'NotReadableError'));
    const file = Object.assign(new File([], 'kit.json'), { text: gone, arrayBuffer: gone });
    for (const read of [textOf, bytesOf]) {
      const answer = await read(file);
      expect(answer.ok).toBe(false);
      if (!answer.ok)
        expect(answer.problems[0]?.sentence).toMatch(/^kit.json could not be read.*Pick it again/);
    }
  });
});
