/** What kind of picture a rig makes: depth of field, background blur, which zones of the halo it uses. */
import { areaShare } from '../../frame';
import { type Halo, distancesOf } from '../../halo';
import {
  blurDiscMm,
  circleOfConfusionMm,
  depthFromSensor,
  depthOnThreeBases,
  subjectFromSensorM,
  type Placed,
  hyperfocalM,
  type DepthBasis,
  type InFocus,
  type Subject,
  type FrameSize,
} from '../../optics';
import type { Situation } from '../../rig';
import { wayFromSensorMm } from '../train';

interface ZoneShares {
  /** Share of the frame's area within 0.6 of the half-light radius, 0..1. */
  middle: number;
  /** From 0.6 to 0.85. */
  outer: number;
  /** From 0.85 to the edge: where character lives. */
  edge: number;
}

export interface PictureReport {
  circleMm: number;
  /** From the sensor, m. */
  hyperfocalM: number;
  /** From the sensor, m. */
  depth: InFocus;
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

interface BlurBehind {
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

/** Magnification on the sensor: a front converter of factor A makes the subject A times smaller for the lens. */
export const magnificationOf = ({ at, train, carried }: Situation): number =>
  (at.magnification * carried.factor) / train.frontFactor;

/** What the rig is focused on. A front converter of factor A brings the subject A² nearer. */
function subjectOf(situation: Situation): Subject {
  const { focalMm, fNumber } = situation.light;
  const { subjectMm } = distancesOf(situation.at);
  return {
    distanceMm: subjectMm === null ? null : subjectMm * situation.train.frontFactor ** 2,
    magnification: magnificationOf(situation),
    entrancePupilMm: focalMm / fNumber,
    focalMm,
  };
}

/** From the sensor to the lens, mm, where its own picture is magnified so much. */
const wayMm = ({ at, train, carried }: Situation, magnification: number): number =>
  wayFromSensorMm(train, carried, at.focusedFocalMm, magnification);

const placedOf = (situation: Situation): Placed => ({
  subject: subjectOf(situation),
  wayMm: wayMm(situation, situation.at.magnification),
});

/** What a rig is focused on as it is set, and how far that is from the sensor, m; null at infinity. */
export function inFocus(situation: Situation): Placed & { subjectM: number | null } {
  const placed = placedOf(situation);
  return { ...placed, subjectM: subjectFromSensorM(placed) };
}

/** The same lens at the same setting without the converters behind it, and with them moved to frame as it does. */
function besideIt(situation: Situation, withPart: Placed): { bare: Placed; moved: Placed } {
  const { at, train, carried } = situation;
  const { factor, frontFactor } = train;
  const { subject } = withPart;
  const bareMagnification = subject.magnification / carried.factor;
  // As large on the sensor as through the bare lens: the lens itself then magnifies so many times less.
  const atLens = at.magnification / carried.factor;
  return {
    bare: {
      subject: {
        ...subject,
        magnification: bareMagnification,
        focalMm: subject.focalMm / factor,
      },
      wayMm: distancesOf(at).imageMm,
    },
    moved: {
      subject: {
        ...subject,
        magnification: bareMagnification,
        distanceMm: atLens > 0 ? at.focusedFocalMm * (1 + 1 / atLens) * frontFactor ** 2 : null,
      },
      wayMm: wayMm(situation, atLens),
    },
  };
}

export function pictureReport(situation: Situation, halfLightMm: number): PictureReport {
  const { rig, light, delivered, halo, carried } = situation;
  const circleMm = circleOfConfusionMm(delivered, rig.judgement.circle);
  const placed = placedOf(situation);
  const { subject } = placed;
  const { distanceMm } = subject;
  const bases =
    light.factor === 1 || distanceMm === null
      ? []
      : depthOnThreeBases(
          { withPart: placed, ...besideIt(situation, placed) },
          carried.factor,
          circleMm,
        );
  const blurBehind = (behindM: number | null): BlurBehind => ({
    behindM,
    share: blurDiscMm(subject, behindM === null ? null : behindM * 1000) / delivered.heightMm,
  });
  return {
    circleMm,
    hyperfocalM: hyperfocalM(light.focalMm, light.fNumber, circleMm) + wayMm(situation, 0) / 1000,
    depth: depthFromSensor(placed, circleMm),
    depthBases: bases,
    subjectM: subjectFromSensorM(placed),
    blur: distanceMm === null ? [] : BEHIND_M.map(blurBehind),
    zones: zoneShares(delivered, halo.centre, halfLightMm),
    zonesOfDesign: zoneShares(rig.lens.designFormat, CENTRED, halfLightMm / light.factor),
  };
}
