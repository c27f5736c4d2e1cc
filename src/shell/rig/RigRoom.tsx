'use client';
import { useMemo, type ComponentType } from 'react';
import styled from 'styled-components';
import type { RigRecord, Workspace } from '@/core/kit/records';
import { isMissing, type MissingRecord, type Rig } from '@/core/rig';
import { RigChoice } from '@/gear/GearChoice';
import { rigOptions } from '@/gear/options';
import { MainLink } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import { EmptyRoom } from '../EmptyRoom';
import type { Shortcut } from '../header/keys';
import { RoomHeader } from '../header/RoomHeader';
import { RoomFrame } from '../RoomFrame';
import { ROOMS, type RoomId } from '../rooms';
import { ShellParts } from '../ShellParts';
import { useShell, useShellKeys, type Shell } from '../useShell';

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

/** A rig in hand, as a room works with it. */
export interface RigInHand {
  record: RigRecord | null;
  /** Or what it lacks. */
  rig: Rig | MissingRecord | null;
  /** Takes another rig in hand. */
  chooseRig: (id: string) => void;
}

/** What a room that looks at one rig is opened with. */
export interface OpenRigProps<InHand> {
  workspace: Workspace;
  shell: Shell;
  inHand: InHand;
  record: RigRecord;
  rig: Rig;
}

interface RigRoomOf<InHand extends RigInHand> {
  room: RoomId;
  shortcuts: readonly Shortcut[];
  /** What is said where there is no rig. */
  heading: string;
  words: string;
  /** The rig in hand, with whatever else the room keeps beside it. */
  useInHand: (workspace: Workspace, shell: Shell) => InHand;
  Open: ComponentType<OpenRigProps<InHand>>;
}

/** A room that looks at one rig: which it is, the room itself, and what is said where there is none to look at. */
export function rigRoom<InHand extends RigInHand>(told: RigRoomOf<InHand>) {
  const { room, shortcuts, heading, words, useInHand, Open } = told;
  function RoomOf({ workspace }: { workspace: Workspace }) {
    const shell = useShell(workspace);
    const inHand = useInHand(workspace, shell);
    const { record, rig, chooseRig } = inHand;
    const { rigs } = workspace;
    const chosen = record?.id ?? null;
    // The very same element while rings are turned, so that the bar above stands still.
    const tools = useMemo(
      () =>
        chosen !== null && (
          <ChoicePlace>
            <RigChoice bare groups={[rigOptions(rigs)]} chosen={chosen} onChoose={chooseRig} />
          </ChoicePlace>
        ),
      [rigs, chosen, chooseRig],
    );
    return (
      <>
        <RoomHeader room={room} keys={shell.keys} fileActions={shell.fileActions}>
          {tools}
        </RoomHeader>
        {!record || !rig ? (
          <EmptyRoom shell={shell} heading={heading} words={words} />
        ) : isMissing(rig) ? (
          <LackingRig shell={shell} missing={rig.missing} />
        ) : (
          <Open workspace={workspace} shell={shell} inHand={inHand} record={record} rig={rig} />
        )}
        <ShellParts room={room} shell={shell} workspace={workspace} shortcuts={shortcuts} />
      </>
    );
  }
  return function RigRoom() {
    return <RoomFrame>{(workspace) => <RoomOf workspace={workspace} />}</RoomFrame>;
  };
}
