/**
 * Is the risk honest? Two thousand rigs whose true halo is drawn from the stated uncertainty: among rigs
 * given risk p, how many really come out worse than accepted? In each tenth of p the two must agree
 * within five points.
 */
import { tideMill } from '../../src/core/demo/tideMill';
import { isClearAt } from '../../src/core/frame/coverage';
import type { Halo } from '../../src/core/halo/rims';
import { evidenceFor } from '../../src/core/halo/predict';
import { limitStops } from '../../src/core/kit/records/judgement';
import { openFNumberAt } from '../../src/core/kit/records/lens';
import { setUp } from '../../src/core/rig/report/evaluate';
import { riskOf, SOFTNESS_SIGMA } from '../../src/core/rig/report/risk';
import { randomOf } from '../../src/core/maths/random';
import { isMissing, resolveRig, turned, type Rig } from '../../src/core/rig/rig';

const RIGS = 2000;
const DRAWS = 60;

const { next: random } = randomOf(20261125);
const normal = (): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

function randomRig(): Rig {
  const record = tideMill.rigs[Math.floor(random() * tideMill.rigs.length)];
  const rig = record && resolveRig(tideMill, record);
  if (!rig || isMissing(rig)) throw new Error('the demo lacks a record');
  // Half of the lenses as if nobody had measured them: the widest uncertainty there is.
  const lens = random() < 0.5 ? { ...rig.lens, halo: [] } : rig.lens;
  const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** random();
  const open = openFNumberAt(lens, focalMm);
  const fNumber = open * (Math.min(lens.closedFNumber, 16) / open) ** random();
  const digitalZoom = 1;
  const postScale = 0.8 + random() * 1.4;
  return turned({ ...rig, lens }, { focalMm, fNumber, focusM: null, digitalZoom, postScale });
}

function drawn(halo: Halo, sigmaMm: number, softnessSigma: number): Halo {
  const delta = normal() * sigmaMm;
  const soft = Math.max(0.05, 1 + normal() * softnessSigma);
  return {
    ...halo,
    rims: halo.rims.map((rim) => {
      const edgeRadiusMm = Math.max(0.05, rim.edgeRadiusMm + delta);
      return { ...rim, edgeRadiusMm, softnessMm: Math.min(edgeRadiusMm, rim.softnessMm * soft) };
    }),
  };
}

interface Tenth {
  rigs: number;
  predicted: number;
  seen: number;
}

const tenths: Tenth[] = Array.from({ length: 10 }, () => ({ rigs: 0, predicted: 0, seen: 0 }));
for (let i = 0; i < RIGS;) {
  const rig = randomRig();
  const { halo, delivered, travel, light } = setUp(rig);
  const limit = limitStops(rig.judgement);
  const evidence = evidenceFor(
    rig.lens,
    { ...rig.settings, fNumber: light.fNumber / light.factor },
    light.factor,
  );
  const softnessSigma = SOFTNESS_SIGMA[evidence.kind];
  const risk = riskOf(halo, delivered, travel, limit, {
    edgeSigmaMm: evidence.edgeSigmaMm,
    softnessSigma,
  });
  // The certain ones prove nothing.
  if (risk < 0.002 || risk > 0.998) continue;
  i += 1;
  let bad = 0;
  for (let k = 0; k < DRAWS; k += 1) {
    if (!isClearAt(drawn(halo, evidence.edgeSigmaMm, softnessSigma), delivered, travel, limit))
      bad += 1;
  }
  const tenth = tenths[Math.min(9, Math.floor(risk * 10))];
  if (!tenth) throw new Error('a risk outside 0 to 1');
  tenth.rigs += 1;
  tenth.predicted += risk;
  tenth.seen += bad / DRAWS;
}

console.log(
  JSON.stringify(
    tenths.map(({ rigs, predicted, seen }) => ({
      rigs,
      predicted: predicted / rigs,
      seen: seen / rigs,
    })),
  ),
);
