import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { lensExample } from '../kit/records';
import { shotFor, shotList } from './shotList';

describe('a shot list', () => {
  it('asks a prime for two frames, wide open and at f/8 to f/11', () => {
    const prime = {
      ...lensExample,
      focalMinMm: 50,
      focalMaxMm: 50,
      openFNumberWide: 1.8,
      openFNumberLong: 1.8,
      closedFNumber: 16,
    };
    expect(shotList(prime).map((s) => s.fNumber)).toEqual([1.8, 8]);
  });

  it('asks a zoom for both ends and between, each wide open as it is there', () => {
    const zoom = {
      ...lensExample,
      focalMinMm: 18,
      focalMaxMm: 55,
      openFNumberWide: 3.5,
      openFNumberLong: 5.6,
      closedFNumber: 22,
    };
    const shots = shotList(zoom);
    const focals = [...new Set(shots.map((s) => s.focalMm))];
    expect(focals[0]).toBe(18);
    expect(focals.at(-1)).toBe(55);
    expect(focals).toHaveLength(4);
    const open = focals.map((f) => shots.find((s) => s.focalMm === f)?.fNumber ?? 0);
    expect(open[0]).toBe(3.5);
    expect(open.at(-1)).toBe(5.6);
    expect([...open].sort((a, b) => a - b)).toEqual(open);
  });

  it('holds only what each demo lens can be set to, once', () => {
    for (const lens of tideMill.lenses) {
      const shots = shotList(lens, true);
      expect(new Set(shots.map((s) => s.id)).size).toBe(shots.length);
      for (const shot of shots) {
        expect(shot.focalMm).toBeGreaterThanOrEqual(lens.focalMinMm);
        expect(shot.focalMm).toBeLessThanOrEqual(lens.focalMaxMm);
        expect(shot.fNumber).toBeLessThanOrEqual(
          Math.max(lens.closedFNumber, lens.openFNumberLong) * 1.1,
        );
      }
    }
  });

  it('knows a frame by what the camera printed, and does not guess without it', () => {
    const shots = shotList({
      ...lensExample,
      focalMinMm: 18,
      focalMaxMm: 35,
      openFNumberWide: 1.8,
      openFNumberLong: 1.8,
    });
    expect(shotFor(shots, { focalMm: 18, fNumber: 1.78 })).toMatchObject({
      focalMm: 18,
      fNumber: 1.8,
    });
    expect(shotFor(shots, { focalMm: 28, fNumber: 4 })).toBeNull();
    expect(shotFor(shots, { focalMm: null, fNumber: 1.8 })).toBeNull();
  });
});
