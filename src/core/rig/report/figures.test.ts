import { describe, expect, it } from 'vitest';
import { partOf, plainLens, plainRig } from '../../../../tests/support/plainRig';
import { type Rig, deliveredOf, situationOf } from '../../rig';
import { isClear, verdictOf } from '../judged';
import { evaluate } from './evaluate';

const reducer = partOf('focal reducer', { factor: 0.71, thicknessMm: 20, transmission: 0.9 });

describe('what a rig has become', () => {
  it('nothing but itself through a plain adapter', () => {
    const { optics } = evaluate(plainRig());
    expect(optics.train).toMatchObject({
      factor: 1,
      focalMm: 50,
      fNumber: 2,
      lightStops: 0,
      tStop: 2,
    });
    expect(optics).toMatchObject({
      effectiveFNumber: 2,
      printsAs: ['f/2'],
      customDisagrees: false,
      isoFactor: 1,
      shutterFactor: 1,
      magnification: 0,
    });
    expect(optics.view.horizontal).toBeCloseTo(39.598, 3);
    expect(optics.equivalents).toMatchObject({ basis: 'diagonal', focalMm: 50, fNumber: 2 });
  });

  it('35.5 mm f/1.42 behind a 0.71x whose glass passes 0.9: +0.99 stop less 0.15', () => {
    const { optics } = evaluate(plainRig({ parts: [reducer] }));
    expect(optics.train.focalMm).toBeCloseTo(35.5, 9);
    expect(optics.train.fNumber).toBeCloseTo(1.42, 9);
    expect(optics.train.lightStops).toBeCloseTo(0.9882 - 0.152, 4);
    expect(optics.isoFactor).toBeCloseTo(2 ** -(0.9882 - 0.152), 4);
    expect(optics.train.tStop).toBeCloseTo(1.42 / Math.sqrt(0.9), 6);
    expect(optics.customDisagrees).toBe(false);
    expect(optics.printsAs).toEqual(['f/1.4']);
  });

  it('custom is weighed against the factor alone, not the glass: a dim 1.4x still costs "one stop"', () => {
    const dim = partOf('teleconverter', { factor: 1.4, thicknessMm: 40, transmission: 0.7 });
    expect(evaluate(plainRig({ parts: [dim] })).optics.customDisagrees).toBe(false);
    const expander = partOf('expander', { factor: 1.6, thicknessMm: 40 });
    expect(evaluate(plainRig({ parts: [expander] })).optics.customDisagrees).toBe(true);
  });

  it('close up the working f-number is N(1 + m/P) and the view narrows by 1 + m', () => {
    const near = evaluate(
      plainRig({ lens: { pupilMagnification: 0.5 }, settings: { focusM: 0.605 } }),
    );
    expect(near.optics.magnification).toBeCloseTo(0.1, 9);
    expect(near.optics.effectiveFNumber).toBeCloseTo(2 * (1 + 0.1 / 0.5), 9);
    expect(near.optics.view.horizontal).toBeCloseTo((2 * Math.atan(18 / 55) * 180) / Math.PI, 9);
  });

  it('equivalents follow the basis that was chosen, and all three stand beside', () => {
    const rig = plainRig({ settings: { aspect: 1 } });
    const by = (basis: 'diagonal' | 'width' | 'height') =>
      evaluate({ ...rig, judgement: { ...rig.judgement, basis } }).optics;
    expect(by('diagonal').equivalents.cropFactor).toBeCloseTo(43.2666 / 33.9411, 4);
    expect(by('width').equivalents.cropFactor).toBeCloseTo(1.5, 9);
    expect(by('height').equivalents.cropFactor).toBeCloseTo(1, 9);
    expect(by('width').equivalentsByBasis.map((e) => e.basis)).toEqual([
      'diagonal',
      'width',
      'height',
    ]);
  });
});

describe('the halo on the sensor', () => {
  it('is scaled by the train, with its centre, its definition and how unsure it is', () => {
    const [sample] = plainLens().halo;
    const lens = { definitionRadiusMm: 20, halo: [{ ...sample!, centreXMm: 1, centreYMm: -2 }] };
    const { halo } = evaluate(plainRig({ lens, parts: [reducer] }));
    expect(halo.model.rims[0]).toMatchObject({ edgeRadiusMm: 30 * 0.71, softnessMm: 3 * 0.71 });
    expect(halo.model.centre.xMm).toBeCloseTo(0.71, 9);
    expect(halo.model.centre.yMm).toBeCloseTo(-1.42, 9);
    expect(halo.definitionRadiusMm).toBeCloseTo(14.2, 9);
    expect(halo.evidence.edgeSigmaMm).toBeCloseTo(0.071, 9);
    expect(evaluate(plainRig()).halo.definitionRadiusMm).toBeNull();
  });

  it('a speed a part does not pass is a hole on the axis: the rims stay as soft as the lens is set', () => {
    const slow = { ...reducer, fastestFNumber: 2.84 };
    const { optics, halo } = evaluate(plainRig({ parts: [slow] }));
    expect(optics.train.fNumber).toBe(2.84);
    // The lens stands at f/2, whatever the reducer lets through.
    expect(halo.model.rims[0]?.softnessMm).toBeCloseTo(3 * 0.71, 9);
  });

  it('a shift is held within what the adapters can do, both ways', () => {
    const shifting = partOf('shift adapter', { shiftMm: 8 });
    const centre = (shiftXMm: number, shiftYMm: number) =>
      evaluate(plainRig({ parts: [shifting], settings: { shiftXMm, shiftYMm } })).halo.model.centre;
    expect(centre(3, -5)).toEqual({ xMm: 3, yMm: -5 });
    expect(centre(30, -30)).toEqual({ xMm: 8, yMm: -8 });
    expect(evaluate(plainRig({ settings: { shiftXMm: 5 } })).halo.model.centre.xMm).toBe(0);
  });
});

describe('the frame a rig delivers', () => {
  it('is the read-out less stabilisation crop, digital zoom and scale-up, in the delivered aspect', () => {
    const frame = deliveredOf(
      plainRig({ settings: { cropId: 'active', digitalZoom: 1.5, postScale: 2, aspect: 2 } }),
    );
    expect(frame.linearCrop).toBeCloseTo(1.1 * 1.5 * 2, 9);
    expect(frame.widthMm).toBeCloseTo(36 / 3.3, 9);
    expect(frame.heightMm).toBeCloseTo(18 / 3.3, 9);
    // The crop of 1.65 in the body leaves 6000 / 1.65 for the file's 3000; scale-up in post cuts those.
    expect(frame.readPx.across).toBeCloseTo(6000 / 3.3, 9);
    expect(frame.recordedPx.across).toBeCloseTo(3000 / 2, 9);
    expect(frame.oversampling).toBeNull();
  });

  it('is narrowed by the squeeze of an anamorphic lens', () => {
    const frame = deliveredOf(plainRig({ lens: { squeeze: 2 }, settings: { aspect: 2.4 } }));
    expect(frame.widthMm / frame.heightMm).toBeCloseTo(1.2, 9);
  });

  it('stands against the travel only while the stabiliser is on and there is one', () => {
    const worst = (rig: Rig) => evaluate(rig).coverage.worstCornerRadiusMm;
    const corner = Math.hypot(18, 12);
    expect(worst(plainRig())).toBeCloseTo(corner, 9);
    expect(worst(plainRig({ settings: { stabiliser: true } }))).toBeCloseTo(corner + 1, 9);
    const still = plainRig({ settings: { stabiliser: true } });
    expect(worst({ ...still, body: { ...still.body, sensorTravel: null } })).toBeCloseTo(corner, 9);
  });
});

describe('margins and verdicts', () => {
  it('each margin is its radius less the worst corner', () => {
    const { coverage } = evaluate(plainRig({ settings: { stabiliser: true } }));
    for (const key of ['clear', 'half', 'black', 'minus1', 'minus2'] as const)
      expect(coverage.marginMm[key]).toBeCloseTo(
        coverage.radiiMm[key] - coverage.worstCornerRadiusMm,
        9,
      );
    expect(coverage.areaShare).toBe(1);
    expect(coverage.scaleUp).toBe(1);
  });

  it('the quick verdict, the quick question and the report agree, whatever is turned', () => {
    const [sample] = plainLens().halo;
    for (const edge of [12, 18, 20, 21.6, 22.5, 25])
      for (const soft of [0.2, 3, 12])
        for (const stabiliser of [true, false]) {
          const halo = [
            { ...sample!, front: { edgeRadiusMm: edge, softnessMm: Math.min(soft, edge) } },
          ];
          const rig = plainRig({ lens: { halo }, settings: { stabiliser } });
          const { verdict } = evaluate(rig);
          expect(verdictOf(rig).kind).toBe(verdict.kind);
          expect(isClear(rig)).toBe(verdict.kind === 'Clear');
          expect(verdict.limitStops).toBe(2);
          expect(situationOf(rig).halo.rims[0]?.edgeRadiusMm).toBe(edge);
        }
  });

  it('the worst corner is measured against lenses native to its format at the lens’s own aperture', () => {
    const { native } = evaluate(plainRig({ settings: { fNumber: 8 } }));
    expect(native.kind).toBe('primes of 36 to 70 mm');
    expect(native.betterQuarter).toBeCloseTo(0.4, 9);
    expect(native.worseQuarter).toBeCloseTo(0.7, 9);
    const open = evaluate(plainRig()).native;
    expect([open.betterQuarter, open.worseQuarter]).toEqual([1.8, 2.2]);
  });
});
