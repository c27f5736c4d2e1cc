'use client';
import { Button, Menu, MenuTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { ActionRow, RowNote, Sheet } from './surfaces';

export interface MenuAction {
  id: string;
  label: string;
  note?: string;
  disabled?: boolean;
  act: () => void;
}

const Trigger = styled(Button)`
  border: 0;
  background: none;
  padding: 6px 8px;
  border-radius: var(--radius);
  cursor: pointer;
  white-space: nowrap;
  &[data-hovered],
  &[aria-expanded='true'] {
    background: var(--lifted);
  }
`;

interface MenuButtonProps {
  label: string;
  children?: React.ReactNode;
  actions: readonly MenuAction[];
}

/** A word that opens a short list of things to do. */
export function MenuButton({ label, children, actions }: MenuButtonProps) {
  return (
    <MenuTrigger>
      <Trigger aria-label={label}>{children ?? label}</Trigger>
      <Sheet placement="bottom end">
        <Menu
          aria-label={label}
          disabledKeys={actions.filter((a) => a.disabled).map((a) => a.id)}
          onAction={(key) => actions.find((a) => a.id === key)?.act()}
        >
          {actions.map((action) => (
            <ActionRow key={action.id} id={action.id} textValue={action.label}>
              {action.label}
              {action.note && <RowNote> {action.note}</RowNote>}
            </ActionRow>
          ))}
        </Menu>
      </Sheet>
    </MenuTrigger>
  );
}
