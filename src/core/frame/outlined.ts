/**
 * What lies within an outline: share of a frame, clean frames, room to shift. About a round halo it is a circle, and the
 * answers are those of geometry.ts; rectangular openings make others, convex and alike in all quarters. Lengths in mm.
 */
import { circleRadius, outlineToward, type Outline } from '../halo';
import { clamp, whereBeginning } from '../maths';
import type { FrameSize, Offset } from '../optics';
import {
  circleCoverage,
  freeWithin,
  sized,
  tallestInFrame,
  type CleanFrames,
  type Travel,
} from './geometry';
import { shiftBudget, type ShiftBudget } from './wander';

/** Halvings until a length is known to a thousandth of a mm. */
const HALVINGS = 24;
/** Rows a frame's area is summed in: good to 1e-3 of it. */
const ROWS = 96;

/** Whether a place so far from the middle, mm >= 0, stays inside though it moves by a disc and a box. */
function staysWithin(outline: Outline, { xMm, yMm, discMm }: Travel) {
  const holds = (x: number, y: number): boolean =>
    Math.hypot(x, y) <= outlineToward(outline, { xMm: x, yMm: y });
  return (fromX: number, fromY: number): boolean => {
    const [x, y] = [fromX + xMm, fromY + yMm];
    if (!holds(x, y)) return false;
    if (discMm === 0) return true;
    const out = 1 + discMm / Math.max(1e-9, Math.hypot(x, y));
    return holds(x * out, y * out) && holds(x + discMm, y) && holds(x, y + discMm);
  };
}

/** The greatest length from 0 to `most` that holds; 0 where none does. */
function greatest(holds: (mm: number) => boolean, most: number): number {
  if (holds(most)) return most;
  return holds(0) ? whereBeginning(holds, most, 0, HALVINGS) : 0;
}

/** Share of a frame that stays inside an outline about `centre` over the travel, 0..1. */
function shareWithin(frame: FrameSize, centre: Offset, outline: Outline, travel: Travel): number {
  const within = staysWithin(outline, travel);
  const [a, b] = [frame.widthMm / 2, frame.heightMm / 2];
  const widest = a + Math.abs(centre.xMm);
  let sum = 0;
  for (let i = 0; i < ROWS; i += 1) {
    const y = Math.abs(((i + 0.5) / ROWS - 0.5) * frame.heightMm - centre.yMm);
    if (!within(0, y)) continue;
    const reach = greatest((x) => within(x, y), widest);
    const [left, right] = [-a - centre.xMm, a - centre.xMm];
    sum += Math.max(0, clamp(reach, left, right) - clamp(-reach, left, right));
  }
  return b > 0 ? clamp(sum / (ROWS * frame.widthMm), 0, 1) : 0;
}

/** What an outline about `centre` does for a frame over its travel. `aspect` is that of the clean frame wanted. */
export function outlineCoverage(
  frame: FrameSize,
  centre: Offset,
  outline: Outline,
  travel: Travel,
  aspect = frame.widthMm / frame.heightMm,
): { areaShare: number; cleanFrame: CleanFrames } {
  const circleMm = circleRadius(outline);
  if (circleMm !== null) return circleCoverage(frame, centre, circleMm, travel, aspect);
  const within = staysWithin(outline, travel);
  const [dx, dy] = [Math.abs(centre.xMm), Math.abs(centre.yMm)];
  const tallest = tallestInFrame(frame, aspect);
  return {
    areaShare: shareWithin(frame, centre, outline, travel),
    cleanFrame: {
      concentric: sized(
        aspect,
        greatest((h) => within(aspect * h + dx, h + dy), tallest),
      ),
      free: freeWithin(frame, centre, aspect, within),
    },
  };
}

/** How far a frame may shift in each direction before a corner passes an outline, mm; see shiftBudget. */
export function outlineShiftBudget(
  frame: FrameSize,
  centre: Offset,
  outline: Outline,
  travel: Travel,
): ShiftBudget {
  const circleMm = circleRadius(outline);
  if (circleMm !== null) return shiftBudget(frame, centre, circleMm, travel);
  const within = staysWithin(outline, travel);
  const [a, b] = [frame.widthMm / 2, frame.heightMm / 2];
  const [worstX, worstY] = [a + Math.abs(centre.xMm), b + Math.abs(centre.yMm)];
  const most = Math.max(...outline.radiiMm);
  const across = within(0, worstY) ? greatest((x) => within(x, worstY), most) : 0;
  const down = within(worstX, 0) ? greatest((y) => within(worstX, y), most) : 0;
  return {
    leftMm: across - a - centre.xMm,
    rightMm: across - a + centre.xMm,
    upMm: down - b - centre.yMm,
    downMm: down - b + centre.yMm,
  };
}
