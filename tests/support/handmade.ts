/** PNG and TIFF files put together by hand, whole or not: what no program would write is written so. */
import { pngChunk } from '@/core/bench-camera';

export interface PngHead {
  widthPx: number;
  heightPx: number;
  depth: number;
  /** Colour type (ISO/IEC 15948). */
  colours: number;
}

/** A PNG whose pixel data are what is given, with further chunks before them. */
export function pngOf(head: PngHead, pixels: Uint8Array, ...before: Uint8Array[]): Uint8Array {
  const header = new Uint8Array(13);
  const view = new DataView(header.buffer);
  view.setUint32(0, head.widthPx);
  view.setUint32(4, head.heightPx);
  header.set([head.depth, head.colours], 8);
  return Buffer.concat([
    Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a),
    pngChunk('IHDR', header),
    ...before,
    pngChunk('IDAT', pixels),
    pngChunk('IEND', new Uint8Array(0)),
  ]);
}

export type TiffEntry = readonly [tag: number, kind: number, count: number, value: number];

/** Where what follows the directory of a TIFF of so many entries begins. */
export const tiffBodyAt = (entries: number): number => 8 + 2 + 12 * entries + 4;

/** A TIFF with entries of kind SHORT (3), LONG (4) or bytes (1), one after the other, and what they point at. */
export function tiffOf(entries: readonly TiffEntry[], body: Uint8Array): Uint8Array {
  const bodyAt = tiffBodyAt(entries.length);
  const bytes = new Uint8Array(bodyAt + body.length);
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
  bytes.set(body, bodyAt);
  return bytes;
}
