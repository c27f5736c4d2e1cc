/** The face of this folder: what others may use of it. */
export {
  areaOf,
  autofocusPointsSchema,
  type Body,
  bodyExample,
  bodyOf,
  bodySchema,
  type BodyTold,
  freshMode,
  fullName,
  largestMode,
  type Mode,
  modeOf,
  modeSchema,
  readOutMiddle,
  type SensorTravel,
  sensorTravelSchema,
  type StabilisationCrop,
  stabilisationCropSchema,
} from './body';
export {
  AVAILABILITY,
  type Availability,
  type Electronics,
  type Estimated,
  F_NUMBER,
  FOCAL_MM,
  frameSizeSchema,
  isTold,
  NO_ELECTRONICS,
  plateSchema,
  stillEstimated,
} from './common';
export { type Day, dayOf } from './day';
export {
  type FdlCanvas,
  type FramingDecision,
  type FramingDecisionList,
  framingFileSchema,
} from './framingFile';
export {
  type Evidence,
  EVIDENCE_KINDS,
  type EvidenceKind,
  FARTHEST_PUPIL_MM,
  type FigureMeaning,
  type HaloSample,
  haloSampleExample,
  haloSampleSchema,
  isEdgeUnseen,
  isOfOneAperture,
  isOneFrame,
  rimSchema,
  haloSampleOf,
} from './haloSample';
export { type Job, jobExample, jobOf } from './job';
export {
  DEFAULT_JUDGEMENT,
  type Judgement,
  judgementSchema,
  limitStops,
  type School,
  SCHOOLS,
} from './judgement';
export {
  ASPECTS_KNOWN,
  isJudged,
  type Knowledge,
  knowledgeSchema,
  KNOWN_WORDS,
  type KnownAspect,
  nothingKnown,
} from './knowledge';
export {
  isFormatUntold,
  isPracticeLens,
  PRACTICE_MAKER,
  isZoom,
  type Lens,
  lensExample,
  lensOf,
  lensSchema,
  type LensTold,
  openFNumberAt,
  resolutionOf,
  transmissionOf,
} from './lens';
export { LENS_FORMAT, type LensFile, lensFileExample, lensFileSchema } from './lensFile';
export { type Marking, markingExample, markingIn, markingSchema } from './marking';
export { type Measurement, measurementExample, measurementOf } from './measurement';
export { type Mount, mountExample, mountOf, mountSchema } from './mount';
export {
  behindWords,
  isFront,
  carriesOut,
  magnifies,
  type Opening,
  type OwnRim,
  openingSchema,
  ownRimSchema,
  type Part,
  partExample,
  type PartKind,
  partOf,
  partSchema,
  type PartTold,
} from './part';
export { RIG_FORMAT, type RigFile, rigFileExample, rigFileSchema } from './rigFile';
export {
  mergedSettings,
  restingSettings,
  type RigRecord,
  type RigSettings,
  settingsSchema,
  rigRecordOf,
} from './rigRecord';
export {
  completed,
  isJson,
  type Json,
  type JsonSchema,
  ownField,
  sameValue,
  type Static,
  type TObject,
  toldOf,
  type TSchema,
} from './schema';
export { parted, type SetAside, setAsideWords, withSetAside } from './setAside';
export { RECORDS_VERSION } from './version';
export { isWhole } from './whole';
export {
  definitionAt,
  DEFINITIONS,
  EMPTY_WORKSPACE,
  RECORD_SCHEMAS,
  TABLE_NAMES,
  TABLE_WORDS,
  type TableName,
  type Tables,
  type Workspace,
  WORKSPACE_FORMAT,
  workspaceExample,
  type WorkspaceFile,
  workspaceSchema,
} from './workspace';
