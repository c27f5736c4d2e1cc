'use client';
import { X } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { withValueAt, scalarFields, type KitTable } from '@/core/kit/fields';
import { byRegister } from '@/core/kit';
import { checkRecord } from '@/core/kit/checks';
import { TABLE_WORDS, type Tables, type Workspace } from '@/core/kit/records';
import { IconButton, LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { PHONE } from '@/ui/theme/type';
import { FieldEditor, type EditContext } from '../records/FieldEditor';
import type { KitActions } from '../useKit';

const Panel = styled.section`
  overflow-y: auto;
  padding: 12px 16px 20px;
  border-left: 1px solid var(--line);
  display: grid;
  align-content: start;
  gap: 12px;
  h2 {
    font-size: 18px;
    font-weight: 650;
  }
  @media ${PHONE} {
    border: 0;
  }
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
`;

const Acts = styled.div`
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
`;

interface BulkPanelProps {
  table: KitTable;
  records: readonly Tables[KitTable][];
  workspace: Workspace;
  actions: KitActions;
  onClose: () => void;
}

/** Several records at once: one fact for all of them, or copies, or away. */
export function BulkPanel({ table, records, workspace, actions, onClose }: BulkPanelProps) {
  const fields = scalarFields(table).filter((f) => f.path !== 'name');
  const [path, setPath] = useState<string | null>(null);
  const field = fields.find((f) => f.path === path);
  const [first] = records;
  const context: EditContext = {
    // Shown empty: the records may well differ.
    record: {},
    mounts: byRegister(workspace.mounts),
    keptAs: null,
    estimated: [],
    complain: (at, value) => {
      for (const record of records) {
        const checked = checkRecord(table, withValueAt(record, at, value));
        if (!checked.ok) return `${record.name}: ${checked.problems[0]?.sentence ?? ''}`;
      }
      return null;
    },
    change: (at, label, value) => actions.changeAll(table, records, at, label, value),
  };
  return (
    <Panel aria-label="Several records">
      <Head>
        <h2>
          {records.length} {TABLE_WORDS[table][1]} chosen
        </h2>
        <IconButton label="Choose none" onPress={onClose}>
          <X size={16} aria-hidden="true" />
        </IconButton>
      </Head>
      <p>{first ? `${first.name} and ${records.length - 1} more.` : ''}</p>
      <Choice
        label="Change in all"
        stacked
        groups={[
          { title: 'One fact', options: fields.map((f) => ({ id: f.path, label: f.label })) },
        ]}
        chosen={path}
        placeholder="choose a fact"
        onChoose={setPath}
      />
      {field && <FieldEditor key={field.path} field={field} context={context} />}
      <Acts>
        <LineButton onPress={() => actions.duplicate(table, records)}>Duplicate all</LineButton>
        <LineButton onPress={() => actions.remove(table, records)}>Delete all</LineButton>
      </Acts>
    </Panel>
  );
}
