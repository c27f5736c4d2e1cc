/**
 * Is the program as sure as it may be? Lenses traced by rays through one to four rims, drawn another way than
 * anything was tuned on, are measured on simulated frames or told by a published figure; then half light and
 * verdict are foretold at other apertures, close up and behind converters, and held against the rays.
 */
import {
  expose,
  lightMap,
  trueRadii,
  type LightMap,
  type RayLens,
} from '../../src/core/bench-camera';
import {
  haloSampleOf,
  lensExample,
  lensOf,
  type Lens,
  type HaloSample,
  type RigSettings,
} from '../../src/core/kit/records';
import { HALF_TRANSMISSION, lensAt, predictHalo, radiusAtTransmission } from '../../src/core/halo';
import {
  type Figure,
  measureFrame,
  type SampleFacts,
  samplesOf,
  type SampleFrame,
} from '../../src/core/measure';
import { randomOf, type Random } from '../../src/core/maths';
import { diagonalMm, FULL_FRAME } from '../../src/core/optics';
import { evaluate } from '../../src/core/rig/report';
import type { Rig } from '../../src/core/rig';
import { exposureOf, type DrawnRig } from '../../tests/support/frames';
import { drawOtherLens, LENS_KINDS } from '../../tests/support/otherLenses';
import { plainRig } from '../../tests/support/plainRig';
import { type Case, type Own, type Seen, summaryOf } from './tracedSummary';
import { drawConverter, partsOf, REGISTERS, tracedAt, type Where } from './tracedTrain';

const LENSES = Number(process.env.LENSES ?? 120);
/** Lenses from this number on; the method's constants were set on those to 130 and from 5000 to 5080. */
const FROM = Number(process.env.FROM ?? 10_000);
const CLOSED = 8;

interface Truth {
  half: number | null;
  map: LightMap;
}

const traced = new Map<string, Truth>();

/** Each lens, aperture and distance is traced once. */
function truthAt(lens: RayLens, fNumber: number, half: number): Truth {
  const key = `${lens.exitPupilMm} ${lens.converter?.factor} ${lens.converter?.zMm} ${fNumber}`;
  const known = traced.get(key);
  if (known) return known;
  const map = lightMap(lens, fNumber, half * 1.6, half / 100);
  const truth = { half: trueRadii(map).halfLight, map };
  traced.set(key, truth);
  return truth;
}

/** A test frame, and what it says of half light by itself; null where it shows no edge. */
interface TestFrame extends SampleFrame {
  halfLightMm: Figure | null;
}

function frameOf(rig: DrawnRig, fNumber: number, seed: number): TestFrame | null {
  const half = diagonalMm(rig.sensor) / 2;
  const map = lightMap(rig.lens, fNumber, half * 1.2, half / 240);
  const image = expose(map, exposureOf(rig, randomOf(seed), { tone: 'linear' }));
  const { measure, evidence } = measureFrame(image, {
    sensor: rig.sensor,
    tone: { kind: 'linear' },
    fNumber,
  });
  if (measure.status === 'refused' || !evidence) return null;
  const unseenToMm = measure.status === 'bound' ? measure.lowerBoundMm : null;
  const { grid } = evidence;
  return {
    grid,
    fNumber,
    unseenToMm,
    isToneAssumed: false,
    halfLightMm: measure.halfLightRadiusMm,
  };
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

type Facts = Omit<SampleFacts, 'fNumber'>;

interface Asked {
  rig: DrawnRig;
  focalMm: number;
  fNumbers: readonly number[];
  random: Random;
}

/** A rig of the program that stands for a traced one, its square frame's corner at `cornerMm`. */
function rigOf(lens: Lens, settings: Partial<RigSettings>, cornerMm: number, limit: number): Rig {
  const side = cornerMm * Math.SQRT2;
  const plain = plainRig({ parts: [], settings });
  return {
    ...plain,
    lens,
    mounts: REGISTERS,
    mode: { ...plain.mode, widthMm: side, heightMm: side },
    judgement: { ...plain.judgement, school: 'grade it out', gradeStops: limit },
  };
}

function casesOf({ rig, focalMm, fNumbers, random }: Asked, lens: Lens, where: Where = {}): Case[] {
  const half = diagonalMm(rig.sensor) / 2;
  return fNumbers.flatMap((fNumber): Case[] => {
    const there = tracedAt(rig.lens, where);
    // The iris stays as it is while the pupil moves away: the working f-number grows.
    const working = (fNumber * there.exitPupilMm) / rig.lens.exitPupilMm;
    const reach =
      half * Math.max(1, there.converter?.factor ?? 1) * (where.tubeMm || where.beforeMm ? 1.3 : 1);
    const truth = truthAt(there, working, reach);
    if (truth.half === null) return [];
    const corner = truth.half * random.between(0.75, 1.25);
    const limit = [1, 2, 3][random.whole(0, 2)] ?? 2;
    const settings = { focalMm, fNumber, focusM: where.close?.focusM ?? null };
    const { halo, coverage, verdict } = evaluate({
      ...rigOf(lens, settings, corner, limit),
      parts: partsOf(where),
    });
    const miss = coverage.radiiMm.half - truth.half;
    return [
      {
        held: Math.abs(miss) <= 1.645 * halo.evidence.edgeSigmaMm,
        missMm: onFull(Math.abs(miss), rig),
        risk: verdict.risk,
        bad: isBad(truth.map, corner, limit),
      },
    ];
  });
}

const scenarios = new Map<string, Case[]>();
const note = (name: string, cases: Case[]) =>
  scenarios.set(name, [...(scenarios.get(name) ?? []), ...cases]);

const owns: Own[] = [];
/** What single frames said of themselves. */
const seen: Seen[] = [];

function keepSeen(name: string, { rig }: Asked, frame: TestFrame): void {
  const half = diagonalMm(rig.sensor) / 2;
  const truth = truthAt(rig.lens, frame.fNumber, half).half;
  const told = frame.halfLightMm;
  if (truth !== null && told) seen.push({ name, held: told.low <= truth && truth <= told.high });
}

function keepOwn({ rig, focalMm }: Asked, { fNumber, halfLightMm }: TestFrame, lens: Lens): void {
  if (!halfLightMm) return;
  const { rims } = predictHalo(lensAt(lens, { focalMm, fNumber, focusM: null }));
  const told = radiusAtTransmission(rims, HALF_TRANSMISSION);
  owns.push({
    frames: lens.halo[0]?.evidence.frames ?? 0,
    apartMm: onFull(Math.abs(told - halfLightMm.value), rig),
    within: told >= halfLightMm.low && told <= halfLightMm.high,
  });
}

/** The sample without its centre: truth is asked about the lens's axis. */
const centred = (sample: HaloSample): HaloSample => ({ ...sample, centreXMm: 0, centreYMm: 0 });

/** A sensor whose corner lies short of the edge: its frames show none. */
const SHORT_OF_EDGE = 0.85;

/** Two frames that show no edge, taken on a smaller sensor. */
function tryUnseen(asked: Asked, facts: Facts, number: number): void {
  const { rig, focalMm, random } = asked;
  const truth = truthAt(rig.lens, CLOSED, diagonalMm(rig.sensor) / 2).half;
  if (truth === null) return;
  const by = (SHORT_OF_EDGE * random.between(0.8, 1) * truth) / (diagonalMm(rig.sensor) / 2);
  const sensor = { widthMm: rig.sensor.widthMm * by, heightMm: rig.sensor.heightMm * by };
  const small = { ...rig, sensor, centre: { xMm: 0, yMm: 0 } };
  const frames = [rig.openFNumber, CLOSED].flatMap(
    (n, i) => frameOf(small, n, number * 10 + 5 + i) ?? [],
  );
  if (frames.length < 2 || frames.some((f) => f.unseenToMm === null)) return;
  const halo = samplesOf(frames, facts).map(centred);
  note('two frames without an edge', casesOf(asked, lensWith(rig, focalMm, halo)));
}

/** A half-light radius somebody published, at f/8. */
function tryPublished(asked: Asked, facts: Facts): void {
  const { rig, focalMm, random } = asked;
  const by = (sample: HaloSample) => lensWith(rig, focalMm, [sample]);
  const published = truthAt(rig.lens, CLOSED, diagonalMm(rig.sensor) / 2).half;
  if (published === null) return;
  const sample = haloSampleOf({
    id: facts.id,
    focalMm,
    fNumber: CLOSED,
    front: { edgeRadiusMm: published, softnessMm: published * 0.1 },
    edgeSigmaMm: 0.5,
    evidence: { kind: 'published', date: '', frames: 0, source: 'half light at f/8' },
  });
  note('published half light at f/8', casesOf(asked, by(sample)));
  const m = random.between(0.1, 0.3);
  const close = { focusM: (focalMm * (2 + m + 1 / m)) / 1000, extensionMm: m * focalMm };
  note('published, close up', casesOf(asked, by(sample), { close }));
}

function tryLens(rig: DrawnRig, number: number): boolean {
  const random = randomOf(77_000 + number);
  const focalMm = rig.lens.exitPupilMm / random.between(0.6, 2);
  const { openFNumber } = rig;
  const half = diagonalMm(rig.sensor) / 2;
  traced.clear();
  const truthOpen = truthAt(rig.lens, openFNumber, half);
  if (truthOpen.half === null || truthOpen.half > 1.1 * half) return false;
  const fNumbers = [openFNumber, openFNumber * 2, 8, 11].filter((n) => n >= openFNumber);
  const asked: Asked = { rig, focalMm, fNumbers, random };
  const facts = {
    id: 's',
    focalMm,
    focusM: null,
    frameMiddle: { xMm: 0, yMm: 0 },
    date: '2026-05-12',
    source: '',
    note: '',
    lens: lensWith(rig, focalMm, []),
  };
  const open = frameOf(rig, openFNumber, number * 10 + 1);
  const closed = frameOf(rig, CLOSED, number * 10 + 2);
  const measured = (frames: readonly SampleFrame[]): HaloSample[] =>
    samplesOf(frames, facts).map(centred);
  const by = (samples: HaloSample[], more: Partial<Lens> = {}) =>
    lensWith(rig, focalMm, samples, more);
  for (const frame of [open, closed]) if (frame) keepOwn(asked, frame, by(measured([frame])));
  if (open) keepSeen('wide open', asked, open);
  if (closed) keepSeen('at f/8', asked, closed);
  if (open && closed) {
    for (const frame of [open, closed]) keepOwn(asked, frame, by(measured([open, closed])));
    const sample = measured([open, closed]);
    note('two frames', casesOf(asked, by(sample)));
    const m = random.between(0.1, 0.4);
    const close = { focusM: (focalMm * (2 + m + 1 / m)) / 1000, extensionMm: m * focalMm };
    note('two frames, close up, P known', casesOf(asked, by(sample), { close }));
    const unknown = by(sample, { pupilMagnification: null });
    note('two frames, close up, P unknown', casesOf(asked, unknown, { close }));
    const behindTube = {
      behind: drawConverter(random, 0.71, rig),
      beforeMm: random.between(4, 12),
    };
    note('two frames, a tube before × 0.71', casesOf(asked, by(sample), behindTube));
    for (const factor of [0.64, 2])
      note(
        `two frames, behind × ${factor}`,
        casesOf(asked, by(sample), { behind: drawConverter(random, factor, rig) }),
      );
    for (const factor of [0.71, 1.4]) {
      const where = { behind: drawConverter(random, factor, rig) };
      note(`two frames, behind × ${factor}`, casesOf(asked, by(sample), where));
      const tube = { ...where, tubeMm: random.between(4, 12) };
      note(`two frames, behind × ${factor} and a tube`, casesOf(asked, by(sample), tube));
    }
  }
  tryUnseen(asked, facts, number);
  if (open) note('one frame, open', casesOf(asked, by(measured([open]))));
  if (closed) {
    const sample = measured([closed]);
    note('one frame, f/8', casesOf(asked, by(sample)));
    const where = { behind: drawConverter(random, 0.71, rig) };
    note('one frame, f/8, behind × 0.71', casesOf(asked, by(sample), where));
  }
  tryPublished(asked, facts);
  return true;
}

/** Every kind of lens in turn. */
let drawn = 0;
for (let number = 0; drawn < LENSES && number < LENSES * 8; number += 1) {
  const rig = drawOtherLens(FROM + number, LENS_KINDS[number % LENS_KINDS.length]);
  if (rig && tryLens(rig, number)) drawn += 1;
}

console.log(JSON.stringify(summaryOf({ lenses: drawn, scenarios, owns, seen })));
