/** A thin door to correction: gain maps, profiles for other programs, and pictures that are lifted. */
import { expose } from 'comlink';
import {
  type FrameOnSensor,
  gainMapFile,
  type GainFile,
  type GainFormat,
  liftCost,
  liftPicture,
  type LiftCost,
  framedBy,
  screenValues,
  thinned,
  writtenLike,
  type JpegEncoder,
  type OpenedFile,
  type PictureView,
  type WrittenPicture,
} from '@/core/correction';
import { lensfunProfile } from '@/core/exchange/lensfun';
import {
  containerOf,
  decodeFrame,
  tooLarge,
  type FrameSettings,
  type PixelImage,
} from '@/core/measure/file';
import { recordedOf, situationOf, type Rig } from '@/core/rig';
import { problemText } from '@/core/words';
import { decodePicture } from './decodePicture';
import { bytesOf } from './readFile';

export interface Refusal {
  sentence: string;
}

export interface ProfileFile {
  xml: string;
  written: number;
  leftOut: { label: string; reason: string }[];
  errorStops: number;
  validShare: number;
}

export interface OpenedPicture {
  /** Small, as it is and lifted, for looking at. */
  before: ImageBitmap;
  after: ImageBitmap;
  widthPx: number;
  heightPx: number;
  frame: FrameOnSensor;
  cost: LiftCost;
  settings: FrameSettings;
  /** Share of the picture that the lift drives into white, 0..1. */
  clippedShare: number;
  tone: 'srgb' | 'linear';
}

export interface LiftChoice {
  view: PictureView;
  /** 0..1 of the whole lift. */
  strength: number;
}

interface Held extends OpenedFile {
  image: PixelImage;
  tone: 'srgb' | 'linear';
  settings: FrameSettings;
}

/** The picture in hand; one at a time, as one alone may fill half the memory. */
let held: Held | null = null;
const NONE_HELD: Refusal = { sentence: 'The picture is not held any more: open it again.' };

/** Longest side of what is looked at, px. */
const LOOK_PX = 1400;

const onScreen = (image: PixelImage): ImageData =>
  new ImageData(screenValues(image), image.widthPx, image.heightPx);

const JPEG_QUALITY = 0.95;

const encodeJpeg: JpegEncoder = async (image) => {
  const canvas = new OffscreenCanvas(image.widthPx, image.heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.putImageData(onScreen(image), 0, 0);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return new Uint8Array(await blob.arrayBuffer());
};

const correctionDoor = {
  /** The gain map of the picture a rig records. */
  gainMap(rig: Rig, format: GainFormat): GainFile {
    return gainMapFile(situationOf(rig).halo, recordedOf(rig), format);
  },
  /** The rig's falloff as a Lensfun file. */
  profile(rig: Rig): ProfileFile | Refusal {
    const profile = lensfunProfile(rig);
    if (!profile.ok) return { sentence: problemText(profile.problems) };
    const { xml, points, leftOut, errorStops, validShare } = profile.value;
    return { xml, written: points.length, leftOut, errorStops, validShare };
  },
  /** Opens a picture and holds it; null where that went well. */
  async open(file: File): Promise<Refusal | null> {
    held = null;
    const { name } = file;
    const large = tooLarge(name, file.size);
    if (large) return { sentence: large };
    const read = await bytesOf(file);
    if (!read.ok) return { sentence: problemText(read.problems) };
    const bytes = read.value;
    const decoded = await decodeFrame(bytes, name, decodePicture);
    if (!decoded.ok) return { sentence: problemText(decoded.problems) };
    const { image, settings, toldTone, preview, unkept } = decoded.value;
    const container = containerOf(bytes);
    if (preview || container === 'other')
      return {
        sentence: `${name} is a raw file: develop it first and lift what comes out, as JPEG, PNG or TIFF.`,
      };
    if (unkept !== null)
      return {
        sentence: `${name} ${unkept}. Save it as a PNG, TIFF or JPEG in plain RGB or grey, and lift that.`,
      };
    held = { name, bytes, container, image, settings, tone: toldTone ?? 'srgb' };
    return null;
  },
  /** The picture held as it is and lifted, small. */
  async look(rig: Rig, { view, strength }: LiftChoice): Promise<OpenedPicture | Refusal> {
    if (!held) return NONE_HELD;
    const { image, tone, settings } = held;
    const framed = framedBy(rig, view, image, held);
    if (!framed.ok) return { sentence: problemText(framed.problems) };
    const { frame, halo } = framed.value;
    const small = thinned(image, LOOK_PX);
    const onSmall = { ...frame, widthPx: small.widthPx, heightPx: small.heightPx };
    const lifted = liftPicture(small, halo, onSmall, { tone, strength });
    return {
      before: await createImageBitmap(onScreen(small)),
      after: await createImageBitmap(onScreen(lifted.image)),
      widthPx: image.widthPx,
      heightPx: image.heightPx,
      frame,
      cost: liftCost(halo, frame),
      settings,
      clippedShare: lifted.clippedShare,
      tone,
    };
  },
  /** The picture held, lifted at its full size, as a file with all that its own said of itself. */
  async save(rig: Rig, { view, strength }: LiftChoice): Promise<WrittenPicture | Refusal> {
    if (!held) return NONE_HELD;
    const { image, tone } = held;
    const framed = framedBy(rig, view, image, held);
    if (!framed.ok) return { sentence: problemText(framed.problems) };
    const { frame, halo } = framed.value;
    const lifted = liftPicture(image, halo, frame, { tone, strength });
    return writtenLike(held, lifted.image, encodeJpeg);
  },
};

export type CorrectionDoor = typeof correctionDoor;

expose(correctionDoor);
