'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import {
  framingQuery,
  readFramingQuery,
  type FramingLink,
  type FramingView,
} from '@/core/exchange/framingLink';
import type { Workspace } from '@/core/kit/records/workspace';
import { clamp } from '@/core/maths/clamp';
import type { Rig } from '@/core/rig/rig';
import { SCENE_RANGE, USUAL_SCENE, type Scene } from '@/core/framing/scene';
import { equalSizeM, FARTHEST_M, shotAt, type Shot } from '@/core/framing/shot';
import {
  MOST_TAKES,
  presetFor,
  rigOfTake,
  takeWords,
  type Preset,
  type Take,
} from '@/core/framing/takes';
import { lastRig } from '@/store/lastRig';

export interface Framed {
  key: string;
  take: Take;
  rig: Rig;
  shot: Shot;
  /** What tells it apart at a glance. */
  words: string;
  /** Name of the rig it comes from. */
  name: string;
}

interface State {
  takes: readonly Take[];
  /** Where each stands, m; those that follow the first are worked out. */
  distancesM: readonly number[];
  scene: Scene;
  keepsSize: boolean;
  view: FramingView;
}

export interface Framing {
  framed: readonly Framed[];
  scene: Scene;
  keepsSize: boolean;
  view: FramingView;
  /** Takes that name something that is not there. */
  lost: number;
  /** Moves a camera, m from the miller; those that keep his size go along. */
  move: (index: number, distanceM: number) => void;
  moveScene: (change: Partial<Scene>) => void;
  keepSize: (on: boolean) => void;
  show: (view: FramingView) => void;
  /** Puts a usual question; false where no rig of the workspace can be asked it. */
  start: (preset: Preset) => boolean;
  swap: (index: number, take: Take) => void;
  add: (take: Take) => void;
  remove: (index: number) => void;
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
    framed.push({ key: `${i}`, take, rig, shot, words: takeWords(shot.rig), name: rig.name });
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

/** Where everybody stands once a camera was moved. */
function moved(workspace: Workspace, now: State, index: number, distanceM: number): State {
  const { framed: at } = framedOf(workspace, now);
  const [first] = at;
  const hand = at[index];
  if (!hand || !first) return now;
  const to = clamp(distanceM, hand.rig.lens.closestFocusM, FARTHEST_M);
  const distancesM = now.takes.map((_, i) => at[i]?.shot.distanceM ?? USUAL_M);
  if (!now.keepsSize || index === 0) return { ...now, distancesM: distancesM.with(index, to) };
  // The first goes where the one that was moved shows the miller as large.
  const leads = equalSizeM(first.rig, shotAt(hand.rig, to));
  return leads === null ? now : { ...now, distancesM: distancesM.with(0, leads) };
}

/** The rigs before the scene, and what moves them. The address follows. */
export function useFraming(workspace: Workspace): Framing {
  const [state, setState] = useState(() => begun(workspace));
  const { framed, lost } = useMemo(() => framedOf(workspace, state), [workspace, state]);
  const { takes, scene, keepsSize, view } = state;
  const distances = framed.map((f) => f.shot.distanceM);
  useAddress(state, distances);

  const move = useCallback(
    (index: number, distanceM: number) =>
      setState((now) => moved(workspace, now, index, distanceM)),
    [workspace],
  );
  const moveScene = useCallback(
    (change: Partial<Scene>) =>
      setState((now) => {
        const next = { ...now.scene, ...change };
        return {
          ...now,
          scene: {
            lampsM: clamp(next.lampsM, ...SCENE_RANGE.lampsM),
            besideM: clamp(next.besideM, ...SCENE_RANGE.besideM),
          },
        };
      }),
    [],
  );
  const put = (change: Partial<State>) => setState((now) => ({ ...now, ...change }));
  const withTakes = (next: readonly Take[], distancesM: readonly number[]) =>
    put({ takes: next, distancesM });
  return {
    framed,
    scene,
    keepsSize,
    view,
    lost,
    move,
    moveScene,
    keepSize: (on) => put({ keepsSize: on, distancesM: distances }),
    show: (next) => put({ view: next }),
    start: (preset) => {
      const inHand = framed[0]?.take.rigId ?? lastRig();
      const setting = presetFor(preset, workspace, inHand);
      if (!setting) return false;
      const [first] = setting.takes;
      const from = first ? usualDistance(workspace, first) : USUAL_M;
      put({
        takes: setting.takes,
        distancesM: setting.takes.map(() => from),
        keepsSize: setting.keepsSize,
      });
      return true;
    },
    swap: (index, take) =>
      withTakes(
        takes.with(index, take),
        takes.map((_, i) => distances[i] ?? USUAL_M),
      ),
    add: (take) => {
      if (takes.length < MOST_TAKES)
        withTakes([...takes, take], [...distances, distances[0] ?? USUAL_M]);
    },
    remove: (index) => withTakes(takes.toSpliced(index, 1), distances.toSpliced(index, 1)),
  };
}
