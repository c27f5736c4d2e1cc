/** What a measuring session is about: which lens on which body and mode, and how the frames are read. */
import {
  areaOf,
  carriesOut,
  largestMode,
  readOutMiddle,
  type Body,
  type Mode,
  type Lens,
  type Part,
  type Workspace,
  isPracticeLens,
} from '@/core/kit/records';
import { shotList, type Shot } from '@/core/measure';
import type { Tone } from '@/core/measure/light';
import type { Offset } from '@/core/optics';
import { isMissing, resolveRig, type Rig, readOutFromAxis } from '@/core/rig';
import { opensInRectangle } from '@/core/rig/train';
import { lastRig } from '@/store/remembered/lastRig';
import { recall, remember } from '@/store/remembered/remembered';

export interface SessionChoice {
  /** A rig of the workspace; null for a lens straight on a body. */
  rigId: string | null;
  bodyId: string | null;
  modeId: string | null;
  lensId: string | null;
  withClose: boolean;
  tone: Tone | 'auto';
}

export interface Session {
  body: Body;
  mode: Mode;
  lens: Lens;
  /** The rig that is measured; null for a lens straight on the body. */
  rig: Rig | null;
  /** What stands between lens and body. */
  parts: readonly Part[];
  /** Where the middle of the frames lies from the lens's axis, mm. */
  frameMiddle: Offset;
  shots: Shot[];
  tone: Tone | 'auto';
}

/** Whether the session is about the simulated camera's lens. */
export const isPractice = ({ lens }: Session): boolean => isPracticeLens(lens);

const largestBody = (bodies: readonly Body[]): Body | undefined =>
  [...bodies].sort((a, b) => {
    const size = (body: Body) => {
      const mode = largestMode(body.modes);
      return mode ? areaOf(mode) : 0;
    };
    return size(b) - size(a);
  })[0];

/** The whole rig of that id; null where there is none, or something of it is missing. */
function wholeRig(workspace: Workspace, rigId: string | null): Rig | null {
  const record = workspace.rigs.find((r) => r.id === rigId);
  const found = record ? resolveRig(workspace, record) : null;
  return found && !isMissing(found) ? found : null;
}

/** The body as chosen; else that of the rig in hand, as its lens is; else the one that shows most of a halo. */
const bodyOf = (workspace: Workspace, { bodyId }: SessionChoice): Body | undefined =>
  workspace.bodies.find((b) => b.id === bodyId) ??
  wholeRig(workspace, lastRig())?.body ??
  largestBody(workspace.bodies);

/** The lens as chosen; else that of the rig in hand, or any. */
const lensOf = (workspace: Workspace, { lensId }: SessionChoice): Lens | undefined =>
  workspace.lenses.find((l) => l.id === lensId) ??
  wholeRig(workspace, lastRig())?.lens ??
  workspace.lenses[0];

/** The session a choice stands for; null while the workspace has no body or lens. */
export function sessionOf(workspace: Workspace, choice: SessionChoice): Session | null {
  const chosen = wholeRig(workspace, choice.rigId);
  const body = chosen?.body ?? bodyOf(workspace, choice);
  const lens = chosen?.lens ?? lensOf(workspace, choice);
  if (!body || !lens) return null;
  const mode = body.modes.find((m) => m.id === choice.modeId) ?? largestMode(body.modes);
  if (!mode) return null;
  const rig = chosen && { ...chosen, mode };
  const shots = shotList(lens, choice.withClose);
  return {
    body,
    mode,
    lens,
    rig,
    parts: rig?.parts ?? [],
    frameMiddle: rig ? readOutFromAxis(rig) : readOutMiddle(mode),
    shots,
    tone: choice.tone,
  };
}

/**
 * Whether glass, a rim, or what carries the lens out stands between lens and sensor, so that not the lens alone is measured:
 * behind a tube its halo is larger than it is on the register.
 */
export const isOfWholeRig = ({ parts }: Pick<Session, 'parts'>): boolean =>
  parts.some((p) => p.factor !== 1 || p.ownRim !== null || opensInRectangle(p) || carriesOut(p));

/** What is measured, as one key: the lens, the mode, and what stands between. */
export const setOf = ({ lens, mode, parts }: Session): string =>
  [lens.id, mode.id, ...parts.map((p) => p.id)].join(' ');

/** What this browser keeps under a key; null where it keeps nothing, or nothing that can be read. */
function remembered(key: string): unknown {
  try {
    return JSON.parse(recall(key) ?? 'null');
  } catch {
    return null;
  }
}

const TICKS = 'wandering-halo-shots';
const CHOICE = 'wandering-halo-session';

/** Shots ticked off by hand: a list on a phone outlives a reload. */
export function readTicks(): ReadonlySet<string> {
  const kept = remembered(TICKS);
  return new Set(Array.isArray(kept) ? kept.map(String) : []);
}

export const writeTicks = (ticks: ReadonlySet<string>): void =>
  remember(TICKS, JSON.stringify([...ticks].slice(-500)));

/** What was measured last, to go on with, unless another rig came into the hand; files are read anew. */
export function lastChoice(): SessionChoice {
  const last = (remembered(CHOICE) ?? {}) as Record<string, unknown>;
  const inHand = lastRig();
  const kept = inHand === null || inHand === last.inHand ? last : {};
  const id = (key: string) => (typeof kept[key] === 'string' ? kept[key] : null);
  return {
    rigId: id('rigId'),
    bodyId: id('bodyId'),
    modeId: id('modeId'),
    lensId: id('lensId'),
    withClose: kept.withClose === true,
    tone: 'auto',
  };
}

export const rememberChoice = ({ tone: _, ...choice }: SessionChoice): void =>
  remember(CHOICE, JSON.stringify({ ...choice, inHand: lastRig() }));

export const tickOf = (session: Session, shot: Shot): string => `${setOf(session)} ${shot.id}`;
