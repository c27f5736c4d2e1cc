'use client';
import styled from 'styled-components';
import { TABLE_NAMES, TABLE_WORDS, type Workspace, type WorkspaceFile } from '@/core/kit/workspace';
import { difference, isEmpty, type ImportMode } from '@/store/workspace';
import { LineButton, MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { engraved } from '@/ui/theme/type';

export interface PendingImport {
  fileName: string;
  file: WorkspaceFile;
}

interface ImportDialogProps {
  pending: PendingImport;
  here: Workspace;
  onChoose: (mode: ImportMode) => void;
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

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** What a file would bring, before any of it is written. */
export function ImportDialog({ pending, here, onChoose, onClose }: ImportDialogProps) {
  const counts = difference(here, pending.file);
  const fresh = isEmpty(here);
  return (
    <DialogSheet title={`Open ${pending.fileName}`} open onClose={onClose}>
      <p>Nothing is written yet. Whatever you choose is one step that undo takes back.</p>
      <Counts>
        <thead>
          <tr>
            <th scope="col">
              <span hidden>kind</span>
            </th>
            <th scope="col">new</th>
            <th scope="col">changed</th>
            <th scope="col">the same</th>
            <th scope="col">only here</th>
          </tr>
        </thead>
        <tbody>
          {TABLE_NAMES.map((table) => (
            <tr key={table}>
              <th scope="row">{capital(TABLE_WORDS[table][1])}</th>
              <td>{counts[table].added}</td>
              <td>{counts[table].changed}</td>
              <td>{counts[table].same}</td>
              <td>{counts[table].onlyHere}</td>
            </tr>
          ))}
        </tbody>
      </Counts>
      <DialogActions>
        <TextButton onPress={onClose}>Leave it</TextButton>
        {!fresh && (
          <LineButton onPress={() => onChoose('replace everything')}>Replace all I have</LineButton>
        )}
        <MainButton onPress={() => onChoose(fresh ? 'replace everything' : 'add and update')}>
          {fresh ? 'Open it' : 'Add new, update changed'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
