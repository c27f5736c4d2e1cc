/** Every reader of the program with something whole to read, and what is wrong with what comes of it. */
import { answerEvaluate } from '@/api/evaluateRequest';
import { guessMapping, readRows, readSheet, writeCsv } from '@/core/exchange/csv';
import { readLensfun, bodyRecord, lensRecord } from '@/core/exchange/lensfun';
import { readRigQuery, rigQuery, packRig, unpackRig } from '@/core/exchange/links';
import { broughtByRig } from '@/core/exchange/json';
import {
  readAnyFile,
  lensFileOf,
  writeLensFile,
  readWorkspace,
  writeWorkspace,
} from '@/core/exchange/json';
import { readFraming, takeFraming, writeFraming } from '@/core/exchange/framing-list';
import { guideOf } from '@/core/guides';
import { evaluate } from '@/core/rig/report';
import { turned } from '@/core/rig';
import { tideMill } from '@/core/demo';
import { checkRecord, checkWorkspace } from '@/core/kit/checks';
import { RECORDS_VERSION, WORKSPACE_FORMAT, type Workspace } from '@/core/kit/records';
import { readQuantity } from '@/core/kit/fields';
import { readEngraving } from '@/core/kit';
import type { Random } from '@/core/maths';
import { decodeFrame } from '@/core/measure/file';
import { readCurve } from '@/core/measure/light';
import { cleanText, type Result } from '@/core/words';
import { decodePicture } from '@/node/picture';
import { demoRig } from '../support/demo';
import { damagedBytes, damagedText } from './mutate';
import { PICTURE_KINDS, pictureFile } from './pictures';

/** Where the first thing that is wrong stands in a value; null where nothing is. */
function placeOf(value: unknown, isWrong: (simple: unknown) => boolean, path = ''): string | null {
  if (isWrong(value)) return path;
  if (value === null || typeof value !== 'object') return null;
  for (const [key, inner] of Object.entries(value)) {
    const place = placeOf(inner, isWrong, `${path}/${key}`);
    if (place !== null) return place;
  }
  return null;
}

/** Where something that is no finite figure stands in a value; null where nothing does. */
const wrongFigure = (value: unknown): string | null =>
  placeOf(value, (simple) => typeof simple === 'number' && !Number.isFinite(simple));

/** Where a text stands that was not cleaned, in words; null where none does. */
function uncleanText(value: unknown): string | null {
  const place = placeOf(
    value,
    (simple) => typeof simple === 'string' && cleanText(simple) !== simple,
  );
  return place === null ? null : `no clean text at ${place}`;
}

/** What is wrong with an answer; null where it is as it should be. */
export function faultOf(result: Result<unknown>): string | null {
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
export const LENSFUN = `<lensdatabase version="1"><mount><name>m</name><compat>n</compat></mount>
<camera><maker>a</maker><model>b</model><mount>m</mount><cropfactor>1.5</cropfactor></camera>
<lens><maker>a</maker><model>50mm f/1.8</model><mount>m</mount><cropfactor>1.5</cropfactor>
<calibration><vignetting model="pa" focal="50" aperture="1.8" distance="10" k1="-0.5" k2="0.1" k3="0"/>
<vignetting model="pa" focal="50" aperture="8" distance="10" k1="-0.2" k2="0" k3="0"/></calibration></lens></lensdatabase>`;

/** What a part of a workspace brings passes the checks as a workspace. */
function faultOfBrought(brought: Workspace): string | null {
  const file = { format: WORKSPACE_FORMAT, version: RECORDS_VERSION, ...brought };
  const checked = checkWorkspace(JSON.parse(JSON.stringify(file)));
  return checked.ok
    ? (wrongFigure(brought) ?? uncleanText(brought))
    : `brings what does not pass: ${checked.problems[0]?.sentence}`;
}

const rig = demoRig('wheel-house-wide');

/** A framing list of the rig's own, as it is written. */
function framingText(): string {
  const report = evaluate(rig);
  const guide = guideOf(rig, report, { protection: 0.1, desqueezed: false });
  return guide.ok ? writeFraming(rig, report, guide.value, { uuid: 'u' }) : '';
}

/** Reads a text by one of the program's readers; answers what is wrong with what came. */
export const READERS: Record<
  string,
  { whole: string; read: (text: string) => Promise<string | null> | string | null }
> = {
  'a workspace file': {
    whole: workspaceText,
    read: (text) => {
      const read = readWorkspace(text);
      return faultOf(read) ?? (read.ok ? uncleanText(read.value) : null);
    },
  },
  'a framing list': {
    whole: framingText(),
    read: (text) => {
      const list = readFraming(text, 'list.fdl');
      const fault = faultOf(list);
      if (fault !== null || !list.ok) return fault;
      for (const framing of list.value.framings) {
        const taken = takeFraming(rig, framing);
        if (!taken.ok) return faultOf(taken);
        const settings = turned(rig, taken.value.change).settings;
        const record = { ...small.rigs[0]!, settings };
        if (!checkRecord('rigs', record).ok) return 'settings that do not pass';
      }
      return null;
    },
  },
  'a lens given away': {
    whole: writeLensFile(lensFileOf(tideMill, small.lenses[0]!, 'A. Sluiter')),
    read: (text) => {
      const read = readAnyFile(text, 'lens.json', tideMill);
      return read.ok ? faultOfBrought(read.value.workspace) : faultOf(read);
    },
  },
  'a rig in an address': {
    whole: packRig(rig),
    read: (text) => {
      const file = unpackRig(text);
      return file.ok ? faultOfBrought(broughtByRig(file.value, small)) : faultOf(file);
    },
  },
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

/** Reads a picture's bytes; answers what is wrong with what came. */
async function readPicture(bytes: Uint8Array): Promise<string | null> {
  const decoded = await decodeFrame(bytes, 'frame', decodePicture);
  return decoded.ok ? wrongFigure(decoded.value.settings) : faultOf(decoded);
}

/** A reader that can be tried: on what is whole, and on damage drawn at random. */
export interface Trial {
  name: string;
  whole: () => Promise<string | null>;
  damaged: (random: Random) => Promise<string | null>;
}

export const TRIALS: readonly Trial[] = [
  ...Object.entries(READERS).map(([name, { whole, read }]): Trial => ({
    name,
    whole: async () => read(whole),
    damaged: async (random) => read(damagedText(whole, random)),
  })),
  ...PICTURE_KINDS.map((kind): Trial => {
    const whole = pictureFile(kind);
    return {
      name: `a ${kind}`,
      whole: async () => readPicture(await whole),
      damaged: async (random) => readPicture(damagedBytes(await whole, random)),
    };
  }),
];
