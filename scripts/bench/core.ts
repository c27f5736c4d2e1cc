/** How fast the core answers, on one core. Bundled and run by npm run bench. */
import { choose, keep, nothingKept } from '../../src/core/choose';
import { tideMill } from '../../src/core/demo';
import { jobOf, openFNumberAt } from '../../src/core/kit/records';
import { evaluate } from '../../src/core/rig/report';
import { lightAt } from '../../src/core/halo';
import { situationOf, isMissing, resolveRig, turned, type Rig } from '../../src/core/rig';
import { verdictOf } from '../../src/core/rig/judged';
import { apertureSteps, focalSteps, sweep } from '../../src/core/sweep';
import { waysOut } from '../../src/core/rig/search';
import { repeatedDemo } from './repeatedDemo';

const demoRigs = tideMill.rigs.flatMap((record) => {
  const rig = resolveRig(tideMill, record);
  return isMissing(rig) ? [] : [rig];
});

/** Every demo rig at eight places of its rings. */
const rigs: Rig[] = demoRigs.flatMap((rig) =>
  Array.from({ length: 8 }, (_, i) => {
    const { lens } = rig;
    const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** (i / 7);
    return turned(rig, { focalMm, fNumber: openFNumberAt(lens, focalMm) * 2 ** (i / 4) });
  }),
);

function perSecond(work: (rig: Rig) => unknown, seconds: number): number {
  const started = performance.now();
  let count = 0;
  while (performance.now() - started < seconds * 1000) {
    for (const rig of rigs) work(rig);
    count += rigs.length;
  }
  return (count / (performance.now() - started)) * 1000;
}

/** The best of several runs: on a shared machine the others measure the neighbours. */
function best(work: (rig: Rig) => unknown): number {
  perSecond(work, 1.5);
  return Math.max(...Array.from({ length: 6 }, () => perSecond(work, 0.6)));
}

/** Slowest demo rig's ways out, ms, best of several rounds. */
function waysOutMs(): number {
  const inTrouble = demoRigs.filter((rig) => verdictOf(rig).kind !== 'Clear');
  const once = (rig: Rig): number => {
    const started = performance.now();
    waysOut(rig, tideMill.parts);
    return performance.now() - started;
  };
  return Math.max(
    ...inTrouble.map((rig) => Math.min(...Array.from({ length: 25 }, () => once(rig)))),
  );
}

const JOB = jobOf({
  id: 'bench',
  name: 'bench',
  aspect: 16 / 9,
  pixelsAcross: 3800,
  framesPerSecond: 24,
  viewFromMm: 18,
  viewToMm: 120,
  slowestTStop: 5.6,
});

/** So many combinations judged and kept as the screen keeps them, on one core. */
function chooseSpeed(times: number, most: number) {
  const kit = repeatedDemo(times);
  const started = performance.now();
  const kept = nothingKept();
  let firstMs = 0;
  for (const candidate of choose(kit, JOB)) {
    if (candidate && keep(kept, candidate) && firstMs === 0) firstMs = performance.now() - started;
    if (kept.judged === most) break;
  }
  return { combinations: kept.judged, seconds: (performance.now() - started) / 1000, firstMs };
}

/** A sheet of 40 x 12 frames, its verdicts and its light, ms, best of several. */
function sweepMs(): number {
  const zoom = demoRigs.find((rig) => rig.lens.focalMaxMm > rig.lens.focalMinMm);
  if (!zoom) return Number.NaN;
  const columns = focalSteps(zoom, 40);
  const rows = Array.from({ length: 12 }, (_, i) => apertureSteps(zoom)[i % 8]).flatMap(
    (step) => step ?? [],
  );
  const once = (): number => {
    const started = performance.now();
    for (const { rig } of sweep(zoom, rows, columns)) {
      const { halo } = situationOf(rig);
      for (let i = 0; i <= 24; i += 1) lightAt(halo, i);
    }
    return performance.now() - started;
  };
  return Math.min(...Array.from({ length: 12 }, once));
}

console.log(
  JSON.stringify({
    evaluationsPerSecond: Math.round(best(evaluate)),
    verdictsPerSecond: Math.round(best(verdictOf)),
    waysOutMs: waysOutMs(),
    choose: chooseSpeed(29, 500_000),
    chooseMany: chooseSpeed(82, 4_000_000),
    heapMb: Math.round(process.memoryUsage().heapUsed / 1e6),
    sweepMs: sweepMs(),
  }),
);
