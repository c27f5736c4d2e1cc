/** The made-up scene: what stands before what. */
import { describe, expect, it } from 'vitest';
import { backgroundOf, lampsOf, USUAL_SCENE, type Scene } from './scene';

const scene = (lampsM: number): Scene => ({ ...USUAL_SCENE, lampsM });
const depthOf = (points: readonly { zM: number }[]) => points.map((p) => p.zM);

describe('behind the miller', () => {
  it('the wall stands behind the lamps, the floor runs back to it, and beams hang before it', () => {
    const [wall, floor, ...beams] = backgroundOf(scene(4));
    const wallM = Math.max(...depthOf(wall!.points));
    expect(wall!.ink).toBe('wall');
    expect(wallM).toBeGreaterThan(Math.max(...lampsOf(scene(4)).map((l) => l.zM)));
    expect(Math.max(...depthOf(floor!.points))).toBeCloseTo(wallM, 9);
    for (const beam of beams) expect(Math.max(...depthOf(beam.points))).toBeLessThan(wallM);
  });

  it('is drawn from far to near, so that what is near covers what is far', () => {
    const [, , ...beams] = backgroundOf(scene(6));
    const depths = beams.map((b) => Math.max(...depthOf(b.points)));
    expect(depths).toEqual(depths.toSorted((a, b) => b - a));
  });

  it('moves with the lamps, and no lamp comes nearer than the miller’s back', () => {
    const far = (m: number) => Math.max(...depthOf(backgroundOf(scene(m))[0]!.points));
    expect(far(9) - far(4)).toBeCloseTo(5, 9);
    for (const { zM } of lampsOf(scene(0.1))) expect(zM).toBeGreaterThanOrEqual(0.3);
  });
});
