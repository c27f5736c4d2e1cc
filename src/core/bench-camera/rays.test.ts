import { describe, expect, it } from 'vitest';
import { plainRig } from '../../../tests/support/plainRig';
import { lensExample, lensOf, mountOf, partOf } from '../kit/records';
import {
  HALF_TRANSMISSION,
  lensAt,
  predictHalo,
  radiusAtTransmission,
  transmissionAt,
} from '../halo';
import { evaluate } from '../rig/report';
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

  /** A tube behind a converter: lens and glass stay, and the picture is taken farther back. */
  describe('a tube behind a converter', () => {
    const PUPIL_MM = 49.47; // 48.5 mm, P 1.02
    const converters = {
      'a 0.71x, 17.24 mm before the picture': { zMm: 17.24, factor: 0.71 },
      'a 0.64x': { zMm: 20, factor: 0.64 },
      'a 1.4x': { zMm: 22.86, factor: 1.4 },
    };
    const openings = {
      rear: { zMm: 21, radiusMm: 14.5 },
      front: { zMm: 95, radiusMm: 22 },
    };
    const cases = Object.entries(converters).flatMap(([name, converter]) =>
      [5, 10].flatMap((tubeMm) =>
        (['rear', 'front'] as const).map((side) => ({ name, converter, tubeMm, side })),
      ),
    );

    it.each(cases)('$tubeMm mm behind $name: a $side rim lies where rays meet it', (rig) => {
      const { converter, tubeMm, side } = rig;
      const { zMm, factor } = converter;
      const opening = openings[side];
      const N = 8;
      const past = Math.abs(1 - opening.zMm / PUPIL_MM);
      const halo = haloBehind(
        trainOf(
          [
            partOf({
              id: 'c',
              name: 'converter',
              kind: factor < 1 ? 'focal reducer' : 'teleconverter',
              frontMountId: 'deep',
              rearMountId: 'shallow',
              factor,
              thicknessMm: 26 - zMm * (1 - factor),
            }),
            partOf({
              id: 't',
              name: 'tube',
              kind: 'extension tube',
              frontMountId: 'shallow',
              rearMountId: 'shallow',
              factor: 1,
              thicknessMm: tubeMm,
            }),
          ],
          MOUNTS,
        ),
        {
          rims: [
            {
              side,
              edgeRadiusMm: opening.radiusMm / past,
              softnessMm: opening.zMm / (2 * N * past),
            },
          ],
          exitPupilMm: PUPIL_MM,
          coneTangent: 1 / (2 * N),
          centre: { xMm: 0, yMm: 0 },
        },
        N,
      );
      // What the glass of focal length F shows so much farther behind it lies where 1/F = 1/a + 1/b says, by hand.
      const F = (zMm * factor) / (1 - factor);
      const b = factor * zMm + tubeMm;
      const a = 1 / (1 / b - 1 / F);
      const out = a - zMm;
      const seen: RayLens = {
        ...bare,
        exitPupilMm: PUPIL_MM + out,
        openings: [{ ...opening, zMm: opening.zMm + out }],
        converter: { zMm: a, factor: b / a },
      };
      const map = lightMap(seen, (N * (PUPIL_MM + out)) / PUPIL_MM, 45, 0.05);
      const rays = trueRadii(map).halfLight ?? Number.NaN;
      const told = radiusAtTransmission(halo.rims, HALF_TRANSMISSION);
      expect(Math.abs(told - rays)).toBeLessThan(0.06 + 0.004 * rays);
      // And it is no longer where the same converter alone puts it.
      expect(Math.abs(told - (factor * opening.radiusMm) / past)).toBeGreaterThan(0.2);
    });

    it('makes f/8 behind 0.71x f/6.05, and half light 19.67 mm, as an exact trace gave it', () => {
      // An exact trace of a 48.5 mm lens, P 1.02, half light at 25.96 mm, with a 0.71x and 10 mm of tube behind.
      const lens = lensOf({
        ...lensExample,
        mountId: 'slr',
        focalMinMm: 48.5,
        focalMaxMm: 48.5,
        openFNumberWide: 2,
        openFNumberLong: 2,
        focusing: 'unit',
        pupilMagnification: 1.02,
        maxMagnification: null,
        halo: [
          {
            ...lensExample.halo[0]!,
            focalMm: 48.5,
            fNumber: 8,
            focusM: null,
            exitPupilMm: PUPIL_MM,
            front: { edgeRadiusMm: 25.96, softnessMm: 1 },
            rear: null,
          },
        ],
      });
      const parts = [
        partOf({
          id: 'c',
          name: 'reducer',
          kind: 'focal reducer',
          frontMountId: 'slr',
          rearMountId: 'ml',
          factor: 0.71,
          thicknessMm: 21,
        }),
        partOf({
          id: 't',
          name: 'tube',
          kind: 'extension tube',
          frontMountId: 'ml',
          rearMountId: 'ml',
          factor: 1,
          thicknessMm: 10,
        }),
      ];
      const { optics, halo } = evaluate(
        plainRig({ lens, parts, settings: { focalMm: 48.5, fNumber: 8, focusM: null } }),
      );
      expect(optics.effectiveFNumber).toBeCloseTo(6.05, 1);
      expect(radiusAtTransmission(halo.model.rims, HALF_TRANSMISSION)).toBeCloseTo(19.67, 1);
      // 1/f = 1/u + 1/v: 10 mm behind a whole of 34.4 mm.
      expect(optics.magnification).toBeCloseTo(10 / (0.71 * 48.5), 3);
    });
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
