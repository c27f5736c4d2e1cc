'use client';
import styled from 'styled-components';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { engraved } from '@/ui/theme/type';
import { COMMON_SHORTCUTS, type Shortcut } from './keys';
import { OFFLINE_WORDS, useOffline } from '../offline/offline';
import { ROOM_IDS, ROOMS, type RoomId } from '../rooms';

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 18px;
  dt {
    ${engraved}
    max-width: 190px;
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

const Other = styled.details`
  summary {
    cursor: pointer;
    color: var(--muted);
  }
  b {
    color: var(--ink);
    font-weight: 600;
  }
`;

const FiveLines = ({ lines }: { lines: readonly string[] }) => (
  <Lines>
    {lines.map((line) => (
      <li key={line}>{line}</li>
    ))}
  </Lines>
);

interface HelpDialogProps {
  room: RoomId;
  /** Keys of the room in hand. */
  shortcuts: readonly Shortcut[];
  onClose: () => void;
}

/** The room in hand in five lines, and its keys; the others in one line each, to be opened. */
export function HelpDialog({ room, shortcuts, onClose }: HelpDialogProps) {
  const { name, line, help } = ROOMS[room];
  const { offline } = useOffline();
  return (
    <DialogSheet title={`${name}, in five lines`} open onClose={onClose}>
      <p>{line}</p>
      <FiveLines lines={help} />
      <Heading>By keyboard</Heading>
      <Keys>
        {[...COMMON_SHORTCUTS, ...shortcuts].map(({ keys, does }) => (
          <div key={keys} style={{ display: 'contents' }}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </Keys>
      <Heading>The other rooms</Heading>
      {ROOM_IDS.filter((id) => id !== room).map((id) => (
        <Other key={id}>
          <summary>
            <b>{ROOMS[id].name}</b> {ROOMS[id].line}
          </summary>
          <FiveLines lines={ROOMS[id].help} />
        </Other>
      ))}
      {OFFLINE_WORDS[offline] && <p>{OFFLINE_WORDS[offline]}</p>}
      <p>The program is a planner: makers’ data and your own check come first.</p>
    </DialogSheet>
  );
}
