'use client';
import { useEffect, useMemo } from 'react';
import styled from 'styled-components';
import type { KitTable as TableName } from '@/core/kit/fields';
import type { Tables, Workspace } from '@/core/kit/records';
import { PHONE } from '@/ui/theme/type';
import { whenIdle } from '@/ui/whenIdle';
import { COLUMNS, type ColumnContext, type TableColumn } from './columns';
import { saveCsv } from '../files/csvFiles';
import { filtered, type KitFilter } from './filter';
import type { KitDialog } from '../KitDialogs';
import { KitTable } from './KitTable';
import { Toolbar } from './Toolbar';
import type { KitActions } from '../useKit';

const Middle = styled.section`
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  border-left: 1px solid var(--line);
  @media ${PHONE} {
    border: 0;
    height: 62vh;
  }
`;

const TablePlace = styled.div`
  flex: 1;
  min-height: 0;
`;

const None = styled.p`
  padding: 24px 16px;
  color: var(--muted);
`;

/** Runs a function over the records in idle time, a few at a time. */
function useIdly<T>(records: readonly T[], act: (record: T) => void): void {
  useEffect(() => {
    let next = 0;
    const some = (time: IdleDeadline) => {
      while (next < records.length && time.timeRemaining() > 2) {
        const record = records[next];
        if (record !== undefined) act(record);
        next += 1;
      }
      if (next < records.length) giveUp = whenIdle(some);
    };
    let giveUp = whenIdle(some);
    return () => giveUp();
  }, [records, act]);
}

interface TableViewProps {
  table: TableName;
  workspace: Workspace;
  filter: KitFilter;
  onFilter: (filter: KitFilter) => void;
  chosen: ReadonlySet<string>;
  onChoose: (ids: ReadonlySet<string>) => void;
  actions: KitActions;
  onAdd: () => void;
  onDialog: (dialog: KitDialog) => void;
}

/** One table with what narrows it and what brings records in and out. */
export function TableView(props: TableViewProps) {
  const { table, workspace, filter, onFilter, chosen, onChoose, actions, onAdd, onDialog } = props;
  const context = useMemo<ColumnContext>(() => {
    const names = new Map(workspace.mounts.map((m) => [m.id, m.name]));
    return { mountName: (id) => names.get(id) ?? id };
  }, [workspace.mounts]);
  const all: readonly Tables[TableName][] = workspace[table];
  const words = useMemo(() => {
    const columns = COLUMNS[table] as readonly TableColumn<Tables[TableName]>[];
    const known = new WeakMap<Tables[TableName], string>();
    // What a record says is put together once, not with every letter of a search.
    return (record: Tables[TableName]): string => {
      const kept = known.get(record);
      if (kept !== undefined) return kept;
      const said = [...columns.map((c) => c.text(record, context)), record.note].join(' ');
      const words = said.toLowerCase();
      known.set(record, words);
      return words;
    };
  }, [table, context]);
  useIdly(all, words);
  const shown = useMemo(() => filtered(table, all, filter, words), [table, all, filter, words]);
  return (
    <Middle
      aria-label="Records"
      onKeyDown={(event) => {
        if (event.key !== 'Delete' || event.target instanceof HTMLInputElement) return;
        const going = all.filter((r) => chosen.has(r.id));
        if (going.length > 0) actions.remove(table, going);
      }}
    >
      <Toolbar
        table={table}
        workspace={workspace}
        shown={shown.length}
        filter={filter}
        onFilter={onFilter}
        onAdd={onAdd}
        onDialog={onDialog}
        onSave={() => void saveCsv(table, shown)}
      />
      <TablePlace>
        {shown.length === 0 ? (
          <None>
            {all.length === 0
              ? 'Nothing in this table yet.'
              : 'Nothing here passes the search and filters.'}
          </None>
        ) : (
          <KitTable
            key={table}
            table={table}
            records={shown}
            context={context}
            selected={chosen}
            onSelect={onChoose}
          />
        )}
      </TablePlace>
    </Middle>
  );
}
