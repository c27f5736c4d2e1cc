/** The face of this folder: what others may use of it. */
export {
  type Between,
  betweenOfFactor,
  BETWEENS,
  COMMON_LENS_FORMATS,
  NOTHING_TOLD,
  readAnswers,
  type StartAnswers,
} from './answers';
export { knownMounts, mountHere, mountRecord, STARTER_MOUNTS, type StarterMount } from './mounts';
export { COMMON_SENSORS, isAreaTold } from './quickBody';
export { ofKind, quickPart } from './quickPart';
export { started, type Started, startedBody, startEnds } from './start';
export { isNumber, isText, orNull, readTold } from './told';
