/** What a picture is multiplied by to even out the light of a halo, on linear values. */
import { amongWays, anglesOf, lightAt, waysOf, type Halo } from '../halo';
import { farthestCornerMm, type FrameSize, type Offset } from '../optics';

/** No place is lifted further, however dark it is: three stops. What is left beyond is noise. */
export const MOST_GAIN = 8;

/** Steps of the table; between them the gain of a halo runs straight to a thousandth of a stop. */
const STEPS = 4096;

interface GainTable {
  /** Gain at so many steps of r² from the halo's centre to `mostMm`, along each of its ways; one serves all of a round halo. */
  ways: readonly Float32Array[];
  angles: readonly number[];
  mostMm: number;
}

/** Gain at every radius out to `mostMm`: 1 over the light, held at MOST_GAIN; `strength` 1 evens it out, 0 does nothing. */
export function gainTable(halo: Halo, mostMm: number, strength = 1): GainTable {
  const along = (way: Halo): Float32Array =>
    Float32Array.from({ length: STEPS + 2 }, (_, i) => {
      const { light } = lightAt(way, mostMm * Math.sqrt(i / STEPS));
      const whole = light > 1 / MOST_GAIN ? 1 / light : MOST_GAIN;
      return whole ** strength;
    });
  return { ways: waysOf(halo).map(along), angles: anglesOf(halo), mostMm };
}

/** The largest gain of a table. */
export const mostGainOf = ({ ways }: GainTable): number =>
  ways.reduce((most, gains) => gains.reduce((m, g) => Math.max(m, g), most), 1);

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
  const { ways } = table;
  const first = ways[0] as Float32Array;
  const isRound = ways.length === 1;
  for (let i = 0; i < widthPx; i += 1) {
    const x = left + i * pitch;
    const at = Math.min(STEPS, (x * x + y * y) * scale);
    out[i] = isRound ? gainAt(first, at) : gainBetween(table, at, { xMm: x, yMm: y });
  }
}

const gainAt = (gains: Float32Array, at: number): number => {
  const step = Math.floor(at);
  const low = gains[step] as number;
  return low + ((gains[step + 1] as number) - low) * (at - step);
};

/** The same where ways differ: between the two ways about a place. */
function gainBetween({ ways, angles }: GainTable, at: number, place: Offset): number {
  const { after, past, apart } = amongWays(angles, place);
  const low = gainAt(ways[after] as Float32Array, at);
  return low + ((gainAt(ways[after + 1] as Float32Array, at) - low) * past) / apart;
}

/** The farthest any pixel of a frame is from the halo's centre, mm. */
export const reachOfFrame = (frame: FrameOnSensor): number => farthestCornerMm(frame, frame.centre);
