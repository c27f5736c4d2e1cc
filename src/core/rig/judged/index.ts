/** The face of this folder: what others may use of it. */
export { evidenceBehind } from './evidenceBehind';
export { type Look, LOOKS, seenSample, withSeen } from './seenByEye';
export { riskIn } from './toss';
export { BEYOND_OWN_CORNER, surerOf, untoldShare } from './untold';
export {
  evidenceIn,
  isClear,
  type Judged,
  marginOf,
  mayBeClear,
  spareIn,
  spareOf,
  verdictIn,
  verdictOf,
} from './verdicts';
export { expectedScaleUpOf, leastScaleUp, scaleUpIn, scaleUpOf } from './scaleUp';
