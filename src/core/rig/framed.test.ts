/** How far a frame may move, of rigs that move it twice. */
import { describe, expect, it } from 'vitest';
import { plainRig } from '../../../tests/support/plainRig';
import { modeOf } from '../kit/records';
import { deliveredOf, recordedOf, travelFor, travelOf } from './framed';
import { situationOf } from './situation';
import { turned } from './rig';
import { worstCornerRadius } from '../frame';

const rig = plainRig();
const body = { ...rig.body, sensorTravel: { shape: 'box' as const, xMm: 1.4, yMm: 0.9 } };

describe('travel', () => {
  it('is that of the sensor where the stabiliser is on, and none where it is off', () => {
    expect(travelFor(body, rig.mode, true, null)).toEqual({ xMm: 1.4, yMm: 0.9, discMm: 0 });
    expect(travelFor(body, rig.mode, false, null)).toMatchObject({ xMm: 0, yMm: 0 });
    expect(travelFor({ ...body, sensorTravel: null }, rig.mode, true, null).xMm).toBe(0);
  });

  it('inside an electronic crop is the room its window has, and the sensor’s besides', () => {
    // 36 x 24 cropped 1.1: (36 - 32.727)/2 = 1.636 and (24 - 21.818)/2 = 1.091.
    const window = travelFor(body, rig.mode, false, 'active');
    expect(window.xMm).toBeCloseTo(1.6364, 4);
    expect(window.yMm).toBeCloseTo(1.0909, 4);
    const both = travelFor(body, rig.mode, true, 'active');
    expect(both.xMm).toBeCloseTo(1.6364 + 1.4, 4);
    expect(both.yMm).toBeCloseTo(1.0909 + 0.9, 4);
  });

  it('of a disc inside an electronic crop ends no farther out than the read-out’s corner and the disc', () => {
    // 36 x 20.25, travel 1.7, crop 1.1: the read-out's corner lies at 20.65, the worst place at 22.35, not 22.98.
    const round = { ...rig.body, sensorTravel: { shape: 'disc' as const, xMm: 1.7, yMm: 0 } };
    const mode = modeOf({ ...rig.mode, heightMm: 20.25 });
    const set = turned({ ...rig, body: round, mode }, { cropId: 'active', stabiliser: true });
    expect(worstCornerRadius(deliveredOf(set), { xMm: 0, yMm: 0 }, travelOf(set))).toBeCloseTo(
      Math.hypot(18, 10.125) + 1.7,
      9,
    );
  });

  it('goes by the crop that was measured, where one was', () => {
    const [crop] = rig.mode.crops;
    const mode = { ...rig.mode, crops: [{ ...crop!, measured: 1.2 }] };
    const set = turned({ ...rig, body, mode }, { cropId: 'active', stabiliser: false });
    expect(travelOf(set).xMm).toBeCloseTo((36 - 30) / 2, 9);
    expect(deliveredOf(set).widthMm).toBeCloseTo(30, 9);
    expect(recordedOf(set).widthMm).toBeCloseTo(30, 9);
  });
});

describe('a read-out off the sensor’s middle', () => {
  const mode = modeOf({ ...rig.mode, widthMm: 20, heightMm: 14, middleXMm: 3, middleYMm: -1.5 });
  const adapter = { ...rig.parts[0]!, shiftMm: 5 };

  it('sees the halo’s centre on the other side', () => {
    expect(situationOf({ ...rig, mode }).halo.centre).toEqual({ xMm: -3, yMm: 1.5 });
  });

  it('is brought under the lens again by a shift, as far as the adapter goes', () => {
    const shifted = (shiftXMm: number) =>
      situationOf(turned({ ...rig, mode, parts: [adapter] }, { shiftXMm, shiftYMm: -1.5 })).halo
        .centre;
    expect(shifted(3)).toEqual({ xMm: 0, yMm: 0 });
    expect(shifted(9).xMm).toBe(2);
    expect(shifted(-9).xMm).toBe(-8);
  });
});
