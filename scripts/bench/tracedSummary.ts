/** Traced lenses, summed up: do intervals hold, does what is said come. */

import { medianOf } from '../../src/core/maths';

/** One forecast against the rays. */
export interface Case {
  held: boolean;
  missMm: number;
  risk: number;
  bad: boolean;
}

/** How far a sample is from the frame it was made from, at the frame's own aperture, and whether within its interval. */
export interface Own {
  frames: number;
  apartMm: number;
  within: boolean;
}

/** Whether a frame's own interval held the truth. */
export interface Seen {
  name: string;
  held: boolean;
}

const shareOf = <T>(cases: readonly T[], of: (c: T) => boolean) =>
  cases.filter(of).length / Math.max(1, cases.length);

function ownOf(owns: readonly Own[], isOne: boolean) {
  const some = owns.filter(({ frames }) => (frames === 1) === isOne);
  return {
    frames: isOne ? 1 : 2,
    cases: some.length,
    medianMm: medianOf(some.map((o) => o.apartMm)),
    within: shareOf(some, (o) => o.within),
  };
}

function scenarioOf([name, cases]: readonly [string, readonly Case[]]) {
  const misses = cases.map((c) => c.missMm).sort((a, b) => a - b);
  const calm = cases.filter((c) => c.risk < 0.05);
  return {
    name,
    cases: cases.length,
    held: shareOf(cases, (c) => c.held),
    medianMm: medianOf(misses),
    q90Mm: misses[Math.floor(misses.length * 0.9)],
    calmCases: calm.length,
    calmBad: shareOf(calm, (c) => c.bad),
  };
}

const BANDS = [0, 0.05, 0.2, 0.4, 0.6, 0.8, 0.95, 1.0001];

interface Tried {
  lenses: number;
  scenarios: ReadonlyMap<string, readonly Case[]>;
  owns: readonly Own[];
  seen: readonly Seen[];
}

export function summaryOf({ lenses, scenarios, owns, seen }: Tried) {
  const all = [...scenarios.values()].flat();
  return {
    lenses,
    own: [true, false].map((isOne) => ownOf(owns, isOne)),
    frames: [...new Set(seen.map(({ name }) => name))].map((name) => {
      const some = seen.filter((s) => s.name === name);
      return { name, cases: some.length, held: shareOf(some, (s) => s.held) };
    }),
    scenarios: [...scenarios].map(scenarioOf),
    bands: BANDS.slice(1).map((to, i) => {
      const cases = all.filter((c) => c.risk >= (BANDS[i] ?? 0) && c.risk < to);
      return {
        from: BANDS[i],
        to,
        cases: cases.length,
        said: cases.reduce((sum, c) => sum + c.risk, 0) / Math.max(1, cases.length),
        seen: shareOf(cases, (c) => c.bad),
      };
    }),
  };
}
