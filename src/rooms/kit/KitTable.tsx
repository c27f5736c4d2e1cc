'use client';
import { useMemo, useState } from 'react';
import {
  Cell,
  Column,
  Row,
  Table,
  TableBody,
  TableHeader,
  TableLayout,
  Virtualizer,
  type Selection,
  type SortDescriptor,
} from 'react-aria-components';
import styled from 'styled-components';
import type { KitTable as TableName } from '@/core/kit/fields/fieldTypes';
import { TABLE_WORDS, type Tables } from '@/core/kit/records/workspace';
import { engraved } from '@/ui/theme/type';
import { COLUMNS, type ColumnContext, type TableColumn } from './columns';

const Sheet = styled(Table)`
  height: 100%;
  width: 100%;
  overflow: auto;
  outline: none;
  user-select: none;
  [role='columnheader'] {
    color: var(--muted);
    font-size: 12px;
    text-align: left;
    font-weight: 400;
    padding: 7px 8px;
    background: var(--ground);
    border-bottom: 1px solid var(--line);
    cursor: default;
    white-space: nowrap;
    outline-offset: -2px;
    height: 100%;
  }
  [role='rowheader'],
  [role='gridcell'] {
    padding: 6px 8px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    outline-offset: -2px;
    height: 100%;
  }
  [role='row'] {
    outline-offset: -2px;
    cursor: default;
  }
  [role='row'][data-hovered] {
    background: var(--raised);
  }
  [role='row'][data-selected] {
    background: var(--lifted);
    box-shadow: inset 2px 0 var(--amber);
  }
  .figure {
    ${engraved}
  }
`;

const ROW_PX = 31;

const compare = <T,>(column: TableColumn<T>, context: ColumnContext) => {
  const { order, text } = column;
  if (order) return (a: T, b: T) => order(a) - order(b);
  return (a: T, b: T) =>
    text(a, context).localeCompare(text(b, context), undefined, { numeric: true });
};

interface KitTableProps<T extends TableName> {
  table: T;
  records: readonly Tables[T][];
  context: ColumnContext;
  selected: ReadonlySet<string>;
  onSelect: (ids: ReadonlySet<string>) => void;
}

/** One table of the kit: thousands of rows scroll freely, as only those in sight are drawn. */
export function KitTable<T extends TableName>(props: KitTableProps<T>) {
  const { table, records, context, selected, onSelect } = props;
  const columns = COLUMNS[table] as readonly TableColumn<Tables[T]>[];
  const [sort, setSort] = useState<SortDescriptor>({ column: 'name', direction: 'ascending' });
  const sorted = useMemo(() => {
    const column = columns.find((c) => c.id === sort.column) ?? columns[0];
    if (!column) return records;
    const list = records.toSorted(compare(column, context));
    return sort.direction === 'descending' ? list.reverse() : list;
  }, [records, columns, context, sort]);
  const select = (next: Selection) =>
    onSelect(next === 'all' ? new Set(records.map((r) => r.id)) : (next as ReadonlySet<string>));
  return (
    <Virtualizer layout={TableLayout} layoutOptions={{ rowHeight: ROW_PX, headingHeight: ROW_PX }}>
      <Sheet
        aria-label={TABLE_WORDS[table][1]}
        selectionMode="multiple"
        selectionBehavior="replace"
        selectedKeys={selected}
        onSelectionChange={select}
        sortDescriptor={sort}
        onSortChange={setSort}
      >
        <TableHeader>
          {columns.map((column, i) => (
            <Column
              key={column.id}
              id={column.id}
              isRowHeader={i === 0}
              allowsSorting
              width={`${column.width}fr`}
              minWidth={Math.round(column.width * 58)}
            >
              {column.title}
              {sort.column === column.id && (sort.direction === 'ascending' ? ' ↑' : ' ↓')}
            </Column>
          ))}
        </TableHeader>
        <TableBody items={sorted} dependencies={[context]}>
          {(record) => (
            <Row id={record.id} textValue={record.name}>
              {columns.map((column) => (
                <Cell key={column.id} className={column.figure ? 'figure' : ''}>
                  {column.text(record, context)}
                </Cell>
              ))}
            </Row>
          )}
        </TableBody>
      </Sheet>
    </Virtualizer>
  );
}
