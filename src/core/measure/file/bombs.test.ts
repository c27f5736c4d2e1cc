/** Files made to fill the memory, or cut short: told as damaged before anything is inflated or set aside for them. */
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { decodePicture } from '../../../node/picture';
import { pngChunk } from '../../bench-camera';
import { decodeFrame } from './decode';

const [WIDTH, HEIGHT] = [40, 30];
const values = Uint8Array.from({ length: WIDTH * HEIGHT * 3 }, (_, i) => (i * 53) % 256);
const picture = () => sharp(values, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } });

const told = async (bytes: Uint8Array) => {
  const read = await decodeFrame(bytes, 'a.file', decodePicture);
  return read.ok ? [...read.value.image.data] : (read.problems[0]?.sentence ?? '');
};

/** A PNG of 16 bits of grey whose pixel data are what is given. */
function pngOf(pixels: Uint8Array, ...before: Uint8Array[]): Uint8Array {
  const head = new Uint8Array(13);
  const view = new DataView(head.buffer);
  view.setUint32(0, WIDTH);
  view.setUint32(4, HEIGHT);
  head.set([16, 0, 0, 0, 0], 8);
  return Buffer.concat([
    Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a),
    pngChunk('IHDR', head),
    ...before,
    pngChunk('IDAT', pixels),
    pngChunk('IEND', new Uint8Array(0)),
  ]);
}
const rows = new Uint8Array(HEIGHT * (2 * WIDTH + 1));

describe('a PNG', () => {
  it('is read without its profile and texts, which may inflate to anything', async () => {
    const noProfile = Uint8Array.of(0x61, 0, 0, 1, 2, 3, 4, 5);
    const zeros = new Array(WIDTH * HEIGHT).fill(0);
    expect(await told(pngOf(deflateSync(rows), pngChunk('iCCP', noProfile)))).toEqual(zeros);
    expect(await told(pngOf(deflateSync(rows), pngChunk('zTXt', noProfile)))).toEqual(zeros);
  });

  it('with more pixels, or fewer, than its header says is damaged', async () => {
    const damaged = /^a.file cannot be read as a picture/;
    expect(await told(pngOf(deflateSync(new Uint8Array(rows.length * 500))))).toMatch(damaged);
    expect(await told(pngOf(deflateSync(rows.subarray(0, rows.length - 1))))).toMatch(damaged);
    expect(await told(pngOf(deflateSync(rows).subarray(0, 9)))).toMatch(damaged);
  });

  it('that makes one of its colours see-through cannot be saved with that', async () => {
    const png = pngOf(deflateSync(rows), pngChunk('tRNS', Uint8Array.of(0, 9)));
    const read = await decodeFrame(png, 'a.file', decodePicture);
    expect(read.ok && read.value.unkept).toMatch(/^has a see-through colour/);
  });

  it('is read value for value when its rows come in passes', async () => {
    const interlaced = new Uint8Array(await picture().png({ progressive: true }).toBuffer());
    expect(interlaced[28]).toBe(1);
    expect(await told(interlaced)).toEqual([...values]);
  });
});

/** A small TIFF with entries of kind SHORT, LONG or bytes, one after the other; its strip is a few bytes. */
function tiffOf(
  entries: readonly (readonly [tag: number, kind: number, count: number, value: number])[],
) {
  const bytes = new Uint8Array(8 + 2 + 12 * entries.length + 4 + 64);
  const view = new DataView(bytes.buffer);
  bytes.set([0x49, 0x49, 42, 0, 8, 0, 0, 0]);
  view.setUint16(8, entries.length, true);
  entries.forEach(([tag, kind, count, value], i) => {
    const at = 10 + 12 * i;
    view.setUint16(at, tag, true);
    view.setUint16(at + 2, kind, true);
    view.setUint32(at + 4, count, true);
    view.setUint32(at + 8, value, true);
  });
  return bytes;
}
const HEAD = [
  [256, 3, 1, 12_600],
  [257, 3, 1, 12_600],
  [258, 3, 1, 16],
  [259, 3, 1, 1],
  [262, 3, 1, 1],
  [273, 4, 1, 100],
  [277, 3, 1, 1],
  [278, 4, 1, 12_600],
  [279, 4, 1, 8],
] as const;

describe('a TIFF', () => {
  it('that says it is far larger than its file can hold is told so, and nothing is set aside', async () => {
    expect(await told(tiffOf(HEAD))).toBe(
      'a.file says it is 318 MB of picture in a file of 0.0 MB: it is damaged.',
    );
  });

  it('whose tags are more than its file is damaged', async () => {
    const tags = Array.from({ length: 40 }, (_, i) => [40_000 + i, 1, 150, 8] as const);
    const small = HEAD.map(
      ([tag, kind, count, value]) => [tag, kind, count, value === 12_600 ? 2 : value] as const,
    );
    expect(await told(tiffOf([...small, ...tags]))).toMatch(/^a.file cannot be read as a picture/);
  });
});
