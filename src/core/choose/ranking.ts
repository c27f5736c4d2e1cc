/** The order of what was found, and how much of it is kept. */
import { awayOf, passes, type Candidate } from './candidate';
import { servesAll } from './views';

/** Shares this near are one. */
const SHARE_STEP = 100;
const shareStep = ({ share }: Candidate): number =>
  servesAll({ share }) ? SHARE_STEP : Math.floor(share * SHARE_STEP);

/** An unknown figure stands behind every known one. */
const last = (value: number | null): number => value ?? Number.MAX_VALUE;

/** Any order of ids will do, as long as it is one. */
const byId = (a: string, b: string): number => (a < b ? -1 : Number(a > b));

/** Risks of a kind: hardly any, a small one, and what is nearer to a coin's toss. */
const RISK_STEPS = [0.05, 0.15];
const riskStep = ({ risk }: Candidate): number =>
  RISK_STEPS.filter((step) => risk !== null && risk.risk > step).length;

/** The better first: more of the views, fewer unknowns, less risk, less scale-up, more light, fewer parts, lighter, cheaper. */
export function byRank(a: Candidate, b: Candidate): number {
  return (
    shareStep(b) - shareStep(a) ||
    a.unknowns.length - b.unknowns.length ||
    riskStep(a) - riskStep(b) ||
    Math.round(100 * a.scale) - Math.round(100 * b.scale) ||
    Math.round(12 * Math.log2(last(a.tStop))) - Math.round(12 * Math.log2(last(b.tStop))) ||
    a.partIds.length - b.partIds.length ||
    last(a.massG) - last(b.massG) ||
    last(a.price) - last(b.price) ||
    byId(a.lensId, b.lensId) ||
    byId(a.bodyId, b.bodyId) ||
    byId(a.modeId, b.modeId)
  );
}

/** The nearest miss first. */
export const byNearness = (a: Candidate, b: Candidate): number =>
  a.fails.length - b.fails.length || awayOf(a) - awayOf(b) || byRank(a, b);

/** A miss is near where one thing alone is missing, and something would mend it. */
const isNearMiss = (c: Candidate): boolean =>
  c.fails.length === 1 && Number.isFinite(awayOf(c)) && awayOf(c) <= NEAR;
/** A miss by more than this, as log2 of a ratio, is not near: a third, or four tenths of a stop. An assumption. */
const NEAR = 0.42;

export interface Kept {
  passing: Candidate[];
  near: Candidate[];
  /** How many passed, more than are kept where there are very many. */
  passed: number;
  /** How many of them serve all of the views. */
  whole: number;
  judged: number;
  /** How many failed first of all by each code. */
  failedBy: Partial<Record<string, number>>;
}

export const nothingKept = (): Kept => ({
  passing: [],
  near: [],
  passed: 0,
  whole: 0,
  judged: 0,
  failedBy: {},
});

export const MOST_PASSING = 1000;
export const MOST_NEAR = 200;

/**
 * Takes a candidate into a list of the best. From `most` on the first so many stand in order, and what is worse than
 * all of them does not come in; the list grows to twice as many before it is cut, so that sorting is seldom.
 */
function takeIn(list: Candidate[], candidate: Candidate, most: number, order: typeof byRank): void {
  const worst = list[most - 1];
  if (list.length >= most && worst && order(candidate, worst) > 0) return;
  list.push(candidate);
  if (list.length !== most && list.length < 2 * most) return;
  list.sort(order);
  list.length = most;
}

/** Takes one in; answers whether it may be worth showing. */
export function keep(kept: Kept, candidate: Candidate): boolean {
  kept.judged += 1;
  if (passes(candidate)) {
    kept.passed += 1;
    if (servesAll(candidate)) kept.whole += 1;
    takeIn(kept.passing, candidate, MOST_PASSING, byRank);
    return true;
  }
  const [first] = candidate.fails;
  if (first) kept.failedBy[first.code] = (kept.failedBy[first.code] ?? 0) + 1;
  if (!isNearMiss(candidate)) return false;
  takeIn(kept.near, candidate, MOST_NEAR, byNearness);
  return true;
}

/** What several searches kept, as one: the best of all of them, in order. */
export function together(all: readonly Kept[]): Kept {
  const sum = nothingKept();
  for (const one of all) {
    sum.passed += one.passed;
    sum.whole += one.whole;
    sum.judged += one.judged;
    for (const [code, count] of Object.entries(one.failedBy))
      sum.failedBy[code] = (sum.failedBy[code] ?? 0) + (count ?? 0);
  }
  sum.passing = all
    .flatMap((k) => k.passing)
    .toSorted(byRank)
    .slice(0, MOST_PASSING);
  sum.near = all
    .flatMap((k) => k.near)
    .toSorted(byNearness)
    .slice(0, MOST_NEAR);
  return sum;
}
