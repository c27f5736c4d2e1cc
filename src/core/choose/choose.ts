/** From a whole kit: which rigs can do a job, and why the others cannot. */
import { betterVerdict, type VerdictKind } from '../frame/coverage';
import { deliveredFrame } from '../frame/pipeline';
import type { Body, Mode } from '../kit/records/body';
import type { Judgement } from '../kit/records/judgement';
import { openFNumberAt, transmissionOf, type Lens } from '../kit/records/lens';
import type { Part } from '../kit/records/part';
import { restingSettings } from '../kit/records/rigRecord';
import type { Workspace } from '../kit/records/workspace';
import { cropFactor } from '../optics/crop';
import { desqueezed } from '../optics/view';
import { findChains, type Chain } from '../rig/search/chains';
import { verdictOf } from '../rig/report/setUp';
import { mountsById, type Rig } from '../rig/rig';
import { frontFactor, trainLight } from '../rig/train';
import { fixed, mm, tWords } from '../words/figures';

/** What has to be delivered. */
export interface Job {
  use: 'stills' | 'video';
  /** Delivered aspect; null for the whole read-out. */
  aspect: number | null;
  /** Pixels across at least. */
  pixelsAcross: number;
  /** Frames per second at least; null where it does not matter. */
  framesPerSecond: number | null;
  /** 36x24 equivalent focal lengths wanted, on the judgement's basis, mm. */
  focalFromMm: number;
  focalToMm: number;
  /** Slowest T- or f-number that will do. */
  slowestTStop: number;
  /** Whether the sensor stabiliser has to be on. */
  stabilised: boolean;
  /** Lens and parts together at most, g; null for no limit. */
  mostMassG: number | null;
  /** Lens at most, in the user's own currency; null for no limit. */
  mostPrice: number | null;
}

export interface Candidate {
  bodyId: string;
  modeId: string;
  lensId: string;
  partIds: string[];
  passes: boolean;
  /** Why it passes or fails, in one sentence. */
  reason: string;
  /** Verdict at the best setting tried. */
  verdict: VerdictKind | null;
  /** The part of the asked view it covers Clear, 36x24 equivalent mm; null where none. */
  windowMm: { from: number; to: number } | null;
  /** T-stop, or f-number where no T-stop is known, behind the train at that setting. */
  tStop: number | null;
  pixelsAcross: number;
  massG: number | null;
  price: number | null;
}

/** How many combinations there are and how many were judged; every now and then. */
export interface Progress {
  judged: number;
  total: number;
}

export type Found = { candidate: Candidate } | { progress: Progress };

/** Settings tried over the range of view. */
const TRIES = 6;
const PROGRESS_EVERY = 5000;

interface Combination {
  body: Body;
  mode: Mode;
  lens: Lens;
  chain: Chain;
}

interface Kit {
  workspace: Workspace;
  mounts: Rig['mounts'];
  /** Chains from a lens mount to a body mount; found once for each pair. */
  chains: (lens: Lens, body: Body) => readonly Chain[];
}

function openKit(workspace: Workspace, mostParts: number): Kit {
  const mounts = mountsById(workspace.mounts);
  // An extension tube gives infinity away; a job wants it.
  const reaching = workspace.parts.filter((p) => p.kind !== 'extension tube');
  const found = new Map<string, readonly Chain[]>();
  const chains = (lens: Lens, body: Body): readonly Chain[] => {
    const key = JSON.stringify([lens.mountId, body.mountId]);
    const known = found.get(key);
    if (known) return known;
    const fresh = findChains(lens, body, reaching, mounts, mostParts).chains;
    found.set(key, fresh);
    return fresh;
  };
  return { workspace, mounts, chains };
}

/** Every body, mode of the right use, lens and chain that joins them, one after the other. */
function* combinationsOf(kit: Kit, use: Job['use']): Generator<Combination> {
  for (const body of kit.workspace.bodies) {
    const modes = body.modes.filter((m) => m.use === use);
    for (const lens of kit.workspace.lenses) {
      const chains = kit.chains(lens, body);
      for (const mode of modes) for (const chain of chains) yield { body, mode, lens, chain };
    }
  }
}

/** How many combinations there are to judge. */
function countOf(kit: Kit, use: Job['use']): number {
  let total = 0;
  for (const body of kit.workspace.bodies) {
    const modes = body.modes.filter((m) => m.use === use).length;
    for (const lens of kit.workspace.lenses) total += modes * kit.chains(lens, body).length;
  }
  return total;
}

function massOf(lens: Lens, parts: readonly Part[]): number | null {
  if (lens.massG === null) return null;
  return parts.reduce((sum, p) => sum + (p.massG ?? 0), lens.massG);
}

/** Why a combination cannot do the job whatever it is set to; null where it may. */
function hopeless(
  { body, mode, lens, chain }: Combination,
  job: Job,
  pixelsAcross: number,
): string | null {
  if (pixelsAcross < job.pixelsAcross) {
    return `Only ${Math.floor(pixelsAcross)} pixels across; ${job.pixelsAcross} are wanted.`;
  }
  if (job.framesPerSecond !== null && (mode.framesPerSecond ?? 0) < job.framesPerSecond) {
    return `${mode.framesPerSecond ?? 0} frames a second; ${job.framesPerSecond} are wanted.`;
  }
  if (job.stabilised && body.sensorTravel === null)
    return 'The sensor does not move: no stabiliser.';
  const mass = massOf(lens, chain.parts);
  if (job.mostMassG !== null && mass !== null && mass > job.mostMassG) {
    return `Lens and parts weigh ${fixed(mass, 0)} g; at most ${job.mostMassG} g.`;
  }
  if (job.mostPrice !== null && lens.price !== null && lens.price > job.mostPrice) {
    return `The lens costs ${lens.price}; at most ${job.mostPrice}.`;
  }
  return null;
}

/** Engraved focal lengths of the lens whose equivalents lie in the asked range, tried evenly in log f. */
function focalsIn({ lens, chain }: Combination, job: Job, crop: number): number[] {
  const scale = chain.factor * frontFactor(chain.parts) * crop;
  const from = Math.max(lens.focalMinMm, job.focalFromMm / scale);
  const to = Math.min(lens.focalMaxMm, job.focalToMm / scale);
  if (from > to * 1.0001) return [];
  if (to / from < 1.01) return [Math.sqrt(from * to)];
  return Array.from({ length: TRIES }, (_, i) => from * (to / from) ** (i / (TRIES - 1)));
}

function judgeOne(combination: Combination, job: Job, judgement: Judgement, kit: Kit): Candidate {
  const { body, mode, lens, chain } = combination;
  const frame = deliveredFrame(mode, {
    aspect: job.aspect,
    digitalZoom: 1,
    cropId: null,
    postScale: 1,
    squeeze: lens.squeeze,
  });
  const candidate: Candidate = {
    bodyId: body.id,
    modeId: mode.id,
    lensId: lens.id,
    partIds: chain.parts.map((p) => p.id),
    passes: false,
    reason: '',
    verdict: null,
    windowMm: null,
    tStop: null,
    pixelsAcross: frame.widthPx,
    massG: massOf(lens, chain.parts),
    price: lens.price,
  };
  const no = hopeless(combination, job, frame.widthPx);
  if (no !== null) return { ...candidate, reason: no };
  const crop = cropFactor(desqueezed(frame, lens.squeeze), judgement.basis);
  const focals = focalsIn(combination, job, crop);
  if (focals.length === 0)
    return { ...candidate, reason: 'Its view is not in the range asked for.' };

  const glass = Math.sqrt(transmissionOf(lens) ?? 1);
  let best: VerdictKind | null = null;
  let fastest = Infinity;
  const clearAt: number[] = [];
  for (const focalMm of focals) {
    // As open as the job allows to be: the softest edge. What the lens cannot reach is too slow.
    const fNumber = openFNumberAt(lens, focalMm);
    const light = trainLight(chain.parts, lens, focalMm, fNumber);
    const tStop = light.tStop ?? light.fNumber / glass;
    fastest = Math.min(fastest, tStop);
    if (tStop > job.slowestTStop * 1.03) continue;
    const settings = restingSettings(focalMm, fNumber);
    settings.aspect = job.aspect;
    settings.stabiliser = job.stabilised;
    const rig: Rig = {
      name: '',
      body,
      mode,
      lens,
      parts: chain.parts,
      judgement,
      mounts: kit.mounts,
      settings,
    };
    const { kind } = verdictOf(rig);
    best = best === null ? kind : betterVerdict(best, kind);
    if (kind === 'Clear') clearAt.push(light.focalMm * crop);
  }
  return concluded({ ...candidate, tStop: fastest }, best, clearAt, job);
}

function concluded(
  candidate: Candidate,
  best: VerdictKind | null,
  clearAt: readonly number[],
  job: Job,
): Candidate {
  if (best === null) {
    return {
      ...candidate,
      reason: `Too slow: ${tWords(candidate.tStop ?? 0, 1)} at best; T${job.slowestTStop} is wanted.`,
    };
  }
  const [first] = clearAt;
  if (first === undefined) {
    return {
      ...candidate,
      verdict: best,
      reason: `Nowhere in the range is it Clear; at best ${best}.`,
    };
  }
  const windowMm = { from: Math.min(...clearAt), to: Math.max(...clearAt) };
  return {
    ...candidate,
    passes: true,
    verdict: best,
    windowMm,
    reason: `Clear from ${fixed(windowMm.from, 0)} to ${mm(windowMm.to, 0)} equivalent at ${tWords(candidate.tStop ?? 0, 1)}.`,
  };
}

/**
 * Judges every combination of the kit for a job and yields each as it is judged, with progress now and
 * then. Stop asking and it stops working.
 */
export function* choose(workspace: Workspace, job: Job, mostParts = 2): Generator<Found> {
  const kit = openKit(workspace, mostParts);
  const total = countOf(kit, job.use);
  let judged = 0;
  for (const combination of combinationsOf(kit, job.use)) {
    yield { candidate: judgeOne(combination, job, workspace.judgement, kit) };
    judged += 1;
    if (judged % PROGRESS_EVERY === 0) yield { progress: { judged, total } };
  }
  yield { progress: { judged, total } };
}
