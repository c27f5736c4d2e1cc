/** One rig over any two of its axes. */
import type { VerdictFace } from '../frame';
import type { RigSettings } from '../kit/records';
import { type Rig } from '../rig';
import { verdictOf } from '../rig/judged';
import { askedOf, type SweepStep } from './axes';

export interface SweepCell {
  row: string;
  column: string;
  rowValue: number | null;
  columnValue: number | null;
  settings: RigSettings;
  modeId: string;
  partIds: string[];
  /** Null where the rig cannot be set so. */
  verdict: VerdictFace | null;
  /** Null where it cannot be set so, and where no light comes. */
  worstCornerStops: number | null;
  /** Why it cannot be set so, a few words; null where it can. */
  cannot: string | null;
  /** The rig as it is set there. */
  rig: Rig;
}

function cellAt(rig: Rig, row: SweepStep, column: SweepStep): SweepCell {
  const { rig: at, cannot } = askedOf(rig, [row, column]);
  const judged = cannot === null ? verdictOf(at) : null;
  return {
    row: row.label,
    column: column.label,
    rowValue: row.value,
    columnValue: column.value,
    settings: at.settings,
    modeId: at.mode.id,
    partIds: at.parts.map((p) => p.id),
    verdict: judged && { kind: judged.kind, or: judged.or },
    worstCornerStops: judged?.worstCornerStops ?? null,
    cannot,
    rig: at,
  };
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
  for (const row of rows) for (const column of columns) yield cellAt(rig, row, column);
}
