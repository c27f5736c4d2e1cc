import { describe, expect, it } from 'vitest';
import { WorkerLost } from '@/workers/door';
import { RefusedRecord } from '../changes/journal';
import { troubleSentence } from './troubles';

describe('troubles', () => {
  const named = (name: string, inner?: Error) =>
    Object.assign(new Error('what the browser says'), { name, inner });

  it.each([
    ['a full disk', named('AbortError', named('QuotaExceededError')), /no room left/],
    ['a damaged database', named('UnknownError'), /seems damaged/],
    ['a newer database', named('VersionError'), /newer version/],
    ['a private window', named('OpenFailedError'), /does not let this page keep data/],
    ['a change that did not go through', named('AbortError'), /could not be stored/],
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
    for (const error of [new WorkerLost('gone'), new TypeError('x'), named('SomethingElse')])
      expect(troubleSentence(error)).not.toMatch(/could not be stored|The browser/);
  });
});
