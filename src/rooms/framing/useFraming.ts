'use client';
import { useEffect, useMemo } from 'react';
import {
  framingQuery,
  readFramingQuery,
  type FramingLink,
  type FramingView,
} from '@/core/exchange/links';
import type { Workspace } from '@/core/kit/records';
import { clamp } from '@/core/maths';
import type { Rig } from '@/core/rig';
import {
  SCENE_RANGE,
  USUAL_SCENE,
  type Scene,
  equalSizeM,
  FARTHEST_M,
  shotAt,
  type Shot,
  MOST_TAKES,
  PRESETS,
  presetFor,
  rigOfTake,
  takeWords,
  type Preset,
  type Take,
} from '@/core/framing';
import { lastRig } from '@/store/remembered/lastRig';
import { useHistory, type OwnSteps } from '@/ui/useHistory';
import { useLatest } from '@/ui/useLatest';

export interface Framed {
  /** Its place among all that were asked for, those that are not there too. */
  at: number;
  take: Take;
  rig: Rig;
  shot: Shot;
  /** What tells it apart at a glance. */
  words: string;
}

interface State {
  takes: readonly Take[];
  /** Where each stands, m; those that follow the first are worked out. */
  distancesM: readonly number[];
  scene: Scene;
  keepsSize: boolean;
  view: FramingView;
}

export interface FramingActions {
  /** Moves the camera of a place, m from the miller; those that keep his size go along. */
  move: (place: number, distanceM: number) => void;
  /** Moves what stands in the scene, as a step called so. */
  moveScene: (label: string, change: Partial<Scene>) => void;
  /** What was moved is let go of: the next move is another step. */
  rest: () => void;
  keepSize: (on: boolean) => void;
  show: (view: FramingView) => void;
  /** Puts a usual question; false where no rig of the workspace can be asked it. */
  start: (preset: Preset) => boolean;
  swap: (place: number, rigId: string) => void;
  add: (rigId: string) => void;
  remove: (place: number) => void;
}

export interface Framing {
  framed: readonly Framed[];
  scene: Scene;
  keepsSize: boolean;
  view: FramingView;
  /** Takes that name something that is not there. */
  lost: number;
  /** The same from frame to frame. */
  actions: FramingActions;
  /** What was moved and asked, to be taken back. */
  steps: OwnSteps;
}

/** Where nobody said otherwise people stand, m. */
const USUAL_M = 2.5;
const FARTHEST_USUAL_M = 60;

/** Where a rig of the workspace stands: where it is focused. */
const usualDistance = (workspace: Workspace, take: Take): number => {
  const rig = rigOfTake(workspace, take);
  const { focusM } = rig?.settings ?? { focusM: null };
  return clamp(focusM ?? USUAL_M, rig?.lens.closestFocusM ?? 0.1, FARTHEST_USUAL_M);
};

/** What an address asks for, once it names more than a rig alone: such a one is shown against something. */
function linked(workspace: Workspace, link: FramingLink): State | null {
  const [only, more] = link.takes;
  if (only !== undefined && more === undefined && Object.keys(only).length === 1) return null;
  const distancesM = link.takes.map((t, i) => link.distancesM[i] ?? usualDistance(workspace, t));
  return { ...link, distancesM };
}

function begun(workspace: Workspace): State {
  const link = typeof window === 'undefined' ? null : readFramingQuery(window.location.search);
  const asked = link && linked(workspace, link);
  if (asked) return asked;
  const rigId = link?.takes[0]?.rigId ?? lastRig();
  const setting =
    presetFor('both formats', workspace, rigId) ??
    presetFor('crop or step closer', workspace, rigId);
  const takes = setting?.takes ?? [];
  return {
    takes,
    distancesM: takes.map((t) => usualDistance(workspace, t)),
    scene: USUAL_SCENE,
    keepsSize: setting?.keepsSize ?? false,
    view: 'side by side',
  };
}

/** Every take as a picture; those that keep the miller's size stand where that is so. */
function framedOf(workspace: Workspace, state: State): { framed: Framed[]; lost: number } {
  const framed: Framed[] = [];
  let first: Shot | null = null;
  for (const [i, take] of state.takes.entries()) {
    const rig = rigOfTake(workspace, take);
    if (!rig) continue;
    const own = state.distancesM[i] ?? USUAL_M;
    const distanceM: number =
      first && state.keepsSize ? (equalSizeM(rig, first) ?? first.distanceM) : own;
    const shot: Shot = shotAt(rig, distanceM);
    first ??= shot;
    framed.push({
      at: i,
      take,
      rig,
      shot,
      words: takeWords(shot.rig),
    });
  }
  return { framed, lost: state.takes.length - framed.length };
}

/** Keeps the address pointing at what is shown. */
function useAddress(state: State, distances: readonly number[]): void {
  const query =
    state.takes.length > 0 ? `?${framingQuery({ ...state, distancesM: distances })}` : '';
  useEffect(() => {
    // Once the hand rests: browsers allow so many changes of an address and no more.
    const timer = setTimeout(() => {
      if (window.location.search !== query)
        window.history.replaceState(
          window.history.state,
          '',
          `${window.location.pathname}${query}`,
        );
    }, 200);
    return () => clearTimeout(timer);
  }, [query]);
}

/** Where every take stands; one that is not there stands as usual. */
const standing = (takes: readonly Take[], framed: readonly Framed[]): number[] =>
  takes.map((_, i) => framed.find((f) => f.at === i)?.shot.distanceM ?? USUAL_M);

/** Where everybody stands once a camera was moved; `framed` is where they stand now. */
function moved(now: State, framed: readonly Framed[], place: number, distanceM: number): State {
  const [first] = framed;
  const hand = framed.find((f) => f.at === place);
  if (!hand || !first) return now;
  const to = clamp(distanceM, hand.rig.lens.closestFocusM, FARTHEST_M);
  const distancesM = standing(now.takes, framed);
  if (!now.keepsSize || hand === first) return { ...now, distancesM: distancesM.with(place, to) };
  // The first goes where the one that was moved shows the miller as large.
  const leads = equalSizeM(first.rig, shotAt(hand.rig, to));
  return leads === null ? now : { ...now, distancesM: distancesM.with(first.at, leads) };
}

const movedScene = (scene: Scene, change: Partial<Scene>): Scene => {
  const next = { ...scene, ...change };
  return {
    lampsM: clamp(next.lampsM, ...SCENE_RANGE.lampsM),
    besideM: clamp(next.besideM, ...SCENE_RANGE.besideM),
  };
};

/** The rigs before the scene, and what moves them. The address follows. */
export function useFraming(workspace: Workspace): Framing {
  const [state, stepping, steps] = useHistory(() => begun(workspace));
  const { framed, lost } = useMemo(() => framedOf(workspace, state), [workspace, state]);
  const { takes, scene, keepsSize, view } = state;
  const distances = standing(takes, framed);
  useAddress(state, distances);
  const now = useLatest({ workspace, framed, takes, distances });
  const actions = useMemo((): FramingActions => {
    const { step, turn, rest, show } = stepping;
    const put = (label: string, change: Partial<State>) =>
      step(label, (last) => ({ ...last, ...change }));
    return {
      move: (place, distanceM) =>
        turn('Move a camera', (last) => moved(last, now.current.framed, place, distanceM)),
      moveScene: (label, change) =>
        turn(label, (last) => ({ ...last, scene: movedScene(last.scene, change) })),
      rest,
      keepSize: (on) =>
        put(on ? 'Keep the miller as large' : 'Let each stand alone', {
          keepsSize: on,
          distancesM: now.current.distances,
        }),
      show: (next) => show((last) => ({ ...last, view: next })),
      start: (preset) => {
        const inHand = now.current.framed[0]?.take.rigId ?? lastRig();
        const setting = presetFor(preset, now.current.workspace, inHand);
        if (!setting) return false;
        const [first] = setting.takes;
        const from = first ? usualDistance(now.current.workspace, first) : USUAL_M;
        put(`Start from “${PRESETS[preset]}”`, {
          takes: setting.takes,
          distancesM: setting.takes.map(() => from),
          keepsSize: setting.keepsSize,
        });
        return true;
      },
      swap: (place, rigId) =>
        put('Swap a rig', {
          takes: now.current.takes.with(place, { rigId }),
          distancesM: now.current.distances,
        }),
      add: (rigId) => {
        const { takes: last, distances: at } = now.current;
        if (last.length < MOST_TAKES)
          put('Add a rig', {
            takes: [...last, { rigId }],
            distancesM: [...at, at[0] ?? USUAL_M],
          });
      },
      remove: (place) =>
        put('Take a picture away', {
          takes: now.current.takes.toSpliced(place, 1),
          distancesM: now.current.distances.toSpliced(place, 1),
        }),
    };
  }, [now, stepping]);
  return { framed, scene, keepsSize, view, lost, actions, steps };
}
