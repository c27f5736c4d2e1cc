/** Pictures that could be decoded and are not. */
import type { PictureSize } from './container';

/** The largest cameras take 150 million in one exposure. */
export const MOST_PIXELS = 160e6;

/** A picture that could be decoded and is not; the message goes on from the file's name. */
export class RefusedPicture extends Error {
  constructor(
    readonly code: string,
    message: string,
    /** Whether the file may all the same be a raw one with a preview inside. */
    readonly mayBeRaw = false,
  ) {
    super(message);
  }
}

/** Up to so many bytes a picture may be, whatever its file is like; beyond it not more than so many times its file. */
const MOST_HOLLOW_BYTES = 200e6;
const MOST_TIMES = 100;

/** Refuses a picture that would be far larger than anything its file can hold: made to fill the memory, or damaged. */
export function refuseHollow(pictureBytes: number, fileBytes: number): void {
  if (pictureBytes > MOST_HOLLOW_BYTES && pictureBytes > MOST_TIMES * fileBytes)
    throw new RefusedPicture(
      'hollow',
      `says it is ${Math.round(pictureBytes / 1e6)} MB of picture in a file of ${(fileBytes / 1e6).toFixed(1)} MB: it is damaged.`,
    );
}

/** Refuses by its size a picture that would fill the memory, before it is decoded. */
export function refuseLarge(size: PictureSize | null): void {
  if (size && size.widthPx * size.heightPx > MOST_PIXELS)
    throw new RefusedPicture('tooLarge', `has more than ${MOST_PIXELS / 1e6} million pixels.`);
}
