/** Files to pixels and settings. What decodes JPEG is given from outside: a browser has its own. */
import { fail, ok, type Result } from '../../words';
import { SIMULATED_MAKER, SIMULATED_MODEL } from './cameraMark';
import {
  containerOf,
  isPlainPng,
  largestJpeg,
  pictureSize,
  pngPixelsAlone,
  pngTone,
} from './container';
import { exifTags } from './exif';
import type { PixelImage } from './pixels';
import { readPng } from './pngFile';
import { heldBytes, RefusedPicture, refuseBytes, refuseLarge } from './refused';
import { readTiff } from './tiffFile';
import { unkeptIn } from './unkept';

/** Decodes 8-bit JPEG or PNG; throws where it cannot. */
export type PictureDecoder = (bytes: Uint8Array) => Promise<PixelImage>;

export interface FrameSettings {
  focalMm: number | null;
  fNumber: number | null;
  exposureS: number | null;
  iso: number | null;
  /** ISO local time, or null. */
  takenAt: string | null;
}

/** What a file says of the camera that took it. */
export interface CameraTold {
  /** Maker and model; null where it does not say. */
  name: string | null;
  /** Long side of the picture on the sensor by the file's resolution on the focal plane, mm; null likewise. */
  sensorLongMm: number | null;
}

export interface DecodedFrame {
  image: PixelImage;
  settings: FrameSettings;
  camera: CameraTold;
  /** What the file itself says of its tone response. */
  toldTone: 'srgb' | 'linear' | null;
  /** True where the picture is the preview of a raw file. */
  preview: boolean;
  /** True where the file says that the simulated camera took it. */
  simulated: boolean;
  /** Why the file could not be written again with other pixels and all it holds, going on from its name; null where it could. */
  unkept: string | null;
}

const MOST_FILE_BYTES = 400e6;

const NO_SETTINGS: FrameSettings = {
  focalMm: null,
  fNumber: null,
  exposureS: null,
  iso: null,
  takenAt: null,
};

const positive = (value: unknown): number | null =>
  typeof value === 'number' && Number.isFinite(value) && value > 0 && value < 1e6 ? value : null;

interface ReadSettings {
  settings: FrameSettings;
  camera: CameraTold;
  srgb: boolean;
  simulated: boolean;
}

const NOTHING_TOLD: ReadSettings = {
  settings: NO_SETTINGS,
  camera: { name: null, sensorLongMm: null },
  srgb: false,
  simulated: false,
};

/** Millimetres of EXIF's units of resolution: none and inch, cm, mm (JEITA CP-3451, from memory). */
const UNIT_MM: Readonly<Record<number, number>> = { 1: 25.4, 2: 25.4, 3: 10, 4: 1 };
const MOST_SENSOR_MM = 400;

/** What EXIF says of the camera: pixels over pixels a unit is the sensor's side. */
function cameraOf(tags: Record<string, unknown>): CameraTold {
  const sides = (
    [
      ['ExifImageWidth', 'FocalPlaneXResolution'],
      ['ExifImageHeight', 'FocalPlaneYResolution'],
    ] as const
  ).map(([px, resolution]) => {
    const unit = UNIT_MM[positive(tags.FocalPlaneResolutionUnit) ?? 2];
    const [pixels, perUnit] = [positive(tags[px]), positive(tags[resolution])];
    return pixels && perUnit && unit ? (pixels / perUnit) * unit : null;
  });
  const longMm = Math.max(...sides.map((side) => side ?? 0));
  const name = [tags.Make, tags.Model]
    .filter((t) => typeof t === 'string')
    .join(' ')
    .trim();
  return {
    name: name.slice(0, 80) || null,
    sensorLongMm: longMm > 1 && longMm < MOST_SENSOR_MM ? longMm : null,
  };
}

/** What a file's EXIF tells of how it was taken. */
async function readSettings(bytes: Uint8Array): Promise<ReadSettings> {
  const tags = await exifTags(bytes);
  if (!tags) return NOTHING_TOLD;
  const time = tags.DateTimeOriginal ?? tags.ModifyDate;
  const fNumber = positive(tags.FNumber);
  return {
    settings: {
      focalMm: positive(tags.FocalLength),
      fNumber: fNumber !== null && fNumber >= 0.5 && fNumber <= 128 ? fNumber : null,
      exposureS: positive(tags.ExposureTime),
      iso: positive(tags.ISO),
      takenAt:
        typeof time === 'string' && /^\d{4}:\d\d:\d\d \d\d:\d\d:\d\d/.test(time)
          ? `${time.slice(0, 10).replace(/:/g, '-')}T${time.slice(11, 19)}`
          : null,
    },
    camera: cameraOf(tags),
    srgb: tags.ColorSpace === 1,
    simulated: tags.Make === SIMULATED_MAKER && tags.Model === SIMULATED_MODEL,
  };
}

/** Decoders' pictures are of 8 bits and three colours, nearly always. */
const DECODED_BYTES = 3;

/** A decoder that asks the header first. */
const bounded =
  (decodePicture: PictureDecoder, mostWorkBytes: number): PictureDecoder =>
  (bytes) => {
    const size = pictureSize(bytes);
    refuseLarge(size);
    const fileBytes = heldBytes(containerOf(bytes), bytes.length);
    const pictureBytes = DECODED_BYTES * (size?.widthPx ?? 0) * (size?.heightPx ?? 0);
    refuseBytes({ kind: 'jpeg', pictureBytes, fileBytes, mostWorkBytes });
    return decodePicture(bytes);
  };

/** A TIFF as it stands, or, where it is a raw file, the picture it carries. */
async function tiffOrPreview(
  bytes: Uint8Array,
  decodePicture: PictureDecoder,
  mostWorkBytes: number,
) {
  let refused: RefusedPicture | null = null;
  try {
    const read = await readTiff(bytes, mostWorkBytes);
    if (read) return { ...read, preview: false };
  } catch (error) {
    // A raw file is a TIFF of a kind of its own: its preview is looked for.
    if (error instanceof RefusedPicture) refused = error;
    if (refused && !refused.mayBeRaw) throw refused;
  }
  const found = await previewIn(bytes, decodePicture).catch((error: unknown) => {
    throw refused ?? error;
  });
  if (!found && refused) throw refused;
  return found;
}

/** The picture a raw file carries for looking at; null where it carries none. */
async function previewIn(bytes: Uint8Array, decodePicture: PictureDecoder) {
  const jpeg = largestJpeg(bytes);
  return jpeg ? { image: await decodePicture(jpeg), furtherValues: 0, preview: true } : null;
}

async function pictureOf(bytes: Uint8Array, decoder: PictureDecoder, mostWorkBytes: number) {
  const decodePicture = bounded(decoder, mostWorkBytes);
  switch (containerOf(bytes)) {
    case 'jpeg':
      return { image: await decodePicture(bytes), furtherValues: 0, preview: false };
    case 'png': {
      const image = isPlainPng(bytes)
        ? await readPng(bytes, mostWorkBytes)
        : await decodePicture(pngPixelsAlone(bytes));
      return { image, furtherValues: 0, preview: false };
    }
    case 'tiff':
      return tiffOrPreview(bytes, decodePicture, mostWorkBytes);
    case 'other':
      return previewIn(bytes, decodePicture);
  }
}

/** Why a file of so many bytes is not read at all; null where it is. */
export const tooLarge = (name: string, bytes: number): string | null =>
  bytes > MOST_FILE_BYTES ? `${name} is larger than ${MOST_FILE_BYTES / 1e6} MB.` : null;

/**
 * Reads a frame's file, whatever it is; the sentence of a failure names the file. A picture that would take more than
 * `mostWorkBytes` of memory while it is decoded is refused.
 */
export async function decodeFrame(
  bytes: Uint8Array,
  name: string,
  decodePicture: PictureDecoder,
  mostWorkBytes = Infinity,
): Promise<Result<DecodedFrame>> {
  if (bytes.length === 0) return fail('empty', '', `${name} is empty.`);
  const large = tooLarge(name, bytes.length);
  if (large) return fail('tooLarge', '', large);
  const whole = `${name} cannot be read as a picture: it is damaged, cut short, or not a JPEG, PNG, TIFF or raw file.`;
  try {
    const found = await pictureOf(bytes, decodePicture, mostWorkBytes);
    if (!found) return fail('picture', '', whole);
    const { image, preview, furtherValues } = found;
    refuseLarge(image);
    const { settings, camera, srgb, simulated } = await readSettings(bytes);
    const container = containerOf(bytes);
    const told = container === 'png' ? pngTone(bytes) : null;
    return ok({
      image,
      settings,
      camera,
      toldTone: told ?? (srgb ? 'srgb' : null),
      preview,
      simulated,
      unkept: unkeptIn(bytes, container, furtherValues),
    });
  } catch (error) {
    return error instanceof RefusedPicture
      ? fail(error.code, '', `${name} ${error.message}`)
      : fail('picture', '', whole);
  }
}
