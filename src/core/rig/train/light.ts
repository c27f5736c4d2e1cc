/** What a train does to focal length, f-number and light. */
import { transmissionOf, type Lens } from '../../kit/records';
import { stopsBetweenFNumbers, tStop } from '../../optics';
import type { Train } from './train';

export interface TrainLight {
  /** Product of the factors of all parts. */
  factor: number;
  focalMm: number;
  /** f-number behind the train, not faster than its slowest part passes. */
  fNumber: number;
  /** True where a part could not pass the lens's own speed. */
  speedHeldBack: boolean;
  /** T-stop behind the train; null where the lens's is unknown. */
  tStop: number | null;
  /** Light gained (+) or lost (-) against the bare lens, stops, known glass losses included. */
  lightStops: number;
  /** Stops lost in the parts' glass; null where a glass part's transmission is unknown. */
  glassLossStops: number | null;
  /** What people commonly say of the factors, stops; null where there is no custom. */
  customaryStops: number | null;
}

/** f-number the lens itself works at in front of the train: N = N′/M. */
export const lensFNumberOf = ({ fNumber, factor }: TrainLight): number => fNumber / factor;

/** f-number behind the train for a lens at `lensFNumber`, not faster than its slowest part passes. */
export const fNumberBehind = ({ factor, fastestFNumber }: Train, lensFNumber: number): number =>
  Math.max(lensFNumber * factor, fastestFNumber);

/** A loss below this, stops, is rounding: the part holds nothing back. */
const NOTHING_HELD = 1e-9;

/**
 * f' = M f, N' = M N, light change = -2 log2 M less glass losses, T' = N'/sqrt(all transmissions). A front
 * (afocal) converter multiplies the focal length alone.
 * A part's fastest output f-number holds N' back, and the light with it.
 */
export function trainLight(
  train: Train,
  lens: Lens,
  focalMm: number,
  lensFNumber: number,
): TrainLight {
  const { factor, glassLossStops: loss } = train;
  const fNumber = fNumberBehind(train, lensFNumber);
  const unheld = lensFNumber * factor;
  const heldStops = fNumber > unheld ? stopsBetweenFNumbers(fNumber, unheld) : 0;
  const lensTransmission = transmissionOf(lens);
  return {
    factor,
    focalMm: focalMm * factor * train.frontFactor,
    fNumber,
    speedHeldBack: heldStops > NOTHING_HELD,
    tStop:
      lensTransmission === null || loss === null
        ? null
        : tStop(fNumber, lensTransmission * 2 ** loss),
    lightStops: train.factorStops - heldStops + (loss ?? 0),
    glassLossStops: loss,
    customaryStops: train.customaryStops,
  };
}
