/** One rig in, one report out: screen, command line and API all call this. */
import { limitStops, type School } from '../kit/judgement';
import {
  circleCoverage,
  coverage,
  judge,
  type CircleCoverage,
  type Coverage,
  type Verdict,
} from '../frame/coverage';
import { NO_TRAVEL, type Travel } from '../frame/geometry';
import { deliveredFrame, type DeliveredFrame } from '../frame/pipeline';
import { evidenceFor, lensMagnification, predictHalo, type HaloEvidence } from '../halo/predict';
import type { Halo } from '../halo/rims';
import { printsAs } from '../optics/apertures';
import { CROP_BASES, equivalents, type Equivalents } from '../optics/crop';
import type { FrameSize } from '../optics/formats';
import { customDisagrees, isoFactor } from '../optics/stops';
import { anglesOfView, type Angles } from '../optics/view';
import { jointProblems, type JointProblem } from './joints';
import type { Rig } from './rig';
import { verdictSentence } from './sentence';
import { haloBehind, trainLight, type TrainLight } from './train';

export interface OpticsReport {
  /** What the train does to focal length, f-number and light. */
  train: TrainLight;
  /** Working f-number at the focus distance: N'(1 + m/P). */
  effectiveFNumber: number;
  /** How cameras print the f-number. */
  printsAs: string[];
  /** True where the customary light figure is more than a quarter stop off. */
  customDisagrees: boolean;
  /** Factor on ISO for the same exposure as the bare lens. */
  isoFactor: number;
  /** Factor on exposure time for the same exposure as the bare lens. */
  shutterFactor: number;
  /** Magnification on the sensor at the focus distance. */
  magnification: number;
  /** On the user's basis. */
  equivalents: Equivalents;
  /** On all three bases. */
  equivalentsByBasis: Equivalents[];
  view: Angles;
}

export interface HaloReport {
  /** As it falls on the sensor. */
  model: Halo;
  /** Radius of good definition on the sensor, mm; null where the owner has not judged it. */
  definitionRadiusMm: number | null;
  evidence: HaloEvidence;
}

/** Corner readings and margins, and what the half-light circle does for the delivered frame. */
export type CoverageReport = Coverage & CircleCoverage;

export interface Report {
  name: string;
  verdict: Verdict & { school: School; limitStops: number; sentence: string };
  coverage: CoverageReport;
  halo: HaloReport;
  frame: { readOut: FrameSize; delivered: DeliveredFrame; travel: Travel };
  optics: OpticsReport;
  /** Where the train does not join; the figures then hold only if it were made to. */
  joints: JointProblem[];
}

/** How far the sensor may move as the rig is set. */
export const travelOf = (rig: Rig): Travel =>
  rig.settings.stabiliser && rig.body.sensorTravel ? rig.body.sensorTravel : NO_TRAVEL;

const frameOf = (rig: Rig): DeliveredFrame =>
  deliveredFrame(rig.mode, {
    aspect: rig.settings.aspect,
    digitalZoom: rig.settings.digitalZoom,
    cropId: rig.settings.cropId,
    squeeze: rig.lens.squeeze,
  });

interface Setup {
  light: TrainLight;
  halo: Halo;
  delivered: DeliveredFrame;
  travel: Travel;
}

/** What verdict and report both need: the halo on the sensor and the frame it must cover. */
function setUp(rig: Rig): Setup {
  const { lens, parts, settings } = rig;
  const light = trainLight(parts, lens, settings.focalMm, settings.fNumber);
  const lensFNumber = light.fNumber / light.factor;
  const { focalMm, focusM } = settings;
  const bare = predictHalo(lens, { focalMm, fNumber: lensFNumber, focusM });
  return {
    light,
    halo: haloBehind(parts, bare, lensFNumber, rig.mounts),
    delivered: frameOf(rig),
    travel: travelOf(rig),
  };
}

/** The verdict alone, for ribbons, sweeps and choosing. At least 150,000 a second. */
export function verdictOf(rig: Rig): Verdict {
  const { halo, delivered, travel } = setUp(rig);
  return judge(halo, delivered, travel, limitStops(rig.judgement));
}

function opticsReport(rig: Rig, light: TrainLight, delivered: FrameSize): OpticsReport {
  const { lens, settings, judgement } = rig;
  const m = lensMagnification(lens, settings.focalMm, settings.focusM);
  const iso = isoFactor(light.lightStops);
  return {
    train: light,
    effectiveFNumber: light.fNumber * (1 + m / (lens.pupilMagnification ?? 1)),
    printsAs: printsAs(light.fNumber),
    customDisagrees: customDisagrees(
      light.lightStops - (light.glassLossStops ?? 0),
      light.customaryStops,
    ),
    isoFactor: iso,
    shutterFactor: iso,
    magnification: m * light.factor,
    equivalents: equivalents(light.focalMm, light.fNumber, delivered, judgement.basis),
    equivalentsByBasis: CROP_BASES.map((basis) =>
      equivalents(light.focalMm, light.fNumber, delivered, basis),
    ),
    view: anglesOfView(delivered, light.focalMm, m, lens.squeeze),
  };
}

/** The evidence for the bare lens, its uncertainty scaled to the sensor behind the train. */
function evidenceBehind(rig: Rig, light: TrainLight): HaloEvidence {
  const { focalMm, focusM } = rig.settings;
  const fNumber = light.fNumber / light.factor;
  return evidenceFor(rig.lens, { focalMm, fNumber, focusM }, light.factor);
}

/**
 * Everything the program says of a rig. Lengths mm, angles degrees, light in stops; no figure is NaN or
 * infinite for any rig the schemas admit: what does not exist is null.
 */
export function evaluate(rig: Rig): Report {
  const { light, halo, delivered, travel } = setUp(rig);
  const limit = limitStops(rig.judgement);
  const verdict = judge(halo, delivered, travel, limit);
  const covered = coverage(halo, delivered, travel);
  const circle = circleCoverage(delivered, halo.centre, covered.radiiMm.half, travel);
  const frame = {
    readOut: { widthMm: rig.mode.widthMm, heightMm: rig.mode.heightMm },
    delivered,
    travel,
  };
  return {
    name: rig.name,
    verdict: {
      kind: verdict.kind,
      worstCornerStops: verdict.worstCornerStops,
      worstCornerTransmission: verdict.worstCornerTransmission,
      school: rig.judgement.school,
      limitStops: limit,
      sentence: verdictSentence(verdict, covered, frame, limit),
    },
    coverage: {
      cornerStops: covered.cornerStops,
      radiiMm: covered.radiiMm,
      marginMm: covered.marginMm,
      worstCornerRadiusMm: covered.worstCornerRadiusMm,
      areaShare: circle.areaShare,
      cleanFrame: circle.cleanFrame,
      scaleUp: circle.scaleUp,
    },
    halo: {
      model: halo,
      definitionRadiusMm:
        rig.lens.definitionRadiusMm === null ? null : rig.lens.definitionRadiusMm * light.factor,
      evidence: evidenceBehind(rig, light),
    },
    frame,
    optics: opticsReport(rig, light, delivered),
    joints: jointProblems(rig),
  };
}
