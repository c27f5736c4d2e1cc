/** Which frames to shoot so that a lens is known: focal lengths by apertures by focus. */
import { openFNumberAt, type Lens } from '../kit/records';
import { nearestMarked } from '../optics';

export interface Shot {
  id: string;
  focalMm: number;
  fNumber: number;
  /** m; null is infinity. */
  focusM: number | null;
}

/** Zooms are measured at this many places, the ends among them. */
const FOCALS = 4;

const rounded = (mm: number): number => (mm < 30 ? Math.round(mm * 2) / 2 : Math.round(mm));

/** Focal lengths worth a frame: both ends of a zoom, and evenly between by ratio. */
function focalsFor({ focalMinMm, focalMaxMm }: Lens): number[] {
  if (focalMaxMm <= focalMinMm) return [focalMinMm];
  const ratio = focalMaxMm / focalMinMm;
  const between = Array.from({ length: FOCALS - 2 }, (_, i) =>
    rounded(focalMinMm * ratio ** ((i + 1) / (FOCALS - 1))),
  );
  return [...new Set([focalMinMm, ...between, focalMaxMm])];
}

/** The marked aperture from f/8 to f/11 a lens has, two stops from open if it can; or its smallest. */
const closedAt = (open: number, smallest: number): number => Math.min(smallest, open > 5 ? 11 : 8);

/** The f-number as the ring is marked. */
const marked = (fNumber: number): number => Number(nearestMarked(fNumber, 'third').marks[0]);

/** Two frames a setting, wide open and at f/8 to f/11: from both the stops between can be foretold. */
export function shotList(lens: Lens, withClose = false): Shot[] {
  const distances = withClose ? [null, lens.closestFocusM] : [null];
  return distances.flatMap((focusM) =>
    focalsFor(lens).flatMap((focalMm) => {
      const open = marked(openFNumberAt(lens, focalMm));
      const closed = closedAt(open, lens.closedFNumber);
      return [...new Set([open, closed])].map((fNumber) => ({
        id: `${focalMm}-${fNumber}-${focusM ?? 'inf'}`,
        focalMm,
        fNumber,
        focusM,
      }));
    }),
  );
}

const near = (a: number, b: number, by: number): boolean => Math.abs(Math.log(a / b)) < by;

/** The shot a frame's own settings fit, if they fit one. */
export function shotFor(
  shots: readonly Shot[],
  settings: { focalMm: number | null; fNumber: number | null },
): Shot | null {
  const { focalMm, fNumber } = settings;
  if (focalMm === null || fNumber === null) return null;
  return (
    shots.find((s) => near(s.focalMm, focalMm, 0.06) && near(s.fNumber, fNumber, 0.09)) ?? null
  );
}
