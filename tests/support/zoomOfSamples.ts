/** A zoom of 20 to 80 mm with samples of one's own, and its settings, for the tests of halos. */
import { type HaloSample, type Lens, lensExample } from '@/core/kit/records';
import { sampleWith, type SampleTold } from './samples';

/** Engraved distance, m, at which a lens magnifies `m`. */
export const engraved = (focalMm: number, m: number): number => (focalMm * (2 + m + 1 / m)) / 1000;

export const at = (focalMm: number, fNumber: number, focusM: number | null = null) => ({
  focalMm,
  fNumber,
  focusM,
});

export const sample = (more: SampleTold): HaloSample => sampleWith({ rear: null, ...more });

export const withHalo = (...halo: HaloSample[]): Lens => ({
  ...lensExample,
  focalMinMm: 20,
  focalMaxMm: 80,
  focusing: 'unit',
  halo,
});

export const short = sample({ id: 'short', focalMm: 20, edgeSigmaMm: 0.1 });
export const long = sample({ id: 'long', focalMm: 80, edgeSigmaMm: 0.3 });
