/**
 * A circle over a frame: corner radii, shares, the largest clean frame. Lengths in mm from the middle of
 * the frame, x right, y down; the circle's centre is `offset`.
 */
import { clamp, whereBeginning } from '../maths';
import { farthestCornerMm, type FrameSize, type Offset } from '../optics';

/**
 * How far the frame may move against the halo, mm: within a box, as the window of electronic stabilisation does, and from
 * any place in it within a disc besides, as a sensor does. Either may be nothing.
 */
export interface Travel {
  /** Half-sides of the box. */
  xMm: number;
  yMm: number;
  /** Radius of the disc. */
  discMm: number;
}

export const NO_TRAVEL: Travel = { xMm: 0, yMm: 0, discMm: 0 };

export const isMoving = ({ xMm, yMm, discMm }: Travel): boolean => xMm > 0 || yMm > 0 || discMm > 0;

/** Corners in reading order round the frame: top left, top right, bottom right, bottom left. */
export const CORNERS = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
] as const;

export type PerCorner<T> = [tl: T, tr: T, br: T, bl: T];

/** Where each corner lies from the circle's centre, mm. */
export function cornerPlaces({ widthMm, heightMm }: FrameSize, offset: Offset): PerCorner<Offset> {
  const place = ([sx, sy]: readonly [number, number]): Offset => ({
    xMm: (sx * widthMm) / 2 - offset.xMm,
    yMm: (sy * heightMm) / 2 - offset.yMm,
  });
  return [place(CORNERS[0]), place(CORNERS[1]), place(CORNERS[2]), place(CORNERS[3])];
}

/** The farthest any corner gets from the circle's centre over the travel, mm. */
export function worstCornerRadius(frame: FrameSize, offset: Offset, travel: Travel): number {
  const { xMm, yMm, discMm } = travel;
  if (xMm === 0 && yMm === 0) return farthestCornerMm(frame, offset) + discMm;
  const x = frame.widthMm / 2 + Math.abs(offset.xMm);
  const y = frame.heightMm / 2 + Math.abs(offset.yMm);
  return Math.hypot(x + xMm, y + yMm) + discMm;
}

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

/** Area of the disc of radius R about 0 within x1..x2 and y1..y2. */
function discInBox(R: number, x1: number, x2: number, y1: number, y2: number): number {
  return (
    Math.sign(y2) * areaBelow(R, x1, x2, Math.abs(y2)) -
    Math.sign(y1) * areaBelow(R, x1, x2, Math.abs(y1))
  );
}

/** The circle and how far the frame sways along each axis besides: a disc of travel makes it smaller. */
function stilled(radiusMm: number, travel: Travel): { reach: number; tx: number; ty: number } {
  return { reach: radiusMm - travel.discMm, tx: travel.xMm, ty: travel.yMm };
}

/** The two sides of a span about 0, each carried outward by `by`. */
const carried = (from: number, to: number, by: number): [number, number][] =>
  by === 0
    ? [[from, to]]
    : [
        [Math.min(from, 0) - by, Math.min(to, 0) - by],
        [Math.max(from, 0) + by, Math.max(to, 0) + by],
      ];

/** Share of the frame's area that stays inside the circle over the travel, 0..1. Closed form. */
export function areaShare(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  travel = NO_TRAVEL,
): number {
  const { reach, tx, ty } = stilled(radiusMm, travel);
  if (reach <= 0) return 0;
  if (reach >= worstCornerRadius(frame, offset, { xMm: tx, yMm: ty, discMm: 0 })) return 1;
  const [a, b] = [frame.widthMm / 2, frame.heightMm / 2];
  let area = 0;
  for (const [x1, x2] of carried(-a - offset.xMm, a - offset.xMm, tx)) {
    for (const [y1, y2] of carried(-b - offset.yMm, b - offset.yMm, ty))
      area += discInBox(reach, x1, x2, y1, y2);
  }
  return clamp(area / (frame.widthMm * frame.heightMm), 0, 1);
}

/** A frame of an aspect by half its height. */
export const sized = (aspect: number, halfHeight: number): FrameSize => ({
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

export const tallestInFrame = (frame: FrameSize, aspect: number): number =>
  Math.min(frame.heightMm, frame.widthMm / aspect) / 2;

/**
 * Largest frame of `aspect` that stays inside the circle over the travel, within the frame and concentric
 * with it; 0 x 0 where none is.
 */
export function concentricCleanFrame(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  aspect: number,
  travel = NO_TRAVEL,
): FrameSize {
  const { reach, tx, ty } = stilled(radiusMm, travel);
  if (reach <= 0) return sized(aspect, 0);
  const [dx, dy] = [Math.abs(offset.xMm) + tx, Math.abs(offset.yMm) + ty];
  const h = halfHeightInCircle(aspect, dx, dy, reach);
  return sized(aspect, Math.min(h, tallestInFrame(frame, aspect)));
}

/** A frame within another, and where its middle lies from that of the other. */
export interface PlacedFrame extends FrameSize, Offset {}

/**
 * The largest frame of `aspect` within another whose corners are all within something about `offset`, as near to it as
 * it can get. `within` is asked about a corner so far from there, mm >= 0.
 */
export function freeWithin(
  frame: FrameSize,
  offset: Offset,
  aspect: number,
  within: (xMm: number, yMm: number) => boolean,
): PlacedFrame {
  const placed = (halfHeight: number): PlacedFrame => {
    const room = (side: number, half: number) => Math.max(0, side / 2 - half);
    const [x, y] = [room(frame.widthMm, aspect * halfHeight), room(frame.heightMm, halfHeight)];
    return {
      ...sized(aspect, halfHeight),
      xMm: clamp(offset.xMm, -x, x),
      yMm: clamp(offset.yMm, -y, y),
    };
  };
  const [dx, dy] = [Math.abs(offset.xMm), Math.abs(offset.yMm)];
  const fits = (h: number) => {
    const ex = Math.max(0, dx - (frame.widthMm / 2 - aspect * h));
    const ey = Math.max(0, dy - (frame.heightMm / 2 - h));
    return within(aspect * h + ex, h + ey);
  };
  const tallest = tallestInFrame(frame, aspect);
  if (fits(tallest)) return placed(tallest);
  if (!fits(0)) return placed(0);
  return placed(whereBeginning(fits, tallest, 0, 40));
}

/** The largest clean frame of `aspect` that is free to move within the frame. */
export function freeCleanFrame(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  aspect: number,
  travel = NO_TRAVEL,
): PlacedFrame {
  const { reach, tx, ty } = stilled(radiusMm, travel);
  return freeWithin(
    frame,
    offset,
    aspect,
    (x, y) => reach > 0 && (x + tx) ** 2 + (y + ty) ** 2 <= reach * reach,
  );
}

/** What is left of a frame that is scaled up by so much about its middle. */
export const scaledUp = ({ widthMm, heightMm }: FrameSize, scale: number): FrameSize => ({
  widthMm: widthMm / scale,
  heightMm: heightMm / scale,
});

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
  const { reach, tx, ty } = stilled(radiusMm, travel);
  if (reach <= 0) return null;
  const [dx, dy] = [Math.abs(offset.xMm) + tx, Math.abs(offset.yMm) + ty];
  const aspect = frame.widthMm / frame.heightMm;
  const h = halfHeightInCircle(aspect, dx, dy, reach);
  const p = frame.heightMm / 2 / h;
  return p <= most ? Math.max(1, p) : null;
}

export interface CleanFrames {
  /** About the middle of the frame. */
  concentric: FrameSize;
  /** Anywhere within the frame. */
  free: PlacedFrame;
}

export interface CircleCoverage {
  /** Share of the frame that stays inside the circle over the travel, 0..1. */
  areaShare: number;
  cleanFrame: CleanFrames;
  /** Least scale-up that clears the circle over the travel; null where none does. */
  scaleUp: number | null;
}

/** What a circle of `radiusMm` does for a frame over its travel. `aspect` is that of the clean frame wanted. */
export function circleCoverage(
  frame: FrameSize,
  centre: Offset,
  radiusMm: number,
  travel: Travel,
  aspect = frame.widthMm / frame.heightMm,
): CircleCoverage {
  return {
    areaShare: areaShare(frame, centre, radiusMm, travel),
    cleanFrame: {
      concentric: concentricCleanFrame(frame, centre, radiusMm, aspect, travel),
      free: freeCleanFrame(frame, centre, radiusMm, aspect, travel),
    },
    scaleUp: scaleUp(frame, centre, radiusMm, travel),
  };
}
