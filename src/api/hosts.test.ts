import { describe, expect, it } from 'vitest';
import { answerEvaluate } from './evaluateRequest';
import { isOwnHost } from './hosts';
import { answerMeasure } from './measureRequest';

describe('the name a request is sent to', () => {
  it.each([
    '127.0.0.1',
    '127.0.0.1:3000',
    'localhost:4390',
    'LOCALHOST',
    '[::1]:3000',
    'one.localhost:80',
  ])('%s is ours', (host) => {
    expect(isOwnHost(host)).toBe(true);
  });

  it.each([
    'evil.example',
    '127.0.0.1.evil.example',
    'localhost.evil.example:3000',
    'evillocalhost',
    '',
    ' ',
  ])('%j is not', (host) => {
    expect(isOwnHost(host)).toBe(false);
  });

  it('further names can be told', () => {
    expect(isOwnHost('halo.studio.example:443', 'other.example, halo.studio.example')).toBe(true);
    expect(isOwnHost('studio.example', 'halo.studio.example')).toBe(false);
  });

  it.each([
    ['evaluate', answerEvaluate],
    ['measure', answerMeasure],
  ] as const)('%s answers 421 under another', async (path, answer) => {
    const response = await answer(
      new Request(`http://evil.example/api/${path}`, {
        method: 'POST',
        body: '{}',
        headers: { host: 'evil.example', 'content-type': 'application/json' },
      }),
    );
    expect(response.status).toBe(421);
  });
});
