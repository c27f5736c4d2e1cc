/** The face of this folder: what others may use of it. */
export { type Gear, gearOf, grams, massG, orUnknown, price, sumOf } from './carried';
export {
  type Beside,
  COMPARED_QUESTIONS,
  type ComparedQuestion,
  comparedRows,
  differenceWords,
} from './compared';
export { edgeKnownWords } from './edgeWords';
export { knownAt, knownWords, whyKnown } from './known';
export { layTrain, type Piece, type RearGlass, type TrainLayout } from './trainLayout';
export { layoutWords, troubleWords } from './layoutWords';
export { sampledWords } from './sampled';
export { evidenceSentence, explain, type Reading, READINGS } from './why';
export { KEEPERS_ASSUMED, resolutionEvidence } from './whyPractice';
export type { Why } from './whyTypes';
