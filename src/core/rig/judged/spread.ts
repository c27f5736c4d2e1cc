/** A chance summed over one figure that is spread about what is expected. */
import { clamp, longTailedShare, normalShare } from '../../maths';
import type { HaloUnsure } from '../../halo';

/** How likely a place is too dark where the rims let so much through, 0..1. */
export type Chance = (through: number) => number;

/** The sum ends at this many standard deviations to either side. */
export const REACH_SIGMAS = 3.6;
/** Cells along the spread between which the light is asked. */
const FEWEST_CELLS = 4;
const MOST_CELLS = 9;
/** Between two places the chance may change by so much before it is looked at more closely. */
const STEADY = 0.03;
const FINER = 16;
/** Light changing by more than this between two places does not run straight from one to the other. */
const SHARP = 0.25;

/** By number of cells: share of the errors below the finer places of its cells. */
const sharesBelow = (share: (z: number) => number): readonly (readonly number[])[] =>
  Array.from({ length: MOST_CELLS + 1 }, (_, n) =>
    Array.from({ length: n * FINER + 1 }, (_, k) =>
      share(REACH_SIGMAS * ((2 * k) / (n * FINER) - 1)),
    ),
  );
const SHARES_BELOW = {
  normal: sharesBelow(normalShare),
  'long-tailed': sharesBelow(longTailedShare),
} as const;

/** How a figure is spread, and between how many cells the light is asked; the fewest where light runs smoothly. */
interface Spread {
  errors: HaloUnsure['errors'];
  cells?: number;
}

/**
 * Chance over a figure `z` standard deviations off what is expected. What is let through there grows with z, or falls;
 * once it is whole it stays so.
 */
export function chanceOver(
  throughAt: (z: number) => number,
  chance: Chance,
  { errors, cells: wanted = FEWEST_CELLS }: Spread,
): number {
  const cells = clamp(Math.ceil(wanted), FEWEST_CELLS, MOST_CELLS);
  const below = SHARES_BELOW[errors][cells] ?? [];
  const step = (2 * REACH_SIGMAS) / cells;
  /** Share of the figure between two of the finer places. */
  const between = (from: number, to: number) => (below[to] ?? 1) - (below[from] ?? 0);
  let through = throughAt(-REACH_SIGMAS);
  let here = chance(through);
  let total = (below[0] ?? 0) * here;
  for (let i = 1; i <= cells; i += 1) {
    const from = (i - 1) * FINER;
    const nextThrough = through >= 1 ? 1 : throughAt(-REACH_SIGMAS + i * step);
    const next = nextThrough === through ? here : chance(nextThrough);
    if (Math.abs(next - here) < STEADY) {
      total += ((here + next) / 2) * between(from, from + FINER);
    } else {
      const isSharp = Math.abs(nextThrough - through) > SHARP;
      for (let k = 0; k < FINER; k += 1) {
        const place = (k + 0.5) / FINER;
        const mid = isSharp
          ? throughAt(-REACH_SIGMAS + (i - 1 + place) * step)
          : through + (nextThrough - through) * place;
        total += chance(mid) * between(from + k, from + k + 1);
      }
    }
    through = nextThrough;
    here = next;
  }
  return total + here * (1 - (below[cells * FINER] ?? 1));
}
