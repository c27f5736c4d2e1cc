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

/**
 * Stretches within `places` (rising, at least one) along which `of` is not negative, in order. It is asked at
 * every place; where a peak or a dip between three places may pass nought unseen, it is looked for. Between two
 * places the figure must have no more than one peak or dip.
 */
export function windowsWhere(of: (x: number) => number, places: readonly number[]): Window[] {
  const known = places.map((x) => ({ x, value: of(x) }));
  const points = known.flatMap((point, i) => {
    const [before, after] = [known[i - 1], known[i + 1]];
    const sign = point.value >= 0 ? 1 : -1;
    // Toward nought: a dip of what is above it, a peak of what is below.
    const nearer = (other: typeof point | undefined) =>
      other === undefined || (point.value - other.value) * sign <= 0;
    const rise = Math.max(
      Math.abs(point.value - (before ?? point).value),
      Math.abs(point.value - (after ?? point).value),
    );
    if (!nearer(before) || !nearer(after) || Math.abs(point.value) > PEAK_SHARE * rise)
      return [point];
    const x = peakBetween((at) => -sign * of(at), (before ?? point).x, (after ?? point).x);
    const found = { x, value: of(x) };
    return x < point.x ? [found, point] : [point, found];
  });
  return windowsThrough(of, points);
}

/** The stretches between places where the figure is known. */
function windowsThrough(
  of: (x: number) => number,
  points: readonly { x: number; value: number }[],
): Window[] {
  const windows: Window[] = [];
  let from: number | null = null;
  let last: { x: number; value: number } | null = null;
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
