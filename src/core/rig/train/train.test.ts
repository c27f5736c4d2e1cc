import { describe, expect, it } from 'vitest';
import { lensExample, mountExample, type Mount, partExample, type Part } from '../../kit/records';
import type { Halo } from '../../halo';
import { converterOfShift } from '../../optics';
import { MOUNTS, partOf, plainRig } from '../../../../tests/support/plainRig';
import { evaluate } from '../report';
import { carriedOut, extensionOf } from './extension';
import { trainLight } from './light';
import { assumedEdgeMm, haloBehind, rimsKnown } from './rims';
import { imageShiftMm, shiftRangeMm, trainOf } from './train';

const mounts = new Map<string, Mount>([
  ['slr-44', mountExample],
  ['ml-18', { ...mountExample, id: 'ml-18', registerMm: 18 }],
]);

const tele: Part = {
  ...partExample,
  id: 't14',
  kind: 'teleconverter',
  frontMountId: 'slr-44',
  rearMountId: 'slr-44',
  factor: 1.4,
  thicknessMm: 17,
  transmission: 0.95,
  fastestFNumber: null,
  ownRim: null,
};
const plain: Part = { ...tele, kind: 'plain adapter', factor: 1, transmission: null };
const halo: Halo = {
  rims: [{ side: 'front', edgeRadiusMm: 20, softnessMm: 4 }],
  exitPupilMm: 66,
  coneTangent: 0.25,
  centre: { xMm: 1, yMm: -0.5 },
};

describe('light through the train', () => {
  it('turns 20 mm f/1.8 into 14.2 mm f/1.28 behind a 0.71x reducer', () => {
    const light = trainLight(trainOf([partExample], mounts), lensExample, 20, 1.8);
    expect(light.focalMm).toBeCloseTo(14.2, 9);
    expect(light.fNumber).toBeCloseTo(1.278, 9);
    expect(light.lightStops).toBeCloseTo(0.9882 + Math.log2(0.95), 4);
    expect(light.customaryStops).toBe(1);
  });

  it('multiplies stacked converters', () => {
    const stacked = trainLight(trainOf([partExample, tele], mounts), lensExample, 20, 2);
    expect(stacked.factor).toBeCloseTo(0.994, 9);
    expect(stacked.customaryStops).toBe(0);
  });

  it('knows the T-stop only where every glass part says what it passes', () => {
    const known = trainLight(trainOf([partExample], mounts), lensExample, 20, 1.8);
    expect(known.tStop).toBeCloseTo((2 * 0.71) / Math.sqrt(0.95), 9);
    const unknown = trainLight(
      trainOf([{ ...partExample, transmission: null }], mounts),
      lensExample,
      20,
      1.8,
    );
    expect(unknown.tStop).toBeNull();
    expect(unknown.lightStops).toBeCloseTo(0.9882, 4);
  });

  it('passes no faster than the slowest part, and loses that light', () => {
    const slow = trainLight(
      trainOf([{ ...partExample, fastestFNumber: 1.4 }], mounts),
      lensExample,
      20,
      1.8,
    );
    expect(slow.fNumber).toBe(1.4);
    expect(slow.speedHeldBack).toBe(true);
    expect(slow.lightStops).toBeLessThan(
      trainLight(trainOf([partExample], mounts), lensExample, 20, 1.8).lightStops,
    );
  });

  it('changes nothing through a plain adapter', () => {
    const light = trainLight(trainOf([plain], mounts), lensExample, 20, 4);
    expect([light.focalMm, light.fNumber, light.lightStops, light.customaryStops]).toEqual([
      20,
      4,
      0,
      null,
    ]);
  });
});

describe('thin converter', () => {
  it('has the worked example: 44.00 on 18.00, 0.71x, image moved 5 mm', () => {
    const shift = imageShiftMm({ ...partExample, thicknessMm: 21 }, mounts);
    expect(shift).toBeCloseTo(5, 9);
    const thin = converterOfShift(0.71, 5)!;
    expect(thin.frontMm).toBeCloseTo(17.24, 2);
    expect(thin.backMm).toBeCloseTo(12.24, 2);
    expect(thin.focalMm).toBeCloseTo(42.21, 2);
  });

  it('has no answer where factor and shift contradict each other', () => {
    expect(converterOfShift(0.71, -3)).toBeNull();
    expect(converterOfShift(1, 0)).toBeNull();
    expect(imageShiftMm(partExample, new Map())).toBeNull();
  });
});

describe('converter from its focal length', () => {
  it('agrees with the one from its shift', () => {
    for (const [m, F] of [
      [0.71, 90],
      [1.4, -100],
      [2, -60],
    ] as const) {
      // a = F(1 - m)/m before the bare image, b = m a behind it: the image moves by a - b.
      const a = (F * (1 - m)) / m;
      const thin = converterOfShift(m, a - m * a)!;
      expect(thin.focalMm).toBeCloseTo(F, 9);
      expect(thin.backMm).toBeCloseTo(m * a, 9);
    }
  });
});

describe('parts that are neither plain nor converters', () => {
  const tube: Part = {
    ...plain,
    kind: 'extension tube',
    thicknessMm: 20,
    frontMountId: 'slr-44',
    rearMountId: 'slr-44',
  };
  const helicoid: Part = {
    ...plain,
    kind: 'helicoid',
    thicknessMm: 26,
    rearMountId: 'ml-18',
    helicoidMm: 12,
  };
  const front: Part = {
    ...plain,
    kind: 'front converter',
    factor: 0.7,
    transmission: 0.92,
    ownRim: { edgeRadiusMm: 15, softnessMm: 2, fNumber: 4, exitPupilMm: null },
  };

  it('a tube extends by its thickness, a helicoid by what it is run out', () => {
    const out = (part: Part, helicoidMm: number) =>
      carriedOut(trainOf([part], mounts), extensionOf(helicoidMm));
    for (const [part, helicoidMm, mm] of [
      [tube, 0, 20],
      [helicoid, 8, 8],
      [helicoid, 99, 12],
      [plain, 8, 0],
    ] as const)
      expect(out(part, helicoidMm)).toEqual({ lensMm: mm, behindMm: 0, factor: 1, totalMm: mm });
  });

  it('an extension behind a 2x of which nobody knows where it stands counts a quarter for the lens', () => {
    const unplaced = { ...tele, factor: 2, thicknessMm: 0 };
    expect(carriedOut(trainOf([unplaced, tube], mounts), extensionOf(0))).toEqual({
      lensMm: 0,
      behindMm: 5,
      factor: 2,
      totalMm: 20,
    });
  });

  it('behind a 0.71x it is followed through the glass: 10 mm of a 42.2 mm reducer (1/f = 1/u + 1/v by hand)', () => {
    // The glass stands a = F (1 - m)/m before the picture: 17.24 mm. Its own 12.24 mm behind it become 22.24 mm, so that
    // 1/a′ = 1/22.24 - 1/42.21: a′ = 47.01, m′ = 22.24/47.01 = 0.4731.
    const reducer = {
      ...partExample,
      factor: 0.71,
      thicknessMm: 26 - (42.21 * 0.29 ** 2) / 0.71,
    };
    const behind = carriedOut(
      trainOf([reducer, { ...tube, thicknessMm: 10 }], mounts),
      ({ part }) => (part.kind === 'extension tube' ? 10 : 0),
    );
    expect(behind.factor).toBeCloseTo(0.4731, 3);
    expect(behind.behindMm).toBeCloseTo(47.01 - 17.24, 1);
    // A tube before it carries the lens, as without it.
    const before = carriedOut(
      trainOf([{ ...tube, thicknessMm: 10 }, reducer], mounts),
      ({ part }) => (part.kind === 'extension tube' ? 10 : 0),
    );
    expect(before).toEqual({ lensMm: 10, behindMm: 0, factor: 0.71, totalMm: 10 });
  });

  it('a front converter changes the focal length, not the f-number, and cuts with a rim of its own', () => {
    const light = trainLight(trainOf([front], mounts), lensExample, 20, 4);
    expect([light.focalMm, light.fNumber]).toEqual([14, 4]);
    expect(light.lightStops).toBeCloseTo(Math.log2(0.92), 9);
    expect(haloBehind(trainOf([front, tele], mounts), halo, 4).rims[1]).toEqual({
      side: 'front',
      edgeRadiusMm: 21,
      softnessMm: 2.8,
    });
  });

  it('shift adds up', () => {
    expect(shiftRangeMm([{ ...plain, shiftMm: 12 }, plain])).toBe(12);
  });
});

describe('halo behind the train', () => {
  it('scales edge, softness and offset by the factor', () => {
    const behind = haloBehind(trainOf([tele], mounts), halo, 2);
    expect(behind.rims[0]).toEqual({ side: 'front', edgeRadiusMm: 28, softnessMm: 5.6 });
    expect(behind.centre).toEqual({ xMm: 1.4, yMm: -0.7 });
    expect(behind.coneTangent).toBeCloseTo(0.25 / 1.4, 12);
  });

  it("joins a part's own rim on the rear side at the f-number behind it", () => {
    const ownRim = { ...partExample.ownRim!, exitPupilMm: null };
    const behind = haloBehind(trainOf([{ ...partExample, ownRim }], mounts), halo, 2);
    const own = behind.rims[1]!;
    expect(own.side).toBe('rear');
    expect(own.edgeRadiusMm).toBe(18.6);
    expect(own.softnessMm).toBeCloseTo((2.4 * 2) / 1.42, 9);
  });

  it('sees it past each lens’s exit pupil where it is told past which one it was seen', () => {
    const { rims, exitPupilMm } = haloBehind(trainOf([partExample], mounts), halo, 2);
    // w = z/(2 N (1 - z/L)) at f/2, L 58: z = 9.6/(1 + 9.6/58) = 8.237; h = 18.6 (1 - z/58) = 15.958.
    const past = 1 - 8.237 / exitPupilMm!;
    expect(rims[1]!.edgeRadiusMm).toBeCloseTo(15.958 / past, 2);
    expect(rims[1]!.softnessMm).toBeCloseTo(8.237 / (2 * 1.42 * past), 2);
    // The same lens sees what it saw.
    const ownRim = { ...partExample.ownRim!, exitPupilMm };
    const same = haloBehind(trainOf([{ ...partExample, ownRim }], mounts), halo, 2).rims[1]!;
    expect(same.edgeRadiusMm).toBeCloseTo(18.6, 9);
  });

  it('knows a rim told with its pupil best, one without less, one nobody measured least', () => {
    const known = (part: Part) => rimsKnown(part, mounts)[0];
    const untold = { ...partExample.ownRim!, exitPupilMm: null };
    expect(known(partExample)).toEqual({ how: 'measured', sigma: 0.02 });
    expect(known({ ...partExample, ownRim: untold })).toEqual({
      how: 'pupil unknown',
      sigma: 0.06,
    });
    expect(known({ ...partExample, ownRim: null })).toEqual({ how: 'assumed', sigma: 0.1 });
    expect(
      known({ ...partExample, kind: 'plain adapter', factor: 1, ownRim: null }),
    ).toBeUndefined();
  });

  it('images the exit pupil through the converter as the lens equation says', () => {
    const { exitPupilMm } = haloBehind(trainOf([partExample], mounts), halo, 2);
    const s = 66 - 17.2414;
    const behindPart = 1 / (1 / 42.2116 - 1 / s);
    expect(exitPupilMm).toBeCloseTo(12.2414 - behindPart, 1);
  });

  it('keeps the pupil where registers are unknown', () => {
    expect(haloBehind(trainOf([partExample], new Map()), halo, 2).exitPupilMm).toBe(66);
  });

  it('leaves the halo alone without parts', () => {
    expect(haloBehind(trainOf([], mounts), halo, 2)).toBe(halo);
  });
});

describe('a rim nobody measured', () => {
  const throat = new Map(
    [...MOUNTS].map(([id, mount]) => [id, { ...mount, throatMm: 54 }] as const),
  );
  const twice = partOf('teleconverter', { factor: 2, rearMountId: 'slr' });

  it('is taken from the throat: a × 2 through 54 mm throws no ⌀ 111 mm', () => {
    const edge = assumedEdgeMm(twice, throat, 120)!;
    // Hole 22.7 mm at 44 mm, past a pupil at 120 mm: 22.68/(1 - 44/120) = 35.8 mm.
    expect(edge).toBeCloseTo((0.42 * 54) / (1 - 44 / 120), 9);
    const halo = plainRig({ lens: {}, parts: [twice] });
    const { model, evidence } = evaluate({ ...halo, mounts: throat }).halo;
    expect(Math.min(...model.rims.map((r) => r.edgeRadiusMm))).toBeLessThan(40);
    expect(evidence.doubts.join()).toMatch(/rim of teleconverter was never measured/);
    expect(evidence.edgeSigmaMm).toBeGreaterThan(2);
  });

  it('or from the format it was made for, where that is narrower', () => {
    const small = { ...twice, designFormat: { widthMm: 23.5, heightMm: 15.6 } };
    expect(assumedEdgeMm(small, throat, 120)).toBeCloseTo((1.12 * 28.2066) / 2, 3);
    expect(assumedEdgeMm(small, MOUNTS, 120)).toBeCloseTo((1.12 * 28.2066) / 2, 3);
  });

  it('is not made up where it was measured, where nothing is known, or without glass', () => {
    const ownRim = { edgeRadiusMm: 30, softnessMm: 2, fNumber: 4, exitPupilMm: null };
    expect(assumedEdgeMm({ ...twice, ownRim }, throat, 120)).toBeNull();
    expect(assumedEdgeMm(twice, MOUNTS, 120)).toBeNull();
    expect(assumedEdgeMm(partOf('plain adapter'), throat, 120)).toBeNull();
  });
});
