/** A measured frame as the log keeps it. Nothing in the log is overwritten: a new reading is a new entry. */
import { F_NUMBER, FOCAL_MM, FOCUS_M, frameSizeSchema, ID, NAME, NOTE } from './common';
import { rimSchema } from './haloSample';
import {
  completed,
  integer,
  listOf,
  number,
  oneOf,
  record,
  text,
  unknownOr,
  type Static,
} from './schema';

const RADIUS = number(0, 400);
const figureSchema = record('measured figure, mm', {
  value: RADIUS,
  /** Ends of the 90 % interval. */
  low: RADIUS,
  high: RADIUS,
});
export const measurementSchema = record('measurement', {
  id: ID,
  /** The frame's file. */
  name: NAME,
  bodyId: ID,
  modeId: ID,
  lensId: ID,
  /** What stood between lens and body, scene to sensor. */
  partIds: listOf(ID, 12, { default: [] }),
  /** ISO time of the frame, or of its measuring where the file tells none. */
  takenAt: text(40, { pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}' }),
  focalMm: FOCAL_MM,
  fNumber: F_NUMBER,
  /** m; null is infinity. */
  focusM: unknownOr(FOCUS_M),
  sensor: frameSizeSchema,
  tone: oneOf(['srgb', 'linear', 'curve']),
  status: oneOf(['measured', 'bound']),
  /** Half-light radius, mm; null where the frame gives a lower bound alone. */
  halfLightMm: unknownOr(figureSchema),
  lowerBoundMm: RADIUS,
  minus1Mm: unknownOr(RADIUS),
  minus2Mm: unknownOr(RADIUS),
  /** Halo centre from the middle of the frame, mm. */
  centreXMm: number(-100, 100, { default: 0 }),
  centreYMm: number(-100, 100, { default: 0 }),
  rims: listOf(rimSchema, 4, { default: [] }),
  exitPupilMm: unknownOr(number(5, 1e9)),
  /** What was expected of this setting before the frame was measured, mm. */
  predictedHalfLightMm: unknownOr(RADIUS),
  warnings: listOf(text(40), 40, { default: [] }),
  /** Version of the method that measured it. */
  method: integer(1, 10_000, { default: 1 }),
  /** The entry this one measures anew, with a later method; null for a first reading. */
  replacesId: unknownOr(ID),
  /** The sample of the lens it went to; null while it stands in the log alone. */
  sampleId: unknownOr(ID),
  note: NOTE,
});
export type Measurement = Static<typeof measurementSchema>;

/** What of a measurement must be told. */
type MeasurementTold =
  | 'id'
  | 'name'
  | 'bodyId'
  | 'modeId'
  | 'lensId'
  | 'takenAt'
  | 'focalMm'
  | 'fNumber'
  | 'sensor'
  | 'tone'
  | 'status'
  | 'lowerBoundMm';

/** A measurement as far as it is told. */
export const measurementOf = (
  told: Pick<Measurement, MeasurementTold> & Partial<Measurement>,
): Measurement => completed(measurementSchema, told);

export const measurementExample: Measurement = measurementOf({
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
});
