/** Frames as real files: what they hold, and what bad ones earn. */
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { drawRig, exposureOf, mapOf } from '../../../../tests/support/frames';
import { decodePicture } from '../../../node/picture';
import { jpegFile, pngFile, type ShotSettings, expose } from '../../bench-camera';
import { randomOf } from '../../maths';
import { containerOf, jpegHead, largestJpeg, pngSize } from './container';
import { decodeFrame } from './decode';
import { measureFile } from '../../measure';
import type { PixelImage } from './pixels';

const rig = drawRig(randomOf(11), 0.75, 0.8);
const frame = (more: Parameters<typeof exposureOf>[2]) =>
  expose(mapOf(rig, 8), exposureOf(rig, randomOf(12), { widthPx: 600, heightPx: 400, ...more }));
const shot: ShotSettings = {
  focalMm: 35,
  fNumber: 8,
  exposureS: 1 / 60,
  iso: 100,
  takenAt: '2026-05-12 09:30:00',
  srgb: true,
};
const encodeJpeg = async ({ widthPx, heightPx, channels, data }: PixelImage) =>
  sharp(data as Uint8Array, { raw: { width: widthPx, height: heightPx, channels } })
    .jpeg({ quality: 95 })
    .toBuffer();
const raw = ({ widthPx, heightPx, channels, data }: PixelImage) =>
  sharp(data as Uint16Array, { raw: { width: widthPx, height: heightPx, channels } });
const sameValues = (a: PixelImage, b: PixelImage) =>
  Buffer.from(a.data.buffer, a.data.byteOffset, a.data.byteLength).equals(
    Buffer.from(b.data.buffer, b.data.byteOffset, b.data.byteLength),
  );

const read = async (bytes: Uint8Array, name = 'frame') => {
  const decoded = await decodeFrame(bytes, name, decodePicture);
  if (!decoded.ok) throw new Error(decoded.problems[0]?.sentence);
  return decoded.value;
};

describe('a frame’s file', () => {
  it('PNG of 16 bits comes back value for value, with its settings and tone', async () => {
    const image = frame({ channels: 3 });
    const back = await read(pngFile(image, shot));
    expect(sameValues(back.image, image)).toBe(true);
    expect(back.toldTone).toBe('srgb');
    expect(back.settings).toMatchObject({ focalMm: 35, fNumber: 8, iso: 100 });
    expect(back.settings.takenAt).toBe('2026-05-12T09:30:00');
    const linear = await read(pngFile(frame({ tone: 'linear' }), { ...shot, srgb: false }));
    expect(linear.toldTone).toBe('linear');
  });

  it('PNG of 8 bits and JPEG too', async () => {
    const image = frame({ depth: 8, channels: 3 });
    expect(sameValues((await read(pngFile(image, shot))).image, image)).toBe(true);
    const jpeg = await read(await jpegFile(image, shot, encodeJpeg));
    expect(jpeg.settings.fNumber).toBe(8);
    expect(jpeg.toldTone).toBe('srgb');
    expect(jpeg.image).toMatchObject({ widthPx: 600, heightPx: 400, channels: 3, depth: 8 });
  });

  it.each(['none', 'lzw', 'deflate'] as const)(
    'TIFF of 16 bits, %s, grey and colour, value for value',
    async (compression) => {
      for (const [channels, space] of [
        [1, 'grey16'],
        [3, 'rgb16'],
      ] as const) {
        const image = frame({ channels });
        const file = await raw(image)
          .toColourspace(space)
          .tiff({ compression, predictor: 'none' })
          .toBuffer();
        const { image: back } = await read(file);
        expect(back).toMatchObject({ widthPx: 600, heightPx: 400, channels, depth: 16 });
        expect(sameValues(back, image)).toBe(true);
      }
    },
  );

  it('an upright frame is turned as EXIF says', async () => {
    const { data } = frame({ depth: 8, channels: 3 });
    const file = await sharp(data as Uint8Array, { raw: { width: 600, height: 400, channels: 3 } })
      .jpeg()
      .withMetadata({ orientation: 6 })
      .toBuffer();
    expect((await read(file)).image).toMatchObject({ widthPx: 400, heightPx: 600 });
  });

  it('of a raw kind gives the largest picture inside it', async () => {
    const large = await encodeJpeg(frame({ depth: 8, channels: 3 }));
    const small = await sharp(large).resize(120).jpeg().toBuffer();
    const between = Buffer.alloc(4000, 0x41);
    const file = Buffer.concat([Buffer.from('RAWX....'), small, between, large, between]);
    expect(containerOf(file)).toBe('other');
    expect(Buffer.from(largestJpeg(file) ?? [])).toEqual(large);
    const back = await read(file);
    expect(back.preview).toBe(true);
    expect(back.image.widthPx).toBe(600);
  });
});

describe('a bad file', () => {
  const png = pngFile(frame({}), shot);
  it.each([
    ['nothing.png', new Uint8Array(0), /^nothing\.png is empty/],
    ['notes.txt', Buffer.from('just a note'), /^notes\.txt cannot be read as a picture/],
    ['cut.png', png.subarray(0, 9000), /^cut\.png cannot be read as a picture/],
    ['head.png', png.subarray(0, 20), /^head\.png cannot be read as a picture/],
    ['cut.jpg', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]), /^cut\.jpg cannot be read/],
    ['cut.tif', Buffer.from([0x49, 0x49, 42, 0, 8, 0, 0, 0]), /^cut\.tif cannot be read/],
  ])('%s earns a sentence with its name', async (name, bytes, sentence) => {
    const decoded = await decodeFrame(bytes, name, decodePicture);
    expect(decoded.ok ? '' : decoded.problems[0]?.sentence).toMatch(sentence);
  });
});

describe('a picture larger than any camera takes', () => {
  /** A decoder that must not be reached. */
  const never = () => Promise.reject(new Error('was decoded'));
  const size = async (bytes: Uint8Array) => {
    const decoded = await decodeFrame(bytes, 'frame', never);
    return decoded.ok ? '' : decoded.problems[0]?.sentence;
  };
  const large = 'frame has more than 160 million pixels.';

  it('is told by its header, before anything of it is decoded', async () => {
    const png = pngFile(frame({ depth: 8 }), shot);
    new DataView(png.buffer, png.byteOffset).setUint32(16, 14_000);
    new DataView(png.buffer, png.byteOffset).setUint32(20, 14_000);
    expect(await size(png)).toBe(large);
    const sixteen = pngFile(frame({}), shot);
    new DataView(sixteen.buffer, sixteen.byteOffset).setUint32(16, 60_000);
    new DataView(sixteen.buffer, sixteen.byteOffset).setUint32(20, 60_000);
    expect(await size(sixteen)).toBe(large);
    const jpeg = new Uint8Array(await encodeJpeg(frame({ depth: 8, channels: 3 })));
    const at = jpeg.findIndex(
      (b, i) => b === 0xff && (jpeg[i + 1] === 0xc0 || jpeg[i + 1] === 0xc2),
    );
    jpeg.set([0xff, 0xff, 0xff, 0xff], at + 5);
    expect(await size(jpeg)).toBe(large);
    const tiff = await raw(frame({})).tiff().toBuffer();
    const view = new DataView(tiff.buffer, tiff.byteOffset, tiff.length);
    const isLittle = tiff[0] === 0x49;
    const entries = view.getUint32(4, isLittle);
    for (let i = 0; i < view.getUint16(entries, isLittle); i += 1) {
      const entry = entries + 2 + 12 * i;
      const tag = view.getUint16(entry, isLittle);
      // Width and height, whole numbers of 32 bits.
      if (tag === 256 || tag === 257) {
        view.setUint16(entry + 2, 4, isLittle);
        view.setUint32(entry + 8, 50_000, isLittle);
      }
    }
    expect(await size(tiff)).toBe(large);
  });

  it('sizes are those the files have', async () => {
    const image = frame({ depth: 8, channels: 3 });
    expect(pngSize(pngFile(image, shot))).toEqual({ widthPx: 600, heightPx: 400 });
    expect(jpegHead(await jpegFile(image, shot, encodeJpeg))).toMatchObject({
      widthPx: 600,
      heightPx: 400,
    });
    expect(jpegHead(Uint8Array.of(0xff, 0xd8, 0xff))).toBeNull();
    expect(pngSize(Uint8Array.of(0x89))).toBeNull();
  });

  it('a coloured TIFF in tiles is told as such, not read as dark; one in grey is read', async () => {
    const tiles = { tile: true, tileWidth: 64, tileHeight: 64 } as const;
    const coloured = await raw(frame({ depth: 8, channels: 3 }))
      .tiff(tiles)
      .toBuffer();
    expect(await size(coloured)).toMatch(/^frame is a coloured TIFF in tiles, which is not read/);
    const image = frame({ depth: 8 });
    const grey = await raw(image)
      .toColourspace('b-w')
      .tiff({ ...tiles, compression: 'none' })
      .toBuffer();
    expect(sameValues((await read(grey)).image, image)).toBe(true);
  });

  it('a file of nothing but beginnings of pictures is given up', () => {
    const bytes = new Uint8Array(3_000_000);
    for (let i = 0; i < bytes.length; i += 3)
      bytes.set([0xff, 0xd8, 0xff].slice(0, bytes.length - i), i);
    expect(largestJpeg(bytes)).toBeNull();
  });
});

describe('a tone the file does not tell', () => {
  const untold = (image: PixelImage) =>
    raw(image).toColourspace('grey16').tiff({ compression: 'none' }).toBuffer();

  it('is found where the halo shows it, and otherwise widens the interval', async () => {
    const options = { sensor: rig.sensor, tone: 'auto' as const, fNumber: 8 };
    for (const tone of ['linear', 'srgb'] as const) {
      const image = frame({ tone, widthPx: 900, heightPx: 600 });
      const told = await measureFile(
        await untold(image),
        'told.tif',
        { ...options, tone: { kind: tone } },
        decodePicture,
      );
      const guessed = await measureFile(await untold(image), 'f.tif', options, decodePicture);
      if (!told.ok || !guessed.ok) throw new Error('unread');
      const truth = told.value.measure.halfLightRadiusMm?.value ?? Number.NaN;
      const figure = guessed.value.measure.halfLightRadiusMm;
      expect(figure?.low).toBeLessThanOrEqual(truth);
      expect(figure?.high).toBeGreaterThanOrEqual(truth);
      if (guessed.value.tone.kind !== tone)
        expect(guessed.value.measure.warnings).toContain('toneAssumed');
    }
  });
});
