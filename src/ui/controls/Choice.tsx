'use client';
import { ChevronDown } from 'lucide-react';
import {
  Autocomplete,
  Button,
  Header,
  Input,
  Label,
  ListBox,
  ListBoxSection,
  ListLayout,
  SearchField,
  Select,
  SelectValue,
  useFilter,
  Virtualizer,
} from 'react-aria-components';
import styled from 'styled-components';
import { FORM_COLUMNS, oneLine } from '../theme/type';
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
  /** As a line of a form: label and value in the columns of the lines around it. */
  inForm?: boolean;
}

interface Look {
  $stacked: boolean;
  $bare: boolean;
  $inForm: boolean;
}

function columnsFor({ $stacked, $bare, $inForm }: Look): string {
  if ($stacked || $bare) return '1fr';
  return $inForm ? FORM_COLUMNS : 'minmax(64px, auto) minmax(0, 1fr)';
}

const Field = styled(Select)<Look>`
  display: grid;
  grid-template-columns: ${columnsFor};
  align-items: baseline;
  column-gap: 10px;
  min-width: 0;
`;

const FieldLabel = styled(Label)<{ $bare: boolean }>`
  color: var(--muted);
  font-size: 12px;
  ${(p) => p.$bare && 'position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);'}
`;

const Trigger = styled(Button)<{ $stacked: boolean; $inForm: boolean }>`
  display: flex;
  align-items: center;
  justify-content: ${(p) => (p.$stacked || p.$inForm ? 'space-between' : 'flex-end')};
  gap: 4px;
  min-width: 0;
  max-width: 100%;
  border: 0;
  border-radius: var(--radius);
  background: ${(p) => (p.$stacked ? 'var(--raised)' : 'none')};
  padding: ${(p) => (p.$stacked ? '5px 8px' : '4px 0 4px 6px')};
  ${(p) => p.$inForm && 'border-bottom: 1px solid var(--line); border-radius: 0; width: 100%;'}
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

const SearchInput = styled(Input)`
  display: block;
  width: calc(100% - 16px);
  margin: 8px;
  padding: 6px 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--raised);
`;

const GroupTitle = styled(Header)`
  padding: 9px 12px 3px;
  font-size: 12px;
  color: var(--muted);
`;

/** More than this are searched, and only those in sight are drawn. */
const MANY = 60;

function Options({ groups, tall = false }: { groups: readonly OptionGroup[]; tall?: boolean }) {
  return (
    <ListBox style={tall ? { height: 360, overflow: 'auto' } : undefined}>
      {groups
        .filter((group) => group.options.length > 0)
        .map((group) => (
          <ListBoxSection key={group.title} id={group.title}>
            <GroupTitle>{group.title}</GroupTitle>
            {group.options.map((option) => (
              <Row
                key={option.id}
                id={option.id}
                textValue={tall ? `${option.label} ${option.note ?? ''}` : option.label}
              >
                {option.label}
                {option.note && <RowNote> {option.note}</RowNote>}
              </Row>
            ))}
          </ListBoxSection>
        ))}
    </ListBox>
  );
}

/** A long list behind a search field. */
function SearchedOptions({ label, groups }: { label: string; groups: readonly OptionGroup[] }) {
  const { contains } = useFilter({ sensitivity: 'base' });
  const holdsAll = (text: string, sought: string) =>
    sought
      .split(/\s+/)
      .filter(Boolean)
      .every((word) => contains(text, word));
  return (
    <Autocomplete filter={holdsAll}>
      <SearchField aria-label={`Search ${label.toLowerCase()}`} autoFocus>
        <SearchInput placeholder="search" />
      </SearchField>
      <Virtualizer layout={ListLayout} layoutOptions={{ estimatedRowHeight: 48 }}>
        <Options groups={groups} tall />
      </Virtualizer>
    </Autocomplete>
  );
}

/** One of several, by mouse, finger or keyboard; typing jumps to what one types. */
export function Choice(props: ChoiceProps) {
  const { label, groups, chosen, onChoose, placeholder, stacked = false, bare = false } = props;
  const { inForm = false } = props;
  return (
    <Field
      value={chosen}
      onChange={(key) => {
        if (key !== null) onChoose(String(key));
      }}
      placeholder={placeholder ?? 'choose'}
      $stacked={stacked}
      $bare={bare}
      $inForm={inForm}
    >
      <FieldLabel $bare={bare}>{label}</FieldLabel>
      <Trigger $stacked={stacked} $inForm={inForm}>
        <Value>{({ selectedText, defaultChildren }) => selectedText || defaultChildren}</Value>
        <ChevronDown size={13} aria-hidden="true" />
      </Trigger>
      <Sheet>
        {groups.reduce((n, g) => n + g.options.length, 0) > MANY ? (
          <SearchedOptions label={label} groups={groups} />
        ) : (
          <Options groups={groups} />
        )}
      </Sheet>
    </Field>
  );
}
