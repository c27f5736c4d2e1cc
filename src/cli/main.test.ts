import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../tests/support/demo';
import { rigFileOf } from '@/core/exchange/json';
import { evaluate } from '@/core/rig/report';
import { main } from './main';

async function halo(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let [out, err] = ['', ''];
  const code = await main(args, {
    stdout: { write: (t) => (out += t) },
    stderr: { write: (t) => (err += t) },
  });
  return { code, out, err };
}

const json = async (...args: string[]): Promise<unknown> =>
  JSON.parse((await halo(...args, '--json')).out);

const folder = mkdtempSync(join(tmpdir(), 'halo-'));
const file = (name: string, content: string): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const WORKSPACE = 'docs/examples/tide-mill.workspace.json';

describe('what a terminal would obey', () => {
  it('is not printed, wherever it came from', async () => {
    const named = file('a\u001b[2Jb.json', '{');
    const { err } = await halo('evaluate', named);
    expect(err).toMatch(/a\[2Jb\.json/);
    expect((await halo('\u001b]0;title\u0007')).err).toMatch(/^there is no command "\]0;title"/);
    const demo = rigFileOf(demoRig('mill-pond'));
    const rig = file('rig.json', JSON.stringify({ ...demo, name: 'Pond \u009b31m' }));
    expect((await halo('evaluate', rig)).out).not.toMatch(
      /[\u0000-\u0009\u000b-\u001f\u0080-\u009f]/,
    );
  });
});

describe('halo coverage', () => {
  const base = ['coverage', '--frame', '36x24', '--edge-radius', '19', '--softness', '0'];

  it('answers the check values', async () => {
    expect(await json(...base, '--offset', '0.8,-0.5')).toMatchObject({
      areaShare: expect.closeTo(0.956466, 6) as number,
      cleanFrame: { concentric: { widthMm: expect.closeTo(30.049, 3) as number } },
      verdict: 'Clipped',
    });
    expect(await json(...base, '--travel', '2')).toMatchObject({
      scaleUp: expect.closeTo(1.2725, 4) as number,
    });
  });

  it('takes an aspect for the clean frame and a rear rim', async () => {
    expect(await json(...base, '--aspect', '2.39')).toMatchObject({
      cleanFrame: { concentric: { widthMm: expect.closeTo(35.055, 3) as number } },
    });
    const two = ['coverage', '--frame', '36x24', '--edge-radius', '22', '--softness', '6'];
    const answer = await json(
      ...two,
      '--rear-edge-radius',
      '24',
      '--rear-softness',
      '9',
      '--exit-pupil',
      '50',
    );
    expect(answer).toMatchObject({
      verdict: 'Shaded',
      worstCornerStops: expect.closeTo(-Math.log2(0.1364) + 0.4951, 2) as number,
    });
  });

  it('says black where there is no light', async () => {
    expect(await json(...base)).toMatchObject({
      cornerStops: [null, null, null, null],
      worstCornerStops: null,
    });
    expect((await halo(...base)).out).toMatch(/worst corner over the travel\s+black/);
  });

  it('takes a negative offset', async () => {
    expect((await halo(...base, '--offset', '-0.8,0.5')).code).toBe(0);
  });
});

describe('halo convert', () => {
  it('multiplies factors and counts against the frame', async () => {
    expect(
      await json(
        'convert',
        '--focal',
        '50',
        '--fnumber',
        '1.8',
        '--factor',
        '0.71',
        '--frame',
        '23.5x15.6',
      ),
    ).toMatchObject({
      focalMm: expect.closeTo(35.5, 9) as number,
      fNumber: expect.closeTo(1.278, 9) as number,
      lightStops: expect.closeTo(0.9882, 4) as number,
      customaryStops: 1,
      printsAs: ['f/1.2', 'f/1.3'],
      cropFactor: expect.closeTo(1.5339, 4) as number,
    });
  });

  it('loses nothing without a factor', async () => {
    expect(await json('convert', '--focal', '50', '--fnumber', '2')).toMatchObject({
      focalMm: 50,
      lightStops: 0,
      customaryStops: null,
    });
  });
});

describe('halo evaluate', () => {
  it('answers what the screen shows, for a rig of a workspace and for a rig file', async () => {
    const report = JSON.parse(JSON.stringify(evaluate(demoRig('mill-pond')))) as unknown;
    expect(await json('evaluate', `${WORKSPACE}#mill-pond`)).toEqual(report);
    const rigFile = file('rig.json', JSON.stringify(rigFileOf(demoRig('mill-pond'))));
    expect(await json('evaluate', rigFile)).toEqual(report);
  });

  it('prints a readable table', async () => {
    const { out } = await halo('evaluate', `${WORKSPACE}#wheel-house-wide`);
    expect(out).toMatch(/^verdict\s+Clipped\. All four corners go black/m);
    expect(out).toMatch(/^f-number\s+f\/1\.28, prints f\/1\.2 or f\/1\.3$/m);
  });
});

describe('halo sweep', () => {
  it('streams one JSON object a line', async () => {
    const { out } = await halo('sweep', `${WORKSPACE}#wheel-house-wide`, '--json');
    const cells = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { verdict: string; or: string | null });
    expect(cells.length).toBe(8 * 10);
    expect(new Set(cells.map((c) => c.verdict))).toContain('Clear');
    expect(new Set(cells.map((c) => c.or))).toContain(null);
  });

  it('takes other axes', async () => {
    const { out } = await halo(
      'sweep',
      `${WORKSPACE}#wheel-house-wide`,
      '--rows',
      'mode',
      '--columns',
      'converter',
    );
    expect(out).toMatch(/^4K centre, 100 fps plain 44\.00 to 18\.00 +Clear/m);
    expect(out).toMatch(/extension 20 mm .* in focus to 0\.0\d m only$/m);
  });
});

describe('halo sweep --windows', () => {
  it('says where the zoom is Clear, at every aperture, and what would widen it', async () => {
    const { out } = await halo('sweep', `${WORKSPACE}#wheel-house-wide`, '--windows');
    expect(out).toMatch(/^At the aperture in use\s+Clear from 24\.4 mm at f\/1\.8\.$/m);
    expect(out).toMatch(
      /^f\/8\s+from 23\.\d mm; 22\.\d to 23\.\d mm: Clear or \w+; 18 to 23\.\d needs \d\d\.\d % of scale-up$/m,
    );
    expect(out).toMatch(/^Stabiliser off and locked\s+from 21\.7 mm$/m);
  });
});

describe('halo choose', () => {
  it('streams the rigs that can do the job', async () => {
    const { out } = await halo(
      'choose',
      WORKSPACE,
      '--from',
      '24',
      '--to',
      '50',
      '--t',
      '2.8',
      '--json',
    );
    const found = out
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { passes: boolean });
    expect(found.length).toBeGreaterThan(5);
    expect(found.every((c) => c.passes)).toBe(true);
    const all = await halo(
      'choose',
      WORKSPACE,
      '--from',
      '24',
      '--to',
      '50',
      '--t',
      '2.8',
      '--all',
    );
    expect(all.out).toMatch(/^no /m);
  });

  it('takes a job and a rig by its name', async () => {
    const { out } = await halo('choose', WORKSPACE, '--job', 'sluice tower, wide and scope');
    expect(out).toMatch(
      /^yes Wendmere 18–35\/1\.8 > Ninefold reducer ×0\.71, 44\.00 to 18\.00 > Tolvane C26, 4K 16:9, 25 fps +Clear at 26–40 mm, all that is wanted, T1\.4, risk < 1 %, measured\.$/m,
    );
    const plan = await halo('choose', WORKSPACE, '--job', 'wheel-house-interview', '--plan');
    expect(plan.out).toMatch(/^24–26\.8 mm +open: nothing in the kit closes it$/m);
    const named = await halo('sweep', `${WORKSPACE}#Wheel-house, wide`, '--windows');
    expect(named.out).toMatch(/Clear from 24\.4 mm at f\/1\.8/);
    const none = await halo('choose', WORKSPACE, '--job', 'no such');
    expect([none.code, none.err]).toEqual([2, expect.stringMatching(/there is no job "no such"/)]);
  });
});

describe('bad input', () => {
  it.each([
    [['nonsense'], 2, /there is no command "nonsense"/],
    [['toString'], 2, /there is no command/],
    [['coverage'], 2, /--frame is missing/],
    [
      ['coverage', '--frame', '36', '--edge-radius', '20', '--softness', '4'],
      2,
      /--frame must be a size/,
    ],
    [
      ['coverage', '--frame', '36x24', '--edge-radius', '0', '--softness', '4'],
      2,
      /--edge-radius must be a number from 0.5 to 400; it is "0"/,
    ],
    [
      ['coverage', '--frame', '36x24', '--edge-radius', 'NaN', '--softness', '4'],
      2,
      /must be a number/,
    ],
    [
      ['coverage', '--frame', '36x24', '--edge-radius', '20', '--softness', '4', '--offset', '1'],
      2,
      /--offset takes two numbers/,
    ],
    [
      [
        'coverage',
        '--frame',
        '36x24',
        '--edge-radius',
        '20',
        '--softness',
        '4',
        '--rear-softness',
        '2',
      ],
      2,
      /needs both/,
    ],
    [
      ['convert', '--focal', '50', '--fnumber', '0'],
      2,
      /--fnumber must be a number from 0.5 to 128/,
    ],
    [
      ['convert', '--focal', '50', '--fnumber', '2', '--factor', '0'],
      2,
      /--factor must be a number from 0.2 to 5/,
    ],
    [['convert', '--bogus', '1'], 2, /Unknown option/],
    [['evaluate'], 2, /name one file/],
    [['evaluate', 'no-such-file.json'], 2, /cannot be found/],
    [['evaluate', 'docs'], 2, /is not a file/],
    [['evaluate', `${WORKSPACE}#nowhere`], 3, /has no rig "nowhere"/],
    [['evaluate', 'package.json'], 2, /not a rig file/],
    [
      ['sweep', `${WORKSPACE}#mill-pond`, '--rows', 'colour'],
      2,
      /--rows is one of focal, aperture/,
    ],
    [['sweep', `${WORKSPACE}#mill-pond`, '--rows', 'focal'], 2, /two different axes/],
    [['choose', WORKSPACE], 2, /--from is missing/],
    [['choose', WORKSPACE, '--from', '50', '--to', '24'], 2, /must not be shorter/],
    [['choose', WORKSPACE, '--from', '50', '--to', '60', '--use', 'radio'], 2, /video or stills/],
    [['choose', 'LICENSE', '--from', '50', '--to', '60'], 2, /not JSON/],
    [['evaluate', 'LICENSE'], 2, /LICENSE is not JSON: it breaks at line 1/],
  ])('%j exits with a sentence', async (args, code, sentence) => {
    const answer = await halo(...args);
    expect(answer.code).toBe(code);
    expect(answer.err).toMatch(sentence);
    expect(answer.out).toBe('');
  });

  it('an empty file is named', async () => {
    expect((await halo('evaluate', file('empty.json', ''))).err).toMatch(/empty\.json is empty/);
  });

  it.each(['coverage', 'convert', 'evaluate', 'sweep', 'choose', 'measure'])(
    '%s tells how it is used',
    async (command) => {
      const { code, out, err } = await halo(command, '--help');
      expect([code, err]).toEqual([0, '']);
      expect(out).toMatch(new RegExp(`^usage:\n  halo ${command} `));
    },
  );

  it('help is not an error', async () => {
    const { code, out } = await halo('--help');
    expect(code).toBe(0);
    expect(out).toMatch(/halo coverage --frame/);
  });
});
