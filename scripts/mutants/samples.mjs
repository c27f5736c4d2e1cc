/** What the mutation test changes: whole folders, or windows of lines drawn from them. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Folders of core, and the store, each judged by itself. */
export const FOLDERS = [
  ...readdirSync('src/core', { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => `src/core/${entry.name}`)
    // The demo is data, and words are read by people.
    .filter((path) => !['src/core/demo', 'src/core/words'].includes(path)),
  'src/store',
];

/** So many lines of these are taken where nobody asks for another number: their tests fit whole frames. */
const SAMPLED = ['src/core/measure', 'src/core/bench-camera', 'src/core/correction'];
const USUAL_SAMPLE = 60;

const WINDOW_LINES = 5;

const isCode = (path) =>
  /\.tsx?$/.test(path) &&
  !/\.test\.tsx?$|\.worker\.ts$|\/index\.ts$/.test(path) &&
  !path.includes('/generated/');

const filesOf = (folder) =>
  readdirSync(folder, { recursive: true })
    .map((name) => join(folder, name))
    .filter(isCode)
    .toSorted();

/** Numbers from 0 to 1 that are the same for the same seed. Mulberry32. */
function drawn(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** Windows of so many lines in all, each line of a folder as likely as any other. */
function windowsOf(folder, lines, seed) {
  const all = filesOf(folder).map((path) => ({
    path,
    lines: readFileSync(path, 'utf8').split('\n').length,
  }));
  const whole = all.reduce((sum, file) => sum + file.lines, 0);
  if (whole <= lines) return all.map(({ path }) => path);
  const next = drawn(seed);
  return Array.from({ length: Math.ceil(lines / WINDOW_LINES) }, () => {
    let at = Math.floor(next() * whole);
    const file = all.find((each) => (at -= each.lines) < 0) ?? all[0];
    const last = Math.min(file.lines, file.lines + at + WINDOW_LINES);
    return `${file.path}:${Math.max(1, last - WINDOW_LINES)}-${last}`;
  });
}

/** What is asked to be changed, as the mutation tester takes it. */
export function samples({ MUTATE, SAMPLE, SEED }) {
  const chosen = MUTATE?.split(',') ?? FOLDERS;
  const seed = Number(SEED ?? 20261130);
  return chosen.flatMap((path, i) => {
    if (path.endsWith('.ts')) return [path];
    const isSampled = SAMPLED.some((folder) => path.startsWith(folder));
    const lines = Number(SAMPLE ?? (isSampled ? USUAL_SAMPLE : Infinity));
    return Number.isFinite(lines) ? windowsOf(path, lines, seed + i) : filesOf(path);
  });
}
