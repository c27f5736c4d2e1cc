'use client';
import { useState } from 'react';
import { readWith, withQuery } from '@/core/exchange/converterLink';
import type { Workspace } from '@/core/kit/records/workspace';
import { RigRoom } from '@/shell/RigRoom';
import { RoomFrame } from '@/shell/RoomFrame';
import { useBench } from '@/shell/useBench';
import { useShell } from '@/shell/useShell';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { OpenWeighing } from './OpenWeighing';

const SHORTCUTS = [
  { keys: 'p', does: 'play between bare and converted' },
  { keys: '[ ]', does: 'the converter before, the next one' },
];

function OpenConverters({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const [chosen, setChosen] = useState<string | null>(() =>
    typeof window === 'undefined' ? null : readWith(window.location.search),
  );
  const bench = useBench(workspace, shell.tell, withQuery(chosen));
  return (
    <>
      <RigRoom
        room="converters"
        shell={shell}
        workspace={workspace}
        shortcuts={SHORTCUTS}
        record={bench.record}
        rig={bench.rig}
        onRig={bench.actions.choose}
        heading="No rig to weigh converters on yet"
        words="A converter is weighed on a lens and a body: put a rig together first, or look at the demo."
      >
        {(record, rig) => (
          <OpenWeighing
            key={record.id}
            workspace={workspace}
            shell={shell}
            bench={bench}
            record={record}
            rig={rig}
            chosen={chosen}
            onChoose={setChosen}
          />
        )}
      </RigRoom>
      <RibbonPatterns />
    </>
  );
}

/** Converters: what the glass does, against cropping and stepping closer. */
export function ConvertersRoom({ loadDemoWhenEmpty }: { loadDemoWhenEmpty: boolean }) {
  return (
    <RoomFrame loadDemoWhenEmpty={loadDemoWhenEmpty}>
      {(workspace) => <OpenConverters workspace={workspace} />}
    </RoomFrame>
  );
}
