import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { drawRig, exposureOf, mapOf, SHOT } from '../../tests/support/frames';
import { pngFile, expose, trueRadii } from '@/core/bench-camera';
import { randomOf } from '@/core/maths';
import { main } from './main';

async function halo(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let [out, err] = ['', ''];
  const code = await main(args, {
    stdout: { write: (t) => (out += t) },
    stderr: { write: (t) => (err += t) },
  });
  return { code, out, err };
}

const folder = mkdtempSync(join(tmpdir(), 'halo-frames-'));
const rig = { ...drawRig(randomOf(31), 0.75, 0.8), sensor: { widthMm: 36, heightMm: 24 } };
const truth = (fNumber: number) => trueRadii(mapOf(rig, fNumber)).halfLight ?? Number.NaN;

beforeAll(() => {
  for (const fNumber of [5.6, 11]) {
    const exposure = exposureOf(rig, randomOf(1), { widthPx: 900, heightPx: 600 });
    writeFileSync(
      join(folder, `wall-${fNumber}.png`),
      pngFile(expose(mapOf(rig, fNumber), exposure), { ...SHOT, fNumber }),
    );
  }
  writeFileSync(join(folder, 'notes.txt'), 'not a frame');
  mkdirSync(join(folder, 'empty'));
});

interface Answer {
  file: string;
  status: string;
  halfLightRadiusMm: { value: number; low: number; high: number } | null;
  lowerBoundMm: number | null;
  stopRadiiMm: Record<'1' | '2', number | null>;
  warnings: string[];
}

describe('halo measure', () => {
  it('measures every file of a folder, and tells those that are none', async () => {
    const { code, out, err } = await halo('measure', folder, '--sensor', '36x24', '--json');
    expect(code).toBe(0);
    expect(err).toMatch(/notes\.txt cannot be read as a picture/);
    const answers = JSON.parse(out) as Answer[];
    expect(answers.map((a) => a.status)).toEqual(['refused', 'measured', 'measured']);
    for (const [i, n] of [
      [1, 11],
      [2, 5.6],
    ] as const) {
      const half = answers[i]?.halfLightRadiusMm;
      expect(Math.abs((half?.value ?? 0) - truth(n))).toBeLessThan(0.1);
      expect(half?.low).toBeLessThan(half?.value ?? 0);
      expect(answers[i]?.lowerBoundMm).toBeLessThan(truth(n));
    }
  });

  it('prints a line a file without --json', async () => {
    const { out } = await halo('measure', join(folder, 'wall-11.png'), '--sensor', '36x24');
    expect(out).toMatch(/half light at ⌀ \d+\.\d\d mm \(\d+\.\d\d to \d+\.\d\d\); -1 stop at/);
  });

  it.each([
    [['measure', '--sensor', '36x24'], /name the files/],
    [['measure', folder], /--sensor is missing/],
    [['measure', folder, '--sensor', '0x24'], /--sensor must be a size/],
    [['measure', folder, '--sensor', '36x24', '--tone', 'film'], /--tone takes/],
    [['measure', folder, '--sensor', '36x24', '--fnumber', '0'], /--fnumber must be/],
    [['measure', join(folder, 'gone.jpg'), '--sensor', '36x24'], /cannot be found/],
    [['measure', '/dev/zero', '--sensor', '36x24'], /neither a file nor a folder/],
    [['measure', join(folder, 'notes.txt'), '--sensor', '36x24'], /cannot be read as a picture/],
    [['measure', join(folder, 'empty'), '--sensor', '36x24'], /no files in that folder/],
  ] as const)('%j exits 2 with a sentence', async (args, sentence) => {
    const { code, err } = await halo(...args);
    expect(code).toBe(2);
    expect(err).toMatch(sentence);
  });
});
