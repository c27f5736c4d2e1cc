'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import { evaluate } from '@/core/rig/evaluate';
import { isMissing } from '@/core/rig/rig';
import { applied } from '@/core/rig/wayIdeas';
import type { Way } from '@/core/rig/waysOut';
import type { Workspace } from '@/core/kit/workspace';
import { loadDemoIfNew } from '@/store/demo';
import { db } from '@/store/instance';
import { redo, undo } from '@/store/journal';
import { useWorkspace } from '@/store/useWorkspace';
import { setJudgement } from '@/store/workspace';
import { Notice, type NoticeText } from '@/ui/controls/Notice';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { PHONE } from '@/ui/theme/type';
import { useTheme } from '@/ui/theme/useTheme';
import { EmptyBench } from './EmptyBench';
import { Header } from './Header';
import { HelpDialog } from './HelpDialog';
import { ImportDialog } from './ImportDialog';
import { Readings } from './Readings';
import { RigNameDialog } from './RigNameDialog';
import { RigRings } from './RigRings';
import { actOnKey, type BenchKeys } from './shortcuts';
import { StagePlace } from './StagePlace';
import { TrainPanel } from './TrainPanel';
import { useBench, type Bench } from './useBench';
import { guarded, type Tell } from './tell';
import { useFiles } from './useFiles';
import { useRigActions } from './useRigActions';
import { WaysOut } from './WaysOut';

const Room = styled.div`
  height: 100dvh;
  display: flex;
  flex-direction: column;
  @media ${PHONE} {
    height: auto;
    min-height: 100dvh;
  }
`;

const Columns = styled.main`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) auto / 232px minmax(0, 1fr) 336px;
  grid-template-areas: 'train stage readings' 'train rings readings';
  > :nth-child(1) {
    grid-area: train;
  }
  > :nth-child(2) {
    grid-area: stage;
  }
  > :nth-child(3) {
    grid-area: rings;
  }
  > :nth-child(4) {
    grid-area: readings;
  }
  @media ${PHONE} {
    grid-template: min(78vw, 420px) auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'stage' 'rings' 'readings' 'train';
  }
`;

const Quiet = styled.p`
  margin: auto;
  padding: 24px;
  max-width: 560px;
  color: var(--muted);
  font-size: 15px;
`;

const Lacking = styled.div`
  display: grid;
  place-items: center;
  padding: 24px;
  background: var(--well);
  font-size: 15px;
`;

/** The listening end of the keyboard map. */
function useKeys(keys: BenchKeys): void {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (actOnKey(event, latest.current)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

const focusRing = (name: string) =>
  document.querySelector<HTMLElement>(`[data-ring="${name}"]`)?.focus();

interface BodyProps {
  workspace: Workspace;
  bench: Bench;
  tell: Tell;
}

/** The rig on the Bench, or what it lacks. */
function RigOnBench({ workspace, bench, tell }: BodyProps) {
  const { record, rig, report, actions } = bench;
  const judge = useCallback(
    (judgement: Workspace['judgement']) => {
      guarded(tell, () => setJudgement(db, judgement));
    },
    [tell],
  );
  const whole = rig && !isMissing(rig) ? rig : null;
  const [previewed, setPreviewed] = useState<Way | null>(null);
  const preview = useMemo(
    () => (whole && previewed ? evaluate(applied(whole, previewed.change, workspace.parts)) : null),
    [whole, previewed, workspace.parts],
  );
  if (!record || !rig) return null;
  return (
    <Columns>
      <TrainPanel workspace={workspace} bench={bench} record={record} />
      {isMissing(rig) || !report ? (
        <Lacking role="status">
          <p>
            This rig asks for a {isMissing(rig) ? rig.missing : 'record'} that is not in the
            workspace
            {isMissing(rig) ? ` (“${rig.id}”)` : ''}. Choose another in the light path.
          </p>
        </Lacking>
      ) : (
        <>
          <StagePlace
            rig={rig}
            report={preview ?? report}
            preview={previewed && preview ? `If: ${previewed.words}` : null}
            actions={actions}
          />
          <RigRings rig={rig} actions={bench.actions} />
          <Readings
            key={record.id}
            rig={rig}
            report={report}
            onJudge={judge}
            ways={(startsOpen) => (
              <WaysOut
                rig={rig}
                kit={workspace.parts}
                clear={report.verdict.kind === 'Clear'}
                startsOpen={startsOpen}
                onPreview={setPreviewed}
                onApply={actions.apply}
              />
            )}
          />
        </>
      )}
    </Columns>
  );
}

interface OpenFileProps {
  files: ReturnType<typeof useFiles>;
  here: Workspace;
}

/** The browser's file picker, and what a picked file would bring. */
function OpenFile({ files, here }: OpenFileProps) {
  return (
    <>
      <input
        ref={files.input}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Workspace file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void files.read(file);
        }}
      />
      {files.pending && (
        <ImportDialog
          pending={files.pending}
          here={here}
          onChoose={files.write}
          onClose={files.leave}
        />
      )}
    </>
  );
}

/** Steps back and forward in the journal. */
const useJournal = (tell: Tell) =>
  useMemo(
    () => ({
      undo: () => guarded(tell, () => undo(db)),
      redo: () => guarded(tell, () => redo(db)),
    }),
    [tell],
  );

function OpenBench({ workspace }: { workspace: Workspace }) {
  const [notice, setNotice] = useState<NoticeText | null>(null);
  const [helping, setHelping] = useState(false);
  const say = useCallback((text: string) => setNotice({ kind: 'trouble', text }), []);
  const bench = useBench(workspace, say);
  const journal = useJournal(setNotice);
  const files = useFiles(workspace, setNotice);
  const rigs = useRigActions(workspace, bench.record, bench.actions, setNotice);
  const [, turnTheme] = useTheme();
  const closeNotice = useCallback(() => setNotice(null), []);
  const help = useCallback(() => setHelping(true), []);
  const { record, actions } = bench;

  useKeys({
    ...journal,
    nextRig: (step) => {
      const i = workspace.rigs.findIndex((r) => r.id === record?.id);
      const next = workspace.rigs[(i + step + workspace.rigs.length) % workspace.rigs.length];
      if (next) actions.choose(next.id);
    },
    ring: focusRing,
    stabiliser: () => {
      if (record)
        actions.settle('Switch the stabiliser', { stabiliser: !record.settings.stabiliser });
    },
    theme: turnTheme,
    help,
  });

  return (
    <>
      <Header
        rigs={workspace.rigs}
        record={record}
        onRig={actions.choose}
        rigActions={rigs.actions}
        fileActions={files.actions}
        onUndo={journal.undo}
        onRedo={journal.redo}
        onHelp={help}
      />
      {record ? (
        <RigOnBench workspace={workspace} bench={bench} tell={setNotice} />
      ) : (
        <EmptyBench
          hasKit={workspace.bodies.length > 0 && workspace.lenses.length > 0}
          onDemo={files.demo}
          onOpen={files.open}
          onNewRig={rigs.create}
        />
      )}
      <OpenFile files={files} here={workspace} />
      {rigs.naming && record && (
        <RigNameDialog
          name={record.name}
          onName={(name) => {
            actions.change('Rename a rig', { name });
            rigs.stopNaming();
          }}
          onClose={rigs.stopNaming}
        />
      )}
      {helping && <HelpDialog onClose={() => setHelping(false)} />}
      <Notice notice={notice} onClose={closeNotice} />
      <RibbonPatterns />
    </>
  );
}

/** Loads the demo into a new program if asked; null until that is settled, then whether it was loaded. */
function useDemo(wanted: boolean): boolean | null {
  const [loaded, setLoaded] = useState<boolean | null>(wanted ? null : false);
  useEffect(() => {
    if (!wanted) return;
    loadDemoIfNew(db).then(setLoaded, () => setLoaded(false));
  }, [wanted]);
  return loaded;
}

/** The Bench: one rig, its halo on the sensor, and what can be turned. */
export function BenchRoom({ loadDemoWhenEmpty }: { loadDemoWhenEmpty: boolean }) {
  const open = useWorkspace();
  const demoLoaded = useDemo(loadDemoWhenEmpty);
  const waiting =
    open.state === 'opening' ||
    demoLoaded === null ||
    // A demo just loaded has yet to arrive here, kit and rigs each in their turn.
    (demoLoaded &&
      open.state === 'open' &&
      (open.workspace.rigs.length === 0 || open.workspace.lenses.length === 0));
  return (
    <Room>
      {open.state === 'failed' && <Quiet role="alert">{open.sentence}</Quiet>}
      {open.state !== 'failed' && waiting && <Quiet>Opening the workspace…</Quiet>}
      {open.state === 'open' && !waiting && <OpenBench workspace={open.workspace} />}
    </Room>
  );
}
