/** A rig as kept in the workspace: which records it joins, and how they are set. */
import { F_NUMBER, FOCAL_MM, FOCUS_M, ID, NAME, NOTE } from './common';
import { flag, listOf, number, record, text, unknownOr } from './schema';

/** Everything on a rig that can be turned. */
export interface RigSettings {
  /** Engraved focal length, mm. */
  focalMm: number;
  /** Engraved f-number of the lens. */
  fNumber: number;
  /** Engraved focus distance, m; null is infinity. */
  focusM: number | null;
  /** Delivered aspect after desqueeze, width/height; null delivers the whole read-out. */
  aspect: number | null;
  /** Digital zoom, >= 1. */
  digitalZoom: number;
  /** Id of the mode's stabilisation crop in use; null for none. */
  cropId: string | null;
  /** Whether the sensor stabiliser is on. */
  stabiliser: boolean;
  /** Scale-up in post, >= 1. */
  postScale: number;
  /** Sideways shift of the lens against the body by a shift adapter, mm; x right, y down. */
  shiftXMm: number;
  shiftYMm: number;
  /** How far a helicoid in the train is run out, mm. */
  helicoidMm: number;
}

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
});

export interface RigRecord {
  id: string;
  name: string;
  bodyId: string;
  modeId: string;
  lensId: string;
  /** Scene to sensor. */
  partIds: string[];
  settings: RigSettings;
  note: string;
}

export const settingsSchema = record<RigSettings>(
  'settings',
  {
    focalMm: FOCAL_MM,
    fNumber: F_NUMBER,
    focusM: unknownOr(FOCUS_M),
    aspect: unknownOr(number(0.2, 6)),
    digitalZoom: number(1, 8, { default: 1 }),
    cropId: unknownOr(text(80)),
    stabiliser: flag(false),
    postScale: number(1, 8, { default: 1 }),
    shiftXMm: number(-40, 40, { default: 0 }),
    shiftYMm: number(-40, 40, { default: 0 }),
    helicoidMm: number(0, 200, { default: 0 }),
  },
  ['focalMm', 'fNumber'],
);

export const rigRecordSchema = record<RigRecord>(
  'rig',
  {
    id: ID,
    name: NAME,
    bodyId: ID,
    modeId: ID,
    lensId: ID,
    partIds: listOf(ID, 8, { default: [] }),
    settings: settingsSchema,
    note: NOTE,
  },
  ['id', 'name', 'bodyId', 'modeId', 'lensId', 'settings'],
);

export const rigRecordExample: RigRecord = {
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
  },
  note: '',
};
