/** What a frame's file is, by its first bytes, and the pictures that lie inside a raw file. */

export type Container = 'jpeg' | 'png' | 'tiff' | 'other';

/** Tells files by their signatures; names are not to be trusted. */
export function containerOf(bytes: Uint8Array): Container {
  const starts = (...sought: number[]) => sought.every((b, i) => bytes[i] === b);
  if (starts(0xff, 0xd8, 0xff)) return 'jpeg';
  if (starts(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return 'png';
  if (starts(0x49, 0x49, 42, 0) || starts(0x4d, 0x4d, 0, 42)) return 'tiff';
  return 'other';
}

/** Bits a sample of a PNG, from its header; null where it is cut short. */
export const pngDepth = (bytes: Uint8Array): number | null => bytes[24] ?? null;

/** What a PNG says of its tone response; null where it says nothing. */
export function pngTone(bytes: Uint8Array): 'srgb' | 'linear' | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  let at = 8;
  while (at + 12 <= bytes.length) {
    const length = view.getUint32(at);
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    if (type === 'sRGB') return 'srgb';
    if (type === 'gAMA' && at + 12 <= bytes.length)
      return view.getUint32(at + 8) > 90_000 ? 'linear' : 'srgb';
    if (type === 'IDAT') return null;
    at += 12 + length;
  }
  return null;
}

interface Jpeg {
  start: number;
  end: number;
  pixels: number;
}

/** Walks a JPEG from its first marker; null where it is not a whole one. */
function jpegAt(bytes: Uint8Array, start: number): Jpeg | null {
  let at = start + 2;
  let pixels = 0;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
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
  while (at + 3 < bytes.length) {
    if (bytes[at] === 0xff && bytes[at + 1] === 0xd8 && bytes[at + 2] === 0xff) {
      const found = jpegAt(bytes, at);
      if (found && found.pixels > (best?.pixels ?? 0)) best = found;
      at = found ? found.end : at + 2;
    } else at += 1;
  }
  return best ? bytes.subarray(best.start, best.end) : null;
}
