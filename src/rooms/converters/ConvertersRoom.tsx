'use client';
import { useMemo, useState } from 'react';
import { readWith, withQuery } from '@/core/exchange/converterLink';
import type { Workspace } from '@/core/kit/records/workspace';
import { isMissing } from '@/core/rig/rig';
import { EmptyRoom } from '@/shell/EmptyRoom';
import { LackingRig } from '@/shell/LackingRig';
import { RigTool } from '@/shell/RigTool';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
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
  const { record, rig, actions } = bench;
  const tools = useMemo(
    () => record && <RigTool rigs={workspace.rigs} chosen={record.id} onChoose={actions.choose} />,
    [workspace.rigs, record, actions],
  );
  return (
    <>
      <RoomHeader room="converters" keys={shell.keys} fileActions={shell.fileActions}>
        {tools}
      </RoomHeader>
      {record && rig ? (
        isMissing(rig) ? (
          <LackingRig shell={shell} missing={rig.missing} />
        ) : (
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
        )
      ) : (
        <EmptyRoom
          shell={shell}
          heading="No rig to weigh converters on yet"
          words="A converter is weighed on a lens and a body: put a rig together first, or look at the demo."
        />
      )}
      <ShellParts room="converters" shell={shell} workspace={workspace} shortcuts={SHORTCUTS} />
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
