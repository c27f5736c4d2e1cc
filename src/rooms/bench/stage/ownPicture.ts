/** A picture of the user's own, to be seen through a rig; it stays in the browser. */
import { problemText } from '@/core/words';
import { bytesOf } from '@/workers/readFile';
import {
  containerOf,
  exifTags,
  heldBytes,
  hollowWhy,
  largeWhy,
  pictureSize,
} from '@/core/measure/file';

export interface OwnPicture {
  name: string;
  image: ImageBitmap;
  /** Focal length on 36x24 of its view, mm, as the file tells it; null where it does not. */
  toldMm: number | null;
}

/** More across than a stage shows is not kept. */
const MOST_ACROSS_PX = 2400;
const MOST_BYTES = 200e6;
/** What a pixel takes on a screen, bytes. */
const SHOWN_BYTES = 4;

/** The focal length on 36x24 a camera wrote into the file; null where it wrote none. */
async function told(bytes: Uint8Array): Promise<number | null> {
  const mm = (await exifTags(bytes))?.FocalLengthIn35mmFormat;
  return typeof mm === 'number' && mm >= 1 && mm <= 5000 ? mm : null;
}

/** Reads a JPEG or PNG; fails with a sentence about the file. */
export async function readOwnPicture(file: File): Promise<OwnPicture> {
  if (file.size > MOST_BYTES)
    throw new Error(`${file.name} is larger than ${MOST_BYTES / 1e6} MB.`);
  const read = await bytesOf(file);
  if (!read.ok) throw new Error(problemText(read.problems));
  const bytes = read.value;
  const kind = containerOf(bytes);
  if (kind !== 'jpeg' && kind !== 'png')
    throw new Error(`${file.name} is not a JPEG or PNG picture.`);
  const size = pictureSize(bytes);
  if (!size || size.widthPx === 0 || size.heightPx === 0)
    throw new Error(`${file.name} is damaged: it does not tell its size.`);
  const shownBytes = SHOWN_BYTES * size.widthPx * size.heightPx;
  const why = largeWhy(size) ?? hollowWhy(shownBytes, heldBytes(kind, file.size));
  if (why) throw new Error(`${file.name} ${why}`);
  try {
    const image = await createImageBitmap(
      file,
      size.widthPx > MOST_ACROSS_PX ? { resizeWidth: MOST_ACROSS_PX, resizeQuality: 'high' } : {},
    );
    return { name: file.name, image, toldMm: await told(bytes) };
  } catch {
    throw new Error(`${file.name} is damaged: it cannot be decoded.`);
  }
}
