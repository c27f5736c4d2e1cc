import type { Marking } from '../kit/records';

/** Made-up examples of what stands on the barrels of the borrowed lenses. */
export const markings: Marking[] = [
  {
    id: 'compact',
    name: 'compact',
    designFormat: { widthMm: 23.5, heightMm: 15.6 },
    note: 'Brisk & Marrow put it on their small-format zooms.',
  },
  {
    id: 'sixteen',
    name: 'sixteen',
    designFormat: { widthMm: 12.52, heightMm: 7.42 },
    note: 'On lenses for 16 mm cine cameras.',
  },
];
