/** Settings as EXIF (JEITA CP-3451, from memory), into PNG and JPEG files. */

import { crc32, joined } from '../maths';
import { SIMULATED_MAKER, SIMULATED_MODEL } from '../measure/file';

export interface ShotSettings {
  focalMm: number;
  fNumber: number;
  exposureS: number;
  iso: number;
  /** Local time, "2026-05-12 09:30:00". */
  takenAt: string;
  /** Whether the values are sRGB; otherwise they are linear. */
  srgb: boolean;
}

type Entry = [tag: number, type: 'ascii' | 'short' | 'long' | 'rational', value: string | number];

const CODES = { ascii: 2, short: 3, long: 4, rational: 5 } as const;

function directory(entries: readonly Entry[], at: number): Uint8Array {
  const head = 2 + entries.length * 12 + 4;
  const tail: number[] = [];
  const out = new Uint8Array(head);
  const view = new DataView(out.buffer);
  view.setUint16(0, entries.length);
  entries.forEach(([tag, type, value], i) => {
    const place = 2 + i * 12;
    view.setUint16(place, tag);
    view.setUint16(place + 2, CODES[type]);
    view.setUint32(place + 4, 1);
    if (type === 'short') view.setUint16(place + 8, Number(value));
    else if (type === 'long') view.setUint32(place + 8, Number(value));
    else {
      const bytes =
        type === 'ascii'
          ? [...new TextEncoder().encode(String(value)), 0]
          : [...rational(Number(value))];
      if (type === 'ascii') view.setUint32(place + 4, bytes.length);
      if (bytes.length <= 4) out.set(bytes, place + 8);
      else {
        view.setUint32(place + 8, at + head + tail.length);
        tail.push(...bytes, ...(bytes.length % 2 === 1 ? [0] : []));
      }
    }
  });
  return Uint8Array.from([...out, ...tail]);
}

function rational(value: number): Uint8Array {
  const out = new DataView(new ArrayBuffer(8));
  const below = value < 1 ? 1_000_000 : 1000;
  out.setUint32(0, Math.round(value * below));
  out.setUint32(4, below);
  return new Uint8Array(out.buffer);
}

/** The settings as a TIFF structure, big-endian, as EXIF holds them. */
function exifBlock(shot: ShotSettings): Uint8Array {
  const time = shot.takenAt.replace(/-/g, ':');
  const main = (offset: number): Entry[] => [
    [0x010f, 'ascii', SIMULATED_MAKER],
    [0x0110, 'ascii', SIMULATED_MODEL],
    [0x0132, 'ascii', time],
    [0x8769, 'long', offset],
  ];
  const first = directory(main(0), 8);
  const second = 8 + first.length;
  const own = directory(
    [
      [0x829a, 'rational', shot.exposureS],
      [0x829d, 'rational', shot.fNumber],
      [0x8827, 'short', Math.min(65_535, shot.iso)],
      [0x9003, 'ascii', time],
      [0x920a, 'rational', shot.focalMm],
      [0xa001, 'short', shot.srgb ? 1 : 65_535],
    ],
    second,
  );
  const head = [0x4d, 0x4d, 0, 42, 0, 0, 0, 8];
  return Uint8Array.from([...head, ...directory(main(second), 8), ...own]);
}

/** A chunk of a PNG (ISO/IEC 15948). */
export function pngChunk(type: string, data: Uint8Array): Uint8Array {
  const out = new Uint8Array(12 + data.length);
  const view = new DataView(out.buffer);
  view.setUint32(0, data.length);
  out.set(new TextEncoder().encode(type), 4);
  out.set(data, 8);
  view.setUint32(8 + data.length, crc32(out.subarray(4, 8 + data.length)));
  return out;
}

/** Length of a PNG's signature and header chunk, after which others may stand. */
const PNG_HEAD = 33;

/** A PNG file with its settings and tone response put in (eXIf, and sRGB or gAMA). */
export function pngWithExif(png: Uint8Array, shot: ShotSettings): Uint8Array<ArrayBuffer> {
  const tone = shot.srgb
    ? pngChunk('sRGB', Uint8Array.of(0))
    : pngChunk('gAMA', Uint8Array.of(0, 1, 0x86, 0xa0));
  const exif = pngChunk('eXIf', exifBlock(shot));
  return joined([png.subarray(0, PNG_HEAD), tone, exif, png.subarray(PNG_HEAD)]);
}

/** A JPEG file with its settings put in as APP1. */
export function jpegWithExif(jpeg: Uint8Array, shot: ShotSettings): Uint8Array<ArrayBuffer> {
  const block = exifBlock(shot);
  const head = new Uint8Array(10);
  const view = new DataView(head.buffer);
  view.setUint16(0, 0xffe1);
  view.setUint16(2, block.length + 8);
  head.set(new TextEncoder().encode('Exif'), 4);
  return joined([jpeg.subarray(0, 2), head, block, jpeg.subarray(2)]);
}
