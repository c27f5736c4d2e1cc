/** The face of this folder: what others may use of it. */
export { cardQuery, type CardView, readCardQuery } from './cardLink';
export { readWith, withQuery } from './converterLink';
export {
  FRAMING_VIEWS,
  type FramingLink,
  framingQuery,
  type FramingView,
  readFramingQuery,
} from './framingLink';
export { jobQuery, readJobQuery } from './jobLink';
export { readRigQuery, rigQuery } from './link';
export { holdsRig } from './rigHash';
export { isUncheckedRig, packRig, unpackRig } from './rigLink';
export { readSweepQuery, sweepQuery } from './sweepLink';
