'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import { EmptyRoom } from '@/shell/EmptyRoom';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/header/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useShell } from '@/shell/useShell';
import { Choice } from '@/ui/controls/Choice';
import { MenuButton } from '@/ui/controls/MenuButton';
import { NameDialog } from '@/ui/controls/NameDialog';
import { OpenJob } from './OpenJob';
import { useJob, type JobInHand } from './useJob';

const JobPlace = styled.div`
  flex: 1;
  min-width: 0;
`;

const SHORTCUTS = [
  { keys: '/', does: 'search the rows' },
  { keys: 'n', does: 'the near misses, or what passes' },
];
/** Which job is in hand, and what can be done with it as a whole. */
function JobTools({ workspace, inHand }: { workspace: Workspace; inHand: JobInHand }) {
  const { job, isKept, choose, actions } = inHand;
  const groups = [
    {
      title: 'Jobs in this workspace',
      options: [
        ...(isKept || workspace.jobs.some((j) => j.id === job.id)
          ? []
          : [{ id: job.id, label: job.name, note: 'not kept yet' }]),
        ...workspace.jobs.map((j) => ({ id: j.id, label: j.name })),
      ],
    },
  ];
  return (
    <>
      <JobPlace>
        <Choice bare label="Job" groups={groups} chosen={job.id} onChoose={choose} />
      </JobPlace>
      <MenuButton label="Job" actions={actions} />
    </>
  );
}

function OpenChoose({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const inHand = useJob(workspace, shell.tell);
  const hasKit = workspace.bodies.length > 0 && workspace.lenses.length > 0;
  const tools = useMemo(
    () => hasKit && <JobTools workspace={workspace} inHand={inHand} />,
    [hasKit, workspace, inHand],
  );
  return (
    <>
      <RoomHeader room="choose" keys={shell.keys} fileActions={shell.fileActions}>
        {tools}
      </RoomHeader>
      {hasKit ? (
        <OpenJob workspace={workspace} shell={shell} inHand={inHand} />
      ) : (
        <EmptyRoom
          shell={shell}
          heading="Nothing to choose from yet"
          words="Choosing needs bodies and lenses: say what you have, or look at the demo first."
        />
      )}
      {inHand.isNaming && (
        <NameDialog
          what="job"
          name={inHand.job.name}
          onName={(name) => {
            inHand.rename(name);
            inHand.stopNaming();
          }}
          onClose={inHand.stopNaming}
        />
      )}
      <ShellParts room="choose" shell={shell} workspace={workspace} shortcuts={SHORTCUTS} />
    </>
  );
}

/** Choose: which rigs of the kit can do a job. */
export function ChooseRoom() {
  return <RoomFrame>{(workspace) => <OpenChoose workspace={workspace} />}</RoomFrame>;
}
