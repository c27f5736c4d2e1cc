/** Every kind of picture that is lifted, written by outside tools, and read back by them from the file that is saved. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp, { type Sharp, type TiffOptions } from 'sharp';
import { afterAll, describe, expect, it } from 'vitest';
import { exifOf } from '../../../tests/support/exifOf';
import { decodePicture } from '../../node/picture';
import { containerOf, decodeFrame, type PixelImage } from '../measure/file';
import { writtenLike } from './ownPicture';

const folder = mkdtempSync(join(tmpdir(), 'halo-kinds-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const [WIDTH, HEIGHT] = [18, 12];
const SPACES = { 8: ['b-w', 'srgb'], 16: ['grey16', 'rgb16'] } as const;

/** A picture no two values of which are alike by chance; where it has alpha, a third of it is see-through. */
function valuesOf(channels: 1 | 2 | 3 | 4, depth: 8 | 16): Uint8Array | Uint16Array {
  const full = depth === 8 ? 256 : 65_536;
  const hasAlpha = channels % 2 === 0;
  const at = (i: number) =>
    hasAlpha && i % channels === channels - 1
      ? Math.floor(i / channels) % 3 === 0
        ? 0
        : full - 1
      : (i * 977 + 31) % full;
  const length = WIDTH * HEIGHT * channels;
  return depth === 8
    ? Uint8Array.from({ length }, (_, i) => at(i))
    : Uint16Array.from({ length }, (_, i) => at(i));
}

const rawOf = (data: Uint8Array | Uint16Array, channels: 1 | 2 | 3 | 4) =>
  sharp(data as Uint8Array, {
    raw: { width: WIDTH, height: HEIGHT, channels, premultiplied: false },
  });

/** A file written by outside tools, with what exiftool is told to say in it. */
async function fileOf(
  picture: Sharp,
  kind: 'png' | 'tif' | 'jpg',
  ...told: string[]
): Promise<Uint8Array<ArrayBuffer>> {
  const path = join(folder, `source.${kind}`);
  writeFileSync(path, await picture.toBuffer());
  if (told.length > 0) execFileSync('exiftool', ['-n', ...told, '-overwrite_original', path]);
  return new Uint8Array(readFileSync(path));
}

const encodeJpeg = async ({ widthPx, heightPx, channels, data }: PixelImage) =>
  new Uint8Array(
    await sharp(data as Uint8Array, { raw: { width: widthPx, height: heightPx, channels } })
      .removeAlpha()
      .jpeg({ quality: 100, chromaSubsampling: '4:4:4' })
      .toBuffer(),
  );

/** Opened and saved again as a lift does, with nothing lifted. */
async function saved(bytes: Uint8Array<ArrayBuffer>, name: string) {
  const opened = await decodeFrame(bytes, name, decodePicture);
  if (!opened.ok) throw new Error(opened.problems[0]?.sentence);
  expect(opened.value.unkept).toBeNull();
  const container = containerOf(bytes);
  return (await writtenLike({ name, bytes, container }, opened.value.image, encodeJpeg)).bytes;
}

/** Values as an outside decoder reads them, as they stand in the file. */
async function readBack(bytes: Uint8Array, depth: 8 | 16, channels: number) {
  const { data, info } = await sharp(bytes)
    // Grey of 8 bits with alpha keeps its alpha in colour alone.
    .toColourspace(SPACES[depth][channels === 1 || (channels === 2 && depth === 16) ? 0 : 1])
    .raw(depth === 16 ? { depth: 'ushort' } : {})
    .toBuffer({ resolveWithObject: true });
  const values =
    depth === 16 ? new Uint16Array(data.buffer, data.byteOffset, data.length / 2) : data;
  return { channels: info.channels, values: [...values] };
}

const LOSSLESS = (['png', 'tif'] as const).flatMap((kind) =>
  ([8, 16] as const).flatMap((depth) =>
    ([1, 2, 3, 4] as const).flatMap((channels) =>
      ([1, 6] as const).map((orientation) => ({ kind, depth, channels, orientation })),
    ),
  ),
);

describe('a picture saved as it was opened', () => {
  it.each(LOSSLESS)(
    '$kind of $depth bits, $channels values a pixel, turned as $orientation: all values, and turned as before',
    async ({ kind, depth, channels, orientation }) => {
      const data = valuesOf(channels, depth);
      const space = SPACES[depth][channels < 3 ? 0 : 1];
      const picture = rawOf(data, channels).toColourspace(space);
      const bytes = await fileOf(
        kind === 'png' ? picture.png() : picture.tiff({ compression: 'lzw' }),
        kind,
        `-Orientation=${orientation}`,
        '-Artist=A. Sluiter',
      );
      const before = await readBack(bytes, depth, channels);
      const out = await saved(bytes, `wall.${kind}`);
      const after = await readBack(out, depth, channels);
      expect(after).toEqual(before);
      // The outside tools wrote what was meant.
      expect(before.values[0]).toBe(data[0]);
      expect(before.values[before.channels - 1]).toBe(data[channels - 1]);
      const told = exifOf(out, folder, `saved.${kind}`);
      expect([told.Orientation, told.Artist]).toEqual([orientation, 'A. Sluiter']);
    },
  );

  it.each(['-Orientation=6', '-XMP-tiff:Orientation=6'])(
    'a JPEG, upright by EXIF and XMP alike: %s',
    async (one) => {
      const picture = rawOf(valuesOf(3, 8), 3).jpeg({ quality: 100 });
      const bytes = await fileOf(picture, 'jpg', '-Orientation=6', '-XMP-tiff:Orientation=6', one);
      const out = await saved(bytes, 'wall.jpg');
      const path = join(folder, 'saved.jpg');
      writeFileSync(path, out);
      const all = execFileSync('exiftool', ['-n', '-G1', '-a', '-s', '-Orientation', path], {
        encoding: 'utf8',
      });
      const said = all
        .trim()
        .split('\n')
        .map((line) => line.split(':').at(-1)?.trim());
      expect(said).toEqual(['1', '1']);
      const { info } = await sharp(out).raw().toBuffer({ resolveWithObject: true });
      expect([info.width, info.height]).toEqual([HEIGHT, WIDTH]);
    },
  );
});

/** A grey JPEG that carries a profile: its header alone, with the colours it speaks of where ICC.1 has them. */
function withGreyProfile(jpeg: Uint8Array): Uint8Array<ArrayBuffer> {
  const ascii = new TextEncoder();
  const profile = new Uint8Array(128);
  profile.set(ascii.encode('GRAY'), 16);
  const mark = ascii.encode('ICC_PROFILE\0');
  const length = 2 + mark.length + 2 + profile.length;
  return Uint8Array.of(
    ...jpeg.subarray(0, 2),
    0xff,
    0xe2,
    length >> 8,
    length & 255,
    ...mark,
    1,
    1,
    ...profile,
    ...jpeg.subarray(2),
  );
}

const told = async (bytes: Uint8Array) => {
  const opened = await decodeFrame(bytes, 'a.file', decodePicture);
  return opened.ok ? opened.value.unkept : opened.problems[0]?.sentence;
};

describe('a picture that could not be saved with all it holds', () => {
  const colour = () => rawOf(valuesOf(3, 8), 3);

  it('is told before it is lifted: further values a pixel, CMYK, a grey profile, a see-through palette', async () => {
    const one = { raw: { width: WIDTH, height: HEIGHT, channels: 1 } } as const;
    const more = [valuesOf(1, 8), valuesOf(1, 8)].map((v) => Buffer.from(v));
    const five = colour().joinChannel(more, one).tiff({ compression: 'none' });
    const tiff = new Uint8Array(await five.toBuffer());
    expect(await told(tiff)).toMatch(/^holds 2 further values a pixel/);
    // And what is measured of it are its own colours, row for row.
    const opened = await decodeFrame(tiff, 'five.tif', decodePicture);
    if (!opened.ok) throw new Error(opened.problems[0]?.sentence);
    expect(opened.value.image.channels).toBe(3);
    expect([...opened.value.image.data.slice(3, 6)]).toEqual([...valuesOf(3, 8).slice(3, 6)]);

    const cmyk = await colour().toColourspace('cmyk').jpeg().toBuffer();
    expect(await told(new Uint8Array(cmyk))).toMatch(/^is in CMYK/);
    const grey = await rawOf(valuesOf(1, 8), 1).toColourspace('b-w').jpeg().toBuffer();
    expect(await told(new Uint8Array(grey))).toBeNull();
    expect(await told(withGreyProfile(new Uint8Array(grey)))).toMatch(/^is grey with a profile/);
    const palette = await rawOf(valuesOf(4, 8), 4).png({ palette: true }).toBuffer();
    expect(await told(new Uint8Array(palette))).toMatch(/^has transparent places in a palette/);
  });

  it('is told by its name where it is not read at all', async () => {
    const tiff = (space: string, options: TiffOptions = { compression: 'none' }) =>
      colour().toColourspace(space).tiff(options).toBuffer();
    expect(await told(new Uint8Array(await tiff('cmyk')))).toMatch(/^a.file is a TIFF in CMYK/);
    expect(await told(new Uint8Array(await tiff('lab')))).toMatch(/^a.file is a TIFF in Lab/);
    expect(await told(new Uint8Array(await tiff('srgb', { compression: 'jpeg' })))).toMatch(
      /^a.file is a TIFF in YCbCr/,
    );
    // Planes: a plain one that says so (tag 284, SHORT, of TIFF 6.0; from memory).
    const planar = new Uint8Array(await tiff('srgb'));
    const view = new DataView(planar.buffer, planar.byteOffset, planar.length);
    const little = view.getUint16(0) === 0x4949;
    const directory = view.getUint32(4, little);
    let patched = 0;
    for (let i = 0; i < view.getUint16(directory, little); i += 1) {
      const at = directory + 2 + 12 * i;
      if (view.getUint16(at, little) !== 284) continue;
      view.setUint16(at + 8, 2, little);
      patched += 1;
    }
    expect(patched).toBe(1);
    expect(await told(planar)).toMatch(/^a.file is a TIFF with each colour in a plane of its own/);
  });
});
