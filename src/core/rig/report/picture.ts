/** What kind of picture a rig makes: depth of field, background blur, which zones of the halo it uses. */
import { areaShare } from '../../frame/geometry';
import type { Halo } from '../../halo/rims';
import { blurDiscMm } from '../../optics/blur';
import {
  circleOfConfusionMm,
  depthOfField,
  depthOnThreeBases,
  hyperfocalM,
  type DepthBasis,
  type DepthOfField,
} from '../../optics/depth';
import type { FrameSize } from '../../optics/formats';
import type { Rig } from '../rig';
import { lensFNumberOf, type TrainLight } from '../train';

export interface ZoneShares {
  /** Share of the frame's area within 0.6 of the half-light radius, 0..1. */
  middle: number;
  /** From 0.6 to 0.85. */
  outer: number;
  /** From 0.85 to the edge: where character lives. */
  edge: number;
}

export interface PictureReport {
  circleMm: number;
  hyperfocalM: number;
  depth: DepthOfField;
  /** Against the bare lens on three bases; empty without a converter or at infinity. */
  depthBases: DepthBasis[];
  /** Blur disc of a far point of light as a share of the frame's height; null at infinity. */
  farBlurShare: number | null;
  /** Zones of the halo in the frame as it is, and in the lens's design format. */
  zones: ZoneShares;
  zonesOfDesign: ZoneShares;
}

const ZONES = [0.6, 0.85, 1] as const;

/** Shares of a frame that lie in the zones of a halo of `radiusMm`. */
function zoneShares(frame: FrameSize, centre: Halo['centre'], radiusMm: number): ZoneShares {
  const [middle, outer, edge] = ZONES.map((share) => areaShare(frame, centre, radiusMm * share));
  return {
    middle: middle ?? 0,
    outer: (outer ?? 0) - (middle ?? 0),
    edge: (edge ?? 0) - (outer ?? 0),
  };
}

const CENTRED = { xMm: 0, yMm: 0 };

export function pictureReport(
  rig: Rig,
  light: TrainLight,
  delivered: FrameSize,
  halo: Halo,
  halfLightMm: number,
): PictureReport {
  const { settings, judgement, lens } = rig;
  const { focusM } = settings;
  const circleMm = circleOfConfusionMm(delivered, judgement.circle);
  const bareFNumber = lensFNumberOf(light);
  const thinFocusM = focusM === null ? null : Math.max(focusM, (light.focalMm * 1.01) / 1000);
  const bases =
    light.factor === 1 || focusM === null
      ? []
      : depthOnThreeBases(
          light.focalMm / light.factor,
          bareFNumber,
          light.factor,
          circleMm,
          focusM,
        );
  return {
    circleMm,
    hyperfocalM: hyperfocalM(light.focalMm, light.fNumber, circleMm),
    depth: depthOfField(light.focalMm, light.fNumber, circleMm, focusM),
    depthBases: bases,
    farBlurShare:
      thinFocusM === null
        ? null
        : blurDiscMm(light.focalMm, light.fNumber, thinFocusM, null) / delivered.heightMm,
    zones: zoneShares(delivered, halo.centre, halfLightMm),
    zonesOfDesign: zoneShares(lens.designFormat, CENTRED, halfLightMm / light.factor),
  };
}
