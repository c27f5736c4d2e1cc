/**
 * How a rig stands as it is set: lens, train, mode and settings make the halo on the read-out and the frame it must
 * cover. Worked out once; verdict, report, sweep and choice all start from it.
 */
import { worstCornerUnder, type Travel, type DeliveredFrame } from '../frame';
import { countedFrom, isOffMiddle, type Offset } from '../optics';
import { lensAt, type LensAt, predictHalo, type Halo } from '../halo';
import { readOutMiddle, limitStops } from '../kit/records';
import { clamp } from '../maths';
import { deliveredOf, travelOf } from './framed';
import type { Rig } from './rig';
import {
  carriedOut,
  type CarriedOut,
  extensionOf,
  trainLight,
  type TrainLight,
  haloBehind,
  shiftRangeMm,
  trainOf,
  type Train,
} from './train';

export interface Situation {
  rig: Rig;
  train: Train;
  /** How far tubes and helicoids carry lens and picture out. */
  carried: CarriedOut;
  /** The bare lens as it is set. */
  at: LensAt;
  /** What the train does to its focal length, f-number and light. */
  light: TrainLight;
  /** As it falls on the read-out, told along the way to the worst corner; its centre counts from the middle of that. */
  halo: Halo;
  delivered: DeliveredFrame;
  /** How far the frame may move over the halo. */
  travel: Travel;
  /** How dark a corner its judgement accepts, stops. */
  limitStops: number;
}

/** The halo of a lens behind a train, about the lens's own axis. */
// A part that passes no faster than some f-number is a hole on the axis and no diaphragm: rims stay as soft.
export const haloThrough = (at: LensAt, train: Train, helicoidMm = 0): Halo =>
  haloBehind(train, predictHalo(at), at.setting.fNumber, helicoidMm);

/** A halo with its centre counted from a place `from` the place it was counted from, mm. */
export function seenFrom(halo: Halo, from: Offset): Halo {
  if (!isOffMiddle(from)) return halo;
  const { rims, exitPupilMm, coneTangent, centre } = halo;
  return {
    rims,
    exitPupilMm,
    coneTangent,
    centre: countedFrom(centre, from),
  };
}

/** Where the middle of the read-out lies from the lens's axis, mm: off the sensor's middle, and shifted. */
export function readOutFromAxis({ mode, settings, parts }: Rig): Offset {
  const most = shiftRangeMm(parts);
  const { xMm, yMm } = readOutMiddle(mode);
  return {
    xMm: xMm - clamp(settings.shiftXMm, -most, most),
    yMm: yMm - clamp(settings.shiftYMm, -most, most),
  };
}

/** How a rig stands as it is set. */
export function situationOf(rig: Rig): Situation {
  const { lens, settings } = rig;
  const { focalMm, fNumber, focusM, helicoidMm } = settings;
  const train = trainOf(rig.parts, rig.mounts);
  const carried = carriedOut(train, extensionOf(helicoidMm));
  const { lensMm: extensionMm, behindMm } = carried;
  const at = lensAt(lens, { focalMm, fNumber, focusM, extensionMm, behindMm });
  const delivered = deliveredOf(rig);
  const travel = travelOf(rig);
  const halo = seenFrom(haloThrough(at, train, helicoidMm), readOutFromAxis(rig));
  return {
    rig,
    train,
    carried,
    at,
    light: trainLight(train, lens, focalMm, fNumber),
    halo: worstCornerUnder(halo, delivered, travel).halo,
    delivered,
    travel,
    limitStops: limitStops(rig.judgement),
  };
}
