/** Stretches of a line along which a figure is not negative, with exact ends. */
import { whereBeginning } from './rootFinding';

export interface Window {
  from: number;
  to: number;
}

/** Halvings that place an end within a step: a step / 2^16. */
const HALVINGS = 16;
/** Golden sections that place a peak within two steps. */
const SECTIONS = 18;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** A peak may stand above its highest sample by so many times the rise that leads up to it. */
const PEAK_SHARE = 1.5;

/** Place of the highest value between two places where there is one peak. */
export function peakBetween(of: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  let c = b - GOLDEN * (b - a);
  let d = a + GOLDEN * (b - a);
  let [fc, fd] = [of(c), of(d)];
  for (let i = 0; i < SECTIONS; i += 1) {
    if (fc > fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = of(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = of(d);
    }
  }
  return fc > fd ? c : d;
}

/** A place and what the figure is there. */
export interface Known {
  x: number;
  value: number;
}

/**
 * Stretches along which `of` is not negative, in order, among places (rising, at least one) where it is known: by
 * its sign and about how far it is from zero, which may be in another measure. Where a peak or a dip between
 * three places may pass nought unseen, it is looked for. Between two places the figure must have no more than one
 * peak or dip.
 */
export function windowsAmong(of: (x: number) => number, known: readonly Known[]): Window[] {
  const points: Known[] = [];
  known.forEach((point, i) => {
    const [before, after] = [known[i - 1] ?? point, known[i + 1] ?? point];
    if (!mayHideTurn(point, before, after)) {
      points.push(point);
      return;
    }
    const sign = point.value >= 0 ? 1 : -1;
    const x = peakBetween((at) => -sign * of(at), before.x, after.x);
    const found = { x, value: of(x) };
    if (x < point.x) points.push(found, point);
    else points.push(point, found);
  });
  return windowsThrough(of, points);
}

/** Whether the function may cross zero unseen about a point: a dip from above, or a peak from below. */
function mayHideTurn(point: Known, before: Known, after: Known): boolean {
  const sign = point.value >= 0 ? 1 : -1;
  const fromBefore = (before.value - point.value) * sign;
  const fromAfter = (after.value - point.value) * sign;
  if (fromBefore < 0 || fromAfter < 0) return false;
  return Math.abs(point.value) <= PEAK_SHARE * Math.max(fromBefore, fromAfter);
}

/** The same where it is asked at every place. */
export const windowsWhere = (of: (x: number) => number, places: readonly number[]): Window[] =>
  windowsAmong(
    of,
    places.map((x) => ({ x, value: of(x) })),
  );

/** The stretches between places where the figure is known. */
function windowsThrough(of: (x: number) => number, points: readonly Known[]): Window[] {
  const windows: Window[] = [];
  let from: number | null = null;
  let last: Known | null = null;
  const holds = (x: number) => of(x) >= 0;
  for (const point of points) {
    if (point.value >= 0 && from === null)
      from = last === null ? point.x : whereBeginning(holds, last.x, point.x, HALVINGS);
    else if (point.value < 0 && from !== null && last !== null) {
      windows.push({ from, to: whereBeginning(holds, point.x, last.x, HALVINGS) });
      from = null;
    }
    last = point;
  }
  if (from !== null && last !== null) windows.push({ from, to: last.x });
  return windows;
}

/** What lies between windows within a span, and before and after them. */
export function gapsBetween(windows: readonly Window[], { from, to }: Window): Window[] {
  const gaps: Window[] = [];
  let at = from;
  for (const window of windows) {
    if (window.from > at) gaps.push({ from: at, to: Math.min(to, window.from) });
    at = Math.max(at, window.to);
  }
  if (at < to) gaps.push({ from: at, to });
  return gaps;
}

/** What windows and a span have in common. */
export const withinSpan = (windows: readonly Window[], span: Window): Window[] =>
  windows.flatMap(({ from, to }) => {
    const common = { from: Math.max(from, span.from), to: Math.min(to, span.to) };
    return common.from <= common.to ? [common] : [];
  });

/** How far windows reach together by ratio: the sum of log(to / from). */
export const logWidth = (windows: readonly Window[]): number =>
  windows.reduce((sum, { from, to }) => sum + Math.log(to / from), 0);
