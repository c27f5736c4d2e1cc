/** Paints the scene as a rig pictures it, from the core's own outlines and light. */
import {
  falloffOf,
  pictureOf,
  type Falloff,
  type Shape,
  type Scene,
  type Shot,
} from '@/core/framing';
import type { Theme } from '../theme/themeScript';
import { isRound } from '@/core/halo';
import { fillLight } from '../stage/haloPaint';
import { deviationOf, LEAST_BLUR_PX, SCENE_INKS, SHADE_STEPS, shadeOf } from './sceneInks';

export interface Canvas {
  context: CanvasRenderingContext2D;
  widthPx: number;
  heightPx: number;
}

/** Where the middle of the picture falls on the canvas, and px for a mm of it. */
export interface Placing {
  xPx: number;
  yPx: number;
  scale: number;
  /** How much narrower it lies across: the squeeze of an anamorphic on its sensor; 1 for a picture as seen. */
  squeeze: number;
}

/** What is far out of focus is painted small and laid over the picture large: it is soft anyhow. */
const SOFT_SHARE = 0.25;

function trace(context: CanvasRenderingContext2D, { points }: Shape): void {
  context.beginPath();
  for (const { xMm, yMm } of points) context.lineTo(xMm, yMm);
  context.closePath();
}

/** From now on the canvas is measured in mm of the picture, from its middle. */
function place(context: CanvasRenderingContext2D, placing: Placing, share = 1): void {
  const { xPx, yPx, scale, squeeze } = placing;
  context.translate(xPx * share, yPx * share);
  context.scale((scale * share) / squeeze, scale * share);
}

/** Layers that are laid over the picture; one of a kind for the page, as large as it was last asked for. */
const layers: Partial<Record<'soft' | 'shade', HTMLCanvasElement>> = {};

/** A layer, cleared. */
function layerOf(
  kind: keyof typeof layers,
  widthPx: number,
  heightPx: number,
): CanvasRenderingContext2D | null {
  const layer = (layers[kind] ??= document.createElement('canvas'));
  layer.width = Math.max(1, Math.round(widthPx));
  layer.height = Math.max(1, Math.round(heightPx));
  return layer.getContext('2d');
}

function paintSoft(canvas: Canvas, shapes: readonly Shape[], placing: Placing, theme: Theme): void {
  const { context, widthPx, heightPx } = canvas;
  const soft = layerOf('soft', widthPx * SOFT_SHARE, heightPx * SOFT_SHARE);
  if (!soft) return;
  place(soft, placing, SOFT_SHARE);
  for (const shape of shapes) {
    const blurPx = shape.blurMm * placing.scale;
    soft.filter =
      shape.ink === 'beam' && blurPx > LEAST_BLUR_PX
        ? `blur(${(deviationOf(blurPx) * SOFT_SHARE).toFixed(2)}px)`
        : 'none';
    trace(soft, shape);
    soft.fillStyle = SCENE_INKS[theme][shape.ink];
    soft.fill();
  }
  context.imageSmoothingEnabled = true;
  context.imageSmoothingQuality = 'high';
  context.drawImage(soft.canvas, 0, 0, widthPx, heightPx);
}

/** The halo's light as black that grows where it falls off. */
export function paintShade(
  { context, widthPx, heightPx }: Canvas,
  falloff: Omit<Falloff, 'reachMm'>,
  placing: Placing,
): void {
  const { xMm, yMm, squeeze, halo } = falloff;
  const farthestMm = (widthPx + heightPx) / placing.scale;
  const shade = (on: CanvasRenderingContext2D, colourOf: (alpha: number) => string): void => {
    place(on, placing);
    on.translate(xMm, yMm);
    on.scale(squeeze, 1);
    const at = { xPx: 0, yPx: 0, pxPerMm: 1, farthestMm };
    fillLight(on, halo, at, (light) => colourOf(shadeOf(light)), SHADE_STEPS);
  };
  context.save();
  if (isRound(halo)) {
    shade(context, (alpha) => `rgb(0 0 0 / ${alpha.toFixed(4)})`);
  } else {
    // Rings lie upon each other: they are painted solid, and darken the picture together.
    const layer = layerOf('shade', widthPx, heightPx);
    if (layer) {
      shade(layer, (alpha) => `hsl(0 0% ${((1 - alpha) * 100).toFixed(2)}%)`);
      context.globalCompositeOperation = 'multiply';
      context.drawImage(layer.canvas, 0, 0, widthPx, heightPx);
    }
  }
  context.restore();
}

/** The scene without the halo's falloff. */
export function paintThings(
  canvas: Canvas,
  shapes: readonly Shape[],
  placing: Placing,
  theme: Theme,
): void {
  const { context } = canvas;
  const isSoft = ({ ink }: Shape) => ink === 'wall' || ink === 'floor' || ink === 'beam';
  paintSoft(canvas, shapes.filter(isSoft), placing, theme);
  context.save();
  place(context, placing);
  for (const shape of shapes.filter((s) => !isSoft(s))) {
    trace(context, shape);
    context.fillStyle = SCENE_INKS[theme][shape.ink];
    context.fill();
    if (shape.ink === 'lamp') {
      context.strokeStyle = SCENE_INKS[theme].lampRim;
      context.lineWidth = 1 / placing.scale;
      context.stroke();
    }
  }
  context.restore();
}

/** Paints the whole picture over the canvas; its sides are as the delivered frame's. */
export function paintScene(canvas: Canvas, shot: Shot, scene: Scene, theme: Theme): void {
  const { widthPx, heightPx } = canvas;
  const placing: Placing = {
    xPx: widthPx / 2,
    yPx: heightPx / 2,
    scale: heightPx / shot.picture.heightMm,
    squeeze: 1,
  };
  paintThings(canvas, pictureOf(shot, scene), placing, theme);
  paintShade(canvas, falloffOf(shot), placing);
}
