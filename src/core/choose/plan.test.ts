/** Plans and trade-offs on made-up candidates, whose best is seen by eye. */
import { describe, expect, it } from 'vitest';
import { jobOf } from '../kit/records';
import { randomOf } from '../maths';
import type { Candidate } from './candidate';
import { coveragePlan } from './plan';
import {
  byNearness,
  byRank,
  keep,
  MOST_NEAR,
  MOST_PASSING,
  nothingKept,
  together,
} from './ranking';
import { tradeOffsOf } from './tradeOffs';

const candidate = (more: Partial<Candidate>): Candidate => ({
  bodyId: 'body',
  modeId: 'mode',
  lensId: 'lens',
  partIds: [],
  cropId: null,
  digitalZoom: 1,
  fails: [],
  unknowns: [],
  views: [{ from: 24, to: 50 }],
  share: 1,
  scale: 1,
  leastScale: 1,
  crops: [],
  at: { focalMm: 24, fNumber: 2, postScale: 1, risk: 0.03, evidence: 'measured' },
  risk: { risk: 0.03, evidence: 'measured' },
  tStop: 2,
  light: 'T',
  pixelsAcross: 4000,
  massG: 1000,
  price: 500,
  source: 'at hand',
  ...more,
});
const window = (lensId: string, from: number, to: number, more: Partial<Candidate> = {}) =>
  candidate({ lensId, views: [{ from, to }], ...more });
const JOB = jobOf({ id: 'j', name: 'job', viewFromMm: 24, viewToMm: 100 });
const lensesOf = (passing: readonly Candidate[], near: readonly Candidate[] = []) =>
  coveragePlan(passing, near, JOB)?.steps.map((s) => s.candidate.lensId);

describe('a plan', () => {
  it('takes the fewest that span the views, the one that reaches farthest each time', () => {
    const all = [
      window('a', 20, 40),
      window('b', 24, 35),
      window('c', 30, 70),
      window('d', 38, 80),
      window('e', 60, 120),
    ];
    expect(lensesOf(all)).toEqual(['a', 'd', 'e']);
    expect(coveragePlan(all, [], JOB)?.gaps).toEqual([]);
  });

  it('of those that reach as far takes what is carried already', () => {
    const adapter = { partIds: ['adapter'] };
    const all = [
      window('a', 20, 40, adapter),
      window('b', 35, 110, { partIds: ['adapter', 'tele'] }),
      window('c', 35, 110, adapter),
      window('a', 35, 110, { partIds: ['adapter', 'tele', 'filter'] }),
    ];
    const plan = coveragePlan(all, [], JOB)!;
    expect(plan.steps.map((s) => [s.candidate.lensId, s.candidate.partIds.length])).toEqual([
      ['a', 1],
      ['c', 1],
    ]);
  });

  it('says what is left open, and what would close it were it had another way', () => {
    const passing = [window('a', 24, 40), window('b', 60, 100)];
    const rented = window('r', 35, 62, {
      fails: [{ code: 'source', has: null, wants: null, away: 0.1 }],
    });
    const dark = window('k', 35, 62, {
      fails: [{ code: 'light', has: 4, wants: 2.8, away: 1 }],
    });
    const plan = coveragePlan(passing, [dark, rented], JOB)!;
    expect(plan.gaps).toEqual([{ from: 40, to: 60 }]);
    expect(plan.closers.map((c) => c?.lensId)).toEqual(['r']);
    expect(coveragePlan(passing, [dark], JOB)?.closers).toEqual([null]);
    expect(coveragePlan([], [rented], JOB)).toBeNull();
  });

  it('stays on one body, the one that leaves least open', () => {
    const other = { bodyId: 'other' };
    const passing = [
      window('a', 24, 40),
      window('b', 24, 60, other),
      window('c', 55, 100, other),
      window('d', 40, 60),
    ];
    expect(coveragePlan(passing, [], JOB)?.bodyId).toBe('other');
  });
});

describe('trade-offs', () => {
  it('are those that none beats in views, light and cost together', () => {
    const wide = window('wide', 18, 50, { tStop: 4, massG: 900 });
    const bright = window('bright', 35, 50, { tStop: 1.4, massG: 700 });
    const light = window('light', 35, 50, { tStop: 2.8, massG: 400 });
    const beaten = window('beaten', 35, 50, { tStop: 2.8, massG: 401 });
    const twin = window('twin', 35, 50, { tStop: 2.8, massG: 400 });
    const all = [wide, bright, light, beaten, twin];
    expect(tradeOffsOf(all, 'massG').map((c) => c.lensId)).toEqual([
      'wide',
      'bright',
      'light',
      'twin',
    ]);
  });

  it('leave out what nobody can compare: mass or price not known', () => {
    const unknown = window('unknown', 10, 200, { price: null, tStop: 0.9 });
    const known = window('known', 24, 50);
    expect(tradeOffsOf([unknown, known], 'price').map((c) => c.lensId)).toEqual(['known']);
    expect(tradeOffsOf([unknown, known], 'massG').map((c) => c.lensId)).toEqual(['unknown']);
  });
});

describe('what is kept of a search', () => {
  const { between, whole } = randomOf(20261130);
  const many = Array.from({ length: 6000 }, (_, i) =>
    candidate({
      lensId: `lens-${i}`,
      share: whole(0, 4) / 4,
      tStop: between(1.4, 8),
      massG: whole(300, 3000),
      fails: whole(0, 1) === 0 ? [] : [{ code: 'mass', has: 1, wants: 1, away: between(0, 1.4) }],
    }),
  );
  // As one text: a difference between lists of a thousand records would take minutes to print.
  const idsOf = (list: readonly Candidate[]) => list.map((c) => c.lensId).join(' ');
  const kept = nothingKept();
  for (const each of many) keep(kept, each);
  const best = together([kept]);

  it('is the best of all, as if all had been sorted', () => {
    const passing = many.filter((c) => c.fails.length === 0);
    expect(idsOf(best.passing)).toBe(idsOf(passing.toSorted(byRank).slice(0, MOST_PASSING)));
    expect(best.passed).toBe(passing.length);
    const near = many.filter((c) => c.fails.length === 1 && c.fails[0]!.away <= 0.7);
    expect(idsOf(best.near)).toBe(idsOf(near.toSorted(byNearness).slice(0, MOST_NEAR)));
    expect([best.judged, best.failedBy.mass]).toEqual([6000, 6000 - passing.length]);
  });

  it('is the same however the search was shared out', () => {
    const shares = [nothingKept(), nothingKept(), nothingKept()];
    many.forEach((each, i) => keep(shares[i % 3]!, each));
    const shared = together(shares);
    expect(idsOf(shared.passing)).toBe(idsOf(best.passing));
    expect(idsOf(shared.near)).toBe(idsOf(best.near));
    expect([shared.passed, shared.judged]).toEqual([best.passed, best.judged]);
  });
});
