/** Whether a contour has straight sides where a circle has none: a rectangular opening cut the light. */
import type { Point } from './contour';

/** Points within this angle of an axis lie on the side it crosses, radians. */
const SIDE_ANGLE = (25 * Math.PI) / 180;
/** A side is told from so many points. */
const LEAST_POINTS = 8;
/** Straight where a line leaves so much less than an arc does, and the arc so much, share of the distance. Assumptions. */
const LINE_OVER_ARC = 0.5;
const LEAST_BEND = 0.008;

/** How far some values scatter about their mean. */
function scatter(values: readonly number[]): number {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  return Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / values.length);
}

/** Whether the side of a contour that an axis through its middle crosses is a straight line across it. */
function isStraight(places: readonly Point[], axisX: number, axisY: number): boolean {
  const side = places.filter(({ xMm, yMm }) => {
    const along = xMm * axisX + yMm * axisY;
    return along > 0 && Math.atan2(Math.abs(xMm * axisY - yMm * axisX), along) < SIDE_ANGLE;
  });
  if (side.length < LEAST_POINTS) return false;
  const far = side.map(({ xMm, yMm }) => Math.hypot(xMm, yMm));
  const line = scatter(side.map(({ xMm, yMm }) => xMm * axisX + yMm * axisY));
  const arc = scatter(far);
  return line < LINE_OVER_ARC * arc && arc > LEAST_BEND * Math.max(...far);
}

/** The nearest and the farthest place of an edge that a rectangular opening made, from its middle, mm. */
export interface RectangularEdge {
  nearestMm: number;
  farthestMm: number;
}

/** The edge of a contour two opposite sides of which are straight; null where it is round as far as is seen. */
export function rectangularEdge(points: readonly Point[], centre: Point): RectangularEdge | null {
  const places = points.map((p) => ({ xMm: p.xMm - centre.xMm, yMm: p.yMm - centre.yMm }));
  const across = isStraight(places, 1, 0) && isStraight(places, -1, 0);
  const down = isStraight(places, 0, 1) && isStraight(places, 0, -1);
  if (!across && !down) return null;
  const far = places.map(({ xMm, yMm }) => Math.hypot(xMm, yMm));
  return { nearestMm: Math.min(...far), farthestMm: Math.max(...far) };
}
