/** The face of this folder: what others may use of it. */
export { apertureControl, type ApertureControl } from './aperture';
export { carriedOut, type CarriedOut, extensionOf, wayFromSensorMm } from './extension';
export { fNumberBehind, lensFNumberOf, trainLight, type TrainLight } from './light';
export {
  haloBehind,
  isMadeForLens,
  isRimUnknown,
  opensInRectangle,
  placeDoubt,
  rimsKnown,
} from './rims';
export {
  convertersShiftMm,
  frontFactor,
  type Link,
  shiftRangeMm,
  type Train,
  trainFactor,
  trainOf,
} from './train';
