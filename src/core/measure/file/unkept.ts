/** What of a picture's file cannot be written again beside other pixels. */
import { jpegHead, pngChunks, isPlainPng, type Container } from './container';

const ascii = (bytes: Uint8Array, from: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(from, from + length));

const PROFILE_MARK = 'ICC_PROFILE';
/** Where a profile says its colours, from the marker of its segment: 4 of the segment, 14 of the mark, 16 of the profile. */
const COLOURS_AT = 4 + 14 + 16;

/** The colours a JPEG's profile speaks of, as the profile names them; null where it carries none. */
function jpegProfileOf(bytes: Uint8Array): string | null {
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff && bytes[at + 1] !== 0xda) {
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    if (bytes[at + 1] === 0xe2 && ascii(bytes, at + 4, PROFILE_MARK.length) === PROFILE_MARK)
      return ascii(bytes, at + COLOURS_AT, 4).trim();
    at += 2 + Math.max(2, length);
  }
  return null;
}

/** Why a picture's file cannot be written again with all it holds, going on from its name; null where it can. */
export function unkeptIn(
  bytes: Uint8Array,
  container: Container,
  furtherValues: number,
): string | null {
  if (furtherValues > 0)
    return `holds ${furtherValues} further values a pixel beside its colours, which would be lost`;
  if (container === 'png' && !isPlainPng(bytes)) {
    const isClear = pngChunks(bytes).some(({ type }) => type === 'tRNS');
    return isClear ? 'has transparent places in a palette, which would be lost' : null;
  }
  if (container !== 'jpeg') return null;
  const components = jpegHead(bytes)?.components;
  if (components === 4) return 'is in CMYK, which would be lost';
  if (components === 1 && jpegProfileOf(bytes) === 'GRAY')
    return 'is grey with a profile of its own, which would be lost';
  return null;
}
