/** What converters do, row by row: each figure with what it differs from the lens without one, and why. */
import { CARRY_ROWS } from './carryRows';
import { DETAIL_ROWS } from './detailRows';
import type { Asked, Cell, ConverterRow, RowGroup } from './rowTypes';
import { USE_ROWS } from './useRows';
import { VIEW_ROWS } from './viewRows';

export const ROW_GROUPS: readonly RowGroup[] = [
  ...VIEW_ROWS,
  ...USE_ROWS,
  ...DETAIL_ROWS,
  ...CARRY_ROWS,
];

/** One cell of the table. */
export function cellOf(row: ConverterRow, asked: Asked): Cell {
  const isBase = asked.column.kind === 'base';
  return { ...row.cell(asked), matters: !isBase && row.differs(asked) === 'seen' };
}
