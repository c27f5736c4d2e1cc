'use client';
import type { Workspace } from '@/core/kit/records';
import { EmptyRoom } from '@/shell/EmptyRoom';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/header/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useShell, useStepping } from '@/shell/useShell';
import { OpenFraming } from './OpenFraming';
import { useFraming } from './useFraming';

const SHORTCUTS = [
  { keys: 'arrows', does: 'move the camera, person or lamps in hand on the plan' },
  { keys: 'e', does: 'keep the miller as large in every picture, or let each stand alone' },
  { keys: 'v', does: 'side by side, split, one over the other' },
];

function FramingOf({ workspace }: { workspace: Workspace }) {
  const framing = useFraming(workspace);
  const shell = useStepping(useShell(workspace), framing.steps);
  return (
    <>
      <RoomHeader
        room="framing"
        keys={shell.keys}
        steps={framing.steps}
        fileActions={shell.fileActions}
      />
      {workspace.rigs.length > 0 ? (
        <OpenFraming workspace={workspace} shell={shell} framing={framing} />
      ) : (
        <EmptyRoom
          shell={shell}
          heading="No rigs to look through yet"
          words="Framing shows one scene through several rigs: put one together first, or look at the demo."
        />
      )}
      <ShellParts room="framing" shell={shell} workspace={workspace} shortcuts={SHORTCUTS} />
    </>
  );
}

/** Framing: what the picture becomes. */
export function FramingRoom() {
  return <RoomFrame>{(workspace) => <FramingOf workspace={workspace} />}</RoomFrame>;
}
