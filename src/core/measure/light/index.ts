/** The face of this folder: what others may use of it. */
export { contourCircle, edgeContour, middleLight } from './contour';
export { grainOf } from './grain';
export { type LightGrid, MOST_CLIPPED, reduceFrame } from './lightGrid';
export { lowerBoundMm, type ProfilePoint, profileRadius, radialProfile } from './radialProfile';
export { rectangularEdge, type RectangularEdge } from './straightEdge';
export { readCurve, srgbValue, type Tone, toneTable } from './tone';
export { toneFromFrames } from './tonePair';
