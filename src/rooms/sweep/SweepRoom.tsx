'use client';
import type { Workspace } from '@/core/kit/records/workspace';
import { RigRoom } from '@/shell/RigRoom';
import { RoomFrame } from '@/shell/RoomFrame';
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
  return (
    <RigRoom
      room="sweep"
      shell={shell}
      workspace={workspace}
      shortcuts={SHORTCUTS}
      record={sweeping.record}
      rig={sweeping.rig}
      onRig={sweeping.chooseRig}
      heading="No rig to sweep yet"
      words="A sweep looks over every setting of a rig: put one together first, or look at the demo."
    >
      {(record, rig) => (
        <OpenSheet
          key={record.id}
          workspace={workspace}
          shell={shell}
          sweeping={sweeping}
          record={record}
          rig={rig}
        />
      )}
    </RigRoom>
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
