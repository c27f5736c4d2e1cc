import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blackoutRadiusMm, type Rim } from './rim';
import { darknessStops, lightAt, naturalFalloff, transmissionAt, type Halo } from './rims';

const front = (edgeRadiusMm: number, softnessMm: number): Rim => ({
  side: 'front',
  edgeRadiusMm,
  softnessMm,
});
const rear = (edgeRadiusMm: number, softnessMm: number): Rim => ({
  side: 'rear',
  edgeRadiusMm,
  softnessMm,
});

const rims = fc
  .array(
    fc.record({
      side: fc.constantFrom('front' as const, 'rear' as const),
      edgeRadiusMm: fc.double({ min: 5, max: 60, noNaN: true }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    }),
    { minLength: 1, maxLength: 4 },
  )
  .map((list) =>
    list.map(({ side, edgeRadiusMm, share }): Rim => ({
      side,
      edgeRadiusMm,
      softnessMm: share * edgeRadiusMm,
    })),
  );
const radius = fc.double({ min: 0, max: 130, noNaN: true });

/** The same share by counting points of the pupil: slow, and free of any formula of ours. */
function counted(list: readonly Rim[], r: number, steps = 500): number {
  let [inside, total] = [0, 0];
  for (let i = 0; i < steps; i += 1) {
    for (let j = 0; j < steps; j += 1) {
      const x = ((i + 0.5) / steps) * 2 - 1;
      const y = ((j + 0.5) / steps) * 2 - 1;
      if (x * x + y * y > 1) continue;
      total += 1;
      const through = list.every((rim) => {
        const c = (rim.side === 'front' ? r : -r) / rim.softnessMm;
        return Math.hypot(x - c, y) <= rim.edgeRadiusMm / rim.softnessMm;
      });
      if (through) inside += 1;
    }
  }
  return inside / total;
}

describe('light through the rims', () => {
  it('has the check values of one rim 20 mm, 4 mm soft', () => {
    const values = [16, 18, 20, 22, 24].map((r) => transmissionAt([front(20, 4)], r));
    [1, 0.78957, 0.47876, 0.18266, 0].forEach((v, i) => expect(values[i]).toBeCloseTo(v, 5));
  });

  it('has the check values of one rim 22 mm, 6 mm soft', () => {
    const values = [15, 18, 21.6333, 25].map((r) => transmissionAt([front(22, 6)], r));
    [1, 0.87652, 0.50969, 0.17841].forEach((v, i) => expect(values[i]).toBeCloseTo(v, 5));
  });

  it('has the check values of a front and a rear rim, wide open and three stops down', () => {
    const open = [15, 18, 21.6333, 25].map((r) => transmissionAt([front(22, 6), rear(24, 9)], r));
    [1, 0.7465, 0.1364, 0].forEach((v, i) => expect(open[i]).toBeCloseTo(v, 4));
    const k = 2 ** 1.5;
    const closed = [18, 20, 21.6333, 22.5].map((r) =>
      transmissionAt([front(22, 6 / k), rear(24, 9 / k)], r),
    );
    // The handed-down 0.9914 comes from a 24-node sum; a fine integral gives 0.99145, as here.
    [1, 0.99145, 0.5203, 0.1206].forEach((v, i) => expect(closed[i]).toBeCloseTo(v, 4));
  });

  it('agrees with counting pupil points for one, two and three rims', () => {
    const cases: readonly (readonly Rim[])[] = [
      [front(20, 4)],
      [front(22, 6), rear(24, 9)],
      [front(18, 5), rear(19, 4), rear(21, 8)],
      [front(25, 20), rear(25, 24)],
    ];
    for (const list of cases) {
      for (const r of [4, 12, 17, 19.5, 22, 25]) {
        expect(transmissionAt(list, r)).toBeCloseTo(counted(list, r), 2.5);
      }
    }
  });

  it('stays within 0.023 of the sum of the rims less one while softness is under a third of the radius', () => {
    for (const r of [17, 19, 20.5, 21.5, 23]) {
      const both = transmissionAt([front(22, 6), rear(24, 7)], r);
      const sum = transmissionAt([front(22, 6)], r) + transmissionAt([rear(24, 7)], r) - 1;
      expect(Math.abs(both - Math.max(0, sum))).toBeLessThan(0.023);
    }
  });

  it('falls with the radius, lies in 0..1, and is nothing past the blackout radius', () => {
    fc.assert(
      fc.property(rims, radius, radius, (list, a, b) => {
        const [near, far] = a < b ? [a, b] : [b, a];
        const [inner, outer] = [transmissionAt(list, near), transmissionAt(list, far)];
        expect(inner).toBeGreaterThanOrEqual(outer - 1e-9);
        expect(outer).toBeGreaterThanOrEqual(0);
        expect(inner).toBeLessThanOrEqual(1);
        expect(transmissionAt(list, blackoutRadiusMm(list) + 0.01)).toBeLessThan(1e-9);
      }),
    );
  });

  it('does not care which way round the axis one goes, nor in which order the rims are named', () => {
    fc.assert(
      fc.property(rims, radius, (list, r) => {
        expect(transmissionAt(list, -r)).toBe(transmissionAt(list, r));
        expect(transmissionAt([...list].reverse(), r)).toBeCloseTo(transmissionAt(list, r), 9);
      }),
    );
  });

  it('lets another rim take light, never give it', () => {
    fc.assert(
      fc.property(rims, radius, (list, r) => {
        expect(transmissionAt(list, r)).toBeLessThanOrEqual(
          transmissionAt(list.slice(1), r) + 1e-9,
        );
      }),
    );
  });
});

describe('natural falloff', () => {
  it('is 0.4951 stop at 21.633 mm for an exit pupil 50 mm away', () => {
    expect(-Math.log2(naturalFalloff(21.633, 50))).toBeCloseTo(0.4951, 4);
  });

  it('of a finite pupil agrees with a sum over pupil points', () => {
    const halo: Halo = {
      rims: [front(22, 6), rear(24, 9)],
      exitPupilMm: 45,
      coneTangent: 1 / 2.8,
      centre: { xMm: 0, yMm: 0 },
    };
    for (const r of [0, 8, 16, 20, 22]) {
      expect(lightAt(halo, r).light).toBeCloseTo(summed(halo, r), 2.5);
    }
  });

  it('of a pinpoint pupil is the law itself', () => {
    const halo: Halo = {
      rims: [front(40, 1)],
      exitPupilMm: 50,
      coneTangent: 0,
      centre: { xMm: 0, yMm: 0 },
    };
    expect(lightAt(halo, 21.633).light).toBeCloseTo(naturalFalloff(21.633, 50), 9);
  });
});

function summed(halo: Halo, r: number, steps = 400): number {
  const weightSum = (radiusMm: number): number => {
    let sum = 0;
    for (let i = 0; i < steps; i += 1) {
      for (let j = 0; j < steps; j += 1) {
        const x = ((i + 0.5) / steps) * 2 - 1;
        const y = ((j + 0.5) / steps) * 2 - 1;
        if (x * x + y * y > 1) continue;
        const through = halo.rims.every((rim) => {
          const c = (rim.side === 'front' ? radiusMm : -radiusMm) / rim.softnessMm;
          return Math.hypot(x - c, y) <= rim.edgeRadiusMm / rim.softnessMm;
        });
        const tilt = radiusMm / (halo.exitPupilMm ?? 1) - halo.coneTangent * x;
        if (through) sum += (1 + tilt ** 2 + (halo.coneTangent * y) ** 2) ** -2;
      }
    }
    return sum;
  };
  return weightSum(r) / weightSum(0);
}

describe('darkness', () => {
  it('is counted downward from the middle and has no number in the black', () => {
    expect(darknessStops(0.25)).toBe(2);
    expect(darknessStops(1)).toBe(0);
    expect(darknessStops(0)).toBeNull();
  });
});

describe('more rims than any train has', () => {
  const rims = (count: number) =>
    Array.from({ length: count }, () => ({
      side: 'front' as const,
      edgeRadiusMm: 20,
      softnessMm: 4,
    }));

  it('are refused, not dropped', () => {
    expect(transmissionAt(rims(15), 18)).toBeCloseTo(transmissionAt(rims(1), 18), 9);
    expect(() => transmissionAt(rims(16), 18)).toThrow(/at most 15 rims, not 16/);
  });
});
