/** Paints the halos of a sweep's frames: the light the stage shows, within the frame alone. */
import type { Halo } from '@/core/halo';
import { situationOf } from '@/core/rig';
import type { SweepCell } from '@/core/sweep';
import { fillLight, lightColour, type LightPlace } from '@/ui/stage/haloPaint';
import type { Box } from '@/core/frame';
import type { Theme } from '@/ui/theme/themeScript';
import { frameBox, type MatrixLayout } from './matrixLayout';

/** Enough for a frame of a thumb's width. */
export const SAMPLES = 24;

export interface CellLight {
  box: Box;
  halo: Halo;
  place: LightPlace;
}

/** The light of a cell's frame; null where the rig cannot be set so. */
export function cellLight(
  cell: SweepCell,
  [row, column]: readonly [number, number],
  layout: MatrixLayout,
): CellLight | null {
  if (cell.verdict === null) return null;
  const { halo } = situationOf(cell.rig);
  const box = frameBox(cell, row, column, layout);
  const cornerMm = Math.hypot(box.w, box.h) / 2 / layout.pxPerMm;
  const offMm = Math.hypot(halo.centre.xMm, halo.centre.yMm);
  const { pxPerMm } = layout;
  return {
    box,
    halo,
    place: {
      xPx: box.x + box.w / 2 + halo.centre.xMm * pxPerMm,
      yPx: box.y + box.h / 2 + halo.centre.yMm * pxPerMm,
      pxPerMm,
      farthestMm: cornerMm + offMm,
    },
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
    const light = cellLight(cell, [Math.floor(i / columns), i % columns], layout);
    if (!light) return;
    const { box, halo, place } = light;
    context.save();
    context.beginPath();
    context.rect(box.x, box.y, box.w, box.h);
    context.clip();
    fillLight(context, halo, place, (light) => lightColour(light, theme), {
      samples: SAMPLES,
      rings: SAMPLES,
    });
    context.restore();
  });
}
