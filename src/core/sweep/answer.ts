/** What a sweep along zoom and aperture says: the windows, the sweet spot, and what would widen them. */
import { ASPECTS } from '../frame';
import type { RigSettings } from '../kit/records';
import { logWidth, towards } from '../maths';
import { engravedWords } from '../optics';
import { turned, type Rig } from '../rig';
import { marginOf, spareOf } from '../rig/judged';
import { apertureSteps, askedOf, type SweepStep } from './axes';
import { gapsOf, zoomPlaces, zoomWindows, type Gap, type ZoomWindows } from './zoomWindows';

/** A setting of zoom and aperture. */
export interface Spot {
  focalMm: number;
  fNumber: number;
  /** Accepted radius less the worst corner's, mm. */
  marginMm: number;
}

interface Widening {
  words: string;
  change: Partial<RigSettings>;
  /** Where along the zoom it would be Clear at the aperture in use. */
  windows: ZoomWindows;
  /** Share of the zoom, in octaves, that is Clear. */
  share: number;
}

export interface SweepAnswer {
  /** At the aperture the rig is set to. */
  now: ZoomWindows & { gaps: Gap[] };
  /** At every aperture of the lens, the widest first. */
  byAperture: ZoomWindows[];
  /** The widest view that is Clear, at the aperture that leaves it most; null where none is. */
  widest: Spot | null;
  /** The setting with the most margin; null where none is Clear. */
  roomiest: Spot | null;
  widenings: Widening[];
}

/** The aperture in use as a step. */
export function apertureInUse({ settings }: Rig): SweepStep {
  const { fNumber } = settings;
  return {
    axis: 'aperture',
    label: engravedWords(fNumber),
    mark: engravedWords(fNumber),
    value: fNumber,
    asked: { settings: { fNumber } },
  };
}

/** Share of a zoom's octaves that is Clear; 1 or 0 for a prime. */
export function clearShare({ windows, span }: ZoomWindows): number {
  const octaves = Math.log(span.to / span.from);
  if (octaves === 0) return windows.length > 0 ? 1 : 0;
  return logWidth(windows) / octaves;
}

const spotAt = (rig: Rig): Spot => {
  const { focalMm, fNumber } = rig.settings;
  return { focalMm, fNumber, marginMm: marginOf(rig) };
};

/** The roomier of two spots. */
const roomier = (a: Spot | null, b: Spot): Spot => (a === null || b.marginMm > a.marginMm ? b : a);

/** Ends of windows are exact; a figure that is dialled is rounded to tenths, inward. */
const dialled = (focalMm: number): number => towards(focalMm, 1, 1);

function spotsOf(rig: Rig, apertures: readonly SweepStep[], byAperture: readonly ZoomWindows[]) {
  const at = (focalMm: number, aperture: SweepStep) =>
    askedOf(turned(rig, { focalMm }), [aperture]);
  const clearAt = (focalMm: number, spots: Spot | null): Spot | null =>
    apertures.reduce((best, aperture) => {
      const { rig: set, cannot } = at(focalMm, aperture);
      return cannot === null && spareOf(set) >= 0 ? roomier(best, spotAt(set)) : best;
    }, spots);
  const shortest = Math.min(...byAperture.flatMap((w) => w.windows.map(({ from }) => from)));
  if (!Number.isFinite(shortest)) return { widest: null, roomiest: null };
  const { focalMinMm: min, focalMaxMm: max } = rig.lens;
  const widest = clearAt(Math.min(max, dialled(shortest)), null) ?? clearAt(shortest, null);
  const roomiest = zoomPlaces(rig, { from: min, to: max }).reduce<Spot | null>(
    (best, x) => clearAt(Math.min(max, Math.max(min, dialled(Math.exp(x)))), best),
    widest,
  );
  return { widest, roomiest };
}

/** Scale-ups in post people think of first. */
const SCALE_UPS = [1.05, 1.1];
/** Less than so much more of the zoom is no widening. */
const WORTH_SHARE = 0.01;
const MOST_WIDENINGS = 5;

function widenings(rig: Rig, now: ZoomWindows): Widening[] {
  const { settings, body } = rig;
  const ideas: { words: string; change: Partial<RigSettings> }[] = [
    ...(settings.stabiliser && body.sensorTravel !== null
      ? [{ words: 'Stabiliser off and locked', change: { stabiliser: false } }]
      : []),
    ...SCALE_UPS.map((scale) => ({
      words: `Scale up ${Math.round((scale - 1) * 100)} % in post`,
      change: { postScale: settings.postScale * scale },
    })),
    ...ASPECTS.filter((a) => a.aspect !== settings.aspect).map(({ name, aspect }) => ({
      words: `Deliver ${name}`,
      change: { aspect },
    })),
  ];
  const already = clearShare(now);
  return ideas
    .flatMap(({ words, change }) => {
      const changed = turned(rig, change);
      const windows = zoomWindows(changed, apertureInUse(changed));
      if (!windows) return [];
      const share = clearShare(windows);
      return share > already + WORTH_SHARE ? [{ words, change, windows, share }] : [];
    })
    .toSorted((a, b) => b.share - a.share)
    .slice(0, MOST_WIDENINGS);
}

/** Everything a sweep along zoom and aperture says of a rig as it is set otherwise. */
export function sweepAnswer(rig: Rig): SweepAnswer {
  const apertures = apertureSteps(rig);
  const byAperture = apertures.flatMap((step) => zoomWindows(rig, step) ?? []);
  const step = apertureInUse(rig);
  const { focalMm } = rig.settings;
  const found = zoomWindows(rig, step);
  const nowhere = {
    label: step.label,
    span: { from: focalMm, to: focalMm },
    windows: [],
    tosses: [],
  };
  const now = { ...(found ?? nowhere), gaps: found ? gapsOf(rig, step, found) : [] };
  return {
    now,
    byAperture,
    ...spotsOf(rig, apertures, byAperture),
    widenings: widenings(rig, now),
  };
}
