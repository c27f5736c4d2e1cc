/** A printed code that holds an address (ISO/IEC 18004). */
import { create } from 'qrcode';
import { INKS, rectPath, type PathItem } from './paper';

/** Larger codes have modules too fine for a phone held over a card by torch. */
const MOST_VERSION = 25;
/** Free margin all round, modules. */
const QUIET = 4;

export interface PrintedCode {
  /** Modules on a side, without the margin. */
  size: number;
  /** Row by row, 1 is dark. */
  modules: Uint8Array;
}

/** The code of an address at its lightest correction; null where it would be too fine to read. */
export function codeOf(address: string): PrintedCode | null {
  try {
    const { modules, version } = create(address, { errorCorrectionLevel: 'L' });
    return version > MOST_VERSION
      ? null
      : { size: modules.size, modules: Uint8Array.from(modules.data as ArrayLike<number>) };
  } catch {
    // Longer than any code holds.
    return null;
  }
}

/** The code within a square of `sideMm`, its quiet margin inside it; runs of dark modules as one piece. */
export function codeItem(
  { size, modules }: PrintedCode,
  x: number,
  y: number,
  sideMm: number,
): PathItem {
  const step = sideMm / (size + 2 * QUIET);
  let d = '';
  for (let row = 0; row < size; row += 1) {
    for (let column = 0; column < size; column += 1) {
      if (!modules[row * size + column]) continue;
      const start = column;
      while (column + 1 < size && modules[row * size + column + 1]) column += 1;
      d += rectPath(
        x + (QUIET + start) * step,
        y + (QUIET + row) * step,
        (column - start + 1) * step,
        step,
      );
    }
  }
  return { kind: 'path', d, fill: INKS.ink };
}
