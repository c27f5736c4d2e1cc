/** A measured frame as the log keeps it. Nothing in the log is overwritten: a new reading is a new entry. */
import type { FrameSize } from '../../optics/formats';
import { F_NUMBER, FOCAL_MM, FOCUS_M, frameSizeSchema, ID, NAME, NOTE } from './common';
import type { RimFigure } from './haloSample';
import { integer, listOf, number, oneOf, record, text, unknownOr } from './schema';

export interface MeasuredFigure {
  value: number;
  /** Ends of the 90 % interval. */
  low: number;
  high: number;
}

export interface Measurement {
  id: string;
  /** The frame's file. */
  name: string;
  bodyId: string;
  modeId: string;
  lensId: string;
  /** What stood between lens and body, scene to sensor. */
  partIds: string[];
  /** ISO time of the frame, or of its measuring where the file tells none. */
  takenAt: string;
  focalMm: number;
  fNumber: number;
  /** m; null is infinity. */
  focusM: number | null;
  sensor: FrameSize;
  tone: 'srgb' | 'linear' | 'curve';
  status: 'measured' | 'bound';
  /** Half-light radius, mm; null where the frame gives a lower bound alone. */
  halfLightMm: MeasuredFigure | null;
  lowerBoundMm: number;
  minus1Mm: number | null;
  minus2Mm: number | null;
  centreXMm: number;
  centreYMm: number;
  rims: RimFigure[];
  exitPupilMm: number | null;
  /** What was expected of this setting before the frame was measured, mm. */
  predictedHalfLightMm: number | null;
  warnings: string[];
  /** Version of the method that measured it. */
  method: number;
  /** The entry this one measures anew, with a later method; null for a first reading. */
  replacesId: string | null;
  /** The sample of the lens it went to; null while it stands in the log alone. */
  sampleId: string | null;
  note: string;
}

const RADIUS = number(0, 400);
const figureSchema = record<MeasuredFigure>(
  'measured figure, mm',
  { value: RADIUS, low: RADIUS, high: RADIUS },
  ['value', 'low', 'high'],
);
const rimSchema = record<RimFigure>(
  'measured rim',
  { edgeRadiusMm: number(0.5, 400), softnessMm: number(0, 400) },
  ['edgeRadiusMm', 'softnessMm'],
);

export const measurementSchema = record<Measurement>(
  'measurement',
  {
    id: ID,
    name: NAME,
    bodyId: ID,
    modeId: ID,
    lensId: ID,
    partIds: listOf(ID, 12, { default: [] }),
    takenAt: text(40, { pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}' }),
    focalMm: FOCAL_MM,
    fNumber: F_NUMBER,
    focusM: unknownOr(FOCUS_M),
    sensor: frameSizeSchema,
    tone: oneOf(['srgb', 'linear', 'curve']),
    status: oneOf(['measured', 'bound']),
    halfLightMm: unknownOr(figureSchema),
    lowerBoundMm: RADIUS,
    minus1Mm: unknownOr(RADIUS),
    minus2Mm: unknownOr(RADIUS),
    centreXMm: number(-100, 100, { default: 0 }),
    centreYMm: number(-100, 100, { default: 0 }),
    rims: listOf(rimSchema, 4, { default: [] }),
    exitPupilMm: unknownOr(number(5, 1e9)),
    predictedHalfLightMm: unknownOr(RADIUS),
    warnings: listOf(text(40), 40, { default: [] }),
    method: integer(1, 10_000, { default: 1 }),
    replacesId: unknownOr(ID),
    sampleId: unknownOr(ID),
    note: NOTE,
  },
  ['id', 'name', 'bodyId', 'modeId', 'lensId', 'takenAt', 'focalMm', 'fNumber', 'sensor', 'status'],
);

export const measurementExample: Measurement = {
  id: 'm-1',
  name: 'wall-18mm-f1.8.jpg',
  bodyId: 'b-24',
  modeId: 'open',
  lensId: 'w1835',
  partIds: [],
  takenAt: '2026-05-12T09:30:00',
  focalMm: 18,
  fNumber: 1.8,
  focusM: null,
  sensor: { widthMm: 36, heightMm: 24 },
  tone: 'srgb',
  status: 'measured',
  halfLightMm: { value: 17.1, low: 17.02, high: 17.2 },
  lowerBoundMm: 16.8,
  minus1Mm: 16.8,
  minus2Mm: 18.1,
  centreXMm: 0.1,
  centreYMm: -0.05,
  rims: [{ edgeRadiusMm: 17.4, softnessMm: 3.6 }],
  exitPupilMm: 62,
  predictedHalfLightMm: 17.6,
  warnings: [],
  method: 1,
  replacesId: null,
  sampleId: null,
  note: '',
};
