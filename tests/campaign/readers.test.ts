/**
 * Damaged input to every reader: the answer is a record that passes, or a sentence; never a throw, never a
 * figure that is none. `npm run campaign` tries very many; `npm test` some, anew each time.
 */
import { describe, expect, it } from 'vitest';
import { answerEvaluate } from '@/api/evaluateRequest';
import { guessMapping, readRows, readSheet, writeCsv } from '@/core/exchange/csv';
import { readLensfun } from '@/core/exchange/lensfun';
import { bodyRecord, lensRecord } from '@/core/exchange/lensfunRecords';
import { readRigQuery, rigQuery } from '@/core/exchange/link';
import { parseJson } from '@/core/exchange/json';
import { readWorkspace, writeWorkspace } from '@/core/exchange/workspaceJson';
import { tideMill } from '@/core/demo/tideMill';
import { checkRecord } from '@/core/kit/checks/validate';
import { readQuantity } from '@/core/kit/fields/quantity';
import { readEngraving } from '@/core/kit/engraving';
import { randomOf, type Random } from '@/core/maths/random';
import { decodeFrame } from '@/core/measure/file/decode';
import { readCurve } from '@/core/measure/light/tone';
import type { Result } from '@/core/words/problem';
import { decodePicture } from '@/node/picture';
import { damagedBytes, damagedText } from './mutate';
import { pictureFile } from './pictures';
import { CAMPAIGN_SEED, IS_CAMPAIGN, tries } from './size';

const TRIES = tries({ inTest: 40, inCampaign: 2000 });

/** Where something that is no finite figure stands in a value; null where nothing does. */
function wrongFigure(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : path;
  if (value === null || typeof value !== 'object') return null;
  for (const [key, inner] of Object.entries(value)) {
    const wrong = wrongFigure(inner, `${path}/${key}`);
    if (wrong !== null) return wrong;
  }
  return null;
}

/** What is wrong with an answer; null where it is as it should be. */
function faultOf(result: Result<unknown>): string | null {
  if (result.ok) {
    const wrong = wrongFigure(result.value);
    return wrong === null ? null : `no figure at ${wrong}`;
  }
  const [first] = result.problems;
  if (!first) return 'refused without a word';
  if (result.problems.length > 101) return `${result.problems.length} problems told`;
  return /[.:”)]$/.test(first.sentence.trim()) && first.sentence.length > 8
    ? null
    : `no sentence: ${first.sentence.slice(0, 80)}`;
}

const small = {
  ...tideMill,
  lenses: tideMill.lenses.slice(0, 2),
  bodies: tideMill.bodies.slice(0, 1),
  parts: tideMill.parts.slice(0, 2),
  rigs: tideMill.rigs.slice(0, 1),
};
const workspaceText = writeWorkspace(small);
const LENSFUN = `<lensdatabase version="1"><mount><name>m</name><compat>n</compat></mount>
<camera><maker>a</maker><model>b</model><mount>m</mount><cropfactor>1.5</cropfactor></camera>
<lens><maker>a</maker><model>50mm f/1.8</model><mount>m</mount><cropfactor>1.5</cropfactor>
<calibration><vignetting model="pa" focal="50" aperture="1.8" distance="10" k1="-0.5" k2="0.1" k3="0"/>
<vignetting model="pa" focal="50" aperture="8" distance="10" k1="-0.2" k2="0" k3="0"/></calibration></lens></lensdatabase>`;

/** Reads a text by one of the program's readers; answers what is wrong with what came. */
const READERS: Record<
  string,
  { whole: string; read: (text: string) => Promise<string | null> | string | null }
> = {
  'a workspace file': { whole: workspaceText, read: (text) => faultOf(readWorkspace(text)) },
  'a table of lenses': {
    whole: writeCsv('lenses', small.lenses),
    read: (text) => {
      const sheet = readSheet(text, 'lenses.csv');
      if (!sheet.ok) return faultOf(sheet);
      const mapping = guessMapping('lenses', sheet.value.header);
      const { markings, lenses: here } = small;
      let made = 0;
      const newId = () => `new-${(made += 1)}`;
      return wrongFigure(readRows('lenses', sheet.value, mapping, { here, markings, newId }));
    },
  },
  'a Lensfun database': {
    whole: LENSFUN,
    read: (text) => {
      const found = readLensfun(text, 'lens.xml');
      const fault = faultOf(found);
      if (fault !== null || !found.ok) return fault;
      for (const entry of found.value.lenses) {
        const lens = lensRecord(entry, { mounts: small.mounts, markings: [] }, 'x');
        if (lens && !checkRecord('lenses', lens).ok) return 'a lens that does not pass';
      }
      for (const entry of found.value.cameras)
        if (!checkRecord('bodies', bodyRecord(entry, small.mounts, 'x')).ok)
          return 'a body that does not pass';
      return null;
    },
  },
  'a link': {
    whole: rigQuery('rig', tideMill.rigs[0]!.settings),
    read: (text) => wrongFigure(readRigQuery(text)),
  },
  'an engraving': {
    whole: '18-55mm 1:3.5-5.6',
    read: (text) => wrongFigure(readEngraving(text, tideMill.markings)),
  },
  'a length': { whole: '0.45 m', read: (text) => wrongFigure(readQuantity(text, 'mm')) },
  'a curve': { whole: '0 0\n0.5 0.2\n1 1', read: (text) => faultOf(readCurve(text)) },
  'a request': {
    whole: JSON.stringify({ workspace: small, rig: small.rigs[0]!.id }),
    read: async (text) => {
      const response = await answerEvaluate(
        new Request('http://127.0.0.1/api/evaluate', {
          method: 'POST',
          body: text,
          headers: { 'content-type': 'application/json', host: '127.0.0.1' },
        }),
      );
      if (response.status >= 500) return `status ${response.status}`;
      const answer = await response.text();
      return /\bat .*\.(ts|js):\d/.test(answer) ? 'a stack' : null;
    },
  },
};

/** Tries a reader on damaged input; answers each fault with what repeats it. */
async function faults<T>(
  seed: number,
  damage: (random: Random) => T,
  read: (input: T) => Promise<string | null> | string | null,
): Promise<string[]> {
  const found: string[] = [];
  for (let i = 0; i < TRIES && found.length < 3; i += 1) {
    const input = damage(randomOf(seed + i));
    const began = performance.now();
    const fault = await Promise.resolve(input)
      .then(read)
      .catch((error: unknown) => `threw ${String(error)}`);
    if (fault !== null) found.push(`CAMPAIGN_SEED=${seed + i}: ${fault}`);
    const took = performance.now() - began;
    // Time is looked at in the campaign alone: `npm test` runs on machines of any speed.
    if (IS_CAMPAIGN && took > 1000) found.push(`CAMPAIGN_SEED=${seed + i}: took ${took} ms`);
  }
  return found;
}

describe(`damaged input, ${TRIES} tries a reader from seed ${CAMPAIGN_SEED} on`, () => {
  it.each(Object.entries(READERS))('%s is read, or refused with a sentence', async (_, reader) => {
    expect(await reader.read(reader.whole)).toBeNull();
    const damage = (random: Random) => damagedText(reader.whole, random);
    expect(await faults(CAMPAIGN_SEED, damage, reader.read)).toEqual([]);
  });

  it.each(['jpeg', 'png', 'png16', 'tiff'] as const)(
    'a %s is decoded, or refused',
    async (kind) => {
      const whole = await pictureFile(kind);
      const read = async (bytes: Uint8Array) => {
        const decoded = await decodeFrame(bytes, 'frame', decodePicture);
        if (!decoded.ok) return faultOf(decoded);
        return wrongFigure(decoded.value.settings);
      };
      expect(await read(whole)).toBeNull();
      const damage = (random: Random) => damagedBytes(whole, random);
      expect(await faults(CAMPAIGN_SEED, damage, read)).toEqual([]);
    },
  );
});

describe('what once broke a reader', () => {
  it.each([
    ['brackets', '['.repeat(20_000)],
    ['braces', '{"a":'.repeat(20_000)],
    ['40,000 empty lenses', `{"lenses":[${'{},'.repeat(39_999)}{}]}`],
  ])('%s in JSON', (_, text) => {
    for (const result of [parseJson(text, 'the file'), readWorkspace(text)])
      if (!result.ok) expect(faultOf(result)).toBeNull();
    expect(readWorkspace(text).ok).toBe(false);
  });

  it('brackets in a cell of a table, and very many empty lines', () => {
    const reader = READERS['a table of lenses']!;
    expect(reader.read(`id,name,halo\nx,y,"${'['.repeat(20_000)}"`)).toBeNull();
    expect(reader.read(`id,name\n${'\n'.repeat(200_000)}`)).toBeNull();
  });

  it.each(['200', '0.05', '1e-320', '-1', 'NaN'])('a crop factor of %s', (factor) => {
    const text = LENSFUN.replaceAll('>1.5<', `>${factor}<`);
    expect(READERS['a Lensfun database']!.read(text)).toBeNull();
    const read = readLensfun(text, 'lens.xml');
    const told = read.ok ? read.value.leftOut.map((p) => p.sentence) : [];
    expect(told).toHaveLength(2);
    expect(told[0]).toBe(
      `lens.xml: “b” has the crop factor “${factor}”; it must be a number from 0.12 to 30. It was left out.`,
    );
  });

  it('spaces and digits without end in an engraving', () => {
    for (const text of [' '.repeat(200_000), '1'.repeat(50_000), `50mm${' '.repeat(100_000)}1:1.8`])
      expect(READERS['an engraving']!.read(text)).toBeNull();
  });
});
