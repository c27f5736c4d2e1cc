'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { RigRecord } from '@/core/kit/records/rigRecord';
import type { Workspace } from '@/core/kit/records/workspace';
import { isMissing, type MissingRecord, type Rig } from '@/core/rig/rig';
import { RigChoice } from '@/gear/GearChoice';
import { rigOptions } from '@/gear/options';
import { MainLink } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import { EmptyRoom } from './EmptyRoom';
import type { Shortcut } from './keys';
import { RoomHeader } from './RoomHeader';
import { ROOMS, type RoomId } from './rooms';
import { ShellParts } from './ShellParts';
import { useShellKeys, type Shell } from './useShell';

const ChoicePlace = styled.div`
  flex: 1;
  min-width: 0;
`;

const NO_KEYS = {};

/** In place of a rig that names a record which is not there. */
function LackingRig({ shell, missing }: { shell: Shell; missing: string }) {
  useShellKeys(shell, NO_KEYS);
  return (
    <EmptyPlace>
      <h1>This rig lacks its {missing}</h1>
      <p>It was deleted from the kit, or never came with the file. Choose another on the Bench.</p>
      <FirstActs>
        <MainLink href={ROOMS.bench.path}>To the Bench</MainLink>
      </FirstActs>
    </EmptyPlace>
  );
}

interface RigRoomProps {
  room: RoomId;
  shell: Shell;
  workspace: Workspace;
  shortcuts: readonly Shortcut[];
  record: RigRecord | null;
  /** The rig in hand, or what it lacks. */
  rig: Rig | MissingRecord | null;
  onRig: (id: string) => void;
  /** What is said where there is no rig. */
  heading: string;
  words: string;
  children: (record: RigRecord, rig: Rig) => React.ReactNode;
}

/** What a room stands in that looks at one rig: which it is, and what is said where there is none to look at. */
export function RigRoom(props: RigRoomProps) {
  const { room, shell, workspace, shortcuts, record, rig, onRig, heading, words, children } = props;
  const { rigs } = workspace;
  const chosen = record?.id ?? null;
  // The very same element while rings are turned, so that the bar above stands still.
  const tools = useMemo(
    () =>
      chosen !== null && (
        <ChoicePlace>
          <RigChoice bare groups={[rigOptions(rigs)]} chosen={chosen} onChoose={onRig} />
        </ChoicePlace>
      ),
    [rigs, chosen, onRig],
  );
  return (
    <>
      <RoomHeader room={room} keys={shell.keys} fileActions={shell.fileActions}>
        {tools}
      </RoomHeader>
      {record && rig ? (
        isMissing(rig) ? (
          <LackingRig shell={shell} missing={rig.missing} />
        ) : (
          children(record, rig)
        )
      ) : (
        <EmptyRoom shell={shell} heading={heading} words={words} />
      )}
      <ShellParts room={room} shell={shell} workspace={workspace} shortcuts={shortcuts} />
    </>
  );
}
