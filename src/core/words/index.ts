/** The face of this folder: what others may use of it. */
export { ageWords } from './age';
export { cleanText, harmless, withCleanTexts, withTexts } from './cleanText';
export {
  CORNER_NAMES,
  cornerWords,
  darknessWords,
  flickerFigure,
  flickerWords,
  isBlack,
} from './corners';
export { EXACT } from './evidence';
export {
  bytesWords,
  inFocusWords,
  travelWords,
  counted,
  diameterFigure,
  diameterMm,
  fixed,
  fWords,
  lpMm,
  megapixels,
  metres,
  mm,
  percent,
  placeWords,
  scaleUpWords,
  secondsTaken,
  short,
  shutterLimitWords,
  shutterWords,
  signed,
  signedStops,
  sizeMm,
  stopsWords,
  times,
  tWords,
} from './figures';
export { fileNameOf } from './fileName';
export { escapedMarkup } from './markup';
export { fail, named, ok, type Problem, problemText, type Result } from './problem';
export { riskFigure, riskWords } from './risk';
