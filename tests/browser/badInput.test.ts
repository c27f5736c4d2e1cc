/** Bad files change nothing and are answered with a sentence that names the place. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { rigFileOf, writeWorkspace } from '@/core/exchange/json';
import { RECORDS_VERSION } from '@/core/kit/records';
import { demoRig } from '../support/demo';
import { BenchPage } from './bench';

let bench: BenchPage;
const folder = mkdtempSync(join(tmpdir(), 'halo-bad-'));

const file = (name: string, content: string | Buffer): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};

beforeAll(async () => {
  bench = await BenchPage.opened();
});
beforeEach(async () => {
  await bench.forget();
  await bench.open();
  await bench.verdictWord();
});
afterAll(() => bench.driver.quit());

const good = writeWorkspace(tideMill);
const BAD: readonly [what: string, name: string, content: string | Buffer, sentence: RegExp][] = [
  ['an empty file', 'empty.json', '', /empty\.json is empty/],
  [
    'a picture',
    'photo.json',
    Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex'),
    /photo\.json is not JSON: it breaks at line 1/,
  ],
  [
    'a truncated file',
    'cut.json',
    good.slice(0, 5000),
    /cut\.json is not JSON: it breaks at line \d+, column \d+\. It seems cut short/,
  ],
  [
    'another JSON file',
    'other.json',
    '{"name": "package"}',
    /other\.json, this is not a workspace file/,
  ],
  [
    'a file of a newer program',
    'newer.json',
    good.replace(`"version": ${RECORDS_VERSION}`, `"version": ${RECORDS_VERSION + 1}`),
    /version \d+, made by a newer program/,
  ],
  ['a forbidden key', 'proto.json', '{"__proto__": {"x": 1}}', /"__proto__", which is not allowed/],
  [
    'f/0',
    'f0.json',
    good.replace('"openFNumberWide": 1.8', '"openFNumberWide": 0'),
    /f0\.json, lens 1 \(18–35\/1\.8\), openFNumberWide: must be a number from 0\.5 to 128; it is 0/,
  ],
  [
    'a negative register',
    'neg.json',
    good.replace('"registerMm": 44', '"registerMm": -44'),
    /registerMm: must be a number from 1 to 300; it is -44/,
  ],
  [
    'a 0 mm halo',
    'halo.json',
    good.replace('"edgeRadiusMm": 17.5', '"edgeRadiusMm": 0'),
    /edgeRadiusMm: must be a number from 0\.5 to 400; it is 0/,
  ],
  [
    'a converter of 0x',
    'zero.json',
    good.replace('"factor": 0.71', '"factor": 0'),
    /factor: must be a number from 0\.2 to 5; it is 0/,
  ],
  [
    '1e999',
    'huge.json',
    good.replace('"registerMm": 44', '"registerMm": 1e999'),
    /registerMm: must be a number from 1 to 300/,
  ],
  [
    'a file too large to read',
    'large.json',
    Buffer.alloc(65 * 1024 * 1024, 32),
    /large\.json is 65 MB; at most 64 MB can be read/,
  ],
];

describe('opening a bad file', () => {
  it.each(BAD)('%s is refused and nothing changes', async (_, name, content, sentence) => {
    const before = await bench.stored();
    await bench.giveFile(file(name, content));
    await bench.expectSoon(
      () => bench.notice().catch(() => ''),
      (text) => sentence.test(text),
      `no sentence like ${String(sentence)}`,
    );
    expect(await bench.notice()).toMatch(/Nothing was changed\.$/);
    expect(await bench.stored()).toBe(before);
    await bench.press('Close this notice');
  });

  it('markup in names is shown as text, and undo takes the import back', async () => {
    const before = JSON.parse(await bench.stored()) as { rigs: unknown[] };
    const nasty = '<script>alert(1)</script>';
    const rigs = [{ ...tideMill.rigs[0]!, id: 'nasty', name: nasty }];
    await bench.giveFile(file('nasty.json', writeWorkspace({ ...tideMill, rigs })));
    await bench.press('Add new, update changed');
    await bench.expectSoon(
      () => bench.notice().catch(() => ''),
      (text) => text.includes('nasty.json is open'),
      'the file was never open',
    );
    await bench.openRig('rig=nasty');
    await bench.saying(nasty);
    await bench.press('Undo: Open nasty.json');
    await bench.expectSoon(
      async () => JSON.parse(await bench.stored()) as { rigs: unknown[] },
      (now) => JSON.stringify(now.rigs) === JSON.stringify(before.rigs),
      'undo did not take the import back',
    );
    await bench.expectQuiet();
  });
});

describe('the API of the running program', () => {
  const post = (body: string, type = 'application/json') =>
    fetch(`${inject('demoUrl')}/api/evaluate`, {
      method: 'POST',
      body,
      headers: { 'content-type': type },
    });

  it('answers the report', async () => {
    const response = await post(JSON.stringify(rigFileOf(demoRig('mill-pond'))));
    expect(response.status).toBe(200);
    expect(await response.json()).toMatchObject({ verdict: { kind: 'Clear' } });
  });

  it.each([
    ['GET', 405],
    ['PUT', 405],
    ['DELETE', 405],
  ])('%s is refused', async (method, status) => {
    const response = await fetch(`${inject('demoUrl')}/api/evaluate`, { method });
    expect(response.status).toBe(status);
    expect(await response.json()).toHaveProperty('errors');
  });

  it('bad bodies are 4xx with a JSON error and no stack trace', async () => {
    for (const [body, type, status] of [
      ['{', 'application/json', 400],
      ['{}', 'application/json', 422],
      ['{}', 'text/plain', 415],
      [`"${'x'.repeat(70_000)}"`, 'application/json', 413],
    ] as const) {
      const response = await post(body, type);
      expect(response.status).toBe(status);
      const text = await response.text();
      expect(text).toMatch(/"sentence"/);
      expect(text).not.toMatch(/\.ts:|node_modules/);
    }
  });

  it('publishes its schemas', async () => {
    const workspace = await fetch(`${inject('demoUrl')}/schema/workspace.json`);
    expect(await workspace.json()).toMatchObject({ title: 'workspace' });
    const rig = await fetch(`${inject('demoUrl')}/schema/rig.json`);
    expect(await rig.json()).toMatchObject({ title: 'rig file' });
  });

  it('sends a strict content policy', async () => {
    const policy =
      (await fetch(`${inject('demoUrl')}/bench`)).headers.get('content-security-policy') ?? '';
    expect(policy).toMatch(/default-src 'none'/);
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
    expect(policy).not.toMatch(/unsafe-eval|https?:/);
  });
});
