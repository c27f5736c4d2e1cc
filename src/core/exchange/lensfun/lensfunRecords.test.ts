/** Entries of an open database as records; the figures are of the database's own `pa` model, light = 1 + k1 r² + … */
import { describe, expect, it } from 'vitest';
import { mountOf } from '../../kit/records';
import { readLensfun } from './lensfun';
import { lensRecord } from './lensfunRecords';

const point = (focal: number, aperture: number, k1: number) =>
  `<vignetting model="pa" focal="${focal}" aperture="${aperture}" distance="1000" k1="${k1}" k2="0" k3="0"/>`;
const lensOf = (...points: string[]) => {
  const text = `<lensdatabase version="1"><lens><maker>Brisk</maker><model>Brisk 24-60mm f/2.8-4</model><mount>wide bayonet</mount><cropfactor>1.5</cropfactor><calibration>${points.join('')}</calibration></lens></lensdatabase>`;
  const read = readLensfun(text, 'lens.xml');
  const [entry] = read.ok ? read.value.lenses : [];
  const mount = mountOf({ id: 'own', name: 'Own', registerMm: 44, aliases: ['Wide Bayonet'] });
  const lens = entry && lensRecord(entry, { mounts: [mount], markings: [] }, 'x');
  if (!lens) throw new Error('the entry becomes a lens');
  return lens;
};

describe('a lens of the database', () => {
  it('has a sample for each focal length, from its widest aperture and the one nearest f/8', () => {
    const lens = lensOf(
      point(60, 4, -0.3),
      point(24, 2.8, -0.6),
      point(24, 5.6, -0.35),
      point(24, 8, -0.3),
      point(24, 22, -0.29),
    );
    expect(lens.halo.map((s) => [s.focalMm, s.fNumber])).toEqual([
      [24, 2.8],
      [60, 4],
    ]);
    // A corner that is darker open than at f/8 has an edge; its softness goes with the aperture.
    const [open] = lens.halo;
    expect(open!.front).toEqual(open!.rear);
    expect(open!.front.softnessMm).toBeGreaterThan(0);
    expect(open!.front.softnessMm).toBeLessThanOrEqual(open!.front.edgeRadiusMm);
    expect(lens.mountId).toBe('own');
    expect(lens.name).toBe('24-60mm f/2.8-4');
    expect([lens.openFNumberWide, lens.openFNumberLong]).toEqual([2.8, 4]);
    expect(lens.estimated).toContain('designFormat');
    expect(open!.evidence).toMatchObject({ kind: 'published', frames: 0 });
  });

  it('softer by the aperture it is told at: the same rims seen open and closed', () => {
    const [two] = lensOf(point(24, 2.8, -0.55), point(24, 8, -0.35)).halo;
    const [four] = lensOf(point(24, 4, -0.55), point(24, 8, -0.35)).halo;
    expect(two!.front.softnessMm).toBeGreaterThan(0);
    expect(four!.fNumber).toBe(4);
    expect(Math.abs(two!.front.softnessMm - four!.front.softnessMm)).toBeGreaterThan(0.01);
  });

  it('of no lens there is, calibrated at more focal lengths than a record holds, has them evenly', () => {
    const many = Array.from({ length: 4001 }, (_, i) => point(24 + i / 100, 4, -0.3));
    const { halo } = lensOf(...many);
    expect(halo).toHaveLength(2000);
    expect([halo[0]!.focalMm, halo.at(-1)!.focalMm]).toEqual([24, 64]);
    const steps = halo.slice(1).map((s, i) => s.focalMm - halo[i]!.focalMm);
    expect(Math.min(...steps)).toBeGreaterThan(0.005);
    expect(Math.max(...steps)).toBeLessThan(0.035);
  });
});
