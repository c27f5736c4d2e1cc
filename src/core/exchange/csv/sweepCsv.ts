/** A sweep as a CSV file, a line a cell. */
import { verdictWords } from '../../frame';
import { AXIS_WORDS, type SweepAxis, type SweepCell } from '../../sweep';
import { guarded } from './csvGuard';
import { csvText } from './csvText';

const HEAD = [
  'focalMm',
  'fNumber',
  'focusM',
  'mode',
  'between',
  'aspect',
  'stabiliser',
  'verdict',
  'darkestCornerStops',
  'cannotBeSet',
];

/** Infinity is written out, the whole read-out as well; a corner without any light has no figure. */
export function sweepCsv(
  cells: readonly SweepCell[],
  axes: { rows: SweepAxis; columns: SweepAxis },
): string {
  const rows = cells.map((cell) => {
    const { settings, mode, parts } = cell.rig;
    return [
      guarded(cell.row),
      guarded(cell.column),
      String(settings.focalMm),
      String(settings.fNumber),
      settings.focusM === null ? 'infinity' : String(settings.focusM),
      guarded(mode.name),
      guarded(parts.map((p) => p.name).join(' + ')),
      settings.aspect === null ? 'whole' : String(settings.aspect),
      settings.stabiliser ? 'on' : 'off',
      cell.verdict ? verdictWords(cell.verdict) : '',
      cell.worstCornerStops === null ? '' : String(cell.worstCornerStops),
      guarded(cell.cannot ?? ''),
    ];
  });
  const head = [AXIS_WORDS[axes.rows], AXIS_WORDS[axes.columns], ...HEAD];
  return csvText([head, ...rows]);
}
