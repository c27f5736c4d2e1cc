'use client';
import { useState } from 'react';
import styled from 'styled-components';
import {
  TABLE_NAMES,
  TABLE_WORDS,
  type TableName,
  type Workspace,
  type WorkspaceFile,
} from '@/core/kit/records/workspace';
import {
  importItems,
  onlyHere,
  type ImportItem,
  type ImportMode,
  type ItemState,
} from '@/store/importing';
import { isEmpty } from '@/store/load';
import { LineButton, MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { Fold } from '@/ui/controls/Fold';
import { FlagField } from '@/ui/form/FlagField';
import { engraved } from '@/ui/theme/type';

export interface PendingImport {
  fileName: string;
  file: WorkspaceFile;
  /** Records changed here by hand, as "table/id". */
  changedByHand: ReadonlySet<string>;
}

/** Which records of the file are taken; null for all of them. */
export type Takes = ((table: TableName, id: string) => boolean) | null;

interface ImportDialogProps {
  pending: PendingImport;
  here: Workspace;
  onChoose: (mode: ImportMode, takes: Takes) => void;
  onClose: () => void;
}

const Counts = styled.table`
  border-collapse: collapse;
  width: 100%;
  th {
    font-weight: 400;
    color: var(--muted);
    text-align: right;
    padding: 4px 0 4px 12px;
  }
  th[scope='row'] {
    text-align: left;
    padding-left: 0;
    color: var(--ink);
  }
  td {
    ${engraved}
    text-align: right;
    padding: 4px 0 4px 12px;
    border-top: 1px solid var(--line);
  }
  tbody th {
    border-top: 1px solid var(--line);
  }
`;

const Items = styled.div`
  max-height: 30vh;
  overflow-y: auto;
`;

const STATES: readonly ItemState[] = ['new', 'changed', 'conflict', 'same'];
const STATE_WORDS: Record<ItemState, string> = {
  new: 'new',
  changed: 'changed',
  conflict: 'changed here too',
  same: 'the same',
};

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
const keyOf = ({ table, id }: Pick<ImportItem, 'table' | 'id'>): string => `${table}/${id}`;

interface CountsTableProps {
  items: readonly ImportItem[];
  here: Workspace;
  file: Workspace;
}

function CountsTable({ items, here, file }: CountsTableProps) {
  const count = (table: TableName, state: ItemState) =>
    items.filter((i) => i.table === table && i.state === state).length;
  return (
    <Counts>
      <thead>
        <tr>
          <th scope="col">
            <span hidden>kind</span>
          </th>
          {STATES.map((state) => (
            <th key={state} scope="col">
              {STATE_WORDS[state]}
            </th>
          ))}
          <th scope="col">only here</th>
        </tr>
      </thead>
      <tbody>
        {TABLE_NAMES.map((table) => (
          <tr key={table}>
            <th scope="row">{capital(TABLE_WORDS[table][1])}</th>
            {STATES.map((state) => (
              <td key={state}>{count(table, state)}</td>
            ))}
            <td>{onlyHere(here, file, table)}</td>
          </tr>
        ))}
      </tbody>
    </Counts>
  );
}

/** What a file would bring, record by record, before any of it is written. */
export function ImportDialog({ pending, here, onChoose, onClose }: ImportDialogProps) {
  const { file, fileName, changedByHand } = pending;
  const [items] = useState(() => importItems(here, file, changedByHand));
  // What was changed here as well is kept unless one says otherwise.
  const [left, setLeft] = useState<ReadonlySet<string>>(
    () => new Set(items.filter((i) => i.state === 'conflict').map(keyOf)),
  );
  const fresh = isEmpty(here);
  const open = items.filter((i) => i.state !== 'same');
  const conflicts = open.filter((i) => i.state === 'conflict').length;
  const turn = (item: ImportItem, take: boolean) => {
    const next = new Set(left);
    if (take) next.delete(keyOf(item));
    else next.add(keyOf(item));
    setLeft(next);
  };
  const order: readonly ItemState[] = ['conflict', 'changed', 'new'];
  const listed = open.toSorted((a, b) => order.indexOf(a.state) - order.indexOf(b.state));
  return (
    <DialogSheet title={`Open ${fileName}`} open onClose={onClose}>
      <p>Nothing is written yet. Whatever you choose is one step that undo takes back.</p>
      <CountsTable items={items} here={here} file={file} />
      {!fresh && open.length > 0 && (
        <Fold
          title="Take, one by one"
          summary={`${open.length - left.size} of ${open.length}`}
          startsOpen={conflicts > 0}
        >
          <Items>
            {listed.map((item) => (
              <FlagField
                key={keyOf(item)}
                label={`${item.name}: ${TABLE_WORDS[item.table][0]}, ${STATE_WORDS[item.state]}`}
                on={!left.has(keyOf(item))}
                onTurn={(take) => turn(item, take)}
              />
            ))}
          </Items>
        </Fold>
      )}
      <DialogActions>
        <TextButton onPress={onClose}>Leave it</TextButton>
        {!fresh && (
          <LineButton onPress={() => onChoose('replace everything', null)}>
            Replace all I have
          </LineButton>
        )}
        <MainButton
          onPress={() =>
            onChoose(
              fresh ? 'replace everything' : 'add and update',
              fresh ? null : (table, id) => !left.has(keyOf({ table, id })),
            )
          }
        >
          {fresh ? 'Open it' : 'Add new, update changed'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
