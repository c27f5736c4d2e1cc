/** What a measuring session is about: which lens on which body and mode, and how the frames are read. */
import { PRACTICE_MAKER } from '@/core/bench-camera/practice';
import type { Body, Mode } from '@/core/kit/body';
import type { Lens } from '@/core/kit/lens';
import type { Workspace } from '@/core/kit/workspace';
import { shotList, type Shot } from '@/core/measure/shotList';
import type { Tone } from '@/core/measure/tone';

export interface SessionChoice {
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
  shots: Shot[];
  tone: Tone | 'auto';
}

/** Whether the session is about the simulated camera's lens. */
export const isPractice = ({ lens }: Session): boolean => lens.maker === PRACTICE_MAKER;

export const areaOf = (mode: Mode): number => mode.widthMm * mode.heightMm;

/** The mode that shows most of the halo: the largest read-out, stills before video. */
export const largestMode = (body: Body): Mode | undefined =>
  [...body.modes].sort(
    (a, b) => areaOf(b) - areaOf(a) || Number(b.use === 'stills') - Number(a.use === 'stills'),
  )[0];

const largestBody = (bodies: readonly Body[]): Body | undefined =>
  [...bodies].sort((a, b) => {
    const size = (body: Body) => {
      const mode = largestMode(body);
      return mode ? areaOf(mode) : 0;
    };
    return size(b) - size(a);
  })[0];

/** The session a choice stands for; null while the workspace has no body or lens. */
export function sessionOf(workspace: Workspace, choice: SessionChoice): Session | null {
  const body =
    workspace.bodies.find((b) => b.id === choice.bodyId) ?? largestBody(workspace.bodies);
  const lens = workspace.lenses.find((l) => l.id === choice.lensId) ?? workspace.lenses[0];
  if (!body || !lens) return null;
  const mode = body.modes.find((m) => m.id === choice.modeId) ?? largestMode(body);
  if (!mode) return null;
  return { body, mode, lens, shots: shotList(lens, choice.withClose), tone: choice.tone };
}

const TICKS = 'wandering-halo-shots';

/** Shots ticked off by hand, kept in this browser: a list on a phone outlives a reload. */
export function readTicks(): ReadonlySet<string> {
  try {
    return new Set(JSON.parse(localStorage.getItem(TICKS) ?? '[]') as string[]);
  } catch {
    return new Set();
  }
}

export function writeTicks(ticks: ReadonlySet<string>): void {
  try {
    localStorage.setItem(TICKS, JSON.stringify([...ticks].slice(-500)));
  } catch {
    // A browser that keeps nothing still ticks until the page is left.
  }
}

export const tickOf = ({ lens, mode }: Session, shot: Shot): string =>
  `${lens.id} ${mode.id} ${shot.id}`;
