/** Paints the scene as a rig pictures it, from the core's own outlines and light. */
import { falloffOf, pictureOf, type Shape } from '@/core/framing/picture';
import type { Scene } from '@/core/framing/scene';
import type { Shot } from '@/core/framing/shot';
import type { Theme } from '../theme/themeScript';
import { deviationOf, LEAST_BLUR_PX, SCENE_INKS, shadeStops } from './sceneInks';

export interface Canvas {
  context: CanvasRenderingContext2D;
  widthPx: number;
  heightPx: number;
}

/** What is far out of focus is painted small and laid over the picture large: it is soft anyhow. */
const SOFT_SHARE = 0.25;

function trace(context: CanvasRenderingContext2D, { points }: Shape, scale: number): void {
  context.beginPath();
  for (const { xMm, yMm } of points) context.lineTo(xMm * scale, yMm * scale);
  context.closePath();
}

/** The layer of what is out of focus; one for the page, as large as it was last asked for. */
let softLayer: HTMLCanvasElement | null = null;

function paintSoft(
  { context, widthPx, heightPx }: Canvas,
  shapes: readonly Shape[],
  scale: number,
  theme: Theme,
): void {
  softLayer ??= document.createElement('canvas');
  softLayer.width = Math.max(1, Math.round(widthPx * SOFT_SHARE));
  softLayer.height = Math.max(1, Math.round(heightPx * SOFT_SHARE));
  const soft = softLayer.getContext('2d');
  if (!soft) return;
  soft.translate(softLayer.width / 2, softLayer.height / 2);
  for (const shape of shapes) {
    const blurPx = shape.blurMm * scale;
    soft.filter =
      shape.ink === 'beam' && blurPx > LEAST_BLUR_PX
        ? `blur(${(deviationOf(blurPx) * SOFT_SHARE).toFixed(2)}px)`
        : 'none';
    trace(soft, shape, scale * SOFT_SHARE);
    soft.fillStyle = SCENE_INKS[theme][shape.ink];
    soft.fill();
  }
  context.imageSmoothingEnabled = true;
  context.imageSmoothingQuality = 'high';
  context.drawImage(softLayer, 0, 0, widthPx, heightPx);
}

/** The halo's light as black that grows where it falls off. */
function paintShade({ context, widthPx, heightPx }: Canvas, shot: Shot, scale: number): void {
  const { xMm, yMm, squeeze, lightAt, reachMm } = falloffOf(shot);
  context.save();
  context.translate(widthPx / 2 + xMm * scale, heightPx / 2 + yMm * scale);
  context.scale(squeeze, 1);
  const gradient = context.createRadialGradient(0, 0, 0, 0, 0, Math.max(0.01, reachMm * scale));
  for (const { share, alpha } of shadeStops(lightAt, reachMm))
    gradient.addColorStop(share, `rgb(0 0 0 / ${alpha.toFixed(4)})`);
  context.fillStyle = gradient;
  context.fillRect(-widthPx * 2, -heightPx * 2, widthPx * 4, heightPx * 4);
  context.restore();
}

/** Paints the whole picture over the canvas; its sides are as the delivered frame's. */
export function paintScene(canvas: Canvas, shot: Shot, scene: Scene, theme: Theme): void {
  const { context, widthPx, heightPx } = canvas;
  const scale = widthPx / shot.picture.widthMm;
  const shapes = pictureOf(shot, scene);
  const isSoft = ({ ink }: Shape) => ink === 'wall' || ink === 'floor' || ink === 'beam';
  paintSoft(canvas, shapes.filter(isSoft), scale, theme);
  context.save();
  context.translate(widthPx / 2, heightPx / 2);
  for (const shape of shapes.filter((s) => !isSoft(s))) {
    trace(context, shape, scale);
    context.fillStyle = SCENE_INKS[theme][shape.ink];
    context.fill();
    if (shape.ink === 'lamp') {
      context.strokeStyle = SCENE_INKS[theme].lampRim;
      context.lineWidth = 1;
      context.stroke();
    }
  }
  context.restore();
  paintShade(canvas, shot, scale);
}
