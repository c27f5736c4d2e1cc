/** A thin door to choosing: one share of the kit, what was found told as it is found. */
import { expose } from 'comlink';
import {
  type Candidate,
  choose,
  countOf,
  type Share,
  byRank,
  keep,
  nothingKept,
  together,
  type Kept,
} from '@/core/choose';
import type { Job, Workspace } from '@/core/kit/records';

export interface ChooseNews {
  judged: number;
  total: number;
  passed: number;
  /** How many of them serve all of the views. */
  whole: number;
  /** The best of what was found since the last news. */
  fresh: Candidate[];
}

/** Time between two pieces of news, ms; the first comes sooner. */
const PACE_MS = 120;
const FIRST_MS = 20;
/** At most so many rows are sent at once. */
const MOST_FRESH = 60;
/** Combinations between two looks at the clock. */
const STRIDE = 64;

const chooseDoor = {
  /**
   * Judges its share to the end and answers the best of it. Rests until each piece of news is taken: the page needs a
   * core to draw it, and the workers have them all.
   */
  async run(
    workspace: Workspace,
    job: Job,
    share: Share,
    tell: (news: ChooseNews) => Promise<void>,
  ): Promise<Kept> {
    const total = countOf(workspace, job, share);
    const kept = nothingKept();
    let fresh: Candidate[] = [];
    let told = performance.now();
    let pace = FIRST_MS;
    let count = 0;
    for (const candidate of choose(workspace, job, share)) {
      count += 1;
      if (candidate && keep(kept, candidate) && fresh.length < 10 * MOST_FRESH)
        fresh.push(candidate);
      if (count % STRIDE !== 0 || performance.now() - told < pace) continue;
      const best = fresh.toSorted(byRank).slice(0, MOST_FRESH);
      await tell({ judged: count, total, passed: kept.passed, whole: kept.whole, fresh: best });
      fresh = [];
      told = performance.now();
      pace = PACE_MS;
    }
    await tell({ judged: count, total: count, passed: kept.passed, whole: kept.whole, fresh: [] });
    return together([kept]);
  },
};

export type ChooseDoor = typeof chooseDoor;

expose(chooseDoor);
