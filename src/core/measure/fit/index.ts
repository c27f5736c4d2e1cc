/** The face of this folder: what others may use of it. */
export { fitHalo, type FrameLight, type HaloFit } from './haloFit';
export { rimsOf } from './haloModel';
export { halfLightInterval } from './interval';
export { openInterval, tellsFalloff } from './openInterval';
export { fitTogether } from './together';
