/** A rig as kept in the workspace: which records it joins, and how they are set. */
import { F_NUMBER, FOCAL_MM, FOCUS_M, ID, NAME, NOTE } from './common';
import { completed, flag, listOf, number, record, text, unknownOr, type Static } from './schema';

/** Settings with nothing cropped, steadied, shifted or run out, at infinity. */
export const restingSettings = (focalMm: number, fNumber: number): RigSettings => ({
  focalMm,
  fNumber,
  focusM: null,
  aspect: null,
  digitalZoom: 1,
  cropId: null,
  stabiliser: false,
  postScale: 1,
  shiftXMm: 0,
  shiftYMm: 0,
  helicoidMm: 0,
  overhead: false,
});

/**
 * Settings with some of them changed. Written out field by field: ribbons and searches call it hundreds
 * of times a frame, and spreading so many fields is many times slower.
 */
export const mergedSettings = (s: RigSettings, change: Partial<RigSettings>): RigSettings => ({
  focalMm: change.focalMm ?? s.focalMm,
  fNumber: change.fNumber ?? s.fNumber,
  focusM: change.focusM === undefined ? s.focusM : change.focusM,
  aspect: change.aspect === undefined ? s.aspect : change.aspect,
  digitalZoom: change.digitalZoom ?? s.digitalZoom,
  cropId: change.cropId === undefined ? s.cropId : change.cropId,
  stabiliser: change.stabiliser ?? s.stabiliser,
  postScale: change.postScale ?? s.postScale,
  shiftXMm: change.shiftXMm ?? s.shiftXMm,
  shiftYMm: change.shiftYMm ?? s.shiftYMm,
  helicoidMm: change.helicoidMm ?? s.helicoidMm,
  overhead: change.overhead ?? s.overhead,
});

/** Everything on a rig that can be turned. */
export const settingsSchema = record('settings', {
  /** Engraved focal length, mm. */
  focalMm: FOCAL_MM,
  /** Engraved f-number of the lens. */
  fNumber: F_NUMBER,
  /** Engraved focus distance, m; null is infinity. */
  focusM: unknownOr(FOCUS_M),
  /** Delivered aspect after desqueeze, width/height; null delivers the whole read-out. */
  aspect: unknownOr(number(0.2, 6)),
  /** Digital zoom, >= 1. */
  digitalZoom: number(1, 8, { default: 1 }),
  /** Id of the mode's stabilisation crop in use; null for none. */
  cropId: unknownOr(text(80)),
  /** Whether the sensor stabiliser is on. */
  stabiliser: flag(false),
  /** Scale-up in post, >= 1. */
  postScale: number(1, 8, { default: 1 }),
  /** Sideways shift of the lens against the body by a shift adapter, mm; x right, y down. */
  shiftXMm: number(-40, 40, { default: 0 }),
  shiftYMm: number(-40, 40, { default: 0 }),
  /** How far a helicoid in the train is run out, mm. */
  helicoidMm: number(0, 200, { default: 0 }),
  /** Whether it hangs overhead or rides on a vehicle. */
  overhead: flag(false),
});
export type RigSettings = Static<typeof settingsSchema>;

export const rigRecordSchema = record('rig', {
  id: ID,
  name: NAME,
  bodyId: ID,
  modeId: ID,
  lensId: ID,
  /** Scene to sensor. */
  partIds: listOf(ID, 8, { default: [] }),
  settings: settingsSchema,
  note: NOTE,
});
export type RigRecord = Static<typeof rigRecordSchema>;

/** What of a rig must be told. */
type RigTold = 'id' | 'name' | 'bodyId' | 'modeId' | 'lensId' | 'settings';

/** A rig as far as it is told: nothing between, no note. */
export const rigRecordOf = (told: Pick<RigRecord, RigTold> & Partial<RigRecord>): RigRecord =>
  completed(rigRecordSchema, told);

export const rigRecordExample: RigRecord = rigRecordOf({
  id: 'wheel-house-wide',
  name: 'Wheel-house, wide',
  bodyId: 'c26',
  modeId: '6k',
  lensId: 'w1835',
  partIds: ['n71'],
  settings: {
    focalMm: 20,
    fNumber: 1.8,
    focusM: 3,
    aspect: 16 / 9,
    digitalZoom: 1,
    cropId: null,
    stabiliser: true,
    postScale: 1,
    shiftXMm: 0,
    shiftYMm: 0,
    helicoidMm: 0,
    overhead: false,
  },
  note: '',
});
