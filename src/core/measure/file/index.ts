/** The face of this folder: what others may use of it. */
export { SIMULATED_MAKER, SIMULATED_MODEL } from './cameraMark';
export {
  type Container,
  containerOf,
  jpegSegments,
  type JpegSegment,
  pictureSize,
  pngChunks,
} from './container';
export {
  type DecodedFrame,
  decodeFrame,
  type CameraTold,
  type FrameSettings,
  type PictureDecoder,
  tooLarge,
} from './decode';
export { exifTags } from './exif';
export { type PixelImage, sensorAsShot } from './pixels';
export { heldBytes, hollowWhy, largeWhy, MOST_PIXELS } from './refused';
export { ORIENTATION_TAG, tiffDirectory, type TiffDirectory, VALUE_BYTES } from './tiffEntries';
