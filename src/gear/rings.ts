/** The three rings of a rig: their scales, words, and verdict ribbons. */
import { keptIn } from '@/core/maths';
import { engravedWords, nearestMarked } from '@/core/optics';
import { isZoom, openFNumberAt, type RigSettings } from '@/core/kit/records';
import { ribbon, type Stretch } from '@/core/rig/search';
import { turned, type Rig } from '@/core/rig';
import { apertureControl } from '@/core/rig/train';
import { apertureScale, focalScale, focusScale, type BarrelScale } from '@/ui/ring/scale';
import { short } from '@/core/words';

interface RingSpec {
  name: 'Zoom' | 'Aperture' | 'Focus';
  /** What undo calls it. */
  step: string;
  scale: BarrelScale;
  value: number;
  words: (value: number) => string;
  read: (text: string) => number | null;
  range: string;
  change: (value: number) => Partial<RigSettings>;
  /** Why nothing turns it; null where it turns. */
  held: string | null;
}

export const apertureWords = engravedWords;

export const focalWords = (v: number): string => `${short(v, 1)} mm`;
export const focusWords = (v: number): string =>
  v === Infinity ? '∞' : `${v < 10 ? short(v, 2) : short(v, 1)} m`;

/** A number with its unit or sign stripped: "f/2.8", "24 mm", "3,5 m". */
function numberIn(text: string, min: number, max: number): number | null {
  const match = /^\s*(?:[ft]\s*\/?\s*)?(\d+(?:[.,]\d+)?)\s*(?:mm|m)?\s*$/i.exec(text);
  if (!match?.[1]) return null;
  const value = Number(match[1].replace(',', '.'));
  return value >= min * 0.995 && value <= max * 1.005 ? Math.min(max, Math.max(min, value)) : null;
}

function readAperture(text: string, open: number, closed: number): number | null {
  const typed = numberIn(text, open * 0.98, closed * 1.02);
  if (typed === null) return null;
  // Typing what is engraved means the exact aperture behind it.
  const { exact, marks } = nearestMarked(typed, 'third');
  const value = marks.some((mark) => Number(mark) === typed) ? exact : typed;
  return Math.min(closed, Math.max(open, value));
}

const isInfinity = (text: string): boolean => /^\s*(∞|inf(inity)?)\s*$/i.test(text);

const scales = new Map<string, BarrelScale>();

/** The same scale for the same ring, so that its engraving is not drawn anew while it is turned. */
const remembered = (key: string, make: () => BarrelScale): BarrelScale => keptIn(scales, key, make);

const NOTHING_WORKS = 'stays open: no contacts, no ring of its own';

/** The rings a rig has; a prime has no zoom ring. */
export function ringSpecs({ lens, parts, settings }: Rig): RingSpec[] {
  const open = openFNumberAt(lens, settings.focalMm);
  const closed = Math.max(open, lens.closedFNumber);
  const { focalMinMm, focalMaxMm, closestFocusM } = lens;
  const zoom: RingSpec = {
    name: 'Zoom',
    step: 'Turn the zoom ring',
    scale: remembered(`zoom ${focalMinMm} ${focalMaxMm}`, () => focalScale(focalMinMm, focalMaxMm)),
    value: settings.focalMm,
    words: focalWords,
    read: (text) => numberIn(text, focalMinMm, focalMaxMm),
    range: `${short(focalMinMm, 1)} to ${short(focalMaxMm, 1)} mm`,
    change: (focalMm) => ({ focalMm }),
    held: null,
  };
  const aperture: RingSpec = {
    name: 'Aperture',
    step: 'Turn the aperture ring',
    scale: remembered(`aperture ${open} ${closed}`, () => apertureScale(open, closed)),
    value: settings.fNumber,
    words: apertureWords,
    read: (text) => readAperture(text, open, closed),
    range: `${apertureWords(open)} to ${apertureWords(closed)}`,
    change: (fNumber) => ({ fNumber }),
    held: apertureControl(lens, parts) === 'nothing' ? NOTHING_WORKS : null,
  };
  const focus: RingSpec = {
    name: 'Focus',
    step: 'Turn the focus ring',
    scale: remembered(`focus ${closestFocusM} ${lens.focalMaxMm}`, () =>
      focusScale(closestFocusM, lens.focalMaxMm),
    ),
    value: settings.focusM ?? Infinity,
    words: focusWords,
    read: (text) => (isInfinity(text) ? Infinity : numberIn(text, closestFocusM, 100_000)),
    range: `${short(closestFocusM, 2)} m to ∞`,
    change: (v) => ({ focusM: v === Infinity ? null : v }),
    held: null,
  };
  return isZoom(lens) ? [zoom, aperture, focus] : [aperture, focus];
}

/** The verdict along a ring, all other settings as they are. */
export const ringRibbon = (rig: Rig, spec: RingSpec): Stretch[] =>
  ribbon((place) => turned(rig, spec.change(spec.scale.value(place))));
