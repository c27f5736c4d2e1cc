'use client';
import { ChevronDown } from 'lucide-react';
import {
  Button,
  Header,
  Label,
  ListBox,
  ListBoxSection,
  Select,
  SelectValue,
} from 'react-aria-components';
import styled from 'styled-components';
import { oneLine } from '../theme/type';
import { Row, RowNote, Sheet } from './surfaces';

export interface Option {
  id: string;
  label: string;
  /** A second, quieter line. */
  note?: string;
}

export interface OptionGroup {
  title: string;
  options: readonly Option[];
}

interface ChoiceProps {
  label: string;
  groups: readonly OptionGroup[];
  chosen: string | null;
  onChoose: (id: string) => void;
  /** Shown while nothing is chosen. */
  placeholder?: string;
  /** Label above a full-width value instead of beside it. */
  stacked?: boolean;
  /** Hide the label from sight; it is still spoken. */
  bare?: boolean;
}

const Field = styled(Select)<{ $stacked: boolean; $bare: boolean }>`
  display: grid;
  grid-template-columns: ${(p) => (p.$stacked || p.$bare ? '1fr' : 'minmax(64px, auto) minmax(0, 1fr)')};
  align-items: baseline;
  column-gap: 10px;
  min-width: 0;
`;

const FieldLabel = styled(Label)<{ $bare: boolean }>`
  color: var(--muted);
  font-size: 12px;
  ${(p) => p.$bare && 'position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);'}
`;

const Trigger = styled(Button)<{ $stacked: boolean }>`
  display: flex;
  align-items: center;
  justify-content: ${(p) => (p.$stacked ? 'space-between' : 'flex-end')};
  gap: 4px;
  min-width: 0;
  max-width: 100%;
  border: 0;
  border-radius: var(--radius);
  background: ${(p) => (p.$stacked ? 'var(--raised)' : 'none')};
  padding: ${(p) => (p.$stacked ? '5px 8px' : '4px 0 4px 6px')};
  cursor: pointer;
  text-align: ${(p) => (p.$stacked ? 'left' : 'right')};
  &[data-hovered] {
    color: var(--amber);
  }
  svg {
    flex: none;
    color: var(--muted);
  }
`;

const Value = styled(SelectValue)`
  ${oneLine}
  min-width: 0;
  &[data-placeholder] {
    color: var(--amber);
  }
`;

const GroupTitle = styled(Header)`
  padding: 9px 12px 3px;
  font-size: 12px;
  color: var(--muted);
`;

/** One of several, by mouse, finger or keyboard; typing jumps to what one types. */
export function Choice(props: ChoiceProps) {
  const { label, groups, chosen, onChoose, placeholder, stacked = false, bare = false } = props;
  return (
    <Field
      value={chosen}
      onChange={(key) => {
        if (key !== null) onChoose(String(key));
      }}
      placeholder={placeholder ?? 'choose'}
      $stacked={stacked}
      $bare={bare}
    >
      <FieldLabel $bare={bare}>{label}</FieldLabel>
      <Trigger $stacked={stacked}>
        <Value>{({ selectedText, defaultChildren }) => selectedText || defaultChildren}</Value>
        <ChevronDown size={13} aria-hidden="true" />
      </Trigger>
      <Sheet>
        <ListBox>
          {groups
            .filter((group) => group.options.length > 0)
            .map((group) => (
              <ListBoxSection key={group.title}>
                <GroupTitle>{group.title}</GroupTitle>
                {group.options.map((option) => (
                  <Row key={option.id} id={option.id} textValue={option.label}>
                    {option.label}
                    {option.note && <RowNote> {option.note}</RowNote>}
                  </Row>
                ))}
              </ListBoxSection>
            ))}
        </ListBox>
      </Sheet>
    </Field>
  );
}
