import { describe, expect, it } from 'vitest';
import { unsureBy } from '../../../tests/support/unsure';
import { edgeSpread, swayed, swayedRadiusMm } from './unsure';
import type { Rim } from './rim';
import { transmissionAt, type Halo } from './rims';

const rims: Rim[] = [
  { side: 'front', edgeRadiusMm: 27, softnessMm: 4 },
  { side: 'rear', edgeRadiusMm: 36, softnessMm: 10 },
];
const halo: Halo = { rims, exitPupilMm: 60, coneTangent: 0.1, centre: { xMm: 0.2, yMm: -0.1 } };
const estimate = unsureBy({ beyond: { fromMm: 22, sigma: 0.5, rims: 2 } });

describe('a halo otherwise than expected', () => {
  it('measured: every edge as much farther out, softness as told', () => {
    const moved = swayed(rims, unsureBy({ edgeSigmaMm: 0.8 }), 25, -1.5, 1.2);
    expect(moved.map((r) => r.edgeRadiusMm)).toEqual([27 - 1.2, 36 - 1.2]);
    expect(moved[0]!.softnessMm).toBeCloseTo(4.8, 12);
  });

  it('an estimate is stretched beyond its own corner: there the light stays as it was', () => {
    for (const z of [-2, -1, 1, 2]) {
      const moved = swayed(rims, estimate, 30, z);
      expect(transmissionAt(moved, 22)).toBeCloseTo(transmissionAt(rims, 22), 1);
      // What was expected 5 mm beyond that corner lies exp(z/2) times as far.
      const [front] = moved;
      expect((front!.edgeRadiusMm - 22) / 5).toBeCloseTo(Math.exp(z / 2), 9);
      expect(front!.softnessMm / 4).toBeCloseTo(Math.exp(z / 2), 9);
    }
  });

  it('inside its own corner nothing is stretched', () => {
    expect(swayed(rims, estimate, 21.9, 2)).toEqual(rims);
    expect(swayedRadiusMm(21.9, estimate, 2)).toBe(21.9);
    expect(swayedRadiusMm(27, estimate, 2)).toBeCloseTo(22 + 5 * Math.E, 9);
  });

  it('rims of the train stay where they are', () => {
    const one = unsureBy({ beyond: { fromMm: 22, sigma: 0.5, rims: 1 } });
    expect(swayed(rims, one, 30, 1)[1]).toEqual(rims[1]);
  });

  it('no rim turns inside out', () => {
    const [gone] = swayed(rims, unsureBy({ edgeSigmaMm: 20 }), 30, -3);
    expect(gone!.edgeRadiusMm).toBe(0.05);
    expect(gone!.softnessMm).toBe(0.05);
  });
});

describe('how well the edge is known', () => {
  it('is the same both ways where it was measured, and farther outward where it is an estimate', () => {
    const { inwardMm, outwardMm } = edgeSpread(halo, unsureBy({ edgeSigmaMm: 0.3 }));
    expect(inwardMm).toBeCloseTo(0.3, 12);
    expect(outwardMm).toBeCloseTo(0.3, 12);
    const spread = edgeSpread(halo, estimate);
    // exp(0.5) = 1.6487 and exp(-0.5) = 0.6065 times 5 mm; tables.
    expect(spread.outwardMm).toBeCloseTo(5 * 0.6487, 3);
    expect(spread.inwardMm).toBeCloseTo(5 * 0.3935, 3);
  });

  it('ends where another rim does', () => {
    const cut: Halo = { ...halo, rims: [rims[0]!, { ...rims[1]!, edgeRadiusMm: 28 }] };
    const one = unsureBy({ beyond: { fromMm: 22, sigma: 0.5, rims: 1 } });
    expect(edgeSpread(cut, one).outwardMm).toBeCloseTo(1, 9);
  });
});
