'use client';
import { Plus } from 'lucide-react';
import styled from 'styled-components';
import type { KitTable } from '@/core/kit/fields';
import { byRegister } from '@/core/kit';
import { TABLE_WORDS, type Workspace } from '@/core/kit/records';
import { ActingButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { MenuButton } from '@/ui/controls/MenuButton';
import { FlagField } from '@/ui/form/FlagField';
import type { KitFilter } from './filter';
import type { KitDialog } from '../KitDialogs';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 8px 12px;
  border-bottom: 1px solid var(--line);
`;

const Search = styled.input`
  width: 190px;
  padding: 5px 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--raised);
  &::placeholder {
    color: var(--muted);
    opacity: 1;
  }
`;

const Shown = styled.span`
  color: var(--muted);
  font-size: 12px;
  margin-left: auto;
`;

interface ToolbarProps {
  table: KitTable;
  workspace: Workspace;
  /** How many records pass. */
  shown: number;
  filter: KitFilter;
  onFilter: (filter: KitFilter) => void;
  onAdd: () => void;
  onDialog: (dialog: KitDialog) => void;
  onSave: () => void;
}

/** Search, filters, and the ways in and out of one table. */
export function Toolbar(props: ToolbarProps) {
  const { table, workspace, shown, filter, onFilter, onAdd, onDialog, onSave } = props;
  const [one, many] = TABLE_WORDS[table];
  const total = workspace[table].length;
  const { mountIds } = filter;
  const several = mountIds !== null && mountIds.length > 1;
  return (
    <Bar>
      <Search
        type="search"
        aria-label={`Search ${many}`}
        placeholder={`Search ${many}`}
        value={filter.search}
        onChange={(event) => onFilter({ ...filter, search: event.target.value })}
      />
      {table !== 'markings' && table !== 'mounts' && (
        <Choice
          label="Only with mount"
          bare
          groups={[
            {
              title: 'Only with this mount',
              options: [
                { id: '', label: 'any mount' },
                ...(several ? [{ id: 'several', label: `${mountIds.length} mounts` }] : []),
                ...byRegister(workspace.mounts).map((m) => ({ id: m.id, label: m.name })),
              ],
            },
          ]}
          chosen={several ? 'several' : (mountIds?.[0] ?? '')}
          onChoose={(id) => {
            if (id !== 'several') onFilter({ ...filter, mountIds: id === '' ? null : [id] });
          }}
        />
      )}
      {table !== 'markings' && (
        <FlagField
          label="lacking something"
          on={filter.lacking}
          onTurn={(lacking) => onFilter({ ...filter, lacking })}
        />
      )}
      <Shown role="status">
        {shown === total ? `${total}` : `${shown} of ${total}`} {total === 1 ? one : many}
      </Shown>
      <ActingButton onPress={onAdd}>
        <Plus size={12} aria-hidden="true" /> {one}
      </ActingButton>
      <MenuButton
        label="In and out"
        actions={[
          {
            id: 'csv-out',
            label: `Save these ${many} as CSV`,
            note: 'for a spreadsheet; it reads back without loss',
            disabled: shown === 0,
            act: onSave,
          },
          {
            id: 'csv-in',
            label: 'Bring in a CSV file…',
            note: 'columns are matched before anything is written',
            act: () => onDialog('csv-in'),
          },
          {
            id: 'lensfun',
            label: 'Pick from Lensfun database files…',
            note: 'cameras and lenses with vignetting calibrations',
            act: () => onDialog('lensfun'),
          },
        ]}
      >
        In and out
      </MenuButton>
    </Bar>
  );
}
