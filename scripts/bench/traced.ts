/**
 * Is the program as sure as it may be? Lenses traced by rays through one to four rims, drawn another way than
 * anything was tuned on, are measured on simulated frames or told by a published figure; then half light and
 * verdict are foretold at other apertures, close up and behind converters, and held against the rays.
 */
import { expose } from '../../src/core/bench-camera/expose';
import { lightMap, trueRadii, type LightMap, type RayLens } from '../../src/core/bench-camera/rays';
import { lensExample, lensOf, type Lens } from '../../src/core/kit/records/lens';
import type { HaloSample } from '../../src/core/kit/records/haloSample';
import { evidenceFor } from '../../src/core/halo/evidence';
import { usualExitPupilMm } from '../../src/core/halo/priors';
import { predictHalo } from '../../src/core/halo/predict';
import { haloRadii } from '../../src/core/halo/radii';
import { NO_TRAVEL } from '../../src/core/frame/geometry';
import type { FrameLight } from '../../src/core/measure/fit/haloFit';
import { measureFrame } from '../../src/core/measure/measureFrame';
import { sampleOf } from '../../src/core/measure/toSample';
import { randomOf } from '../../src/core/maths/random';
import { diagonalMm, FULL_FRAME } from '../../src/core/optics/formats';
import { riskOf } from '../../src/core/rig/report/risk';
import { exposureOf, type DrawnRig } from '../../tests/support/frames';
import { drawOtherLens } from '../../tests/support/otherLenses';

const LENSES = Number(process.env.LENSES ?? 60);
/** Lenses from this number on; the method's constants were set on those from 0 to 59 and from 5000 to 5029. */
const FROM = Number(process.env.FROM ?? 10_000);
const CLOSED = 8;

interface Truth {
  half: number | null;
  map: LightMap;
}

const traced = new Map<string, Truth>();

/** Each lens, aperture and distance is traced once. */
function truthAt(lens: RayLens, fNumber: number, half: number): Truth {
  const key = `${lens.exitPupilMm} ${lens.group.focalMm} ${fNumber}`;
  const known = traced.get(key);
  if (known) return known;
  const map = lightMap(lens, fNumber, half * 1.6, half / 100);
  const truth = { half: trueRadii(map).halfLight, map };
  traced.set(key, truth);
  return truth;
}

/** The whole lens carried out by `extensionMm`: every distance from the sensor grows. */
const carriedOut = (lens: RayLens, extensionMm: number): RayLens => ({
  ...lens,
  exitPupilMm: lens.exitPupilMm + extensionMm,
  group: { ...lens.group, zMm: lens.group.zMm + extensionMm },
  openings: lens.openings.map((o) => ({ ...o, zMm: o.zMm + extensionMm })),
});

type Frame = FrameLight & { fNumber: number };

function frameOf(rig: DrawnRig, fNumber: number, seed: number): Frame | null {
  const half = diagonalMm(rig.sensor) / 2;
  const map = lightMap(rig.lens, fNumber, half * 1.2, half / 240);
  const image = expose(map, exposureOf(rig, randomOf(seed), { tone: 'linear' }));
  const { measure, evidence } = measureFrame(image, {
    sensor: rig.sensor,
    tone: { kind: 'linear' },
    fNumber,
  });
  return measure.status !== 'refused' && evidence ? { grid: evidence.grid, fNumber } : null;
}

const lensWith = (rig: DrawnRig, focalMm: number, halo: HaloSample[], more: Partial<Lens> = {}) =>
  lensOf({
    ...lensExample,
    id: 'traced',
    focalMinMm: focalMm,
    focalMaxMm: focalMm,
    openFNumberWide: rig.openFNumber,
    openFNumberLong: rig.openFNumber,
    closedFNumber: 22,
    maxMagnification: null,
    focusing: 'unit',
    pupilMagnification: rig.lens.exitPupilMm / focalMm,
    designFormat: rig.sensor,
    halo,
    ...more,
  });

interface Case {
  held: boolean;
  missMm: number;
  risk: number;
  bad: boolean;
}

/** Light of a traced map at a radius, the worse of rims and light against the school. */
function isBad(map: LightMap, rMm: number, limitStops: number): boolean {
  const i = Math.min(map.radii - 1, Math.round(rMm / map.stepMm));
  const mean = (values: Float64Array) => {
    let sum = 0;
    for (let a = 0; a < map.angles; a += 1) sum += values[a * map.radii + i] ?? 0;
    return sum / map.angles;
  };
  return mean(map.through) < 1 / 8 || mean(map.light) < 2 ** -limitStops;
}

const onFull = (mm: number, rig: DrawnRig): number =>
  (mm * diagonalMm(FULL_FRAME)) / diagonalMm(rig.sensor);

function casesOf(
  rig: DrawnRig,
  lens: Lens,
  focalMm: number,
  asked: readonly number[],
  random: ReturnType<typeof randomOf>,
  close: { focusM: number; extensionMm: number } | null = null,
): Case[] {
  const half = diagonalMm(rig.sensor) / 2;
  return asked.flatMap((fNumber): Case[] => {
    const there = close ? carriedOut(rig.lens, close.extensionMm) : rig.lens;
    // The iris stays as it is while the pupil moves away: the working f-number grows.
    const working = (fNumber * there.exitPupilMm) / rig.lens.exitPupilMm;
    const truth = truthAt(there, working, half);
    if (truth.half === null) return [];
    const setting = { focalMm, fNumber, focusM: close?.focusM ?? null };
    const halo = predictHalo(lens, setting);
    const evidence = evidenceFor(lens, setting);
    const foretold = haloRadii({ ...halo, centre: { xMm: 0, yMm: 0 } }).half;
    const miss = foretold - truth.half;
    const corner = truth.half * random.between(0.75, 1.25);
    const side = corner * Math.SQRT2;
    const frame = { widthMm: side, heightMm: side };
    const limit = [1, 2, 3][random.whole(0, 2)] ?? 2;
    const risk = riskOf({ ...halo, centre: { xMm: 0, yMm: 0 } }, frame, NO_TRAVEL, limit, evidence);
    return [
      {
        held: Math.abs(miss) <= 1.645 * evidence.edgeSigmaMm,
        missMm: onFull(Math.abs(miss), rig),
        risk,
        bad: isBad(truth.map, corner, limit),
      },
    ];
  });
}

const scenarios = new Map<string, Case[]>();
const note = (name: string, cases: Case[]) =>
  scenarios.set(name, [...(scenarios.get(name) ?? []), ...cases]);

let drawn = 0;
for (let number = 0; drawn < LENSES && number < LENSES * 6; number += 1) {
  const rig = drawOtherLens(FROM + number);
  if (!rig) continue;
  const random = randomOf(77_000 + number);
  const focalMm = rig.lens.exitPupilMm / random.between(0.6, 2);
  const { openFNumber } = rig;
  const half = diagonalMm(rig.sensor) / 2;
  const truthOpen = truthAt(rig.lens, openFNumber, half);
  if (truthOpen.half === null || truthOpen.half > 1.1 * half) continue;
  drawn += 1;
  traced.clear();
  const asked = [openFNumber, openFNumber * 2, 8, 11].filter((n) => n >= openFNumber);
  const facts = {
    id: 's',
    fNumber: CLOSED,
    focalMm,
    focusM: null,
    date: '2026-05-12',
    source: '',
    note: '',
    usualPupilMm: usualExitPupilMm(lensWith(rig, focalMm, []), focalMm),
  };
  const open = frameOf(rig, openFNumber, number * 10 + 1);
  const closed = frameOf(rig, CLOSED, number * 10 + 2);
  const measured = (frames: readonly Frame[]): HaloSample => sampleOf(frames, facts);
  const by = (sample: HaloSample, more: Partial<Lens> = {}) =>
    lensWith(rig, focalMm, [sample], more);
  if (open && closed) {
    const sample = measured([open, closed]);
    note('two frames', casesOf(rig, by(sample), focalMm, asked, random));
    const m = random.between(0.1, 0.4);
    const close = { focusM: (focalMm * (2 + m + 1 / m)) / 1000, extensionMm: m * focalMm };
    note('two frames, close up, P known', casesOf(rig, by(sample), focalMm, asked, random, close));
    const unknown = by(sample, { pupilMagnification: null });
    note('two frames, close up, P unknown', casesOf(rig, unknown, focalMm, asked, random, close));
  }
  if (open) note('one frame, open', casesOf(rig, by(measured([open])), focalMm, asked, random));
  if (closed) note('one frame, f/8', casesOf(rig, by(measured([closed])), focalMm, asked, random));
  const published = truthAt(rig.lens, CLOSED, half).half;
  if (published !== null) {
    const { usualPupilMm: _, ...told } = facts;
    const sample: HaloSample = {
      ...told,
      front: { edgeRadiusMm: published, softnessMm: published * 0.1 },
      meaning: 'half light',
      rear: null,
      exitPupilMm: null,
      centreXMm: 0,
      centreYMm: 0,
      edgeSigmaMm: 0.5,
      evidence: { kind: 'published', date: '', frames: 0, source: 'half light at f/8' },
    };
    note('published half light at f/8', casesOf(rig, by(sample), focalMm, asked, random));
  }
}

const share = (cases: readonly Case[], of: (c: Case) => boolean) =>
  cases.filter(of).length / cases.length;
const all = [...scenarios.values()].flat();
const BANDS = [0, 0.05, 0.2, 0.4, 0.6, 0.8, 0.95, 1.0001];
console.log(
  JSON.stringify({
    lenses: drawn,
    scenarios: [...scenarios].map(([name, cases]) => {
      const misses = cases.map((c) => c.missMm).sort((a, b) => a - b);
      const calm = cases.filter((c) => c.risk < 0.05);
      return {
        name,
        cases: cases.length,
        held: share(cases, (c) => c.held),
        medianMm: misses[Math.floor(misses.length / 2)],
        q90Mm: misses[Math.floor(misses.length * 0.9)],
        calmCases: calm.length,
        calmBad: calm.length > 0 ? share(calm, (c) => c.bad) : 0,
      };
    }),
    bands: BANDS.slice(1).map((to, i) => {
      const cases = all.filter((c) => c.risk >= (BANDS[i] ?? 0) && c.risk < to);
      return {
        from: BANDS[i],
        to,
        cases: cases.length,
        said: cases.reduce((sum, c) => sum + c.risk, 0) / Math.max(1, cases.length),
        seen: cases.length > 0 ? share(cases, (c) => c.bad) : 0,
      };
    }),
  }),
);
