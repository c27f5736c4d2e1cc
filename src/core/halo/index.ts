/** The face of this folder: what others may use of it. */
export { evidenceFor, type HaloEvidence, SOFTNESS_SIGMA } from './evidence';
export { distancesOf, lensAt, type LensAt, PUPIL_SHARE_OF_FALLOFF } from './focus';
export { nativeStanding, type NativeStanding } from './native';
export { haloFartherBack, predictHalo } from './predict';
export { amongWays, circleRadius, type Outline, outlinePoints, outlineToward } from './outline';
export { PRIOR_CONSTANTS } from './priorConstants';
export {
  falloffScatter,
  haloOfShares,
  type LensKind,
  priorFeatures,
  priorFor,
  usualReach,
  usualExitPupilMm,
} from './priors';
export {
  acceptedRadius,
  BLACK_TRANSMISSION,
  CLEAR_TRANSMISSION,
  HALF_TRANSMISSION,
  haloProfile,
  type HaloProfile,
  haloRadii,
  type HaloRadii,
  HARD_TRANSMISSION,
  radiusAtLight,
  radiusAtTransmission,
} from './radii';
export { blackoutRadiusMm, openRadiusMm, rectangularRim, type Rim, widestEdgeMm } from './rim';
export { darknessStops, type Halo, lightAt, naturalFalloff, transmissionAt } from './rims';
export { shownOf, towardEdge } from './shown';
export {
  acceptedOutline,
  anglesOf,
  blackOutline,
  edgeOutline,
  haloOnSide,
  haloToward,
  isRound,
  lightAtPlace,
  lightRings,
  type LightRing,
  outlineOf,
  waysOf,
} from './ways';
export { edgeSpread, type HaloUnsure, swayed, swayedRadiusMm } from './unsure';
