/**
 * Made by `npm run priors` from the vignetting data of the Lensfun database (Debian package
 * liblensfun-data-v1, data under CC BY-SA 3.0); only these fitted constants are kept. Not written by hand.
 */
export const PRIOR_CONSTANTS = {
  prime: {
    softness: [-0.483, 0.054, 0.002, -0.195, -0.325],
    exitPupil: [0.069, 0.285, 0.016, 0.146],
    sigma: { softness: 0.117, falloff: [0.76, 1.434] },
  },
  zoom: {
    softness: [-0.566, 0.001, 0.026, -0.26, -0.145, 0.144],
    exitPupil: [0.138, 0.314, -0.05, 0.205],
    sigma: { softness: 0.148, falloff: [0.333, 0.886] },
  },
} as const;
