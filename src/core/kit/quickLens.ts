/** A lens from the few facts that stand on it; the rest is what is usual, and marked so. */
import type { FrameSize } from '../optics/formats';
import { lensOf, type Lens } from './records/lens';
import { markingIn, type Marking } from './records/marking';

export interface LensFacts {
  /** What is engraved on it. */
  name: string;
  maker: string;
  mountId: string;
  focalMinMm: number;
  focalMaxMm: number;
  openFNumberWide: number;
  openFNumberLong: number;
  designFormat: FrameSize;
}

/** Facts read off an engraving; null where it does not say. */
export interface EngravedFacts {
  focalMinMm: number | null;
  focalMaxMm: number | null;
  openFNumberWide: number | null;
  openFNumberLong: number | null;
  designFormat: FrameSize | null;
}

const FIGURE = String.raw`(\d{1,4}(?:[.,]\d+)?)`;
const RANGE = String.raw`${FIGURE}(?:\s*(?:-|–|—|~)\s*${FIGURE})?`;
const FOCAL_THEN_APERTURE = new RegExp(
  String.raw`${RANGE}\s*(?:mm)?\s*(?:/|[fFtT]\s*/?\s*|1\s*:\s*)${RANGE}`,
);
const APERTURE_THEN_FOCAL = new RegExp(String.raw`1\s*:\s*${RANGE}\D{1,6}${RANGE}\s*(?:mm)?`);

const figure = (text: string | undefined): number | null =>
  text === undefined ? null : Number(text.replace(',', '.'));

/**
 * Reads "18–35/1.8", "28-80mm f/3.5-5.6", "1:2 58" and the like, and the format by the markings the user
 * knows. It never guesses: what the engraving does not say is null.
 */
export function readEngraving(text: string, markings: readonly Marking[]): EngravedFacts {
  const designFormat = markingIn(text, markings)?.designFormat ?? null;
  const ratio = APERTURE_THEN_FOCAL.exec(text);
  const plain = ratio ? null : FOCAL_THEN_APERTURE.exec(text);
  const [f1, f2, n1, n2] = ratio
    ? [ratio[3], ratio[4], ratio[1], ratio[2]]
    : [plain?.[1], plain?.[2], plain?.[3], plain?.[4]];
  const focal = figure(f1);
  const open = figure(n1);
  return {
    focalMinMm: focal,
    focalMaxMm: figure(f2) ?? focal,
    openFNumberWide: open,
    openFNumberLong: figure(n2) ?? open,
    designFormat,
  };
}

/** Smallest aperture that is usual for a speed; common practice, no source. */
const usualClosed = (open: number): number => (open <= 2 ? 16 : open < 5 ? 22 : 32);

/** Closest focus that is usual: some ten focal lengths; common practice, no source. */
const usualClosestM = (focalMaxMm: number): number =>
  Math.max(0.15, Number(((focalMaxMm * 10) / 1000).toFixed(2)));

/** What of a quick lens nobody told. */
const ESTIMATED = ['closedFNumber', 'closestFocusM', 'resolutionClass', 'electronics'];

export function quickLens(facts: LensFacts, id: string): Lens {
  const slowest = Math.max(facts.openFNumberWide, facts.openFNumberLong);
  return lensOf({
    id,
    ...facts,
    closedFNumber: Math.max(usualClosed(facts.openFNumberWide), slowest),
    closestFocusM: usualClosestM(facts.focalMaxMm),
    resolutionClass: facts.focalMaxMm > facts.focalMinMm ? 'good zoom' : 'good prime',
    estimated: ESTIMATED,
  });
}
