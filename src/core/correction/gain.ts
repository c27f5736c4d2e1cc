/** What a picture is multiplied by to even out the light of a halo, on linear values. */
import { lightAt, type Halo } from '../halo';
import { farthestCornerMm, type FrameSize } from '../optics';

/** No place is lifted further, however dark it is: three stops. What is left beyond is noise. */
export const MOST_GAIN = 8;

/** Steps of the table; between them the gain of a halo runs straight to a thousandth of a stop. */
const STEPS = 4096;

interface GainTable {
  /** Gain at so many steps of r² from the halo's centre to `mostMm`. */
  gains: Float32Array;
  mostMm: number;
}

/** Gain at every radius out to `mostMm`: 1 over the light, held at MOST_GAIN; `strength` 1 evens it out, 0 does nothing. */
export function gainTable(halo: Halo, mostMm: number, strength = 1): GainTable {
  const gains = Float32Array.from({ length: STEPS + 2 }, (_, i) => {
    const { light } = lightAt(halo, mostMm * Math.sqrt(i / STEPS));
    const whole = light > 1 / MOST_GAIN ? 1 / light : MOST_GAIN;
    return whole ** strength;
  });
  return { gains, mostMm };
}

/** A frame of so many pixels under a halo; `centre` is the halo's against the middle of the frame, mm. */
export interface FrameOnSensor extends FrameSize {
  widthPx: number;
  heightPx: number;
  centre: Halo['centre'];
}

/** Gains along one row of pixels, left to right. */
export function gainRow(
  table: GainTable,
  frame: FrameOnSensor,
  row: number,
  out: Float32Array,
): void {
  const { widthPx, heightPx, widthMm, heightMm, centre } = frame;
  const y = ((row + 0.5) / heightPx - 0.5) * heightMm - centre.yMm;
  const scale = STEPS / table.mostMm ** 2;
  const pitch = widthMm / widthPx;
  const left = 0.5 * pitch - widthMm / 2 - centre.xMm;
  const { gains } = table;
  for (let i = 0; i < widthPx; i += 1) {
    const x = left + i * pitch;
    const at = Math.min(STEPS, (x * x + y * y) * scale);
    const step = Math.floor(at);
    const low = gains[step] as number;
    out[i] = low + ((gains[step + 1] as number) - low) * (at - step);
  }
}

/** The farthest any pixel of a frame is from the halo's centre, mm. */
export const reachOfFrame = (frame: FrameOnSensor): number => farthestCornerMm(frame, frame.centre);
