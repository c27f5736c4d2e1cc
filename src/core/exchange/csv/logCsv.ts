/** The log as a CSV file. */
import type { Measurement } from '../../kit/records';
import { guarded } from './csvGuard';
import { csvText } from './csvText';

const figure = (v: number | null | undefined): string =>
  v === null || v === undefined ? '' : String(v);

const HEAD = [
  'takenAt',
  'lens',
  'between',
  'focalMm',
  'fNumber',
  'focusM',
  'status',
  'halfLightMm',
  'lowMm',
  'highMm',
  'lowerBoundMm',
  'predictedHalfLightMm',
  'minus1Mm',
  'minus2Mm',
  'centreXMm',
  'centreYMm',
  'method',
  'frame',
  'note',
];

export function logCsv(
  entries: readonly Measurement[],
  /** Names of lenses and parts by id. */
  names: ReadonlyMap<string, string>,
): string {
  const rows = entries.map((m) => [
    m.takenAt,
    guarded(names.get(m.lensId) ?? m.lensId),
    guarded(m.partIds.map((id) => names.get(id) ?? id).join(' + ')),
    figure(m.focalMm),
    figure(m.fNumber),
    figure(m.focusM),
    m.status,
    figure(m.halfLightMm?.value),
    figure(m.halfLightMm?.low),
    figure(m.halfLightMm?.high),
    figure(m.lowerBoundMm),
    figure(m.predictedHalfLightMm),
    figure(m.minus1Mm),
    figure(m.minus2Mm),
    figure(m.centreXMm),
    figure(m.centreYMm),
    figure(m.method),
    guarded(m.name),
    guarded(m.note),
  ]);
  return csvText([HEAD, ...rows]);
}
