/** What is known of a lens's halo at one setting, and how it is known. */
import { F_NUMBER, FOCAL_MM, FOCUS_M, ID, NOTE } from './common';
import { completed, integer, number, oneOf, record, text, unknownOr, type Static } from './schema';

/** Best evidence first; what was seen by eye stands between a measurement and somebody's figure. */
export const EVIDENCE_KINDS = ['measured', 'seen', 'published', 'estimated'] as const;
export type EvidenceKind = (typeof EVIDENCE_KINDS)[number];

/** One rim that cuts the light: see OPTICS notes in docs/optics.md, "The halo: two rims". */
export const rimSchema = record('rim', {
  /** Edge radius on the sensor, mm, lens at infinity. */
  edgeRadiusMm: number(0.5, 400),
  /** Softness half-width, mm, at the sample's f-number. */
  softnessMm: number(0, 400),
});
const evidenceSchema = record('evidence', {
  kind: oneOf(EVIDENCE_KINDS),
  /** ISO date, e.g. 2026-05-12; empty where unknown. */
  date: text(10, { default: '', pattern: '^(\\d{4}-\\d{2}-\\d{2})?$' }),
  /** Test frames it rests on; 0 for what was seen by eye, published and estimated figures. */
  frames: integer(0, 10_000, { default: 0 }),
  source: text(400, { default: '' }),
});
export type Evidence = Static<typeof evidenceSchema>;

/** As far as any exit pupil stands, mm: there natural falloff plays no part. */
export const FARTHEST_PUPIL_MM = 10_000;

/** What a published radius may mean; "image circle" is what makers call the part they answer for. */
const FIGURE_MEANINGS = ['half light', 'image circle', '-1 stop', '-2 stops'] as const;
export type FigureMeaning = (typeof FIGURE_MEANINGS)[number];

/** Whether a figure was measured from one frame alone: of other apertures it then tells little. */
export const isOneFrame = ({ kind, frames }: Pick<Evidence, 'kind' | 'frames'>): boolean =>
  kind === 'measured' && frames < 2;

/** Whether its frames showed no edge: then falloff was measured, and the edge is an estimate beyond them. */
export const isEdgeUnseen = ({ evidence }: { evidence: Evidence }): boolean =>
  evidence.kind === 'estimated' && evidence.frames > 0;

/** Frames of several apertures make one sample for all of them, or one for each where no one pair of rims serves all. */
const APERTURES_TOLD = ['every', 'its own'] as const;

export const haloSampleSchema = record('halo sample', {
  id: ID,
  focalMm: FOCAL_MM,
  fNumber: F_NUMBER,
  /** Which apertures it speaks for; a single frame speaks for its own whatever is said here. */
  apertures: oneOf(APERTURES_TOLD, { default: 'every' }),
  /** Focus distance, m; null is infinity. */
  focusM: unknownOr(FOCUS_M),
  front: rimSchema,
  /** What the front edge radius means where it was published: makers and testers mean different circles. */
  meaning: oneOf(FIGURE_MEANINGS, { default: 'half light' }),
  /** Null where one rim describes what was seen. */
  rear: unknownOr(rimSchema),
  /** Exit-pupil distance, mm; null where unknown. */
  exitPupilMm: unknownOr(number(5, FARTHEST_PUPIL_MM)),
  /** Halo centre from the middle of the mount, the sensor's middle, mm. */
  centreXMm: number(-50, 50, { default: 0 }),
  centreYMm: number(-50, 50, { default: 0 }),
  /** One standard deviation of the edge radii, mm. */
  edgeSigmaMm: number(0, 50, { default: 0.5 }),
  evidence: evidenceSchema,
  note: NOTE,
});
export type HaloSample = Static<typeof haloSampleSchema>;

/** Whether a sample speaks for its own aperture beside others that speak for theirs. */
export const isOfOneAperture = ({ evidence, apertures }: HaloSample): boolean =>
  isOneFrame(evidence) || apertures === 'its own';

/** What of a sample must be told. */
type SampleTold = 'id' | 'focalMm' | 'fNumber' | 'front' | 'evidence';

/** A halo sample as far as it is told. */
export const haloSampleOf = (
  told: Pick<HaloSample, SampleTold> & Partial<HaloSample>,
): HaloSample => completed(haloSampleSchema, told);

export const haloSampleExample: HaloSample = haloSampleOf({
  id: 'w1835-18',
  focalMm: 18,
  fNumber: 1.8,
  focusM: null,
  front: { edgeRadiusMm: 17.4, softnessMm: 3.6 },
  meaning: 'half light',
  rear: { edgeRadiusMm: 18.3, softnessMm: 4.6 },
  exitPupilMm: 62,
  centreXMm: 0.1,
  centreYMm: -0.05,
  edgeSigmaMm: 0.12,
  evidence: { kind: 'measured', date: '2026-05-12', frames: 2, source: 'white wall, two frames' },
  note: '',
});
