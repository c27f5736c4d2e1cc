'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { TABLE_NAMES, TABLE_WORDS } from '@/core/kit/records';
import { recordKey } from '@/store/database/db';
import type { ImportItem, ImportMode, ItemState } from '@/store/keeping/importing';
import type { Keeper } from '@/store/keeping/keeper';
import type { FilePreview } from '@/store/keeping/keeper.worker';
import { LineButton, MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { Fold } from '@/ui/controls/Fold';
import { FlagField } from '@/ui/form/FlagField';
import { engraved } from '@/ui/theme/type';

export interface PendingImport {
  fileName: string;
  preview: FilePreview;
  /** What is to be known of it beside that; empty where nothing is. */
  note: string;
  /** Holds the file until it is brought in or left. */
  keeper: Keeper;
}

interface ImportDialogProps {
  pending: PendingImport;
  /** Told the records that are left out, as "table/id". */
  onChoose: (mode: ImportMode, leftOut: readonly string[]) => void;
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

/** Of a part of a workspace only the tables it brings anything to. */
function CountsTable({ counts, isPart }: Pick<FilePreview, 'counts' | 'isPart'>) {
  const tables = TABLE_NAMES.filter(
    (table) => !isPart || STATES.some((state) => counts[table][state] > 0),
  );
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
        {tables.map((table) => (
          <tr key={table}>
            <th scope="row">{capital(TABLE_WORDS[table][1])}</th>
            {STATES.map((state) => (
              <td key={state}>{counts[table][state]}</td>
            ))}
            <td>{counts[table]['only here']}</td>
          </tr>
        ))}
      </tbody>
    </Counts>
  );
}

/** More than these are not listed one by one. */
const MOST_LISTED = 200;

/** What a file would bring, record by record, before any of it is written. */
export function ImportDialog({ pending, onChoose, onClose }: ImportDialogProps) {
  const { fileName, preview, note } = pending;
  const { isFresh, isPart, counts, differing } = preview;
  const comesWhole = isFresh && !isPart;
  const conflicts = differing.filter((i) => i.state === 'conflict');
  // What was changed here as well is kept unless one says otherwise.
  const [left, setLeft] = useState<ReadonlySet<string>>(() => new Set(conflicts.map(recordKey)));
  const turn = (item: ImportItem, take: boolean) => {
    const next = new Set(left);
    if (take) next.delete(recordKey(item));
    else next.add(recordKey(item));
    setLeft(next);
  };
  const unlisted = differing.length - MOST_LISTED;
  return (
    <DialogSheet title={`Open ${fileName}`} open onClose={onClose}>
      <p>
        Nothing is written yet. Whatever you choose is one step that undo takes back.
        {isPart && ' It comes beside what you have: what is here already stays as it is.'}
      </p>
      {note !== '' && <p role="alert">{note}</p>}
      <CountsTable counts={counts} isPart={isPart} />
      {!isFresh && differing.length > 0 && (
        <Fold
          title="Take, one by one"
          summary={`${differing.length - left.size} of ${differing.length}`}
          startsOpen={conflicts.length > 0}
        >
          <Items>
            {differing.slice(0, MOST_LISTED).map((item) => (
              <FlagField
                key={recordKey(item)}
                label={`${item.name}: ${TABLE_WORDS[item.table][0]}, ${STATE_WORDS[item.state]}`}
                on={!left.has(recordKey(item))}
                onTurn={(take) => turn(item, take)}
              />
            ))}
            {unlisted > 0 && (
              <p>and {unlisted} more: they are taken, but for what was changed here too.</p>
            )}
          </Items>
        </Fold>
      )}
      <DialogActions>
        <TextButton onPress={onClose}>Leave it</TextButton>
        {!isFresh && !isPart && (
          <LineButton onPress={() => onChoose('replace everything', [])}>
            Replace all I have
          </LineButton>
        )}
        <MainButton
          onPress={() =>
            onChoose(
              comesWhole ? 'replace everything' : 'add and update',
              comesWhole ? [] : [...left],
            )
          }
        >
          {comesWhole ? 'Open it' : isPart ? 'Take it in' : 'Add new, update changed'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
