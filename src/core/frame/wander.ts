/** What movement of the halo against the frame does: flicker, and how much shift is left. */
import { darknessStops, haloToward, lightAt, type Halo } from '../halo';
import type { FrameSize, Offset } from '../optics';
import { CORNERS, isMoving, type Travel } from './geometry';

/** Distances of a corner from the halo's centre over the travel, nearest and farthest, mm. */
function cornerReach(x: number, y: number, travel: Travel): [nearest: number, farthest: number] {
  const { xMm, yMm, discMm } = travel;
  const [ax, ay] = [Math.abs(x), Math.abs(y)];
  const near = Math.hypot(Math.max(0, ax - xMm), Math.max(0, ay - yMm));
  return [Math.max(0, near - discMm), Math.hypot(ax + xMm, ay + yMm) + discMm];
}

/**
 * Flicker: how much darker than at its brightest a corner gets over the travel, stops, for the corner
 * where that is most. 0 without travel; null where a corner goes wholly black and back.
 */
export function flickerStops(halo: Halo, frame: FrameSize, travel: Travel): number | null {
  if (!isMoving(travel)) return 0;
  const centred = halo.centre.xMm === 0 && halo.centre.yMm === 0;
  let most = 0;
  // About a centred halo all corners are alike.
  for (const [sx, sy] of centred ? CORNERS.slice(0, 1) : CORNERS) {
    const x = (sx * frame.widthMm) / 2 - halo.centre.xMm;
    const y = (sy * frame.heightMm) / 2 - halo.centre.yMm;
    const [near, far] = cornerReach(x, y, travel);
    const along = haloToward(halo, {
      xMm: Math.abs(x) + travel.xMm,
      yMm: Math.abs(y) + travel.yMm,
    });
    const bright = darknessStops(lightAt(along, near).light);
    const dark = darknessStops(lightAt(along, far).light);
    if (bright === null) continue;
    if (dark === null) return null;
    most = Math.max(most, dark - bright);
  }
  return most;
}

export interface ShiftBudget {
  leftMm: number;
  rightMm: number;
  upMm: number;
  downMm: number;
}

/**
 * How far the frame may shift against a halo centred at `offset` in each direction before a corner passes
 * `radiusMm`, mm, with the travel counted in. Negative: already passed, by how much it would have to go
 * back; where no shift along that axis would help, the frame's half-size below zero.
 */
export function shiftBudget(
  frame: FrameSize,
  offset: Offset,
  radiusMm: number,
  travel: Travel,
): ShiftBudget {
  const reach = radiusMm - travel.discMm;
  const a = frame.widthMm / 2 + travel.xMm;
  const b = frame.heightMm / 2 + travel.yMm;
  const room = (across: number, half: number, least: number): number => {
    const square = reach * reach - across * across;
    return square <= 0 || reach <= 0 ? -least : Math.sqrt(square) - half;
  };
  const worstY = b + Math.abs(offset.yMm);
  const worstX = a + Math.abs(offset.xMm);
  // Shifting the frame left carries its left corners away from the halo's centre.
  return {
    leftMm: room(worstY, a, a) - offset.xMm,
    rightMm: room(worstY, a, a) + offset.xMm,
    upMm: room(worstX, b, b) - offset.yMm,
    downMm: room(worstX, b, b) + offset.yMm,
  };
}
