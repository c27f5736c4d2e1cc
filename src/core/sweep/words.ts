/** What a sweep says, in words. */
import { verdictWords } from '../frame';
import { isZoom, type Lens } from '../kit/records';
import { engravedWords } from '../optics';
import { towards, type Window } from '../maths';
import { mm, scaleUpWords, short } from '../words';
import type { Spot, SweepAnswer } from './answer';
import type { Gap, Toss, ZoomWindows } from './zoomWindows';

const digitsOf = (value: number): number => (value < 100 ? 1 : 0);

/** A focal length as it is read off a barrel: "23.6", "200". */
export const focal = (value: number): string => short(value, digitsOf(value));

/** A stretch narrower than this ratio is one place. */
const SINGLE = 1 + 1e-6;

/** Both ends of a stretch, rounded to the side that is safe: inward where it is Clear, outward where it is not. */
function endsOf({ from, to }: Window, side: 'inward' | 'outward'): [from: string, to: string] {
  // A single place is told as it is read: there is nothing to dial about it.
  if (to / from < SINGLE) return [focal(from), focal(to)];
  const way = side === 'inward' ? 1 : -1;
  for (const finer of [0, 1, 2]) {
    const first = towards(from, way, digitsOf(from) + finer);
    const last = towards(to, way === 1 ? -1 : 1, digitsOf(to) + finer);
    // A stretch narrower than its figures is told by finer ones.
    if (first <= last) return [String(first), String(last)];
  }
  return [short(from, 3), short(to, 3)];
}

/** A window as it reads, never more of it than there is, or of what is open never less: "23.6–35". */
export function spanWords(window: Window, side: 'inward' | 'outward' = 'inward'): string {
  const [from, to] = endsOf(window, side);
  return from === to ? from : `${from}–${to}`;
}

const listed = (parts: readonly string[]): string =>
  parts.length < 2
    ? (parts[0] ?? '')
    : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;

/** What a prime is at an aperture: "Clear", "Clear or Shaded", "not Clear". */
export const primeWords = ({ windows, tosses }: ZoomWindows): string => {
  const [toss] = tosses;
  if (windows.length > 0) return 'Clear';
  return toss ? verdictWords(toss) : 'not Clear';
};

/** A stretch that a coin's toss decides: "23.1 to 26 mm: Clear or Shaded". */
export const tossWords = (toss: Toss): string => {
  const [from, to] = endsOf(toss, 'outward');
  return `${from === to ? from : `${from} to ${to}`} mm: ${verdictWords(toss)}`;
};

/**
 * Where a zoom is Clear: "from 23.6 to 29 and from 33 mm", "at every focal length", "nowhere". An aperture that the lens has
 * up to 22.1 mm only is Clear "to 22.1 mm".
 */
export function whereClear(
  { focalMinMm, focalMaxMm }: Pick<Lens, 'focalMinMm' | 'focalMaxMm'>,
  { windows, tosses }: Pick<ZoomWindows, 'windows' | 'tosses'>,
): string {
  if (windows.length === 0) return tosses.length === 0 ? 'nowhere' : 'nowhere for sure';
  const ends = windows.map((window) => {
    const [atStart, atEnd] = [window.from <= focalMinMm, window.to >= focalMaxMm];
    if (atStart && atEnd) return 'at every focal length';
    const [from, to] = endsOf(window, 'inward');
    if (atStart) return `to ${to}`;
    return atEnd ? `from ${from}` : `from ${from} to ${to}`;
  });
  const words = listed(ends);
  return words.startsWith('at every') ? words : `${words} mm`;
}

/** Apertures at which a focal length is Clear: "f/2.8 to f/4 and f/8 to f/16", "f/5.6", "at no aperture". */
export function aperturesClearAt({ byAperture }: SweepAnswer, focalMm: number): string {
  const runs: [first: string, last: string][] = [];
  let isOpen = false;
  for (const { label, windows } of byAperture) {
    const run = runs.at(-1);
    const isClear = windows.some(({ from, to }) => focalMm >= from && focalMm <= to);
    if (isClear && isOpen && run) run[1] = label;
    else if (isClear) runs.push([label, label]);
    isOpen = isClear;
  }
  const words = runs.map(([first, last]) => (first === last ? first : `${first} to ${last}`));
  return listed(words) || 'at no aperture';
}

/** What a gap would need: "29 to 33 needs 4.0 % of scale-up". */
export const gapWords = ({ scaleUp, ...gap }: Gap): string => {
  const [from, to] = endsOf(gap, 'outward');
  const where = from === to ? `${from} mm` : `${from} to ${to}`;
  return scaleUp === null
    ? `${where}: no scale-up mends it`
    : `${where} needs ${scaleUpWords(scaleUp)} of scale-up`;
};

/** The answer in one sentence: "Clear from 23.6 mm at f/1.8." */
export function sweepHeadline(lens: Lens, now: ZoomWindows): string {
  if (!isZoom(lens)) {
    const words = primeWords(now);
    return `${words.charAt(0).toUpperCase()}${words.slice(1)} at ${now.label}`;
  }
  if (now.windows.length === 0)
    return `Nowhere Clear${now.tosses.length > 0 ? ' for sure' : ''} at ${now.label}`;
  return `Clear ${whereClear(lens, now)} at ${now.label}`;
}

/** A setting as it is dialled: "24 mm at f/2". */
export const spotWords = ({ focalMm, fNumber }: Pick<Spot, 'focalMm' | 'fNumber'>): string =>
  `${focal(focalMm)} mm at ${engravedWords(fNumber)}`;

/** What it leaves: "0.9 mm to spare". */
export const spareWords = ({ marginMm }: Spot): string => `${mm(Math.max(0, marginMm))} to spare`;
