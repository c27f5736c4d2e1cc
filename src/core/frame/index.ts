/** The face of this folder: what others may use of it. */
export { ASPECTS, namedAspect } from './aspects';
export {
  cornerStopsOf,
  darkestOf,
  coverage,
  type Coverage,
  isSurelyClear,
  bothOf,
  judge,
  judgeAt,
  keyholeRadiusMm,
  KEYHOLE_SHARE,
  spareStopsAt,
  type Verdict,
  VERDICT_KINDS,
  type VerdictFace,
  type VerdictKind,
  verdictWords,
} from './coverage';
export {
  areaShare,
  circleCoverage,
  type CircleCoverage,
  CORNERS,
  isMoving,
  NO_TRAVEL,
  scaledUp,
  scaleUp,
  type Travel,
  worstCornerRadius,
} from './geometry';
export { isHardEdge, cornerLift, type CornerLift, frameGains } from './lift';
export {
  cleanMegapixels,
  cropInForce,
  deliveredFrame,
  type DeliveredFrame,
  type Pixels,
  fitAspect,
  linearCropOf,
  recordedFrame,
  type RecordedFrame,
} from './pipeline';
export { outlineCoverage, outlineShiftBudget } from './outlined';
export { type Box, verdictPaths } from './verdictPaths';
export { type WorstCorner, worstCornerUnder } from './worstCorner';
export { flickerStops, type ShiftBudget } from './wander';
