/** A lens from the few facts that stand on it; the rest is what is usual, and marked so. */
import type { FrameSize } from '../optics';
import { lensOf, type Lens } from './records';

export interface LensFacts {
  /** What is engraved on it. */
  name: string;
  maker: string;
  mountId: string;
  focalMinMm: number;
  focalMaxMm: number;
  openFNumberWide: number;
  openFNumberLong: number;
  /** As engraved; the f-numbers are then estimated from it. */
  tStop?: number | null;
  designFormat: FrameSize;
}

/** Share of light the glass of a lens passes where only its T-stop is told; common practice, no source. */
const USUAL_TRANSMISSION = 0.85;

/** Speed by f-number of a lens engraved with a T-stop, to two digits: an estimate. */
export const fNumberOfTStop = (tStop: number): number =>
  Number((tStop * Math.sqrt(USUAL_TRANSMISSION)).toPrecision(2));

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
    estimated: facts.tStop == null ? ESTIMATED : [...ESTIMATED, 'openFNumberWide'],
  });
}
