/** Where along the zoom a rig is Clear, with exact ends, and what the gaps would need. */
import { isZoom, openFNumberAt } from '../kit/records';
import { gapsBetween, peakBetween, windowsWhere, type Window, whereBeginning } from '../maths';
import { scaleUpOf, spareStopsOf, turned, type Rig } from '../rig';
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

export interface Gap extends Window {
  /** Least scale-up in post that makes all of it Clear; null where none does. */
  scaleUp: number | null;
}

export interface ZoomWindows {
  /** The aperture, as its step is called. */
  label: string;
  /** Engraved focal lengths at which the lens opens so far, mm. */
  span: Window;
  /** Engraved focal lengths at which it is Clear, mm; ends exact. */
  windows: Window[];
  gaps: Gap[];
}

/** The most scale-up any place of a gap needs; null where one cannot be mended. */
function scaleUpOver(scaleAt: (logF: number) => number | null, places: readonly number[]) {
  const values = places.map(scaleAt);
  if (values.some((v) => v === null)) return null;
  const of = (x: number) => scaleAt(x) ?? Infinity;
  const at = values.reduce<number>((b, v, i) => ((v ?? 0) > (values[b] ?? 0) ? i : b), 0);
  const [low, high] = [places[at - 1] ?? places[at], places[at + 1] ?? places[at]];
  const atPlace = values[at] ?? 1;
  if (low === undefined || high === undefined || low === high) return atPlace;
  const most = Math.max(atPlace, of(peakBetween(of, low, high)));
  return Number.isFinite(most) ? most : null;
}

/** Where along the zoom the rig is Clear with the aperture of a step; null where the lens never opens so far. */
export function zoomWindows(rig: Rig, aperture: SweepStep): ZoomWindows | null {
  const span = spanOf(rig, aperture.asked.settings?.fNumber ?? null);
  if (!span) return null;
  const at = (logF: number): Rig =>
    askedOf(turned(rig, { focalMm: Math.exp(logF) }), [aperture]).rig;
  const inLog = windowsWhere((x) => spareStopsOf(at(x)), zoomPlaces(rig, span));
  const windows = inLog.map(({ from, to }) => ({
    from: from <= Math.log(span.from) ? span.from : Math.exp(from),
    to: to >= Math.log(span.to) ? span.to : Math.exp(to),
  }));
  const isDark = !isZoom(rig.lens) && windows.length === 0;
  const bare = isDark ? [span] : gapsBetween(windows, span);
  const gaps = bare.map((gap) => ({
    ...gap,
    scaleUp: scaleUpOver((x) => scaleUpOf(at(x)), zoomPlaces(rig, gap, 8)),
  }));
  return { label: aperture.label, span, windows, gaps };
}
