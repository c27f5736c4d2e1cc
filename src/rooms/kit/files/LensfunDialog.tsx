'use client';
import { useMemo, useState } from 'react';
import {
  ListBox,
  ListBoxItem,
  ListLayout,
  Virtualizer,
  type Selection,
} from 'react-aria-components';
import styled from 'styled-components';
import { LENSFUN_LICENCE } from '@/core/exchange/lensfun';
import { problemText, secondsTaken } from '@/core/words';
import type { Workspace } from '@/core/kit/records';
import { guarded, type Tell } from '@/shell/tell';
import { LineButton, MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { Progress } from '@/ui/controls/Progress';
import { RowNote } from '@/ui/controls/surfaces';
import { FilePicker } from '@/ui/form/FilePicker';
import type { LensfunEntry, LensfunReading, LensfunTaken } from '@/workers/lensfun.worker';
import { type LensfunWork, useLensfun } from './useLensfun';
import type { KitActions } from '../useKit';

const Search = styled.input`
  width: 100%;
  padding: 6px 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--raised);
`;

const Framed = styled.div`
  border: 1px solid var(--line);
  [role='option'] {
    padding: 5px 10px;
    cursor: default;
    border-left: 2px solid transparent;
    height: 100%;
    overflow: hidden;
    outline-offset: -2px;
  }
  [role='option'][data-selected] {
    background: var(--raised);
    border-left-color: var(--amber);
  }
`;

const wordsOf = (e: LensfunEntry): string =>
  `${e.maker} ${e.name} ${e.mount} ${e.kind}`.toLowerCase();

const noteOf = (e: LensfunEntry): string =>
  [
    e.kind,
    e.mount || 'no mount told',
    `crop ${e.cropFactor}`,
    e.calibrations > 0 ? `${e.calibrations} vignetting calibrations` : '',
  ]
    .filter(Boolean)
    .join(' · ');

function shownEntries(entries: readonly LensfunEntry[], search: string): LensfunEntry[] {
  const sought = search.toLowerCase().split(/\s+/).filter(Boolean);
  return entries.filter((e) => sought.every((word) => wordsOf(e).includes(word)));
}

interface EntryListProps {
  entries: readonly LensfunEntry[];
  picked: ReadonlySet<string>;
  onPick: (keys: ReadonlySet<string>) => void;
}

/** Thousands of entries; only those in sight are drawn. */
function EntryList({ entries, picked, onPick }: EntryListProps) {
  const items = useMemo(() => entries.map((e) => ({ ...e, id: e.key })), [entries]);
  const select = (next: Selection) =>
    onPick(next === 'all' ? new Set(entries.map((e) => e.key)) : (next as ReadonlySet<string>));
  return (
    <Framed>
      <Virtualizer layout={ListLayout} layoutOptions={{ rowHeight: 46 }}>
        <ListBox
          aria-label="Entries"
          items={items}
          selectionMode="multiple"
          selectedKeys={picked}
          onSelectionChange={select}
          style={{ height: '36vh', overflow: 'auto', outline: 'none' }}
        >
          {(entry) => (
            <ListBoxItem id={entry.id} textValue={`${entry.maker} ${entry.name}`}>
              {entry.maker} {entry.name}
              <RowNote>{noteOf(entry)}</RowNote>
            </ListBoxItem>
          )}
        </ListBox>
      </Virtualizer>
    </Framed>
  );
}

function readWords({ entries, mounts, tookMs }: LensfunReading): string {
  const lenses = entries.filter((e) => e.kind === 'lens').length;
  return `${lenses} lenses, ${entries.length - lenses} cameras and ${mounts} mounts read in ${secondsTaken(tookMs, 1)}.`;
}

/** What came of taking entries over, in words. */
function takenWords({ lenses, bodies, lacking, tookMs }: LensfunTaken): string {
  const left =
    lacking.length > 0
      ? ` ${lacking.length} left out, as they do not say their focal length or aperture: ${lacking.slice(0, 3).join(', ')}${lacking.length > 3 ? ' …' : ''}`
      : '';
  return `${lenses.length} lenses and ${bodies.length} bodies taken over in ${secondsTaken(tookMs, 1)}. Undo takes them back.${left}`;
}

const Line = styled.p`
  display: flex;
  align-items: center;
  gap: 10px;
`;

/** What the worker is at, how far it is, and how to end it. */
function WorkLine({ work: { kind, done, of }, onStop }: { work: LensfunWork; onStop: () => void }) {
  const what = kind === 'reading' ? `Reading file ${done + 1}` : `Taking over: ${done}`;
  return (
    <Line role="status">
      <Progress aria-label="Done" value={done} max={Math.max(1, of)} />
      {what} of {of}
      <TextButton onPress={onStop}>Stop</TextButton>
    </Line>
  );
}

interface LensfunDialogProps {
  workspace: Workspace;
  actions: KitActions;
  tell: Tell;
  onClose: () => void;
}

/** Files of the open Lensfun database: searched, picked from, and taken over with their licence. */
export function LensfunDialog({ workspace, actions, tell, onClose }: LensfunDialogProps) {
  const { reading, work, read, take, stop } = useLensfun();
  const [search, setSearch] = useState('');
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const entries = useMemo(() => shownEntries(reading?.entries ?? [], search), [reading, search]);
  const bringIn = () =>
    guarded(tell, async () => {
      const taken = await take([...picked], workspace.mounts, workspace.markings);
      if (!taken) return;
      const count = taken.lenses.length + taken.bodies.length;
      await actions.bringIn(`Take ${count} entries from Lensfun`, [
        ...taken.lenses.map((after) => ({ table: 'lenses' as const, id: after.id, after })),
        ...taken.bodies.map((after) => ({ table: 'bodies' as const, id: after.id, after })),
      ]);
      tell({ kind: 'said', text: takenWords(taken) });
      onClose();
    });
  return (
    <DialogSheet title="Pick from Lensfun database files" open wide onClose={onClose}>
      <p>
        Choose the XML files of a Lensfun database on this machine. Nothing of it comes with this
        program. Its data is under CC BY-SA 3.0: name the source and share under the same terms when
        you pass it on; “{LENSFUN_LICENCE}” stays with every record.
      </p>
      <FilePicker
        multiple
        label="Lensfun files"
        accept=".xml,text/xml,application/xml"
        onFiles={(files) => {
          setPicked(new Set());
          read(files, tell);
        }}
      >
        Choose XML files
      </FilePicker>
      {work && <WorkLine work={work} onStop={stop} />}
      {reading && reading.problems.length > 0 && (
        <p role="alert">{problemText(reading.problems)}</p>
      )}
      {reading && reading.entries.length > 0 && (
        <>
          <Search
            type="search"
            aria-label="Search entries"
            placeholder="Search by name, maker, mount"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <p role="status">
            {readWords(reading)} {entries.length} shown, {picked.size} picked.
          </p>
          <EntryList entries={entries} picked={picked} onPick={setPicked} />
          <DialogActions>
            <LineButton onPress={() => setPicked(new Set(entries.map((e) => e.key)))}>
              Pick all {entries.length} shown
            </LineButton>
            <TextButton onPress={onClose}>Leave it</TextButton>
            <MainButton isDisabled={picked.size === 0 || work !== null} onPress={bringIn}>
              Take over {picked.size}
            </MainButton>
          </DialogActions>
        </>
      )}
    </DialogSheet>
  );
}
