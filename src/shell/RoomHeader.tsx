'use client';
import { Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { memo } from 'react';
import styled from 'styled-components';
import { useSteps } from '@/store/useWorkspace';
import { IconButton } from '@/ui/controls/Buttons';
import { MenuButton, type MenuAction } from '@/ui/controls/MenuButton';
import { PHONE } from '@/ui/theme/type';
import { useTheme } from '@/ui/theme/useTheme';
import type { CommonKeys } from './keys';
import { ROOM_IDS, ROOMS, type RoomId } from './rooms';

const Bar = styled.header`
  height: var(--header);
  flex: none;
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 0 12px 0 14px;
  border-bottom: 1px solid var(--line);
  @media ${PHONE} {
    flex-wrap: wrap;
    height: auto;
    padding: 6px 10px;
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
    margin-left: 4px;
    a {
      padding: 8px 7px 7px;
    }
    svg {
      display: none;
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
    order: 3;
    margin: 0;
    flex: 1 1 100%;
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

const Mark = () => (
  <svg width="24" height="20" viewBox="0 0 24 20" fill="none" aria-hidden="true">
    <circle cx="14" cy="10" r="8" stroke="var(--amber)" strokeWidth="1.75" />
    <rect x="1.5" y="5.5" width="15" height="10" stroke="var(--ink)" strokeWidth="1.75" />
  </svg>
);

interface RoomHeaderProps {
  room: RoomId;
  keys: CommonKeys;
  fileActions: readonly MenuAction[];
  children?: React.ReactNode;
}

/** The bar above every room. It stands still while rings are turned. */
export const RoomHeader = memo(function RoomHeader(props: RoomHeaderProps) {
  const { room, keys, fileActions, children } = props;
  const steps = useSteps();
  const [theme] = useTheme();
  return (
    <Bar>
      <Brand>
        <Mark />
        <span>Wandering Halo</span>
      </Brand>
      <Rooms aria-label="Rooms">
        {ROOM_IDS.map((id) => {
          const { path, name, key, icon: Icon } = ROOMS[id];
          return (
            <Link
              key={id}
              href={path}
              aria-current={id === room ? 'page' : undefined}
              aria-keyshortcuts={`Shift+${key}`}
            >
              <Icon size={15} aria-hidden="true" />
              {name}
            </Link>
          );
        })}
      </Rooms>
      <Middle>{children}</Middle>
      <Tools>
        <MenuButton label="File" actions={fileActions} />
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
        <IconButton label={theme === 'dark' ? 'Daylight theme' : 'Dark theme'} onPress={keys.theme}>
          {theme === 'dark' ? (
            <Sun size={16} aria-hidden="true" />
          ) : (
            <Moon size={16} aria-hidden="true" />
          )}
        </IconButton>
        <IconButton label="Keyboard" onPress={keys.help}>
          ?
        </IconButton>
      </Tools>
    </Bar>
  );
});
