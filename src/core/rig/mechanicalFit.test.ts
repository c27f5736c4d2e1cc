import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { NO_ELECTRONICS, type Body, type Lens, type Part } from '../kit/records';
import { fitOf } from './mechanicalFit';
import type { Rig } from './rig';

const plain = (more: Partial<Part> = {}) => partOf('plain adapter', more);
const reducer = (more: Partial<Part> = {}) =>
  partOf('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 5, ...more });
const withBody = (rig: Rig, more: Partial<Body>): Rig => ({
  ...rig,
  body: { ...rig.body, ...more },
});

const strike = (lens: Partial<Lens>, parts: Part[], body: Partial<Body> = {}) =>
  fitOf(withBody(plainRig({ lens, parts }), body)).strike;

describe('rear glass', () => {
  it('that nobody measured strikes nothing that is known', () => {
    expect(strike({ rearProtrusionMm: null }, [plain()])).toBeNull();
  });

  it('passes an open adapter and meets the body behind it', () => {
    expect(strike({ rearProtrusionMm: 30 }, [plain()])).toEqual({
      partIndex: null,
      against: 'Body',
      standsMm: 4,
      clearMm: 12,
      state: 'clear',
    });
    expect(strike({ rearProtrusionMm: 38.5 }, [plain()])).toMatchObject({
      standsMm: 12.5,
      state: 'strikes',
    });
  });

  it('that ends inside the adapter stands nowhere in the body', () => {
    expect(strike({ rearProtrusionMm: 10 }, [plain()])).toMatchObject({
      standsMm: 0,
      state: 'clear',
    });
  });

  it('meets the glass of a reducer, and says in which place of the train', () => {
    const front = partOf('front converter', { factor: 0.8 });
    expect(strike({ rearProtrusionMm: 6 }, [front, reducer()])).toEqual({
      partIndex: 1,
      against: 'focal reducer',
      standsMm: 6,
      clearMm: 5,
      state: 'strikes',
    });
  });

  it('meets plane glass as it meets any other', () => {
    const plate = { thicknessMm: 2, index: 1.5 };
    expect(strike({ rearProtrusionMm: 3 }, [plain({ plate, clearDepthMm: 2 })])).toMatchObject({
      partIndex: 0,
      state: 'strikes',
    });
  });

  it('meets a baffle only where it stands deep enough to', () => {
    const baffled = plain({ clearDepthMm: 8 });
    expect(strike({ rearProtrusionMm: 9 }, [baffled])).toMatchObject({
      partIndex: 0,
      state: 'strikes',
    });
    expect(strike({ rearProtrusionMm: 8 }, [baffled])).toMatchObject({ partIndex: null });
    expect(strike({ rearProtrusionMm: 40 }, [plain({ clearDepthMm: 26 })])).toMatchObject({
      partIndex: null,
    });
  });

  it('is close with less than a millimetre left, as tolerances add up', () => {
    expect(strike({ rearProtrusionMm: 4 }, [reducer()])?.state).toBe('clear');
    expect(strike({ rearProtrusionMm: 4.01 }, [reducer()])?.state).toBe('close');
    expect(strike({ rearProtrusionMm: 5 }, [reducer()])?.state).toBe('close');
    expect(strike({ rearProtrusionMm: 5.01 }, [reducer()])?.state).toBe('strikes');
    expect(strike({ rearProtrusionMm: 0 }, [reducer({ clearDepthMm: 0.5 })])?.state).toBe('clear');
  });

  it('against a part that does not say its room is not known, unless none stands there', () => {
    expect(strike({ rearProtrusionMm: 1 }, [reducer({ clearDepthMm: null })])?.state).toBe(
      'not known',
    );
    expect(strike({ rearProtrusionMm: 0 }, [reducer({ clearDepthMm: null })])?.state).toBe('clear');
  });

  it('of bay and mirror the nearer counts, and either where the other is not known', () => {
    const clear = (clearDepthMm: number | null, mirrorDepthMm: number | null) =>
      strike({ rearProtrusionMm: 30 }, [plain()], { clearDepthMm, mirrorDepthMm })?.clearMm;
    expect(clear(12, 9)).toBe(9);
    expect(clear(8, 9)).toBe(8);
    expect(clear(null, 9)).toBe(9);
    expect(clear(12, null)).toBe(12);
    expect(clear(null, null)).toBeNull();
  });
});

describe('the register', () => {
  const register = (parts: Part[], helicoidMm = 0) =>
    fitOf(plainRig({ parts, settings: { helicoidMm } })).register;

  it('is met by a plain adapter of the right thickness', () => {
    expect(register([plain()])).toEqual({
      errorMm: 0,
      longMm: 0,
      reachesInfinity: true,
      farthestFocusM: null,
    });
  });

  it('0.1 mm too long focuses a 50 mm lens to 25.10 m and no farther (f + f²/δ, the sensor f + δ behind it)', () => {
    const { errorMm, reachesInfinity, farthestFocusM } = register([plain({ thicknessMm: 26.1 })]);
    expect(errorMm).toBeCloseTo(0.1, 9);
    expect(reachesInfinity).toBe(false);
    expect(farthestFocusM).toBeCloseTo(25.05 + 0.0501, 6);
  });

  it('too long behind a converter counts by the square of its factor: 50.4 m behind 0.71x, 400 m behind 2x', () => {
    // 100 mm, 0.1 mm too long: for the lens 0.1/0.71² = 0.198 and 0.1/4 mm (1/f = 1/u + 1/v by hand).
    const long = plain({ frontMountId: 'ml', rearMountId: 'ml', thicknessMm: 0.1 });
    const farthest = (factor: number, thicknessMm: number, at: 'before' | 'behind') => {
      const converter = partOf(factor < 1 ? 'focal reducer' : 'teleconverter', {
        factor,
        thicknessMm,
      });
      const before = plain({ rearMountId: 'slr', thicknessMm: 0.1 });
      const parts = at === 'behind' ? [converter, long] : [before, converter];
      const { register: fit } = fitOf(
        plainRig({ lens: { focalMinMm: 100, focalMaxMm: 100 }, parts, settings: { focalMm: 100 } }),
      );
      expect(fit.errorMm).toBeCloseTo(0.1, 9);
      return fit.farthestFocusM!;
    };
    expect(farthest(0.71, 21, 'behind')).toBeGreaterThan(50.2);
    expect(farthest(0.71, 21, 'behind')).toBeLessThan(50.7);
    expect(farthest(2, 65, 'behind')).toBeGreaterThan(399);
    expect(farthest(2, 65, 'behind')).toBeLessThan(402);
    // Before the glass it counts as it is.
    for (const [factor, thick] of [
      [0.71, 21],
      [2, 65],
    ] as const)
      expect(farthest(factor, thick, 'before')).toBeCloseTo(100.25, 0);
  });

  it('two hundredths are shimmed away, and too short reaches infinity before the stop', () => {
    expect(register([plain({ thicknessMm: 26.019 })]).reachesInfinity).toBe(true);
    expect(register([plain({ thicknessMm: 26.03 })]).reachesInfinity).toBe(false);
    expect(register([plain({ thicknessMm: 25 })])).toMatchObject({
      errorMm: -1,
      reachesInfinity: true,
      farthestFocusM: null,
    });
  });

  it('converters are taken to be made for their mounts, and front ones to change nothing', () => {
    expect(register([partOf('front converter', { thicknessMm: 40 }), reducer()]).errorMm).toBe(0);
  });

  it('plane glass carries the image back: its adapter is that much thicker', () => {
    const plate = { thicknessMm: 2, index: 1.5 };
    // 2 mm of n 1.5 move the focus back by 2(1 - 1/1.5) = 0.667 mm.
    expect(register([plain({ plate, thicknessMm: 26 + 2 / 3 })]).errorMm).toBeCloseTo(0, 9);
    expect(register([plain({ plate })]).errorMm).toBeCloseTo(-2 / 3, 9);
  });

  it('a tube and a helicoid run out carry infinity away, and are no error of the register', () => {
    const tube = partOf('extension tube', { rearMountId: 'slr', thicknessMm: 12 });
    expect(register([tube, plain()])).toMatchObject({
      errorMm: 0,
      longMm: 12,
      reachesInfinity: false,
    });
    const helicoid = partOf('helicoid', { helicoidMm: 10 });
    expect(register([helicoid], 0)).toMatchObject({ longMm: 0, reachesInfinity: true });
    expect(register([helicoid], 4)).toMatchObject({ longMm: 4, reachesInfinity: false });
  });

  it('says nothing where a mount is not known', () => {
    expect(register([plain({ frontMountId: 'unheard of' })])).toEqual({
      errorMm: null,
      longMm: null,
      reachesInfinity: null,
      farthestFocusM: null,
    });
  });
});

describe('the contacts', () => {
  const all = { focus: true, aperture: true, metadata: true, stabiliser: true };

  it.each(['focus', 'aperture', 'metadata', 'stabiliser'] as const)(
    'carry %s only where every part does, and say which one does not',
    (k) => {
      const cut = plain({ name: 'cut', electronics: { ...all, [k]: false } });
      const { carried, lostAt } = fitOf(plainRig({ parts: [reducer(), cut] }));
      expect(carried).toEqual({ ...all, [k]: false });
      expect(lostAt).toEqual(['cut']);
    },
  );

  it('a part that carries nothing loses nothing a lens without contacts has', () => {
    const dead = plain({ electronics: NO_ELECTRONICS });
    const fit = fitOf(plainRig({ lens: { electronics: NO_ELECTRONICS }, parts: [dead] }));
    expect(fit.lostAt).toEqual([]);
    expect(fit.carried).toEqual(NO_ELECTRONICS);
  });

  it('a front converter stands before them', () => {
    const front = partOf('front converter', { electronics: NO_ELECTRONICS });
    const fit = fitOf(plainRig({ parts: [front, plain()] }));
    expect(fit.carried).toEqual(all);
    expect(fit.lostAt).toEqual([]);
  });
});

describe('the joints', () => {
  it('are told by place, with what each side has and takes', () => {
    const wrong = plain({ name: 'wrong', rearMountId: 'slr' });
    expect(fitOf(plainRig({ parts: [wrong] })).joints).toEqual([
      {
        index: 1,
        hasMountId: 'slr',
        takesMountId: 'ml',
        isByTab: false,
        sentence: 'wrong has mount 44; Body takes mount 18.',
      },
    ]);
    const bare = fitOf(plainRig({ parts: [partOf('front converter', { rearMountId: 'x' })] }));
    expect(bare.joints.map((j) => j.index)).toEqual([0]);
    expect(fitOf(plainRig()).joints).toEqual([]);
  });
});

describe('the cover glass', () => {
  it('is told where it is known, and not where it is not', () => {
    const rig = plainRig();
    expect(fitOf(rig).coverGlass).toBeNull();
    const coverGlass = { thicknessMm: 2, index: 1.5168 };
    const glass = fitOf(withBody(rig, { coverGlass })).coverGlass!;
    expect(glass.shiftMm).toBeCloseTo(0.68143, 5);
    expect(glass.marginalExtraMm).toBeCloseTo(0.02269, 4);
  });
});
