import { describe, expect, it } from 'vitest';
import { lensExample, type Lens } from '../kit/records';
import { evidenceFor } from './evidence';
import { lensAt } from './focus';
import { predictHalo } from './predict';
import { haloOfShares, priorFor, usualOf } from './priors';
import { darknessStops, lightAt, transmissionAt } from './rims';

const FULL = { widthMm: 36, heightMm: 24 };
const CORNER = Math.hypot(18, 12);
const zoom: Lens = { ...lensExample, halo: [], designFormat: FULL, focalMinMm: 24, focalMaxMm: 70 };
const prime = (focal: number, more: Partial<Lens> = {}): Lens => ({
  ...zoom,
  focalMinMm: focal,
  focalMaxMm: focal,
  ...more,
});
const at = (focalMm: number, fNumber: number, focusM: number | null = null) => ({
  focalMm,
  fNumber,
  focusM,
});

describe('what is usual of a kind', () => {
  const kind = (lens: Lens, focal: number) => priorFor(lens, focal).kind;

  it('is told by character, zoom or prime, and focal length over the diagonal', () => {
    expect(kind(prime(28), 28)).toBe('short prime');
    expect(kind(prime(50), 50)).toBe('normal prime');
    expect(kind(prime(100), 100)).toBe('long prime');
    expect(kind(prime(28, { character: 'cine' }), 28)).toBe('cine prime');
    expect(kind(prime(100, { character: 'macro' }), 100)).toBe('macro');
    expect(kind({ ...zoom, character: 'anamorphic' }, 30)).toBe('anamorphic');
    expect(kind({ ...zoom, character: 'cine' }, 24)).toBe('zoom, wide end');
    expect(kind(zoom, 41)).toBe('zoom, middle');
    expect(kind(zoom, 70)).toBe('zoom, long end');
  });

  it('has no cliffs: nowhere along the focal length does a per cent change more than a per cent', () => {
    const lenses = (focal: number): Lens[] => [
      prime(focal),
      prime(focal, { character: 'macro' }),
      { ...zoom, focalMinMm: 10, focalMaxMm: 600 },
    ];
    for (let focal = 10; focal < 590; focal *= 1.01) {
      lenses(focal).forEach((lens, i) => {
        const [here, next] = [lens, lenses(focal * 1.01)[i]!].map((l, k) =>
          predictHalo(lensAt(l, at(focal * 1.01 ** k, 4))),
        );
        const change = (of: (h: NonNullable<typeof here>) => number) =>
          Math.abs(Math.log(of(next!) / of(here!)));
        expect(change((h) => h.rims[0]!.edgeRadiusMm)).toBeLessThan(0.01);
        expect(change((h) => h.rims[0]!.softnessMm)).toBeLessThan(0.01);
        expect(change((h) => h.exitPupilMm!)).toBeLessThan(0.01);
      });
    }
  });

  it('primes cover better than zooms, long better than short, macros best (common practice, no source)', () => {
    const edge = (lens: Lens, focal: number) => priorFor(lens, focal).edge;
    expect(edge(prime(28), 28)).toBeGreaterThan(edge(zoom, 28));
    expect(edge(prime(200), 200)).toBeGreaterThan(edge(prime(28), 28));
    expect(edge(prime(100, { character: 'macro' }), 100)).toBeGreaterThan(edge(prime(100), 100));
    expect(edge(prime(50, { character: 'anamorphic' }), 50)).toBeLessThan(edge(prime(50), 50));
    expect(edge(zoom, 24)).toBeLessThan(edge(zoom, 41));
  });

  it('a zoom at its long end is judged by that focal length: 70 mm of a 70-200 is no ultra-wide', () => {
    const tele: Lens = { ...zoom, focalMinMm: 70, focalMaxMm: 200 };
    const corner = (lens: Lens, focal: number) =>
      darknessStops(lightAt(predictHalo(lensAt(lens, at(focal, 4))), CORNER).light)!;
    const wide: Lens = { ...zoom, focalMinMm: 16, focalMaxMm: 35 };
    expect(corner(tele, 70)).toBeLessThan(corner(wide, 16) - 0.3);
  });

  it('where the data has no such lenses the estimate is less sure', () => {
    const sigma = (character: Lens['character']) =>
      priorFor(prime(50, { character }), 50).sigma.reach;
    expect(sigma('anamorphic')).toBeGreaterThan(sigma('cine'));
    expect(sigma('cine')).toBeGreaterThan(sigma('general'));
  });

  it('a faster lens of the same focal length is softer at the same aperture', () => {
    const soft = (openFNumberWide: number) =>
      predictHalo(lensAt(prime(50, { openFNumberWide }), at(50, 4))).rims[0]!.softnessMm;
    expect(soft(2.8)).toBeGreaterThan(soft(1.4));
  });
});

describe('the halo of such a lens', () => {
  it('is that of its shares: the edge in half diagonals, the softness falling with the aperture', () => {
    const halo = haloOfShares({ edge: 1.2, softness: 0.5, exitPupil: 2 }, FULL, 2, 4);
    expect(halo.rims[0]?.edgeRadiusMm).toBeCloseTo(1.2 * CORNER, 9);
    expect(halo.rims[0]?.softnessMm).toBeCloseTo(0.25 * 1.2 * CORNER, 9);
    expect(halo.rims[1]!.edgeRadiusMm).toBeGreaterThan(halo.rims[0]!.edgeRadiusMm);
    expect(halo.exitPupilMm).toBeCloseTo(4 * CORNER, 9);
    expect(halo.coneTangent).toBeCloseTo(1 / 8, 12);
  });

  it('scales with the format it was made for; smaller ones are filled more tightly, with farther pupils', () => {
    const of = (share: number) => {
      const designFormat = { widthMm: 36 * share, heightMm: 24 * share };
      return predictHalo(lensAt(prime(50 * share, { designFormat }), at(50 * share, 2)));
    };
    const [whole, larger, half, tiny] = [of(1), of(1.5), of(0.5), of(0.25)];
    const edge = (halo: typeof whole) => halo.rims[0]!.edgeRadiusMm;
    expect(edge(larger) / edge(whole)).toBeCloseTo(1.5, 6);
    expect(larger.exitPupilMm! / whole.exitPupilMm!).toBeCloseTo(1.5, 6);
    expect(edge(half)).toBeLessThan(edge(whole) / 2);
    expect(half.exitPupilMm!).toBeGreaterThan(whole.exitPupilMm! / 2);
    // Below 17.3x13 the data ends, and shares are held.
    expect(edge(tiny) / edge(half)).toBeCloseTo(0.5, 6);
  });

  it('zooms get roomier toward their long end (common practice, no source)', () => {
    const places = [12, 14, 16, 18, 21, 24];
    const wide: Lens = { ...zoom, focalMinMm: 12, focalMaxMm: 24 };
    const edges = places.map((focal) => priorFor(wide, focal).edge);
    expect(edges).toEqual(edges.toSorted((a, b) => a - b));
    expect(edges.at(-1)! - edges[0]!).toBeGreaterThan(0.2);
  });

  it('lets the corner of its own format through at f/8: nothing hard there', () => {
    for (const focal of [14, 24, 35, 50, 85, 200])
      expect(
        transmissionAt(predictHalo(lensAt(prime(focal), at(focal, 8))).rims, CORNER),
      ).toBeGreaterThan(0.9);
  });

  it('grows close up as any halo does', () => {
    const lens = prime(50, { focusing: 'unit', pupilMagnification: 1, maxMagnification: null });
    const edge = (focusM: number | null) => predictHalo(lensAt(lens, at(50, 2, focusM))).rims[0]!;
    // m = 0.1 at an engraved 605 mm.
    expect(edge(0.605).edgeRadiusMm / edge(null).edgeRadiusMm).toBeCloseTo(1.1, 9);
  });

  it('is unsure by its scatter, scaled to the sensor behind a train, and says what it took', () => {
    const lens = prime(50);
    const evidence = evidenceFor(lensAt(lens, at(50, 2)), 0.7);
    const { sigma } = priorFor(lens, 50);
    expect(evidence.edgeSigmaMm).toBe(0);
    expect(evidence.beyond!.fromMm).toBeCloseTo(CORNER * 0.7, 6);
    expect(evidence.beyond!.sigma).toBe(sigma.reach);
    expect(evidence.softnessSigma).toBe(sigma.softness);
    expect(evidence.falloffSigma).toBe(sigma.falloff);
    expect(evidence).toMatchObject({ kind: 'estimated', sampleIds: [], frames: 0, date: '' });
    expect(evidence.doubts).toEqual([
      'no halo sample: what is usual for a normal prime of its design format; how far it reaches beyond the corner of that format nobody knows',
    ]);
  });

  it('is held beyond where the data ends', () => {
    const usual = (focalShare: number) =>
      usualOf({ focalShare, zoomPlace: null, openFNumber: 4, smaller: 0 }).exitPupil;
    expect(usual(20)).toBe(usual(9));
    expect(usual(0.1)).toBe(usual(0.3));
  });
});
