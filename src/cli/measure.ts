/** halo measure: the halo in test frames, file by file. */
import { readdir, readFile, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { tooLarge } from '@/core/measure/file';
import { fail, type Problem, type Result, diameterMm, diameterFigure } from '@/core/words';
import {
  WARNING_WORDS,
  measureFile,
  type FileMeasure,
  type FileOptions,
  refusedWith,
  type Figure,
  type FrameMeasure,
} from '@/core/measure';
import { decodePicture } from '@/node/picture';
import {
  badInput,
  CANNOT_ANSWER,
  CliError,
  frameFrom,
  optionalNumber,
  readArgs,
  type Command,
} from './command';

const usage =
  'halo measure FILE|FOLDER... --sensor 36x24 [--fnumber N] [--tone srgb|linear|auto] [--exit-pupil L] [--json]';

const OPTIONS = {
  sensor: { type: 'string' },
  fnumber: { type: 'string' },
  tone: { type: 'string' },
  'exit-pupil': { type: 'string' },
} as const;

type Values = { [K in keyof typeof OPTIONS]?: string };

function toneFrom(text = 'auto'): FileOptions['tone'] {
  if (text === 'auto') return 'auto';
  if (text === 'srgb' || text === 'linear') return { kind: text };
  throw badInput(`--tone takes srgb, linear or auto; it is "${text}".`);
}

/** Files as they are, folders as the files in them. */
async function filesOf(paths: readonly string[]): Promise<string[]> {
  const found: string[] = [];
  for (const path of paths) {
    const facts = await stat(path).catch(() => null);
    if (!facts) throw badInput(`${path} cannot be found.`);
    if (facts.isFile()) found.push(path);
    // A device or a pipe may never come to an end.
    else if (!facts.isDirectory()) throw badInput(`${path} is neither a file nor a folder.`);
    else {
      const entries = await readdir(path, { withFileTypes: true });
      found.push(
        ...entries
          .filter((e) => e.isFile())
          .map((e) => join(path, e.name))
          .sort(),
      );
    }
  }
  return found;
}

/** A file's answer as JSON holds it. */
function jsonOf(file: string, { measure, settings }: FileMeasure) {
  return { file, ...measure, fNumber: settings.fNumber, focalMm: settings.focalMm };
}

const unreadable = (file: string, problems: readonly Problem[]) => ({
  file,
  ...refusedWith([]),
  warnings: ['unreadable'],
  error: problems[0]?.sentence ?? '',
});

const figure = ({ value, low, high }: Figure): string =>
  `${diameterMm(value, 2)} (${diameterFigure(low, 2)} to ${diameterFigure(high, 2)})`;

function words({ status, halfLightRadiusMm, lowerBoundMm, stopRadiiMm, warnings }: FrameMeasure) {
  const first =
    status === 'refused'
      ? 'refused'
      : halfLightRadiusMm
        ? `half light at ${figure(halfLightRadiusMm)}`
        : `half light at least ${diameterMm(lowerBoundMm ?? 0, 2)}`;
  const stop = (n: 1 | 2) =>
    stopRadiiMm[n] === null ? [] : [`-${n} stop at ${diameterMm(stopRadiiMm[n], 2)}`];
  return [first, ...stop(1), ...stop(2), ...warnings.map((w) => WARNING_WORDS[w])].join('; ');
}

/** Told too large by its size, a file is not read at all. */
async function measured(file: string, options: FileOptions): Promise<Result<FileMeasure>> {
  const large = tooLarge(file, (await stat(file)).size);
  if (large) return fail('tooLarge', '', large);
  return measureFile(await readFile(file), file, options, decodePicture);
}

export const measureCommand: Command = {
  usage,
  async run(args) {
    const { values, positionals } = readArgs(args, OPTIONS) as {
      values: Values;
      positionals: string[];
    };
    if (positionals.length === 0) throw badInput(`name the files or folders to measure: ${usage}`);
    const options: FileOptions = {
      sensor: frameFrom(values.sensor, '--sensor'),
      tone: toneFrom(values.tone),
      fNumber: optionalNumber(values.fnumber, '--fnumber', 0.5, 128),
      exitPupilMm: optionalNumber(values['exit-pupil'], '--exit-pupil', 5, 10_000),
    };
    const files = await filesOf(positionals);
    if (files.length === 0) throw badInput('there are no files in that folder.');
    const json: unknown[] = [];
    const rows: [string, string][] = [];
    const complaints: string[] = [];
    let answered = 0;
    for (const file of files) {
      const read = await measured(file, options);
      if (!read.ok) {
        json.push(unreadable(file, read.problems));
        complaints.push(read.problems[0]?.sentence ?? '');
        continue;
      }
      if (read.value.measure.status !== 'refused') answered += 1;
      json.push(jsonOf(file, read.value));
      rows.push([file, words(read.value.measure)]);
    }
    if (complaints.length === files.length) throw badInput(complaints.join('\n'));
    if (answered === 0 && !args.includes('--json'))
      throw new CliError(CANNOT_ANSWER, rows.map(([f, w]) => `${f}: ${w}`).join('\n'));
    return { json, rows, complaints, exitCode: answered === 0 ? CANNOT_ANSWER : 0 };
  },
};
