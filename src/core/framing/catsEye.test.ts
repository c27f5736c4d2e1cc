import { describe, expect, it } from 'vitest';
import { haloToward, rectangularRim, type Rim } from '../halo';
import { catsEye, type UnitPoint } from './catsEye';

/* Rays traced through round holes at their own places: no formula of the halo's is used here. */

interface Hole {
  /** From the sensor toward the scene, mm. */
  z: number;
  radius: number;
  /** Half its sides where it is a rectangle. */
  sides?: { across: number; down: number };
}

const PUPIL: Hole = { z: 60, radius: 11 };

/** Points of the pupil whose ray to the sharp image gets through every hole, and where it meets the sensor. */
function tracedPatch(holes: readonly Hole[], image: { x: number; y: number; z: number }) {
  const rays: { passes: boolean; x: number; y: number }[] = [];
  const STEPS = 60;
  for (let i = -STEPS; i <= STEPS; i += 1) {
    for (let j = -STEPS; j <= STEPS; j += 1) {
      const [px, py] = [(i / STEPS) * PUPIL.radius * 1.05, (j / STEPS) * PUPIL.radius * 1.05];
      const at = (z: number) => {
        const t = (z - PUPIL.z) / (image.z - PUPIL.z);
        return { x: px + (image.x - px) * t, y: py + (image.y - py) * t };
      };
      const passes = [PUPIL, ...holes].every(({ z, radius, sides }) => {
        const p = at(z);
        return sides
          ? Math.abs(p.x) <= sides.across && Math.abs(p.y) <= sides.down
          : Math.hypot(p.x, p.y) <= radius;
      });
      rays.push({ passes, ...at(0) });
    }
  }
  return rays;
}

/** The rim a hole makes, by similar triangles: edge where the chief ray grazes it, softness where the cone does. */
function rimOf({ z, radius, sides }: Hole): Rim {
  const away = Math.abs(z - PUPIL.z);
  const side = z > PUPIL.z ? 'front' : 'rear';
  const times = PUPIL.z / away;
  const softnessMm = (PUPIL.radius * z) / away;
  return sides
    ? rectangularRim(side, sides.across * times, sides.down * times, softnessMm)
    : { side, edgeRadiusMm: radius * times, softnessMm };
}

const inside = (outline: readonly UnitPoint[], out: number, across: number): boolean => {
  let isIn = false;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i, i += 1) {
    const [a, b] = [outline[i]!, outline[j]!];
    if (a.across > across !== b.across > across) {
      const at = ((b.out - a.out) * (across - a.across)) / (b.across - a.across) + a.out;
      if (out < at) isIn = !isIn;
    }
  }
  return isIn;
};

const FRONT: Hole = { z: 95, radius: 19 };
const REAR: Hole = { z: 38, radius: 15 };
const MASK: Hole = { z: 30, radius: 0, sides: { across: 13, down: 9 } };

describe('the shape of a point of light out of focus', () => {
  for (const [what, holes] of [
    ['a front rim', [FRONT]],
    ['a rear rim', [REAR]],
    ['both', [FRONT, REAR]],
    ['a rectangular mask', [MASK]],
    ['a rectangular mask and a front rim', [MASK, FRONT]],
  ] as const) {
    for (const [where, z] of [
      ['behind the subject', 0.6],
      ['before it', -0.6],
    ] as const) {
      it(`${where}, with ${what}, is what traced rays leave of it`, () => {
        let wrong = 0;
        let counted = 0;
        for (const [i, r] of [0, 8, 14, 18, 21].entries()) {
          // Along slanted radii in all quarters, so that no axis is favoured.
          const angle = 0.7 + i * 1.9;
          const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
          const image = { x: r * ux, y: r * uy, z };
          // The chief ray through the pupil's middle.
          const t = PUPIL.z / (PUPIL.z - z);
          const centre = { x: image.x * t, y: image.y * t };
          const radius = Math.abs((PUPIL.radius * z) / (PUPIL.z - z));
          const rims = holes.map((hole) => rimOf(hole));
          const { rims: along } = haloToward(
            { rims, exitPupilMm: null, coneTangent: 0, centre: { xMm: 0, yMm: 0 } },
            { xMm: centre.x, yMm: centre.y },
          );
          const outline = catsEye(along, Math.hypot(centre.x, centre.y), {
            isBehind: z > 0,
            isMirrored: centre.x * centre.y < 0,
          });
          for (const ray of tracedPatch(holes, image)) {
            // Upright: the picture is the sensor turned round, and so is its outward direction.
            const [dx, dy] = [-(ray.x - centre.x) / radius, -(ray.y - centre.y) / radius];
            const out = -(dx * ux + dy * uy);
            const across = -(-dx * uy + dy * ux);
            if (Math.hypot(out, across) > 1) continue;
            counted += 1;
            if (inside(outline, out, across) !== ray.passes) wrong += 1;
          }
        }
        expect(counted).toBeGreaterThan(20_000);
        // What differs lies on the border, within a step of the samples.
        expect(wrong / counted).toBeLessThan(0.03);
      });
    }
  }

  it('behind the subject a front rim cuts its outer side, before it the inner one', () => {
    const rims = [rimOf(FRONT)];
    const outs = (isBehind: boolean) => catsEye(rims, 18, { isBehind }).map((p) => p.out);
    expect(Math.max(...outs(true))).toBeLessThan(0.8);
    expect(Math.min(...outs(true))).toBeCloseTo(-1, 2);
    expect(Math.min(...outs(false))).toBeGreaterThan(-0.8);
  });

  it('is whole in the middle, and nothing in the black', () => {
    const rims = [rimOf(FRONT), rimOf(REAR)];
    for (const { out, across } of catsEye(rims, 0, { isBehind: true }))
      expect(Math.hypot(out, across)).toBeCloseTo(1, 6);
    expect(catsEye(rims, 400, { isBehind: true })).toEqual([]);
    expect(
      catsEye([{ side: 'front', edgeRadiusMm: 10, softnessMm: 0 }], 12, { isBehind: true }),
    ).toEqual([]);
    // A knife edge lets a lamp within it through whole, beside a soft rim as alone.
    const hard = { side: 'rear', edgeRadiusMm: 10, softnessMm: 0 } as const;
    const wide = { side: 'front', edgeRadiusMm: 40, softnessMm: 4 } as const;
    for (const rims of [[hard], [hard, wide], [wide, hard]]) {
      expect(catsEye(rims, 10, { isBehind: true }).length).toBeGreaterThan(8);
      expect(catsEye(rims, 10.01, { isBehind: true })).toEqual([]);
      for (const { out, across } of catsEye(rims, 9, { isBehind: true }))
        expect(Math.hypot(out, across)).toBeCloseTo(1, 9);
    }
  });
});
