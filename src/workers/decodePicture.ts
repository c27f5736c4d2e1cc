/** The browser's own decoder: EXIF rotation applied, colours left as they stand in the file. */
import type { PictureDecoder } from '@/core/measure/file';

export const decodePicture: PictureDecoder = async (bytes) => {
  const blob = new Blob([bytes as Uint8Array<ArrayBuffer>]);
  const bitmap = await createImageBitmap(blob, { colorSpaceConversion: 'none' });
  const { width, height } = bitmap;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const { data } = context.getImageData(0, 0, width, height);
  return { widthPx: width, heightPx: height, channels: 4, depth: 8, data };
};
