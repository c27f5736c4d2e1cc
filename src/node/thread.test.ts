import { existsSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import type { MeasureJob } from './measuring';
import { measureThread } from './thread';

const job: MeasureJob = {
  bytes: new Uint8Array([1, 2, 3]),
  name: 'The frame',
  options: { sensor: { widthMm: 36, heightMm: 24 }, tone: 'auto' },
};
const folder = mkdtempSync(join(tmpdir(), 'halo-thread-'));
const entry = (name: string, code: string): string => {
  const path = join(folder, `${name}.mjs`);
  writeFileSync(path, `import { parentPort } from 'node:worker_threads';\n${code}`);
  return path;
};
const sentenceOf = async (ask: ReturnType<typeof measureThread>) => {
  const answer = await ask(job);
  return answer.ok ? 'measured' : answer.problems[0]?.sentence;
};

describe('the thread that measures', () => {
  it('answers in turn, refusals as sentences', async () => {
    const ask = measureThread();
    expect(await sentenceOf(ask)).toMatch(/^The frame .*\.$/);
    expect(await sentenceOf(ask)).toMatch(/^The frame .*\.$/);
  });

  it('that breaks says so, and another one takes the next frame', async () => {
    const breaks = entry(
      'breaks',
      `parentPort.on('message', () => { throw new Error('out of memory'); });`,
    );
    const ask = measureThread(breaks);
    expect(await sentenceOf(ask)).toBe('The frame could not be measured: it asks for too much.');
    expect(await sentenceOf(ask)).toBe('The frame could not be measured: it asks for too much.');
    const ends = entry('ends', `parentPort.on('message', () => process.exit(3));`);
    expect(await sentenceOf(measureThread(ends))).toMatch(/its thread ended\.$/);
  });

  it('that ends while it waits is begun anew', async () => {
    const ended = join(folder, 'ended');
    const once = entry(
      'once',
      `import { writeFileSync } from 'node:fs';
      process.on('exit', () => writeFileSync(${JSON.stringify(ended)}, ''));
      const answer = { ok: false, problems: [{ sentence: 'Measured.' }] };
      parentPort.once('message', () => parentPort.postMessage(answer));`,
    );
    const ask = measureThread(once);
    expect(await sentenceOf(ask)).toBe('Measured.');
    // It has nothing left to listen to, and ends; whoever asks at that very moment is told so.
    await vi.waitFor(() => expect(existsSync(ended)).toBe(true), { timeout: 60_000 });
    const said = await sentenceOf(ask);
    expect(said?.endsWith('its thread ended.') ? await sentenceOf(ask) : said).toBe('Measured.');
  });

  it('that goes on for ever is given up', async () => {
    const forEver = entry('for-ever', `parentPort.on('message', () => { for (;;) ; });`);
    expect(await sentenceOf(measureThread(forEver, 300))).toBe(
      'The frame took longer than 0.3 s and was given up.',
    );
  });
});
