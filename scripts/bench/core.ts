/** How fast the core answers, on one core. Bundled and run by npm run bench. */
import { tideMill } from '../../src/core/demo/tideMill';
import { evaluate, verdictOf } from '../../src/core/rig/evaluate';
import { isMissing, resolveRig, turned, type Rig } from '../../src/core/rig/rig';
import { openFNumberAt } from '../../src/core/kit/lens';

/** Every demo rig at eight places of its rings. */
function rigs(): Rig[] {
  return tideMill.rigs.flatMap((record) => {
    const rig = resolveRig(tideMill, record);
    if (isMissing(rig)) return [];
    const { lens } = rig;
    return Array.from({ length: 8 }, (_, i) => {
      const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** (i / 7);
      return turned(rig, { focalMm, fNumber: openFNumberAt(lens, focalMm) * 2 ** (i / 4) });
    });
  });
}

function perSecond(work: (rig: Rig) => unknown, all: readonly Rig[], seconds: number): number {
  const end = performance.now() + seconds * 1000;
  const started = performance.now();
  let count = 0;
  while (performance.now() < end) {
    for (const rig of all) work(rig);
    count += all.length;
  }
  return (count / (performance.now() - started)) * 1000;
}

const all = rigs();
perSecond(evaluate, all, 1);
perSecond(verdictOf, all, 1);
console.log(
  JSON.stringify({
    rigs: all.length,
    evaluationsPerSecond: Math.round(perSecond(evaluate, all, 3)),
    verdictsPerSecond: Math.round(perSecond(verdictOf, all, 3)),
  }),
);
