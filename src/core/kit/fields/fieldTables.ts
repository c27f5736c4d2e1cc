/** What of a record can be edited, in the order and the words it is asked for. */
import {
  number,
  maybe,
  text,
  choice,
  flag,
  mount,
  NAMES,
  MONEY,
  NOTES,
  size,
  CONTACTS,
  rim,
} from './fieldKinds';
import type { Field, FieldGroup, KitTable } from './fieldTypes';
import { FRESH_MODE } from '../records/freshBody';
import { PART_KINDS } from '../records/part';

const SAMPLES: Field = {
  kind: 'list',
  path: 'halo',
  label: 'Halo samples',
  one: 'sample',
  summary: 'focalMm',
  fresh: {
    id: '',
    focalMm: 50,
    fNumber: 8,
    focusM: null,
    front: { edgeRadiusMm: 21.6, softnessMm: 1 },
    rear: null,
    exitPupilMm: null,
    centreXMm: 0,
    centreYMm: 0,
    edgeSigmaMm: 0.5,
    evidence: { kind: 'published', date: '', frames: 0, source: '' },
    note: '',
  },
  fields: [
    number('focalMm', 'Focal length', 'mm'),
    number('fNumber', 'f-number'),
    maybe('focusM', 'Focus; empty is infinity', 'm'),
    ...rim('front.').map((f) => ({ ...f, label: `${f.label}, front rim` })),
    {
      kind: 'maybe',
      path: 'rear',
      label: 'A second, rear rim',
      fields: rim(''),
      fresh: { edgeRadiusMm: 22, softnessMm: 1 },
    },
    maybe('exitPupilMm', 'Exit pupil from the sensor', 'mm'),
    number('centreXMm', 'Centre, right', 'mm'),
    number('centreYMm', 'Centre, down', 'mm'),
    number('edgeSigmaMm', 'Edge known to ±', 'mm'),
    choice('evidence.kind', 'Evidence', ['measured', 'published', 'estimated']),
    text('evidence.date', 'Date, such as 2026-05-12'),
    number('evidence.frames', 'Test frames'),
    text('evidence.source', 'Source'),
    text('note', 'Note', true),
  ],
};

const LENSES: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      ...NAMES,
      mount('mountId', 'Mount'),
      choice('character', 'Kind', ['general', 'macro', 'cine', 'anamorphic']),
      number('focalMinMm', 'Focal length, short end', 'mm'),
      number('focalMaxMm', 'Focal length, long end', 'mm'),
      number('openFNumberWide', 'Widest aperture, short end'),
      number('openFNumberLong', 'Widest aperture, long end'),
      number('closedFNumber', 'Smallest aperture'),
      maybe('tStop', 'T-stop wide open'),
      ...size('designFormat', 'Made for'),
      number('squeeze', 'Squeeze'),
    ],
  },
  { title: 'Halo', fields: [SAMPLES, maybe('definitionRadiusMm', 'Definition radius', 'mm')] },
  {
    title: 'Focus and pupil',
    fields: [
      number('closestFocusM', 'Closest focus', 'm'),
      maybe('maxMagnification', 'Greatest magnification'),
      choice('focusing', 'Focuses', ['unit', 'internal', 'unknown']),
      maybe('pupilMagnification', 'Pupil magnification'),
    ],
  },
  {
    title: 'Body of the lens',
    fields: [
      maybe('rearProtrusionMm', 'Rear glass behind the flange', 'mm'),
      maybe('lengthMm', 'Length', 'mm'),
      ...MONEY,
      flag('radioactive', 'Mildly radioactive glass'),
    ],
  },
  {
    title: 'Sharpness',
    fields: [
      maybe('resolutionLpMm', 'Resolution in the middle', 'lp/mm'),
      choice('resolutionClass', 'Or its class', [
        'kit zoom',
        'good zoom',
        'good prime',
        'top long prime',
      ]),
    ],
  },
  CONTACTS,
  NOTES,
];

const CROPS: Field = {
  kind: 'list',
  path: 'crops',
  label: 'Stabilisation crops',
  one: 'crop',
  summary: 'name',
  fresh: { id: '', name: 'electronic', nominal: 1.1, measured: null },
  fields: [text('name', 'Name'), number('nominal', 'Nominal'), maybe('measured', 'Measured')],
};

const MODES: Field = {
  kind: 'list',
  path: 'modes',
  label: 'Recording modes',
  one: 'mode',
  summary: 'name',
  fresh: { ...FRESH_MODE, id: '' },
  fields: [
    text('name', 'Name'),
    choice('use', 'For', ['stills', 'video']),
    number('widthMm', 'Read-out width', 'mm'),
    number('heightMm', 'Read-out height', 'mm'),
    number('widthPx', 'Pixels across', 'px'),
    number('heightPx', 'Pixels down', 'px'),
    maybe('recordedWidthPx', 'Recorded across', 'px'),
    maybe('framesPerSecond', 'Frames a second', 'fps'),
    CROPS,
    { kind: 'numbers', path: 'digitalZooms', label: 'Digital zooms', unit: '' },
  ],
};

const GLASS_PLATE: readonly Field[] = [
  number('thicknessMm', 'Thickness', 'mm'),
  number('index', 'Refractive index'),
];

const BODIES: readonly FieldGroup[] = [
  { title: 'What it is', fields: [...NAMES, mount('mountId', 'Mount')] },
  { title: 'Modes', fields: [MODES] },
  {
    title: 'Stabiliser and focus',
    fields: [
      {
        kind: 'maybe',
        path: 'sensorTravel',
        label: 'The sensor moves',
        fresh: { shape: 'disc', xMm: 1.5, yMm: 0 },
        fields: [
          choice('shape', 'Within a', ['disc', 'box']),
          number('xMm', 'Travel, right', 'mm'),
          number('yMm', 'Travel, down', 'mm'),
        ],
      },
      maybe('stabiliserStops', 'Worth by hand', 'stops'),
      {
        kind: 'numbers',
        path: 'stabiliserFocalsMm',
        label: 'Focal lengths in its menu',
        unit: 'mm',
      },
      maybe('autofocusLimitFNumber', 'Autofocus up to'),
      {
        kind: 'list',
        path: 'autofocusPoints',
        label: 'Focus points',
        one: 'step',
        summary: 'upToFNumber',
        fresh: { upToFNumber: 5.6, points: 100 },
        fields: [number('upToFNumber', 'Up to'), number('points', 'Points')],
      },
    ],
  },
  {
    title: 'Behind the flange',
    fields: [
      maybe('clearDepthMm', 'Free depth of the sensor bay', 'mm'),
      maybe('mirrorDepthMm', 'Free depth before the mirror', 'mm'),
      {
        kind: 'maybe',
        path: 'coverGlass',
        label: 'Cover glass',
        fields: GLASS_PLATE,
        fresh: { thicknessMm: 2, index: 1.52 },
      },
    ],
  },
  { title: 'In the bag', fields: MONEY },
  NOTES,
];

const PARTS: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      ...NAMES,
      choice('kind', 'Kind', PART_KINDS),
      mount('frontMountId', 'Takes'),
      mount('rearMountId', 'Goes on'),
      number('factor', 'Factor'),
      number('thicknessMm', 'Thickness', 'mm'),
    ],
  },
  {
    title: 'Glass and rim',
    fields: [
      maybe('transmission', 'Light it passes, 0 to 1'),
      maybe('fastestFNumber', 'Fastest f-number it passes'),
      {
        kind: 'maybe',
        path: 'ownRim',
        label: 'A rim of its own',
        fresh: { edgeRadiusMm: 21, softnessMm: 2, fNumber: 2 },
        fields: [...rim(''), number('fNumber', 'At f-number')],
      },
      {
        kind: 'maybe',
        path: 'plate',
        label: 'Plane glass',
        fields: GLASS_PLATE,
        fresh: { thicknessMm: 2, index: 1.52 },
      },
      {
        kind: 'maybe',
        path: 'designFormat',
        label: 'Made for a format',
        fields: [number('widthMm', 'Width', 'mm'), number('heightMm', 'Height', 'mm')],
        fresh: { widthMm: 36, heightMm: 24 },
      },
    ],
  },
  {
    title: 'How it is built',
    fields: [
      maybe('clearDepthMm', 'Free depth for rear glass', 'mm'),
      number('helicoidMm', 'Helicoid runs out', 'mm'),
      number('shiftMm', 'Shifts to each side', 'mm'),
      ...MONEY,
    ],
  },
  CONTACTS,
  { title: 'Notes', fields: [text('note', 'Note', true)] },
];

const MOUNTS: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      text('name', 'Name'),
      { kind: 'names', path: 'aliases', label: 'You also call it' },
      number('registerMm', 'Register', 'mm'),
      choice('locking', 'Locks by', ['bayonet', 'screw', 'clamp', 'fixed']),
      maybe('throatMm', 'Throat', 'mm'),
      maybe('threadMm', 'Thread diameter', 'mm'),
      maybe('pitchMm', 'Thread pitch', 'mm'),
    ],
  },
  NOTES,
];

const MARKINGS: readonly FieldGroup[] = [
  {
    title: 'What it means',
    fields: [
      text('name', 'Stands on the barrel'),
      ...size('designFormat', 'Made for'),
      text('note', 'Note', true),
    ],
  },
];

export const FIELDS: Record<KitTable, readonly FieldGroup[]> = {
  lenses: LENSES,
  bodies: BODIES,
  parts: PARTS,
  mounts: MOUNTS,
  markings: MARKINGS,
};
