/** Where the rays fall on their drawing, to scale. */
import type { Optics, RayPath } from '@/core/converters';

/** Room for words about the drawing, px. */
export const ROOM = { left: 14, right: 150, narrow: 112, top: 20, bottom: 26 };
const LEAST_HEIGHT = 150;
const MOST_HEIGHT = 300;
/** What a lens shows of itself before its rays begin, mm. */
export const LENS_SHOWN_MM = 26;

export interface Sheet {
  width: number;
  height: number;
  /** px for a mm, the same both ways. */
  scale: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
}

export function layOut(optics: Optics, bare: RayPath, converted: RayPath, width: number): Sheet {
  const from = optics.startX - LENS_SHOWN_MM;
  const to = Math.max(bare.imageX, converted.imageX) + 2;
  const tallest = Math.max(
    bare.haloMm,
    converted.haloMm,
    ...[...bare.axial, ...bare.edge].flatMap((ray) => ray.map((p) => Math.abs(p.y))),
  );
  const inner = Math.max(80, width - ROOM.left - (width > 520 ? ROOM.right : ROOM.narrow));
  const most = (MOST_HEIGHT - ROOM.top - ROOM.bottom) / (2 * tallest);
  const scale = Math.min(inner / (to - from), most);
  const height = Math.max(LEAST_HEIGHT, 2 * tallest * scale + ROOM.top + ROOM.bottom);
  const middle = height / 2;
  return {
    width,
    height,
    scale,
    x: (v) => ROOM.left + (v - from) * scale,
    y: (v) => middle - v * scale,
  };
}

export const points = (
  sheet: Sheet,
  ray: readonly { x: number; y: number }[],
  sign: 1 | -1,
): string => ray.map((p) => `${sheet.x(p.x)},${sheet.y(p.y * sign)}`).join(' ');

/** What lies between two rays. */
export const between = (sheet: Sheet, rays: RayPath['axial'], sign: 1 | -1): string =>
  [points(sheet, rays[0] ?? [], sign), points(sheet, [...(rays[1] ?? [])].reverse(), sign)].join(
    ' ',
  );
