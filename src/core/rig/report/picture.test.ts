import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { partOf, plainRig } from '../../../../tests/support/plainRig';
import type { Part } from '../../kit/records/part';
import type { RigSettings } from '../../kit/records/rigRecord';
import type { Rig } from '../rig';
import { evaluate } from './evaluate';

describe('zones of the halo', () => {
  it('add up to the lit share of the frame', () => {
    for (const id of ['miller-portrait', 'wheel-house-wide', 'walk-through']) {
      const { picture, coverage } = evaluate(demoRig(id));
      const { middle, outer, edge } = picture.zones;
      expect(middle + outer + edge).toBeCloseTo(coverage.areaShare, 9);
    }
  });

  it('a smaller sensor keeps less of the edge', () => {
    const rig = demoRig('miller-portrait');
    const small: Rig = { ...rig, mode: rig.body.modes.find((m) => m.id === '4k-crop')! };
    expect(evaluate(small).picture.zones.edge).toBeLessThan(evaluate(rig).picture.zones.edge);
  });
});

describe('depth and blur in the report', () => {
  const near = (settings: Partial<RigSettings> = {}, parts?: readonly Part[]) =>
    evaluate(
      plainRig({ settings: { fNumber: 8, focusM: 3, ...settings }, ...(parts && { parts }) }),
    ).picture;

  it('are those of the handbook for 50 mm f/8 at 3 m, by a 1500th of the diagonal', () => {
    const picture = near();
    expect(picture.circleMm).toBeCloseTo(0.02884, 5);
    // u f²/(f² ± N c (u - f)) with c 0.02884.
    expect(picture.depth.nearM).toBeCloseTo(2.358, 2);
    expect(picture.depth.farM).toBeCloseTo(4.122, 2);
    expect(picture.hyperfocalM).toBeCloseTo(10.885, 2);
    expect(picture.farBlurShare).toBeCloseTo(2500 / (8 * 2950) / 24, 6);
  });

  it('at infinity there is no blur of what is far and no basis to compare on', () => {
    const picture = near({ focusM: null });
    expect(picture.farBlurShare).toBeNull();
    expect(picture.depthBases).toEqual([]);
    expect(picture.depth.farM).toBeNull();
  });

  it('a converter is compared on three bases, a plain adapter on none', () => {
    expect(near().depthBases).toEqual([]);
    const reducer = partOf('focal reducer', { factor: 0.7, thicknessMm: 20 });
    const bases = near({ fNumber: 4 }, [reducer]).depthBases;
    expect(bases.map((b) => b.basis)).toEqual(['same place', 'same framing', 'larger format']);
    // The entrance pupil stays: same place and larger format keep the depth, same framing makes it m times.
    expect(bases[0]?.ratio).toBeCloseTo(1, 1);
    expect(bases[1]?.ratio).toBeCloseTo(0.7, 1);
    expect(bases[2]?.ratio).toBeCloseTo(1, 1);
  });

  it('focus nearer than the focal length is held a hundredth beyond it', () => {
    const lens = { closestFocusM: 0.01, focalMinMm: 50, focalMaxMm: 50 };
    const { farBlurShare } = evaluate(
      plainRig({ lens, settings: { focusM: 0.02, fNumber: 2 } }),
    ).picture;
    expect(farBlurShare).toBeCloseTo(2500 / (2 * 0.5) / 24, 6);
  });

  it('zones are counted against the half light of the lens on its own format', () => {
    const { zones, zonesOfDesign } = evaluate(plainRig()).picture;
    // A 30 mm halo over 36x24: all within 0.6 (18 mm) and 0.85 (25.5 mm) of it.
    expect(zones.edge).toBeCloseTo(0, 9);
    expect(zones.middle + zones.outer).toBeCloseTo(1, 9);
    expect(zonesOfDesign).toEqual(zones);
  });
});
