/** How a halo's light is shown, on screens and on paper. */

/** Display gamma: screens show the square root and a bit of what they are told. */
const GAMMA = 2.2;

/** What is shown of a light 0..1, 0..1. */
export const shownOf = (light: number): number => Math.max(0, light) ** (1 / GAMMA);

/** The light of which so much is shown, 0..1. */
export const lightShown = (shown: number): number => shown ** GAMMA;

/** Shares of a halo's radius, so many steps from its middle to its edge, closer together toward the edge. */
export const towardEdge = (samples: number): number[] =>
  Array.from({ length: samples + 1 }, (_, i) => 1 - (1 - i / samples) ** 2);
