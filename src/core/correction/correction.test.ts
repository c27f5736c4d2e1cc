import { exifOf } from '../../../tests/support/exifOf';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import fc from 'fast-check';
import { decode as decodeTiff } from 'tiff';
import { afterAll, describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { runs } from '../../../tests/support/seed';
import { recordedFrame } from '../frame';
import { lightAt, lightAtPlace, rectangularRim, type Halo } from '../halo';
import type { PixelImage } from '../measure/file';
import { situationOf } from '../rig';
import { gainRow, gainTable, MOST_GAIN, reachOfFrame } from './gain';
import { gainMapFile } from './gainMap';
import { frameOfPicture, liftCost, liftPicture, turnedHalo, turnedPlace } from './liftPicture';
import { screenValues, thinned } from './ownPicture';
import { halfBits } from './tiffOut';

const folder = mkdtempSync(join(tmpdir(), 'halo-correction-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const exif = (bytes: Uint8Array, name: string) => exifOf(bytes, folder, name);

const halos = new Map<string, Halo>();
function halo(id: string): Halo {
  const known = halos.get(id) ?? situationOf(demoRig(id)).halo;
  halos.set(id, known);
  return known;
}
const small = (id: string) => ({
  ...recordedFrame(demoRig(id).mode, 1),
  widthPx: 300,
  heightPx: 200,
});

/** IEEE 754 binary16 read by its definition. */
const half = (bits: number): number => {
  const [exponent, fraction] = [bits >> 10, bits & 1023];
  return exponent === 0 ? fraction * 2 ** -24 : (1 + fraction / 1024) * 2 ** (exponent - 15);
};

describe('gain', () => {
  it('is one over the light of the halo at every pixel, to a thousandth of a stop', () => {
    const rig = demoRig('wheel-house-wide');
    const frame = { ...small('wheel-house-wide'), centre: { xMm: 0.8, yMm: -0.4 } };
    const table = gainTable(situationOf(rig).halo, reachOfFrame(frame));
    const row = new Float32Array(frame.widthPx);
    for (const y of [0, 57, 199]) {
      gainRow(table, frame, y, row);
      for (const x of [0, 13, 150, 299]) {
        const r = Math.hypot(
          ((x + 0.5) / 300 - 0.5) * frame.widthMm - 0.8,
          ((y + 0.5) / 200 - 0.5) * frame.heightMm + 0.4,
        );
        const expected = Math.min(MOST_GAIN, 1 / lightAt(situationOf(rig).halo, r).light);
        expect(Math.abs(Math.log2((row[x] ?? 0) / expected))).toBeLessThan(0.001);
      }
    }
  });

  it('is so at every pixel under a rectangular opening too, upright and on its side', () => {
    const sensor: Halo = {
      rims: [
        { side: 'front', edgeRadiusMm: 23, softnessMm: 6 },
        rectangularRim('rear', 18.5, 13.5, 5),
      ],
      exitPupilMm: 70,
      coneTangent: 1 / 5.6,
      centre: { xMm: 0.8, yMm: -0.4 },
    };
    for (const orientation of [1, 6] as const) {
      const halo = turnedHalo(sensor, orientation);
      const [widthMm, heightMm] = orientation === 1 ? [36, 24] : [24, 36];
      const [widthPx, heightPx] = [widthMm * 8, heightMm * 8];
      const frame = { widthMm, heightMm, widthPx, heightPx, centre: halo.centre };
      const table = gainTable(halo, reachOfFrame(frame));
      const row = new Float32Array(widthPx);
      for (let y = 0; y < heightPx; y += 7) {
        gainRow(table, frame, y, row);
        for (let x = 0; x < widthPx; x += 5) {
          const at = {
            xMm: ((x + 0.5) / widthPx - 0.5) * widthMm - halo.centre.xMm,
            yMm: ((y + 0.5) / heightPx - 0.5) * heightMm - halo.centre.yMm,
          };
          // Turned a quarter to the right, what lies across the picture lay down the sensor.
          const onSensor = orientation === 1 ? at : { xMm: at.yMm, yMm: -at.xMm };
          const expected = Math.min(MOST_GAIN, 1 / lightAtPlace(sensor, onSensor).light);
          expect(Math.abs(Math.log2((row[x] ?? 0) / expected))).toBeLessThan(0.06);
        }
      }
    }
  });

  it('never passes three stops, and does nothing at no strength', () => {
    const table = gainTable(halo('lantern-room'), 20);
    expect(Math.max(...table.ways[0]!)).toBe(MOST_GAIN);
    expect(new Set(gainTable(halo('lantern-room'), 20, 0).ways[0])).toEqual(new Set([1]));
  });
});

describe('a gain map', () => {
  it('says the same in whole numbers and in half floats, read by other libraries', () => {
    const frame = small('wheel-house-wide');
    const png = gainMapFile(halo('wheel-house-wide'), frame, 'PNG, 16 bits');
    const tiff = gainMapFile(halo('wheel-house-wide'), frame, 'TIFF, 16 bits');
    const float = gainMapFile(halo('wheel-house-wide'), frame, 'TIFF, half float');
    const pixels = decode(png.bytes);
    expect([pixels.width, pixels.height, pixels.depth, pixels.channels]).toEqual([300, 200, 16, 1]);
    expect(pixels.text.Description).toContain(`65535 is a gain of ${png.fullScale}`);
    const [page] = decodeTiff(tiff.bytes);
    expect([...(page?.data ?? [])]).toEqual([...pixels.data]);
    const bits = new Uint16Array(float.bytes.buffer, 8, 300 * 200);
    const worst = bits.reduce((most, b, i) => {
      const whole = ((pixels.data[i] ?? 0) / 65_535) * png.fullScale;
      return Math.max(most, Math.abs(half(b) / whole - 1));
    }, 0);
    expect(worst).toBeLessThan(0.001);
    const told = exif(float.bytes, 'gain.tif');
    expect([told.BitsPerSample, told.SampleFormat, told.ImageWidth]).toEqual([16, 3, 300]);
    expect(told.ImageDescription).toContain('multiply linear values');
  });

  it('rounds half floats to the nearest', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-7, max: 60_000, noNaN: true }), (value) => {
        const is = half(halfBits(value));
        const step = 2 ** (Math.max(-14, Math.floor(Math.log2(value))) - 10);
        expect(Math.abs(is - value)).toBeLessThanOrEqual(step / 2 + 1e-12);
      }),
      { numRuns: runs(500) },
    );
    expect([halfBits(0), halfBits(1), halfBits(2), halfBits(-1), halfBits(1e9)]).toEqual([
      0, 0x3c00, 0x4000, 0, 0x7bff,
    ]);
  });
});

/** A flat grey wall through a halo, on linear values. */
function wallThrough(id: string, depth: 8 | 16, channels: 1 | 3): PixelImage {
  const frame = small(id);
  const full = depth === 8 ? 255 : 65_535;
  const data =
    depth === 8 ? new Uint8Array(300 * 200 * channels) : new Uint16Array(300 * 200 * channels);
  for (let i = 0; i < 300 * 200; i += 1) {
    const r = Math.hypot(
      (((i % 300) + 0.5) / 300 - 0.5) * frame.widthMm - halo(id).centre.xMm,
      ((Math.floor(i / 300) + 0.5) / 200 - 0.5) * frame.heightMm - halo(id).centre.yMm,
    );
    const value = Math.round(lightAt(halo(id), r).light * 0.4 * full);
    data.fill(value, i * channels, (i + 1) * channels);
  }
  return { widthPx: 300, heightPx: 200, channels, depth, data };
}

describe('lifting a picture', () => {
  it('evens out a wall, and leaves alpha, size and depth', () => {
    const image = wallThrough('waders-at-dawn', 16, 1);
    const frame = frameOfPicture(
      image,
      small('waders-at-dawn'),
      halo('waders-at-dawn').centre,
      1,
      'wall',
    );
    if (!frame.ok) throw new Error('it has the shape');
    const { image: lifted, clippedShare } = liftPicture(
      image,
      halo('waders-at-dawn'),
      frame.value,
      {
        tone: 'linear',
        strength: 1,
      },
    );
    const middle = lifted.data[100 * 300 + 150] ?? 0;
    const worst = [...lifted.data].reduce(
      (most, v) => Math.max(most, Math.abs(Math.log2(v / middle))),
      0,
    );
    expect(worst).toBeLessThan(0.002);
    expect(clippedShare).toBe(0);
    expect(lifted.depth).toBe(16);
    const withAlpha = { ...wallThrough('waders-at-dawn', 8, 1), channels: 2 as const };
    const two = new Uint8Array(300 * 200 * 2).fill(77);
    const kept = liftPicture({ ...withAlpha, data: two }, halo('waders-at-dawn'), frame.value, {
      tone: 'srgb',
      strength: 1,
    });
    expect(kept.image.data[1]).toBe(77);
  });

  it('changes nothing at no strength, whatever the tone', () => {
    const image = wallThrough('wheel-house-wide', 8, 3);
    const frame = { ...small('wheel-house-wide'), centre: { xMm: 0, yMm: 0 } };
    for (const tone of ['srgb', 'linear'] as const) {
      const { image: same } = liftPicture(image, halo('wheel-house-wide'), frame, {
        tone,
        strength: 0,
      });
      expect(Buffer.from(same.data).equals(Buffer.from(image.data))).toBe(true);
    }
  });

  it('counts what it drives into white', () => {
    const image = wallThrough('waders-at-dawn', 8, 1);
    const bright = { ...image, data: (image.data as Uint8Array).map(() => 250) };
    const frame = { ...small('waders-at-dawn'), centre: { xMm: 0, yMm: 0 } };
    const { clippedShare } = liftPicture(bright, halo('waders-at-dawn'), frame, {
      tone: 'linear',
      strength: 1,
    });
    expect(clippedShare).toBeGreaterThan(0.2);
  });

  it('tells the noise it costs ring by ring, and where nothing is left', () => {
    const frame = { ...small('lantern-room'), centre: { xMm: 0, yMm: 0 } };
    const cost = liftCost(halo('lantern-room'), frame);
    expect(cost.nothingLeft).not.toBeNull();
    for (const { stops, outline, isoFactor } of cost.rings) {
      const [radiusMm = Number.NaN] = outline.radiiMm;
      expect(-Math.log2(lightAt(halo('lantern-room'), radiusMm).light)).toBeCloseTo(stops, 3);
      expect(isoFactor).toBe(2 ** stops);
      expect(radiusMm).toBeLessThanOrEqual(cost.nothingLeft?.radiiMm[0] ?? 0);
    }
    const easy = liftCost(halo('waders-at-dawn'), {
      ...small('waders-at-dawn'),
      centre: { xMm: 0, yMm: 0 },
    });
    expect(easy.nothingLeft).toBeNull();
  });

  it('refuses a picture of another shape, and turns with one on its side', () => {
    const refused = frameOfPicture(
      { widthPx: 1920, heightPx: 1080 },
      { widthMm: 36, heightMm: 24 },
      { xMm: 0, yMm: 0 },
      1,
      'a.jpg',
    );
    expect(!refused.ok && refused.problems[0]?.sentence).toContain('a.jpg is 1920 × 1080');
    const upright = frameOfPicture(
      { widthPx: 400, heightPx: 600 },
      { widthMm: 36, heightMm: 24 },
      turnedPlace({ xMm: 1, yMm: 0.5 }, 6),
      6,
      'b.jpg',
    );
    // Turned a quarter to the right, what was right is below.
    expect(upright.ok && upright.value.centre).toEqual({ xMm: -0.5, yMm: 1 });
    expect(upright.ok && upright.value.widthMm).toBe(24);
    expect(turnedPlace({ xMm: 1, yMm: 2 }, 3)).toEqual({ xMm: -1, yMm: -2 });
    expect(turnedPlace({ xMm: 1, yMm: 2 }, 8)).toEqual({ xMm: 2, yMm: -1 });
  });
});

describe('a picture looked at', () => {
  it('is thinned to what a screen shows, and its values become 8 bits of red, green and blue', () => {
    const data = Uint16Array.from({ length: 7 * 4 * 2 }, (_, i) => i * 1000);
    const image: PixelImage = { widthPx: 7, heightPx: 4, channels: 2, depth: 16, data };
    const small = thinned(image, 4);
    expect([small.widthPx, small.heightPx, [...small.data]]).toEqual([
      3,
      2,
      [0, 1, 4, 5, 8, 9, 28, 29, 32, 33, 36, 37].map((i) => i * 1000),
    ]);
    expect(thinned(image, 7)).toBe(image);
    expect([...screenValues(small)].slice(0, 8)).toEqual([0, 0, 0, 255, 15, 15, 15, 255]);
  });
});
