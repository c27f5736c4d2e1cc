import { exifOf } from '../../../tests/support/exifOf';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import fc from 'fast-check';
import sharp from 'sharp';
import { decode as decodeTiff } from 'tiff';
import { afterAll, describe, expect, it } from 'vitest';
import { runs } from '../../../tests/support/seed';
import type { PixelImage } from '../measure/file';
import { jpegWith, orientationOf, pngWith, tiffTagsOf } from './carriedOver';
import { writtenLike } from './ownPicture';
import { writeTiff } from './tiffOut';

const folder = mkdtempSync(join(tmpdir(), 'halo-correction-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const exif = (bytes: Uint8Array, name: string) => exifOf(bytes, folder, name);

describe('what a file says of itself goes along', () => {
  const TOLD = [
    '-FocalLength=35',
    '-FNumber=2.8',
    '-Artist=A. Sluiter <b>',
    '-ISO=800',
    '-overwrite_original',
  ];
  async function sourceOf(kind: 'jpeg' | 'png' | 'tiff', ...more: string[]): Promise<Uint8Array> {
    const picture = sharp({ create: { width: 60, height: 40, channels: 3, background: '#888' } });
    const file = join(
      folder,
      `source.${kind === 'jpeg' ? 'jpg' : kind === 'tiff' ? 'tif' : 'png'}`,
    );
    await picture.withIccProfile('p3').toFormat(kind).toFile(file);
    execFileSync('exiftool', [...TOLD, ...more, file]);
    return new Uint8Array(readFileSync(file));
  }
  const plain = (kind: 'jpeg' | 'png') =>
    sharp({ create: { width: 60, height: 40, channels: 3, background: '#aaa' } })
      .toFormat(kind)
      .toBuffer();

  it('of a JPEG, upright whichever way it was turned', async () => {
    const source = await sourceOf('jpeg', '-n', '-Orientation=6');
    expect(orientationOf(source)).toBe(6);
    const bytes = jpegWith(new Uint8Array(await plain('jpeg')), source);
    const told = exif(bytes, 'lifted.jpg');
    expect([told.FocalLength, told.FNumber, told.ISO, told.Orientation]).toEqual([35, 2.8, 800, 1]);
    expect(told.Artist).toBe('A. Sluiter <b>');
    expect(String(told.ProfileDescription)).toContain('P3');
    expect((await sharp(Buffer.from(bytes)).stats()).channels[0]?.mean).toBeCloseTo(170, 0);
  });

  it('of a PNG', async () => {
    const source = await sourceOf('png');
    const bytes = pngWith(new Uint8Array(await plain('png')), source);
    const told = exif(bytes, 'lifted.png');
    expect([told.FocalLength, told.FNumber, told.Artist]).toEqual([35, 2.8, 'A. Sluiter <b>']);
    expect((await sharp(Buffer.from(bytes)).stats()).channels[0]?.mean).toBeCloseTo(170, 0);
  });

  it.each(['-ExifByteOrder=II', '-ExifByteOrder=MM'])(
    'of a TIFF, with its settings: %s',
    async (order) => {
      const source = await sourceOf('tiff', order);
      const bytes = writeTiff({
        widthPx: 60,
        heightPx: 40,
        channels: 3,
        kind: '16-bit',
        data: new Uint16Array(60 * 40 * 3).fill(30_000),
        description: '',
        more: tiffTagsOf(source),
      });
      const told = exif(bytes, 'lifted.tif');
      expect([told.FocalLength, told.FNumber, told.ISO]).toEqual([35, 2.8, 800]);
      expect(told.Artist).toBe('A. Sluiter <b>');
      const [page] = decodeTiff(bytes);
      expect(page?.data[5]).toBe(30_000);
    },
  );

  it('of a JPEG with padding before its markers, up to its pixels and no farther', async () => {
    const source = await sourceOf('jpeg', '-n', '-Orientation=6');
    // Any marker may stand behind fill bytes of FF (ITU-T T.81, B.1.1.2; from memory).
    const padded = Uint8Array.of(source[0]!, source[1]!, 0xff, 0xff, 0xff, ...source.subarray(2));
    expect(orientationOf(padded)).toBe(6);
    const lifted = jpegWith(new Uint8Array(await plain('jpeg')), padded);
    expect(exif(lifted, 'padded.jpg').Artist).toBe('A. Sluiter <b>');
    // What stands behind the start of the scan is pixels, whatever it looks like.
    const scan = source.findIndex((b, i) => b === 0xff && source[i + 1] === 0xda);
    const early = Uint8Array.of(
      source[0]!,
      source[1]!,
      0xff,
      0xda,
      0,
      2,
      ...source.subarray(2, scan),
    );
    expect(orientationOf(early)).toBe(1);
    const cut = source.subarray(0, 30);
    expect(orientationOf(new Uint8Array(cut))).toBe(1);
  });

  it('a lifted picture is a file of the kind it came from, its pixels as they were lifted', async () => {
    const data = Uint16Array.from({ length: 60 * 40 * 3 }, (_, i) => (i * 977) % 65_536);
    const image: PixelImage = { widthPx: 60, heightPx: 40, channels: 3, depth: 16, data };
    const never = () => Promise.reject(new Error('no JPEG was asked for'));
    const opened = async (container: 'png' | 'tiff') => ({
      name: `wall.one.${container}`,
      bytes: new Uint8Array(await sourceOf(container)),
      container,
    });
    const png = await writtenLike(await opened('png'), image, never);
    expect([png.name, png.type]).toEqual(['wall.one-lifted.png', 'image/png']);
    const read = decode(png.bytes);
    expect([read.width, read.height, read.channels, read.depth]).toEqual([60, 40, 3, 16]);
    expect([...read.data]).toEqual([...data]);
    const tiff = await writtenLike(await opened('tiff'), image, never);
    expect([tiff.name, tiff.type]).toEqual(['wall.one-lifted.tif', 'image/tiff']);
    expect([...(decodeTiff(tiff.bytes)[0]?.data ?? [])]).toEqual([...data]);
  });

  it('is nothing where the file is cut short or says nonsense', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
        const jpeg = Uint8Array.of(
          0xff,
          0xd8,
          0xff,
          0xe1,
          0,
          40,
          0x45,
          0x78,
          0x69,
          0x66,
          0,
          0,
          ...bytes,
        );
        expect(orientationOf(jpeg)).toBeGreaterThanOrEqual(1);
        const tiff = Uint8Array.of(0x49, 0x49, 42, 0, 8, 0, 0, 0, ...bytes);
        expect(Array.isArray(tiffTagsOf(tiff))).toBe(true);
        expect(jpegWith(jpeg, jpeg).length).toBeGreaterThan(0);
        expect(pngWith(bytes, bytes)).toBeInstanceOf(Uint8Array);
      }),
      { numRuns: runs(300) },
    );
  });
});
