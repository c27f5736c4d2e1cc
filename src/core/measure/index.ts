/** The face of this folder: what others may use of it. */
export { cameraDoubts } from './cameraDoubt';
export { type FrameView, frameView } from './frameView';
export { WARNING_WORDS } from './judge';
export { type FileMeasure, type FileOptions, measureFile } from './measureFile';
export { measureFrame } from './measureFrame';
export { type Figure, type FrameMeasure, measureGrid, refusedWith } from './measureGrid';
export { METHOD_VERSION } from './method';
export { type Shot, shotFor, shotList } from './shotList';
export { entryFigures } from './toEntry';
export { isToneAssumed, withToneDoubt } from './toneDoubt';
export { type SampleFacts, type SampleFrame, samplesOf } from './toSample';
