/** halo choose: which rigs of a workspace can do a job, one JSON object a line. */
import { choose, type Candidate, type Job } from '@/core/choose/choose';
import { readWorkspace } from '@/core/exchange/workspaceJson';
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
  'halo choose WORKSPACE.json --from 24 --to 70 [--use video|stills] [--aspect 1.778] [--pixels 3840] [--fps 25] ' +
  '[--t 2.8] [--stabilised] [--mass 2000] [--price 500] [--all] [--json]';

const OPTIONS = {
  from: { type: 'string' },
  to: { type: 'string' },
  use: { type: 'string' },
  aspect: { type: 'string' },
  pixels: { type: 'string' },
  fps: { type: 'string' },
  t: { type: 'string' },
  mass: { type: 'string' },
  price: { type: 'string' },
  stabilised: { type: 'boolean' },
  all: { type: 'boolean' },
} as const;

type Values = { [K in Exclude<keyof typeof OPTIONS, 'stabilised' | 'all'>]?: string } & {
  stabilised?: boolean;
  all?: boolean;
};

function jobFrom(v: Values): Job {
  const use = v.use ?? 'video';
  if (use !== 'video' && use !== 'stills')
    throw badInput(`--use is video or stills; it is "${use}".`);
  const focalFromMm = requiredNumber(v.from, '--from', 1, 5000);
  const focalToMm = requiredNumber(v.to, '--to', 1, 5000);
  if (focalToMm < focalFromMm) throw badInput('--to must not be shorter than --from.');
  return {
    use,
    aspect: optionalNumber(v.aspect, '--aspect', 0.2, 6),
    pixelsAcross: v.pixels === undefined ? 0 : numberFrom(v.pixels, '--pixels', 0, 100_000),
    framesPerSecond: optionalNumber(v.fps, '--fps', 0.1, 100_000),
    focalFromMm,
    focalToMm,
    slowestTStop: v.t === undefined ? 128 : numberFrom(v.t, '--t', 0.5, 128),
    stabilised: v.stabilised ?? false,
    mostMassG: optionalNumber(v.mass, '--mass', 0, 1_000_000),
    mostPrice: optionalNumber(v.price, '--price', 0, 100_000_000),
  };
}

export const chooseCommand: Command = {
  usage,
  async run(args) {
    const { values, positionals } = readArgs(args, OPTIONS);
    const [file, ...rest] = positionals;
    if (file === undefined || rest.length > 0) throw badInput(`name one workspace file: ${usage}`);
    const job = jobFrom(values as Values);
    const workspace = readWorkspace(await readInput(file), file);
    if (!workspace.ok) throw refused(workspace.problems);
    const all = (values as Values).all ?? false;
    const found = choose(workspace.value, job);
    const candidates = (function* (): Generator<Candidate> {
      for (const item of found) {
        if ('candidate' in item && (all || item.candidate.passes)) yield item.candidate;
      }
    })();
    return {
      lines: candidates,
      row: (line) => {
        const c = line as Candidate;
        const train = [c.lensId, ...c.partIds, `${c.bodyId}/${c.modeId}`].join(' > ');
        return `${c.passes ? 'yes' : 'no '} ${train.padEnd(44)} ${c.reason}`;
      },
    };
  },
};
