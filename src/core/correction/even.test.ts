/**
 * The simulated camera photographs a wall, its frame is measured, and the correction that follows is held against
 * the light that really fell: rays through holes, which share no formula with the fit.
 */
import { describe, expect, it } from 'vitest';
import { drawFrame, HELD_OUT, mapOf } from '../../../tests/support/frames';
import type { Halo } from '../halo';
import { diagonalMm } from '../optics';
import { measureFrame } from '../measure';
import { gainTable } from './gain';

const FRAMES = 24;

describe('a measured correction', () => {
  it('leaves the wall even to 0.02 stop, root mean square over what can be lifted', async () => {
    /** Stops left, root mean square over the area, frame by frame. */
    const left: number[] = [];
    for (let i = 0; i < FRAMES; i += 1) {
      const frame = await drawFrame(HELD_OUT + 900 + i, 2);
      const { measure } = measureFrame(frame.image, {
        sensor: frame.rig.sensor,
        tone: { kind: frame.exposure.tone },
        fNumber: frame.fNumber,
      });
      if (measure.status !== 'measured') continue;
      const halo: Halo = {
        rims: measure.rims,
        exitPupilMm: measure.exitPupilMm,
        coneTangent: 1 / (2 * frame.fNumber),
        centre: { xMm: 0, yMm: 0 },
      };
      const map = mapOf(frame.rig, frame.fNumber);
      const reach = (map.radii - 1) * map.stepMm;
      const table = gainTable(halo, reach);
      // Over the part a corner may lie in that can be lifted: down to a quarter of the light.
      const half = diagonalMm(frame.rig.sensor) / 2;
      let [area, squares] = [0, 0];
      for (let k = 1; k < map.radii && k * map.stepMm <= half; k += 1) {
        const angles = Array.from(
          { length: map.angles },
          (_, a) => map.light[a * map.radii + k] ?? 0,
        );
        const light = angles.reduce((sum, v) => sum + v, 0) / map.angles;
        if (light < 0.25) break;
        const gain = table.ways[0]![Math.round(((k * map.stepMm) / reach) ** 2 * 4096)] ?? 1;
        area += k;
        squares += k * Math.log2(light * gain) ** 2;
      }
      left.push(Math.sqrt(squares / area));
    }
    expect(left.length).toBeGreaterThan(8);
    expect(Math.max(...left)).toBeLessThan(0.02);
  }, 120_000);
});
