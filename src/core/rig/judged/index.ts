/** The face of this folder: what others may use of it. */
export { evidenceBehind } from './evidenceBehind';
export { riskIn } from './toss';
export { surerOf, untoldShare } from './untold';
export {
  evidenceIn,
  expectedScaleUpOf,
  isClear,
  type Judged,
  leastScaleUp,
  marginOf,
  mayBeClear,
  scaleUpIn,
  scaleUpOf,
  spareIn,
  spareOf,
  verdictIn,
  verdictOf,
} from './verdicts';
