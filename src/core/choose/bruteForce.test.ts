/** What is chosen against brute force: the Bench's own verdict over fine steps of every setting, on random kits. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MOUNTS, partOf, plainRig } from '../../../tests/support/plainRig';
import { runs } from '../../../tests/support/seed';
import {
  modeOf,
  jobOf,
  type Job,
  type Lens,
  EMPTY_WORKSPACE,
  type Workspace,
} from '../kit/records';
import { evaluate } from '../rig/report';
import { turned } from '../rig';
import { isClear } from '../rig/judged';
import { rigOf } from './asRig';
import { passes, type Candidate } from './candidate';
import { choose } from './choose';

const rig = plainRig();
const plain = partOf('plain adapter', { massG: 100, price: 20 });
const kit = (more: Partial<Workspace>): Workspace => ({
  ...EMPTY_WORKSPACE,
  mounts: [...MOUNTS.values()],
  ...more,
});
const EASY = jobOf({ id: 'j', name: 'job', viewFromMm: 20, viewToMm: 200 });
const all = (workspace: Workspace, job: Job): Candidate[] =>
  [...choose(workspace, job)].flatMap((c) => c ?? []);

/* Judged by the Bench's own verdict, step by fine step, over every aperture a camera sets. */
const THIRDS = Array.from({ length: 48 }, (_, k) => 2 ** (k / 6));

interface Sums {
  viewOf: (focalMm: number) => number;
  isServed: (focalMm: number, postScale: number) => boolean;
}

/** The same job by brute force. */
function byBruteForce(candidate: Candidate, job: Job, workspace: Workspace): Sums {
  const base = rigOf({ ...candidate, at: null }, job, workspace);
  if (!base) throw new Error('gone');
  const factor = (focalMm: number) => {
    const { optics } = evaluate(turned(base, { focalMm, postScale: 1 }));
    return optics.equivalents.focalMm;
  };
  return {
    viewOf: factor,
    isServed: (focalMm, postScale) => {
      const at = turned(base, { focalMm, fNumber: 0.5, postScale });
      const open = at.settings.fNumber;
      const stops = [
        open,
        ...THIRDS.filter((n) => n > open * 1.03 && n <= at.lens.closedFNumber * 1.03),
      ];
      return stops.some((fNumber) => {
        const set = turned(at, { fNumber });
        const { optics } = evaluate(set);
        const t = optics.train.tStop ?? optics.train.fNumber;
        if (job.slowestTStop !== null && t > job.slowestTStop * 1.03) return false;
        const depth = optics.equivalents.fNumber / postScale;
        if (job.deepFNumber !== null && depth < job.deepFNumber / 1.03) return false;
        return isClear(set);
      });
    },
  };
}

const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const zooms = fc
  .record({
    focalMinMm: mm(14, 60),
    range: fc.constantFrom(1, 1, 2, 4),
    open: mm(1.4, 4),
    slower: fc.constantFrom(1, 1, 1.6),
    radii: fc.array(mm(12, 30), { minLength: 1, maxLength: 4 }),
    softness: mm(0.3, 6),
    rear: fc.boolean(),
    exitPupilMm: fc.constantFrom(null, 60, 120),
    off: mm(-1.5, 1.5),
    squeeze: fc.constantFrom(1, 1, 1.33),
  })
  .map(
    ({
      focalMinMm,
      range,
      open,
      slower,
      radii,
      softness,
      rear,
      exitPupilMm,
      off,
      squeeze,
    }): Lens => {
      const [sample] = rig.lens.halo;
      return {
        ...rig.lens,
        tStop: null,
        squeeze,
        focalMinMm,
        focalMaxMm: focalMinMm * range,
        openFNumberWide: open,
        openFNumberLong: range > 1 ? open * slower : open,
        closedFNumber: 16,
        halo: radii.map((edgeRadiusMm, i) => ({
          ...sample!,
          id: String(i),
          focalMm: focalMinMm * range ** (radii.length > 1 ? i / (radii.length - 1) : 0),
          fNumber: 2,
          front: { edgeRadiusMm, softnessMm: softness },
          rear: rear ? { edgeRadiusMm: edgeRadiusMm + 1.5, softnessMm: softness * 1.2 } : null,
          exitPupilMm,
          centreXMm: off,
          centreYMm: -off / 2,
        })),
      };
    },
  );
const jobs = fc
  .record({
    aspect: fc.constantFrom(null, 1, 16 / 9, 2.39),
    from: mm(16, 50),
    octaves: fc.constantFrom(0.5, 1, 2),
    slowestTStop: fc.constantFrom(null, 2.8, 5.6, 11),
    deepFNumber: fc.constantFrom(null, null, 5.6),
    stabilised: fc.boolean(),
    postScale: fc.constantFrom(1, 1, 1.08),
    school: fc.constantFrom('strict' as const, 'grade it out' as const, 'as a look' as const),
  })
  .map(({ from, octaves, ...rest }) => ({
    ...EASY,
    ...rest,
    viewFromMm: from,
    viewToMm: from * 2 ** octaves,
  }));

/* What fails is printed as it was drawn: a smaller case would take minutes of brute force each. */
describe('what is chosen', () => {
  const reducer = partOf('focal reducer', {
    id: 'r',
    factor: 0.71,
    thicknessMm: 21,
    ownRim: { edgeRadiusMm: 18, softnessMm: 2.5, fNumber: 1.4, exitPupilMm: 90 },
    transmission: 0.95,
  });
  // A window of the sensor, off its middle, in a box of travel.
  const window = modeOf({
    ...rig.mode,
    widthMm: 27,
    heightMm: 19,
    middleXMm: 1.9,
    middleYMm: -0.7,
    heightPx: 3900,
  });
  const body = {
    ...rig.body,
    modes: [window],
    sensorTravel: { shape: 'box' as const, xMm: 1, yMm: 0.6 },
  };

  it('is what fine steps through the Bench’s own verdict find, with the same windows', () => {
    fc.assert(
      fc.property(zooms, jobs, (lens, job) => {
        const workspace = kit({ lenses: [lens], parts: [plain, reducer], bodies: [body] });
        for (const candidate of all(workspace, job)) {
          const { viewOf, isServed } = byBruteForce(candidate, job, workspace);
          const steps = lens.focalMaxMm > lens.focalMinMm ? 60 : 0;
          const scales = job.postScale > 1 ? [1, 1.04, 1.08] : [1];
          for (let k = 0; k <= steps; k += 1) {
            const focalMm =
              lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** (k / (steps || 1));
            for (const scale of scales) {
              const view = viewOf(focalMm) * scale;
              if (view < job.viewFromMm || view > job.viewToMm) continue;
              const inside = candidate.views.some(
                (w) => w.from * 1.002 < view && view < w.to / 1.002,
              );
              const near = candidate.views.some(
                (w) => w.from / 1.002 <= view && view <= w.to * 1.002,
              );
              // What fine steps find is in a window; without scale-up all of a window is found by them.
              if (isServed(focalMm, scale))
                expect(near, `${view} of ${JSON.stringify(candidate)}`).toBe(true);
              else if (inside && job.postScale === 1)
                expect.unreachable(`${focalMm} mm, view ${view}: ${JSON.stringify(candidate)}`);
            }
          }
          expect(passes(candidate)).toBe(candidate.views.length > 0);
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    );
  });

  it('begins where nothing wider is served with scale-up', () => {
    const scaled = fc
      .tuple(jobs, mm(1.02, 1.25))
      .map(([job, postScale]) => ({ ...job, postScale }));
    const ofRange = zooms.filter((lens) => lens.focalMaxMm > lens.focalMinMm);
    fc.assert(
      fc.property(ofRange, scaled, (lens, job) => {
        const workspace = kit({ lenses: [lens], parts: [plain], bodies: [body] });
        for (const candidate of all(workspace, job)) {
          const { viewOf, isServed } = byBruteForce(candidate, job, workspace);
          const wider = candidate.views
            .map(({ from }) => from / 1.002)
            .filter((view) => view > job.viewFromMm)
            .filter((view) => !candidate.views.some((w) => w.from <= view && view <= w.to));
          for (let k = 0; k <= 80; k += 1) {
            const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** (k / 80);
            for (const view of wider) {
              const scale = view / viewOf(focalMm);
              if (scale < 1 || scale > job.postScale) continue;
              const told = `${view} at ${focalMm}: ${JSON.stringify(candidate)}`;
              expect(isServed(focalMm, scale), told).toBe(false);
            }
          }
        }
      }),
      { numRuns: runs(100), endOnFailure: true },
    );
  });

  it('is handed over with a view that was asked for, scaled up as far as that takes', () => {
    fc.assert(
      fc.property(zooms, jobs, (lens, job) => {
        const scaled = { ...job, postScale: 1.2 };
        const workspace = kit({ lenses: [lens], parts: [plain, reducer], bodies: [body] });
        for (const candidate of all(workspace, scaled).filter(passes)) {
          const { viewOf } = byBruteForce(candidate, scaled, workspace);
          const view = viewOf(candidate.at!.focalMm) * candidate.at!.postScale;
          expect(view).toBeGreaterThan(job.viewFromMm / 1.003);
          expect(view).toBeLessThan(job.viewToMm * 1.003);
          expect(candidate.views.some((w) => w.from / 1.003 < view && view < w.to * 1.003)).toBe(
            true,
          );
        }
      }),
      { numRuns: runs(60), endOnFailure: true },
    );
  });

  it('is Clear on the Bench as it is handed over', () => {
    fc.assert(
      fc.property(zooms, jobs, (lens, job) => {
        const workspace = kit({ lenses: [lens], parts: [plain, reducer], bodies: [body] });
        for (const candidate of all(workspace, job).filter(passes)) {
          const handed = rigOf(candidate, job, workspace);
          expect(candidate.at).not.toBeNull();
          expect(handed && isClear(handed), JSON.stringify(candidate)).toBe(true);
        }
      }),
      { numRuns: runs(100), endOnFailure: true },
    );
  });

  it('less asked never finds less', () => {
    fc.assert(
      fc.property(zooms, jobs, (lens, job) => {
        const workspace = kit({ lenses: [lens], parts: [plain, reducer], bodies: [body] });
        const share = (asked: Job) => all(workspace, asked).map((c) => c.share);
        const strict = share(job);
        const eased: Job = { ...job, slowestTStop: null, deepFNumber: null, stabilised: false };
        share(eased).forEach((s, i) => expect(s).toBeGreaterThan((strict[i] ?? 0) - 0.01));
      }),
      { numRuns: runs(60), endOnFailure: true },
    );
  });
});
