/**
 * npm run mutants: changes core and store in thousands of small ways and counts how many of them the tests notice.
 * What was tried before and has not changed since is not tried again. MUTATE=src/core/optics narrows it, SAMPLE=40
 * takes so many lines of each folder.
 */
import { existsSync, readFileSync } from 'node:fs';
import { readyDebian, readyPackages } from './lib/ready.mjs';
import { bin, run } from './lib/run.mjs';

const REPORT = 'node_modules/.cache/wandering-halo-mutants/report.json';
/** At least so many of a hundred are noticed in every folder. */
const LEAST = 85;
/** In those that answer what people ask, more. */
const LEAST_HERE = 90;
const ANSWERS = [
  'optics',
  'halo',
  'frame',
  'converters',
  'framing',
  'choose',
  'sweep',
  'card',
  'exchange',
].map((name) => `src/core/${name}`);

await readyPackages();
await readyDebian();
await run(bin('stryker'), ['run']);
if (!existsSync(REPORT)) {
  console.error('The mutants were not tried; what went wrong stands above.');
  process.exit(1);
}

/** Survivors that do not matter: by file and the code as it was, with the reason. */
const { survivors } = JSON.parse(readFileSync('scripts/mutants/survivors.json', 'utf8'));
const NOTICED = ['Killed', 'Timeout', 'RuntimeError', 'CompileError'];
const { files } = JSON.parse(readFileSync(REPORT, 'utf8'));

const textAt = (source, { start, end }) => {
  const lines = source.split('\n').slice(start.line - 1, end.line);
  if (lines.length === 0) return '';
  lines[lines.length - 1] = lines.at(-1).slice(0, end.column - 1);
  lines[0] = lines[0].slice(start.column - 1);
  return lines.join(' ').replace(/\s+/g, ' ');
};

const folders = new Map();
const unnamed = [];
for (const [path, { source, mutants }] of Object.entries(files)) {
  const folder = path
    .split('/')
    .slice(0, path.startsWith('src/core/') ? 3 : 2)
    .join('/');
  const count = folders.get(folder) ?? { noticed: 0, all: 0, excused: 0 };
  folders.set(folder, count);
  for (const { status, location, replacement, mutatorName } of mutants) {
    if (status === 'Ignored') continue;
    count.all += 1;
    if (NOTICED.includes(status)) {
      count.noticed += 1;
      continue;
    }
    const code = textAt(source, location);
    const isNamed = survivors.some((s) => s.file === path && code === s.code);
    if (isNamed) count.excused += 1;
    else unnamed.push(`${path}:${location.start.line} ${mutatorName}: ${code} -> ${replacement}`);
  }
}

for (const line of unnamed) console.log(`survived  ${line.slice(0, 180)}`);
let isMet = true;
let [noticed, all] = [0, 0];
for (const [folder, count] of folders) {
  noticed += count.noticed;
  all += count.all;
  // What survives and does not matter is named, and counts on neither side.
  const score = (100 * count.noticed) / Math.max(1, count.all - count.excused);
  const least = ANSWERS.includes(folder) ? LEAST_HERE : LEAST;
  if (score < least) isMet = false;
  const excused = count.excused > 0 ? `, ${count.excused} named in survivors.json` : '';
  console.log(
    `${score.toFixed(1).padStart(5)} %  ${folder} (${count.noticed} of ${count.all}${excused}, at least ${least} %)`,
  );
}
const whole = (100 * noticed) / Math.max(1, all);
console.log(`${whole.toFixed(1).padStart(5)} %  altogether`);
process.exitCode = isMet ? 0 : 1;
