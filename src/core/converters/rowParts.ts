/** What rows of a comparison have in common: how two columns differ, and whose why is the Bench's. */
import { differs, SEEN_SHARE } from './seen';
import { VISIBLE_DIFFERENCE } from '../optics';
import { explain, type Reading } from '../rig/readings';
import { metres, times } from '../words';
import type { ConverterColumn } from './columns';
import { basis } from './rowFigures';
import type { Asked, ConverterRow, Said } from './rowTypes';

export const COMMON = 'Common practice, no source.';
/** A row whose why is that of the same reading on the Bench. */
export const asOnBench =
  (reading: Reading): ConverterRow['why'] =>
  ({ column }, today) =>
    explain(reading, column.rig, column.report, today);

export const ratio = (of: (column: ConverterColumn) => number | null): ConverterRow['differs'] => {
  return ({ column, base }) => differs.byShare(of(column), of(base), SEEN_SHARE);
};
export const stopsApart = (
  of: (column: ConverterColumn) => number | null,
): ConverterRow['differs'] => {
  return ({ column, base }) => differs.byStops(of(column), of(base));
};
export const words = (of: (asked: Asked) => string): ConverterRow['differs'] => {
  return ({ column, base }) => differs.inWords(of({ column, base }), of({ column: base, base }));
};

export function basisRow(name: 'same place' | 'same framing' | 'larger format', title: string) {
  const cell = ({ column }: Asked): Said => {
    if (column.kind === 'base') return { figure: '1' };
    const found = basis(name)(column);
    if (!found) return { figure: '–', note: column.kind === 'crop' ? 'as bare' : undefined };
    return {
      figure: found.ratio === null ? 'endless' : times(found.ratio),
      note: name === 'same framing' ? `from ${metres(found.focusM)}` : undefined,
    };
  };
  return {
    id: `depth, ${name}`,
    name: title,
    cell,
    differs: ({ column }: Asked) => {
      const found = basis(name)(column);
      return found ? differs.byShare(found.ratio, 1, VISIBLE_DIFFERENCE) : 'not seen';
    },
    why: asOnBench('depth'),
  } satisfies ConverterRow;
}
