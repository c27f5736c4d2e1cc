'use client';
import { useMemo, useState } from 'react';
import type { Workspace } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { commonSteps, type SweepStep, sweep, type SweepCell } from '@/core/sweep';
import { chainsFor } from './against';
import type { Place } from './Matrix';
import type { Sweep } from './useSweep';

export interface Sheets {
  rows: SweepStep[];
  columns: SweepStep[];
  cells: SweepCell[];
  otherCells: SweepCell[] | null;
}

/** The sheet of a rig, and that of what it is held against over the same steps. */
export function useSheets(
  workspace: Workspace,
  rig: Rig,
  { axes: { rows: down, columns: across }, other }: Sweep,
  focals: number,
): Sheets {
  return useMemo(() => {
    const chains = down === 'converter' || across === 'converter' ? chainsFor(workspace, rig) : [];
    const rows = commonSteps(rig, other, down, { chains, focals });
    const columns = commonSteps(rig, other, across, { chains, focals });
    return {
      rows,
      columns,
      cells: [...sweep(rig, rows, columns)],
      otherCells: other ? [...sweep(other, rows, columns)] : null,
    };
  }, [workspace, rig, down, across, other, focals]);
}

/** The frame nearest to how the rig is set. */
function placeOfRig({ settings, mode }: Rig, { cells, columns }: Sheets): Place {
  const away = ({ settings: s, modeId, verdict }: SweepCell): number =>
    Math.abs(Math.log(s.focalMm / settings.focalMm)) +
    Math.abs(Math.log(s.fNumber / settings.fNumber)) +
    (s.focusM === settings.focusM ? 0 : 1) +
    (s.aspect === settings.aspect ? 0 : 1) +
    (s.stabiliser === settings.stabiliser ? 0 : 1) +
    (modeId === mode.id ? 0 : 3) +
    (verdict === null ? 9 : 0);
  const nearest = cells.reduce(
    (best, cell, i) => (away(cell) < away(cells[best] ?? cell) ? i : best),
    0,
  );
  return { row: Math.floor(nearest / columns.length), column: nearest % columns.length };
}

export interface InHand {
  at: Place;
  /** Whether it is on the sheet of what the rig is held against. */
  isOther: boolean;
  cell: SweepCell | null;
  take: (at: Place, isOther: boolean) => void;
  cellAt: (at: Place, isOther: boolean) => SweepCell | null;
}

/** The frame in hand: the one pressed last, else the one nearest to how the rig is set. */
export function useInHand(rig: Rig, sheets: Sheets): InHand {
  const [taken, setTaken] = useState<{ of: Sheets; at: Place; isOther: boolean } | null>(null);
  const usual = useMemo(() => placeOfRig(rig, sheets), [rig, sheets]);
  const { at, isOther } = taken && taken.of === sheets ? taken : { at: usual, isOther: false };
  const cellAt = ({ row, column }: Place, ofOther: boolean): SweepCell | null =>
    (ofOther ? sheets.otherCells : sheets.cells)?.[row * sheets.columns.length + column] ?? null;
  return {
    at,
    isOther,
    cell: cellAt(at, isOther),
    take: (place, ofOther) => setTaken({ of: sheets, at: place, isOther: ofOther }),
    cellAt,
  };
}
