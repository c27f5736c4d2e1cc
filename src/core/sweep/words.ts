/** What a sweep says, in words. */
import { isZoom, type Lens } from '../kit/records';
import { nearestMarked } from '../optics';
import type { Window } from '../maths';
import { fWords, mm, scaleUpWords, short } from '../words';
import type { Spot, SweepAnswer } from './answer';
import type { Gap, ZoomWindows } from './zoomWindows';

/** A focal length as it is read off a barrel: "23.6", "200". */
export const focal = (value: number): string => short(value, value < 100 ? 1 : 0);

/** Two ends as one window reads: "23.6–35". */
export const spanWords = ({ from, to }: Window): string =>
  focal(from) === focal(to) ? focal(from) : `${focal(from)}–${focal(to)}`;

const listed = (parts: readonly string[]): string =>
  parts.length < 2
    ? (parts[0] ?? '')
    : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;

/** Where a zoom is Clear: "from 23.6 to 29 and from 33 mm", "at every focal length", "nowhere". */
export function whereClear({ windows, span }: Pick<ZoomWindows, 'windows' | 'span'>): string {
  if (windows.length === 0) return 'nowhere';
  const ends = windows.map(({ from, to }) => {
    const [atStart, atEnd] = [from <= span.from, to >= span.to];
    if (atStart && atEnd) return 'at every focal length';
    if (atStart) return `to ${focal(to)}`;
    return atEnd ? `from ${focal(from)}` : `from ${focal(from)} to ${focal(to)}`;
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
export const gapWords = ({ from, to, scaleUp }: Gap): string => {
  const where = focal(from) === focal(to) ? `${focal(from)} mm` : `${focal(from)} to ${focal(to)}`;
  return scaleUp === null
    ? `${where}: no scale-up mends it`
    : `${where} needs ${scaleUpWords(scaleUp)} of scale-up`;
};

/** The answer in one sentence: "Clear from 23.6 mm at f/1.8." */
export function sweepHeadline(lens: Lens, now: ZoomWindows): string {
  if (!isZoom(lens))
    return now.windows.length > 0 ? `Clear at ${now.label}` : `Not Clear at ${now.label}`;
  if (now.windows.length === 0) return `Nowhere Clear at ${now.label}`;
  return `Clear ${whereClear(now)} at ${now.label}`;
}

/** An aperture as it is engraved, where one is. */
export function engraved(fNumber: number): string {
  const { exact, marks } = nearestMarked(fNumber, 'third');
  const isMarked = Math.abs(fNumber / exact - 1) < 0.02;
  return isMarked ? `f/${marks[0] ?? ''}` : fWords(fNumber, 1);
}

/** A setting as it is dialled: "24 mm at f/2". */
export const spotWords = ({ focalMm, fNumber }: Pick<Spot, 'focalMm' | 'fNumber'>): string =>
  `${focal(focalMm)} mm at ${engraved(fNumber)}`;

/** What it leaves: "0.9 mm to spare". */
export const spareWords = ({ marginMm }: Spot): string => `${mm(Math.max(0, marginMm))} to spare`;
