import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blackoutRadiusMm, openRadiusMm, rectangularRim, rimToward, type Rim } from './rim';
import { lightAt, transmissionAt, type Halo } from './rims';
import { outlinePoints, outlineToward } from './outline';
import { haloToward, lightAtPlace, lightRings, outlineOf } from './ways';
import { lightShown, shownOf } from './shown';

const haloOf = (rims: Rim[], exitPupilMm: number | null = null, N = 4): Halo => ({
  rims,
  exitPupilMm,
  coneTangent: 1 / (2 * N),
  centre: { xMm: 0, yMm: 0 },
});

const throughAt = (rims: Rim[], xMm: number, yMm: number): number =>
  transmissionAt(
    rims.map((rim) => rimToward(rim, xMm, yMm)),
    Math.hypot(xMm, yMm),
  );

/** Share of a disc of radius 1 cut off by a straight line so far from its middle: a circular segment, any table of areas. */
const segment = (d: number): number => (Math.acos(d) - d * Math.sqrt(1 - d * d)) / Math.PI;

describe('a rectangular opening', () => {
  const rim = rectangularRim('rear', 16, 10, 3);

  it('cuts a straight line through the pupil where only one side is near', () => {
    // Half light where the middle of the pupil meets the edge; 1.5 mm, half the softness, on either side of it by the table.
    expect(throughAt([rim], 16, 0)).toBeCloseTo(0.5, 3);
    expect(throughAt([rim], 0, 10)).toBeCloseTo(0.5, 3);
    expect(throughAt([rim], 17.5, 0)).toBeCloseTo(segment(0.5), 3);
    expect(throughAt([rim], 0, 8.5)).toBeCloseTo(1 - segment(0.5), 3);
  });

  it('lets a quarter through at its own corner, and nothing from one softness beyond a side', () => {
    expect(throughAt([rim], 16, 10)).toBeCloseTo(0.25, 3);
    expect(throughAt([rim], 19.01, 4)).toBe(0);
    expect(throughAt([rim], 12.99, 6.99)).toBeCloseTo(1, 3);
  });

  it('has its clear and black radius along the way it is told', () => {
    const across = rimToward(rim, 5, 0);
    expect([openRadiusMm([across]), blackoutRadiusMm([across])]).toEqual([13, 19]);
    const down = rimToward(rim, 0, 5);
    expect([openRadiusMm([down]), blackoutRadiusMm([down])]).toEqual([7, 13]);
    expect(down.edgeRadiusMm).toBeCloseTo(10, 12);
  });

  it('is the same opening, however often it is told along another way', () => {
    const about = rimToward(rimToward(rimToward(rim, 1, 7), 3, 0), 16, 10);
    expect(about.edgeRadiusMm).toBeCloseTo(rim.edgeRadiusMm, 9);
    expect(about.rectangle?.halfWidth).toBeCloseTo(rim.rectangle?.halfWidth ?? 0, 9);
  });

  it('lies where its opening is counted ray by ray, with round rims beside it and on either side', () => {
    const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const side = fc.constantFrom<Rim['side']>('front', 'rear');
    fc.assert(
      fc.property(
        fc.tuple(side, length(8, 25), length(8, 25), length(0.5, 6)),
        fc.tuple(side, length(8, 25), length(0.5, 6)),
        length(0, 24),
        length(0, 24),
        ([ofOpening, a, b, w], [ofRim, R, soft], x, y) => {
          const round: Rim = { side: ofRim, edgeRadiusMm: R, softnessMm: soft };
          // The pupil in small squares; each is through where the shifted openings hold it.
          let [through, all] = [0, 0];
          const STEPS = 120;
          const at = (p: number, place: number, by: Rim) =>
            (by.side === 'front' ? 1 : -1) * p * by.softnessMm - place;
          for (let i = 0; i < STEPS; i += 1) {
            for (let j = 0; j < STEPS; j += 1) {
              const [px, py] = [((i + 0.5) / STEPS) * 2 - 1, ((j + 0.5) / STEPS) * 2 - 1];
              if (px * px + py * py > 1) continue;
              all += 1;
              const opening = rectangularRim(ofOpening, a, b, w);
              if (Math.abs(at(px, x, opening)) > a || Math.abs(at(py, y, opening)) > b) continue;
              if (Math.hypot(at(px, x, round), at(py, y, round)) > R) continue;
              through += 1;
            }
          }
          const told = throughAt([rectangularRim(ofOpening, a, b, w), round], x, y);
          expect(Math.abs(told - through / all)).toBeLessThan(0.01);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('takes nothing where it is far away, natural falloff of a fast lens included', () => {
    const round: Rim = { side: 'front', edgeRadiusMm: 20, softnessMm: 4 };
    for (const r of [0, 10, 18, 21]) {
      const with_ = lightAt(haloOf([round, rectangularRim('rear', 400, 300, 5)], 55, 1.4), r);
      const without = lightAt(haloOf([round], 55, 1.4), r);
      expect(Math.abs(with_.light - without.light)).toBeLessThan(1e-3);
    }
  });
});

describe('ways out of a halo', () => {
  const halo = haloOf([
    { side: 'front', edgeRadiusMm: 19, softnessMm: 3 },
    rectangularRim('rear', 15, 11, 2),
  ]);

  it('are drawn as rings of the light that places have: darker outside each, lighter inside', () => {
    const rings = lightRings(halo, 24) ?? [];
    expect(rings).toHaveLength(24);
    let asked = 0;
    rings.forEach(({ points }, i) => {
      const level = lightShown(i / 24);
      for (const { xMm, yMm } of points) {
        if (Math.hypot(xMm, yMm) < 1) continue;
        asked += 1;
        const shown = (times: number) =>
          shownOf(lightAtPlace(halo, { xMm: xMm * times, yMm: yMm * times }).light);
        expect(shown(0.985)).toBeGreaterThan(shownOf(level) - 0.02);
        expect(shown(1.015)).toBeLessThan(shownOf(level) + 0.02);
      }
    });
    expect(asked).toBeGreaterThan(500);
  });

  it('end on an outline that has the quarters alike and meets the sides', () => {
    const half = outlineOf(halo, (along) => {
      let r = 0;
      while (transmissionAt(along.rims, r) > 0.5) r += 0.005;
      return r;
    });
    expect(outlineToward(half, { xMm: 9, yMm: 0 })).toBeCloseTo(15, 1);
    expect(outlineToward(half, { xMm: 0, yMm: -9 })).toBeCloseTo(11, 1);
    const points = outlinePoints(half) ?? [];
    for (const { xMm, yMm } of points) {
      const mirrored = points.some((p) => Math.hypot(p.xMm + xMm, p.yMm - yMm) < 1e-6);
      expect(mirrored).toBe(true);
      expect(throughAt([...halo.rims], xMm, yMm)).toBeCloseTo(0.5, 1);
    }
  });

  it('are one about a round halo', () => {
    const round = haloOf([{ side: 'front', edgeRadiusMm: 19, softnessMm: 3 }]);
    expect(haloToward(round, { xMm: 3, yMm: 4 })).toBe(round);
    expect(lightRings(round, 9)).toBeNull();
    expect(outlinePoints(outlineOf(round, () => 19))).toBeNull();
  });
});
