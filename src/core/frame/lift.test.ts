import { describe, expect, it } from 'vitest';
import type { Halo } from '../halo';
import { cornerLift, frameGains, isHardEdge } from './lift';

const FRAME = { widthMm: 36, heightMm: 24 };
const haloOf = (edgeRadiusMm: number, softnessMm: number): Halo => ({
  rims: [{ side: 'front', edgeRadiusMm, softnessMm }],
  exitPupilMm: 50,
  coneTangent: 0,
  centre: { xMm: 0, yMm: 0 },
});

describe('lifting a corner', () => {
  it('costs nothing but the natural falloff where the halo is wide: 0.4951 stop at L 50 (docs/optics.md)', () => {
    const lift = cornerLift(haloOf(40, 2), FRAME, 1);
    expect(lift.stops).toBeCloseTo(0.4951, 3);
    expect(lift.isoFactor).toBeCloseTo(2 ** 0.4951, 3);
    expect(lift.verdict).toBe('can be lifted');
    expect(frameGains(haloOf(40, 2), FRAME).corner).toBeCloseTo(2 ** 0.4951, 3);
  });

  it('depends on the school in the soft part, and is beyond all schools at a hard edge', () => {
    const soft = haloOf(22, 6);
    expect(cornerLift(soft, FRAME, 1).verdict).toBe('too dark for the school');
    expect(cornerLift(soft, FRAME, 2).verdict).toBe('can be lifted');
    const hard = cornerLift(haloOf(20, 0.5), FRAME, 3);
    expect(hard).toMatchObject({ verdict: 'a hard edge', stops: null, isoFactor: null });
    expect(frameGains(haloOf(20, 0.5), FRAME).corner).toBeNull();
  });

  it('the top needs less than the side, the side less than the corner', () => {
    const { top, side, corner } = frameGains(haloOf(23, 4), FRAME);
    expect(top).toBeLessThan(side ?? 0);
    expect(side).toBeLessThan(corner ?? 0);
  });
});

describe('the ends of lifting', () => {
  const plain = (edge: number, soft: number): Halo => ({
    ...haloOf(edge, soft),
    exitPupilMm: null,
  });

  it('nothing is lifted where nothing is lost', () => {
    expect(cornerLift(plain(40, 2), FRAME, 1)).toEqual({
      stops: 0,
      isoFactor: 1,
      verdict: 'nothing to lift',
    });
  });

  it('an edge that leaves under an eighth of the light is hard, whatever the school', () => {
    const hard = cornerLift(plain(20.2, 2), FRAME, 6);
    expect(hard.stops).not.toBeNull();
    expect(hard.verdict).toBe('a hard edge');
  });

  it('one that fades over most of its radius is no edge, though nothing lifts it either', () => {
    // 18.8 mm soft on an edge of 27.4: seen at the counter as dark, never as cut (common practice, no source).
    const fading = haloOf(27.4, 18.8);
    expect(isHardEdge(fading)).toBe(false);
    expect(cornerLift(fading, { widthMm: 60, heightMm: 50 }, 2).verdict).toBe('too dark to lift');
    expect(isHardEdge(haloOf(27.4, 1.5))).toBe(true);
    // Stopped down the same rim closes over less of its way: 18.8/8 at three stops less.
    expect(isHardEdge(haloOf(27.4, 18.8 / 8))).toBe(true);
  });

  it('gains are counted to the farther side, top and corner of a halo off the middle', () => {
    const off: Halo = { ...haloOf(300, 1), exitPupilMm: 40, centre: { xMm: -3, yMm: 2 } };
    const gain = (r: number) => (1 + (r / 40) ** 2) ** 2;
    const { side, top, corner } = frameGains(off, FRAME);
    expect(side).toBeCloseTo(gain(21), 9);
    expect(top).toBeCloseTo(gain(14), 9);
    expect(corner).toBeCloseTo(gain(Math.hypot(21, 14)), 9);
  });
});
