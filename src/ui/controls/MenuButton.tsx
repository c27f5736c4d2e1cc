'use client';
import { Button, Menu, MenuItem, MenuTrigger, Text } from 'react-aria-components';
import styled from 'styled-components';
import { Sheet } from './surfaces';

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

const Item = styled(MenuItem)`
  padding: 8px 14px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--line);
  }
  &[data-disabled] {
    color: var(--muted);
    cursor: default;
  }
`;

const Note = styled(Text)`
  display: block;
  font-size: 12px;
  color: var(--muted);
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
            <Item key={action.id} id={action.id} textValue={action.label}>
              <Text slot="label">{action.label}</Text>
              {action.note && <Note slot="description">{action.note}</Note>}
            </Item>
          ))}
        </Menu>
      </Sheet>
    </MenuTrigger>
  );
}
