/**
 * Requests no client of ours sends, and pictures made to fill the memory, at the server's door: it answers all with
 * JSON, never with a fault of its own, and what measures them takes little and gives it back.
 */
import { describe, expect, it, vi } from 'vitest';
import { answerDemo } from '@/api/demoRequest';
import { answerEvaluate } from '@/api/evaluateRequest';
import { answerMeasure } from '@/api/measureRequest';
import { rigFileOf } from '@/core/exchange/json';
import { type Random, randomOf } from '@/core/maths';
import { harmless } from '@/core/words';
import { measureChild } from '@/node/child';
import { BOMB_BYTES, bombs, HOLD_A_PIXEL } from '../support/bombs';
import { demoRig } from '../support/demo';
import { memoryMb, processes } from '../support/processes';
import { damagedBytes, damagedText } from './mutate';
import { PICTURE_KINDS, pictureFile } from './pictures';
import { CAMPAIGN_SEED, tries } from './size';

const REQUESTS = tries({ inTest: 60, inCampaign: 5000 });

const RIG = JSON.stringify(rigFileOf(demoRig('waders-at-dawn')));
const QUERIES = ['sensor=36x24', 'sensor=36x24&tone=srgb&fnumber=8&exitPupil=60', 'sensor=%00', ''];
const HOSTS = ['127.0.0.1', 'localhost', '[::1]', 'elsewhere.example', '', '127.0.0.1:99999'];
const TYPES = ['application/json', 'image/png', 'application/octet-stream', 'text/plain', ''];
const pick = <T>(random: Random, of: readonly T[]): T => of[random.whole(0, of.length - 1)] as T;

async function fuzzed(random: Random): Promise<{ response: Response; what: string }> {
  const host = random.chance(0.8) ? '127.0.0.1' : pick(random, HOSTS);
  const headers = (type: string) => ({
    host,
    'content-type': random.chance(0.8) ? type : pick(random, TYPES),
  });
  const kind = random.whole(0, 9);
  if (kind === 0)
    return {
      what: 'demo',
      response: answerDemo(new Request('http://h/api/demo', { headers: { host } })),
    };
  if (kind <= 6) {
    const body = random.chance(0.9) ? damagedText(RIG, random) : RIG;
    const init = { method: 'POST', body, headers: headers('application/json') };
    return {
      what: 'evaluate',
      response: await answerEvaluate(new Request('http://h/api/evaluate', init)),
    };
  }
  const query = random.chance(0.7)
    ? QUERIES[0]!
    : damagedText(pick(random, QUERIES), random).slice(0, 300);
  const bytes = damagedBytes(await pictureFile(pick(random, PICTURE_KINDS)), random);
  const init = { method: 'POST', body: Buffer.from(bytes), headers: headers('image/png') };
  const url = `http://h/api/measure?${encodeURI(harmless(query))}`;
  return { what: 'measure', response: await answerMeasure(new Request(url, init)) };
}

describe(`${REQUESTS} requests from seed ${CAMPAIGN_SEED} on`, () => {
  it('are answered with JSON, never with a fault, a stack or what turns the lines', async () => {
    const statuses = new Set<number>();
    for (let i = 0; i < REQUESTS; i += 1) {
      const { response, what } = await fuzzed(randomOf(CAMPAIGN_SEED + i));
      const text = await response.text();
      const told = `CAMPAIGN_SEED=${CAMPAIGN_SEED + i}, ${what}: ${response.status} ${text.slice(0, 200)}`;
      expect(response.status, told).toBeLessThan(500);
      expect(text, told).not.toMatch(
        /\bat .*\.(ts|js):\d|node_modules|[\u202a-\u202e\u2066-\u2069]/,
      );
      const answer = JSON.parse(text) as { errors?: { sentence: string }[] };
      if (response.status >= 400) expect(answer.errors?.[0]?.sentence, told).toMatch(/\S/);
      statuses.add(response.status);
    }
    // Some pass, some are refused by what they are, some by what they hold.
    expect([...statuses].filter((s) => [200, 415, 400, 422].includes(s)).length).toBeGreaterThan(2);
  });
});

/** The process that measures for this one. */
const children = (): number[] =>
  processes(['--ppid', String(process.pid)], (line) => line.includes('measure-child'));

describe(`a picture made to inflate to ${BOMB_BYTES / 1e9} GB`, () => {
  it('takes little of the process that measures, which is let go with all of it', async () => {
    const ask = measureChild(undefined, { idleMs: 1500 });
    const options = {
      sensor: { widthMm: 36, heightMm: 24 },
      tone: 'auto',
      mostWorkBytes: 450e6,
    } as const;
    for (const [name, bytes] of Object.entries(await bombs(BOMB_BYTES))) {
      const answer = await ask({ bytes, name: 'The frame', options });
      expect(answer.ok, name).toBe(HOLD_A_PIXEL.includes(name));
      // Read, and too small to be measured.
      if (answer.ok) expect(answer.value.measure.status, name).toBe('refused');
      for (const pid of children()) expect(memoryMb(pid, 'VmHWM'), name).toBeLessThan(550);
    }
    await vi.waitFor(() => expect(children()).toEqual([]), { timeout: 60_000 });
  });
});
