/** What the train makes of focal length, f-number, light and view. */
import {
  anglesOfView,
  CROP_BASES,
  customDisagrees,
  equivalents,
  isoFactor,
  printsAs,
  type Angles,
  type Equivalents,
  type FrameSize,
} from '../../optics';
import type { Situation } from '../../rig';
import type { TrainLight } from '../train';
import { magnificationOf } from './picture';

export interface OpticsReport {
  /** What the train does to focal length, f-number and light. */
  train: TrainLight;
  /** Product of the factors as the converters work: another than the train's where a tube stands behind one. */
  workingFactor: number;
  /** Working f-number at the focus distance: N'(1 + m/P), of tubes behind a converter 1 + e/L' more. */
  effectiveFNumber: number;
  /** How cameras print the f-number. */
  printsAs: string[];
  /** True where the customary light figure is more than a quarter stop off. */
  customDisagrees: boolean;
  /** Factor on ISO for the same exposure as the bare lens. */
  isoFactor: number;
  /** Factor on exposure time for the same exposure as the bare lens. */
  shutterFactor: number;
  /** Magnification on the sensor at the focus distance. */
  magnification: number;
  /** On the user's basis. */
  equivalents: Equivalents;
  /** On all three bases. */
  equivalentsByBasis: Equivalents[];
  view: Angles;
}

/** `seen` is the delivered frame as it looks, desqueezed. */
export function opticsReport(situation: Situation, seen: FrameSize): OpticsReport {
  const { rig, at, light, delivered, halo, train, carried } = situation;
  const { lens, judgement } = rig;
  const iso = isoFactor(light.lightStops);
  return {
    train: light,
    workingFactor: carried.factor,
    // The cone that falls on the sensor, slower where a part holds it back.
    effectiveFNumber: light.fNumber / (2 * halo.coneTangent * at.setting.fNumber * train.factor),
    printsAs: printsAs(light.fNumber),
    customDisagrees: customDisagrees(
      light.lightStops - (light.glassLossStops ?? 0),
      light.customaryStops,
    ),
    isoFactor: iso,
    shutterFactor: iso,
    magnification: magnificationOf(situation),
    equivalents: equivalents(light.focalMm, light.fNumber, seen, judgement.basis, delivered),
    equivalentsByBasis: CROP_BASES.map((basis) =>
      equivalents(light.focalMm, light.fNumber, seen, basis, delivered),
    ),
    view: anglesOfView(
      delivered,
      (light.focalMm / train.factor) * carried.factor,
      at.magnification,
      lens.squeeze,
    ),
  };
}
