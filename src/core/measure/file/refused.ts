/** Pictures that could be decoded and are not. */
import type { PictureSize } from './container';

/** The largest cameras take 150 million in one exposure. */
export const MOST_PIXELS = 160e6;

/** A picture that could be decoded and is not; the message goes on from the file's name. */
export class RefusedPicture extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

/** Refuses by its size a picture that would fill the memory, before it is decoded. */
export function refuseLarge(size: PictureSize | null): void {
  if (size && size.widthPx * size.heightPx > MOST_PIXELS)
    throw new RefusedPicture('tooLarge', `has more than ${MOST_PIXELS / 1e6} million pixels.`);
}
