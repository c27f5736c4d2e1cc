/** What of a picture's file cannot be written again beside other pixels. */
import { jpegHead, jpegSegments, pngChunks, isPlainPng, type Container } from './container';

const ascii = (bytes: Uint8Array, from: number, length: number): string =>
  String.fromCharCode(...bytes.subarray(from, from + length));

const PROFILE_MARK = 'ICC_PROFILE';
const PROFILE_MARKER = 0xe2;
/** Where a profile says its colours, from the marker of its segment: 4 of the segment, 14 of the mark, 16 of the profile. */
const COLOURS_AT = 4 + 14 + 16;

/** The colours a JPEG's profile speaks of, as the profile names them; null where it carries none. */
function jpegProfileOf(bytes: Uint8Array): string | null {
  const profile = jpegSegments(bytes).find(
    ({ marker, start }) =>
      marker === PROFILE_MARKER && ascii(bytes, start + 4, PROFILE_MARK.length) === PROFILE_MARK,
  );
  return profile ? ascii(bytes, profile.start + COLOURS_AT, 4).trim() : null;
}

/** Why a picture's file cannot be written again with all it holds, going on from its name; null where it can. */
export function unkeptIn(
  bytes: Uint8Array,
  container: Container,
  furtherValues: number,
): string | null {
  if (furtherValues > 0)
    return `holds ${furtherValues} further values a pixel beside its colours, which would be lost`;
  if (container === 'png' && pngChunks(bytes).some(({ type }) => type === 'tRNS'))
    return isPlainPng(bytes)
      ? 'has a see-through colour, which would be lost'
      : 'has transparent places in a palette, which would be lost';
  if (container !== 'jpeg') return null;
  const components = jpegHead(bytes)?.components;
  if (components === 4) return 'is in CMYK, which would be lost';
  if (components === 1 && jpegProfileOf(bytes) === 'GRAY')
    return 'is grey with a profile of its own, which would be lost';
  return null;
}
