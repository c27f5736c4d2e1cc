/** TIFF files in: what the decoder reads, turned as they stand in the file; what it does not is told by its name. */
import type { PixelImage } from './pixels';
import { RefusedPicture, refuseBytes, refuseLarge } from './refused';
import { ORIENTATION_TAG, tiffDirectory } from './tiffEntries';

/* Tags and values of TIFF 6.0 and its supplements, from memory. */
const PLANAR = 284;
const TILE_WIDTH = 322;
const PHOTOMETRIC = 262;
const RGB = 2;
const YCBCR = 6;

/** Ways to say colours that are not read. */
const COLOURS: Readonly<Record<number, string>> = {
  3: 'in a palette of colours',
  5: 'in CMYK',
  [YCBCR]: 'in YCbCr',
  8: 'in Lab',
  9: 'in Lab',
  10: 'in Lab',
};

interface Head {
  width: number;
  height: number;
  samplesPerPixel: number;
  bitsPerSample: number;
  fields: ReadonlyMap<number, unknown>;
}

const first = (value: unknown): unknown =>
  Array.isArray(value) || ArrayBuffer.isView(value) ? (value as ArrayLike<unknown>)[0] : value;
const tagOf = ({ fields }: Head, tag: number): unknown => first(fields.get(tag));

/** Why a TIFF is not read though it is whole, as a sentence that goes on from its name; null where it is. */
function unreadWhy(head: Head): string | null {
  const many = head.samplesPerPixel > 1;
  const colours = COLOURS[Number(tagOf(head, PHOTOMETRIC))];
  const instead = 'save it in RGB or grey, with 8 or 16 bits, or as PNG or JPEG.';
  // Of coloured ones the decoder reads the wrong samples.
  if (many && head.fields.has(TILE_WIDTH))
    return 'is a coloured TIFF in tiles, which is not read; save it in strips, in grey, or as PNG or JPEG.';
  if (colours) return `is a TIFF ${colours}, which is not read; ${instead}`;
  if (many && tagOf(head, PLANAR) === 2)
    return `is a TIFF with each colour in a plane of its own, which is not read; ${instead}`;
  return null;
}

/** Whether the tags of a TIFF's first directory are no more, all together, than its file: one made to fill the memory says each is all of it. */
function holdsItsTags(bytes: Uint8Array): boolean {
  const directory = tiffDirectory(bytes);
  return (
    directory !== null && directory.entries.reduce((sum, { size }) => sum + size, 0) <= bytes.length
  );
}

/** A copy of a TIFF that says it is not turned: its pixels are taken as they stand. */
function asStored(bytes: Uint8Array): Uint8Array {
  const copy = bytes.slice();
  const view = new DataView(copy.buffer);
  const { little, entries } = tiffDirectory(bytes) ?? { little: true, entries: [] };
  for (const { tag, at } of entries) if (tag === ORIENTATION_TAG) view.setUint16(at, 1, little);
  return copy;
}

/** The colours of each pixel and one alpha; further values are left out. */
function withoutFurther(
  data: Uint8Array | Uint16Array,
  values: number,
  channels: number,
): Uint8Array | Uint16Array {
  if (values === channels) return data;
  const pixels = data.length / values;
  const out =
    data instanceof Uint16Array
      ? new Uint16Array(pixels * channels)
      : new Uint8Array(pixels * channels);
  for (let i = 0; i < pixels; i += 1)
    for (let c = 0; c < channels; c += 1) out[i * channels + c] = data[i * values + c] as number;
  return out;
}

export interface ReadTiff {
  image: PixelImage;
  /** Values a pixel that were left out. */
  furtherValues: number;
}

/**
 * A TIFF's first picture, its pixels as they stand in the file; null where that is none that is read. Throws what the
 * decoder throws of damaged files and raw ones, and a refusal of whole ones that are not read.
 */
export async function readTiff(bytes: Uint8Array, mostWorkBytes: number): Promise<ReadTiff | null> {
  if (!holdsItsTags(bytes)) return null;
  const { decode } = await import('tiff');
  const [head] = decode(bytes, { pages: [0], ignoreImageData: true });
  if (!head) return null;
  const { width: widthPx, height: heightPx, samplesPerPixel, bitsPerSample: bits } = head;
  refuseLarge({ widthPx, heightPx });
  const why = unreadWhy(head);
  // Raw files keep their preview in this way, and are looked through for it.
  const mayBeRaw = Number(tagOf(head, PHOTOMETRIC)) === YCBCR && !head.fields.has(TILE_WIDTH);
  if (why !== null) throw new RefusedPicture('kind', why, mayBeRaw);
  const pictureBytes = (widthPx * heightPx * samplesPerPixel * bits) / 8;
  refuseBytes({ kind: 'tiff', pictureBytes, fileBytes: bytes.length, mostWorkBytes });
  const isTurned = (tagOf(head, ORIENTATION_TAG) ?? 1) !== 1;
  const [page] = decode(isTurned ? asStored(bytes) : bytes, { pages: [0] });
  if (!page) return null;
  const { width, height, data, bitsPerSample, components } = page;
  if ((bitsPerSample !== 8 && bitsPerSample !== 16) || width * height * components !== data.length)
    return null;
  const colours = tagOf(head, PHOTOMETRIC) === RGB ? 3 : 1;
  const further = components - colours;
  if (further < 0) return null;
  const channels = (further === 1 ? colours + 1 : colours) as PixelImage['channels'];
  const image: PixelImage = {
    widthPx: width,
    heightPx: height,
    channels,
    depth: bitsPerSample,
    data: withoutFurther(data as Uint8Array | Uint16Array, components, channels),
  };
  return { image, furtherValues: components - channels };
}
