/** Colours of the scene: quiet things in the room's own tones, bright enough to see the halo fall off on them; light in amber. */
import type { Ink } from '@/core/framing';
import { lightAt, shownOf, towardEdge, type Halo } from '@/core/halo';
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

/** Steps of the fall-off along the radius, and where ways differ. */
export const SHADE_STEPS = { samples: 40, rings: 64 } as const;

/** How much black lies over the picture where so much light is left. */
export const shadeOf = (light: number): number => 1 - shownOf(light);

/** The same along the halo's radius. */
export const shadeStops = (halo: Halo, reachMm: number): { share: number; alpha: number }[] =>
  towardEdge(SHADE_STEPS.samples).map((share) => ({
    share,
    alpha: shadeOf(lightAt(halo, share * reachMm).light),
  }));

/** A blur disc of a diameter, as the deviation of a bell curve about as wide. */
export const deviationOf = (blur: number): number => blur / 4;
/** A smaller blur is not drawn, px. */
export const LEAST_BLUR_PX = 0.6;
