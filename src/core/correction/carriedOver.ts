/** What a picture's file says beside its pixels, carried over to the file of the lifted one. */
import { pngChunks } from '../measure/file';
import type { Orientation } from './liftPicture';
import type { TiffTag } from './tiffOut';

const word = (bytes: Uint8Array, at: number): number =>
  ((bytes[at] ?? 0) << 8) | (bytes[at + 1] ?? 0);

interface Segment {
  marker: number;
  start: number;
  end: number;
}

const START_OF_SCAN = 0xda;

/** Segments of a JPEG before its pixels. */
function segmentsOf(bytes: Uint8Array): Segment[] {
  const segments: Segment[] = [];
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1] ?? 0;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === START_OF_SCAN || marker === 0xd9) break;
    const end = at + 2 + Math.max(2, word(bytes, at + 2));
    if (end > bytes.length) break;
    segments.push({ marker, start: at, end });
    at = end;
  }
  return segments;
}

/** APP1 to APP13 and comments: settings, colour profile, descriptions. What says how pixels lie is left. */
const isCarried = ({ marker }: Segment): boolean =>
  (marker >= 0xe1 && marker <= 0xed) || marker === 0xfe;

const EXIF = [0x45, 0x78, 0x69, 0x66, 0, 0];
const ORIENTATION = 274;

/** Where EXIF's orientation stands in a JPEG, and how its numbers are written; null where it says none. */
function orientationAt(bytes: Uint8Array): { at: number; little: boolean } | null {
  const segment = segmentsOf(bytes).find(
    (s) => s.marker === 0xe1 && EXIF.every((b, i) => bytes[s.start + 4 + i] === b),
  );
  if (!segment) return null;
  const tiff = segment.start + 10;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  if (tiff + 8 > segment.end) return null;
  const little = view.getUint16(tiff) === 0x4949;
  const directory = tiff + view.getUint32(tiff + 4, little);
  if (directory + 2 > segment.end) return null;
  const count = view.getUint16(directory, little);
  for (let i = 0; i < count; i += 1) {
    const at = directory + 2 + 12 * i;
    if (at + 12 > segment.end) return null;
    if (view.getUint16(at, little) === ORIENTATION) return { at: at + 8, little };
  }
  return null;
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
function setXmpUpright(bytes: Uint8Array, { marker, start, end }: Segment): void {
  if (marker !== 0xe1) return;
  // A character a byte: places in the text are places in the segment.
  const text = new TextDecoder('latin1').decode(bytes.subarray(start + 4, end));
  if (!text.startsWith(XMP)) return;
  for (const found of text.matchAll(XMP_ORIENTATION))
    bytes[start + 4 + found.index + found[0].length - 1] = '1'.charCodeAt(0);
}

const joined = (pieces: readonly Uint8Array[]): Uint8Array<ArrayBuffer> => {
  const whole = new Uint8Array(pieces.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
};

/** A JPEG's pixels with what another JPEG says of itself; upright, as its pixels have been turned. */
export function jpegWith(pixels: Uint8Array, source: Uint8Array): Uint8Array<ArrayBuffer> {
  const upright = source.slice();
  const turned = orientationAt(upright);
  if (turned) new DataView(upright.buffer).setUint16(turned.at, 1, turned.little);
  const segments = segmentsOf(upright);
  for (const segment of segments) setXmpUpright(upright, segment);
  const carried = segments.filter(isCarried).map((s) => upright.subarray(s.start, s.end));
  const own = segmentsOf(pixels);
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

/** Sizes of TIFF's kinds of values, bytes; index is the kind. */
const SIZES = [0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8];
/** Description, maker, model, orientation, resolution, software, time, artist, copyright, profile, XMP, IPTC. */
const CARRIED_TAGS = new Set([
  270, 271, 272, 274, 282, 283, 296, 305, 306, 315, 33432, 34675, 700, 33723,
]);
const MOST_TAGS = 4096;

/** Values of a tag with every number low byte first. */
function swapped(bytes: Uint8Array, type: number): Uint8Array {
  const size = [5, 10, 12].includes(type) ? (type === 12 ? 8 : 4) : (SIZES[type] ?? 1);
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
  if (bytes.length < 8) return [];
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const little = view.getUint16(0) === 0x4949;
  let copied = 0;
  const first = tagsAt(
    view.getUint32(4, little),
    (tag) => CARRIED_TAGS.has(tag) || INNER_TAGS.has(tag),
  );
  return first.map((tag): TiffTag => {
    if (!INNER_TAGS.has(tag.tag)) return tag;
    // Some writers lead there by a number of two bytes; it is written again with four.
    const place = tag.bytes.reduceRight((sum, byte) => sum * 256 + byte, 0);
    return { ...tag, type: LONG, inner: tagsAt(place, (inner) => !NOT_MOVED.has(inner)) };
  });

  function tagsAt(directory: number, wanted: (tag: number) => boolean): TiffTag[] {
    if (directory + 2 > bytes.length) return [];
    const count = Math.min(MOST_TAGS, view.getUint16(directory, little));
    return Array.from({ length: count }, (_, i) => directory + 2 + 12 * i).flatMap(
      (at): TiffTag[] => {
        if (at + 12 > bytes.length) return [];
        const tag = view.getUint16(at, little);
        const type = view.getUint16(at + 2, little);
        const values = view.getUint32(at + 4, little);
        const size = (SIZES[type] ?? 0) * values;
        if (!wanted(tag) || size === 0) return [];
        const start = size <= 4 ? at + 8 : view.getUint32(at + 8, little);
        // All together no more than the file: else one that says each is all of it would fill the memory.
        copied += size;
        if (start + size > bytes.length || copied > bytes.length) return [];
        const raw = bytes.slice(start, start + size);
        return [{ tag, type, count: values, bytes: little ? raw : swapped(raw, type) }];
      },
    );
  }
}
