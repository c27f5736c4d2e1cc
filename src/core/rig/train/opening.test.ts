import { describe, expect, it } from 'vitest';
import { mountOf, partOf, type Opening, type PartTold } from '../../kit/records';
import { haloToward, lightAtPlace, transmissionAt, type Halo } from '../../halo';
import { haloBehind } from './rims';
import { trainOf } from './train';

const MOUNTS = new Map(
  [
    { id: 'deep', registerMm: 44 },
    { id: 'shallow', registerMm: 18 },
  ].map((m) => [m.id, mountOf({ ...m, name: m.id })]),
);
const PUPIL_MM = 62;
const N = 4;
const bare: Halo = {
  rims: [],
  exitPupilMm: PUPIL_MM,
  coneTangent: 1 / (2 * N),
  centre: { xMm: 0, yMm: 0 },
};
const adapter = (opening: Opening | null): PartTold => ({
  id: 'a',
  name: 'adapter',
  kind: 'plain adapter',
  frontMountId: 'deep',
  rearMountId: 'shallow',
  factor: 1,
  thicknessMm: 26,
  opening,
});
const tube = (thicknessMm: number): PartTold => ({
  id: 't',
  name: 'tube',
  kind: 'extension tube',
  frontMountId: 'shallow',
  rearMountId: 'shallow',
  factor: 1,
  thicknessMm,
});

/** How far before the lens's picture the glass of the reducer stands, its focal length, and where it shows the pupil: by hand. */
const GLASS_MM = 17;
const GLASS_FOCAL_MM = (GLASS_MM * 0.71) / (1 - 0.71);
const PUPIL_BEFORE_GLASS_MM = PUPIL_MM - GLASS_MM;
const PUPIL_SEEN_MM = 1 / (1 / GLASS_FOCAL_MM - 1 / PUPIL_BEFORE_GLASS_MM);
const reducer = (more: Partial<PartTold>): PartTold => ({
  id: 'r',
  name: 'reducer',
  kind: 'focal reducer',
  frontMountId: 'deep',
  rearMountId: 'shallow',
  factor: 0.71,
  thicknessMm: 26 - GLASS_MM * 0.29,
  ...more,
});

/** A rectangle with its distance from the sensor, and glass the rays meet before they reach the pupil. */
interface Traced {
  opening: { zMm: number; widthMm: number; heightMm: number };
  pupil: { zMm: number; radiusMm: number };
  glass?: { zMm: number; focalMm: number };
}

/** Share of the rays from a place of the sensor through the pupil that the rectangle lets by: straight lines, bent at thin glass. */
function traced({ opening, pupil, glass }: Traced, x: number, y: number): number {
  const STEPS = 160;
  let [through, all] = [0, 0];
  for (let i = 0; i < STEPS; i += 1) {
    for (let j = 0; j < STEPS; j += 1) {
      const [u, v] = [((i + 0.5) / STEPS) * 2 - 1, ((j + 0.5) / STEPS) * 2 - 1];
      if (u * u + v * v > 1) continue;
      all += 1;
      const at = (from: number, to: number): number => {
        if (!glass || opening.zMm <= glass.zMm) {
          // Aimed at the pupil as it is seen through all glass.
          return from + ((to - from) * opening.zMm) / pupil.zMm;
        }
        const slope = (to - from) / pupil.zMm;
        const height = from + slope * glass.zMm;
        return height + (slope - height / glass.focalMm) * (opening.zMm - glass.zMm);
      };
      const px = at(x, u * pupil.radiusMm);
      const py = at(y, v * pupil.radiusMm);
      if (Math.abs(px) <= opening.widthMm / 2 && Math.abs(py) <= opening.heightMm / 2) through += 1;
    }
  }
  return through / all;
}

const PLACES = [
  [0, 0],
  [11, 0],
  [17, 0],
  [0, 9],
  [0, 13],
  [14, 9],
  [18, 12],
  [20, 5],
] as const;

/** Light the rims let through at places of the sensor, against rays. */
function expectAsTraced(halo: Halo, rays: Traced, most = 0.015): void {
  for (const [x, y] of PLACES) {
    const { rims } = haloToward(halo, { xMm: x, yMm: y });
    const told = transmissionAt(rims, Math.hypot(x, y));
    expect(Math.abs(told - traced(rays, x, y)), `${x}, ${y}`).toBeLessThan(most);
  }
}

describe('a rectangular opening of a part, against rays', () => {
  const pupil = { zMm: PUPIL_MM, radiusMm: PUPIL_MM / (2 * N) };

  it('cuts where straight lines past its sides meet the sensor', () => {
    const opening = { widthMm: 26, heightMm: 17, beforeFlangeMm: -3 };
    const halo = haloBehind(trainOf([partOf(adapter(opening))], MOUNTS), bare, N);
    expectAsTraced(halo, { opening: { zMm: 15, widthMm: 26, heightMm: 17 }, pupil });
  });

  it('stands farther from the sensor with a tube behind it', () => {
    const opening = { widthMm: 26, heightMm: 17, beforeFlangeMm: 0 };
    // The lens is carried out with it, and its pupil with the lens.
    const out = { ...bare, exitPupilMm: PUPIL_MM + 12 };
    const train = trainOf([partOf(adapter(opening)), partOf(tube(12))], MOUNTS);
    const halo = haloBehind(train, out, N);
    expectAsTraced(halo, {
      opening: { zMm: 30, widthMm: 26, heightMm: 17 },
      pupil: { zMm: PUPIL_MM + 12, radiusMm: (PUPIL_MM + 12) / (2 * N) },
    });
  });

  it('is shown m times as large by a reducer behind it', () => {
    const opening = { widthMm: 30, heightMm: 20, beforeFlangeMm: 9 };
    // The adapter leads to the deep mount here; the reducer goes from there to the shallow one.
    const masked = partOf({ ...adapter(opening), rearMountId: 'deep', thicknessMm: 0 });
    const wide = { edgeRadiusMm: 200, softnessMm: 1, fNumber: 4, exitPupilMm: null };
    const train = trainOf([masked, partOf(reducer({ ownRim: wide }))], MOUNTS);
    // Rays from the sensor meet the glass 0.71 x 17 mm before it.
    const glass = { zMm: 0.71 * GLASS_MM, focalMm: GLASS_FOCAL_MM };
    const scale = Math.abs(PUPIL_SEEN_MM / PUPIL_BEFORE_GLASS_MM);
    expectAsTraced(
      haloBehind(train, bare, N),
      {
        opening: { zMm: glass.zMm + (44 + 9 - GLASS_MM), widthMm: 30, heightMm: 20 },
        pupil: {
          zMm: glass.zMm - PUPIL_SEEN_MM,
          radiusMm: (PUPIL_MM / (2 * N)) * scale * (PUPIL_SEEN_MM > 0 ? -1 : 1),
        },
        glass,
      },
      0.02,
    );
  });

  it('in a reducer’s own rear is seen past the pupil as the reducer shows it', () => {
    const opening = { widthMm: 22, heightMm: 15, beforeFlangeMm: -8 };
    const halo = haloBehind(trainOf([partOf(reducer({ opening }))], MOUNTS), bare, N);
    const pupilZ = 0.71 * GLASS_MM - PUPIL_SEEN_MM;
    expectAsTraced(halo, {
      opening: { zMm: 10, widthMm: 22, heightMm: 15 },
      pupil: { zMm: pupilZ, radiusMm: Math.abs(pupilZ) / (2 * N * 0.71) },
    });
  });

  it('takes the place of the rim that is assumed of a converter nobody measured', () => {
    const designFormat = { widthMm: 23.5, heightMm: 15.6 };
    const rims = (opening: Opening | null) =>
      haloBehind(trainOf([partOf(reducer({ designFormat, opening }))], MOUNTS), bare, N).rims;
    expect(rims(null)).toHaveLength(1);
    expect(rims(null)[0]?.rectangle).toBeUndefined();
    const told = rims({ widthMm: 24, heightMm: 16, beforeFlangeMm: 0 });
    expect(told).toHaveLength(1);
    expect(told[0]?.rectangle).toBeDefined();
  });

  it('is as small as it can look where no mount tells how far away it stands', () => {
    const opening = { widthMm: 26, heightMm: 17, beforeFlangeMm: 0 };
    const unknown = haloBehind(trainOf([partOf(adapter(opening))], new Map()), bare, N);
    const known = haloBehind(trainOf([partOf(adapter(opening))], MOUNTS), bare, N);
    for (const [x, y] of PLACES) {
      const place = { xMm: x, yMm: y };
      if (lightAtPlace(known, place).transmission < 0.5)
        expect(lightAtPlace(unknown, place).light).toBeLessThanOrEqual(0.5);
    }
    expect(unknown.rims[0]?.edgeRadiusMm).toBeCloseTo(Math.hypot(13, 8.5), 9);
  });
});
