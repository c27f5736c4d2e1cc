import { describe, expect, it } from 'vitest';
import { lensExample, lensOf, mountOf, partOf } from '../kit/records';
import { lensAt, predictHalo, transmissionAt } from '../halo';
import { trainOf, haloBehind } from '../rig/train';
import { lightMap, trueRadii, type LightMap, type RayLens } from './rays';

/** An iris 60 mm before the sensor and nothing else. */
const bare: RayLens = {
  exitPupilMm: 60,
  openFNumber: 2,
  blades: 7,
  pupilGrowth: 0,
  pupilDrift: 0,
  groups: [],
  openings: [],
};

const at = (map: LightMap, values: Float64Array, rMm: number): number =>
  values[Math.round(rMm / map.stepMm)] ?? Number.NaN;

describe('rays through an iris', () => {
  it('fall off by the fourth power of the cosine where the iris is a pinpoint', () => {
    const map = lightMap({ ...bare, openFNumber: 45 }, 45, 30, 0.5);
    // cos⁴ law, any textbook of optics.
    for (const r of [10, 20, 30])
      expect(at(map, map.light, r)).toBeCloseTo(Math.cos(Math.atan(r / 60)) ** 4, 3);
  });

  it('end at a hole where straight lines past its rim say: h / (1 - z/L)', () => {
    const map = lightMap({ ...bare, openings: [{ zMm: 20, radiusMm: 12 }] }, 8, 30, 0.05);
    expect(trueRadii(map).halfLight).toBeCloseTo(12 / (1 - 20 / 60), 1);
    // From w = z / (2 N (1 - z/L)) on all is dark, and up to it all is open.
    const w = 20 / (2 * 8 * (1 - 20 / 60));
    expect(at(map, map.through, 18 - w - 0.2)).toBeGreaterThan(0.995);
    expect(at(map, map.through, 18 + w + 0.2)).toBeLessThan(0.005);
  });
});

describe('rays behind a converter', () => {
  // A reducer 25 mm before the image: F = a m / (1 - m), the new image 17.75 mm behind it.
  const converter = { zMm: 25, factor: 0.71 };
  const F = (25 * 0.71) / (1 - 0.71);

  it('fall off as from the image of the iris the thin-lens equation gives', () => {
    const map = lightMap({ ...bare, openFNumber: 45, converter }, 45, 20, 0.5);
    // The iris stands 35 mm before the converter and is seen through it: 1/s' = 1/F - 1/35, by hand.
    const seen = 1 / (1 / F - 1 / 35);
    const pupil = 17.75 - seen;
    for (const r of [8, 14, 20])
      expect(at(map, map.light, r)).toBeCloseTo((1 + (r / pupil) ** 2) ** -2, 3);
  });

  it('put the edge of the lens m times as far out', () => {
    const openings = [{ zMm: 40, radiusMm: 12 }];
    const alone = trueRadii(lightMap({ ...bare, openings }, 8, 60, 0.05)).halfLight ?? 0;
    const behind = trueRadii(lightMap({ ...bare, openings, converter }, 8, 60, 0.05)).halfLight;
    expect(behind).toBeCloseTo(0.71 * alone, 1);
  });
});

describe('the halo model against rays, on what it says of rims that move', () => {
  const MOUNTS = new Map(
    [
      { id: 'deep', registerMm: 44 },
      { id: 'shallow', registerMm: 18 },
    ].map((m) => [m.id, mountOf({ ...m, name: m.id })]),
  );

  it('a converter’s own rim, told by one lens, is where another lens sees it', () => {
    const zMm = 25;
    const holeMm = 11;
    const backMm = 0.71 * zMm;
    // As a lens with its exit pupil at 150 mm behind the converter shows it at f/4.
    const past = 1 - backMm / 150;
    const part = partOf({
      id: 'c',
      name: 'reducer',
      kind: 'focal reducer',
      frontMountId: 'deep',
      rearMountId: 'shallow',
      factor: 0.71,
      thicknessMm: 26 - zMm * 0.29,
      ownRim: {
        edgeRadiusMm: holeMm / past,
        softnessMm: backMm / (2 * 4 * past),
        fNumber: 4,
        exitPupilMm: 150,
      },
    });
    const lens = { ...bare, converter: { zMm, factor: 0.71 } };
    const traced = lightMap({ ...lens, openings: [{ zMm, radiusMm: holeMm }] }, 4, 40, 0.05);
    const halo = haloBehind(
      trainOf([part], MOUNTS),
      { rims: [], exitPupilMm: 60, coneTangent: 1 / 8, centre: { xMm: 0, yMm: 0 } },
      4,
    );
    for (const r of [12, 14, 16, 18])
      expect(Math.abs(transmissionAt(halo.rims, r) - at(traced, traced.through, r))).toBeLessThan(
        0.015,
      );
  });

  it.each([
    ['behind the iris', 'rear', { zMm: 25, radiusMm: 12 }],
    ['before the iris', 'front', { zMm: 130, radiusMm: 22 }],
  ] as const)('carried out, a rim %s grows as rays show', (_, side, opening) => {
    const N = 2.8;
    const out = 15;
    const half = (lens: RayLens, fNumber: number) =>
      trueRadii(lightMap(lens, fNumber, 60, 0.05)).halfLight ?? Number.NaN;
    const far = { ...bare, openings: [opening] };
    const near = {
      ...bare,
      exitPupilMm: 60 + out,
      openings: [{ ...opening, zMm: opening.zMm + out }],
    };
    const past = Math.abs(1 - opening.zMm / 60);
    const focalMm = 50;
    const lens = lensOf({
      ...lensExample,
      focalMinMm: focalMm,
      focalMaxMm: focalMm,
      openFNumberWide: N,
      openFNumberLong: N,
      maxMagnification: null,
      focusing: 'unit',
      pupilMagnification: 60 / focalMm,
      halo: [
        {
          ...lensExample.halo[0]!,
          focalMm,
          fNumber: N,
          focusM: null,
          exitPupilMm: 60,
          front: { edgeRadiusMm: side === 'front' ? opening.radiusMm / past : 300, softnessMm: 1 },
          rear: {
            edgeRadiusMm: side === 'rear' ? opening.radiusMm / past : 300,
            softnessMm: opening.zMm / (2 * N * past),
          },
        },
      ],
    });
    const setting = { focalMm, fNumber: N, focusM: null, extensionMm: out };
    const { rims } = predictHalo(lensAt(lens, setting));
    const before = predictHalo(lensAt(lens, { ...setting, extensionMm: 0 })).rims;
    const which = side === 'front' ? 0 : 1;
    const ratio = (rims[which]?.edgeRadiusMm ?? 0) / (before[which]?.edgeRadiusMm ?? 1);
    // The iris stays as it is while it moves away: the f-number on the sensor grows with the distance.
    expect(ratio).toBeCloseTo(half(near, (N * (60 + out)) / 60) / half(far, N), 1);
    if (side === 'rear')
      expect(rims[1]?.softnessMm).toBeCloseTo((opening.zMm + out) / (2 * N * past), 2);
  });
});
