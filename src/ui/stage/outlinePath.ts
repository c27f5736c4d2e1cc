/** Outlines of a halo as paths of a drawing. */
import { circleRadius, outlinePoints, type Outline } from '@/core/halo';
import type { Offset } from '@/core/optics';

/** Where the middle of a halo stands on a drawing, px, and px for a mm. */
export interface OnDrawing {
  xPx: number;
  yPx: number;
  pxPerMm: number;
}

const n = (value: number): string => String(Number(value.toFixed(2)));

/** A closed line through places told from the halo's middle. */
export const pointsPath = (points: readonly Offset[], { xPx, yPx, pxPerMm }: OnDrawing): string =>
  `M${points.map((p) => `${n(xPx + p.xMm * pxPerMm)} ${n(yPx + p.yMm * pxPerMm)}`).join('L')}Z`;

/** An outline: a circle about a round halo. */
export function outlinePath(outline: Outline, on: OnDrawing): string {
  const points = outlinePoints(outline);
  if (points) return pointsPath(points, on);
  const r = (circleRadius(outline) ?? 0) * on.pxPerMm;
  return `M${n(on.xPx - r)} ${n(on.yPx)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
}
