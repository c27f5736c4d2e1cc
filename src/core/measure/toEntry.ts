/** A measured frame as an entry of the log. */
import type { Measurement } from '../kit/records';
import type { FrameMeasure } from './measureGrid';
import { METHOD_VERSION } from './method';

/** What the log keeps of a measure itself, beside when, where and on what it was taken. */
type MeasuredFigures = Pick<
  Measurement,
  | 'status'
  | 'halfLightMm'
  | 'lowerBoundMm'
  | 'minus1Mm'
  | 'minus2Mm'
  | 'centreXMm'
  | 'centreYMm'
  | 'rims'
  | 'exitPupilMm'
  | 'warnings'
  | 'method'
>;

/** A thousandth of a millimetre is more than any frame tells. */
const rounded = (mm: number): number => Math.round(mm * 1000) / 1000;
const roundedOrNull = (mm: number | null): number | null => (mm === null ? null : rounded(mm));

/** The figures of a measure as the log keeps them; null of a refused frame, which tells none. */
export function entryFigures(measure: FrameMeasure): MeasuredFigures | null {
  if (measure.status === 'refused') return null;
  const { halfLightRadiusMm: half, centreMm, stopRadiiMm } = measure;
  const [x, y] = centreMm ?? [0, 0];
  return {
    status: measure.status,
    halfLightMm: half && {
      value: rounded(half.value),
      low: rounded(half.low),
      high: rounded(half.high),
    },
    lowerBoundMm: rounded(measure.lowerBoundMm ?? 0),
    minus1Mm: roundedOrNull(stopRadiiMm[1]),
    minus2Mm: roundedOrNull(stopRadiiMm[2]),
    centreXMm: rounded(x),
    centreYMm: rounded(y),
    rims: measure.rims.map(({ edgeRadiusMm, softnessMm }) => ({ edgeRadiusMm, softnessMm })),
    exitPupilMm: roundedOrNull(measure.exitPupilMm),
    warnings: measure.warnings,
    method: METHOD_VERSION,
  };
}
