/** The face of this folder: what others may use of it. */
export { SIMULATED_MAKER, SIMULATED_MODEL } from './cameraMark';
export { type Container, containerOf, pictureSize } from './container';
export {
  type DecodedFrame,
  decodeFrame,
  type CameraTold,
  type FrameSettings,
  MOST_PIXELS,
  type PictureDecoder,
  tooLarge,
} from './decode';
export { type PixelImage, sensorAsShot } from './pixels';
