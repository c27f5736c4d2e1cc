'use client';
import { useMemo, useState } from 'react';
import type { KitTable as TableName } from '@/core/kit/fields';
import { TABLE_WORDS, type Tables } from '@/core/kit/records';
import { Grid, type GridSort } from '@/ui/grid/Grid';
import { sortedBy } from '@/ui/grid/sorted';
import { COLUMNS, type ColumnContext, type TableColumn } from './columns';

interface KitTableProps<T extends TableName> {
  table: T;
  records: readonly Tables[T][];
  context: ColumnContext;
  selected: ReadonlySet<string>;
  onSelect: (ids: ReadonlySet<string>) => void;
}

/** One table of the kit, sorted by any of its columns. */
export function KitTable<T extends TableName>(props: KitTableProps<T>) {
  const { table, records, context, selected, onSelect } = props;
  const [sort, setSort] = useState<GridSort>({ column: 'name', isDescending: false });
  const columns = useMemo(() => {
    const all = COLUMNS[table] as readonly TableColumn<Tables[T]>[];
    return all.map((column) => ({
      ...column,
      text: (record: Tables[T]) => column.text(record, context),
    }));
  }, [table, context]);
  const sorted = useMemo(() => sortedBy(records, columns, sort), [records, columns, sort]);
  return (
    <Grid
      label={TABLE_WORDS[table][1]}
      columns={columns}
      records={sorted}
      sort={sort}
      onSort={setSort}
      choice={{ selected, onSelect }}
    />
  );
}
