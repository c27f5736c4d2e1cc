/** The face of this folder: what others may use of it. */
export { FRAMING_ROWS, type FramingRow, isAsLarge, movedWords } from './compare';
export { type Falloff, falloffOf, pictureOf, type Shape } from './picture';
export { type Ink, lampsOf, type Scene, SCENE_RANGE, USUAL_SCENE } from './scene';
export { equalSizeM, FARTHEST_M, type Shot, shotAt } from './shot';
export {
  MOST_TAKES,
  type Preset,
  PRESET_IDS,
  PRESET_NEEDS,
  presetFor,
  PRESETS,
  rigOfTake,
  type Take,
  takeWords,
} from './takes';
