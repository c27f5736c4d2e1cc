'use client';
import { isPracticeLens } from '@/core/kit/records';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { newId } from '@/core/kit';
import { KIT_TABLES, type KitTable as TableName } from '@/core/kit/fields';
import { isEmpty } from '@/store/database/load';
import type { Tables, Workspace } from '@/core/kit/records';
import { RoomFrame } from '@/shell/RoomFrame';
import { RoomHeader } from '@/shell/header/RoomHeader';
import { ShellParts } from '@/shell/ShellParts';
import { useShell, useShellKeys, type Shell } from '@/shell/useShell';
import { RibbonPatterns } from '@/ui/marks/RibbonPatterns';
import { PHONE } from '@/ui/theme/type';
import { BulkPanel } from './table/BulkPanel';
import { EmptyKit } from './EmptyKit';
import { NO_FILTER, type KitFilter } from './table/filter';
import { freshRecord } from './records/fresh';
import { KitDialogs, type KitDialog } from './KitDialogs';
import { KitNav, type KitView } from './KitNav';
import { Ladder } from './finding/Ladder';
import { RecordEditor } from './records/RecordEditor';
import { TableView } from './table/TableView';
import { useKit, type KitActions } from './useKit';

const Columns = styled.main<{ $editing: boolean }>`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 176px minmax(0, 1fr) ${(p) => (p.$editing ? '372px' : '')};
  @media ${PHONE} {
    display: block;
  }
`;

const SHORTCUTS = [
  { keys: 'a', does: 'add a record to this table' },
  { keys: 'b', does: 'check a lens seen for sale' },
  { keys: '/', does: 'search' },
  { keys: '1 … 6', does: 'lenses, bodies, adapters, mounts, markings, ladder' },
  { keys: '↑ ↓', does: 'in a table: the next record; with Shift: choose several' },
  { keys: 'Delete', does: 'in a table: delete what is chosen' },
];

const VIEWS: readonly KitView[] = [...KIT_TABLES, 'ladder'];

/** The kit's own keys, by what they do. */
function useKitKeys(
  shell: Shell,
  acts: { add: () => void; bargain: () => void; view: (v: KitView) => void },
) {
  const byNumber = Object.fromEntries(VIEWS.map((v, i) => [String(i + 1), () => acts.view(v)]));
  useShellKeys(shell, {
    ...byNumber,
    a: acts.add,
    b: acts.bargain,
    '/': () => document.querySelector<HTMLElement>('input[type="search"]')?.focus(),
  });
}

/** What is looked at, what is chosen in it, and what narrows it. */
function useView() {
  const [view, setView] = useState<KitView>('lenses');
  const [chosen, choose] = useState<ReadonlySet<string>>(new Set());
  const [filter, setFilter] = useState<KitFilter>(NO_FILTER);
  const acts = useMemo(
    () => ({
      choose,
      setFilter,
      open: (table: TableName, id: string) => {
        setView(table);
        setFilter(NO_FILTER);
        choose(new Set([id]));
      },
      look: (next: KitView) => {
        setView(next);
        choose(new Set());
      },
      lensesWith: (mountIds: readonly string[]) => {
        setView('lenses');
        choose(new Set());
        setFilter({ ...NO_FILTER, mountIds });
      },
    }),
    [],
  );
  return { view, chosen, filter, ...acts };
}

interface CabinetProps {
  workspace: Workspace;
  actions: KitActions;
  looking: ReturnType<typeof useView>;
  onAdd: () => void;
  onDialog: (dialog: KitDialog) => void;
}

/** The drawers, the one that is open, and the record in hand. */
function Cabinet({ workspace, actions, looking, onAdd, onDialog }: CabinetProps) {
  const { view, chosen, filter, choose, setFilter, look, lensesWith } = looking;
  const table = view === 'ladder' ? null : view;
  const records = useMemo<readonly Tables[TableName][]>(
    () => (table ? workspace[table].filter((r) => chosen.has(r.id)) : []),
    [table, workspace, chosen],
  );
  const [only] = records;
  const none = () => choose(new Set());
  const shared = { workspace, actions, onClose: none };
  return (
    <Columns $editing={records.length > 0}>
      <KitNav view={view} workspace={workspace} onView={look} onDialog={onDialog} />
      {table === null ? (
        <Ladder workspace={workspace} onMounts={lensesWith} />
      ) : (
        <TableView
          table={table}
          workspace={workspace}
          filter={filter}
          onFilter={setFilter}
          chosen={chosen}
          onChoose={choose}
          actions={actions}
          onAdd={onAdd}
          onDialog={onDialog}
        />
      )}
      {table && only && records.length === 1 && (
        <RecordEditor key={only.id} table={table} record={only} {...shared} />
      )}
      {table && records.length > 1 && <BulkPanel table={table} records={records} {...shared} />}
    </Columns>
  );
}

/** The gear one has: the lens the simulated camera practises with is none of it. */
const ownGear = (workspace: Workspace): Workspace => ({
  ...workspace,
  lenses: workspace.lenses.filter((lens) => !isPracticeLens(lens)),
});

function OpenKit({ workspace: whole }: { workspace: Workspace }) {
  const shell = useShell(whole);
  const workspace = useMemo(() => ownGear(whole), [whole]);
  const looking = useView();
  const { view, open, look } = looking;
  const [dialog, setDialog] = useState<KitDialog | null>(null);
  const actions = useKit(workspace.mounts, shell.tell, open);
  const table = view === 'ladder' ? 'lenses' : view;
  const addTo = (to: Exclude<TableName, 'lenses'>) =>
    actions.add(to, freshRecord(to, workspace, newId()));
  const add = () => {
    if (table === 'markings') addTo(table);
    else setDialog(`quick ${table}`);
  };
  useKitKeys(shell, { add, bargain: () => setDialog('bargain'), view: look });
  return (
    <>
      <RoomHeader room="kit" keys={shell.keys} fileActions={shell.fileActions} />
      {isEmpty(workspace) ? (
        <EmptyKit files={shell.files} onDialog={setDialog} />
      ) : (
        <Cabinet
          workspace={workspace}
          actions={actions}
          looking={looking}
          onAdd={add}
          onDialog={setDialog}
        />
      )}
      <KitDialogs
        open={dialog}
        table={table}
        workspace={workspace}
        actions={actions}
        tell={shell.tell}
        onMount={(id) => open('mounts', id)}
        onByHand={(to, record, mounts) => {
          setDialog(null);
          if (record) actions.add(to, record, mounts);
          else addTo(to);
        }}
        onClose={() => setDialog(null)}
      />
      <ShellParts room="kit" shell={shell} workspace={whole} shortcuts={SHORTCUTS} />
      <RibbonPatterns />
    </>
  );
}

/** The Kit: the cabinet of bodies, lenses, adapters and mounts, and getting gear in and out. */
export function KitRoom() {
  return <RoomFrame>{(workspace) => <OpenKit workspace={workspace} />}</RoomFrame>;
}
