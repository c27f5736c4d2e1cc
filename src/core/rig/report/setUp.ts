/** What verdict and report both start from: the halo on the sensor, the frame it must cover, and the verdict alone. */
import { isClearAt, judge, spareStopsAt, type Verdict } from '../../frame/coverage';
import { NO_TRAVEL, scaleUp, worstCornerRadius, type Travel } from '../../frame/geometry';
import {
  cropInForce,
  deliveredFrame,
  linearCropOf,
  recordedFrame,
  type DeliveredFrame,
  type RecordedFrame,
} from '../../frame/pipeline';
import type { Setting } from '../../halo/focus';
import { predictHalo } from '../../halo/predict';
import { acceptedRadius } from '../../halo/radii';
import type { Halo } from '../../halo/rims';
import { limitStops } from '../../kit/records/judgement';
import type { Rig } from '../rig';
import { extensionMm, haloBehind, shiftRangeMm, trainLight, type TrainLight } from '../train';

/**
 * How far the frame may move over the halo as the rig is set: with the sensor, and with the window of
 * electronic stabilisation within what its crop leaves.
 */
export const travelOf = ({ settings, body, mode }: Rig): Travel =>
  travelFor(body, mode, settings.stabiliser, settings.cropId);

/** The same for a body and a mode, with the sensor stabiliser on or off and a stabilisation crop or none. */
export function travelFor(
  body: Rig['body'],
  mode: Rig['mode'],
  isStabilised: boolean,
  cropId: string | null,
): Travel {
  const sensor = isStabilised && body.sensorTravel ? body.sensorTravel : NO_TRAVEL;
  const crop = mode.crops.find((c) => c.id === cropId);
  if (!crop) return sensor;
  const slack = (1 - 1 / cropInForce(crop)) / 2;
  const y = sensor.shape === 'box' ? sensor.yMm : sensor.xMm;
  return {
    shape: 'box',
    xMm: mode.widthMm * slack + sensor.xMm,
    yMm: mode.heightMm * slack + y,
  };
}

/** The frame a rig delivers. */
export const deliveredOf = (rig: Rig): DeliveredFrame =>
  deliveredFrame(rig.mode, {
    aspect: rig.settings.aspect,
    digitalZoom: rig.settings.digitalZoom,
    cropId: rig.settings.cropId,
    postScale: rig.settings.postScale,
    squeeze: rig.lens.squeeze,
  });

/** The picture a rig records: the body's crops in force, neither aspect nor post. */
export const recordedOf = ({ mode, settings }: Pick<Rig, 'mode' | 'settings'>): RecordedFrame =>
  recordedFrame(mode, linearCropOf(mode, settings.cropId, settings.digitalZoom));

export interface Setup {
  /** How the bare lens itself is set. */
  setting: Setting;
  halo: Halo;
  delivered: DeliveredFrame;
  travel: Travel;
}

/** Shift in force, held within what the adapters can do, mm. */
function shiftOf({ parts, settings }: Rig): Halo['centre'] {
  if (settings.shiftXMm === 0 && settings.shiftYMm === 0) return NO_SHIFT;
  const most = shiftRangeMm(parts);
  const held = (v: number) => Math.min(most, Math.max(-most, v));
  return { xMm: held(settings.shiftXMm), yMm: held(settings.shiftYMm) };
}

const NO_SHIFT: Halo['centre'] = { xMm: 0, yMm: 0 };

function moved(halo: Halo, by: Halo['centre']): Halo {
  if (by.xMm === 0 && by.yMm === 0) return halo;
  const { rims, exitPupilMm, coneTangent, centre } = halo;
  return {
    rims,
    exitPupilMm,
    coneTangent,
    centre: { xMm: centre.xMm + by.xMm, yMm: centre.yMm + by.yMm },
  };
}

/** What verdict and report both need: the halo on the sensor and the frame it must cover. */
export function setUp(rig: Rig): Setup {
  const { lens, parts, settings, mounts } = rig;
  // A part that passes no faster than some f-number is a hole on the axis and no diaphragm: rims stay as soft.
  const { focalMm, focusM, fNumber } = settings;
  const setting = {
    focalMm,
    fNumber,
    focusM,
    extensionMm: extensionMm(parts, mounts, settings.helicoidMm),
  };
  const bare = predictHalo(lens, setting);
  return {
    setting,
    halo: moved(haloBehind(parts, bare, fNumber, mounts), shiftOf(rig)),
    delivered: deliveredOf(rig),
    travel: travelOf(rig),
  };
}

/** What the train does to a rig's light as it is set. */
export const lightOf = ({ parts, lens, settings }: Rig): TrainLight =>
  trainLight(parts, lens, settings.focalMm, settings.fNumber);

/** The verdict alone, for ribbons, sweeps and choosing. At least 150,000 a second. */
export function verdictOf(rig: Rig): Verdict {
  const { halo, delivered, travel } = setUp(rig);
  return judge(halo, delivered, travel, limitStops(rig.judgement));
}

/** Least scale-up in post that makes the verdict Clear; null where none does. */
export function scaleUpOf(rig: Rig): number | null {
  const { halo, delivered, travel } = setUp(rig);
  const accepted = acceptedRadius(halo, limitStops(rig.judgement));
  return scaleUp(delivered, halo.centre, accepted, travel);
}

/** Whether the verdict is Clear, for searches that ask nothing else. */
export function isClear(rig: Rig): boolean {
  const { halo, delivered, travel } = setUp(rig);
  return isClearAt(halo, delivered, travel, limitStops(rig.judgement));
}

/** Light to spare at the worst corner before the verdict is no longer Clear, stops; negative where it is not. */
export function spareStopsOf(rig: Rig): number {
  const { halo, delivered, travel } = setUp(rig);
  return spareStopsAt(halo, delivered, travel, limitStops(rig.judgement));
}

/** The radius within which a corner is accepted, and how far the worst one stands from the centre; mm. */
export function reachOf(rig: Rig): { acceptedMm: number; cornerMm: number; halo: Halo } {
  const { halo, delivered, travel } = setUp(rig);
  return {
    acceptedMm: acceptedRadius(halo, limitStops(rig.judgement)),
    cornerMm: worstCornerRadius(delivered, halo.centre, travel),
    halo,
  };
}
