/** The face of this folder: what others may use of it. */
export {
  carriedBy,
  digitalZoomsFor,
  driveInZoom,
  focusDriveOf,
  type FocusDrive,
  givesDigitalZoom,
} from './contacts';
export { atEndWords, deliveredOf, recordedOf, travelFor } from './framed';
export { jointProblems, keptOffBy, takerOf } from './joints';
export {
  areMountsTold,
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
