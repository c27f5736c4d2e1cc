/** Files made to fill the memory, or cut short: told as damaged before anything is inflated or set aside for them. */
import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { decodePicture } from '../../../node/picture';
import * as handmade from '../../../../tests/support/handmade';
import { pngChunk } from '../../bench-camera';
import { pngChunks } from './container';
import { decodeFrame } from './decode';

const [WIDTH, HEIGHT] = [40, 30];
const values = Uint8Array.from({ length: WIDTH * HEIGHT * 3 }, (_, i) => (i * 53) % 256);
const picture = () => sharp(values, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } });

const told = async (bytes: Uint8Array) => {
  const read = await decodeFrame(bytes, 'a.file', decodePicture);
  return read.ok ? [...read.value.image.data] : (read.problems[0]?.sentence ?? '');
};

/** A PNG of 16 bits of grey whose pixel data are what is given. */
const pngOf = (pixels: Uint8Array, ...before: Uint8Array[]): Uint8Array =>
  handmade.pngOf({ widthPx: WIDTH, heightPx: HEIGHT, depth: 16, colours: 0 }, pixels, ...before);
const rows = new Uint8Array(HEIGHT * (2 * WIDTH + 1));

describe('a PNG', () => {
  it('is read without its profile and texts, which may inflate to anything', async () => {
    const noProfile = Uint8Array.of(0x61, 0, 0, 1, 2, 3, 4, 5);
    const zeros = new Array(WIDTH * HEIGHT).fill(0);
    expect(await told(pngOf(deflateSync(rows), pngChunk('iCCP', noProfile)))).toEqual(zeros);
    expect(await told(pngOf(deflateSync(rows), pngChunk('zTXt', noProfile)))).toEqual(zeros);
  });

  it('has its settings read without inflating anything beside its pixels', async () => {
    const large = 300e6;
    const packed = deflateSync(new Uint8Array(large));
    const profile = Buffer.concat([Uint8Array.of(0x61, 0, 0), packed]);
    const exif = await sharp({ create: { width: 1, height: 1, channels: 3, background: '#888' } })
      .withExif({ IFD2: { FNumber: '8/1' } })
      .png()
      .toBuffer();
    const chunk = pngChunks(exif).find(({ type }) => type === 'eXIf')!;
    const png = pngOf(
      deflateSync(rows),
      pngChunk('iCCP', profile),
      pngChunk('eXIf', exif.subarray(chunk.start + 8, chunk.end - 4)),
    );
    const before = process.memoryUsage().arrayBuffers;
    const read = await decodeFrame(png, 'a.file', decodePicture);
    expect(read.ok && read.value.settings.fNumber).toBe(8);
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(large / 3);
  });

  it('that inflates to far more than its file, as its header says, is not inflated', async () => {
    const png = Buffer.from(pngOf(deflateSync(rows)));
    png.writeUInt32BE(12_000, 16);
    png.writeUInt32BE(12_000, 20);
    expect(await told(png)).toBe(
      'a.file says it is 288 MB of picture in a file of 0.0 MB: it is damaged.',
    );
  });

  it('whose colours are numbers of a palette is held to the same, whoever decodes it', async () => {
    const head = { widthPx: 12_000, heightPx: 12_000, depth: 8, colours: 3 };
    const palette = pngChunk('PLTE', Uint8Array.of(9, 9, 9));
    expect(await told(handmade.pngOf(head, deflateSync(rows), palette))).toBe(
      'a.file says it is 432 MB of picture in a file of 0.0 MB: it is damaged.',
    );
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

/** A small TIFF with these entries; its strip is a few bytes. */
const tiffOf = (entries: readonly handmade.TiffEntry[]): Uint8Array =>
  handmade.tiffOf(entries, new Uint8Array(64));
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

describe('where there is little memory', () => {
  const saidWith = async (bytes: Uint8Array, mostWorkBytes: number) => {
    const read = await decodeFrame(bytes, 'a.file', decodePicture, mostWorkBytes);
    return read.ok ? 'read' : read.problems[0]?.sentence;
  };

  it('a picture is refused by what decoding it takes, before it is decoded', async () => {
    // 3600 bytes of picture; a PNG's rows have one byte more each.
    const most = 3000;
    const files = [
      ['PNG', await picture().png().toBuffer(), 3 * (3600 + HEIGHT)],
      ['TIFF', await picture().tiff({ compression: 'none' }).toBuffer(), 3 * 3600],
      ['JPEG', await picture().jpeg().toBuffer(), 1.3 * 3600],
    ] as const;
    for (const [kind, bytes, takes] of files) {
      expect(await saidWith(bytes, most)).toMatch(
        new RegExp(`^a.file is 0 MB of picture; here a ${kind} may be 0 MB. The program on the`),
      );
      expect(await saidWith(bytes, takes - 1)).toMatch(/^a.file is/);
      expect(await saidWith(bytes, takes)).toBe('read');
    }
  });
});
