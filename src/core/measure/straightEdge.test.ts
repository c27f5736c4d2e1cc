import { describe, expect, it } from 'vitest';
import { exposureOf, drawRig, mapOf } from '../../../tests/support/frames';
import { expose } from '../bench-camera';
import { randomOf } from '../maths';
import { reduceFrame, toneTable, type LightGrid } from './light';
import { measureGrid } from './measureGrid';

const SENSOR = { widthMm: 36, heightMm: 24 };
const [COLUMNS, ROWS] = [180, 120];

interface Holes {
  /** Half sides of a rectangle and how far it stands before the sensor, mm. */
  rectangle: { a: number; b: number; zMm: number } | null;
  round: { radiusMm: number; zMm: number };
  pupil: { zMm: number; radiusMm: number };
}

/** The light of a wall through two holes, ray by ray in straight lines, on the grid a frame is reduced to. */
function tracedGrid({ rectangle, round, pupil }: Holes): LightGrid {
  const light = new Float32Array(COLUMNS * ROWS);
  const xMm = Float32Array.from(
    { length: COLUMNS },
    (_, i) => ((i + 0.5) / COLUMNS - 0.5) * SENSOR.widthMm,
  );
  const yMm = Float32Array.from(
    { length: ROWS },
    (_, i) => ((i + 0.5) / ROWS - 0.5) * SENSOR.heightMm,
  );
  const STEPS = 24;
  for (let row = 0; row < ROWS; row += 1)
    for (let column = 0; column < COLUMNS; column += 1) {
      const [x, y] = [xMm[column]!, yMm[row]!];
      let [sum, all] = [0, 0];
      for (let i = 0; i < STEPS; i += 1)
        for (let j = 0; j < STEPS; j += 1) {
          const [u, v] = [((i + 0.5) / STEPS) * 2 - 1, ((j + 0.5) / STEPS) * 2 - 1];
          if (u * u + v * v > 1) continue;
          all += 1;
          const at = (from: number, to: number, z: number) => from + ((to - from) * z) / pupil.zMm;
          const through = (z: number) =>
            [at(x, u * pupil.radiusMm, z), at(y, v * pupil.radiusMm, z)] as const;
          const [rx, ry] = through(round.zMm);
          if (Math.hypot(rx, ry) > round.radiusMm) continue;
          if (rectangle) {
            const [px, py] = through(rectangle.zMm);
            if (Math.abs(px) > rectangle.a || Math.abs(py) > rectangle.b) continue;
          }
          const [dx, dy] = [u * pupil.radiusMm - x, v * pupil.radiusMm - y];
          sum += (1 + (dx * dx + dy * dy) / pupil.zMm ** 2) ** -2;
        }
      light[row * COLUMNS + column] = (0.5 * sum) / all;
    }
  return {
    sensor: SENSOR,
    columns: COLUMNS,
    rows: ROWS,
    xMm,
    yMm,
    light,
    clipped: new Float32Array(COLUMNS * ROWS),
  };
}

const PUPIL = { zMm: 60, radiusMm: 60 / 16 };
const ROUND = { radiusMm: 10, zMm: 25 };

describe('an edge that a rectangular opening made', () => {
  it('is told by its straight sides, and is measured as no circle', () => {
    // Seen from the sensor its sides lie 12 and 8 mm out, and the corner of both 14.4 mm.
    const rectangle = { a: 9, b: 6, zMm: 15 };
    const { measure } = measureGrid(tracedGrid({ rectangle, round: ROUND, pupil: PUPIL }), {
      fNumber: 8,
    });
    expect(measure.warnings).toContain('straightEdge');
    expect(measure.status).toBe('refused');
  });

  it('is told where it is straight on two sides alone', () => {
    const rectangle = { a: 30, b: 7, zMm: 15 };
    const { measure } = measureGrid(tracedGrid({ rectangle, round: ROUND, pupil: PUPIL }), {
      fNumber: 8,
    });
    expect([measure.status, measure.warnings]).toEqual(['refused', ['straightEdge']]);
  });

  it('leaves a figure as wide as from its side to its corner, where the frame shows little of it', () => {
    // Its sides lie 11.2 mm out, 0.8 mm within the frame; the round rim 17.1 mm.
    const rectangle = { a: 30, b: 8.4, zMm: 15 };
    const { measure } = measureGrid(tracedGrid({ rectangle, round: ROUND, pupil: PUPIL }), {
      fNumber: 8,
    });
    expect(measure.warnings).toContain('straightEdge');
    expect(measure.halfLightRadiusMm?.low).toBeLessThan(11.5);
    expect(measure.halfLightRadiusMm?.high).toBeGreaterThan(17);
  });

  it('is not seen in a round one', () => {
    const round = { radiusMm: 5, zMm: 25 };
    const { measure } = measureGrid(tracedGrid({ rectangle: null, round, pupil: PUPIL }), {
      fNumber: 8,
    });
    expect(measure.status).toBe('measured');
    expect(measure.warnings).not.toContain('straightEdge');
  });

  it('is not seen in any frame of round lenses, off the middle, noisy and with dust as they are', () => {
    const random = randomOf(20261201);
    for (let i = 0; i < 24; i += 1) {
      const rig = drawRig(random, 0.45, 0.95);
      const image = expose(mapOf(rig, 5.6), exposureOf(rig, random));
      const grid = reduceFrame(image, toneTable({ kind: 'srgb' }, 16), rig.sensor);
      const { measure } = measureGrid(grid, { fNumber: 5.6 });
      expect(measure.warnings).not.toContain('straightEdge');
    }
  });
});
