import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo/tideMill';
import { restingSettings } from '../kit/records/rigRecord';
import { verdictOf } from '../rig/report/evaluate';
import { isMissing, resolveRig } from '../rig/rig';
import { choose, type Candidate, type Job } from './choose';

const job: Job = {
  use: 'video',
  aspect: 16 / 9,
  pixelsAcross: 3800,
  framesPerSecond: 24,
  focalFromMm: 20,
  focalToMm: 60,
  slowestTStop: 2.8,
  stabilised: false,
  mostMassG: null,
  mostPrice: null,
};

function candidates(asked: Partial<Job> = {}): Candidate[] {
  return [...choose(tideMill, { ...job, ...asked })].flatMap((f) =>
    'candidate' in f ? [f.candidate] : [],
  );
}

describe('choose', () => {
  it('judges every combination and tells how far it is', () => {
    const last = [...choose(tideMill, job)].at(-1);
    const count = candidates().length;
    expect(count).toBeGreaterThan(400);
    expect(last && 'progress' in last && last.progress).toEqual({ judged: count, total: count });
  });

  it('gives every one a reason', () => {
    for (const c of candidates()) expect(c.reason).toMatch(/\.$/);
  });

  it('what passes is Clear on the Bench at the ends of its window', () => {
    const passing = candidates().filter((c) => c.passes);
    expect(passing.length).toBeGreaterThan(10);
    for (const c of passing.slice(0, 40)) {
      const lens = tideMill.lenses.find((l) => l.id === c.lensId)!;
      const rig = resolveRig(tideMill, {
        id: 'x',
        name: 'x',
        bodyId: c.bodyId,
        modeId: c.modeId,
        lensId: c.lensId,
        partIds: c.partIds,
        note: '',
        settings: {
          ...restingSettings(lens.focalMaxMm, lens.openFNumberLong),
          aspect: job.aspect,
        },
      });
      if (isMissing(rig)) throw new Error('missing');
      if (lens.focalMaxMm === lens.focalMinMm) expect(verdictOf(rig).kind).toBe('Clear');
    }
  });

  it('refuses for the reason asked about', () => {
    const reasons = (asked: Partial<Job>) =>
      new Set(candidates(asked).map((c) => c.reason.split(/[\d;:]/)[0]));
    expect(candidates({ pixelsAcross: 99_999 }).every((c) => !c.passes)).toBe(true);
    expect(
      candidates({ framesPerSecond: 5000 }).every(
        (c) => /frames a second/.test(c.reason) || /pixels/.test(c.reason),
      ),
    ).toBe(true);
    expect(
      [...reasons({ stabilised: true })].some((r) => r?.startsWith('The sensor does not move')),
    ).toBe(true);
    expect(candidates({ mostMassG: 10 }).some((c) => c.passes)).toBe(false);
    expect(candidates({ mostPrice: 0 }).some((c) => /costs/.test(c.reason))).toBe(true);
    expect(candidates({ slowestTStop: 0.7 }).some((c) => /^Too slow/.test(c.reason))).toBe(true);
  });

  it('finds more when less is asked', () => {
    const passing = (asked: Partial<Job>) => candidates(asked).filter((c) => c.passes).length;
    expect(passing({ slowestTStop: 5.6 })).toBeGreaterThanOrEqual(passing({}));
    expect(passing({ focalToMm: 120 })).toBeGreaterThanOrEqual(passing({}));
  });
});
