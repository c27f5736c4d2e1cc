/** The shape of the rows a comparison of converters has. */
import type { Why } from '../rig/readings';
import type { ConverterColumn } from './columns';
import type { Difference } from './seen';

export interface Cell {
  figure: string;
  note?: string;
  /** Whether it differs from the lens without a converter by more than anybody sees; the base's own never does. */
  matters: boolean;
}

export interface Asked {
  column: ConverterColumn;
  base: ConverterColumn;
}

export type Said = Omit<Cell, 'matters'>;

export interface ConverterRow {
  id: string;
  name: string;
  cell: (asked: Asked) => Said;
  /** How far it is from the base. */
  differs: (asked: Asked) => Difference;
  why: (asked: Asked, today: string) => Why;
}

export interface RowGroup {
  title: string;
  rows: readonly ConverterRow[];
}
