/** The face of this folder: what others may use of it. */
export { jpegFile, pngFile } from './encode';
export { pngChunk, type ShotSettings } from './exif';
export { expose, type Exposure, srgbEncoded } from './expose';
export { hiddenLens } from './hiddenLens';
export { practiceLens, practiceRig, type PracticeShot } from './practice';
export {
  type Converter,
  type Group,
  lightMap,
  type LightMap,
  type Opening,
  type RayLens,
  trueRadii,
  type TrueRadii,
} from './rays';
