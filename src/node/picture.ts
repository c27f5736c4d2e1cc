/** Decoding of 8-bit pictures where there is no browser. */
import sharp from 'sharp';
import { MOST_PIXELS, type PictureDecoder } from '@/core/measure/file';

/** JPEG and 8-bit PNG by libvips, turned as EXIF says, values as they stand in the file. */
export const decodePicture: PictureDecoder = async (bytes) => {
  const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'truncated' });
  const { data, info } = await picture.rotate().raw().toBuffer({ resolveWithObject: true });
  return {
    widthPx: info.width,
    heightPx: info.height,
    channels: info.channels,
    depth: 8,
    data: new Uint8Array(data.buffer, data.byteOffset, data.length),
  };
};
