'use client';
import { useMemo } from 'react';
import type { Workspace } from '@/core/kit/records/workspace';
import { isMissing } from '@/core/rig/rig';
import { EmptyRoom } from '@/shell/EmptyRoom';
import { RigTool } from '@/shell/RigTool';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { LackingRig } from '@/shell/LackingRig';
import { useShell } from '@/shell/useShell';
import { OpenSheet } from './OpenSheet';
import { useSweep } from './useSweep';

const SHORTCUTS = [
  { keys: 'arrows', does: 'from frame to frame, on the sheet' },
  { keys: 'Enter', does: 'put the frame in hand on the Bench' },
  { keys: 'c', does: 'corner stops under the frames, or none' },
  { keys: 'x', does: 'turn the sheet over: down becomes across' },
];
function OpenSweep({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const sweeping = useSweep(workspace);
  const { record, rig, chooseRig } = sweeping;
  const tools = useMemo(
    () => record && <RigTool rigs={workspace.rigs} chosen={record.id} onChoose={chooseRig} />,
    [workspace.rigs, record, chooseRig],
  );
  return (
    <>
      <RoomHeader room="sweep" keys={shell.keys} fileActions={shell.fileActions}>
        {tools}
      </RoomHeader>
      {record && rig ? (
        isMissing(rig) ? (
          <LackingRig shell={shell} missing={rig.missing} />
        ) : (
          <OpenSheet
            key={record.id}
            workspace={workspace}
            shell={shell}
            sweeping={sweeping}
            record={record}
            rig={rig}
          />
        )
      ) : (
        <EmptyRoom
          shell={shell}
          heading="No rig to sweep yet"
          words="A sweep looks over every setting of a rig: put one together first, or look at the demo."
        />
      )}
      <ShellParts room="sweep" shell={shell} workspace={workspace} shortcuts={SHORTCUTS} />
    </>
  );
}

/** Sweep: a rig over its settings, as a sheet of frames. */
export function SweepRoom({ loadDemoWhenEmpty }: { loadDemoWhenEmpty: boolean }) {
  return (
    <RoomFrame loadDemoWhenEmpty={loadDemoWhenEmpty}>
      {(workspace) => <OpenSweep workspace={workspace} />}
    </RoomFrame>
  );
}
