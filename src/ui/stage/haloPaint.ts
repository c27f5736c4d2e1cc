/** Paints a halo from the core's own falloff: the function that draws is the function that decides. */
import { blackoutRadiusMm, lightAt, type Halo, shownOf, towardEdge } from '@/core/halo';
import type { Theme } from '../theme/themeScript';
import { toPx, type StageView } from './stageView';

/** Samples along the radius; between two of them the eye sees no step. */
const SAMPLES = 96;

type Rgb = readonly [number, number, number];

const LAMP: Rgb = [255, 209, 145];
const INK: Rgb = [29, 25, 19];
const DARK_WELL: Rgb = [11, 9, 7];
const PAPER: Rgb = [251, 248, 242];
const DAY_WELL: Rgb = [230, 223, 210];

const rgb = ([r, g, b]: Rgb): string => `rgb(${r} ${g} ${b})`;

const mix = (from: Rgb, to: Rgb, share: number): string => {
  const channel = (i: 0 | 1 | 2) => Math.round(from[i] + (to[i] - from[i]) * share);
  return rgb([channel(0), channel(1), channel(2)]);
};

/** Colour of a light 0..1: a lamp on black, or ink printed where light is lost. */
function lightColour(light: number, theme: Theme): string {
  const shown = shownOf(light);
  return theme === 'dark' ? mix(DARK_WELL, LAMP, shown) : mix(INK, PAPER, shown);
}

/** A place along a halo's radius, 0..1 of `reachMm`, and the colour of the light there. */
export interface LightStop {
  share: number;
  colour: string;
}

/** The halo's light out to `reachMm` in so many steps, closer together toward the edge. */
export const lightStops = (
  halo: Halo,
  reachMm: number,
  theme: Theme,
  samples = SAMPLES,
): LightStop[] =>
  towardEdge(samples).map((share) => ({
    share,
    colour: lightColour(lightAt(halo, share * reachMm).light, theme),
  }));

/** Radial gradient of the halo about its centre, in px. */
function haloGradient(
  context: CanvasRenderingContext2D,
  halo: Halo,
  view: StageView,
  theme: Theme,
): CanvasGradient {
  const { xPx: x, yPx: y } = toPx(view, halo.centre);
  // No farther than the farthest corner of the stage can be from the halo's centre.
  const reachMm = Math.min(
    blackoutRadiusMm(halo.rims),
    Math.hypot(view.widthPx, view.heightPx) / view.pxPerMm +
      Math.hypot(halo.centre.xMm - view.middle.xMm, halo.centre.yMm - view.middle.yMm),
  );
  const gradient = context.createRadialGradient(
    x,
    y,
    0,
    x,
    y,
    Math.max(0.01, reachMm * view.pxPerMm),
  );
  for (const { share, colour } of lightStops(halo, reachMm, theme))
    gradient.addColorStop(share, colour);
  return gradient;
}

/** Ground of the stage, as a colour. */
export const WELLS: Readonly<Record<Theme, string>> = {
  dark: rgb(DARK_WELL),
  daylight: rgb(DAY_WELL),
};

export interface FrameMm {
  widthMm: number;
  heightMm: number;
}

/** How much of the halo outside the delivered frame is shown. */
const OUTSIDE_ALPHA = { dark: 0.34, daylight: 0.2 } as const;

/** Paints well, halo outside the frame dimmed, halo inside it in full. */
export function paintHalo(
  context: CanvasRenderingContext2D,
  halo: Halo,
  frame: FrameMm,
  view: StageView,
  theme: Theme,
): void {
  const { widthPx, heightPx, pxPerMm } = view;
  const { xPx, yPx } = toPx(view, { xMm: -frame.widthMm / 2, yMm: -frame.heightMm / 2 });
  context.globalAlpha = 1;
  context.fillStyle = WELLS[theme];
  context.fillRect(0, 0, widthPx, heightPx);
  const gradient = haloGradient(context, halo, view, theme);
  context.globalAlpha = OUTSIDE_ALPHA[theme];
  context.fillStyle = gradient;
  context.fillRect(0, 0, widthPx, heightPx);
  context.globalAlpha = 1;
  context.fillRect(xPx, yPx, frame.widthMm * pxPerMm, frame.heightMm * pxPerMm);
}
