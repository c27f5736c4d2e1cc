'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { newId } from '@/core/kit';
import type { ReadRows, Sheet } from '@/core/exchange/csv';
import type { KitTable } from '@/core/kit/fields';
import { problemText } from '@/core/words';
import { TABLE_WORDS, type Workspace } from '@/core/kit/records';
import { guarded, type Tell } from '@/shell/tell';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { FilePicker } from '@/ui/form/FilePicker';
import { csvWork, readCsvFile } from './csvFiles';
import type { KitActions } from '../useKit';

const Mapping = styled.div`
  display: grid;
  max-height: 34vh;
  overflow-y: auto;
`;

const Problems = styled.ul`
  max-height: 20vh;
  overflow-y: auto;
  color: var(--clipped);
  font-size: 12px;
`;

interface CsvWork {
  sheet: Sheet;
  mapping: (string | null)[];
  /** Facts a column can be, by path. */
  facts: { path: string; label: string }[];
  rows: (mapping: readonly (string | null)[]) => ReadRows<KitTable>;
}

interface CsvDialogProps {
  table: KitTable;
  workspace: Workspace;
  actions: KitActions;
  tell: Tell;
  onClose: () => void;
}

const LEAVE_OUT = '';

/** Opens a sheet: its columns are guessed, and what each row would be is known before it is written. */
async function openSheet(
  file: File,
  table: KitTable,
  workspace: Workspace,
): Promise<CsvWork | string> {
  const sheet = await readCsvFile(file);
  if (!sheet.ok) return problemText(sheet.problems);
  const [{ guessMapping, readRows }, { columnsOf, MORE }] = await Promise.all([
    csvWork(),
    import('@/core/exchange/csv'),
  ]);
  return {
    sheet: sheet.value,
    mapping: guessMapping(table, sheet.value.header),
    facts: [
      ...columnsOf(table).map(({ path, label }) => ({ path, label })),
      { path: MORE, label: 'other facts, as JSON' },
    ],
    rows: (mapping) =>
      readRows(table, sheet.value, mapping, {
        here: workspace[table],
        markings: workspace.markings,
        newId,
      }),
  };
}

interface ColumnMappingProps {
  work: CsvWork;
  onMap: (mapping: (string | null)[]) => void;
}

/** Which fact each column of the sheet is. */
function ColumnMapping({ work, onMap }: ColumnMappingProps) {
  const { sheet, mapping, facts } = work;
  const options = [
    { id: LEAVE_OUT, label: 'left out' },
    ...facts.map((f) => ({ id: f.path, label: f.label, note: f.path })),
  ];
  return (
    <Mapping>
      {sheet.header.map((heading, i) => (
        <Choice
          key={`${i}-${heading}`}
          label={`${heading || `column ${i + 1}`}, such as “${(sheet.rows[0]?.[i] ?? '').slice(0, 24)}”`}
          groups={[{ title: 'This column is', options }]}
          chosen={mapping[i] ?? LEAVE_OUT}
          onChoose={(id) => onMap(mapping.with(i, id === LEAVE_OUT ? null : id))}
        />
      ))}
    </Mapping>
  );
}

/** A CSV file into one table: columns matched, rows checked, and only then written as one step. */
export function CsvDialog({ table, workspace, actions, tell, onClose }: CsvDialogProps) {
  const [work, setWork] = useState<CsvWork | null>(null);
  const [trouble, setTrouble] = useState('');
  const [one, many] = TABLE_WORDS[table];
  const read = useMemo(() => work?.rows(work.mapping) ?? null, [work]);
  const known = new Set(workspace[table].map((r) => r.id));
  const fresh = read?.records.filter((r) => !known.has(r.id)).length ?? 0;
  const changed = (read?.records.length ?? 0) - fresh;

  const pick = (file: File) =>
    guarded(tell, async () => {
      const opened = await openSheet(file, table, workspace);
      setWork(typeof opened === 'string' ? null : opened);
      setTrouble(typeof opened === 'string' ? `${opened} Nothing was changed.` : '');
    });
  const bringIn = () =>
    guarded(tell, async () => {
      if (!read || !work) return;
      await actions.bringIn(
        `Bring in ${work.sheet.name}`,
        read.records.map((after) => ({ table, id: after.id, after })),
      );
      tell({ kind: 'said', text: `${work.sheet.name} is in. Undo takes it back.` });
      onClose();
    });
  return (
    <DialogSheet title={`Bring ${many} in from a CSV file`} open wide onClose={onClose}>
      <p>
        Commas, semicolons or tabs; decimal points or commas; inches and feet are read too. A row
        with the id of a {one} that is here changes it, any other adds one.
      </p>
      <FilePicker
        label="CSV file"
        accept=".csv,text/csv,text/plain"
        onFiles={([file]) => file && pick(file)}
      >
        {work ? work.sheet.name : 'Choose a CSV file'}
      </FilePicker>
      {trouble && <p role="alert">{trouble}</p>}
      {work && read && (
        <>
          <ColumnMapping work={work} onMap={(mapping) => setWork({ ...work, mapping })} />
          <p role="status">
            {fresh} new, {changed} changed or the same
            {read.problems.length > 0 ? `, ${read.problems.length} that cannot be read:` : '.'}
          </p>
          {read.problems.length > 0 && (
            <Problems aria-label="Rows that cannot be read">
              {read.problems.slice(0, 200).map((p) => (
                <li key={p.row}>
                  Row {p.row}: {p.sentence}
                </li>
              ))}
            </Problems>
          )}
          <DialogActions>
            <TextButton onPress={onClose}>Leave it</TextButton>
            <MainButton isDisabled={read.records.length === 0} onPress={bringIn}>
              {read.problems.length > 0
                ? `Bring in the ${read.records.length} good rows`
                : `Bring in ${read.records.length} ${read.records.length === 1 ? one : many}`}
            </MainButton>
          </DialogActions>
        </>
      )}
    </DialogSheet>
  );
}
