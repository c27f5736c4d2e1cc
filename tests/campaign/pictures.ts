import sharp from 'sharp';
import { pngFile } from '@/core/bench-camera';
import { randomOf } from '@/core/maths';
import { SHOT } from '../support/frames';

export const PICTURE_KINDS = ['jpeg', 'png', 'png16', 'tiff'] as const;
export type PictureKind = (typeof PICTURE_KINDS)[number];

const [WIDTH, HEIGHT] = [120, 80];

/** A small picture of noise, whole. */
export async function pictureFile(kind: PictureKind): Promise<Uint8Array> {
  const random = randomOf(7);
  const samples = WIDTH * HEIGHT * 3;
  if (kind === 'png16') {
    const data = Uint16Array.from({ length: samples }, () => random.whole(20_000, 40_000));
    return pngFile({ widthPx: WIDTH, heightPx: HEIGHT, channels: 3, depth: 16, data }, SHOT);
  }
  const data = Uint8Array.from({ length: samples }, () => random.whole(80, 160));
  const picture = sharp(data, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } });
  if (kind === 'jpeg') return picture.jpeg().toBuffer();
  return kind === 'png' ? picture.png().toBuffer() : picture.tiff().toBuffer();
}
