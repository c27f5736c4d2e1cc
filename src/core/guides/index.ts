/** The face of this folder: what others may use of it. */
export { type Guide, type GuideBox, guideOf, MOST_PROTECTION, reachIn } from './guide';
export { guideSvg, PARTS_SMALL, ZONE_OPACITY } from './guideSvg';
