/** What a frame's file is, by its first bytes, and the pictures that lie inside a raw file. */
import { joined } from '../../maths';

export type Container = 'jpeg' | 'png' | 'tiff' | 'other';

/** Tells files by their signatures; names are not to be trusted. */
export function containerOf(bytes: Uint8Array): Container {
  const starts = (...sought: number[]) => sought.every((b, i) => bytes[i] === b);
  if (starts(0xff, 0xd8, 0xff)) return 'jpeg';
  if (starts(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'png';
  if (starts(0x49, 0x49, 42, 0) || starts(0x4d, 0x4d, 0, 42)) return 'tiff';
  return 'other';
}

/** A PNG's colour type for pixels that are numbers of a palette (ISO/IEC 15948). */
const PALETTE = 3;

/** Whether a PNG's pixels are values of 8 or 16 bits each, by its header; others are palettes, or finer than a byte. */
export const isPlainPng = (bytes: Uint8Array): boolean =>
  (bytes[24] === 8 || bytes[24] === 16) && bytes[25] !== PALETTE;

export interface PngChunk {
  type: string;
  start: number;
  end: number;
}

/** The chunks of a PNG, as far as they are whole. */
export function pngChunks(bytes: Uint8Array): PngChunk[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const chunks: PngChunk[] = [];
  let at = 8;
  while (at + 12 <= bytes.length) {
    const end = at + 12 + view.getUint32(at);
    if (end > bytes.length) break;
    chunks.push({ type: String.fromCharCode(...bytes.subarray(at + 4, at + 8)), start: at, end });
    at = end;
  }
  return chunks;
}

/** Chunks without which no PNG is decoded. */
const DECODED_CHUNKS = new Set(['IHDR', 'PLTE', 'tRNS', 'IDAT', 'IEND']);

/**
 * A PNG with its pixels alone: decoders differ in whether they obey what turns it, and its profile or texts may be
 * made to fill the memory once they are inflated.
 */
export function pngPixelsAlone(bytes: Uint8Array): Uint8Array {
  const kept = pngChunks(bytes).filter(({ type }) => DECODED_CHUNKS.has(type));
  return joined([
    bytes.subarray(0, 8),
    ...kept.map(({ start, end }) => bytes.subarray(start, end)),
  ]);
}

export interface PictureSize {
  widthPx: number;
  heightPx: number;
}

/** Size of a PNG as its header states it; null where it is cut short. */
export function pngSize(bytes: Uint8Array): PictureSize | null {
  if (bytes.length < 24) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  return { widthPx: view.getUint32(16), heightPx: view.getUint32(20) };
}

export interface JpegSegment {
  marker: number;
  start: number;
  end: number;
}

const START_OF_SCAN = 0xda;

/** Segments of a JPEG before its pixels, as far as they are whole. */
export function jpegSegments(bytes: Uint8Array): JpegSegment[] {
  const segments: JpegSegment[] = [];
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1] ?? 0;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === START_OF_SCAN || marker === 0xd9) break;
    const end = at + 2 + Math.max(2, ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0));
    if (end > bytes.length) break;
    segments.push({ marker, start: at, end });
    at = end;
  }
  return segments;
}

/** Whether a marker begins a frame of a JPEG, of any coding: C0 to CF but for tables and the arithmetic coder. */
const isFrameMarker = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

/** What a JPEG's first frame header states: its size, and values a pixel. */
interface JpegHead extends PictureSize {
  components: number;
}

/** A JPEG's first frame header; null where there is none. */
export function jpegHead(bytes: Uint8Array): JpegHead | null {
  const word = (i: number) => ((bytes[i] ?? 0) << 8) | (bytes[i + 1] ?? 0);
  let at = 2;
  while (at + 9 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] as number;
    if (isFrameMarker(marker))
      return { widthPx: word(at + 7), heightPx: word(at + 5), components: bytes[at + 9] ?? 0 };
    // Fill bytes and markers without a length.
    if (marker === 0xff) at += 1;
    else if (marker === 0x01 || (marker >= 0xd0 && marker <= 0xd8)) at += 2;
    else at += 2 + Math.max(2, word(at + 2));
  }
  return null;
}

/** Size of a PNG or JPEG as its header states it; null of any other file. */
export function pictureSize(bytes: Uint8Array): PictureSize | null {
  const container = containerOf(bytes);
  if (container === 'png') return pngSize(bytes);
  return container === 'jpeg' ? jpegHead(bytes) : null;
}

/** What a PNG says of its tone response before its pixels; null where it says nothing. */
export function pngTone(bytes: Uint8Array): 'srgb' | 'linear' | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  for (const { type, start } of pngChunks(bytes)) {
    if (type === 'sRGB') return 'srgb';
    if (type === 'gAMA') return view.getUint32(start + 8) > 90_000 ? 'linear' : 'srgb';
    if (type === 'IDAT') return null;
  }
  return null;
}

interface Jpeg {
  start: number;
  end: number;
  pixels: number;
}

/** Segments walked in search of pictures; no camera's file has nearly as many, one made to be slow has. */
const MOST_SEGMENTS = 2_000_000;

/** Walks a JPEG from its first marker; null where it is not a whole one. */
function jpegAt(bytes: Uint8Array, start: number, spent: { segments: number }): Jpeg | null {
  let at = start + 2;
  let pixels = 0;
  while (at + 4 <= bytes.length) {
    spent.segments += 1;
    if (bytes[at] !== 0xff || spent.segments > MOST_SEGMENTS) return null;
    const marker = bytes[at + 1] as number;
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker === 0xd9) return { start, end: at + 2, pixels };
    const length = ((bytes[at + 2] as number) << 8) | (bytes[at + 3] as number);
    if (length < 2) return null;
    // Lossless JPEG holds raw values, not a picture to look at.
    if (marker === 0xc3) return null;
    if (marker >= 0xc0 && marker <= 0xc2)
      pixels =
        (((bytes[at + 5] as number) << 8) | (bytes[at + 6] as number)) *
        (((bytes[at + 7] as number) << 8) | (bytes[at + 8] as number));
    at += 2 + length;
    if (marker !== 0xda) continue;
    // Entropy-coded data: it ends at the next marker that is no restart and no stuffed zero.
    while (at + 1 < bytes.length) {
      const next = bytes[at + 1] as number;
      if (bytes[at] === 0xff && next !== 0 && !(next >= 0xd0 && next <= 0xd7)) break;
      at += 1;
    }
  }
  return null;
}

/** The largest whole JPEG picture inside a file, as raw files carry one for looking at; null where none. */
export function largestJpeg(bytes: Uint8Array): Uint8Array | null {
  let best: Jpeg | null = null;
  let at = 0;
  const spent = { segments: 0 };
  while (at + 3 < bytes.length && spent.segments <= MOST_SEGMENTS) {
    if (bytes[at] === 0xff && bytes[at + 1] === 0xd8 && bytes[at + 2] === 0xff) {
      const found = jpegAt(bytes, at, spent);
      if (found && found.pixels > (best?.pixels ?? 0)) best = found;
      at = found ? found.end : at + 2;
    } else at += 1;
  }
  return best ? bytes.subarray(best.start, best.end) : null;
}
