/** The demo's jobs have the winners worked out by hand in docs/choosing.md, for the reasons given there. */
import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import type { Candidate } from './candidate';
import { choose } from './choose';
import { tradeOffsOf } from './tradeOffs';
import { coveragePlan } from './plan';
import { keep, nothingKept, together } from './ranking';
import { reasonOf } from './words';

function foundFor(id: string) {
  const job = tideMill.jobs.find((j) => j.id === id)!;
  const kept = nothingKept();
  const all: Candidate[] = [];
  for (const c of choose(tideMill, job)) {
    if (!c) continue;
    keep(kept, c);
    all.push(c);
  }
  const of = (lensId: string, parts: string, body: string) =>
    all.find(
      (c) =>
        c.lensId === lensId && c.partIds.join('+') === parts && `${c.bodyId}/${c.modeId}` === body,
    )!;
  return { job, found: together([kept]), of };
}

describe('the wheel-house', () => {
  const { job, found, of } = foundFor('wheel-house-interview');

  it('is best served by the small-format zoom on the small-format mode, 75 % of the views', () => {
    const [first] = found.passing;
    expect(first).toMatchObject({
      lensId: 'w1835',
      partIds: ['p44-18'],
      bodyId: 'h24',
      modeId: '4k-crop',
      massG: 1578,
    });
    expect(first?.views[0]?.from).toBeCloseTo(18 * 1.5979, 1);
    expect(first?.views[0]?.to).toBeCloseTo(50, 0);
    expect(first?.share).toBeCloseTo(0.753, 2);
    expect(reasonOf(first!, job)).toBe('Clear at 28.8–50 mm, T2.0, risk < 1 %, measured.');
  });

  it('behind the reducer the view is wider and the corners end it', () => {
    const reduced = of('w1835', 'r71-44-18', 'c26/4k');
    // Expected to be Clear from 26.5 mm, and likely enough to be from 26.7 mm on.
    expect(reduced.views[0]?.from).toBeCloseTo(26.75, 1);
    expect(reduced.views[0]?.to).toBeCloseTo(35 * 1.1393, 1);
    expect(reduced.at?.fNumber).toBeGreaterThan(3.4);
  });

  it('the full-frame zoom is 0.3 stop too slow, and bodies without a stabiliser are out', () => {
    expect(reasonOf(of('w2470', '', 'h24/4k'), job)).toMatch(/^0\.3 stop too slow: T3\.1 at best/);
    expect(reasonOf(of('w25c', '', 'l45/scope'), job)).toMatch(/no stabiliser/);
  });

  it('is planned with one lens on one body, and the widest views stay open', () => {
    const plan = coveragePlan(found.passing, found.near, job)!;
    expect(new Set(plan.steps.map((s) => s.candidate.lensId))).toEqual(new Set(['w1835']));
    expect(plan.gaps).toHaveLength(1);
    expect(plan.gaps[0]?.from).toBe(24);
    expect(plan.gaps[0]?.to).toBeCloseTo(26.75, 1);
  });
});

describe('the waders', () => {
  const { job, found, of } = foundFor('waders');

  it('are reached by the long lens on the smallest sensor at 1000 mm', () => {
    const [first] = found.passing;
    expect(first).toMatchObject({ lensId: 'b500', partIds: ['p44-19'], bodyId: 'm17' });
    expect(first?.views[0]?.from).toBeCloseTo(500 * 1.9994, 0);
    expect(first?.tStop).toBeCloseTo(4.4, 2);
    expect(first?.unknowns).toEqual(['rear glass']);
  });

  it('with the 1.4x at 700 mm and T6.3; the 2x is 0.4 stop too slow', () => {
    const x14 = of('b500', 't14+p44-18', 'h24/stills');
    expect(x14.views[0]?.from).toBeCloseTo(700, 1);
    expect(x14.tStop).toBeCloseTo((4.4 * 1.4) / Math.sqrt(0.95), 3);
    expect(reasonOf(of('b500', 't20+p44-18', 'h24/stills'), job)).toMatch(
      /^0\.4 stop too slow: T9\.1 at best, T8 is wanted/,
    );
  });
});

describe('the sluice tower', () => {
  const { job, found } = foundFor('sluice-wide');

  it('is served whole by the small-format zoom behind the reducer', () => {
    const [first] = found.passing;
    expect(first).toMatchObject({ lensId: 'w1835', partIds: ['r71-44-18'], bodyId: 'c26' });
    expect(first?.share).toBeCloseTo(1, 9);
    expect(first?.at?.focalMm).toBeCloseTo(26 / 1.2059, 1);
    expect(reasonOf(first!, job)).toBe(
      'Clear at 26–40 mm, all that is wanted, T1.4, risk < 1 %, measured.',
    );
    expect(coveragePlan(found.passing, found.near, job)?.gaps).toEqual([]);
  });

  it('none of the best trade-offs is beaten, and all else is', () => {
    const best = tradeOffsOf(found.passing, 'massG');
    expect(best.length).toBeGreaterThan(3);
    expect(best.length).toBeLessThan(found.passing.length);
    const wide = (c: Candidate) => c.views[0]?.from ?? Infinity;
    const long = (c: Candidate) => c.views.at(-1)?.to ?? 0;
    for (const beaten of found.passing.filter((c) => c.massG !== null && !best.includes(c)))
      expect(
        best.some(
          (c) =>
            wide(c) <= wide(beaten) &&
            long(c) >= long(beaten) &&
            c.tStop! <= beaten.tStop! &&
            c.massG! <= beaten.massG!,
        ),
      ).toBe(true);
  });
});

describe('a plan', () => {
  const { job } = foundFor('sluice-wide');
  const rigOver = (lensId: string, from: number, to: number, bodyId = 'a'): Candidate => ({
    bodyId,
    modeId: 'm',
    lensId,
    partIds: [],
    cropId: null,
    digitalZoom: 1,
    crops: [],
    risk: null,
    fails: [],
    unknowns: [],
    views: [{ from, to }],
    share: 0.5,
    scale: 1,
    leastScale: 1,
    at: null,
    tStop: 2,
    light: 'T',
    pixelsAcross: 4000,
    massG: 1,
    price: 1,
    source: 'at hand',
  });
  const asked = { ...job, viewFromMm: 20, viewToMm: 100 };

  it('takes the fewest that span the range', () => {
    const rigs = [
      rigOver('wide', 20, 40),
      rigOver('middle', 35, 60),
      rigOver('long', 38, 100),
      rigOver('short', 20, 30),
    ];
    const plan = coveragePlan(rigs, [], asked)!;
    expect(plan.steps.map((s) => s.candidate.lensId)).toEqual(['wide', 'long']);
    expect(plan.steps[1]?.views).toEqual({ from: 40, to: 100 });
    expect(plan.gaps).toEqual([]);
  });

  it('names a gap, and what would close it were it rented', () => {
    const rented: Candidate = {
      ...rigOver('rented', 38, 70),
      fails: [{ code: 'source', has: null, wants: null, away: 0.1, words: 'rentable' }],
    };
    const plan = coveragePlan(
      [rigOver('wide', 20, 40), rigOver('long', 60, 100)],
      [rented],
      asked,
    )!;
    expect(plan.gaps).toEqual([{ from: 40, to: 60 }]);
    expect(plan.closers[0]?.lensId).toBe('rented');
  });

  it('keeps to the body that leaves least open', () => {
    const rigs = [rigOver('a', 20, 50), rigOver('b', 20, 90, 'other'), rigOver('c', 60, 100)];
    expect(coveragePlan(rigs, [], asked)?.bodyId).toBe('other');
    expect(coveragePlan([], [], asked)).toBeNull();
  });
});
