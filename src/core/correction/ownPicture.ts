/** Somebody's own picture against a rig: what of the sensor it shows, how it is looked at, and its file when it is lifted. */
import { encode } from 'fast-png';
import type { Halo } from '../halo';
import type { Container, PixelImage } from '../measure/file';
import type { FrameSize } from '../optics';
import { recordedOf, situationOf, type Rig } from '../rig';
import { ok, type Result } from '../words';
import { jpegWith, orientationOf, pngWith, tiffTagsOf } from './carriedOver';
import type { FrameOnSensor } from './gain';
import { frameOfPicture, turnedHalo } from './liftPicture';
import { writeTiff } from './tiffOut';

/** What of the sensor a picture shows. */
export type PictureView = 'recorded' | 'delivered';

const shownBy = (rig: Rig, view: PictureView): FrameSize =>
  view === 'delivered' ? situationOf(rig).delivered : recordedOf(rig);

/** A picture's file as it was opened. */
export interface OpenedFile {
  name: string;
  bytes: Uint8Array<ArrayBuffer>;
  container: Container;
}

/** A picture in its halo, both as the picture is looked at. */
export interface PictureInHalo {
  frame: FrameOnSensor;
  halo: Halo;
}

/** Where a picture of the rig lies in its halo; refused where its shape is another. */
export function framedBy(
  rig: Rig,
  view: PictureView,
  image: Pick<PixelImage, 'widthPx' | 'heightPx'>,
  { container, bytes, name }: OpenedFile,
): Result<PictureInHalo> {
  // Of JPEGs alone the decoders turn the pixels upright.
  const orientation = container === 'jpeg' ? orientationOf(bytes) : 1;
  const halo = turnedHalo(situationOf(rig).halo, orientation);
  const frame = frameOfPicture(image, shownBy(rig, view), halo.centre, orientation, name);
  return frame.ok ? ok({ frame: frame.value, halo }) : frame;
}

/** Every so many pixels of a picture, so that no side is longer than `mostPx`. */
export function thinned(image: PixelImage, mostPx: number): PixelImage {
  const by = Math.max(1, Math.ceil(Math.max(image.widthPx, image.heightPx) / mostPx));
  if (by === 1) return image;
  const [widthPx, heightPx] = [Math.floor(image.widthPx / by), Math.floor(image.heightPx / by)];
  const { channels, depth, data } = image;
  const length = widthPx * heightPx * channels;
  const out = depth === 8 ? new Uint8Array(length) : new Uint16Array(length);
  for (let y = 0; y < heightPx; y += 1)
    for (let x = 0; x < widthPx; x += 1)
      for (let c = 0; c < channels; c += 1)
        out[(y * widthPx + x) * channels + c] = data[
          (y * by * image.widthPx + x * by) * channels + c
        ] as number;
  return { widthPx, heightPx, channels, depth, data: out };
}

/** Values of any depth and colour as screens take them: red, green, blue and full opacity, 8 bits each. */
export function screenValues({ widthPx, heightPx, channels, depth, data }: PixelImage) {
  const out = new Uint8ClampedArray(widthPx * heightPx * 4);
  const shift = depth === 16 ? 8 : 0;
  const [green, blue] = channels < 3 ? [0, 0] : [1, 2];
  for (let i = 0; i < widthPx * heightPx; i += 1) {
    const at = i * channels;
    out[4 * i] = (data[at] as number) >> shift;
    out[4 * i + 1] = (data[at + green] as number) >> shift;
    out[4 * i + 2] = (data[at + blue] as number) >> shift;
    out[4 * i + 3] = 255;
  }
  return out;
}

export interface WrittenPicture {
  name: string;
  bytes: Uint8Array<ArrayBuffer>;
  type: string;
}

/** Encodes a JPEG; a browser has its own encoder, so it is given from outside. */
export type JpegEncoder = (image: PixelImage) => Promise<Uint8Array>;

/** A lifted picture as a file of the kind it came from, with all that one said beside its pixels. */
export async function writtenLike(
  { name, bytes, container }: OpenedFile,
  image: PixelImage,
  encodeJpeg: JpegEncoder,
): Promise<WrittenPicture> {
  const stem = `${name.replace(/\.[^.]*$/, '')}-lifted`;
  if (container === 'jpeg')
    return {
      name: `${stem}.jpg`,
      bytes: jpegWith(await encodeJpeg(image), bytes),
      type: 'image/jpeg',
    };
  if (container === 'png') {
    const { widthPx: width, heightPx: height, channels, depth, data } = image;
    const pixels = encode({ width, height, channels, depth, data }, { zlib: { level: 4 } });
    return { name: `${stem}.png`, bytes: pngWith(pixels, bytes), type: 'image/png' };
  }
  const kind = image.depth === 8 ? '8-bit' : '16-bit';
  const tiff = writeTiff({ ...image, kind, description: '', more: tiffTagsOf(bytes) });
  return { name: `${stem}.tif`, bytes: tiff, type: 'image/tiff' };
}
