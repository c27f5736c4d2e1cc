/** The face of this folder: what others may use of it. */
export { SIMULATED_MAKER, SIMULATED_MODEL } from './cameraMark';
export { type Container, containerOf, pictureSize, pngChunks } from './container';
export {
  type DecodedFrame,
  decodeFrame,
  type CameraTold,
  type FrameSettings,
  type PictureDecoder,
  tooLarge,
} from './decode';
export { type PixelImage, sensorAsShot } from './pixels';
export { MOST_PIXELS } from './refused';
