'use client';
import { useCallback, useMemo, useState } from 'react';
import type { Workspace } from '@/core/kit/records/workspace';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useShell, useShellKeys } from '@/shell/useShell';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { BENCH_SHORTCUTS, benchKeys } from './benchKeys';
import { EmptyBench } from './EmptyBench';
import { RigNameDialog } from './RigNameDialog';
import { RigOnBench } from './RigOnBench';
import { RigStrip } from './RigStrip';
import { RigTools } from './RigTools';
import { useBench } from './useBench';
import { usePin } from './usePin';
import { useRigActions } from './useRigActions';

function OpenBench({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const { tell, judge, files } = shell;
  const bench = useBench(workspace, tell);
  const rigs = useRigActions(workspace, bench.record, bench.actions, tell);
  const { ghost, pin } = usePin(bench);
  const [comparing, setComparing] = useState(false);
  const compare = useCallback(() => setComparing((open) => !open), []);
  const { record, actions } = bench;

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
        {tools}
      </RoomHeader>
      {comparing && (
        <RigStrip
          workspace={workspace}
          rigId={record?.id ?? null}
          report={bench.report}
          ghost={ghost}
          onRig={actions.choose}
        />
      )}
      {record ? (
        <RigOnBench workspace={workspace} bench={bench} ghost={ghost} onPin={pin} onJudge={judge} />
      ) : (
        <EmptyBench
          hasKit={workspace.bodies.length > 0 && workspace.lenses.length > 0}
          onDemo={files.demo}
          onOpen={files.open}
          onNewRig={rigs.create}
        />
      )}
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
      <ShellParts shell={shell} workspace={workspace} shortcuts={BENCH_SHORTCUTS} />
      <RibbonPatterns />
    </>
  );
}

/** The Bench: one rig, its halo on the sensor, and what can be turned. */
export function BenchRoom({ loadDemoWhenEmpty }: { loadDemoWhenEmpty: boolean }) {
  return (
    <RoomFrame loadDemoWhenEmpty={loadDemoWhenEmpty}>
      {(workspace) => <OpenBench workspace={workspace} />}
    </RoomFrame>
  );
}
