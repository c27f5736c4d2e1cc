/** The frames of a rig, and how far they move over the halo; the lens has no part in them but its squeeze. */
import {
  NO_TRAVEL,
  type Travel,
  cropInForce,
  deliveredFrame,
  isMoving,
  linearCropOf,
  recordedFrame,
  type DeliveredFrame,
  type RecordedFrame,
} from '../frame';
import type { SensorTravel } from '../kit/records';
import type { Rig } from './rig';

/**
 * How far the frame may move over the halo as the rig is set: with the sensor, and with the window of
 * electronic stabilisation within what its crop leaves.
 */
export const travelOf = ({ settings, body, mode }: Rig): Travel =>
  travelFor(body, mode, settings.stabiliser, settings.cropId);

/** The travel a body records: in a disc, or in a box. */
const sensorTravelOf = ({ shape, xMm, yMm }: SensorTravel): Travel =>
  shape === 'disc' ? { ...NO_TRAVEL, discMm: xMm } : { xMm, yMm, discMm: 0 };

/** The same for a body and a mode, with the sensor stabiliser on or off and a stabilisation crop or none. */
export function travelFor(
  body: Rig['body'],
  mode: Rig['mode'],
  isStabilised: boolean,
  cropId: string | null,
): Travel {
  const sensor = isStabilised && body.sensorTravel ? sensorTravelOf(body.sensorTravel) : NO_TRAVEL;
  const crop = cropId === null ? undefined : mode.crops.find((c) => c.id === cropId);
  if (!crop) return sensor;
  // The window moves within the read-out, and the read-out with the sensor.
  const slack = (1 - 1 / cropInForce(crop)) / 2;
  return {
    xMm: mode.widthMm * slack + sensor.xMm,
    yMm: mode.heightMm * slack + sensor.yMm,
    discMm: sensor.discMm,
  };
}

/** What moves the frame, at its end, as people call it: "the stabiliser at its end"; null where nothing moves. */
export function atEndWords({ body, mode, settings }: Rig): string | null {
  const moves = (stabiliser: boolean, cropId: string | null) =>
    isMoving(travelFor(body, mode, stabiliser, cropId));
  const sensor = moves(settings.stabiliser, null);
  const window = moves(false, settings.cropId);
  if (sensor && window) return 'both stabilisers at their ends';
  if (window) return 'electronic stabilisation at its end';
  return sensor ? 'the stabiliser at its end' : null;
}

/** The frame a rig delivers. */
export function deliveredOf({
  mode,
  lens,
  settings,
}: Pick<Rig, 'mode' | 'lens' | 'settings'>): DeliveredFrame {
  const { aspect, digitalZoom, cropId, postScale } = settings;
  return deliveredFrame(mode, { aspect, digitalZoom, cropId, postScale, squeeze: lens.squeeze });
}

/** The picture a rig records: the body's crops in force, neither aspect nor post. */
export const recordedOf = ({ mode, settings }: Pick<Rig, 'mode' | 'settings'>): RecordedFrame =>
  recordedFrame(mode, linearCropOf(mode, settings.cropId, settings.digitalZoom));
