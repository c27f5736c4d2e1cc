/** A camera body with its recording modes. */
import type { Offset } from '../../optics';
import {
  ESTIMATED,
  F_NUMBER,
  ID,
  LICENCE,
  MAKER,
  MASS_G,
  NAME,
  NOTE,
  plateSchema,
  PRICE,
  TAKES_TAB,
  HAD,
} from './common';
import {
  completed,
  integer,
  listOf,
  number,
  oneOf,
  record,
  unknownOr,
  type Static,
} from './schema';

/** A stabilisation crop the body can add to a mode. Both figures are kept; the measured one wins. */
export const stabilisationCropSchema = record('stabilisation crop', {
  id: ID,
  name: NAME,
  /** Linear crop as the maker states it, >= 1. */
  nominal: number(1, 4),
  /** Linear crop as measured from two frames, >= 1; null until measured. */
  measured: unknownOr(number(1, 4)),
});
export type StabilisationCrop = Static<typeof stabilisationCropSchema>;

/** Every pixel is read and counts in the picture; several are read as one; lines are left out; nobody knows. */
export const SAMPLINGS = ['every pixel', 'binned', 'line-skipped', 'not known'] as const;

/** A recording mode: the area of the sensor that is read, and what is written. */
export const modeSchema = record('mode', {
  id: ID,
  name: NAME,
  use: oneOf(['stills', 'video'], { default: 'video' }),
  /** Read-out area on the sensor, mm. */
  widthMm: number(0.5, 400),
  heightMm: number(0.5, 400),
  /** Where the middle of the read-out lies from the middle of the sensor, mm, x right, y down. */
  middleXMm: number(-200, 200, { default: 0 }),
  middleYMm: number(-200, 200, { default: 0 }),
  /** Pixels read. */
  widthPx: integer(16, 100_000),
  heightPx: integer(16, 100_000),
  /** Pixels across in the recorded file; null where all that are read are recorded. */
  recordedWidthPx: unknownOr(integer(16, 100_000)),
  /** How the pixels of the area become those of the file, where they are not the same. */
  sampling: oneOf(SAMPLINGS, { default: 'not known' }),
  /** Frames per second; null for stills. */
  framesPerSecond: unknownOr(number(0.1, 100_000)),
  crops: listOf(stabilisationCropSchema, 20, { default: [] }),
  /** Digital zoom steps offered, 1 first. */
  digitalZooms: listOf(number(1, 8), 40, { default: [1], minItems: 1 }),
});
export type Mode = Static<typeof modeSchema>;

/** What of a mode must be told. */
type ModeToldAtLeast = 'id' | 'name' | 'widthMm' | 'heightMm' | 'widthPx' | 'heightPx';
type ModeTold = Pick<Mode, ModeToldAtLeast> & Partial<Mode>;

/** A mode as far as it is told; it reads about the middle of the sensor, and records all it reads. */
export const modeOf = (told: ModeTold): Mode => completed(modeSchema, told);

/** Where the middle of a mode's read-out lies from the middle of the sensor, mm. */
export const readOutMiddle = ({ middleXMm, middleYMm }: Mode): Offset => ({
  xMm: middleXMm,
  yMm: middleYMm,
});

/** Sensor area a mode reads, mm². */
export const areaOf = (mode: Mode): number => mode.widthMm * mode.heightMm;

/** The mode that shows most of the halo: the largest read-out, stills before video. */
export const largestMode = (modes: readonly Mode[]): Mode | undefined =>
  modes.toSorted(
    (a, b) => areaOf(b) - areaOf(a) || Number(b.use === 'stills') - Number(a.use === 'stills'),
  )[0];

/** A mode over the whole of a 36x24 sensor at 24 MP. */
export const freshMode = (id: string): Mode =>
  modeOf({
    id,
    name: 'Stills',
    use: 'stills',
    widthMm: 36,
    heightMm: 24,
    widthPx: 6000,
    heightPx: 4000,
  });

/** How far the stabiliser may move the sensor from its rest, mm. */
export const sensorTravelSchema = record('sensor travel', {
  shape: oneOf(['disc', 'box'], { default: 'disc' }),
  /** Radius of the disc, or half-width of the box, mm. */
  xMm: number(0, 20),
  /** Half-height of the box, mm; ignored for a disc. */
  yMm: number(0, 20, { default: 0 }),
});
export type SensorTravel = Static<typeof sensorTravelSchema>;

/** How many focus points work up to an open f-number. */
export const autofocusPointsSchema = record('autofocus points', {
  upToFNumber: F_NUMBER,
  points: integer(0, 100_000),
});
export const bodySchema = record('body', {
  id: ID,
  name: NAME,
  maker: MAKER,
  mountId: ID,
  modes: listOf(modeSchema, 60, { minItems: 1 }),
  /** Null where the sensor stands still. */
  sensorTravel: unknownOr(sensorTravelSchema),
  /** Slowest open f-number at which autofocus works; null where unknown. */
  autofocusLimitFNumber: unknownOr(number(0.5, 128)),
  /** What the sensor stabiliser is worth by hand, stops; null where not known. */
  stabiliserStops: unknownOr(number(0, 12)),
  /** Points that still focus up to an open f-number, fastest first; empty where not known. */
  autofocusPoints: listOf(autofocusPointsSchema, 20, { default: [] }),
  /** Which lenses it gives its digital zoom to: any, or those alone that tell it what they are. */
  digitalZoomWith: oneOf(['not told', 'any lens', 'lenses it knows'], { default: 'not told' }),
  /** Whether autofocus works in its digital zoom. */
  digitalZoomFocus: oneOf(['not told', 'works', 'lost'], { default: 'not told' }),
  /** Whether lenses with a tab on their mount go onto it. */
  takesTab: TAKES_TAB,
  /** Focal lengths the stabiliser menu offers, mm; empty where it takes any. */
  stabiliserFocalsMm: listOf(number(1, 5000), 200, { default: [] }),
  /** Free depth behind the flange for rear glass, mm; null where unknown. */
  clearDepthMm: unknownOr(number(0, 200)),
  /** Free depth behind the flange until a mirror swings there, mm; null where there is none or it is unknown. */
  mirrorDepthMm: unknownOr(number(0, 200)),
  /** Cover glass before the sensor; null where not known. */
  coverGlass: unknownOr(plateSchema),
  massG: unknownOr(MASS_G),
  /** Used and new, in the user's own currency; null where not known. */
  price: unknownOr(PRICE),
  priceNew: unknownOr(PRICE),
  /** Whether it is at hand, rentable or to buy. */
  availability: HAD,
  estimated: ESTIMATED,
  licence: LICENCE,
  note: NOTE,
});
export type Body = Static<typeof bodySchema>;

/** What of a body must be told; of its modes likewise. */
export type BodyTold = Pick<Body, 'id' | 'name' | 'mountId'> &
  Partial<Omit<Body, 'modes'>> & { modes: readonly ModeTold[] };

/** A body as far as it is told; nothing else of it is known. */
export const bodyOf = ({ modes, ...told }: BodyTold): Body =>
  completed(bodySchema, { ...told, modes: modes.map(modeOf) });

export const bodyExample: Body = bodyOf({
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
      sampling: 'every pixel',
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
  availability: 'at hand',
  estimated: [],
  licence: '',
  note: '',
});

/** Body name as shown: maker and model. */
export const fullName = (item: { maker: string; name: string }): string =>
  item.maker ? `${item.maker} ${item.name}` : item.name;
