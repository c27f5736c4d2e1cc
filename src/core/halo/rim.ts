/** A rim of a halo: one edge of light on the sensor, round or that of a rectangular opening. */

/**
 * The form of a rectangular opening as it falls on the sensor. Ways from the middle differ, so a rim says along which
 * of them its edge radius is told.
 */
export interface Rectangle {
  /** Half its sides, as shares of the rim's edge radius. */
  halfWidth: number;
  halfHeight: number;
  /** The way along which distances are told, as a unit vector of two numbers >= 0: all quarters are alike. */
  alongX: number;
  alongY: number;
}

export interface Rim {
  /** Edge radius on the sensor, mm, > 0; of a rectangle along its way. */
  edgeRadiusMm: number;
  /** Softness half-width on the sensor at the f-number in use, mm, >= 0. */
  softnessMm: number;
  side: 'front' | 'rear';
  /** Left out where the rim is round. */
  rectangle?: Rectangle;
}

/** How far from its middle a rectangle of half sides a and b ends along a way. */
const endAlong = (a: number, b: number, alongX: number, alongY: number): number =>
  Math.min(alongX > 0 ? a / alongX : Infinity, alongY > 0 ? b / alongY : Infinity);

/** The rim of a rectangular opening whose edges fall `halfWidthMm` and `halfHeightMm` from the middle, told along its diagonal. */
export function rectangularRim(
  side: Rim['side'],
  halfWidthMm: number,
  halfHeightMm: number,
  softnessMm: number,
): Rim {
  const edgeRadiusMm = Math.hypot(halfWidthMm, halfHeightMm);
  const [halfWidth, halfHeight] = [halfWidthMm / edgeRadiusMm, halfHeightMm / edgeRadiusMm];
  return {
    side,
    edgeRadiusMm,
    softnessMm,
    rectangle: { halfWidth, halfHeight, alongX: halfWidth, alongY: halfHeight },
  };
}

/** Nearer to a side of the opening than this, radians, a way lies along it. */
const ALONG_A_SIDE = 1e-9;

/** The way to a place, both numbers >= 0. */
function wayTo(x: number, y: number): Pick<Rectangle, 'alongX' | 'alongY'> {
  if (y <= ALONG_A_SIDE * x) return { alongX: 1, alongY: 0 };
  if (x <= ALONG_A_SIDE * y) return { alongX: 0, alongY: 1 };
  const distance = Math.hypot(x, y);
  return { alongX: x / distance, alongY: y / distance };
}

/** The same rim told along the way to a place so far from the middle, mm; the middle itself is told along the width. */
export function rimToward(rim: Rim, xMm: number, yMm: number): Rim {
  if (!rim.rectangle) return rim;
  const { halfWidth, halfHeight } = rim.rectangle;
  const { alongX, alongY } = wayTo(Math.abs(xMm), Math.abs(yMm));
  // Shares of the edge radius: one along this way is longer or shorter by so much.
  const end = endAlong(halfWidth, halfHeight, alongX, alongY);
  return {
    ...rim,
    edgeRadiusMm: rim.edgeRadiusMm * end,
    rectangle: { halfWidth: halfWidth / end, halfHeight: halfHeight / end, alongX, alongY },
  };
}

/** The farthest a rim's edge gets from the middle, mm: a rectangle's corner. The same however the rim is told. */
export const widestEdgeMm = ({ edgeRadiusMm, rectangle }: Rim): number =>
  rectangle ? edgeRadiusMm * Math.hypot(rectangle.halfWidth, rectangle.halfHeight) : edgeRadiusMm;

/** A rim seen on its side: what lay across lies down. */
export function rimOnSide(rim: Rim): Rim {
  if (!rim.rectangle) return rim;
  const { halfWidth, halfHeight, alongX, alongY } = rim.rectangle;
  return {
    ...rim,
    rectangle: { halfWidth: halfHeight, halfHeight: halfWidth, alongX: alongY, alongY: alongX },
  };
}

/**
 * Softer than its own radius a rim would have an identical twin with R and w swapped; harder than this
 * share of its radius it is drawn as a knife edge.
 */
const HARDEST_SHARE = 1e-3;

/** The rim's softness as the model uses it: within 0.001 R..R, and not above half the shorter side of a rectangle, mm. */
export function modelSoftness({ edgeRadiusMm, softnessMm, rectangle }: Rim): number {
  const most = rectangle ? Math.min(1, rectangle.halfWidth, rectangle.halfHeight) : 1;
  return Math.min(most * edgeRadiusMm, Math.max(softnessMm, HARDEST_SHARE * edgeRadiusMm));
}

/** The distance along the rim's way at which its edge is `by` mm past the place: R + by for a round one. */
function pastEdge({ edgeRadiusMm, rectangle }: Rim, by: number): number {
  if (!rectangle) return edgeRadiusMm + by;
  const { halfWidth, halfHeight, alongX, alongY } = rectangle;
  return endAlong(halfWidth * edgeRadiusMm + by, halfHeight * edgeRadiusMm + by, alongX, alongY);
}

/** The radius up to which nothing is cut, mm: the least R - w over the rims, not below 0. */
export const openRadiusMm = (rims: readonly Rim[]): number =>
  Math.max(
    0,
    rims.reduce((least, rim) => Math.min(least, pastEdge(rim, -modelSoftness(rim))), Infinity),
  );

/** The radius beyond which nothing gets through, mm: the least R + w over the rims. */
export const blackoutRadiusMm = (rims: readonly Rim[]): number =>
  rims.reduce((least, rim) => Math.min(least, pastEdge(rim, modelSoftness(rim))), Infinity);

export const hasRectangle = (rims: readonly Rim[]): boolean =>
  rims.some((rim) => rim.rectangle !== undefined);
