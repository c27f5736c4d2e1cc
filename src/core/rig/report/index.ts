/** The face of this folder: what others may use of it. */
export { type Caution, type CautionPlace, HEAVY_LENS_G } from './cautions';
export { acceptedIn, evaluate, type Report } from './evaluate';
export { AUTOFOCUS_WORDS } from './handling';
export { inFocus } from './picture';
export { ifJoined } from './sentence';
export { converterOrCrop } from './converterOrCrop';
export { wanderAt, wandered, worstStand } from './wandered';
