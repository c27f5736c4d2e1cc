/** Colours of the scene: quiet things in the room's own tones, bright enough to see the halo fall off on them; light in amber. */
import type { Ink } from '@/core/framing';
import { shownOf, towardEdge } from '@/core/halo';
import type { Theme } from '../theme/themeScript';

type Inks = Readonly<Record<Ink, string>> & { readonly lampRim: string };

export const SCENE_INKS: Readonly<Record<Theme, Inks>> = {
  dark: {
    wall: '#75644d',
    floor: '#5f503c',
    beam: '#4c3e2d',
    coat: '#b3a080',
    'coat beside': '#96846a',
    skin: '#e0cda8',
    hat: '#3d3125',
    lamp: 'rgb(255 184 77 / 0.72)',
    lampRim: 'rgb(255 214 150 / 0.9)',
  },
  daylight: {
    wall: '#f3ecdd',
    floor: '#e6dbc5',
    beam: '#d9cbb2',
    coat: '#8f7d63',
    'coat beside': '#a99879',
    skin: '#d8c29a',
    hat: '#6b5940',
    lamp: 'rgb(196 120 20 / 0.62)',
    lampRim: 'rgb(138 79 0 / 0.9)',
  },
};

/** Samples of the fall-off along the radius. */
const SHADE_STOPS = 40;

/** How much black lies over the picture along the halo's radius. */
export const shadeStops = (
  lightAt: (rMm: number) => number,
  reachMm: number,
): { share: number; alpha: number }[] =>
  towardEdge(SHADE_STOPS).map((share) => ({ share, alpha: 1 - shownOf(lightAt(share * reachMm)) }));

/** A blur disc of a diameter, as the deviation of a bell curve about as wide. */
export const deviationOf = (blur: number): number => blur / 4;
/** A smaller blur is not drawn, px. */
export const LEAST_BLUR_PX = 0.6;
