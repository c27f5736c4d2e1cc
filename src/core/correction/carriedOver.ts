/** What a picture's file says beside its pixels, carried over to the file of the lifted one. */
import { joined } from '../maths';
import {
  jpegSegments,
  type JpegSegment,
  ORIENTATION_TAG,
  pngChunks,
  tiffDirectory,
  type TiffDirectory,
  VALUE_BYTES,
} from '../measure/file';
import type { Orientation } from './liftPicture';
import type { TiffTag } from './tiffOut';

/** APP1 to APP13 and comments: settings, colour profile, descriptions. What says how pixels lie is left. */
const isCarried = ({ marker }: JpegSegment): boolean =>
  (marker >= 0xe1 && marker <= 0xed) || marker === 0xfe;

const EXIF = [0x45, 0x78, 0x69, 0x66, 0, 0];

/** Where EXIF's orientation stands in a JPEG, and how its numbers are written; null where it says none. */
function orientationAt(bytes: Uint8Array): { at: number; little: boolean } | null {
  const segment = jpegSegments(bytes).find(
    (s) => s.marker === 0xe1 && EXIF.every((b, i) => bytes[s.start + 4 + i] === b),
  );
  if (!segment) return null;
  const exif = segment.start + 4 + EXIF.length;
  const directory = tiffDirectory(bytes.subarray(exif, segment.end));
  const entry = directory?.entries.find(({ tag }) => tag === ORIENTATION_TAG);
  return directory && entry ? { at: exif + entry.at, little: directory.little } : null;
}

/** How a JPEG says it is turned; 1 where it says nothing. */
export function orientationOf(bytes: Uint8Array): Orientation {
  const found = orientationAt(bytes);
  if (!found) return 1;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const value = view.getUint16(found.at, found.little);
  return value >= 1 && value <= 8 ? (value as Orientation) : 1;
}

const XMP = 'http://ns.adobe.com/xap/1.0/';
/** How XMP says that a picture is turned: as an attribute, or as an element. */
const XMP_ORIENTATION = /tiff:Orientation(?:\s*=\s*["']|\s*>)\s*([2-8])/g;

/** Says upright in a segment of XMP too, so that it and EXIF agree. */
function setXmpUpright(bytes: Uint8Array, { marker, start, end }: JpegSegment): void {
  if (marker !== 0xe1) return;
  // A character a byte: places in the text are places in the segment.
  const text = new TextDecoder('latin1').decode(bytes.subarray(start + 4, end));
  if (!text.startsWith(XMP)) return;
  for (const found of text.matchAll(XMP_ORIENTATION))
    bytes[start + 4 + found.index + found[0].length - 1] = '1'.charCodeAt(0);
}

/** A JPEG's pixels with what another JPEG says of itself; upright, as its pixels have been turned. */
export function jpegWith(pixels: Uint8Array, source: Uint8Array): Uint8Array<ArrayBuffer> {
  const upright = source.slice();
  const turned = orientationAt(upright);
  if (turned) new DataView(upright.buffer).setUint16(turned.at, 1, turned.little);
  const segments = jpegSegments(upright);
  for (const segment of segments) setXmpUpright(upright, segment);
  const carried = segments.filter(isCarried).map((s) => upright.subarray(s.start, s.end));
  const own = jpegSegments(pixels);
  const first = own.find((s) => s.marker === 0xe0);
  // Its own header first, as the format has it, then what is carried; profiles of its own are left out.
  const headEnd = first?.end ?? 2;
  const body = own
    .filter((s) => s !== first && !isCarried(s))
    .map((s) => pixels.subarray(s.start, s.end));
  const rest = pixels.subarray(own.at(-1)?.end ?? headEnd);
  return joined([pixels.subarray(0, headEnd), ...carried, ...body, rest]);
}

/** Chunks of a PNG that speak of its pixels; they come with the new ones. */
const PIXEL_CHUNKS = new Set([
  'IHDR',
  'PLTE',
  'tRNS',
  'IDAT',
  'IEND',
  'sBIT',
  'bKGD',
  'hIST',
  'acTL',
  'fcTL',
  'fdAT',
]);

/** A PNG's pixels with what another PNG says of itself. */
export function pngWith(pixels: Uint8Array, source: Uint8Array): Uint8Array<ArrayBuffer> {
  const carried = pngChunks(source)
    .filter((c) => !PIXEL_CHUNKS.has(c.type))
    .map((c) => source.subarray(c.start, c.end));
  const own = pngChunks(pixels).filter((c) => PIXEL_CHUNKS.has(c.type));
  const [header, ...rest] = own.map((c) => pixels.subarray(c.start, c.end));
  return header ? joined([pixels.subarray(0, 8), header, ...carried, ...rest]) : pixels.slice();
}

/** Description, maker, model, orientation, resolution, software, time, artist, copyright, profile, XMP, IPTC. */
const CARRIED_TAGS = new Set([
  270, 271, 272, 274, 282, 283, 296, 305, 306, 315, 33432, 34675, 700, 33723,
]);
const MOST_TAGS = 4096;

/** Values of a tag with every number low byte first. */
function swapped(bytes: Uint8Array, type: number): Uint8Array {
  const size = [5, 10, 12].includes(type) ? (type === 12 ? 8 : 4) : (VALUE_BYTES[type] ?? 1);
  if (size === 1) return bytes;
  const out = new Uint8Array(bytes.length);
  for (let i = 0; i < bytes.length; i += 1)
    out[i] = bytes[Math.floor(i / size) * size + (size - 1 - (i % size))] ?? 0;
  return out;
}

/** The kind of value that leads to a directory. */
const LONG = 4;

/** EXIF's own directory and the one of places, which tags of the first lead to. */
const INNER_TAGS = new Set([34665, 34853]);
/** A pointer into another directory of EXIF, and notes of a maker that point into their own file: neither moves. */
const NOT_MOVED = new Set([37500, 40965]);

/** What a TIFF says of itself beside its pixels, as tags that can be written again. */
export function tiffTagsOf(bytes: Uint8Array): TiffTag[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  let copied = 0;
  const first = tagsIn(tiffDirectory(bytes), (tag) => CARRIED_TAGS.has(tag) || INNER_TAGS.has(tag));
  return first.map((tag): TiffTag => {
    if (!INNER_TAGS.has(tag.tag)) return tag;
    // Some writers lead there by a number of two bytes; it is written again with four.
    const place = tag.bytes.reduceRight((sum, byte) => sum * 256 + byte, 0);
    const inner = tagsIn(tiffDirectory(bytes, place), (one) => !NOT_MOVED.has(one));
    return { ...tag, type: LONG, inner };
  });

  function tagsIn(directory: TiffDirectory | null, wanted: (tag: number) => boolean): TiffTag[] {
    if (!directory) return [];
    const { little } = directory;
    return directory.entries
      .slice(0, MOST_TAGS)
      .flatMap(({ tag, type, count, size, at }): TiffTag[] => {
        if (!wanted(tag) || size === 0) return [];
        const start = size <= 4 ? at : view.getUint32(at, little);
        // All together no more than the file: else one that says each is all of it would fill the memory.
        copied += size;
        if (start + size > bytes.length || copied > bytes.length) return [];
        const raw = bytes.slice(start, start + size);
        return [{ tag, type, count, bytes: little ? raw : swapped(raw, type) }];
      });
  }
}
