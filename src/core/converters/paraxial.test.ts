import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { tideMill } from '../demo';
import { isMissing, resolveRig } from '../rig';
import { trainFactor } from '../rig/train';
import { opticsOf, pathAt, type Optics } from './paraxial';

/** STANDARDS, 6: focal reducer and extender as a thin lens: m, F, a, b and how far the image moves toward the lens. */
const TABLE = [
  [0.58, 100, 72.4138, 42, 30.4138],
  [0.64, 100, 56.25, 36, 20.25],
  [0.71, 100, 40.8451, 29, 11.8451],
  [0.71, 90, 36.7606, 26.1, 10.6606],
  [0.8, 150, 37.5, 30, 7.5],
  [1.25, -100, 20, 25, -5],
  [1.4, -100, 28.5714, 40, -11.4286],
  [2, -100, 50, 100, -50],
  [2, -60, 30, 60, -30],
] as const;

const bare = (x: number, focalMm: number): Optics => ({
  fNumber: 2,
  pupilX: -150,
  startX: -150,
  haloMm: 20,
  glass: [{ name: 'glass', x, focalMm }],
});

describe('rays through a converter', () => {
  it('the picture lies, and is as large, as the table of thin converters says', () => {
    for (const [m, F, a, b, shift] of TABLE) {
      const path = pathAt(bare(-a, F), 1);
      expect(path.imageX, `x${m} ${F}`).toBeCloseTo(-shift, 3);
      expect(path.imageX + a, `x${m} ${F}`).toBeCloseTo(b, 3);
      expect(path.factor, `x${m} ${F}`).toBeCloseTo(m, 4);
      expect(path.fNumber, `x${m} ${F}`).toBeCloseTo(2 * m, 3);
      expect(path.haloMm, `x${m} ${F}`).toBeCloseTo(20 * m, 3);
    }
  });

  it('all rays of a cone meet in the plane of the picture, and start from one pupil', () => {
    for (const t of [0, 0.3, 0.7, 1]) {
      const path = pathAt(bare(-28.5714, -100), t);
      const ends = (rays: typeof path.axial) => rays.map((ray) => ray.at(-1)!);
      for (const end of ends(path.axial)) {
        expect(end.x).toBeCloseTo(path.imageX, 9);
        expect(end.y).toBeCloseTo(0, 9);
      }
      for (const end of ends(path.edge)) expect(end.y).toBeCloseTo(path.haloMm, 9);
      // What does not move: the pupil, 150 mm before the picture of the bare lens, f/2 wide.
      const starts = [...path.axial, ...path.edge].map((ray) => ray[0]!);
      for (const { x, y } of starts) {
        expect(x).toBe(-150);
        expect(Math.abs(y)).toBeCloseTo(37.5, 9);
      }
    }
  });

  it('without its power the glass changes nothing', () => {
    const path = pathAt(bare(-40, 100), 0);
    expect(path.imageX).toBeCloseTo(0, 9);
    expect(path.factor).toBeCloseTo(1, 9);
  });

  it('for every demo rig with glass behind the lens factor and shift are those of its records', () => {
    let seen = 0;
    for (const record of tideMill.rigs) {
      const rig = resolveRig(tideMill, record);
      if (isMissing(rig)) continue;
      const optics = opticsOf(rig);
      if (!optics || optics.glass.length === 0) continue;
      seen += 1;
      expect(pathAt(optics, 1).factor, record.id).toBeCloseTo(trainFactor(rig.parts), 6);
    }
    expect(seen).toBeGreaterThan(2);
    // Registers 44.00 on 18.00: 26.00 plain, a reducer 21 mm thick moves the picture 5 mm toward the lens.
    const path = pathAt(opticsOf(demoRig('wheel-house-wide'))!, 1);
    expect(path.imageX).toBeCloseTo(-5, 6);
  });

  it('is not drawn where a register is not known', () => {
    const rig = demoRig('wheel-house-wide');
    expect(opticsOf({ ...rig, mounts: new Map() })).toBeNull();
  });
});
