/** The face of this folder: what others may use of it. */
export {
  apertureSeries,
  apertureValue,
  isAsOpenAs,
  MARK_SLACK,
  marksBetween,
  engravedAs,
  engravedWords,
  nearestMarked,
  printedNames,
  printsAs,
} from './apertures';
export { blurDiscMm } from './blur';
export { extendedMagnification, pupilScale, workingFNumber } from './closeUp';
export { converterOfShift, shiftOfConverterMm, type ThinConverter } from './converter';
export { CROP_BASES, type CropBasis, cropFactor, equivalents, type Equivalents } from './crop';
export {
  CIRCLE_RULES,
  circleOfConfusionMm,
  type CircleRule,
  depthAbout,
  type DepthBasis,
  depthOfField,
  type DepthOfField,
  depthFromSensor,
  depthOnThreeBases,
  subjectFromSensorM,
  type InFocus,
  type Placed,
  hyperfocalM,
  type Subject,
} from './depth';
export {
  type Detail,
  diffractionHalf,
  glassSharpness,
  nyquist,
  pixelPitchMm,
  RESOLUTION_CLASSES,
  systemResolution,
  VISIBLE_DIFFERENCE,
} from './detail';
export {
  countedFrom,
  diagonalMm,
  farthestCornerMm,
  FORMATS,
  formatWords,
  type FrameSize,
  FULL_FRAME,
  isOffMiddle,
  type NamedFormat,
  type Offset,
  parseFrame,
} from './formats';
export {
  canBePlain,
  farthestFocusM,
  plainThicknessMm,
  plateMarginalExtraMm,
  plateShiftMm,
} from './register';
export { ELECTRONIC_SHUTTER, handHeldSeconds, nearestMenuFocalMm, sharpShare } from './steady';
export {
  customaryStops,
  customaryStopsTogether,
  customDisagrees,
  glassLossStops,
  isoFactor,
  lightStopsOfFactor,
  stopsBetweenFNumbers,
  tStop,
} from './stops';
export {
  angleOfView,
  type Angles,
  anglesOfView,
  desqueezed,
  distanceInFocals,
  focusMagnification,
  SAME_VIEW,
  PERSON_HALF_M,
} from './view';
