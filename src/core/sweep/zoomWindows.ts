/** Where along the zoom a rig is Clear, with exact ends, where it is a coin's toss, and what the gaps would need. */
import { ribbon } from '../rig/search';
import { bothOf, type VerdictFace } from '../frame';
import { isZoom, openFNumberAt } from '../kit/records';
import { gapsBetween, peakBetween, windowsWhere, type Window, whereBeginning } from '../maths';
import { turned, type Rig } from '../rig';
import { expectedScaleUpOf, scaleUpOf, spareOf } from '../rig/judged';
import { askedOf, type SweepStep } from './axes';

/** Places along the zoom between which the halo has no more than one peak. */
const PLACES = 24;

/** Places along the zoom, log f: even, and wherever a sample of the lens bends the curve. */
export function zoomPlaces({ lens }: Pick<Rig, 'lens'>, span: Window, count = PLACES): number[] {
  if (!isZoom(lens)) return [Math.log(lens.focalMinMm)];
  const [from, to] = [Math.log(span.from), Math.log(span.to)];
  const even = Array.from({ length: count + 1 }, (_, i) =>
    i === count ? to : from + ((to - from) * i) / count,
  );
  const bends = lens.halo.map((s) => Math.log(s.focalMm)).filter((x) => x > from && x < to);
  return [...new Set([...even, ...bends])].toSorted((a, b) => a - b);
}

/** The focal lengths at which a lens opens as wide as asked; null where it never does. */
function spanOf({ lens }: Rig, fNumber: number | null): Window | null {
  const whole = { from: lens.focalMinMm, to: lens.focalMaxMm };
  if (fNumber === null) return whole;
  const opens = (logF: number) => openFNumberAt(lens, Math.exp(logF)) <= fNumber;
  const [low, high] = [Math.log(whole.from), Math.log(whole.to)];
  const [atWide, atLong] = [opens(low), opens(high)];
  if (atWide && atLong) return whole;
  if (!atWide && !atLong) return null;
  return atWide
    ? { from: whole.from, to: Math.exp(whereBeginning(opens, high, low, 30)) }
    : { from: Math.exp(whereBeginning(opens, low, high, 30)), to: whole.to };
}

export interface ZoomWindows {
  /** The aperture, as its step is called. */
  label: string;
  /** Engraved focal lengths at which the lens opens so far, mm. */
  span: Window;
  /** Engraved focal lengths at which it is Clear and no coin's toss, mm; ends exact. */
  windows: Window[];
  /** Where between them it may as well be Clear as not; empty for none. */
  tosses: Toss[];
}

/** What lies between the windows. */
export interface Gap extends Window {
  /** Least scale-up in post that makes all of it Clear; null where none does. */
  scaleUp: number | null;
}

/** A stretch over which a coin's toss decides whether it is Clear. */
export interface Toss extends Window, VerdictFace {}

/** So many places of a gap are asked, the closer the nearer to its ends: a toss stands beside a window, or is wide. */
const TOSS_SAMPLES = 12;
const towardEnds = (place: number): number => (1 - Math.cos(Math.PI * place)) / 2;

/** Where along a stretch of the zoom it is a coin's toss whether it is Clear. */
const tossesIn = (at: (logF: number) => Rig, { from, to }: Window): Toss[] => {
  const logAt = (place: number) => Math.log(from) + towardEnds(place) * Math.log(to / from);
  return ribbon((place) => at(logAt(place)), from === to ? 1 : TOSS_SAMPLES)
    .filter((face) => face.or !== null && bothOf(face)[0] === 'Clear')
    .map(({ kind, or, ...ends }) => ({
      kind,
      or,
      from: ends.from === 0 ? from : Math.exp(logAt(ends.from)),
      to: ends.to === 1 ? to : Math.exp(logAt(ends.to)),
    }));
};

/** A rig with a step's aperture, by the logarithm of its focal length. */
const along =
  (rig: Rig, aperture: SweepStep) =>
  (logF: number): Rig =>
    askedOf(turned(rig, { focalMm: Math.exp(logF) }), [aperture]).rig;

/** Where along the zoom the rig is Clear with the aperture of a step; null where the lens never opens so far. */
export function zoomWindows(rig: Rig, aperture: SweepStep): ZoomWindows | null {
  const span = spanOf(rig, aperture.asked.settings?.fNumber ?? null);
  if (!span) return null;
  const at = along(rig, aperture);
  const inLog = windowsWhere((x) => spareOf(at(x)), zoomPlaces(rig, span));
  const windows = inLog.map(({ from, to }) => ({
    from: from <= Math.log(span.from) ? span.from : Math.exp(from),
    to: to >= Math.log(span.to) ? span.to : Math.exp(to),
  }));
  const tosses = between(rig, { windows, span }).flatMap((gap) => tossesIn(at, gap));
  return { label: aperture.label, span, windows, tosses };
}

/** What windows leave of a span. */
function between({ lens }: Rig, { windows, span }: Pick<ZoomWindows, 'windows' | 'span'>) {
  const isDark = !isZoom(lens) && windows.length === 0;
  return isDark ? [span] : gapsBetween(windows, span);
}

/** Places of a gap that are asked what scale-up they need. */
const GAP_PLACES = 8;

/** The most scale-up any place of a gap needs; null where one cannot be mended. */
function scaleUpOver(at: (logF: number) => Rig, places: readonly number[]): number | null {
  const expected = (x: number) => expectedScaleUpOf(at(x)) ?? Infinity;
  const values = places.map(expected);
  const most = values.reduce((best, v, i) => (v > (values[best] ?? 0) ? i : best), 0);
  const [low, high] = [places[most - 1], places[most + 1]];
  // Where most is expected to be needed may lie between two places.
  const peak = low === undefined || high === undefined ? [] : [peakBetween(expected, low, high)];
  const needed = [...places, ...peak].map((x) => scaleUpOf(at(x)));
  return needed.reduce(
    (all: number | null, one) => (all === null || one === null ? null : Math.max(all, one)),
    1,
  );
}

/** What lies between the windows at a step's aperture, and what it would need. */
export function gapsOf(rig: Rig, aperture: SweepStep, found: ZoomWindows): Gap[] {
  const at = along(rig, aperture);
  return between(rig, found).map((gap) => ({
    ...gap,
    scaleUp: scaleUpOver(at, zoomPlaces(rig, gap, GAP_PLACES)),
  }));
}
