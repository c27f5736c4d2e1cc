/** What of a record can be edited, in the order and the words it is asked for. */
import {
  autofocusPointsSchema,
  bodySchema,
  freshMode,
  modeSchema,
  sensorTravelSchema,
  stabilisationCropSchema,
  frameSizeSchema,
  plateSchema,
  lensSchema,
  markingSchema,
  mountSchema,
  openingSchema,
  ownRimSchema,
  partSchema,
} from '../records';
import { fieldsOf } from './fieldsOf';
import { KNOWLEDGE, rimFields, SAMPLES, type AsksNumber } from './lensLists';
import type { FieldGroup, KitTable, ScalarField } from './fieldTypes';

const lens = fieldsOf(lensSchema);
const body = fieldsOf(bodySchema);
const part = fieldsOf(partSchema);
const mount = fieldsOf(mountSchema);
const marking = fieldsOf(markingSchema);
const mode = fieldsOf(modeSchema);
const crop = fieldsOf(stabilisationCropSchema);
const travel = fieldsOf(sensorTravelSchema);
const points = fieldsOf(autofocusPointsSchema);
const ownRim = fieldsOf(ownRimSchema);
const opening = fieldsOf(openingSchema);
const glass = fieldsOf(plateSchema);
const frame = fieldsOf(frameSizeSchema);

/* Fields that several records share: each is asked of the record's own schema, so that it has them. */
interface AsksText<P extends string> {
  text: (path: P, label: string, long?: boolean) => ScalarField;
}
type Contact = 'focus' | 'aperture' | 'metadata' | 'stabiliser';
interface AsksContacts {
  flag: (path: `electronics.${Contact}`, label: string) => ScalarField;
}

const names = (of: AsksText<'name' | 'maker'>): readonly ScalarField[] => [
  of.text('name', 'Name'),
  of.text('maker', 'Maker'),
];

interface AsksChoice<P extends string> {
  choice: (path: P, label: string) => ScalarField;
}

const carried = (
  of: AsksNumber<'massG' | 'price' | 'priceNew'> & AsksChoice<'availability'>,
): readonly ScalarField[] => [
  of.number('massG', 'Mass', 'g'),
  of.number('price', 'Price, used'),
  of.number('priceNew', 'Price, new'),
  of.choice('availability', 'How it is to be had'),
];

const notes = (of: AsksText<'note' | 'licence'>): FieldGroup => ({
  title: 'Notes',
  fields: [of.text('note', 'Note', true), of.text('licence', 'Licence of the data')],
});

const contacts = (of: AsksContacts, ...more: readonly ScalarField[]): FieldGroup => ({
  title: 'Contacts carry',
  fields: [
    of.flag('electronics.focus', 'Focus'),
    of.flag('electronics.aperture', 'Aperture'),
    of.flag('electronics.metadata', 'Metadata'),
    of.flag('electronics.stabiliser', 'Stabiliser'),
    ...more,
  ],
});

const GLASS = [
  glass.number('thicknessMm', 'Thickness', 'mm'),
  glass.number('index', 'Refractive index'),
];
const FRESH_GLASS = { thicknessMm: 2, index: 1.52 };

const LENSES: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      ...names(lens),
      lens.mount('mountId', 'Mount'),
      lens.choice('character', 'Kind'),
      lens.number('focalMinMm', 'Focal length, short end', 'mm'),
      lens.number('focalMaxMm', 'Focal length, long end', 'mm'),
      lens.number('openFNumberWide', 'Widest aperture, short end'),
      lens.number('openFNumberLong', 'Widest aperture, long end'),
      lens.number('closedFNumber', 'Smallest aperture'),
      lens.number('tStop', 'T-stop wide open'),
      ...lens.size('designFormat', 'Made for'),
      lens.number('squeeze', 'Squeeze'),
    ],
  },
  {
    title: 'Halo',
    fields: [SAMPLES, lens.number('definitionRadiusMm', 'Definition radius', 'mm')],
  },
  {
    title: 'Focus and pupil',
    fields: [
      lens.number('closestFocusM', 'Closest focus', 'm'),
      lens.number('maxMagnification', 'Greatest magnification'),
      lens.choice('focusing', 'Focuses'),
      lens.number('pupilMagnification', 'Pupil magnification'),
    ],
  },
  {
    title: 'Body of the lens',
    fields: [
      lens.number('rearProtrusionMm', 'Rear glass behind the flange', 'mm'),
      lens.flag('mountTab', 'A tab on its mount keeps it off some'),
      lens.choice('apertureRing', 'Aperture ring'),
      lens.number('lengthMm', 'Length', 'mm'),
      ...carried(lens),
      lens.flag('radioactive', 'Mildly radioactive glass'),
    ],
  },
  {
    title: 'Sharpness',
    fields: [
      lens.number('resolutionLpMm', 'Resolution in the middle', 'lp/mm'),
      lens.choice('resolutionClass', 'Or its class'),
    ],
  },
  { title: 'As you know it', fields: [KNOWLEDGE] },
  contacts(lens),
  notes(lens),
];

const CROPS = mode.list('crops', 'Stabilisation crops', {
  one: 'crop',
  summary: 'name',
  fresh: { id: '', name: 'electronic', nominal: 1.1, measured: null },
  fields: [
    crop.text('name', 'Name'),
    crop.number('nominal', 'Nominal'),
    crop.number('measured', 'Measured'),
  ],
});

const MODES = body.list('modes', 'Recording modes', {
  one: 'mode',
  summary: 'name',
  fresh: freshMode(''),
  fields: [
    mode.text('name', 'Name'),
    mode.choice('use', 'For'),
    mode.number('widthMm', 'Read-out width', 'mm'),
    mode.number('heightMm', 'Read-out height', 'mm'),
    mode.number('middleXMm', 'Off the middle, right', 'mm'),
    mode.number('middleYMm', 'Off the middle, down', 'mm'),
    mode.number('widthPx', 'Pixels across', 'px'),
    mode.number('heightPx', 'Pixels down', 'px'),
    mode.number('recordedWidthPx', 'Recorded across', 'px'),
    mode.choice('sampling', 'From read to recorded'),
    mode.number('framesPerSecond', 'Frames a second', 'fps'),
    CROPS,
    mode.numbers('digitalZooms', 'Digital zooms'),
  ],
});

const BODIES: readonly FieldGroup[] = [
  { title: 'What it is', fields: [...names(body), body.mount('mountId', 'Mount')] },
  { title: 'Modes', fields: [MODES] },
  {
    title: 'Stabiliser and focus',
    fields: [
      body.maybe('sensorTravel', 'The sensor moves', {
        fresh: { shape: 'disc', xMm: 1.5, yMm: 0 },
        fields: [
          travel.choice('shape', 'Within a'),
          travel.number('xMm', 'Travel, right, or of a disc', 'mm'),
          travel.number('yMm', 'Travel, down, of a box', 'mm'),
        ],
      }),
      body.number('stabiliserStops', 'Worth by hand', 'stops'),
      body.numbers('stabiliserFocalsMm', 'Focal lengths in its menu', 'mm'),
      body.number('autofocusLimitFNumber', 'Autofocus up to'),
      body.choice('digitalZoomWith', 'Digital zoom with'),
      body.choice('digitalZoomFocus', 'Autofocus in digital zoom'),
      body.list('autofocusPoints', 'Focus points', {
        one: 'step',
        summary: 'upToFNumber',
        fresh: { upToFNumber: 5.6, points: 100 },
        fields: [points.number('upToFNumber', 'Up to'), points.number('points', 'Points')],
      }),
    ],
  },
  {
    title: 'Behind the flange',
    fields: [
      body.number('clearDepthMm', 'Free depth of the sensor bay', 'mm'),
      body.number('mirrorDepthMm', 'Free depth before the mirror', 'mm'),
      body.choice('takesTab', 'Takes lenses with a tab'),
      body.maybe('coverGlass', 'Cover glass', { fields: GLASS, fresh: FRESH_GLASS }),
    ],
  },
  { title: 'In the bag', fields: carried(body) },
  notes(body),
];

const PARTS: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      ...names(part),
      part.choice('kind', 'Kind'),
      part.mount('frontMountId', 'Takes'),
      part.mount('rearMountId', 'Goes on'),
      part.number('factor', 'Factor'),
      part.number('thicknessMm', 'Thickness', 'mm'),
    ],
  },
  {
    title: 'Glass and rim',
    fields: [
      part.number('transmission', 'Light it passes, 0 to 1'),
      part.number('fastestFNumber', 'Fastest f-number it passes'),
      part.maybe('ownRim', 'A rim of its own', {
        fresh: { edgeRadiusMm: 21, softnessMm: 2, fNumber: 2, exitPupilMm: null },
        fields: [
          ...rimFields(ownRim),
          ownRim.number('fNumber', 'At f-number'),
          ownRim.number('exitPupilMm', 'Seen with an exit pupil at', 'mm'),
        ],
      }),
      part.maybe('opening', 'A rectangular opening', {
        fresh: { widthMm: 36, heightMm: 24, beforeFlangeMm: 0 },
        fields: [
          opening.number('widthMm', 'Width', 'mm'),
          opening.number('heightMm', 'Height', 'mm'),
          opening.number('beforeFlangeMm', 'Before its rear flange', 'mm'),
        ],
      }),
      part.maybe('plate', 'Plane glass', { fields: GLASS, fresh: FRESH_GLASS }),
      part.maybe('designFormat', 'Made for a format', {
        fields: [frame.number('widthMm', 'Width', 'mm'), frame.number('heightMm', 'Height', 'mm')],
        fresh: { widthMm: 36, heightMm: 24 },
      }),
    ],
  },
  {
    title: 'How it is built',
    fields: [
      part.number('clearDepthMm', 'Free depth for rear glass', 'mm'),
      part.choice('takesTab', 'Takes lenses with a tab'),
      part.number('helicoidMm', 'Helicoid runs out', 'mm'),
      part.number('shiftMm', 'Shifts to each side', 'mm'),
      ...carried(part),
    ],
  },
  contacts(part, part.choice('autofocus', 'Autofocus through it')),
  { title: 'Notes', fields: [part.text('note', 'Note', true)] },
];

const MOUNTS: readonly FieldGroup[] = [
  {
    title: 'What it is',
    fields: [
      mount.text('name', 'Name'),
      mount.names('aliases', 'You also call it'),
      mount.number('registerMm', 'Register', 'mm'),
      mount.choice('locking', 'Locks by'),
      mount.number('throatMm', 'Throat', 'mm'),
      mount.number('threadMm', 'Thread diameter', 'mm'),
      mount.number('pitchMm', 'Thread pitch', 'mm'),
    ],
  },
  notes(mount),
];

const MARKINGS: readonly FieldGroup[] = [
  {
    title: 'What it means',
    fields: [
      marking.text('name', 'Stands on the barrel'),
      ...marking.size('designFormat', 'Made for'),
      marking.text('note', 'Note', true),
    ],
  },
];

/**
 * What is not asked of a front converter: it stands on the lens's front thread, and has neither mounts nor contacts, nor
 * anything behind it that moves.
 */
const NOT_OF_A_FRONT: ReadonlySet<string> = new Set([
  'frontMountId',
  'rearMountId',
  'clearDepthMm',
  'takesTab',
  'helicoidMm',
  'shiftMm',
  'autofocus',
  'electronics.focus',
  'electronics.aperture',
  'electronics.metadata',
  'electronics.stabiliser',
]);

export const FIELDS: Record<KitTable, readonly FieldGroup[]> = {
  lenses: LENSES,
  bodies: BODIES,
  parts: PARTS,
  mounts: MOUNTS,
  markings: MARKINGS,
};

/** The fields of a table that are asked of one record; groups of which none is asked are left out. */
export function fieldsFor(table: KitTable, record: object): readonly FieldGroup[] {
  const isOfFront = 'kind' in record && record.kind === 'front converter';
  if (table !== 'parts' || !isOfFront) return FIELDS[table];
  return FIELDS[table]
    .map((group) => ({
      ...group,
      fields: group.fields.filter(({ path }) => !NOT_OF_A_FRONT.has(path)),
    }))
    .filter(({ fields }) => fields.length > 0);
}

/** Fields of a table that hold one value each, for columns and for changing many records at once. */
export function scalarFields(table: KitTable): ScalarField[] {
  return FIELDS[table].flatMap((group) =>
    group.fields.filter((f): f is ScalarField => f.kind !== 'list' && f.kind !== 'maybe'),
  );
}
