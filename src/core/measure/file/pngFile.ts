/** PNG files of 8 and 16 bits in, as they stand: a screen's canvas turns them and loses colours where they are transparent. */
import { pngChunks, pngPixelsAlone, pngSize } from './container';
import type { PixelImage } from './pixels';
import { refuseBytes, refuseLarge } from './refused';

/** Values a pixel by the colour type of the header (ISO/IEC 15948). */
const VALUES: Readonly<Record<number, number>> = { 0: 1, 2: 3, 4: 2, 6: 4 };
/** Where the pixels of each of Adam7's passes begin, and how far apart they lie: x, y, across, down. */
const PASSES = [
  [0, 0, 8, 8],
  [4, 0, 8, 8],
  [0, 4, 4, 8],
  [2, 0, 4, 4],
  [0, 2, 2, 4],
  [1, 0, 2, 2],
  [0, 1, 1, 2],
] as const;

/** How many bytes the pixels of a PNG are once they are inflated, a byte a row for its filter included. */
function inflatedBytes(bytes: Uint8Array): number {
  const { widthPx = 0, heightPx = 0 } = pngSize(bytes) ?? {};
  const [depth = 0, colours = 0, interlaced = 0] = [bytes[24], bytes[25], bytes[28]];
  const pixelBytes = ((VALUES[colours] ?? 0) * depth) / 8;
  const passes = interlaced === 1 ? PASSES : ([[0, 0, 1, 1]] as const);
  return passes.reduce((sum, [x, y, across, down]) => {
    const width = Math.max(0, Math.ceil((widthPx - x) / across));
    const height = Math.max(0, Math.ceil((heightPx - y) / down));
    return width === 0 ? sum : sum + height * (width * pixelBytes + 1);
  }, 0);
}

/** Pixel data are inflated so few bytes at a time, for a browser inflates what it is given to its end. */
const PIECE_BYTES = 16_384;

/** The pixel data of a PNG as they stand, in pieces that are made as they are asked for. */
function pixelData(bytes: Uint8Array): ReadableStream<Uint8Array<ArrayBuffer>> {
  const chunks = pngChunks(bytes).filter(({ type }) => type === 'IDAT');
  const pieces = (function* () {
    for (const { start, end } of chunks)
      for (let at = start + 8; at < end - 4; at += PIECE_BYTES)
        yield bytes.slice(at, Math.min(at + PIECE_BYTES, end - 4));
  })();
  const pull = (to: ReadableStreamDefaultController<Uint8Array<ArrayBuffer>>) => {
    const { value, done } = pieces.next();
    if (done) to.close();
    else to.enqueue(value);
  };
  return new ReadableStream({ pull }, { highWaterMark: 0 });
}

/** Whether a PNG's pixel data inflate to as many bytes as its header needs; counted as they come, and no farther. */
async function holdsItsPixels(bytes: Uint8Array, wanted: number): Promise<boolean> {
  const reader = pixelData(bytes).pipeThrough(new DecompressionStream('deflate')).getReader();
  let counted = 0;
  try {
    while (counted <= wanted) {
      const { value, done } = await reader.read();
      if (done) break;
      counted += value.length;
    }
  } catch {
    // What follows the pixels, or is cut off before their end: the count tells which.
  }
  await reader.cancel().catch(() => undefined);
  return counted === wanted;
}

/** A PNG's pixels; throws where it is damaged, cut short, or holds other than its header says. */
export async function readPng(bytes: Uint8Array, mostWorkBytes: number): Promise<PixelImage> {
  refuseLarge(pngSize(bytes));
  const pictureBytes = inflatedBytes(bytes);
  refuseBytes({ kind: 'png', pictureBytes, fileBytes: bytes.length, mostWorkBytes });
  if (!(await holdsItsPixels(bytes, pictureBytes)))
    throw new Error('pixels are missing, or too many');
  const { decode } = await import('fast-png');
  const png = decode(pngPixelsAlone(bytes));
  return {
    widthPx: png.width,
    heightPx: png.height,
    channels: png.channels as PixelImage['channels'],
    depth: png.depth === 16 ? 16 : 8,
    data: png.data as Uint8Array | Uint16Array,
  };
}
