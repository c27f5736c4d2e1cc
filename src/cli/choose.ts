/** halo choose: which rigs of a workspace can do a job, the best first. */
import { riskFigure } from '@/core/words';
import {
  choose,
  type Candidate,
  passes,
  coveragePlan,
  keep,
  nothingKept,
  together,
  reasonOf,
  viewWords,
  contradictionOf,
  openWords,
  planDoubts,
} from '@/core/choose';
import { readWorkspace } from '@/core/exchange/json';
import { fullName, AVAILABILITY, jobOf, type Job, type Workspace } from '@/core/kit/records';
import {
  badInput,
  numberFrom,
  optionalNumber,
  readArgs,
  refused,
  requiredNumber,
  type Command,
} from './command';
import { readInput } from './input';

const usage =
  'halo choose WORKSPACE.json --job NAME | --from 24 --to 70 [--use video|stills] [--aspect 1.778] [--pixels 3840] [--fps 25] ' +
  '[--t 2.8] [--shallow 2.8] [--deep 8] [--stabilised] [--autofocus] [--whole] [--scale 1.05] [--crops] [--risk 10] [--mass 2000] [--price 500] ' +
  '[--source "at hand,rentable"] [--known] [--all] [--plan] [--json]';

const text = { type: 'string' } as const;
const flag = { type: 'boolean' } as const;
const OPTIONS = {
  job: text,
  from: text,
  to: text,
  use: text,
  aspect: text,
  pixels: text,
  fps: text,
  t: text,
  shallow: text,
  deep: text,
  scale: text,
  risk: text,
  mass: text,
  price: text,
  source: text,
  stabilised: flag,
  autofocus: flag,
  whole: flag,
  crops: flag,
  known: flag,
  all: flag,
  plan: flag,
} as const;

type Flag = 'stabilised' | 'autofocus' | 'whole' | 'crops' | 'known' | 'all' | 'plan';
type Values = { [K in Exclude<keyof typeof OPTIONS, Flag>]?: string } & {
  [K in Flag]?: boolean;
};

function sourcesFrom(value: string | undefined): Job['sources'] {
  if (value === undefined) return [...AVAILABILITY];
  return value.split(',').map((word) => {
    const source = AVAILABILITY.find((a) => a === word.trim());
    if (!source)
      throw badInput(
        `--source takes ${AVAILABILITY.join(', ')}; "${word.trim()}" is none of them.`,
      );
    return source;
  });
}

function percentFrom(value: string | undefined): number | null {
  const percent = optionalNumber(value, '--risk', 0.1, 100);
  return percent === null ? null : percent / 100;
}

/** The job told by options. */
function jobOfOptions(v: Values): Job {
  const use = v.use ?? 'video';
  if (use !== 'video' && use !== 'stills')
    throw badInput(`--use is video or stills; it is "${use}".`);
  const viewFromMm = requiredNumber(v.from, '--from', 1, 5000);
  const viewToMm = requiredNumber(v.to, '--to', 1, 5000);
  if (viewToMm < viewFromMm) throw badInput('--to must not be shorter than --from.');
  return jobOf({
    id: 'asked',
    name: 'asked',
    use,
    aspect: optionalNumber(v.aspect, '--aspect', 0.2, 6),
    pixelsAcross: v.pixels === undefined ? 0 : numberFrom(v.pixels, '--pixels', 0, 100_000),
    framesPerSecond: optionalNumber(v.fps, '--fps', 0.1, 100_000),
    viewFromMm,
    viewToMm,
    wholeRange: v.whole ?? false,
    slowestTStop: optionalNumber(v.t, '--t', 0.5, 128),
    shallowFNumber: optionalNumber(v.shallow, '--shallow', 0.5, 128),
    deepFNumber: optionalNumber(v.deep, '--deep', 0.5, 128),
    stabilised: v.stabilised ?? false,
    autofocus: v.autofocus ?? false,
    postScale: v.scale === undefined ? 1 : numberFrom(v.scale, '--scale', 1, 4),
    crops: v.crops ?? false,
    mostRisk: percentFrom(v.risk),
    mostMassG: optionalNumber(v.mass, '--mass', 1, 100_000),
    mostPrice: optionalNumber(v.price, '--price', 0, 10_000_000),
    sources: sourcesFrom(v.source),
    unknowns: v.known ? 'leave out' : 'keep',
  });
}

function jobFrom(v: Values, { jobs }: Workspace): Job {
  if (v.job === undefined) return jobOfOptions(v);
  const wanted = v.job.toLowerCase();
  const job = jobs.find((j) => j.id === v.job || j.name.toLowerCase() === wanted);
  if (job) return job;
  const names = jobs.map((j) => `"${j.name}"`).join(', ') || 'none';
  throw badInput(`there is no job "${v.job}"; there are ${names}.`);
}

/** Names of gear by id, as they are said. */
function namer({ bodies, lenses, parts }: Workspace) {
  const names = new Map([...bodies, ...lenses, ...parts].map((r) => [r.id, fullName(r)]));
  const modes = new Map(bodies.flatMap((b) => b.modes.map((m) => [`${b.id}/${m.id}`, m.name])));
  return (c: Candidate): string =>
    [
      names.get(c.lensId) ?? c.lensId,
      ...c.partIds.map((id) => names.get(id) ?? id),
      `${names.get(c.bodyId) ?? c.bodyId}, ${modes.get(`${c.bodyId}/${c.modeId}`) ?? c.modeId}`,
    ].join(' > ');
}

function planLines(workspace: Workspace, job: Job, found: ReturnType<typeof together>): string[] {
  const plan = coveragePlan(found.passing, found.near, job);
  if (!plan) return ['Nothing passes, so there is no plan.'];
  const name = namer(workspace);
  return [
    ...planDoubts(plan),
    ...plan.steps.map(
      (s) =>
        `${viewWords([s.views]).padEnd(16)} ${name(s.candidate)}${s.candidate.risk ? `, ${riskFigure(s.candidate.risk.risk, s.candidate.risk.evidence)}` : ''}`,
    ),
    ...plan.gaps.map((gap, i) => {
      const closer = plan.closers[i];
      const closing = closer ? `${name(closer)} would close it` : 'nothing in the kit closes it';
      return `${openWords(gap).padEnd(16)} open: ${closing}`;
    }),
  ];
}

export const chooseCommand: Command = {
  usage,
  async run(args) {
    const { values, positionals } = readArgs(args, OPTIONS);
    const asked = values as Values;
    const [file, ...rest] = positionals;
    if (file === undefined || rest.length > 0) throw badInput(`name one workspace file: ${usage}`);
    const workspace = readWorkspace(await readInput(file), file);
    if (!workspace.ok) throw refused(workspace.problems);
    const job = jobFrom(asked, workspace.value);
    const contradiction = contradictionOf(job);
    if (contradiction !== null) throw badInput(contradiction);
    const kept = nothingKept();
    const every: Candidate[] = [];
    for (const candidate of choose(workspace.value, job)) {
      if (!candidate) continue;
      keep(kept, candidate);
      if (asked.all && !passes(candidate)) every.push(candidate);
    }
    const found = together([kept]);
    if (asked.plan)
      return {
        lines: planLines(workspace.value, job, found),
        row: (line) => String(line),
      };
    const name = namer(workspace.value);
    const lines = [...found.passing, ...every].map((candidate) => ({
      ...candidate,
      rig: name(candidate),
      passes: passes(candidate),
      reason: reasonOf(candidate, job),
    }));
    return {
      lines,
      row: (line) => {
        const c = line as (typeof lines)[number];
        return `${c.passes ? 'yes' : 'no '} ${c.rig.padEnd(72)} ${c.reason}`;
      },
    };
  },
};
