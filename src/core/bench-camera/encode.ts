/** Frames of the simulated camera as real files. */
import { encode } from 'fast-png';
import type { PixelImage } from '../measure/file';
import { jpegWithExif, pngWithExif, type ShotSettings } from './exif';

/** A PNG of 8 or 16 bits with its settings. */
export function pngFile(image: PixelImage, shot: ShotSettings): Uint8Array<ArrayBuffer> {
  const png = encode(
    {
      width: image.widthPx,
      height: image.heightPx,
      channels: image.channels,
      depth: image.depth,
      data: image.data,
    },
    // Noise does not press together: little effort for nearly the same size.
    { zlib: { level: 1 } },
  );
  return pngWithExif(png, shot);
}

/** Makes an 8-bit picture a JPEG; what does it is given from outside. */
export type JpegEncoder = (image: PixelImage) => Promise<Uint8Array>;

export async function jpegFile(
  image: PixelImage,
  shot: ShotSettings,
  encodeJpeg: JpegEncoder,
): Promise<Uint8Array<ArrayBuffer>> {
  return jpegWithExif(await encodeJpeg(image), shot);
}
