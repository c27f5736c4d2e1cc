/** The directory of a TIFF, or of EXIF, which is one: its entries as they stand (TIFF 6.0, from memory). */

/** Bytes of a value by its kind; index is the kind. */
export const VALUE_BYTES: readonly number[] = [0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8];

/** The tag of how a picture is turned to be looked at. */
export const ORIENTATION_TAG = 274;

export interface TiffEntry {
  tag: number;
  type: number;
  count: number;
  /** Bytes of all its values; 0 of a kind that is not known. */
  size: number;
  /** Where its value stands, or where that which leads to it does. */
  at: number;
}

export interface TiffDirectory {
  little: boolean;
  entries: TiffEntry[];
}

/** Where the first directory of a TIFF lies, and how its numbers are written; null where the file is cut short. */
function firstDirectory(bytes: Uint8Array): { at: number; little: boolean } | null {
  if (bytes.length < 8) return null;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const little = view.getUint16(0) === 0x4949;
  return { at: view.getUint32(4, little), little };
}

/** The whole entries of a directory, by default the first; null where there is none. */
export function tiffDirectory(bytes: Uint8Array, from?: number): TiffDirectory | null {
  const first = firstDirectory(bytes);
  const directory = from ?? first?.at ?? bytes.length;
  if (!first || directory + 2 > bytes.length) return null;
  const { little } = first;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.length);
  const entries: TiffEntry[] = [];
  const end = Math.min(bytes.length, directory + 2 + 12 * view.getUint16(directory, little));
  for (let at = directory + 2; at + 12 <= end; at += 12) {
    const type = view.getUint16(at + 2, little);
    const count = view.getUint32(at + 4, little);
    const size = (VALUE_BYTES[type] ?? 0) * count;
    entries.push({ tag: view.getUint16(at, little), type, count, size, at: at + 8 });
  }
  return { little, entries };
}
