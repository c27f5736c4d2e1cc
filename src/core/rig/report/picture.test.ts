import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
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
