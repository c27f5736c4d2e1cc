import { describe, expect, it } from 'vitest';
import { demoRig } from '../../tests/support/demo';
import { rigFileOf } from '@/core/exchange/json';
import { evaluate } from '@/core/rig/report';
import { answerEvaluate } from './evaluateRequest';
import { onlyPost } from './requests';

const post = (body: string, type = 'application/json') =>
  answerEvaluate(
    new Request('http://127.0.0.1/api/evaluate', {
      method: 'POST',
      body,
      headers: { 'content-type': type, host: '127.0.0.1' },
    }),
  );

const sentence = async (response: Response): Promise<string> =>
  ((await response.json()) as { errors: { sentence: string }[] }).errors[0]!.sentence;

describe('POST /api/evaluate', () => {
  it('answers the report the screen shows', async () => {
    const rig = demoRig('waders-at-dawn');
    const response = await post(JSON.stringify(rigFileOf(rig)));
    expect(response.status).toBe(200);
    expect(await response.json()).toEqual(JSON.parse(JSON.stringify(evaluate(rig))));
  });

  it('answers without what turns or breaks the lines it stands in', async () => {
    const file = rigFileOf(demoRig('waders-at-dawn'));
    const name = `\u202e${file.lens.name}\u0000\ud800`;
    const response = await post(JSON.stringify({ ...file, lens: { ...file.lens, name } }));
    expect(await response.json()).toEqual(
      JSON.parse(JSON.stringify(evaluate(demoRig('waders-at-dawn')))),
    );
  });

  it.each([
    ['not JSON', '{"format": ', 400, /not JSON/],
    ['an empty body', '', 400, /empty/],
    ['a forbidden key', '{"__proto__": {}}', 400, /__proto__/],
    ['something else', '{"format": "x"}', 422, /not a rig file/],
    ['more than 64 KB', `"${'x'.repeat(70_000)}"`, 413, /over 64 KB/],
  ])('refuses %s', async (_, body, status, words) => {
    const response = await post(body);
    expect(response.status).toBe(status);
    expect(await sentence(response)).toMatch(words);
  });

  it('refuses impossible optics with the place', async () => {
    const file = rigFileOf(demoRig('mill-pond'));
    const response = await post(
      JSON.stringify({ ...file, lens: { ...file.lens, openFNumberWide: 0 } }),
    );
    expect(response.status).toBe(422);
    expect(await sentence(response)).toBe(
      'lens, openFNumberWide: must be a number from 0.5 to 128; it is 0.',
    );
  });

  it('refuses another media type and another method', async () => {
    expect((await post('{}', 'text/plain')).status).toBe(415);
    expect(onlyPost().status).toBe(405);
    expect(onlyPost().headers.get('allow')).toBe('POST');
  });
});
