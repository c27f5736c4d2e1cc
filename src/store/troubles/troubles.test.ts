import { describe, expect, it, vi } from 'vitest';
import { freshDatabase } from '../../../tests/support/database';
import { WorkerLost } from '@/workers/door';
import { RefusedRecord } from '../changes/journal';
import { isOfStorage, ofStorage } from './ofStorage';
import { INTERRUPTED, troubleSentence } from './troubles';

describe('troubles', () => {
  const named = (name: string, inner?: Error) =>
    Object.assign(new Error('what the browser says'), { name, inner });
  const stored = (name: string, inner?: Error) => ofStorage(named(name, inner));

  it.each([
    ['a full disk', stored('AbortError', named('QuotaExceededError')), /no room left/],
    ['a damaged database', stored('UnknownError'), /could not read what it stored/],
    ['a newer database', stored('VersionError'), /newer version/],
    ['a private window', stored('OpenFailedError'), /does not let this page keep data/],
    ['a change that did not go through', stored('AbortError'), /could not be stored/],
    ['a worker that is gone', new WorkerLost('out of memory'), /works this out stopped/],
    [
      'a record that is refused',
      new RefusedRecord([{ code: '', path: '', sentence: 'f/0 is none.' }]),
      /Nothing was changed: f\/0 is none\./,
    ],
    ['a mistake of ours', new TypeError('x is undefined'), /in the program itself: x is undefined/],
    ['nothing at all', undefined, /in the program itself/],
  ])('%s is said plainly, and of the right thing', (_, error, sentence) => {
    expect(troubleSentence(error)).toMatch(sentence);
  });

  it('only storage is blamed on storage', () => {
    // Files that changed, pictures that do not decode and canvases throw the very names a database does.
    const elsewhere = [
      'NotReadableError',
      'EncodingError',
      'InvalidStateError',
      'SecurityError',
      'AbortError',
      'QuotaExceededError',
      'SomethingElse',
    ].map((name) => named(name));
    for (const error of [new WorkerLost('gone'), new TypeError('x'), ...elsewhere])
      expect(troubleSentence(error)).not.toMatch(/could not be stored|The browser/);
  });

  it('what the library throws is storage’s, and so is what its tables throw, whatever it is called', async () => {
    const db = freshDatabase();
    await db.open();
    const noKey = await db.mounts.put({} as never).catch((e: unknown) => e);
    expect(isOfStorage(noKey)).toBe(true);
    const get = vi.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
      throw new DOMException('a sector is gone', 'NotReadableError');
    });
    const gone = await db.mounts.get('x').catch((e: unknown) => e);
    get.mockRestore();
    expect(troubleSentence(gone)).toMatch(/could not read what it stored here/);
    db.close();
  });

  it('no sentence advises what would destroy data', () => {
    for (const name of ['UnknownError', 'NotReadableError', 'EncodingError', 'OpenFailedError'])
      expect(troubleSentence(stored(name))).not.toMatch(/clear|delete|remove|reset/i);
    for (const sentence of Object.values(INTERRUPTED))
      expect(sentence).not.toMatch(/^(clear|delete|remove|reset)\b/i);
  });
});
