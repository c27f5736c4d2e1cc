/**
 * The halo of a bare lens at a zoom, aperture and focus setting, from its samples or, without any, from
 * what is usual for its kind.
 */
import {
  EVIDENCE_KINDS,
  isOneFrame,
  type EvidenceKind,
  type HaloSample,
} from '../kit/records/haloSample';
import { pupilOf, type Lens } from '../kit/records/lens';
import { extendedMagnification, pupilScale, workingFNumber } from '../optics/closeUp';
import { diagonalMm } from '../optics/formats';
import { stopsBetweenFNumbers } from '../optics/stops';
import { focusMagnification } from '../optics/view';
import { pchip, type Curve } from '../maths/monotone';
import { PRIOR_SOFTNESS_TIMES_N, priorFor } from './priors';
import type { Halo, Rim } from './rims';

export interface Setting {
  focalMm: number;
  fNumber: number;
  focusM: number | null;
  /** How far tubes and helicoids carry the whole lens out, mm; 0 where left out. */
  extensionMm?: number;
}

export interface HaloEvidence {
  kind: EvidenceKind;
  /** Standard deviation of the edge radius at this setting, mm. */
  edgeSigmaMm: number;
  /** Ids of the samples it rests on; empty for an estimate from the kind of lens. */
  sampleIds: string[];
  /** Test frames behind those samples. */
  frames: number;
  /** Latest date among them, ISO; empty where none is known. */
  date: string;
  /** Reasons why the figure is less sure than its samples, for the reader. */
  doubts: string[];
}

/** A rear rim nobody saw is taken to be so wide that it never cuts. */
const UNSEEN_REAR = 3;
/** Prediction over aperture from a single frame, mm: common experience with ray-traced lenses. */
const SINGLE_FRAME_SIGMA_MM = 2;
/** Growth per octave of focal length outside the samples, share of R. An assumption. */
const OUTSIDE_SIGMA_SHARE = 0.06;
/** Growth per unit of magnification for lenses that focus inside, share of R. An assumption. */
const INTERNAL_FOCUS_SIGMA_SHARE = 0.5;

interface Curves {
  samples: readonly HaloSample[];
  logFocals: readonly number[];
  frontEdge: Curve;
  frontSoftnessN: Curve;
  rearEdge: Curve;
  rearSoftnessN: Curve;
  hasRear: boolean;
  exitPupil: Curve | null;
  centreX: Curve;
  centreY: Curve;
  sigma: Curve;
}

const better = (a: HaloSample, b: HaloSample): number =>
  EVIDENCE_KINDS.indexOf(a.evidence.kind) - EVIDENCE_KINDS.indexOf(b.evidence.kind) ||
  b.evidence.date.localeCompare(a.evidence.date) ||
  b.evidence.frames - a.evidence.frames;

/** Focal lengths this near, as a share, count as the same mark on the ring. */
const SAME_FOCAL = 1e-3;

/** One sample a focal length: the best evidence, then the newest. */
function bestSamples(samples: readonly HaloSample[]): HaloSample[] {
  const byFocal = new Map<number, HaloSample>();
  for (const sample of [...samples].sort(better)) {
    const mark = Math.round(Math.log(sample.focalMm) / SAME_FOCAL);
    const taken = byFocal.has(mark) || byFocal.has(mark - 1) || byFocal.has(mark + 1);
    if (!taken) byFocal.set(mark, sample);
  }
  return [...byFocal.values()].sort((a, b) => a.focalMm - b.focalMm);
}

/** A sample's edge radius as it would be at infinity; one taken close up is scaled back. */
function atInfinity(lens: Lens, sample: HaloSample, radiusMm: number): number {
  return radiusMm / focusScale(lens, sample.focalMm, sample.focusM);
}

function buildCurves(lens: Lens): Curves | null {
  const samples = bestSamples(lens.halo);
  if (samples.length === 0) return null;
  const logFocals = samples.map((s) => Math.log(s.focalMm));
  const curve = (figure: (s: HaloSample) => number): Curve => pchip(logFocals, samples.map(figure));
  const rearOf = (s: HaloSample) =>
    s.rear ?? {
      edgeRadiusMm: s.front.edgeRadiusMm * UNSEEN_REAR,
      softnessMm: s.front.softnessMm,
    };
  const pupils = samples.map(
    (s) => s.exitPupilMm ?? lens.halo.find((o) => o.exitPupilMm)?.exitPupilMm,
  );
  return {
    samples,
    logFocals,
    frontEdge: curve((s) => atInfinity(lens, s, s.front.edgeRadiusMm)),
    frontSoftnessN: curve((s) => s.front.softnessMm * s.fNumber),
    rearEdge: curve((s) => atInfinity(lens, s, rearOf(s).edgeRadiusMm)),
    rearSoftnessN: curve((s) => rearOf(s).softnessMm * s.fNumber),
    hasRear: samples.some((s) => s.rear !== null),
    exitPupil: pupils.every((p) => typeof p === 'number') ? pchip(logFocals, pupils) : null,
    centreX: curve((s) => s.centreXMm),
    centreY: curve((s) => s.centreYMm),
    sigma: curve((s) => s.edgeSigmaMm),
  };
}

const cache = new WeakMap<Lens, Curves | null>();

function curvesOf(lens: Lens): Curves | null {
  let curves = cache.get(lens);
  if (curves === undefined) {
    curves = buildCurves(lens);
    cache.set(lens, curves);
  }
  return curves;
}

/** Magnification of the bare lens at a focus distance, held at what it can do. */
export const lensMagnification = (lens: Lens, focalMm: number, focusM: number | null): number =>
  focusMagnification(focalMm, focusM, lens.maxMagnification ?? 1);

/** Magnification at a setting, by ring and extension together. */
export const workingMagnification = (lens: Lens, setting: Setting): number =>
  extendedMagnification(
    setting.focalMm,
    setting.extensionMm ?? 0,
    lensMagnification(lens, setting.focalMm, setting.focusM),
  );

/**
 * Growth of the edge radius with focus: 1 + m/P where the whole lens moves; where groups move inside only
 * an extension counts.
 */
export function focusScale(
  lens: Lens,
  focalMm: number,
  focusM: number | null,
  extensionMm = 0,
): number {
  const own = lens.focusing === 'internal' ? 0 : lensMagnification(lens, focalMm, focusM);
  return pupilScale(extendedMagnification(focalMm, extensionMm, own), pupilOf(lens));
}

function nearestSamples(curves: Curves, logFocal: number): HaloSample[] {
  const { samples, logFocals } = curves;
  const i = logFocals.findIndex((x) => x >= logFocal - 1e-9);
  const hit = i < 0 ? samples.length - 1 : i;
  const here = samples[hit];
  if (!here) return [];
  const exact = Math.abs((logFocals[hit] ?? 0) - logFocal) < 0.01;
  const before = samples[hit - 1];
  return exact || i <= 0 || !before ? [here] : [before, here];
}

/** Octaves of focal length between the setting and the sampled range; 0 inside it. */
function octavesOutside(curves: Curves, logFocal: number): number {
  const [first, last] = [
    curves.logFocals[0] ?? 0,
    curves.logFocals[curves.logFocals.length - 1] ?? 0,
  ];
  return Math.max(first - logFocal, logFocal - last, 0) / Math.LN2;
}

function doubtsAndSigma(
  lens: Lens,
  curves: Curves,
  near: readonly HaloSample[],
  setting: Setting,
  edgeMm: number,
): { doubts: string[]; edgeSigmaMm: number } {
  const doubts: string[] = [];
  const logFocal = Math.log(setting.focalMm);
  let variance = curves.sigma(logFocal) ** 2;
  const outside = octavesOutside(curves, logFocal);
  if (outside > 0.02) {
    variance += (OUTSIDE_SIGMA_SHARE * edgeMm * outside) ** 2;
    doubts.push(
      `no sample as ${logFocal < (curves.logFocals[0] ?? 0) ? 'short' : 'long'} as this; the last one is held`,
    );
  }
  const gapStops = Math.max(
    ...near.map((s) => Math.abs(stopsBetweenFNumbers(setting.fNumber, s.fNumber))),
  );
  if (near.some((s) => isOneFrame(s.evidence)) && gapStops > 0.5) {
    variance += (SINGLE_FRAME_SIGMA_MM * Math.min(1, gapStops / 4)) ** 2;
    doubts.push('measured at one aperture only; a second frame at f/8 would settle the others');
  }
  const m = lensMagnification(lens, setting.focalMm, setting.focusM);
  if (lens.focusing !== 'unit' && m > 0.01) {
    variance += (INTERNAL_FOCUS_SIGMA_SHARE * m * edgeMm) ** 2;
    doubts.push(
      lens.focusing === 'internal'
        ? 'focuses inside: how the halo changes close up is not known'
        : 'how it focuses is not known; taken as moving whole',
    );
  }
  return { doubts, edgeSigmaMm: Math.sqrt(variance) };
}

const worstKind = (samples: readonly HaloSample[]): EvidenceKind =>
  EVIDENCE_KINDS[Math.max(...samples.map((s) => EVIDENCE_KINDS.indexOf(s.evidence.kind)))] ??
  'estimated';

function rim(side: Rim['side'], edgeRadiusMm: number, softnessMm: number): Rim {
  return { side, edgeRadiusMm, softnessMm: Math.min(softnessMm, edgeRadiusMm) };
}

/** The halo to expect where nothing is known but the kind of lens. */
function priorHalo(
  lens: Lens,
  focalMm: number,
  fNumber: number,
  scale: number,
  coneTangent: number,
): Halo {
  const prior = priorFor(lens, focalMm);
  const diagonal = diagonalMm(lens.designFormat);
  const edge = ((prior.mean * diagonal) / 2) * scale;
  const soft = (PRIOR_SOFTNESS_TIMES_N * edge) / fNumber;
  return {
    rims: [rim('front', edge, soft), rim('rear', edge, soft)],
    exitPupilMm: prior.exitPupil * diagonal,
    coneTangent,
    centre: { xMm: 0, yMm: 0 },
  };
}

/** Halo of the bare lens on its own image plane, without the evidence behind it. Fast. */
export function predictHalo(lens: Lens, setting: Setting): Halo {
  const { focalMm, fNumber, focusM, extensionMm = 0 } = setting;
  const curves = curvesOf(lens);
  const scale = focusScale(lens, focalMm, focusM, extensionMm);
  const m = workingMagnification(lens, setting);
  const coneTangent = 1 / (2 * workingFNumber(fNumber, m, pupilOf(lens)));
  if (!curves) return priorHalo(lens, focalMm, fNumber, scale, coneTangent);
  const x = Math.log(focalMm);
  const rims = [rim('front', curves.frontEdge(x) * scale, curves.frontSoftnessN(x) / fNumber)];
  if (curves.hasRear) {
    rims.push(rim('rear', curves.rearEdge(x) * scale, curves.rearSoftnessN(x) / fNumber));
  }
  return {
    rims,
    exitPupilMm: curves.exitPupil ? curves.exitPupil(x) : null,
    coneTangent,
    centre: { xMm: curves.centreX(x), yMm: curves.centreY(x) },
  };
}

/**
 * What the prediction rests on and how sure it is. `scale` is the factor of the train behind the lens,
 * by which the uncertainty grows on the sensor.
 */
export function evidenceFor(lens: Lens, setting: Setting, scale = 1): HaloEvidence {
  const curves = curvesOf(lens);
  if (!curves) {
    const p = priorFor(lens, setting.focalMm);
    return {
      kind: 'estimated',
      edgeSigmaMm: ((p.sigma * diagonalMm(lens.designFormat)) / 2) * scale,
      sampleIds: [],
      frames: 0,
      date: '',
      doubts: [`no halo sample: what is usual for a ${p.kind} of its design format`],
    };
  }
  const logFocal = Math.log(setting.focalMm);
  const near = nearestSamples(curves, logFocal);
  const { doubts, edgeSigmaMm } = doubtsAndSigma(
    lens,
    curves,
    near,
    setting,
    curves.frontEdge(logFocal),
  );
  return {
    kind: worstKind(near),
    edgeSigmaMm: edgeSigmaMm * scale,
    sampleIds: near.map((s) => s.id),
    frames: near.reduce((sum, s) => sum + s.evidence.frames, 0),
    date:
      near
        .map((s) => s.evidence.date)
        .sort()
        .at(-1) ?? '',
    doubts,
  };
}
