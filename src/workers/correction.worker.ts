/** A thin door to correction: gain maps, profiles for other programs, and pictures that are lifted. */
import { expose } from 'comlink';
import { orientationOf, jpegWith, pngWith, tiffTagsOf } from '@/core/correction/carriedOver';
import { gainMapFile, type GainFile, type GainFormat } from '@/core/correction/gainMap';
import {
  frameOfPicture,
  liftCost,
  liftPicture,
  type LiftCost,
} from '@/core/correction/liftPicture';
import { writeTiff } from '@/core/correction/tiffOut';
import type { FrameOnSensor } from '@/core/correction/gain';
import { lensfunProfile } from '@/core/exchange/lensfunXml';
import { recordedFrame } from '@/core/frame/pipeline';
import { containerOf, type Container } from '@/core/measure/file/container';
import { decodeFrame, tooLarge, type FrameSettings } from '@/core/measure/file/decode';
import type { PixelImage } from '@/core/measure/file/pixels';
import type { FrameSize } from '@/core/optics/formats';
import { setUp } from '@/core/rig/report/setUp';
import type { Rig } from '@/core/rig/rig';
import { problemText } from '@/core/words/problem';
import { decodePicture } from './decodePicture';

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

/** What of the sensor a picture shows. */
export type PictureView = 'recorded' | 'delivered';

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

interface Held {
  bytes: Uint8Array<ArrayBuffer>;
  container: Container;
  name: string;
  image: PixelImage;
  tone: 'srgb' | 'linear';
  settings: FrameSettings;
}

/** The picture in hand; one at a time, as one alone may fill half the memory. */
let held: Held | null = null;

const recordedOf = (rig: Rig) => {
  const { delivered } = setUp(rig);
  return recordedFrame(rig.mode, delivered.linearCrop / rig.settings.postScale);
};

const shownBy = (rig: Rig, view: PictureView): FrameSize =>
  view === 'delivered' ? setUp(rig).delivered : recordedOf(rig);

/** Longest side of what is looked at, px. */
const LOOK_PX = 1400;

/** Every so many pixels of a picture, for looking at. */
function small(image: PixelImage): PixelImage {
  const by = Math.max(1, Math.ceil(Math.max(image.widthPx, image.heightPx) / LOOK_PX));
  if (by === 1) return image;
  const [widthPx, heightPx] = [Math.floor(image.widthPx / by), Math.floor(image.heightPx / by)];
  const { channels, depth, data } = image;
  const out =
    depth === 8
      ? new Uint8Array(widthPx * heightPx * channels)
      : new Uint16Array(widthPx * heightPx * channels);
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1)
      for (let c = 0; c < channels; c += 1)
        out[(y * widthPx + x) * channels + c] = data[
          (y * by * image.widthPx + x * by) * channels + c
        ] as number;
  return { widthPx, heightPx, channels, depth, data: out };
}

/** Values of any depth and colour as the screen takes them. */
function onScreen({ widthPx, heightPx, channels, depth, data }: PixelImage): ImageData {
  const out = new ImageData(widthPx, heightPx);
  const shift = depth === 16 ? 8 : 0;
  const value = (i: number) => (data[i] as number) >> shift;
  for (let i = 0; i < widthPx * heightPx; i += 1) {
    const at = i * channels;
    const isGrey = channels < 3;
    out.data[4 * i] = value(at);
    out.data[4 * i + 1] = value(isGrey ? at : at + 1);
    out.data[4 * i + 2] = value(isGrey ? at : at + 2);
    out.data[4 * i + 3] = 255;
  }
  return out;
}

async function picture(image: PixelImage): Promise<ImageBitmap> {
  return createImageBitmap(onScreen(image));
}

function framed(rig: Rig, view: PictureView, image: PixelImage, { container, bytes, name }: Held) {
  const orientation = container === 'jpeg' ? orientationOf(bytes) : 1;
  return frameOfPicture(image, shownBy(rig, view), setUp(rig).halo.centre, orientation, name);
}

const JPEG_QUALITY = 0.95;

async function jpegOf(image: PixelImage): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(image.widthPx, image.heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.putImageData(onScreen(image), 0, 0);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return new Uint8Array(await blob.arrayBuffer());
}

async function written(image: PixelImage, { container, bytes }: Held) {
  if (container === 'jpeg')
    return { bytes: jpegWith(await jpegOf(image), bytes), extension: 'jpg', type: 'image/jpeg' };
  if (container === 'png') {
    const { encode } = await import('fast-png');
    const { widthPx: width, heightPx: height, channels, depth, data } = image;
    const pixels = encode({ width, height, channels, depth, data }, { zlib: { level: 4 } });
    return { bytes: pngWith(pixels, bytes), extension: 'png', type: 'image/png' };
  }
  const tiff = writeTiff({
    ...image,
    kind: image.depth === 8 ? '8-bit' : '16-bit',
    description: '',
    more: tiffTagsOf(bytes),
  });
  return { bytes: tiff, extension: 'tif', type: 'image/tiff' };
}

const NONE_HELD = { sentence: 'The picture is not held any more: open it again.' };

const correctionDoor = {
  /** The gain map of the picture a rig records. */
  gainMap(rig: Rig, format: GainFormat): GainFile {
    return gainMapFile(setUp(rig).halo, recordedOf(rig), format);
  },
  /** The rig's falloff as a Lensfun file. */
  profile(rig: Rig): ProfileFile | Refusal {
    const profile = lensfunProfile(rig);
    if (!profile.ok) return { sentence: problemText(profile.problems) };
    const { xml, points, leftOut, errorStops, validShare } = profile.value;
    return { xml, written: points.length, leftOut, errorStops, validShare };
  },
  /** Opens a picture and holds it. */
  async open(file: File): Promise<{ settings: FrameSettings } | Refusal> {
    held = null;
    const large = tooLarge(file.name, file.size);
    if (large) return { sentence: large };
    const bytes = new Uint8Array(await file.arrayBuffer());
    const container = containerOf(bytes);
    const decoded = await decodeFrame(bytes, file.name, decodePicture);
    if (!decoded.ok) return { sentence: problemText(decoded.problems) };
    const { image, settings, toldTone, preview } = decoded.value;
    if (preview || container === 'other')
      return {
        sentence: `${file.name} is a raw file: develop it first and lift what comes out, as JPEG, PNG or TIFF.`,
      };
    held = { bytes, container, name: file.name, image, settings, tone: toldTone ?? 'srgb' };
    return { settings };
  },
  /** The picture held as it is and lifted, small. */
  async look(rig: Rig, { view, strength }: LiftChoice): Promise<OpenedPicture | Refusal> {
    if (!held) return NONE_HELD;
    const { image, tone, settings } = held;
    const frame = framed(rig, view, image, held);
    if (!frame.ok) return { sentence: problemText(frame.problems) };
    const little = small(image);
    const { halo } = setUp(rig);
    const onLittle = { ...frame.value, widthPx: little.widthPx, heightPx: little.heightPx };
    // The halo's own centre is turned with the picture: the frame tells where it stands.
    const lifted = liftPicture(little, halo, onLittle, { tone, strength });
    return {
      before: await picture(little),
      after: await picture(lifted.image),
      widthPx: image.widthPx,
      heightPx: image.heightPx,
      frame: frame.value,
      cost: liftCost(halo, frame.value),
      settings,
      clippedShare: lifted.clippedShare,
      tone,
    };
  },
  /** The picture held, lifted at its full size, as a file with all that its own said of itself. */
  async save(rig: Rig, { view, strength }: LiftChoice) {
    if (!held) return NONE_HELD;
    const frame = framed(rig, view, held.image, held);
    if (!frame.ok) return { sentence: problemText(frame.problems) };
    const { image } = liftPicture(held.image, setUp(rig).halo, frame.value, {
      tone: held.tone,
      strength,
    });
    const file = await written(image, held);
    return { ...file, name: `${held.name.replace(/\.[^.]*$/, '')}-lifted.${file.extension}` };
  },
};

export type CorrectionDoor = typeof correctionDoor;

expose(correctionDoor);
