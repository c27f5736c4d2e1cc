'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { readSweepQuery, sweepQuery } from '@/core/exchange/links';
import { isZoom, type Workspace } from '@/core/kit/records';
import { isMissing, resolveRig, type Rig } from '@/core/rig';
import type { SweepAxis } from '@/core/sweep';
import { lastRig, rememberRig } from '@/store/remembered/lastRig';
import type { RigInHand } from '@/shell/rig/RigRoom';
import { heldAgainst } from './against';

export interface Axes {
  rows: SweepAxis;
  columns: SweepAxis;
}

/** A zoom is asked over its focal lengths, a prime over its apertures. */
const usualAxes = ({ lens }: Rig): Axes =>
  isZoom(lens) ? { rows: 'aperture', columns: 'focal' } : { rows: 'mode', columns: 'aperture' };

interface Choice {
  rigId: string | null;
  rows: SweepAxis | null;
  columns: SweepAxis | null;
  against: string | null;
}

export interface Sweep extends RigInHand {
  axes: Axes;
  /** What it is held against, by id; null for nothing. */
  against: string | null;
  other: Rig | null;
  chooseAxis: (side: keyof Axes, axis: SweepAxis) => void;
  holdAgainst: (id: string | null) => void;
}

const arrival = (): Choice => {
  const link = typeof window === 'undefined' ? null : readSweepQuery(window.location.search);
  return link ?? { rigId: lastRig(), rows: null, columns: null, against: null };
};

/** Axes as chosen, or as usual for the lens; never the same twice. */
function axesOf(rig: Rig | null, { rows, columns }: Choice): Axes {
  const usual: Axes = rig ? usualAxes(rig) : { rows: 'aperture', columns: 'focal' };
  const across = columns ?? (rows === usual.columns ? usual.rows : usual.columns);
  const down = rows ?? (across === usual.rows ? usual.columns : usual.rows);
  return { rows: down, columns: across };
}

/** The rig that is swept, over what, and against what. The address follows. */
export function useSweep(workspace: Workspace): Sweep {
  const [choice, setChoice] = useState(arrival);
  const record = workspace.rigs.find((r) => r.id === choice.rigId) ?? workspace.rigs[0] ?? null;
  const rig = useMemo(() => (record ? resolveRig(workspace, record) : null), [workspace, record]);
  const whole = rig && !isMissing(rig) ? rig : null;
  const axes = axesOf(whole, choice);
  const other = useMemo(
    () => (whole && choice.against ? heldAgainst(workspace, whole, choice.against) : null),
    [workspace, whole, choice.against],
  );
  const rigId = record?.id ?? null;
  useEffect(() => {
    if (rigId !== null) rememberRig(rigId);
    const query = rigId === null ? '' : `?${sweepQuery({ ...choice, rigId })}`;
    if (window.location.search !== query)
      window.history.replaceState(window.history.state, '', `${window.location.pathname}${query}`);
  }, [choice, rigId]);
  const chooseRig = useCallback(
    (id: string) => setChoice({ rigId: id, rows: null, columns: null, against: null }),
    [],
  );
  const chooseAxis = (side: keyof Axes, axis: SweepAxis) => {
    // The other side gives way: what it had is what this one leaves.
    const { rows, columns } = axes;
    const swapped = side === 'rows' ? axis === columns : axis === rows;
    const next = swapped ? { rows: columns, columns: rows } : { ...axes, [side]: axis };
    setChoice((now) => ({ ...now, ...next }));
  };
  const holdAgainst = (id: string | null) => setChoice((now) => ({ ...now, against: id }));
  return {
    record,
    rig,
    axes,
    against: other ? choice.against : null,
    other,
    chooseRig,
    chooseAxis,
    holdAgainst,
  };
}
