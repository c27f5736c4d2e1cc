/** Pictures made to fill the memory of whoever reads them: few bytes that say, or inflate to, very many. */
import { createDeflate, deflateSync } from 'node:zlib';
import { pngChunk as chunk } from '@/core/bench-camera';
import { tries } from '../campaign/size';

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

function png(sidePx: number, depth: number, pixels: Uint8Array, ...before: Uint8Array[]): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(sidePx);
  head.writeUInt32BE(sidePx, 4);
  head.set([depth, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    ...before,
    chunk('IDAT', pixels),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

const SHORT = 3;
const LONG = 4;

/** A TIFF of one deflated strip, four values of 16 bits a pixel; further tags are [tag, type, count, offset]. */
function tiff(sidePx: number, strip: Uint8Array, further: readonly (readonly number[])[]): Buffer {
  const first = 8;
  const entries = [
    [256, LONG, 1, sidePx],
    [257, LONG, 1, sidePx],
    [258, SHORT, 4, first + strip.length],
    [259, SHORT, 1, 8],
    [262, SHORT, 1, 2],
    [273, LONG, 1, first + 8 + strip.length],
    [277, SHORT, 1, 4],
    [278, LONG, 1, sidePx],
    [279, LONG, 1, strip.length],
    [338, SHORT, 1, 2],
    ...further,
  ];
  const head = Buffer.from([0x49, 0x49, 42, 0, 0, 0, 0, 0]);
  head.writeUInt32LE(first + 8 + strip.length, 4);
  const bits = Buffer.from(new Uint16Array([16, 16, 16, 16]).buffer);
  const directory = Buffer.alloc(2 + 12 * entries.length + 4);
  directory.writeUInt16LE(entries.length);
  entries.forEach(([tag = 0, type = 0, count = 0, value = 0], i) => {
    const at = 2 + 12 * i;
    directory.writeUInt16LE(tag, at);
    directory.writeUInt16LE(type, at + 2);
    directory.writeUInt32LE(count, at + 4);
    directory.writeUInt32LE(value, at + 8);
  });
  return Buffer.concat([head, strip, bits, directory]);
}

/** One of each kind, by what of it is large; each would be `bytes` where all of it were read. */
export async function bombs(bytes: number): Promise<Readonly<Record<string, Buffer>>> {
  const packed = await deflatedZeros(bytes);
  /** One pixel, black, so that all but what is large of it is whole. */
  const pixel = (depth: number) => deflateSync(Buffer.alloc(1 + (3 * depth) / 8));
  const texts = Buffer.concat([Buffer.from('a\0\0'), packed]);
  const side = (perPixel: number) => Math.floor(Math.sqrt(Math.min(bytes / perPixel, 150e6)));
  const copied = packed.length;
  const tags = Array.from({ length: Math.ceil(bytes / copied) }, (_, i) => [
    50_000 + i,
    1,
    copied,
    8,
  ]);
  return {
    'profile.png': png(1, 8, pixel(8), chunk('iCCP', texts)),
    'text.png': png(1, 16, pixel(16), chunk('zTXt', texts)),
    'pixels.png': png(64, 16, packed),
    'pixels-of-8-bits.png': png(64, 8, packed),
    'header.png': png(side(6), 16, packed),
    'header.tif': tiff(side(8), packed, []),
    'tags.tif': tiff(64, packed, tags),
  };
}
