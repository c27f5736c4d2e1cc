'use client';
import { Ellipsis, Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { memo } from 'react';
import styled from 'styled-components';
import { useSteps } from '@/store/useWorkspace';
import type { OwnSteps } from '@/ui/useHistory';
import { IconButton } from '@/ui/controls/Buttons';
import { MenuButton, type MenuAction } from '@/ui/controls/MenuButton';
import { PHONE } from '@/ui/theme/type';
import { useTheme } from '@/ui/theme/useTheme';
import type { CommonKeys } from './keys';
import { ROOM_IDS, ROOMS, type RoomId } from '../rooms';

/** So many rooms stand at the foot of a phone's screen; the rest are behind the last place. */
const ON_PHONE = 4;

const Bar = styled.header`
  height: var(--header);
  flex: none;
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 0 12px 0 14px;
  border-bottom: 1px solid var(--line);
  @media ${PHONE} {
    position: sticky;
    top: 0;
    z-index: 20;
    gap: 0;
    padding: 0 4px 0 10px;
    background: var(--ground);
  }
`;

const Brand = styled.div`
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 15px;
  font-weight: 650;
  white-space: nowrap;
  @media ${PHONE} {
    span {
      display: none;
    }
  }
`;

/* On a phone the rooms are a row at the foot of the screen, in reach of a thumb. */
const Rooms = styled.nav`
  display: flex;
  margin-left: 22px;
  a {
    display: flex;
    align-items: center;
    gap: 6px;
    padding: 12px 8px 11px;
    border-bottom: 2px solid transparent;
    color: var(--muted);
    text-decoration: none;
  }
  a:hover {
    color: var(--ink);
  }
  a[aria-current='page'] {
    color: var(--ink);
    border-color: var(--amber);
  }
  @media ${PHONE} {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 30;
    margin: 0;
    padding-bottom: env(safe-area-inset-bottom);
    background: var(--ground);
    border-top: 1px solid var(--line);
    a {
      flex: 1;
      flex-direction: column;
      gap: 2px;
      padding: 6px 0 5px;
      border: 0;
      border-top: 2px solid transparent;
      font-size: 11px;
    }
    a[data-on-phone='false'] {
      display: none;
    }
  }
`;

/* The last place at the foot of a phone's screen: the room in hand where it is one of the rest. */
const TheRest = styled.div`
  display: none;
  @media ${PHONE} {
    flex: 1;
    display: grid;
    button {
      display: flex;
      flex-direction: column;
      align-items: center;
      gap: 2px;
      padding: 6px 0 5px;
      border-radius: 0;
      border-top: 2px solid transparent;
      color: var(--muted);
      font-size: 11px;
    }
    &[data-current='true'] button {
      color: var(--ink);
      border-color: var(--amber);
    }
  }
`;

/** What belongs to the room in hand. */
const Middle = styled.div`
  margin-left: auto;
  min-width: 0;
  max-width: 440px;
  display: flex;
  align-items: center;
  @media ${PHONE} {
    flex: 1;
    margin: 0 0 0 8px;
    max-width: none;
  }
`;

const Tools = styled.div`
  display: flex;
  align-items: center;
  @media ${PHONE} {
    margin-left: auto;
  }
`;

/** Where there is room beside the rig in hand; on a phone they stand in the menu. */
const Roomy = styled.div`
  display: flex;
  align-items: center;
  @media ${PHONE} {
    display: none;
  }
`;

const Narrow = styled.div`
  display: none;
  @media ${PHONE} {
    display: block;
  }
`;

const Mark = () => (
  <svg width="24" height="20" viewBox="0 0 24 20" fill="none" aria-hidden="true">
    <circle cx="14" cy="10" r="8" stroke="var(--amber)" strokeWidth="1.75" />
    <rect x="1.5" y="5.5" width="15" height="10" stroke="var(--ink)" strokeWidth="1.75" />
  </svg>
);

/** The rooms, the one in hand marked. */
function RoomsNav({ room, visit }: { room: RoomId; visit: CommonKeys['visit'] }) {
  const isOfRest = ROOM_IDS.indexOf(room) >= ON_PHONE;
  const { name, icon } = ROOMS[room];
  const RestIcon = isOfRest ? icon : Ellipsis;
  return (
    <Rooms aria-label="Rooms">
      {ROOM_IDS.map((id, i) => {
        const { path, name, key, icon: Icon, line } = ROOMS[id];
        return (
          <Link
            key={id}
            href={path}
            title={line}
            aria-current={id === room ? 'page' : undefined}
            aria-keyshortcuts={`Shift+${key}`}
            data-on-phone={i < ON_PHONE}
          >
            <Icon size={15} aria-hidden="true" />
            {name}
          </Link>
        );
      })}
      <TheRest data-current={isOfRest}>
        <MenuButton
          label={isOfRest ? `${name}, and more rooms` : 'More rooms'}
          actions={ROOM_IDS.slice(ON_PHONE).map((id) => ({
            id,
            label: ROOMS[id].name,
            note: ROOMS[id].line,
            act: () => visit(ROOMS[id].path),
          }))}
        >
          <RestIcon size={15} aria-hidden="true" />
          {isOfRest ? name : 'More'}
        </MenuButton>
      </TheRest>
    </Rooms>
  );
}

interface RoomHeaderProps {
  room: RoomId;
  keys: CommonKeys;
  /** Steps of the room itself; those of the workspace come after them. */
  steps?: OwnSteps;
  fileActions: readonly MenuAction[];
  children?: React.ReactNode;
}

/** The bar above every room. It stands still while rings are turned. */
export const RoomHeader = memo(function RoomHeader(props: RoomHeaderProps) {
  const { room, keys, fileActions, children } = props;
  const stored = useSteps();
  const steps = {
    undo: props.steps?.undo ?? stored.undo,
    redo: props.steps?.redo ?? stored.redo,
  };
  const [theme] = useTheme();
  const otherTheme = theme === 'dark' ? 'Daylight theme' : 'Dark theme';
  const onPhone: readonly MenuAction[] = [
    { id: 'theme', label: otherTheme, act: keys.theme },
    { id: 'help', label: 'Help', act: keys.help },
  ];
  return (
    <Bar>
      <Brand>
        <Mark />
        <span>Wandering Halo</span>
      </Brand>
      <RoomsNav room={room} visit={keys.visit} />
      <Middle>{children}</Middle>
      <Tools>
        <Roomy>
          <MenuButton label="File" actions={fileActions} />
        </Roomy>
        <Narrow>
          <MenuButton label="File" actions={[...fileActions, ...onPhone]} />
        </Narrow>
        <IconButton
          label={steps.undo ? `Undo: ${steps.undo}` : 'Nothing to undo'}
          isDisabled={!steps.undo}
          onPress={keys.undo}
        >
          <Undo2 size={16} aria-hidden="true" />
        </IconButton>
        <IconButton
          label={steps.redo ? `Redo: ${steps.redo}` : 'Nothing to redo'}
          isDisabled={!steps.redo}
          onPress={keys.redo}
        >
          <Redo2 size={16} aria-hidden="true" />
        </IconButton>
        <Roomy>
          <IconButton label={otherTheme} onPress={keys.theme}>
            {theme === 'dark' ? (
              <Sun size={16} aria-hidden="true" />
            ) : (
              <Moon size={16} aria-hidden="true" />
            )}
          </IconButton>
          <IconButton label="Help" onPress={keys.help}>
            ?
          </IconButton>
        </Roomy>
      </Tools>
    </Bar>
  );
});
