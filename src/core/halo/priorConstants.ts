/**
 * Made by `npm run priors` from the vignetting data of the Lensfun database (Debian package
 * liblensfun-data-v1, data under CC BY-SA 3.0); only these fitted constants are kept. Not written by hand.
 */
export const PRIOR_CONSTANTS = {
  prime: {
    softness: [-0.497, 0.023, 0.009, -0.112],
    exitPupil: [0.073, 0.265, 0.019],
    sigma: { softness: 0.09, falloff: [0.783, 0.9] },
  },
  zoom: {
    softness: [-0.689, 0.025, 0.004, -0.188, 0.045],
    exitPupil: [0.215, 0.304, -0.044],
    sigma: { softness: 0.124, falloff: [0.319, 0.531] },
  },
} as const;
