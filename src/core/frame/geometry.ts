/**
 * A circle over a frame: corner radii, shares, the largest clean frame. Lengths in mm from the middle of
 * the frame, x right, y down; the circle's centre is `offset`.
 */
import { whereBeginning } from '../maths/rootFinding';
import { farthestCornerMm, type FrameSize } from '../optics/formats';

export interface Offset {
  xMm: number;
  yMm: number;
}

/** How far the frame may move against the halo in any direction, mm. */
export interface Travel {
  shape: 'disc' | 'box';
  xMm: number;
  yMm: number;
}

export const NO_TRAVEL: Travel = { shape: 'disc', xMm: 0, yMm: 0 };

/** Corners in reading order round the frame: top left, top right, bottom right, bottom left. */
export const CORNERS = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
] as const;

export type PerCorner = [tl: number, tr: number, br: number, bl: number];

/** Distance from the circle's centre to each corner, mm. */
export function cornerRadii(frame: FrameSize, offset: Offset): PerCorner {
  const radius = ([sx, sy]: readonly [number, number]) =>
    Math.hypot((sx * frame.widthMm) / 2 - offset.xMm, (sy * frame.heightMm) / 2 - offset.yMm);
  return [radius(CORNERS[0]), radius(CORNERS[1]), radius(CORNERS[2]), radius(CORNERS[3])];
}

/** The farthest any corner gets from the circle's centre over the travel, mm. */
export function worstCornerRadius(frame: FrameSize, offset: Offset, travel: Travel): number {
  if (travel.shape === 'disc') return farthestCornerMm(frame, offset) + travel.xMm;
  const x = frame.widthMm / 2 + Math.abs(offset.xMm);
  const y = frame.heightMm / 2 + Math.abs(offset.yMm);
  return Math.hypot(x + travel.xMm, y + travel.yMm);
}

const clamp = (v: number, low: number, high: number): number => Math.min(high, Math.max(low, v));

/** Area under the arc of radius R about 0 from x1 to x2, both within -R..R; 0 when x2 <= x1. */
const arcArea = (R: number, x1: number, x2: number): number =>
  x2 > x1 ? arcPrimitive(R, x2) - arcPrimitive(R, x1) : 0;

const arcPrimitive = (R: number, x: number): number =>
  (x * Math.sqrt(Math.max(0, R * R - x * x)) + R * R * Math.asin(clamp(x / R, -1, 1))) / 2;

/** Area of the disc of radius R about 0 within x1..x2 and 0..y (y >= 0). */
function areaBelow(R: number, x1: number, x2: number, y: number): number {
  const a = clamp(x1, -R, R);
  const b = clamp(x2, -R, R);
  const flat = y < R ? Math.sqrt(R * R - y * y) : 0;
  const middle = clamp(b, -flat, flat) - clamp(a, -flat, flat);
  return arcArea(R, a, Math.min(b, -flat)) + y * middle + arcArea(R, Math.max(a, flat), b);
}

/** Share of the frame's area inside the circle, 0..1. Closed form. */
export function areaShare(frame: FrameSize, offset: Offset, radiusMm: number): number {
  if (radiusMm <= 0) return 0;
  const x1 = -frame.widthMm / 2 - offset.xMm;
  const x2 = frame.widthMm / 2 - offset.xMm;
  const y1 = -frame.heightMm / 2 - offset.yMm;
  const y2 = frame.heightMm / 2 - offset.yMm;
  const area =
    Math.sign(y2) * areaBelow(radiusMm, x1, x2, Math.abs(y2)) -
    Math.sign(y1) * areaBelow(radiusMm, x1, x2, Math.abs(y1));
  return clamp(area / (frame.widthMm * frame.heightMm), 0, 1);
}

const sized = (aspect: number, halfHeight: number): FrameSize => ({
  widthMm: 2 * aspect * halfHeight,
  heightMm: 2 * halfHeight,
});

/** Half-height of the largest frame of `aspect` whose middle is (dx, dy) from the circle's centre. */
function halfHeightInCircle(aspect: number, dx: number, dy: number, radiusMm: number): number {
  const a = aspect * aspect + 1;
  const b = aspect * dx + dy;
  const c = dx * dx + dy * dy - radiusMm * radiusMm;
  return c >= 0 ? 0 : (-b + Math.sqrt(b * b - a * c)) / a;
}

const tallestInFrame = (frame: FrameSize, aspect: number): number =>
  Math.min(frame.heightMm, frame.widthMm / aspect) / 2;

/** Largest frame of `aspect` inside circle and frame, concentric with the frame; 0 x 0 where none is. */
export function concentricCleanFrame(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  aspect: number,
): FrameSize {
  const h = halfHeightInCircle(aspect, Math.abs(offset.xMm), Math.abs(offset.yMm), radiusMm);
  return sized(aspect, Math.min(h, tallestInFrame(frame, aspect)));
}

/** Largest frame of `aspect` inside circle and frame, free to move within the frame. */
export function freeCleanFrame(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  aspect: number,
): FrameSize {
  const [dx, dy] = [Math.abs(offset.xMm), Math.abs(offset.yMm)];
  const fits = (h: number) => {
    const ex = Math.max(0, dx - (frame.widthMm / 2 - aspect * h));
    const ey = Math.max(0, dy - (frame.heightMm / 2 - h));
    return (aspect * h + ex) ** 2 + (h + ey) ** 2 <= radiusMm * radiusMm;
  };
  const tallest = tallestInFrame(frame, aspect);
  if (fits(tallest)) return sized(aspect, tallest);
  if (!fits(0)) return sized(aspect, 0);
  return sized(aspect, whereBeginning(fits, tallest, 0, 40));
}

/**
 * Least scale-up p >= 1 (punch-in about the middle) that brings every corner inside the circle over the
 * travel: corner of frame/p. Null where no scale-up does, and above `most` (default 20).
 */
export function scaleUp(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  travel: Travel,
  most = 20,
): number | null {
  const box = travel.shape === 'box';
  const dx = Math.abs(offset.xMm) + (box ? travel.xMm : 0);
  const dy = Math.abs(offset.yMm) + (box ? travel.yMm : 0);
  const reach = radiusMm - (box ? 0 : travel.xMm);
  if (reach <= 0) return null;
  const aspect = frame.widthMm / frame.heightMm;
  const h = halfHeightInCircle(aspect, dx, dy, reach);
  const p = frame.heightMm / 2 / h;
  return p <= most ? Math.max(1, p) : null;
}
