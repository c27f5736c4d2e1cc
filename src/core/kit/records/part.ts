/** Anything that stands between lens and body: adapters and converters. */
import {
  electronicsSchema,
  ESTIMATED,
  F_NUMBER,
  frameSizeSchema,
  ID,
  MAKER,
  MASS_G,
  NAME,
  NOTE,
  plateSchema,
  PRICE,
  TAKES_TAB,
  HAD,
} from './common';
import { FARTHEST_PUPIL_MM } from './haloSample';
import { completed, number, oneOf, record, unknownOr, type Static } from './schema';

const PART_KINDS = [
  'plain adapter',
  'focal reducer',
  'teleconverter',
  'expander',
  'front converter',
  'extension tube',
  'helicoid',
  'shift adapter',
  'drop-in glass',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

/**
 * The part's own rim as it falls behind the part; softness at the stated f-number there. It cuts from the
 * sensor side, that of a front converter from the scene side.
 */
export const ownRimSchema = record('own rim', {
  edgeRadiusMm: number(0.5, 400),
  softnessMm: number(0, 400),
  fNumber: F_NUMBER,
  /** Exit pupil, behind the part, of the lens it was seen with, mm from the sensor; null where unknown. */
  exitPupilMm: unknownOr(number(5, FARTHEST_PUPIL_MM)),
});
export type OwnRim = Static<typeof ownRimSchema>;

/** A rectangular opening light passes: the baffle of a reducer, the mask of an adapter. Its sides lie as the sensor's do. */
export const openingSchema = record('rectangular opening', {
  widthMm: number(1, 200),
  heightMm: number(1, 200),
  /** From the flange on the camera's side toward the lens, mm; negative where it reaches into the camera. */
  beforeFlangeMm: number(-60, 300),
});
export type Opening = Static<typeof openingSchema>;

export const partSchema = record('part', {
  id: ID,
  name: NAME,
  maker: MAKER,
  kind: oneOf(PART_KINDS),
  /** Mount that takes the lens. */
  frontMountId: ID,
  /** Mount that goes on the body. */
  rearMountId: ID,
  /**
   * Magnification of the picture: 1 for a plain adapter, 0.71 for such a reducer, 2 for a 2x. For a front
   * converter the factor on focal length; it leaves the f-number alone.
   */
  factor: number(0.2, 5),
  /** Flange to flange, mm. */
  thicknessMm: number(-20, 500),
  /** Share of light its glass passes, 0..1; null where unknown. */
  transmission: unknownOr(number(0.05, 1)),
  /** Fastest f-number it can pass on its sensor side; null where unknown. */
  fastestFNumber: unknownOr(F_NUMBER),
  /** Free depth at its front for rear-standing glass, mm; null where unknown. */
  clearDepthMm: unknownOr(number(0, 200)),
  ownRim: unknownOr(ownRimSchema),
  /** Null where its openings are round, or nobody looked. */
  opening: unknownOr(openingSchema),
  /** Plane glass in it (filter, drop-in, window); null where there is none. */
  plate: unknownOr(plateSchema),
  /** How far a helicoid extends beyond its thickness, mm. */
  helicoidMm: number(0, 200, { default: 0 }),
  /** How far it can shift the lens sideways, mm. */
  shiftMm: number(0, 40, { default: 0 }),
  designFormat: unknownOr(frameSizeSchema),
  electronics: electronicsSchema,
  /** How its owner finds autofocus through it, where it carries the drive. */
  autofocus: oneOf(['not told', 'as native', 'slower', 'single shots'], { default: 'not told' }),
  /** Whether lenses with a tab on their mount go onto it. */
  takesTab: TAKES_TAB,
  massG: unknownOr(MASS_G),
  /** Used and new, in the user's own currency; null where not known. */
  price: unknownOr(PRICE),
  priceNew: unknownOr(PRICE),
  /** Whether it is at hand, rentable or to buy. */
  availability: HAD,
  estimated: ESTIMATED,
  note: NOTE,
});
export type Part = Static<typeof partSchema>;

/** What of a part must be told. */
type Told = 'id' | 'name' | 'kind' | 'frontMountId' | 'rearMountId' | 'factor' | 'thicknessMm';
export type PartTold = Pick<Part, Told> & Partial<Part>;

/** A part as far as it is told; of the rest nothing is known, or it is not there. */
export const partOf = (told: PartTold): Part => completed(partSchema, told);

export const partExample: Part = partOf({
  id: 'n71',
  name: 'reducer ×0.71',
  maker: 'Ninefold',
  kind: 'focal reducer',
  frontMountId: 'slr-44',
  rearMountId: 'ml-18',
  factor: 0.71,
  thicknessMm: 21,
  transmission: 0.95,
  fastestFNumber: 1.2,
  clearDepthMm: 5,
  ownRim: { edgeRadiusMm: 18.6, softnessMm: 2.4, fNumber: 2, exitPupilMm: 58 },
  plate: null,
  helicoidMm: 0,
  shiftMm: 0,
  designFormat: { widthMm: 23.5, heightMm: 15.6 },
  electronics: { focus: true, aperture: true, metadata: true, stabiliser: false },
  massG: 180,
  price: 240,
  priceNew: 390,
  availability: 'at hand',
  estimated: [],
  note: '',
});

/** What a lens was seen through, as the source of a sample says it: ", behind reducer ×0.71"; empty where it stood alone. */
export const behindWords = (parts: readonly Pick<Part, 'name'>[]): string =>
  parts.length > 0 ? `, behind ${parts.map((p) => p.name).join(', ')}` : '';

/** Whether a part stands in front of the lens. */
export const isFront = (part: Part): boolean => part.kind === 'front converter';

/** Whether a part can carry the lens out beyond its register. */
export const carriesOut = ({ kind }: Pick<Part, 'kind'>): boolean =>
  kind === 'extension tube' || kind === 'helicoid';

/** Whether a part behind the lens has glass that magnifies. */
export const magnifies = (part: Part): boolean => !isFront(part) && part.factor !== 1;
