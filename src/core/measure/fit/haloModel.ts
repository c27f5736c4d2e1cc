/** What a frame of an even wall should look like under a halo: the model that is fitted. */
import { HALF_TRANSMISSION, radiusAtTransmission, transmissionAt, type Rim } from '../../halo';

/** One rim as the fit holds it: both figures positive, softness at most the radius. */
export interface FittedRim {
  edgeRadiusMm: number;
  softnessMm: number;
}

const NODES = 80;

/**
 * Light through some sets of rims by radius, averaged over cells: of each set 1 up to `startMm`, then a table,
 * then 0. Numbers in typed arrays alone, as the loops that read them run millions of times.
 */
export interface RimTables {
  startMm: Float64Array;
  perStep: Float64Array;
  /** One row of `PLACES` a set. */
  values: Float64Array;
}

/** Values in a table; the last is a 0 to interpolate towards. */
export const PLACES = NODES + 1;

export const rimsOf = (rims: readonly FittedRim[]): Rim[] =>
  rims.map((rim, i) => ({ ...rim, side: i === 0 ? 'front' : 'rear' }));

/** Half-light radius of some rims, mm. */
export const halfLightOf = (rims: readonly FittedRim[]): number =>
  radiusAtTransmission(rimsOf(rims), HALF_TRANSMISSION);

/** Tables one set of rims. A cell `cellMm` wide sees the average over its width, here by Simpson's rule. */
function fillTable(
  tables: RimTables,
  row: number,
  rims: readonly FittedRim[],
  cellMm: number,
): void {
  const modelled = rimsOf(rims);
  const half = cellMm / 2;
  const open = rims.reduce((least, r) => Math.min(least, r.edgeRadiusMm - r.softnessMm), Infinity);
  const black = rims.reduce((least, r) => Math.min(least, r.edgeRadiusMm + r.softnessMm), Infinity);
  const startMm = Math.max(0, open - half);
  const stepMm = Math.max(1e-3, black + half - startMm) / (NODES - 1);
  const sharp = new Float64Array(NODES);
  for (let i = 0; i < NODES; i += 1) {
    const r = startMm + i * stepMm;
    sharp[i] = r <= open ? 1 : r >= black ? 0 : transmissionAt(modelled, r);
  }
  const at = (place: number): number => {
    if (place <= 0) return sharp[0] as number;
    if (place >= NODES - 1) return 0;
    const k = Math.floor(place);
    return (sharp[k] as number) + ((sharp[k + 1] as number) - (sharp[k] as number)) * (place - k);
  };
  const reach = half / stepMm;
  for (let i = 0; i < NODES; i += 1)
    tables.values[row * PLACES + i] =
      (at(i - reach) + 4 * (sharp[i] as number) + at(i + reach)) / 6;
  tables.startMm[row] = startMm;
  tables.perStep[row] = 1 / stepMm;
}

/** Tables some sets of rims, in their order. */
export function rimTables(sets: readonly (readonly FittedRim[])[], cellMm: number): RimTables {
  const tables = {
    startMm: new Float64Array(sets.length),
    perStep: new Float64Array(sets.length),
    values: new Float64Array(sets.length * PLACES),
  };
  sets.forEach((rims, row) => {
    fillTable(tables, row, rims, cellMm);
  });
  return tables;
}

/** What is fitted: figures shared by all frames of a setting, then four a frame. */
export interface Layout {
  rims: number;
  frames: number;
}

export const CENTRE_X = 0;
export const CENTRE_Y = 1;
/** Natural falloff as (D/L)², D being half the sensor's diagonal. */
export const FALLOFF = 2;
export const RIM_RADIUS = 3;
const RIM_SHARE = 4;
export const PER_RIM = 2;
export const GRADIENT_X = 0;
export const GRADIENT_Y = 1;
export const LOG_LEVEL = 2;
export const FLOOR = 3;
export const PER_FRAME = 4;

export const radiusAt = (rim: number): number => RIM_RADIUS + PER_RIM * rim;
export const shareAt = (rim: number): number => RIM_SHARE + PER_RIM * rim;
export const frameAt = ({ rims }: Layout, frame: number): number =>
  RIM_RADIUS + PER_RIM * rims + PER_FRAME * frame;
export const parametersIn = (layout: Layout): number => frameAt(layout, layout.frames);

/** Softer than its radius a rim would have an identical twin; harder than this nothing shows. */
const LEAST_SHARE = Math.log(0.004);
/** (D/L)² of an exit pupil a little over one half-diagonal away, and of one infinitely far. */
const MOST_FALLOFF = 0.7;

/** Holds parameters inside what the model can be. */
export function heldInside(layout: Layout, p: Float64Array, halfDiagonalMm: number): void {
  const clamp = (i: number, low: number, high: number) => {
    p[i] = Math.min(high, Math.max(low, p[i] as number));
  };
  clamp(CENTRE_X, -halfDiagonalMm, halfDiagonalMm);
  clamp(CENTRE_Y, -halfDiagonalMm, halfDiagonalMm);
  clamp(FALLOFF, 0, MOST_FALLOFF);
  for (let k = 0; k < layout.rims; k += 1) {
    clamp(radiusAt(k), Math.log(halfDiagonalMm * 0.1), Math.log(halfDiagonalMm * 3));
    clamp(shareAt(k), LEAST_SHARE, 0);
  }
  for (let f = 0; f < layout.frames; f += 1) {
    const at = frameAt(layout, f);
    clamp(at + GRADIENT_X, -0.8, 0.8);
    clamp(at + GRADIENT_Y, -0.8, 0.8);
    clamp(at + FLOOR, 0, 0.2);
  }
}

/** The rims at a frame whose aperture makes them `softer` times as soft as the first frame's. */
export function rimsAt(layout: Layout, p: Float64Array, softer: number): FittedRim[] {
  return Array.from({ length: layout.rims }, (_, k) => {
    const edgeRadiusMm = Math.exp(p[radiusAt(k)] as number);
    const softnessMm = edgeRadiusMm * Math.min(1, Math.exp(p[shareAt(k)] as number) * softer);
    return { edgeRadiusMm, softnessMm };
  });
}

/** Exit-pupil distance a falloff parameter stands for, mm; null where there is none to speak of. */
export const exitPupilOf = (falloff: number, halfDiagonalMm: number): number | null =>
  falloff < 1e-5 ? null : halfDiagonalMm / Math.sqrt(falloff);
export const falloffOf = (exitPupilMm: number, halfDiagonalMm: number): number =>
  (halfDiagonalMm / exitPupilMm) ** 2;
