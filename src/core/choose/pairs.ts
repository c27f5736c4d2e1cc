/** What the kit's lenses, trains and bodies have to do with each other, found once. */
import {
  type Body,
  AVAILABILITY,
  type Availability,
  limitStops,
  type Judgement,
  type Job,
  transmissionOf,
  type Lens,
  restingSettings,
  type Workspace,
  isPracticeLens,
} from '../kit/records';
import {
  areMountsTold,
  fitProblem,
  isStrikeUnknown,
  registerFit,
  strikeOf,
  mountsById,
  type Rig,
} from '../rig';
import { grouped } from '../maths';
import { findChains, type Chain } from '../rig/search';
import { apertureControl, trainLight, trainOf, type Train } from '../rig/train';
import type { LightFigure } from './candidate';
import { reachOf, type Reach } from './reach';

/** The gear a job may use. */
export interface Kit {
  /** Bodies with a mode of the use asked for, by their mount. */
  bodiesByMount: ReadonlyMap<string, readonly Body[]>;
  lenses: readonly Lens[];
  mounts: Rig['mounts'];
  judgement: Judgement;
  chains: (lens: Lens, body: Body) => readonly Chain[];
}

/** Longest train looked for. */
export const MOST_PARTS = 2;

/** The judgement a job goes by. */
export const judgementFor = (judgement: Judgement, { school }: Pick<Job, 'school'>): Judgement =>
  school === null ? judgement : { ...judgement, school };

/** Nearer to 1 than this nobody stacks a converter on a reducer. An assumption. */
const UNDONE = 1.05;

/** Whether glass that enlarges stands beside glass that reduces, and little is left of either. */
function undoesItself({ parts, factor }: Chain): boolean {
  const enlarges = parts.some((p) => p.factor > 1);
  const reduces = parts.some((p) => p.factor < 1);
  return enlarges && reduces && factor < UNDONE && factor > 1 / UNDONE;
}

export function openKit(workspace: Workspace, job: Job): Kit {
  const left = new Set(job.leaveOut);
  const taken = <T extends { id: string }>(list: readonly T[]) =>
    list.filter((r) => !left.has(r.id));
  const mounts = mountsById(workspace.mounts);
  // A tube gives infinity away, and a job wants it.
  const parts = taken(workspace.parts).filter((p) => p.kind !== 'extension tube');
  const found = new Map<string, readonly Chain[]>();
  return {
    bodiesByMount: grouped(
      taken(workspace.bodies).filter((b) => b.modes.some((m) => m.use === job.use)),
      (body) => body.mountId,
    ),
    lenses: taken(workspace.lenses).filter((lens) => !isPracticeLens(lens)),
    mounts,
    judgement: judgementFor(workspace.judgement, job),
    chains: (lens, body) => {
      const tab = lens.mountTab ? body.takesTab : null;
      const key = JSON.stringify([lens.mountId, body.mountId, tab]);
      const known = found.get(key);
      if (known) return known;
      const fresh = findChains(lens, body, parts, mounts, MOST_PARTS).chains.filter(
        (chain) => !undoesItself(chain),
      );
      found.set(key, fresh);
      return fresh;
    },
  };
}

/** A lens and a train, whatever they stand on. */
export interface Pair {
  lens: Lens;
  chain: Chain;
  train: Train;
  /** Factor on the focal length, front converters counted in. */
  factor: number;
  /** Light as T-stops: f-number behind the train for one ahead of it, times this. */
  tFactor: number;
  light: LightFigure;
  partIds: string[];
  /** Whether nobody told what works the aperture, so that it may stay open. */
  isApertureUnsure: boolean;
  reach: Reach;
  /** What lens and train weigh and cost. */
  burden: Burden;
}

const lightFigure = (lens: Lens, tStop: number | null): LightFigure => {
  if (tStop !== null) return 'T';
  return transmissionOf(lens) === null ? 'f' : 'T at best';
};

export function pairOf(lens: Lens, chain: Chain, kit: Kit): Pair {
  const train = trainOf(chain.parts, kit.mounts);
  const light = trainLight(train, lens, lens.focalMinMm, lens.openFNumberWide);
  return {
    lens,
    chain,
    train,
    factor: train.factor * train.frontFactor,
    partIds: chain.parts.map((p) => p.id),
    isApertureUnsure: apertureControl(lens, chain.parts) === 'not known',
    tFactor:
      light.tStop === null ? 1 / Math.sqrt(transmissionOf(lens) ?? 1) : light.tStop / light.fNumber,
    light: lightFigure(lens, light.tStop),
    reach: reachOf(lens, train, limitStops(kit.judgement)),
    burden: burdenOf([lens, ...chain.parts]),
  };
}

/** What a lens and a train are on a body, whatever its mode. */
export interface Standing {
  /** What stands before all coverage, and a sentence about it; null where it goes together. */
  trouble: string | null;
  isGlassUnknown: boolean;
  areMountsTold: boolean;
  burden: Burden;
}

/** A sum of which some parts may not be known. */
export interface Sum {
  /** Null where one of its parts is not known. */
  whole: number | null;
  /** Of the parts that are known. */
  known: number;
}

const NOTHING: Sum = { whole: 0, known: 0 };

/** A sum and one figure more. */
const plus = ({ whole, known }: Sum, value: number | null): Sum => ({
  whole: whole === null || value === null ? null : whole + value,
  known: known + (value ?? 0),
});

/** Something that is carried and may have to be had. */
type Gear = Pick<Body, 'massG' | 'price' | 'availability'>;

/** What gear is carried and costs, and how it is to be had. */
interface Burden {
  mass: Sum;
  price: Sum;
  /** The least handy of its sources; null where one of them is not known. */
  source: Availability | null;
}

const lessHandy = (a: Availability, b: Availability): Availability =>
  AVAILABILITY.indexOf(a) > AVAILABILITY.indexOf(b) ? a : b;

const burdenedBy = ({ mass, price, source }: Burden, gear: Gear): Burden => ({
  mass: plus(mass, gear.massG),
  price: plus(price, gear.price),
  source:
    source === null || gear.availability === 'not told'
      ? null
      : lessHandy(source, gear.availability),
});

const burdenOf = (gear: readonly Gear[]): Burden =>
  gear.reduce(burdenedBy, { mass: NOTHING, price: NOTHING, source: AVAILABILITY[0] });

/** A pair on a body, at rest, for what asks how a rig goes together. */
function restingOn({ lens, chain }: Pair, body: Body, kit: Kit): Rig {
  const [mode] = body.modes;
  if (!mode) throw new RangeError(`${body.id} has no mode`);
  return {
    name: '',
    body,
    mode,
    lens,
    parts: chain.parts,
    mounts: kit.mounts,
    judgement: kit.judgement,
    settings: restingSettings(lens.focalMinMm, lens.openFNumberWide),
  };
}

export function standingOf(pair: Pair, body: Body, kit: Kit): Standing {
  const rig = restingOn(pair, body, kit);
  // A chain that was found joins.
  const fit = {
    joints: [],
    strike: strikeOf(rig),
    register: registerFit(rig, pair.train),
  };
  return {
    trouble: fitProblem(fit)?.sentence ?? null,
    isGlassUnknown: isStrikeUnknown(rig, fit),
    areMountsTold: areMountsTold(rig),
    burden: burdenedBy(pair.burden, body),
  };
}
