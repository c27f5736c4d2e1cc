import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it, vi } from 'vitest';
import { measureChild } from './child';
import type { MeasureJob } from './measuring';

const job: MeasureJob = {
  bytes: new Uint8Array([1, 2, 3]),
  name: 'The frame',
  options: { sensor: { widthMm: 36, heightMm: 24 }, tone: 'auto' },
};
const folder = mkdtempSync(join(tmpdir(), 'halo-child-'));
const entry = (name: string, code: string): string => {
  const path = join(folder, `${name}.mjs`);
  writeFileSync(path, code);
  return path;
};
const sentenceOf = async (ask: ReturnType<typeof measureChild>) => {
  const answer = await ask(job);
  return answer.ok ? 'measured' : answer.problems[0]?.sentence;
};
const ENDED =
  'The frame could not be measured: what measured it ended, perhaps for want of memory.';

/** Answers every frame with the number of its process. */
const tellsWho = entry(
  'who',
  `process.on('message', () => process.send({ ok: false, problems: [{ sentence: String(process.pid) }] }));`,
);
const isThere = (pid: number): boolean => {
  try {
    return process.kill(pid, 0);
  } catch {
    return false;
  }
};

describe('the process that measures', () => {
  it('answers in turn, refusals as sentences', async () => {
    const ask = measureChild();
    expect(await sentenceOf(ask)).toMatch(/^The frame .*\.$/);
    expect(await sentenceOf(ask)).toMatch(/^The frame .*\.$/);
  });

  it('gets the bytes and what was told of them as they are', async () => {
    const echoes = entry(
      'echoes',
      `process.on('message', (job) => process.send({ ok: false, problems: [{ sentence: JSON.stringify([[...job.bytes], job.options]) }] }));`,
    );
    expect(await sentenceOf(measureChild(echoes))).toBe(
      JSON.stringify([[...job.bytes], job.options]),
    );
  });

  it('that breaks or ends says so, and another one takes the next frame', async () => {
    const breaks = entry(
      'breaks',
      `process.on('message', () => { throw new Error('no memory'); });`,
    );
    const ask = measureChild(breaks);
    expect(await sentenceOf(ask)).toBe(ENDED);
    expect(await sentenceOf(ask)).toBe(ENDED);
    const ends = entry('ends', `process.on('message', () => process.exit(3));`);
    expect(await sentenceOf(measureChild(ends))).toBe(ENDED);
    expect(await sentenceOf(measureChild(join(folder, 'is-not-here.mjs')))).toBe(ENDED);
  });

  it('serves frames that follow one another, and is let go when none comes, with all it took', async () => {
    const ask = measureChild(tellsWho, { idleMs: 1 });
    const first = Number(await sentenceOf(ask));
    expect(first).not.toBe(process.pid);
    await vi.waitFor(() => expect(isThere(first)).toBe(false), { timeout: 60_000 });
    expect(Number(await sentenceOf(ask))).not.toBe(first);

    const stays = measureChild(tellsWho, { idleMs: 600_000 });
    expect(await sentenceOf(stays)).toBe(await sentenceOf(stays));
  });

  it('that goes on for ever is given up, and is there no more', async () => {
    const pidFile = join(folder, 'pid');
    const forEver = entry(
      'for-ever',
      `import { writeFileSync } from 'node:fs';
      writeFileSync(${JSON.stringify(pidFile)}, String(process.pid));
      process.on('message', () => { for (;;) ; });`,
    );
    expect(await sentenceOf(measureChild(forEver, { longestMs: 3000 }))).toBe(
      'The frame took longer than 3 s and was given up.',
    );
    const pid = Number(readFileSync(pidFile, 'utf8'));
    await vi.waitFor(() => expect(isThere(pid)).toBe(false), { timeout: 60_000 });
  });
});
