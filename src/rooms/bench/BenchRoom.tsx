'use client';
import { useCallback, useMemo, useState } from 'react';
import type { Workspace } from '@/core/kit/records';
import { isMissing } from '@/core/rig';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/header/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useShell, useShellKeys, type Shell } from '@/shell/useShell';
import { ActingButton } from '@/ui/controls/Buttons';
import { NameDialog } from '@/ui/controls/NameDialog';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { BENCH_SHORTCUTS, benchKeys } from './benchKeys';
import { EmptyBench } from './EmptyBench';
import { RigOnBench } from './RigOnBench';
import { RigStrip } from './rigs/RigStrip';
import { RigTools } from './rigs/RigTools';
import { OtherWays } from './start/OtherWays';
import { StartPage } from './start/StartPage';
import { useBench, type Bench } from '@/shell/rig/useBench';
import { useLinkedRig } from '@/shell/files/useLinkedRig';
import { useComparison } from './rigs/useComparison';
import { usePin } from './stage/usePin';
import { useRigActions } from './rigs/useRigActions';

/** What the Bench asks, while there is nothing to put on it or somebody wants to tell of other gear. */
function useAsking(workspace: Workspace, bench: Bench) {
  const [isAsked, setAsked] = useState(false);
  const ask = useCallback(() => setAsked(true), []);
  const leave = useCallback(() => setAsked(false), []);
  const hasKit = workspace.bodies.length > 0 && workspace.lenses.length > 0;
  return { isAsking: isAsked || (!bench.record && !hasKit), isAsked, ask, leave };
}

interface StartingProps {
  workspace: Workspace;
  shell: Shell;
  asking: ReturnType<typeof useAsking>;
  onRig: (id: string) => void;
}

function Starting({ workspace, shell, asking, onRig }: StartingProps) {
  const { files, tell } = shell;
  return (
    <StartPage
      workspace={workspace}
      tell={tell}
      onRig={(id) => {
        onRig(id);
        asking.leave();
      }}
      others={
        asking.isAsked ? (
          <ActingButton onPress={asking.leave}>Back to the Bench</ActingButton>
        ) : (
          <OtherWays onDemo={files.demo} onOpen={files.open} />
        )
      }
    />
  );
}

function OpenBench({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const { tell, judge, files } = shell;
  const bench = useBench(workspace, tell);
  useLinkedRig(files.read, tell);
  const asking = useAsking(workspace, bench);
  const { record, actions } = bench;
  const rigs = useRigActions({ workspace, record, bench: actions, tell, onStart: asking.ask });
  const { ghost, pin } = usePin(bench);
  const [comparing, setComparing] = useState(false);
  const comparison = useComparison(workspace.rigs, record?.id ?? null);
  const now = useMemo(
    () =>
      bench.rig && !isMissing(bench.rig) && bench.report
        ? { rig: bench.rig, report: bench.report }
        : null,
    [bench.rig, bench.report],
  );
  const compare = useCallback(() => setComparing((open) => !open), []);

  useShellKeys(shell, benchKeys(workspace, bench, { pin, compare }));

  // The very same element while rings are turned, so that the bar above stands still.
  const tools = useMemo(
    () => (
      <RigTools
        rigs={workspace.rigs}
        record={record}
        onRig={actions.choose}
        rigActions={rigs.actions}
        comparing={comparing}
        onCompare={compare}
      />
    ),
    [workspace.rigs, record, actions, rigs.actions, comparing, compare],
  );
  return (
    <>
      <RoomHeader room="bench" keys={shell.keys} fileActions={shell.fileActions}>
        {!asking.isAsking && tools}
      </RoomHeader>
      {comparing && !asking.isAsking && (
        <RigStrip
          workspace={workspace}
          rigId={record?.id ?? null}
          now={now}
          ghost={ghost}
          comparison={comparison}
          onRig={actions.choose}
        />
      )}
      {asking.isAsking && (
        <Starting workspace={workspace} shell={shell} asking={asking} onRig={actions.choose} />
      )}
      {!asking.isAsking && record && (
        <RigOnBench
          workspace={workspace}
          bench={bench}
          ghost={ghost}
          onPin={pin}
          onJudge={judge}
          tell={tell}
        />
      )}
      {!asking.isAsking && !record && (
        <EmptyBench onOpen={files.open} onNewRig={rigs.create} onStart={asking.ask} />
      )}
      {rigs.naming && record && (
        <NameDialog
          what="rig"
          name={record.name}
          onName={(name) => {
            actions.change('Rename a rig', { name });
            rigs.stopNaming();
          }}
          onClose={rigs.stopNaming}
        />
      )}
      <ShellParts room="bench" shell={shell} workspace={workspace} shortcuts={BENCH_SHORTCUTS} />
      <RibbonPatterns />
    </>
  );
}

/** The Bench: one rig, its halo on the sensor, and what can be turned. */
export function BenchRoom() {
  return <RoomFrame>{(workspace) => <OpenBench workspace={workspace} />}</RoomFrame>;
}
