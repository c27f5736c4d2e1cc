/** How dark a corner is, in words: one home for when it is called black, and for its sign. */
import { fixed, stopsWords } from './figures';

/** The corners' names in the order every list of corners has. */
export const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

/** A corner this dark, stops, is called black: less than a thirty-second of the light. */
const BLACK_STOPS = 5;

/** Darkness of a corner that is not black; null where it is. */
const notBlack = (darkness: number | null): number | null =>
  darkness === null || darkness >= BLACK_STOPS ? null : darkness;

/** Whether a corner goes black; null is no light at all. */
export const isBlack = (darkness: number | null): boolean => notBlack(darkness) === null;

/** Darkness as it is written at a corner: "−1.3", or "black". */
export function cornerWords(darkness: number | null): string {
  const lit = notBlack(darkness);
  if (lit === null) return 'black';
  const figure = fixed(lit, 1);
  return figure === '0.0' ? figure : `−${figure}`;
}

/** The same as a figure with its unit: "−1.3 stops", or "black". */
export function darknessWords(darkness: number | null, digits = 1): string {
  const lit = notBlack(darkness);
  if (lit === null) return 'black';
  const words = stopsWords(lit, digits);
  return Number(fixed(lit, digits)) === 0 ? words : `−${words}`;
}

/** How much a corner's light changes over a movement; null where it goes black and back. */
export const flickerFigure = (flickerStops: number | null): string =>
  flickerStops === null ? 'light to black' : stopsWords(flickerStops, 2);

export const flickerWords = (flickerStops: number | null): string =>
  flickerStops === null
    ? 'a corner goes black and back'
    : `corners flicker by ${flickerFigure(flickerStops)}`;
