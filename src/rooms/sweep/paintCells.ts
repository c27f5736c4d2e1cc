/** Paints the halos of a sweep's frames: the light the stage shows, within the frame alone. */
import { blackoutRadiusMm } from '@/core/halo';
import { situationOf } from '@/core/rig';
import type { SweepCell } from '@/core/sweep';
import { lightStops, type LightStop } from '@/ui/stage/haloPaint';
import type { Box } from '@/core/frame';
import type { Theme } from '@/ui/theme/themeScript';
import { frameBox, type MatrixLayout } from './matrixLayout';

/** Enough for a frame of a thumb's width. */
const SAMPLES = 24;

interface CellLight {
  box: Box;
  /** Centre of the halo and how far the stops reach, px. */
  x: number;
  y: number;
  radiusPx: number;
  stops: LightStop[];
}

/** The light of a cell's frame; null where the rig cannot be set so. */
export function cellLight(
  cell: SweepCell,
  [row, column]: readonly [number, number],
  layout: MatrixLayout,
  theme: Theme,
): CellLight | null {
  if (cell.verdict === null) return null;
  const { halo } = situationOf(cell.rig);
  const box = frameBox(cell, row, column, layout);
  const cornerMm = Math.hypot(box.w, box.h) / 2 / layout.pxPerMm;
  const offMm = Math.hypot(halo.centre.xMm, halo.centre.yMm);
  const reachMm = Math.max(0.01, Math.min(blackoutRadiusMm(halo.rims), cornerMm + offMm));
  return {
    box,
    x: box.x + box.w / 2 + halo.centre.xMm * layout.pxPerMm,
    y: box.y + box.h / 2 + halo.centre.yMm * layout.pxPerMm,
    radiusPx: reachMm * layout.pxPerMm,
    stops: lightStops(halo, reachMm, theme, SAMPLES),
  };
}

export function paintCells(
  canvas: HTMLCanvasElement,
  cells: readonly SweepCell[],
  columns: number,
  layout: MatrixLayout,
  theme: Theme,
): void {
  const scale = window.devicePixelRatio || 1;
  canvas.width = Math.round(layout.widthPx * scale);
  canvas.height = Math.round(layout.heightPx * scale);
  canvas.style.width = `${layout.widthPx}px`;
  canvas.style.height = `${layout.heightPx}px`;
  const context = canvas.getContext('2d');
  if (!context) return;
  context.scale(scale, scale);
  cells.forEach((cell, i) => {
    const light = cellLight(cell, [Math.floor(i / columns), i % columns], layout, theme);
    if (!light) return;
    const { box, x, y, radiusPx, stops } = light;
    const gradient = context.createRadialGradient(x, y, 0, x, y, radiusPx);
    for (const { share, colour } of stops) gradient.addColorStop(share, colour);
    context.fillStyle = gradient;
    context.fillRect(box.x, box.y, box.w, box.h);
  });
}
