/**
 * From what people know of a camera, a lens and what goes between to records that stand on the Bench. What nobody
 * knows is taken as usual and marked estimated.
 */
import { diagonalMm, FORMATS, type FrameSize, type NamedFormat } from '../../optics';
import { mm, fail, ok, type Result } from '../../words';
import {
  nonsenseIn,
  readEngraving,
  readingWords,
  type EngravedFacts,
  fNumberOfTStop,
  quickLens,
  type LensFacts,
} from '../../kit';
import {
  type Body,
  type Lens,
  type Marking,
  type Mount,
  type Part,
  restingSettings,
  type RigRecord,
  type Workspace,
  rigRecordOf,
} from '../records';
import { knownMounts, mountHere, mountRecord, STARTER_MOUNTS, type StarterMount } from './mounts';
import { movesUsually, COMMON_SENSORS, quickBody } from './quickBody';
import { NOTHING_TOLD, type Between, type StartAnswers } from './answers';
import { quickPart, type PartFacts } from './quickPart';

export interface Ids {
  body: string;
  lens: string;
  rig: string;
}

/** Records that were not there, or say more than they did, and the rig they make. */
export interface Started {
  mounts: Mount[];
  body: Body;
  lens: Lens;
  part: Part | null;
  rig: RigRecord;
  /** What was taken as usual, a sentence each. */
  taken: string[];
}

const formatById = (id: string | null): NamedFormat | null =>
  FORMATS.find((f) => f.id === id) ?? null;

/** One of the lists here, which a test holds to be there. */
function known<T extends { id: string }>(list: readonly T[], id: string): T {
  const found = list.find((item) => item.id === id);
  if (!found) throw new RangeError(`nothing known as ${id}`);
  return found;
}

const FULL = known(FORMATS, '36x24');

/** The mount a camera of some sensor usually has. */
const MOUNT_OF_SENSOR: Readonly<Record<string, string>> = {
  'four-thirds-inch': 'sr-19.25',
  '44x33': 'ml-26.7',
  '35-full-gate': 'cine-52',
  'large-cine': 'cine-52',
};
const usualCameraMount = (sensorId: string | null): StarterMount =>
  known(STARTER_MOUNTS, MOUNT_OF_SENSOR[sensorId ?? ''] ?? 'ml-18');

/** Cameras with a register as short take lenses of others by an adapter. */
const SHORT_REGISTER_MM = 30;
const usualLensMount = (camera: StarterMount, between: Between | null): StarterMount =>
  between !== null && between.kind !== 'nothing' && camera.registerMm < SHORT_REGISTER_MM
    ? known(STARTER_MOUNTS, 'slr-44')
    : camera;

interface Guess {
  camera: StarterMount;
  lens: StarterMount;
  sensor: NamedFormat;
  lensFormat: NamedFormat;
}

/** What is usual where nobody told. */
function guessed(answers: StartAnswers, mounts: readonly Mount[]): Guess {
  const { cameraMountId, lensMountId, sensorId, lensFormatId, between } = answers;
  const choices = knownMounts(mounts);
  const told = (id: string | null) => choices.find((m) => m.id === id);
  const camera = told(cameraMountId) ?? usualCameraMount(sensorId);
  const lens = told(lensMountId) ?? usualLensMount(camera, between);
  const usualSensor = COMMON_SENSORS.find((s) => s.formatId === camera.formatId)?.formatId;
  return {
    camera,
    lens,
    sensor: formatById(sensorId) ?? formatById(usualSensor ?? null) ?? FULL,
    lensFormat: formatById(lensFormatId) ?? formatById(lens.formatId) ?? FULL,
  };
}

/** The record of a starter mount in a workspace, with the name its owner gives it. */
function mountWith(starter: StarterMount, own: string, mounts: readonly Mount[]): Mount {
  const record = mountHere(starter, mounts) ?? mountRecord(starter);
  const name = own.trim();
  const isKnown = name === '' || record.name === name || record.aliases.includes(name);
  return isKnown ? record : { ...record, aliases: [...record.aliases, name].slice(-50) };
}

/** Speeds taken where none stands on the lens; common practice, no source. */
const USUAL_SPEED = { prime: 2.8, zoom: 4 } as const;
/** A normal lens is about as long as the diagonal, or a little longer; common practice, no source. */
const NORMAL_SHARE = 1.15;

const normalFocalMm = (format: FrameSize): number =>
  Math.max(5, 5 * Math.round((diagonalMm(format) * NORMAL_SHARE) / 5));

/** A fact that may not have been told: then what was taken for it, in words, and the fields it fills. */
interface Guessed {
  fields: (keyof Lens)[];
  words: string;
}

/** What stands on a lens, with what is usual where it does not say. */
function factsOfAnswers(
  text: string,
  read: EngravedFacts,
  { formatId, usual, mountId }: { formatId: string | null; usual: NamedFormat; mountId: string },
): { facts: LensFacts; guesses: Guessed[] } {
  const format = (formatId === null ? read.designFormat : formatById(formatId)) ?? usual;
  const focalMinMm = read.focalMinMm ?? normalFocalMm(format);
  const focalMaxMm = read.focalMaxMm ?? focalMinMm;
  const usualSpeed = focalMaxMm > focalMinMm ? USUAL_SPEED.zoom : USUAL_SPEED.prime;
  const ofT = read.tStop === null ? null : fNumberOfTStop(read.tStop);
  const openFNumberWide = read.openFNumberWide ?? ofT ?? usualSpeed;
  const { widthMm, heightMm } = format;
  const when = (holds: boolean, guess: Guessed): Guessed[] => (holds ? [guess] : []);
  return {
    facts: {
      name: text || `A normal lens, ${mm(focalMinMm, 0)}`,
      maker: '',
      mountId,
      focalMinMm,
      focalMaxMm,
      openFNumberWide,
      openFNumberLong: read.openFNumberLong ?? openFNumberWide,
      tStop: read.tStop,
      designFormat: { widthMm, heightMm },
    },
    guesses: [
      ...when(text === '', {
        fields: ['focalMinMm', 'focalMaxMm'],
        words: `a normal lens of ${mm(focalMinMm, 0)}`,
      }),
      ...when(read.openFNumberWide === null && ofT === null, {
        fields: ['openFNumberWide', 'openFNumberLong'],
        words: `f/${openFNumberWide} wide open`,
      }),
      ...when(formatId === null && read.designFormat === null, {
        fields: ['designFormat'],
        words: `a lens made for ${widthMm}×${heightMm}`,
      }),
    ],
  };
}

/** A focal length and nothing else, as people type it: "50", "70-210". */
const FOCAL_ALONE = /^\d{1,4}(\s*[-–]\s*\d{1,4})?$/;

/** What stands on a lens, or what its owner says of it. */
const engravedFacts = (text: string, markings: readonly Marking[]): EngravedFacts =>
  readEngraving(FOCAL_ALONE.test(text) ? `${text} mm` : text, markings);

function lensOfAnswers(
  { engraved, lensFormatId }: StartAnswers,
  usual: NamedFormat,
  mountId: string,
  markings: readonly Marking[],
  id: string,
): Result<{ lens: Lens; taken: string[] }> {
  const text = engraved.trim();
  const read = engravedFacts(text, markings);
  if (read.readings.length > 0)
    return fail(
      'readsTwoWays',
      '/engraved',
      `What stands on the lens reads as ${read.readings.map(readingWords).join(' or as ')}: type the one it is.`,
    );
  if (text !== '' && read.focalMinMm === null)
    return fail(
      'engraving',
      '/engraved',
      'No focal length can be read in what stands on the lens: it should look like 35–70/3.5–4.5, 50mm f/1.8 or 50 T2.1.',
    );
  const { facts, guesses } = factsOfAnswers(text, read, { formatId: lensFormatId, usual, mountId });
  const nonsense = nonsenseIn(facts);
  if (nonsense) return fail('nonsense', '/engraved', nonsense);
  const lens = quickLens(facts, id);
  return ok({
    lens: { ...lens, estimated: [...lens.estimated, ...guesses.flatMap((g) => g.fields)] },
    taken: guesses.map((g) => g.words),
  });
}

/** The part between, null for nothing; where nobody knows, a plain adapter if one can be built. */
function partOfAnswers(
  { between }: StartAnswers,
  front: Mount,
  rear: Mount,
  designFormat: PartFacts['designFormat'],
): Result<{ part: Part | null; taken: string[] }> {
  const none = { part: null, taken: [] };
  if (between === null) {
    if (front.id === rear.id) return ok({ part: null, taken: ['nothing between'] });
    const plain = quickPart({ kind: 'plain adapter', factor: 1, front, rear, designFormat: null });
    if (!plain.ok) return plain;
    return ok({
      part: { ...plain.value, estimated: ['kind'] },
      taken: [`a plain adapter of ${mm(plain.value.thicknessMm, 2)}`],
    });
  }
  if (between.kind === 'nothing') return ok(none);
  const made = quickPart({ ...between, front, rear, designFormat });
  return made.ok ? ok({ part: made.value, taken: [] }) : made;
}

/** The camera's name where its owner gives none. */
function usualName({ megapixels }: CameraTold, sensor: NamedFormat): string {
  const pixels = megapixels === null ? '' : `${megapixels} MP `;
  return `${pixels}${sensor.widthMm}×${sensor.heightMm} camera`;
}

function takenOfCamera(answers: StartAnswers, { sensor, camera, lens }: Guess): string[] {
  const size = `${sensor.widthMm}×${sensor.heightMm}`;
  return [
    ...(answers.sensorId === null ? [`a sensor of ${size}`] : []),
    ...(answers.isStabilised === null
      ? [
          movesUsually(sensor)
            ? 'a stabiliser that moves the sensor as usual'
            : 'a sensor that stands still, as in most such cameras',
        ]
      : []),
    ...(answers.cameraMountId === null ? [`${camera.name} on the camera`] : []),
    ...(answers.lensMountId === null ? [`${lens.name} on the lens`] : []),
  ];
}

/** The mounts of camera and lens as told, or as usual. */
export function startEnds(
  answers: StartAnswers,
  { mounts }: Pick<Workspace, 'mounts'>,
): { front: Mount; rear: Mount; guess: Guess } {
  const guess = guessed(answers, mounts);
  const own = (m: StarterMount) => answers.ownNames[m.id] ?? '';
  const rear = mountWith(guess.camera, own(guess.camera), mounts);
  const front =
    guess.lens.id === guess.camera.id ? rear : mountWith(guess.lens, own(guess.lens), mounts);
  return { front, rear, guess };
}

type CameraTold = Omit<StartAnswers, 'lensMountId' | 'lensFormatId' | 'engraved' | 'between'>;

const bodyOfAnswers = (answers: CameraTold, format: NamedFormat, mountId: string, id: string) =>
  quickBody(
    {
      name: answers.cameraName.trim() || usualName(answers, format),
      mountId,
      format,
      megapixels: answers.megapixels,
      isStabilised: answers.isStabilised,
      isSensorTold: answers.sensorId !== null,
      isMountTold: answers.cameraMountId !== null,
    },
    id,
  );

/** A camera alone, and the mount it has. */
export function startedBody(
  told: CameraTold,
  workspace: Pick<Workspace, 'mounts'>,
  id: string,
): { body: Body; mount: Mount } {
  const { rear, guess } = startEnds({ ...NOTHING_TOLD, ...told }, workspace);
  return { body: bodyOfAnswers(told, guess.sensor, rear.id, id), mount: rear };
}

/** What a whole page of answers comes to, or why it cannot be. */
export function started(
  answers: StartAnswers,
  workspace: Pick<Workspace, 'mounts' | 'markings' | 'parts'>,
  ids: Ids,
): Result<Started> {
  const { front, rear, guess } = startEnds(answers, workspace);
  const { sensor } = guess;
  const lensFound = lensOfAnswers(
    answers,
    guess.lensFormat,
    front.id,
    workspace.markings,
    ids.lens,
  );
  if (!lensFound.ok) return lensFound;
  const partFound = partOfAnswers(answers, front, rear, sensor);
  if (!partFound.ok) return partFound;
  const { lens } = lensFound.value;
  const made = partFound.value.part;
  const part = workspace.parts.find((p) => p.id === made?.id) ?? made;
  const body = bodyOfAnswers(answers, sensor, rear.id, ids.body);
  const mode = body.modes.find((m) => m.use === answers.use) ?? body.modes[0];
  const rig = rigRecordOf({
    id: ids.rig,
    name: `${lens.name} on ${body.name}`.slice(0, 200),
    bodyId: body.id,
    modeId: mode?.id ?? '',
    lensId: lens.id,
    partIds: part ? [part.id] : [],
    settings: {
      ...restingSettings(lens.focalMinMm, lens.openFNumberWide),
      stabiliser: body.sensorTravel !== null,
    },
  });
  return ok({
    mounts: front === rear ? [rear] : [rear, front],
    body,
    lens: answers.lensMountId === null ? estimatedToo(lens, 'mountId') : lens,
    part,
    rig,
    taken: [...takenOfCamera(answers, guess), ...lensFound.value.taken, ...partFound.value.taken],
  });
}

const estimatedToo = (lens: Lens, field: 'mountId'): Lens => ({
  ...lens,
  estimated: [...lens.estimated, field],
});
