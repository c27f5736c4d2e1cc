/** Pictures made to fill the memory of whoever reads them: few bytes that say, or inflate to, very many. */
import { createDeflate, deflateSync } from 'node:zlib';
import { pngChunk } from '@/core/bench-camera';
import { tries } from '../campaign/size';
import { pngOf, tiffBodyAt, type TiffEntry, tiffOf } from './handmade';

/** What one of them would be where all of it were read. */
export const BOMB_BYTES = tries({ inTest: 1.2e9, inCampaign: 4e9 });

/** Zeros, deflated: a thousandth of what they were. */
async function deflatedZeros(bytes: number): Promise<Buffer> {
  const deflate = createDeflate({ level: 9 });
  const parts: Buffer[] = [];
  deflate.on('data', (part: Buffer) => parts.push(part));
  const zeros = Buffer.alloc(1 << 20);
  for (let at = 0; at < bytes; at += zeros.length)
    if (!deflate.write(zeros)) await new Promise((go) => deflate.once('drain', go));
  await new Promise((done) => deflate.end(done));
  return Buffer.concat(parts);
}

const BYTE = 1;
const SHORT = 3;
const LONG = 4;
const RGB = 2;
const PALETTE = 3;

const png = (sidePx: number, depth: number, pixels: Uint8Array, ...before: Uint8Array[]) =>
  pngOf({ widthPx: sidePx, heightPx: sidePx, depth, colours: RGB }, pixels, ...before);

/** A TIFF of one deflated strip, four values of 16 bits a pixel, with further tags that are each all of the strip. */
function tiff(sidePx: number, strip: Uint8Array, furtherTags = 0): Uint8Array {
  const [own, bits] = [10, new Uint16Array([16, 16, 16, 16])];
  const bitsAt = tiffBodyAt(own + furtherTags);
  const stripAt = bitsAt + bits.byteLength;
  const further = Array.from(
    { length: furtherTags },
    (_, i) => [50_000 + i, BYTE, strip.length, stripAt] as const,
  );
  const entries: TiffEntry[] = [
    [256, LONG, 1, sidePx],
    [257, LONG, 1, sidePx],
    [258, SHORT, 4, bitsAt],
    [259, SHORT, 1, 8],
    [262, SHORT, 1, 2],
    [273, LONG, 1, stripAt],
    [277, SHORT, 1, 4],
    [278, LONG, 1, sidePx],
    [279, LONG, 1, strip.length],
    [338, SHORT, 1, 2],
  ];
  return tiffOf([...entries, ...further], Buffer.concat([Buffer.from(bits.buffer), strip]));
}

/** Of them, those that are whole beside what is large of them. */
export const HOLD_A_PIXEL: readonly string[] = ['profile.png', 'text.png'];

/** One of each kind, by what of it is large; each would be `bytes` where all of it were read. */
export async function bombs(bytes: number): Promise<Readonly<Record<string, Uint8Array>>> {
  const packed = await deflatedZeros(bytes);
  /** One pixel, black, so that all but what is large of it is whole. */
  const pixel = (depth: number) => deflateSync(Buffer.alloc(1 + (3 * depth) / 8));
  const texts = Buffer.concat([Buffer.from('a\0\0'), packed]);
  const side = (perPixel: number) => Math.floor(Math.sqrt(Math.min(bytes / perPixel, 150e6)));
  return {
    'profile.png': png(1, 8, pixel(8), pngChunk('iCCP', texts)),
    'text.png': png(1, 16, pixel(16), pngChunk('zTXt', texts)),
    'pixels.png': png(64, 16, packed),
    'pixels-of-8-bits.png': png(64, 8, packed),
    'header.png': png(side(6), 16, packed),
    'palette.png': pngOf(
      { widthPx: side(6), heightPx: side(6), depth: 8, colours: PALETTE },
      packed,
      pngChunk('PLTE', Uint8Array.of(9, 9, 9)),
    ),
    'header.tif': tiff(side(8), packed),
    'tags.tif': tiff(64, packed, Math.ceil(bytes / packed.length)),
  };
}
