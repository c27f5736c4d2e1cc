/** Pictures that could be decoded and are not. */
import type { Container, PictureSize } from './container';

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

/** What decoding takes at its height, in times the picture (seen with pictures of 24 to 100 million pixels). */
const WORK_TIMES = { png: 3, tiff: 3, jpeg: 1.3 } as const;

const megabytes = (bytes: number): string => `${Math.round(bytes / 1e6)} MB`;

/** How large a picture is once it is decoded, and where it comes from. */
export interface PictureBytes {
  kind: keyof typeof WORK_TIMES;
  pictureBytes: number;
  fileBytes: number;
  /** The memory there is for decoding, bytes. */
  mostWorkBytes: number;
}

/**
 * Why a picture is far more than anything its file can hold, as one made to fill the memory or a damaged one says it
 * is; null where it is not. It goes on from the file's name.
 */
export const hollowWhy = (pictureBytes: number, fileBytes: number): string | null =>
  pictureBytes > MOST_HOLLOW_BYTES && pictureBytes > MOST_TIMES * fileBytes
    ? `says it is ${megabytes(pictureBytes)} of picture in a file of ${(fileBytes / 1e6).toFixed(1)} MB: it is damaged.`
    : null;

/** The bytes a picture is held against: a JPEG of even grey is small beside its picture, and may be as hollow as it likes. */
export const heldBytes = (container: Container, fileBytes: number): number =>
  container === 'jpeg' ? Infinity : fileBytes;

/**
 * Refuses a picture by what it would take once it is decoded: far more than anything its file can hold, or
 * more than there is room for here.
 */
export function refuseBytes({ kind, pictureBytes, fileBytes, mostWorkBytes }: PictureBytes): void {
  const why = hollowWhy(pictureBytes, fileBytes);
  if (why) throw new RefusedPicture('hollow', why);
  const most = mostWorkBytes / WORK_TIMES[kind];
  if (pictureBytes > most)
    throw new RefusedPicture(
      'tooLarge',
      `is ${megabytes(pictureBytes)} of picture; here a ${kind.toUpperCase()} may be ${megabytes(most)}. The program on the screen and the command line take larger ones.`,
    );
}

/** Why a picture of this size would fill the memory; null where it would not. It goes on from the file's name. */
export const largeWhy = ({ widthPx, heightPx }: PictureSize): string | null =>
  widthPx * heightPx > MOST_PIXELS ? `has more than ${MOST_PIXELS / 1e6} million pixels.` : null;

/** Refuses by its size a picture that would fill the memory, before it is decoded. */
export function refuseLarge(size: PictureSize | null): void {
  const why = size && largeWhy(size);
  if (why) throw new RefusedPicture('tooLarge', why);
}
