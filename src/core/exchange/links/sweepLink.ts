/** A sweep as the query of an address, and back. */
import { SWEEP_AXES, type SweepAxis } from '../../sweep';

interface SweepLink {
  rigId: string;
  rows: SweepAxis | null;
  columns: SweepAxis | null;
  /** What it is held against: "lens:w50", "rig:lamplight"; null for nothing. */
  against: string | null;
}

export function sweepQuery({ rigId, rows, columns, against }: SweepLink): string {
  const query = new URLSearchParams({ rig: rigId });
  if (rows) query.set('down', rows);
  if (columns) query.set('across', columns);
  if (against) query.set('against', against);
  return query.toString();
}

const LONGEST_ID = 400;

/** Null where it names no rig; an axis that is none is left out, and so is a second one alike. */
export function readSweepQuery(query: string): SweepLink | null {
  const q = new URLSearchParams(query);
  const rigId = q.get('rig');
  if (!rigId || rigId.length > 80) return null;
  const axis = (name: string) => SWEEP_AXES.find((a) => a === q.get(name)) ?? null;
  const [rows, columns] = [axis('down'), axis('across')];
  const against = q.get('against');
  return {
    rigId,
    rows: rows === columns ? null : rows,
    columns,
    against: against && against.length <= LONGEST_ID ? against : null,
  };
}
