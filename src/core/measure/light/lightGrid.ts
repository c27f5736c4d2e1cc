/** Millions of pixels to some thousand cells of light. */
import type { FrameSize } from '../../optics';
import { sensorAsShot, type PixelImage } from '../file';
import type { ToneTable } from './tone';

/** Mean light of the cells of a frame, linear, share of full scale. */
export interface LightGrid {
  columns: number;
  rows: number;
  /** Row by row; the top left first. */
  light: Float32Array;
  /** Share of each cell's pixels at full scale. */
  clipped: Float32Array;
  /** Sensor as it lies in the image, mm. */
  sensor: FrameSize;
  /** Middle of each column and row against the middle of the sensor, mm; y grows downward. */
  xMm: Float32Array;
  yMm: Float32Array;
}

/** A cell with more than this share of its pixels at full scale is left out of every reckoning. */
export const MOST_CLIPPED = 0.01;

export const COLUMNS = 240;
/** Values above this share of full scale count as clipped. */
const CLIP_SHARE = 0.992;

/** Of each cell about so many pixels each way are read: more would not lessen the noise that matters. */
const READ_ACROSS = 4;

/** First pixel of each of `parts` near-equal parts of `length`, and the end. */
const bounds = (length: number, parts: number): Int32Array =>
  Int32Array.from({ length: parts + 1 }, (_, i) => Math.round((i * length) / parts));

const middles = (edges: Int32Array, pitchMm: number, lengthPx: number): Float32Array =>
  Float32Array.from(
    { length: edges.length - 1 },
    (_, i) => (((edges[i] as number) + (edges[i + 1] as number)) / 2 - lengthPx / 2) * pitchMm,
  );

/**
 * Average of the light over about 240 cells across the long side, from pixels evenly spread over each. Of
 * colour frames the green is taken: it carries most of the light and the least noise.
 */
export function reduceFrame(
  image: PixelImage,
  tone: ToneTable,
  sensor: FrameSize,
  across = COLUMNS,
): LightGrid {
  const { widthPx, heightPx, channels, data, depth } = image;
  const cell = Math.max(widthPx, heightPx) / Math.min(across, Math.max(widthPx, heightPx));
  const columns = Math.max(1, Math.round(widthPx / cell));
  const rows = Math.max(1, Math.round(heightPx / cell));
  const xs = bounds(widthPx, columns);
  const ys = bounds(heightPx, rows);
  const limit = CLIP_SHARE * (depth === 8 ? 255 : 65_535);
  const green = channels >= 3 ? 1 : 0;
  const light = new Float32Array(columns * rows);
  const clipped = new Float32Array(columns * rows);
  const skip = Math.max(1, Math.floor(cell / READ_ACROSS));
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const left = xs[column] as number;
      const right = xs[column + 1] as number;
      let sum = 0;
      let over = 0;
      let count = 0;
      for (let y = ys[row] as number; y < (ys[row + 1] as number); y += skip) {
        const end = (y * widthPx + right) * channels;
        for (let at = (y * widthPx + left) * channels + green; at < end; at += skip * channels) {
          const value = data[at] as number;
          sum += tone[value] as number;
          if (value > limit) over += 1;
          count += 1;
        }
      }
      light[row * columns + column] = sum / count;
      clipped[row * columns + column] = over / count;
    }
  }
  const lying = sensorAsShot(sensor, image);
  return {
    columns,
    rows,
    light,
    clipped,
    sensor: lying,
    xMm: middles(xs, lying.widthMm / widthPx, widthPx),
    yMm: middles(ys, lying.heightMm / heightPx, heightPx),
  };
}
