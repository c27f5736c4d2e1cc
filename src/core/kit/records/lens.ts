/** A lens and what is known of its halo. */
import { RESOLUTION_CLASSES } from '../../optics';
import {
  electronicsSchema,
  ESTIMATED,
  F_NUMBER,
  FOCAL_MM,
  frameSizeSchema,
  FOCUS_M,
  ID,
  LICENCE,
  MAKER,
  MASS_G,
  NAME,
  NOTE,
  PRICE,
  HAD,
} from './common';
import { haloSampleExample, haloSampleSchema } from './haloSample';
import { knowledgeSchema } from './knowledge';
import { completed, flag, listOf, number, oneOf, record, unknownOr, type Static } from './schema';

type ResolutionClass = keyof typeof RESOLUTION_CLASSES;
const RESOLUTION_CLASS_NAMES = Object.keys(RESOLUTION_CLASSES) as ResolutionClass[];

export const lensSchema = record('lens', {
  id: ID,
  name: NAME,
  maker: MAKER,
  mountId: ID,
  /** What kind of lens, for the estimate where nothing is measured. */
  character: oneOf(['general', 'macro', 'cine', 'anamorphic'], { default: 'general' }),
  /** Engraved focal range, mm; equal for a prime. */
  focalMinMm: FOCAL_MM,
  focalMaxMm: FOCAL_MM,
  /** Widest aperture at the short and at the long end. */
  openFNumberWide: F_NUMBER,
  openFNumberLong: F_NUMBER,
  /** Smallest aperture. */
  closedFNumber: F_NUMBER,
  /** T-stop wide open at the short end; null where unknown. */
  tStop: unknownOr(number(0.5, 256)),
  /** Closest focus, m, from the sensor. */
  closestFocusM: FOCUS_M,
  /** Greatest magnification without extension; null where unknown (held at life size). */
  maxMagnification: unknownOr(number(0.01, 10)),
  /** Whether the whole lens moves to focus or groups inside it. */
  focusing: oneOf(['unit', 'internal', 'unknown'], { default: 'unknown' }),
  /** Exit pupil diameter / entrance pupil diameter; null where unknown (taken as 1). */
  pupilMagnification: unknownOr(number(0.1, 10)),
  /** Anamorphic squeeze; 1 for a spherical lens. */
  squeeze: number(1, 2.5, { default: 1 }),
  /** The format it was designed for. */
  designFormat: frameSizeSchema,
  /** Radius within which its owner accepts the sharpness, mm; null where not judged. */
  definitionRadiusMm: unknownOr(number(0.5, 400)),
  electronics: electronicsSchema,
  /** Whether the aperture has a ring of its own, for when no contacts work it. */
  apertureRing: oneOf(['own ring', 'none', 'unknown'], { default: 'unknown' }),
  /** How far rear glass or baffles stand behind the flange, mm; null where not measured. */
  rearProtrusionMm: unknownOr(number(0, 200)),
  /** A tab or pin on its mount keeps it off bodies and parts that were not made for it. */
  mountTab: flag(false),
  /** Length in front of the flange, mm; null where unknown. */
  lengthMm: unknownOr(number(1, 2000)),
  massG: unknownOr(MASS_G),
  /** Resolution in the middle at half contrast, lp/mm; null where its class must do. */
  resolutionLpMm: unknownOr(number(1, 1000)),
  /** Class of resolution, for where no figure is known. */
  resolutionClass: oneOf(RESOLUTION_CLASS_NAMES, { default: 'good prime' }),
  /** Old glass of this one is mildly radioactive. */
  radioactive: flag(false),
  /** Price used and new, in the user's own currency; null where not known. */
  price: unknownOr(PRICE),
  priceNew: unknownOr(PRICE),
  /** Whether it is at hand, rentable or to buy. */
  availability: HAD,
  estimated: ESTIMATED,
  licence: LICENCE,
  halo: listOf(haloSampleSchema, 2000, { default: [] }),
  /** What its owner knows of it by having used it. */
  knowledge: listOf(knowledgeSchema, 400, { default: [] }),
  note: NOTE,
});
export type Lens = Static<typeof lensSchema>;

/** What of a lens must be told. */
type Told =
  | 'id'
  | 'name'
  | 'mountId'
  | 'focalMinMm'
  | 'focalMaxMm'
  | 'openFNumberWide'
  | 'openFNumberLong'
  | 'closedFNumber'
  | 'closestFocusM'
  | 'designFormat';

export type LensTold = Pick<Lens, Told> & Partial<Lens>;

/** A lens as far as it is told; of the rest nothing is known, or what is usual is taken. */
export const lensOf = (told: LensTold): Lens => completed(lensSchema, told);

/**
 * Whether nobody told which format a lens was made for. One taken over from data was calibrated on the format it
 * is taken for.
 */
export const isFormatUntold = (lens: Pick<Lens, 'estimated' | 'licence'>): boolean =>
  lens.estimated.includes('designFormat') && lens.licence === '';

export const isZoom = (lens: Pick<Lens, 'focalMinMm' | 'focalMaxMm'>): boolean =>
  lens.focalMaxMm > lens.focalMinMm;

/**
 * Widest aperture at `focalMm`: the open f-number runs straight in log f between the ends,
 * which is how variable-aperture zooms are commonly drawn (common practice, no source).
 */
export function openFNumberAt(lens: Lens, focalMm: number): number {
  if (!isZoom(lens)) return lens.openFNumberWide;
  const share = Math.log(focalMm / lens.focalMinMm) / Math.log(lens.focalMaxMm / lens.focalMinMm);
  const s = Math.min(1, Math.max(0, share));
  return lens.openFNumberWide * (lens.openFNumberLong / lens.openFNumberWide) ** s;
}

/** Share of light the glass passes, 0..1, from f-number and T-stop; null where no T-stop is known. */
export const transmissionOf = (lens: Lens): number | null =>
  lens.tStop === null ? null : Math.min(1, (lens.openFNumberWide / lens.tStop) ** 2);

export const lensExample: Lens = lensOf({
  id: 'w1835',
  name: '18–35/1.8',
  maker: 'Wendmere',
  mountId: 'slr-44',
  character: 'general',
  focalMinMm: 18,
  focalMaxMm: 35,
  openFNumberWide: 1.8,
  openFNumberLong: 1.8,
  closedFNumber: 16,
  tStop: 2,
  closestFocusM: 0.28,
  maxMagnification: 0.23,
  focusing: 'internal',
  pupilMagnification: 2.4,
  squeeze: 1,
  designFormat: { widthMm: 23.5, heightMm: 15.6 },
  definitionRadiusMm: 14,
  electronics: { focus: true, aperture: true, metadata: true, stabiliser: false },
  apertureRing: 'none',
  rearProtrusionMm: 4.1,
  lengthMm: 121,
  massG: 810,
  resolutionLpMm: null,
  resolutionClass: 'good zoom',
  radioactive: false,
  price: 420,
  priceNew: 780,
  availability: 'at hand',
  estimated: [],
  licence: '',
  halo: [haloSampleExample],
  knowledge: [
    {
      id: 'w1835-known',
      focalMm: 18,
      fNumber: 1.8,
      corners: 'soft',
      distortion: 'barrel',
      breathing: 'a little',
      zoomFocus: 'drifts',
      character: '',
    },
  ],
  note: '',
});

/** Resolution in the middle, lp/mm: the user's figure, or what is usual for its class. */
export const resolutionOf = (lens: Lens): number =>
  lens.resolutionLpMm ?? RESOLUTION_CLASSES[lens.resolutionClass];

/** Lenses of this maker are the simulated camera's, for practice; nothing simulated goes to any other. */
export const PRACTICE_MAKER = 'Practice';

export const isPracticeLens = ({ maker }: Pick<Lens, 'maker'>): boolean => maker === PRACTICE_MAKER;
