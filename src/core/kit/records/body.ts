/** A camera body with its recording modes. */
import {
  F_NUMBER,
  ID,
  LICENCE,
  MAKER,
  MASS_G,
  NAME,
  NOTE,
  plateSchema,
  PRICE,
  type Plate,
} from './common';
import { integer, listOf, number, oneOf, record, unknownOr } from './schema';

/** A stabilisation crop the body can add to a mode. Both figures are kept; the measured one wins. */
export interface StabilisationCrop {
  id: string;
  name: string;
  /** Linear crop as the maker states it, >= 1. */
  nominal: number;
  /** Linear crop as measured from two frames, >= 1; null until measured. */
  measured: number | null;
}

/** A recording mode: the area of the sensor that is read, and what is written. */
export interface Mode {
  id: string;
  name: string;
  use: 'stills' | 'video';
  /** Read-out area on the sensor, mm. */
  widthMm: number;
  heightMm: number;
  /** Pixels read. */
  widthPx: number;
  heightPx: number;
  /** Pixels across in the recorded file; null where all that are read are recorded. */
  recordedWidthPx: number | null;
  /** Frames per second; null for stills. */
  framesPerSecond: number | null;
  crops: StabilisationCrop[];
  /** Digital zoom steps offered, 1 first. */
  digitalZooms: number[];
}

/** How far the stabiliser may move the sensor from its rest, mm. */
export interface SensorTravel {
  shape: 'disc' | 'box';
  /** Radius of the disc, or half-width of the box, mm. */
  xMm: number;
  /** Half-height of the box, mm; ignored for a disc. */
  yMm: number;
}

/** How many focus points work up to an open f-number. */
export interface AutofocusPoints {
  upToFNumber: number;
  points: number;
}

export interface Body {
  id: string;
  name: string;
  maker: string;
  mountId: string;
  modes: Mode[];
  /** Null where the sensor stands still. */
  sensorTravel: SensorTravel | null;
  /** What the sensor stabiliser is worth by hand, stops; null where not known. */
  stabiliserStops: number | null;
  /** Slowest open f-number at which autofocus works; null where unknown. */
  autofocusLimitFNumber: number | null;
  /** Points that still focus up to an open f-number, fastest first; empty where not known. */
  autofocusPoints: AutofocusPoints[];
  /** Focal lengths the stabiliser menu offers, mm; empty where it takes any. */
  stabiliserFocalsMm: number[];
  /** Free depth behind the flange for rear glass, mm; null where unknown. */
  clearDepthMm: number | null;
  /** Free depth behind the flange until a mirror swings there, mm; null where there is none or it is unknown. */
  mirrorDepthMm: number | null;
  /** Cover glass before the sensor; null where not known. */
  coverGlass: Plate | null;
  massG: number | null;
  /** Used and new, in the user's own currency; null where not known. */
  price: number | null;
  priceNew: number | null;
  licence: string;
  note: string;
}

const cropSchema = record<StabilisationCrop>(
  'stabilisation crop',
  { id: ID, name: NAME, nominal: number(1, 4), measured: unknownOr(number(1, 4)) },
  ['id', 'name', 'nominal'],
);

const modeSchema = record<Mode>(
  'mode',
  {
    id: ID,
    name: NAME,
    use: oneOf(['stills', 'video'], { default: 'video' }),
    widthMm: number(0.5, 400),
    heightMm: number(0.5, 400),
    widthPx: integer(16, 100_000),
    heightPx: integer(16, 100_000),
    recordedWidthPx: unknownOr(integer(16, 100_000)),
    framesPerSecond: unknownOr(number(0.1, 100_000)),
    crops: listOf(cropSchema, 20, { default: [] }),
    digitalZooms: listOf(number(1, 8), 40, { default: [1], minItems: 1 }),
  },
  ['id', 'name', 'widthMm', 'heightMm', 'widthPx', 'heightPx'],
);

const travelSchema = record<SensorTravel>(
  'sensor travel',
  {
    shape: oneOf(['disc', 'box'], { default: 'disc' }),
    xMm: number(0, 20),
    yMm: number(0, 20, { default: 0 }),
  },
  ['xMm'],
);

const pointsSchema = record<AutofocusPoints>(
  'autofocus points',
  { upToFNumber: F_NUMBER, points: integer(0, 100_000) },
  ['upToFNumber', 'points'],
);

export const bodySchema = record<Body>(
  'body',
  {
    id: ID,
    name: NAME,
    maker: MAKER,
    mountId: ID,
    modes: listOf(modeSchema, 60, { minItems: 1 }),
    sensorTravel: unknownOr(travelSchema),
    autofocusLimitFNumber: unknownOr(number(0.5, 128)),
    stabiliserStops: unknownOr(number(0, 12)),
    autofocusPoints: listOf(pointsSchema, 20, { default: [] }),
    stabiliserFocalsMm: listOf(number(1, 5000), 200, { default: [] }),
    clearDepthMm: unknownOr(number(0, 200)),
    mirrorDepthMm: unknownOr(number(0, 200)),
    coverGlass: unknownOr(plateSchema),
    massG: unknownOr(MASS_G),
    price: unknownOr(PRICE),
    priceNew: unknownOr(PRICE),
    licence: LICENCE,
    note: NOTE,
  },
  ['id', 'name', 'mountId', 'modes'],
);

export const bodyExample: Body = {
  id: 'c26',
  name: 'C26',
  maker: 'Tolvane',
  mountId: 'ml-18',
  modes: [
    {
      id: '6k',
      name: 'Full width 6K, 25 fps',
      use: 'video',
      widthMm: 23.5,
      heightMm: 15.6,
      widthPx: 6240,
      heightPx: 4144,
      recordedWidthPx: 3840,
      framesPerSecond: 25,
      crops: [{ id: 'active', name: 'electronic', nominal: 1.1, measured: 1.13 }],
      digitalZooms: [1, 1.2, 1.4],
    },
  ],
  sensorTravel: { shape: 'disc', xMm: 1.2, yMm: 0 },
  stabiliserStops: 4,
  autofocusLimitFNumber: 11,
  autofocusPoints: [
    { upToFNumber: 5.6, points: 425 },
    { upToFNumber: 11, points: 45 },
  ],
  stabiliserFocalsMm: [14, 18, 24, 35, 50],
  clearDepthMm: 12,
  mirrorDepthMm: null,
  coverGlass: { thicknessMm: 2, index: 1.52 },
  massG: 620,
  price: 1200,
  priceNew: 1650,
  licence: '',
  note: '',
};

/** Body name as shown: maker and model. */
export const fullName = (item: { maker: string; name: string }): string =>
  item.maker ? `${item.maker} ${item.name}` : item.name;
