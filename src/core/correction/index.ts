/** The face of this folder: what others may use of it. */
export { type FrameOnSensor, MOST_GAIN } from './gain';
export { GAIN_FORMATS, type GainFile, type GainFormat, gainMapFile, gainWords } from './gainMap';
export { liftCost, type LiftCost, liftPicture } from './liftPicture';
export {
  framedBy,
  type JpegEncoder,
  type OpenedFile,
  type PictureView,
  screenValues,
  thinned,
  writtenLike,
  type WrittenPicture,
} from './ownPicture';
