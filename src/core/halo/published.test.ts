import { describe, expect, it } from 'vitest';
import { haloSampleExample, type HaloSample, lensExample, type Lens } from '../kit/records';
import { evidenceFor } from './evidence';
import { lensAt } from './focus';
import { predictHalo } from './predict';
import { MEANING_SIGMA, edgeTold } from './published';
import { lightAt } from './rims';

const published = (more: Partial<HaloSample> = {}): HaloSample => ({
  ...haloSampleExample,
  fNumber: 8,
  front: { edgeRadiusMm: 21.6, softnessMm: 2 },
  rear: null,
  exitPupilMm: 60,
  edgeSigmaMm: 0.1,
  evidence: { kind: 'published', date: '', frames: 0, source: '' },
  ...more,
});

describe('a published radius', () => {
  it('of half light is the edge', () => {
    expect(edgeTold(published(), 60)).toBe(21.6);
  });

  it('called an image circle is what the maker answers for: the edge lies outside it', () => {
    expect(edgeTold(published({ meaning: 'image circle' }), 60)).toBeCloseTo(21.6 * 1.04, 9);
  });

  it.each([
    ['-1 stop', 1],
    ['-2 stops', 2],
  ] as const)('of %s is as dark as that where it was told', (meaning, stops) => {
    const lens: Lens = { ...lensExample, halo: [published({ meaning })] };
    const halo = predictHalo(lensAt(lens, { focalMm: 18, fNumber: 8, focusM: null }));
    expect(-Math.log2(lightAt(halo, 21.6).light)).toBeCloseTo(stops, 2);
  });

  it('where natural falloff alone is darker, the edge is only told to lie outside', () => {
    expect(edgeTold(published({ meaning: '-1 stop' }), 20)).toBeGreaterThan(30);
  });

  it('of a measured sample is never turned into another', () => {
    const { evidence } = haloSampleExample;
    expect(edgeTold(published({ meaning: 'image circle', evidence }), 60)).toBe(21.6);
  });

  it('is as unsure as what it means', () => {
    const sigma = (meaning: HaloSample['meaning']) =>
      evidenceFor(
        lensAt(
          { ...lensExample, halo: [published({ meaning })] },
          {
            focalMm: 18,
            fNumber: 8,
            focusM: null,
          },
        ),
      ).edgeSigmaMm;
    expect(sigma('half light')).toBeCloseTo(Math.hypot(0.1, 0.025 * 21.6), 9);
    expect(sigma('image circle')).toBeGreaterThan(sigma('-1 stop'));
    expect(MEANING_SIGMA['image circle']).toBe(0.05);
  });
});
