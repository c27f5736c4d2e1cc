/** The lists within a lens: what is known of its halo, and what its owner knows of it. */
import {
  haloSampleOf,
  haloSampleSchema,
  rimSchema,
  knowledgeSchema,
  nothingKnown,
  lensSchema,
} from '../records';
import { fieldsOf } from './fieldsOf';
import type { NumberField } from './fieldTypes';
import type { Unit } from './quantity';

const lens = fieldsOf(lensSchema);
const sample = fieldsOf(haloSampleSchema);
const rim = fieldsOf(rimSchema);
const known = fieldsOf(knowledgeSchema);

/* Records that have numbers at some paths. */
export interface AsksNumber<P extends string> {
  number: (path: P, label: string, unit?: Unit) => NumberField;
}

/** A rim's two figures, wherever it stands. */
export const rimFields = (
  of: AsksNumber<'edgeRadiusMm' | 'softnessMm'>,
): readonly NumberField[] => [
  of.number('edgeRadiusMm', 'Edge radius', 'mm'),
  of.number('softnessMm', 'Softness', 'mm'),
];

export const SAMPLES = lens.list('halo', 'Halo samples', {
  one: 'sample',
  summary: 'focalMm',
  fresh: haloSampleOf({
    id: '',
    focalMm: 50,
    fNumber: 8,
    front: { edgeRadiusMm: 21.6, softnessMm: 1 },
    edgeSigmaMm: 0.5,
    evidence: { kind: 'published', date: '', frames: 0, source: '' },
  }),
  fields: [
    sample.number('focalMm', 'Focal length', 'mm'),
    sample.number('fNumber', 'f-number'),
    sample.choice('apertures', 'Speaks for apertures'),
    sample.number('focusM', 'Focus; empty is infinity', 'm'),
    sample.number('front.edgeRadiusMm', 'Edge radius, front rim', 'mm'),
    sample.choice('meaning', 'A published radius means'),
    sample.number('front.softnessMm', 'Softness, front rim', 'mm'),
    sample.maybe('rear', 'A second, rear rim', {
      fields: rimFields(rim),
      fresh: { edgeRadiusMm: 22, softnessMm: 1 },
    }),
    sample.number('exitPupilMm', 'Exit pupil from the sensor', 'mm'),
    sample.number('centreXMm', 'Centre, right', 'mm'),
    sample.number('centreYMm', 'Centre, down', 'mm'),
    sample.number('edgeSigmaMm', 'Edge known to ±', 'mm'),
    sample.choice('evidence.kind', 'Evidence'),
    sample.text('evidence.date', 'Date, such as 2026-05-12'),
    sample.number('evidence.frames', 'Test frames'),
    sample.text('evidence.source', 'Source'),
    sample.text('note', 'Note', true),
  ],
});

export const KNOWLEDGE = lens.list('knowledge', 'What you know of it', {
  one: 'note',
  summary: 'focalMm',
  fresh: nothingKnown('', null, null),
  fields: [
    known.number('focalMm', 'At the zoom mark; empty is any', 'mm'),
    known.number('fNumber', 'At the aperture; empty is any'),
    known.choice('corners', 'Corners'),
    known.choice('distortion', 'Distortion'),
    known.choice('breathing', 'Breathing'),
    known.choice('zoomFocus', 'Focus while zooming'),
    known.text('character', 'Character'),
  ],
});
