/** Paints a halo from the core's own falloff: the function that draws is the function that decides. */
import { blackoutRadiusMm, lightAt, lightRings, type Halo, shownOf, towardEdge } from '@/core/halo';
import type { Theme } from '../theme/themeScript';
import type { OnDrawing } from './outlinePath';
import { toPx, type StageView } from './stageView';

/** Samples along the radius, and rings of equal light; between two of them the eye sees no step. */
const SAMPLES = 96;
const RINGS = 128;

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
export function lightColour(light: number, theme: Theme): string {
  const shown = shownOf(light);
  return theme === 'dark' ? mix(DARK_WELL, LAMP, shown) : mix(INK, PAPER, shown);
}

/** A round halo's light along its radius. */
interface RoundLight {
  /** How far it is told, mm: to where it is black, or where nothing more is to be painted. */
  reachMm: number;
  /** Places along it, 0..1, and the colour of the light there. */
  stops: { share: number; colour: string }[];
}

/** The light of a round halo in so many steps, closer together toward the edge. */
export function roundLight(
  halo: Halo,
  farthestMm: number,
  colourOf: (light: number) => string,
  samples: number,
): RoundLight {
  const reachMm = Math.max(0.01, Math.min(blackoutRadiusMm(halo.rims), farthestMm));
  const stops = towardEdge(samples).map((share) => ({
    share,
    colour: colourOf(lightAt(halo, share * reachMm).light),
  }));
  return { reachMm, stops };
}

/** Where a halo is painted, and how far from its middle anything is to be, mm. */
export interface LightPlace extends OnDrawing {
  farthestMm: number;
}

/** How finely light is painted. */
export interface LightSteps {
  /** Along the radius of a round halo. */
  samples: number;
  /** From black to full light where ways differ. */
  rings: number;
}

/**
 * Fills what is clipped on a canvas with a halo's light: a gradient of a round halo, outlines one upon the other where
 * ways differ.
 */
export function fillLight(
  context: CanvasRenderingContext2D,
  halo: Halo,
  { xPx, yPx, pxPerMm, farthestMm }: LightPlace,
  colourOf: (light: number) => string,
  { samples, rings: count }: LightSteps = { samples: SAMPLES, rings: RINGS },
): void {
  const farPx = 2 * farthestMm * pxPerMm;
  const fillAll = (colour: string | CanvasGradient): void => {
    context.fillStyle = colour;
    context.fillRect(xPx - farPx, yPx - farPx, 2 * farPx, 2 * farPx);
  };
  const rings = lightRings(halo, count);
  if (!rings) {
    const { reachMm, stops } = roundLight(halo, farthestMm, colourOf, samples);
    const gradient = context.createRadialGradient(xPx, yPx, 0, xPx, yPx, reachMm * pxPerMm);
    for (const { share, colour } of stops) gradient.addColorStop(share, colour);
    fillAll(gradient);
    return;
  }
  fillAll(colourOf(0));
  for (const { points, light } of rings) {
    context.fillStyle = colourOf(light);
    context.beginPath();
    for (const { xMm, yMm } of points) context.lineTo(xPx + xMm * pxPerMm, yPx + yMm * pxPerMm);
    context.fill();
  }
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
  const place: LightPlace = {
    ...toPx(view, halo.centre),
    pxPerMm,
    // The farthest corner of the stage from the halo's centre.
    farthestMm:
      Math.hypot(widthPx, heightPx) / pxPerMm +
      Math.hypot(halo.centre.xMm - view.middle.xMm, halo.centre.yMm - view.middle.yMm),
  };
  fillLight(context, halo, place, (light) => lightColour(light, theme));
  context.beginPath();
  context.rect(0, 0, widthPx, heightPx);
  context.rect(xPx, yPx, frame.widthMm * pxPerMm, frame.heightMm * pxPerMm);
  context.globalAlpha = 1 - OUTSIDE_ALPHA[theme];
  context.fillStyle = WELLS[theme];
  context.fill('evenodd');
  context.globalAlpha = 1;
}
