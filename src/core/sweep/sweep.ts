/** One rig over any two of its axes. */
import type { VerdictKind } from '../frame/coverage';
import { isZoom, openFNumberAt } from '../kit/records/lens';
import type { Part } from '../kit/records/part';
import type { RigSettings } from '../kit/records/rigRecord';
import { apertureSeries } from '../optics/apertures';
import { verdictOf } from '../rig/report/setUp';
import { turned, type Rig } from '../rig/rig';
import { fWords, fixed, mm } from '../words/figures';

export type SweepAxis = 'focal' | 'aperture' | 'focus' | 'mode' | 'converter';
export const SWEEP_AXES: readonly SweepAxis[] = ['focal', 'aperture', 'focus', 'mode', 'converter'];

/** One value of an axis: what it is called and the rig there. */
export interface SweepStep {
  axis: SweepAxis;
  label: string;
  /** The value where the axis is a number; null for modes and converters. */
  value: number | null;
  apply: (rig: Rig) => Rig;
}

export interface SweepCell {
  row: string;
  column: string;
  rowValue: number | null;
  columnValue: number | null;
  settings: RigSettings;
  modeId: string;
  partIds: string[];
  verdict: VerdictKind;
  worstCornerStops: number | null;
}

const numberStep = (
  axis: SweepAxis,
  label: string,
  value: number,
  change: Partial<RigSettings>,
): SweepStep => ({
  axis,
  label,
  value,
  apply: (rig) => turned(rig, change),
});

/** Steps along the zoom, even in log f, ends among them; one step for a prime. */
export function focalSteps({ lens }: Rig, count = 12): SweepStep[] {
  const { focalMinMm: min, focalMaxMm: max } = lens;
  const n = isZoom(lens) ? Math.max(2, count) : 1;
  return Array.from({ length: n }, (_, i) => {
    const focalMm = n === 1 ? min : min * (max / min) ** (i / (n - 1));
    return numberStep('focal', mm(focalMm), focalMm, { focalMm });
  });
}

/** Full stops the lens has at its present zoom, and its widest aperture. */
export function apertureSteps({ lens, settings }: Rig): SweepStep[] {
  const open = openFNumberAt(lens, settings.focalMm);
  const stops = apertureSeries('full').filter(
    (m) => m.exact > open * 1.05 && m.exact <= lens.closedFNumber * 1.03,
  );
  return [
    numberStep('aperture', fWords(open, 1), open, { fNumber: open }),
    ...stops.map((m) =>
      numberStep('aperture', `f/${m.marks[0] ?? ''}`, m.exact, { fNumber: m.exact }),
    ),
  ];
}

/** Infinity and nearer, by octaves down to the closest focus. */
export function focusSteps({ lens }: Rig): SweepStep[] {
  const near = Array.from({ length: 6 }, (_, i) => lens.closestFocusM * 2 ** i);
  const infinity: SweepStep = { ...numberStep('focus', '∞', 0, { focusM: null }), value: null };
  return [
    ...near.map((focusM) => numberStep('focus', `${fixed(focusM, 2)} m`, focusM, { focusM })),
    infinity,
  ];
}

export const modeSteps = ({ body }: Rig): SweepStep[] =>
  body.modes.map((mode) => ({
    axis: 'mode',
    label: mode.name,
    value: null,
    apply: (rig) => turned({ ...rig, mode }, {}),
  }));

/** The chains given, each in place of the rig's own. */
const converterSteps = (chains: readonly (readonly Part[])[]): SweepStep[] =>
  chains.map((parts) => ({
    axis: 'converter',
    label: parts.map((p) => p.name).join(' + ') || 'nothing between',
    value: null,
    apply: (rig) => ({ ...rig, parts }),
  }));

/** The steps of an axis for a rig; converters come from `chains`. */
export function stepsOf(
  rig: Rig,
  axis: SweepAxis,
  chains: readonly (readonly Part[])[],
): SweepStep[] {
  switch (axis) {
    case 'focal':
      return focalSteps(rig);
    case 'aperture':
      return apertureSteps(rig);
    case 'focus':
      return focusSteps(rig);
    case 'mode':
      return modeSteps(rig);
    case 'converter':
      return converterSteps(chains);
  }
}

/**
 * Every cell of a matrix, row by row, as it is worked out. Stop asking and it stops working: that is how
 * it is cancelled.
 */
export function* sweep(
  rig: Rig,
  rows: readonly SweepStep[],
  columns: readonly SweepStep[],
): Generator<SweepCell> {
  for (const row of rows) {
    const onRow = row.apply(rig);
    for (const column of columns) {
      const at = column.apply(onRow);
      const { kind, worstCornerStops } = verdictOf(at);
      yield {
        row: row.label,
        column: column.label,
        rowValue: row.value,
        columnValue: column.value,
        settings: at.settings,
        modeId: at.mode.id,
        partIds: at.parts.map((p) => p.id),
        verdict: kind,
        worstCornerStops,
      };
    }
  }
}
