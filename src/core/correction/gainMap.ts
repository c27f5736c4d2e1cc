/** A gain map as a file: what each pixel of a recorded picture is multiplied by, on linear values. */
import { encode } from 'fast-png';
import type { Halo } from '../halo';
import type { RecordedFrame } from '../frame';
import { fixed } from '../words';
import { gainRow, gainTable, mostGainOf, reachOfFrame, type FrameOnSensor } from './gain';
import { halfBits, writeTiff } from './tiffOut';

export const GAIN_FORMATS = ['PNG, 16 bits', 'TIFF, 16 bits', 'TIFF, half float'] as const;
export type GainFormat = (typeof GAIN_FORMATS)[number];

export interface GainFile {
  bytes: Uint8Array<ArrayBuffer>;
  extension: 'png' | 'tif';
  type: string;
  /** The gain that full scale stands for; 1 in half floats, which hold the gain itself. */
  fullScale: number;
  mostGain: number;
}

/** Full scale of whole numbers: the power of two that holds the largest gain. */
const scaleFor = (mostGain: number): number =>
  2 ** Math.max(1, Math.ceil(Math.log2(mostGain) - 1e-9));

/** How to read the numbers, in the file itself. */
export const gainWords = (fullScale: number): string =>
  fullScale === 1
    ? 'Gain map: multiply linear values by it.'
    : `Gain map: 65535 is a gain of ${fixed(fullScale, 0)}. Multiply linear values by value / 65535 x ${fixed(fullScale, 0)}.`;

/** The map of a recorded picture under a halo. */
export function gainMapFile(halo: Halo, recorded: RecordedFrame, format: GainFormat): GainFile {
  const frame: FrameOnSensor = { ...recorded, centre: halo.centre };
  const table = gainTable(halo, reachOfFrame(frame));
  const mostGain = mostGainOf(table);
  const isHalf = format === 'TIFF, half float';
  const fullScale = isHalf ? 1 : scaleFor(mostGain);
  const { widthPx, heightPx } = recorded;
  const data = new Uint16Array(widthPx * heightPx);
  const row = new Float32Array(widthPx);
  for (let y = 0; y < heightPx; y += 1) {
    gainRow(table, frame, y, row);
    const at = y * widthPx;
    for (let x = 0; x < widthPx; x += 1) {
      const gain = row[x] as number;
      data[at + x] = isHalf ? halfBits(gain) : Math.round((gain / fullScale) * 65_535);
    }
  }
  const words = gainWords(fullScale);
  if (format === 'PNG, 16 bits') {
    const bytes = encode(
      {
        width: widthPx,
        height: heightPx,
        data,
        depth: 16,
        channels: 1,
        text: { Description: words },
      },
      { zlib: { level: 4 } },
    ) as Uint8Array<ArrayBuffer>;
    return { bytes, extension: 'png', type: 'image/png', fullScale, mostGain };
  }
  const bytes = writeTiff({
    widthPx,
    heightPx,
    channels: 1,
    kind: isHalf ? 'half float' : '16-bit',
    data,
    description: words,
  });
  return { bytes, extension: 'tif', type: 'image/tiff', fullScale, mostGain };
}
