/** The face of this folder: what others may use of it. */
export { deliveredOf, recordedOf, travelFor } from './framed';
export { jointProblems } from './joints';
export {
  areMountsTold,
  carriedBy,
  fitIn,
  fitOf,
  fitProblem,
  type FitProblem,
  fitProblemOf,
  type FitReport,
  isStrikeUnknown,
  registerFit,
  type Strike,
  strikeOf,
} from './mechanicalFit';
export {
  fitSettings,
  isMissing,
  type MissingRecord,
  mountsById,
  resolveRig,
  type Rig,
  turned,
} from './rig';
export { haloThrough, readOutFromAxis, seenFrom, type Situation, situationOf } from './situation';
