'use client';
import styled from 'styled-components';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { engraved } from '@/ui/theme/type';
import { COMMON_SHORTCUTS, type Shortcut } from './keys';
import { OFFLINE_WORDS, useOffline } from './offline';
import { ROOMS, type RoomId } from './rooms';

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  dt {
    ${engraved}
    white-space: nowrap;
  }
  dd {
    color: var(--muted);
  }
`;

const Lines = styled.ol`
  display: grid;
  gap: 4px;
  padding-left: 18px;
  list-style: decimal;
`;

const Heading = styled.h3`
  color: var(--muted);
`;

interface HelpDialogProps {
  room: RoomId;
  /** Keys of the room in hand. */
  shortcuts: readonly Shortcut[];
  onClose: () => void;
}

/** The room in hand in five lines, and its keys. */
export function HelpDialog({ room, shortcuts, onClose }: HelpDialogProps) {
  const { name, help } = ROOMS[room];
  const { offline } = useOffline();
  return (
    <DialogSheet title={`${name}, in five lines`} open onClose={onClose}>
      <Lines>
        {help.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Lines>
      <Heading>By keyboard</Heading>
      <Keys>
        {[...COMMON_SHORTCUTS, ...shortcuts].map(({ keys, does }) => (
          <div key={keys} style={{ display: 'contents' }}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </Keys>
      {OFFLINE_WORDS[offline] && <p>{OFFLINE_WORDS[offline]}</p>}
      <p>The program is a planner: makers’ data and your own check come first.</p>
    </DialogSheet>
  );
}
