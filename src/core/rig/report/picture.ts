/** What kind of picture a rig makes: depth of field, background blur, which zones of the halo it uses. */
import { areaShare } from '../../frame/geometry';
import type { Halo } from '../../halo/rims';
import { distancesOf, workingMagnification, type Setting } from '../../halo/focus';
import { blurDiscMm } from '../../optics/blur';
import {
  circleOfConfusionMm,
  depthAbout,
  depthOnThreeBases,
  hyperfocalM,
  type DepthBasis,
  type DepthOfField,
  type Subject,
} from '../../optics/depth';
import type { FrameSize } from '../../optics/formats';
import type { Lens } from '../../kit/records/lens';
import type { Rig } from '../rig';
import { lightOf, setUp } from './setUp';
import { frontFactor, lensFNumberOf, type TrainLight } from '../train';

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
  /** From the sensor to what is in focus, m, tubes and front converters counted; null at infinity. */
  subjectM: number | null;
  /** Blur discs of points of light behind the subject; empty at infinity, where all far points are points. */
  blur: BlurBehind[];
  /** Zones of the halo in the frame as it is, and in the lens's design format. */
  zones: ZoneShares;
  zonesOfDesign: ZoneShares;
}

export interface BlurBehind {
  /** How far behind the subject the light stands, m; null infinitely far. */
  behindM: number | null;
  /** Diameter of its disc as a share of the frame's height. */
  share: number;
}

/** Distances behind the subject at which people ask how large lights blur, m. */
const BEHIND_M = [1, 3, 10, null] as const;

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

/**
 * What the rig is focused on. A front converter of factor A brings the subject A² nearer and makes it A times
 * smaller for the lens behind it.
 */
function subjectOf(
  { lens, parts }: Rig,
  { focalMm, fNumber, factor }: TrainLight,
  setting: Setting,
): Subject {
  const front = frontFactor(parts);
  const { subjectMm } = distancesOf(lens, setting);
  return {
    distanceMm: subjectMm === null ? null : subjectMm * front ** 2,
    magnification: (workingMagnification(lens, setting) * factor) / front,
    entrancePupilMm: focalMm / fNumber,
    focalMm,
  };
}

/** From the sensor to what is in focus, m; null at infinity. `distanceMm` counts from the entrance pupil. */
const fromSensorM = (lens: Lens, setting: Setting, distanceMm: number | null): number | null =>
  distanceMm === null ? null : (distanceMm + distancesOf(lens, setting).imageMm) / 1000;

/** What a rig is focused on as it is set, and how far that is from the sensor, m; null at infinity. */
export function inFocus(rig: Rig): { subject: Subject; subjectM: number | null } {
  const { setting } = setUp(rig);
  const subject = subjectOf(rig, lightOf(rig), setting);
  return { subject, subjectM: fromSensorM(rig.lens, setting, subject.distanceMm) };
}

export function pictureReport(
  rig: Rig,
  light: TrainLight,
  setting: Setting,
  delivered: FrameSize,
  halo: Halo,
  halfLightMm: number,
): PictureReport {
  const { judgement, lens } = rig;
  const circleMm = circleOfConfusionMm(delivered, judgement.circle);
  const subject = subjectOf(rig, light, setting);
  const { distanceMm } = subject;
  const bases =
    light.factor === 1 || distanceMm === null
      ? []
      : depthOnThreeBases(
          light.focalMm / light.factor,
          lensFNumberOf(light),
          light.factor,
          circleMm,
          distanceMm / 1000,
        );
  const blurBehind = (behindM: number | null): BlurBehind => ({
    behindM,
    share: blurDiscMm(subject, behindM === null ? null : behindM * 1000) / delivered.heightMm,
  });
  return {
    circleMm,
    hyperfocalM: hyperfocalM(light.focalMm, light.fNumber, circleMm),
    depth: depthAbout(subject, circleMm),
    depthBases: bases,
    subjectM: fromSensorM(lens, setting, distanceMm),
    blur: distanceMm === null ? [] : BEHIND_M.map(blurBehind),
    zones: zoneShares(delivered, halo.centre, halfLightMm),
    zonesOfDesign: zoneShares(lens.designFormat, CENTRED, halfLightMm / light.factor),
  };
}
