/** What its owner knows of a lens by having used it: data only, never worked out. */
import { F_NUMBER, FOCAL_MM, ID } from './common';
import { oneOf, record, text, unknownOr, type Static } from './schema';

const NOT_JUDGED = 'not judged';
const judged = <const V extends readonly string[]>(...words: V) =>
  oneOf([NOT_JUDGED, ...words], { default: NOT_JUDGED });

export const knowledgeSchema = record('what is known of a lens', {
  id: ID,
  /** Zoom mark it was seen at, mm; null at every one. */
  focalMm: unknownOr(FOCAL_MM),
  /** Aperture it was seen at; null at every one. */
  fNumber: unknownOr(F_NUMBER),
  corners: judged('sharp', 'good', 'soft', 'smeared'),
  distortion: judged('none', 'barrel', 'pincushion', 'wavy'),
  breathing: judged('none', 'a little', 'much'),
  /** Whether focus holds while zooming, behind the adapter it was used on. */
  zoomFocus: judged('holds', 'drifts', 'is lost'),
  /** What the picture is like in its own words: "swirl outside 14 mm". */
  character: text(120, { default: '' }),
});
export type Knowledge = Static<typeof knowledgeSchema>;

/** What can be judged, in the order it is asked for. */
export const ASPECTS_KNOWN = ['corners', 'distortion', 'breathing', 'zoomFocus'] as const;
export type KnownAspect = (typeof ASPECTS_KNOWN)[number];

/** What can be said of each, the first being that nobody judged it. */
export const KNOWN_WORDS: { readonly [A in KnownAspect]: readonly Knowledge[A][] } = {
  corners: ['not judged', 'sharp', 'good', 'soft', 'smeared'],
  distortion: ['not judged', 'none', 'barrel', 'pincushion', 'wavy'],
  breathing: ['not judged', 'none', 'a little', 'much'],
  zoomFocus: ['not judged', 'holds', 'drifts', 'is lost'],
};

export const isJudged = (word: string): boolean => word !== NOT_JUDGED && word !== '';

/** Nothing judged yet, for one zoom mark and aperture. */
export const nothingKnown = (
  id: string,
  focalMm: number | null,
  fNumber: number | null,
): Knowledge => ({
  id,
  focalMm,
  fNumber,
  corners: 'not judged',
  distortion: 'not judged',
  breathing: 'not judged',
  zoomFocus: 'not judged',
  character: '',
});
