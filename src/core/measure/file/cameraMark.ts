/** What frames of the simulated camera call their camera (EXIF make and model). */
export const SIMULATED_MAKER = 'Wandering Halo';
export const SIMULATED_MODEL = 'simulated camera';
