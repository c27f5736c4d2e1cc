/** The face of this folder: what others may use of it. */
export { apertureInUse, type Spot, sweepAnswer, type SweepAnswer } from './answer';
export {
  apertureSteps,
  askedOf,
  AXIS_WORDS,
  commonSteps,
  focalSteps,
  stepsOf,
  SWEEP_AXES,
  type SweepAxis,
  type SweepStep,
  trainWords,
} from './axes';
export {
  type CoverageCurve,
  coverageCurve,
  type CurveAxis,
  type CurveMark,
  type NeededCircle,
} from './curve';
export { sweep, type SweepCell } from './sweep';
export {
  aperturesClearAt,
  focal,
  gapWords,
  primeWords,
  tossWords,
  spanWords,
  spareWords,
  spotWords,
  sweepHeadline,
  whereClear,
} from './words';
export { gapsOf, zoomPlaces, type ZoomWindows } from './zoomWindows';
