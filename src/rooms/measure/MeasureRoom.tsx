'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import type { FileOptions } from '@/core/measure';
import { EmptyRoom } from '@/shell/EmptyRoom';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/header/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useOneAtATime } from '@/shell/useOneAtATime';
import { useShell, useShellKeys, type Shell } from '@/shell/useShell';
import { PHONE } from '@/ui/theme/type';
import { measureAgain } from './again';
import { FramePanel, type Keep } from './FramePanel';
import type { Frame } from './frames';
import { FramesView, ViewBar } from './FramesView';
import { Guide } from './Guide';
import { keepFrames } from './keep';
import { Log } from './Log';
import { SessionPanel } from './SessionPanel';
import {
  isPractice,
  lastChoice,
  rememberChoice,
  sessionOf,
  type Session,
  type SessionChoice,
} from './session';
import { useFrames } from './useFrames';
import { usePractice } from './usePractice';

const Columns = styled.main<{ $chosen: boolean }>`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 286px minmax(0, 1fr) ${(p) => (p.$chosen ? '336px' : '')};
  @media ${PHONE} {
    display: block;
  }
  @media print {
    display: block;
  }
`;

const Middle = styled.section`
  min-width: 0;
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  @media ${PHONE} {
    grid-template-rows: auto 62vw auto;
  }
  @media print {
    display: none;
  }
`;

const SHORTCUTS = [
  { keys: 'f', does: 'frames of this session' },
  { keys: 'l', does: 'the log' },
  { keys: 'e', does: 'what the fit leaves of the frame, or the frame' },
  { keys: '[ ]', does: 'the frame before, the next' },
];

/** The frame in hand: the one that was chosen, else the last that was measured. */
function useChosen(frames: readonly Frame[]) {
  const [id, choose] = useState<string | null>(null);
  const chosen =
    frames.find((f) => f.id === id) ?? frames.findLast((f) => f.state === 'done') ?? frames[0];
  const step = (by: number) => {
    const at = frames.findIndex((f) => f.id === chosen?.id);
    choose(frames[at + by]?.id ?? id);
  };
  return { chosen: chosen ?? null, choose, step };
}

/** How the session's files are read. */
const useFileOptions = ({ mode: { widthMm, heightMm }, tone }: Session) =>
  useMemo<FileOptions>(() => ({ sensor: { widthMm, heightMm }, tone }), [widthMm, heightMm, tone]);

/** What is looked at, by press and by key. */
function useViews(shell: Shell, step: (by: number) => void) {
  const [view, setView] = useState<'frames' | 'log'>('frames');
  const [residual, setResidual] = useState(false);
  useShellKeys(shell, {
    f: () => setView('frames'),
    l: () => setView('log'),
    e: () => setResidual((on) => !on),
    '[': () => step(-1),
    ']': () => step(1),
  });
  return { view, setView, residual, setResidual };
}

interface OpenSessionProps {
  workspace: Workspace;
  shell: Shell;
  session: Session;
  choice: SessionChoice;
  onChoice: (change: Partial<SessionChoice>) => void;
}

function OpenSession({ workspace, shell, session, choice, onChoice }: OpenSessionProps) {
  const { tell } = shell;
  const [hasAsked, setHasAsked] = useState(false);
  const frames = useFrames(useFileOptions(session));
  const logged = useMemo(
    () => new Set(workspace.measurements.map((m) => m.id)),
    [workspace.measurements],
  );
  const practice = usePractice(tell);
  const { chosen, choose, step } = useChosen(frames.frames);
  const { view, setView, residual, setResidual } = useViews(shell, step);
  const [busy, run] = useOneAtATime(tell);
  const practise = () =>
    practice.begin(session, workspace.mounts, (lensId) => onChoice({ lensId, rigId: null }));
  const showPanel = view === 'frames' && chosen !== null;
  return (
    <Columns $chosen={showPanel}>
      <SessionPanel
        workspace={workspace}
        session={session}
        choice={choice}
        onChoice={onChoice}
        frames={frames}
        practice={practice}
        onPractise={practise}
        guide={
          isPractice(session) && (
            <Guide
              session={session}
              frames={frames.frames}
              practice={practice}
              hasAsked={hasAsked}
              logged={logged}
            />
          )
        }
      />
      <Middle aria-label="Frames and log">
        <ViewBar
          view={view}
          onView={setView}
          count={workspace.measurements.length}
          residual={view === 'frames' && chosen?.answer?.view ? residual : null}
          onResidual={setResidual}
        />
        {view === 'log' ? (
          <Log
            workspace={workspace}
            busy={busy}
            onAgain={(old) => run(() => measureAgain(old, frames))}
          />
        ) : (
          <FramesView
            frames={frames}
            session={session}
            chosen={chosen}
            residual={residual}
            logged={logged}
            onChoose={choose}
            onPractise={practise}
          />
        )}
      </Middle>
      {showPanel && (
        <FramePanel
          frame={chosen}
          frames={frames}
          session={session}
          judgement={workspace.judgement}
          logged={logged}
          busy={busy}
          onKeep={(what: Keep) => run(() => keepFrames(what, frames, session))}
          onAsked={() => setHasAsked(true)}
        />
      )}
    </Columns>
  );
}

function OpenMeasure({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const [choice, setChoice] = useState(lastChoice);
  const session = useMemo(() => sessionOf(workspace, choice), [workspace, choice]);
  useEffect(() => rememberChoice(choice), [choice]);
  const change = useCallback(
    (next: Partial<SessionChoice>) => setChoice((now) => ({ ...now, ...next })),
    [],
  );
  return (
    <>
      <RoomHeader room="measure" keys={shell.keys} fileActions={shell.fileActions} />
      {session ? (
        <OpenSession
          workspace={workspace}
          shell={shell}
          session={session}
          choice={choice}
          onChoice={change}
        />
      ) : (
        <EmptyRoom
          shell={shell}
          heading="Nothing to measure yet"
          words="A session needs a body and a lens: say what you have, or look at the demo first."
        />
      )}
      <ShellParts room="measure" shell={shell} workspace={workspace} shortcuts={SHORTCUTS} />
    </>
  );
}

/** Measure: the halo found in test frames, and the log of what was found. */
export function MeasureRoom() {
  return <RoomFrame>{(workspace) => <OpenMeasure workspace={workspace} />}</RoomFrame>;
}
