import type { GridColumn, GridSort } from './Grid';

const { compare: compareWords } = new Intl.Collator(undefined, { numeric: true });

/** A column that may be sorted by a figure instead of its words; what has none comes last either way. */
export interface SortedColumn<T> extends Pick<GridColumn<T>, 'id' | 'text'> {
  order?: (record: T) => number | null;
}

interface Sorting<T> {
  record: T;
  by: number | string | null;
}

function compareBy({ by: a }: Sorting<unknown>, { by: b }: Sorting<unknown>): number {
  if (typeof a === 'string' && typeof b === 'string') return compareWords(a, b);
  return Number(a) - Number(b);
}

/** The records in the order of a column, the first of them where there is none such; each is asked once. */
export function sortedBy<T>(
  records: readonly T[],
  columns: readonly SortedColumn<T>[],
  { column: id, isDescending }: GridSort,
): readonly T[] {
  const column = columns.find((c) => c.id === id) ?? columns[0];
  if (!column) return records;
  const asked = records.map((record): Sorting<T> => {
    const by = (column.order ?? column.text)(record);
    return { record, by };
  });
  const known = asked.filter(({ by }) => by !== null).sort(compareBy);
  if (isDescending) known.reverse();
  return [...known, ...asked.filter(({ by }) => by === null)].map(({ record }) => record);
}
