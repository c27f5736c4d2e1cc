/** What is known of a lens's halo at one setting, and how it is known. */
import { F_NUMBER, FOCAL_MM, FOCUS_M, ID, NOTE } from './common';
import { integer, number, oneOf, record, text, unknownOr } from './schema';

export type EvidenceKind = 'measured' | 'published' | 'estimated';
/** Best evidence first. */
export const EVIDENCE_KINDS: readonly EvidenceKind[] = ['measured', 'published', 'estimated'];

export interface Evidence {
  kind: EvidenceKind;
  /** ISO date, e.g. 2026-05-12; empty where unknown. */
  date: string;
  /** Test frames it rests on; 0 for published and estimated figures. */
  frames: number;
  source: string;
}

/** One rim that cuts the light: see OPTICS notes in docs/optics.md, "The halo: two rims". */
export interface RimFigure {
  /** Edge radius on the sensor, mm, lens at infinity. */
  edgeRadiusMm: number;
  /** Softness half-width, mm, at the sample's f-number. */
  softnessMm: number;
}

export interface HaloSample {
  id: string;
  focalMm: number;
  fNumber: number;
  /** Focus distance, m; null is infinity. */
  focusM: number | null;
  front: RimFigure;
  /** Null where one rim describes what was seen. */
  rear: RimFigure | null;
  /** Exit-pupil distance, mm; null where unknown. */
  exitPupilMm: number | null;
  /** Halo centre against the middle of the mount, mm. */
  centreXMm: number;
  centreYMm: number;
  /** One standard deviation of the edge radii, mm. */
  edgeSigmaMm: number;
  evidence: Evidence;
  note: string;
}

const rimSchema = record<RimFigure>(
  'rim',
  { edgeRadiusMm: number(0.5, 400), softnessMm: number(0, 400) },
  ['edgeRadiusMm', 'softnessMm'],
);

const evidenceSchema = record<Evidence>(
  'evidence',
  {
    kind: oneOf(EVIDENCE_KINDS),
    date: text(10, { default: '', pattern: '^(\\d{4}-\\d{2}-\\d{2})?$' }),
    frames: integer(0, 10_000, { default: 0 }),
    source: text(400, { default: '' }),
  },
  ['kind'],
);

export const haloSampleSchema = record<HaloSample>(
  'halo sample',
  {
    id: ID,
    focalMm: FOCAL_MM,
    fNumber: F_NUMBER,
    focusM: unknownOr(FOCUS_M),
    front: rimSchema,
    rear: unknownOr(rimSchema),
    exitPupilMm: unknownOr(number(5, 10_000)),
    centreXMm: number(-50, 50, { default: 0 }),
    centreYMm: number(-50, 50, { default: 0 }),
    edgeSigmaMm: number(0, 50, { default: 0.5 }),
    evidence: evidenceSchema,
    note: NOTE,
  },
  ['id', 'focalMm', 'fNumber', 'front', 'evidence'],
);

export const haloSampleExample: HaloSample = {
  id: 'w1835-18',
  focalMm: 18,
  fNumber: 1.8,
  focusM: null,
  front: { edgeRadiusMm: 17.4, softnessMm: 3.6 },
  rear: { edgeRadiusMm: 18.3, softnessMm: 4.6 },
  exitPupilMm: 62,
  centreXMm: 0.1,
  centreYMm: -0.05,
  edgeSigmaMm: 0.12,
  evidence: { kind: 'measured', date: '2026-05-12', frames: 2, source: 'white wall, two frames' },
  note: '',
};
