import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { waysOut } from '../search';
import { judge, NO_TRAVEL } from '../../frame';
import { randomOf } from '../../maths';
import type { Halo } from '../../halo';
import { unsureBy } from '../../../../tests/support/unsure';
import { evaluate } from '../report';
import { chanceOfDark, riskOf } from './risk';

describe('risk', () => {
  it('is nothing where there is room, all where there is none, and a quarter where it is called Clear', () => {
    const rig = turned(demoRig('wheel-house-wide'), { stabiliser: false });
    const risk = (focalMm: number) => evaluate(turned(rig, { focalMm })).verdict.risk;
    expect(risk(35)).toBeLessThan(0.001);
    expect(risk(18)).toBeGreaterThan(0.999);
    const way = waysOut(turned(rig, { focalMm: 18 }), []).find((w) => w.kinds[0] === 'zoom')!;
    expect(risk(way.limit!)).toBeCloseTo(0.25, 2);
  });

  it('grows with the uncertainty of an estimate', () => {
    const rig = demoRig('archive-table');
    expect(evaluate(rig).verdict.risk).toBeGreaterThan(0.001);
  });
});

describe('the arithmetic of risk', () => {
  const halo = (edgeRadiusMm: number, softnessMm = 0.01): Halo => ({
    rims: [{ side: 'front', edgeRadiusMm, softnessMm }],
    exitPupilMm: null,
    coneTangent: 0,
    centre: { xMm: 0, yMm: 0 },
  });
  const FULL = { widthMm: 36, heightMm: 24 };
  const corner = Math.hypot(18, 12);
  const risk = (edge: number, sigma: number, softnessSigma = 0) =>
    riskOf(halo(edge), FULL, NO_TRAVEL, 2, unsureBy({ edgeSigmaMm: sigma, softnessSigma }));

  it('is the normal share of edges that fall short: 0, 1, 2 and 3 standard deviations away', () => {
    // Tables of the normal distribution. A hard edge is placed to a tenth of a standard deviation.
    const within = (told: number, table: number) =>
      expect(Math.abs(told - table)).toBeLessThan(0.025);
    within(risk(corner, 1), 0.5);
    within(risk(corner + 1, 1), 0.1587);
    within(risk(corner + 2, 1), 0.0228);
    within(risk(corner - 1, 1), 0.8413);
    within(risk(corner - 1, 0.5), 0.9772);
    expect(risk(corner + 3, 1)).toBeLessThan(0.003);
    expect(risk(corner - 3, 1)).toBeGreaterThan(0.997);
    expect(risk(corner + 6, 1)).toBeLessThan(0.001);
  });

  it('shrinks to all or nothing as the edge is known', () => {
    expect(risk(corner + 0.1, 0)).toBeLessThan(1e-3);
    expect(risk(corner - 0.1, 0)).toBeGreaterThan(1 - 1e-3);
  });

  it('counts the travel of the sensor as edge that is missing', () => {
    const travel = { xMm: 0, yMm: 0, discMm: 2 };
    const moving = riskOf(halo(corner + 2), FULL, travel, 2, unsureBy({ edgeSigmaMm: 1 }));
    expect(moving).toBeCloseTo(risk(corner, 1), 6);
  });

  it('an unsure softness makes a soft edge less certain both ways', () => {
    const soft = (edge: number, softnessSigma: number) =>
      riskOf(halo(edge, 6), FULL, NO_TRAVEL, 1, unsureBy({ edgeSigmaMm: 0.2, softnessSigma }));
    expect(soft(22.6, 0)).toBeLessThan(0.001);
    expect(soft(22.6, 0.35)).toBeGreaterThan(10 * soft(22.6, 0));
    expect(soft(40, 0.35)).toBeLessThan(0.01);
    expect(soft(14, 0.35)).toBeGreaterThan(0.99);
  });

  it.each(['normal', 'long-tailed'] as const)('is what %s draws at random give', (errors) => {
    const random = randomOf(20261126);
    const kinds = randomOf(20261201);
    const normal = () =>
      Math.sqrt(-2 * Math.log(1 - random.next())) * Math.cos(2 * Math.PI * random.next());
    // The mixture of docs/optics.md, "Risk": seven in ten errors are a third as large as stated, others lie inward.
    const measured = () => (random.chance(0.7) ? 0.3 * normal() : 1.25 * normal() - 0.3);
    const edgeError = () => (errors === 'normal' ? normal() : measured());
    const off = Array.from({ length: 60 }, () => {
      const edgeRadiusMm = random.between(19, 28);
      const softnessMm = edgeRadiusMm * random.between(0.02, 0.6);
      const drawn: Halo = {
        rims: [
          { side: 'front', edgeRadiusMm, softnessMm },
          { side: 'rear', edgeRadiusMm: 1.2 * edgeRadiusMm, softnessMm: 1.3 * softnessMm },
        ],
        exitPupilMm: random.between(30, 90),
        coneTangent: random.between(0.03, 0.3),
        centre: { xMm: 0, yMm: 0 },
      };
      // As many halos of lenses nobody measured, whose two rims end somewhere beyond a corner of their own.
      const isEstimate = errors === 'normal' && kinds.chance(0.5);
      const fromMm = edgeRadiusMm * kinds.between(0.7, 0.95);
      const sigma = kinds.between(0.2, 0.8);
      const unsure = unsureBy({
        beyond: isEstimate ? { fromMm, sigma, rims: 2 } : null,
        edgeSigmaMm: isEstimate ? 0 : random.between(0.05, 2.5),
        softnessSigma: random.between(0.05, 0.35),
        falloffSigma: random.between(0.1, 0.8),
        errors,
      });
      const limit = random.between(0.8, 3);
      // As drawn: what nobody can know is a rule of its own, below.
      const told = chanceOfDark(drawn, corner, 2 ** -limit, unsure);
      let worse = 0;
      const draws = 1500;
      for (let i = 0; i < draws; i += 1) {
        const z = edgeError();
        const by = unsure.edgeSigmaMm * z;
        const stretch = isEstimate && corner > fromMm ? Math.exp(sigma * z) : 1;
        const soft = Math.exp(unsure.softnessSigma * normal());
        const falloff = Math.max(1e-6, 1 + unsure.falloffSigma * normal());
        const there: Halo = {
          ...drawn,
          rims: drawn.rims.map((rim) => {
            const edge = fromMm + (rim.edgeRadiusMm - fromMm) * stretch + by;
            const softest = Math.min(rim.edgeRadiusMm, rim.softnessMm * soft) * stretch;
            return { ...rim, edgeRadiusMm: edge, softnessMm: Math.min(edge, softest) };
          }),
          exitPupilMm: drawn.exitPupilMm! / Math.sqrt(falloff),
        };
        if (judge(there, FULL, NO_TRAVEL, limit).kind !== 'Clear') worse += 1;
      }
      return Math.abs(told - worse / draws);
    });
    // Three softnesses stand for all of them: coarse where the edge is known much better than they are.
    expect(Math.max(...off)).toBeLessThan(errors === 'normal' ? 0.08 : 0.13);
    expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(0.02);
  });

  it('is never surer than one lens in a hundred that is unlike its kind', () => {
    const unsure = unsureBy({ edgeSigmaMm: 0.1, unlikeShare: 0.01 });
    expect(riskOf(halo(40), FULL, NO_TRAVEL, 2, unsure)).toBe(0.01);
    expect(riskOf(halo(10), FULL, NO_TRAVEL, 2, unsure)).toBe(0.99);
    expect(riskOf(halo(corner), FULL, NO_TRAVEL, 2, unsure)).toBeCloseTo(0.5, 1);
  });

  describe('beyond the own corner of a lens nobody measured', () => {
    // Its own corner lies at a radius of 17 mm, its edge is expected 4 mm farther out.
    const unsure = unsureBy({
      beyond: { fromMm: 17, sigma: 0.55, rims: 1 },
      unlikeShare: 0.01,
      falloffSigma: 0.3,
    });
    const at = (radiusMm: number, lens: Halo = halo(21), limit = 2) => {
      const side = radiusMm * Math.SQRT2;
      return riskOf(lens, { widthMm: side, heightMm: side }, NO_TRAVEL, limit, unsure);
    };

    it('grows with every step outward, at the corner without a leap', () => {
      const places = Array.from({ length: 90 }, (_, i) => 15 + i * 0.2);
      const lenses = [
        halo(21),
        halo(21, 8),
        halo(18, 3),
        { ...halo(19, 14), exitPupilMm: 40 },
        { ...halo(17.5, 10), exitPupilMm: 30 },
      ];
      for (const lens of lenses)
        for (const limit of [1, 2, 3]) {
          const risks = places.map((r) => at(r, lens, limit));
          for (const [i, risk] of risks.slice(1).entries())
            expect(risk).toBeGreaterThanOrEqual(risks[i]! - 0.012);
          expect(Math.abs(at(17.001, lens, limit) - at(16.999, lens, limit))).toBeLessThan(0.01);
        }
    });

    it('is half where the edge is expected, and by tables of the lognormal at its standard deviations', () => {
      expect(Math.abs(at(21) - 0.5)).toBeLessThan(0.03);
      expect(Math.abs(at(17 + 4 * Math.exp(-0.55)) - 0.1587)).toBeLessThan(0.03);
      expect(Math.abs(at(17 + 4 * Math.exp(0.55)) - 0.8413)).toBeLessThan(0.03);
    });

    it('is never under 5 %, nor above 95 % up to one and a half times that corner', () => {
      expect(at(17)).toBe(0.01);
      expect(at(17.9)).toBe(0.05);
      expect(at(25.4, halo(17.2))).toBe(0.95);
      expect(at(31, halo(17.2))).toBeGreaterThan(0.98);
    });

    it('but says so where the lens is dark in its own corner already', () => {
      const dark = { ...halo(21), exitPupilMm: 12 };
      expect(at(16.9, dark)).toBeGreaterThan(0.95);
      expect(at(18, dark)).toBeGreaterThanOrEqual(at(16.9, dark));
    });

    it('and where the rim of a converter ends the halo before', () => {
      const cut: Halo = {
        ...halo(17.2),
        rims: [...halo(17.2).rims, { side: 'rear', edgeRadiusMm: 18, softnessMm: 0.1 }],
      };
      expect(at(20, cut)).toBe(0.99);
    });
  });

  it('the stricter the school, the greater the risk', () => {
    const by = (limit: number) =>
      riskOf(
        halo(23, 5),
        FULL,
        NO_TRAVEL,
        limit,
        unsureBy({ edgeSigmaMm: 0.5, softnessSigma: 0.1 }),
      );
    expect(by(0.2)).toBeGreaterThan(by(1));
    expect(by(1)).toBeGreaterThan(by(2));
  });
});

describe('a rim whose side nobody knows', () => {
  const unsure = {
    edgeSigmaMm: 0.5,
    softnessSigma: 0.1,
    falloffSigma: 0,
    unlikeShare: 0,
    errors: 'normal',
  } as const;
  const frame = { widthMm: 30, heightMm: 20 };
  const behind = (side: 'front' | 'rear', own: boolean): Halo => ({
    rims: [
      { side, edgeRadiusMm: 18.5, softnessMm: 4 },
      ...(own ? [{ side: 'rear', edgeRadiusMm: 18.5, softnessMm: 4 } as const] : []),
    ],
    exitPupilMm: null,
    coneTangent: 0,
    centre: { xMm: 0, yMm: 0 },
  });
  const risk = (halo: Halo, isSideUnknown: boolean) =>
    riskOf(halo, frame, NO_TRAVEL, 1.5, unsureBy({ ...unsure, isSideUnknown }));

  it('counts half on either side of the iris behind a converter’s own rim', () => {
    const [front, rear] = [risk(behind('front', true), false), risk(behind('rear', true), false)];
    expect(front - rear).toBeGreaterThan(0.1);
    expect(risk(behind('front', true), true)).toBeCloseTo((front + rear) / 2, 6);
  });

  it('makes no difference where nothing else cuts', () => {
    expect(risk(behind('front', false), true)).toBe(risk(behind('front', false), false));
    expect(risk(behind('rear', false), false)).toBeCloseTo(risk(behind('front', false), false), 9);
  });
});
