/** The face of this folder: what others may use of it. */
export { clamp } from './clamp';
export { crc32 } from './crc32';
export { grouped } from './grouped';
export { joined } from './joined';
export { keptFor, keptIn } from './kept';
export {
  emptySums,
  minimise,
  type Minimum,
  type Problem,
  solveNormal,
  type Sums,
} from './leastSquares';
export { medianOf } from './median';
export { type Curve, pchip } from './monotone';
export { HERMITE_3, longTailedShare, NINETY_SIGMAS, normalShare } from './normal';
export { normalDeviates, type Random, randomOf } from './random';
export { towards } from './rounding';
export { whereBeginning, whereFalling } from './rootFinding';
export {
  gapsBetween,
  type Known,
  logWidth,
  peakBetween,
  type Window,
  windowsAmong,
  windowsWhere,
  withinSpan,
} from './windows';
