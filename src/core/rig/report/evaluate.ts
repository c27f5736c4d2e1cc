/** One rig in, one report out: screen, command line and API all call this. */
import { type School, readOutMiddle, type Mode, openFNumberAt } from '../../kit/records';
import {
  circleCoverage,
  coverage,
  type CircleCoverage,
  type Coverage,
  type Verdict,
  type Travel,
  type DeliveredFrame,
  flickerStops,
  shiftBudget,
  type ShiftBudget,
} from '../../frame';
import {
  type HaloEvidence,
  acceptedRadius,
  haloProfile,
  type HaloProfile,
  nativeStanding,
  type NativeStanding,
  type Halo,
} from '../../halo';
import {
  printsAs,
  CROP_BASES,
  cropFactor,
  equivalents,
  type Equivalents,
  type FrameSize,
  type Offset,
  workingFNumber,
  customDisagrees,
  isoFactor,
  anglesOfView,
  desqueezed,
  type Angles,
} from '../../optics';
import { cautionsFor, type Caution } from './cautions';
import {
  situationOf,
  type Situation,
  verdictIn,
  fitOf,
  fitProblem,
  type FitProblem,
  type FitReport,
  type Rig,
} from '../../rig';
import { autofocusReport, steadyReport, type AutofocusReport, type SteadyReport } from './handling';
import { magnificationOf, pictureReport, type PictureReport } from './picture';
import { evidenceBehind } from './evidenceBehind';
import { riskOf } from './risk';
import { surerBy, untoldOf, withUntold } from './untold';
import { sharpnessReport, type SharpnessReport } from './sharpness';
import { ifJoined, verdictSentence } from './sentence';
import { lensFNumberOf, type TrainLight } from '../train';

interface OpticsReport {
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

interface HaloReport {
  /** As it falls on the sensor. */
  model: Halo;
  /** Radius of good definition on the sensor, mm; null where the owner has not judged it. */
  definitionRadiusMm: number | null;
  evidence: HaloEvidence;
}

/** Corner readings and margins, and what the circle of accepted corners does for the delivered frame. */
type CoverageReport = Coverage &
  CircleCoverage & {
    /** Within it corners are accepted: light down by no more than the school's limit, nothing hard, mm. */
    acceptedRadiusMm: number;
    /** That radius less the worst corner's over the travel, mm; not negative where the verdict is Clear. */
    acceptedMarginMm: number;
    /** Definition circle less the worst corner radius, mm; null where nobody judged it. */
    definitionMarginMm: number | null;
  };

export interface Report {
  name: string;
  verdict: Verdict & {
    school: School;
    limitStops: number;
    sentence: string;
    /** Probability of a verdict worse than the school accepts, 0..1; its evidence is the halo's. */
    risk: number;
  };
  coverage: CoverageReport;
  halo: HaloReport;
  frame: {
    readOut: FrameSize;
    /** Where the middle of the read-out lies from the middle of the sensor, mm; all else counts from the former. */
    middle: Offset;
    delivered: DeliveredFrame;
    travel: Travel;
  };
  optics: OpticsReport;
  /** Whether it goes together. */
  fit: FitReport;
  /** What stands before all coverage; null where it goes together. The verdict then holds only if it did. */
  fitProblem: FitProblem | null;
  /** Movement of the halo against the frame. */
  wander: {
    /** Null where a corner goes wholly black and back. */
    flickerStops: number | null;
    /** Until a corner is no longer accepted, mm. */
    shiftBudget: ShiftBudget;
  };
  steady: SteadyReport;
  autofocus: AutofocusReport;
  picture: PictureReport;
  sharpness: SharpnessReport;
  /** Where the worst corner stands among native lenses. */
  native: NativeStanding;
  /** The one thing that would make the verdict surer; null where its halo is well measured. */
  surer: string | null;
  cautions: Caution[];
}

function opticsReport(situation: Situation): OpticsReport {
  const { rig, at, light, delivered } = situation;
  const { lens, judgement } = rig;
  const seen = desqueezed(delivered, lens.squeeze);
  const iso = isoFactor(light.lightStops);
  return {
    train: light,
    effectiveFNumber: workingFNumber(light.fNumber, at.magnification, at.pupil),
    printsAs: printsAs(light.fNumber),
    customDisagrees: customDisagrees(
      light.lightStops - (light.glassLossStops ?? 0),
      light.customaryStops,
    ),
    isoFactor: iso,
    shutterFactor: iso,
    magnification: magnificationOf(situation),
    equivalents: equivalents(light.focalMm, light.fNumber, seen, judgement.basis),
    equivalentsByBasis: CROP_BASES.map((basis) =>
      equivalents(light.focalMm, light.fNumber, seen, basis),
    ),
    view: anglesOfView(delivered, light.focalMm, at.magnification, lens.squeeze),
  };
}

/** What a circle of accepted corners, `acceptedMm` wide about the halo's centre, does for the delivered frame. */
function coverageReport(
  { halo, delivered, travel }: Situation,
  profile: HaloProfile,
  acceptedMm: number,
  definitionMm: number | null,
): CoverageReport {
  const { cornerStops, radiiMm, marginMm, worstCornerRadiusMm } = coverage(
    halo,
    delivered,
    travel,
    profile,
  );
  const { areaShare, cleanFrame, scaleUp } = circleCoverage(
    delivered,
    halo.centre,
    acceptedMm,
    travel,
  );
  // Written out: spreading the two is many times slower.
  return {
    cornerStops,
    radiiMm,
    marginMm,
    worstCornerRadiusMm,
    areaShare,
    cleanFrame,
    scaleUp,
    acceptedRadiusMm: acceptedMm,
    acceptedMarginMm: acceptedMm - worstCornerRadiusMm,
    definitionMarginMm: definitionMm === null ? null : definitionMm - worstCornerRadiusMm,
  };
}

/** The verdict in a sentence; what does not go together is said first. */
function sentenceOf(
  { halo, delivered, travel, limitStops }: Situation,
  verdict: Verdict,
  covered: Coverage,
  definition: number | null,
  problem: FitProblem | null,
): string {
  const covers = verdictSentence(
    verdict,
    covered,
    { delivered, travel, definition, halo },
    limitStops,
  );
  return problem ? ifJoined(problem, covers) : covers;
}

/** Where the worst corner stands among native lenses. */
function standingOf(
  { rig, at, light }: Situation,
  worstCornerStops: number | null,
): NativeStanding {
  const { lens } = rig;
  const { focalMm } = at.setting;
  const open = openFNumberAt(lens, focalMm);
  return nativeStanding(lens, focalMm, open, lensFNumberOf(light), worstCornerStops);
}

/**
 * Everything the program says of a rig. Lengths mm, angles degrees, light in stops; no figure is NaN or
 * infinite for any rig the schemas admit: what does not exist is null.
 */
export function evaluate(rig: Rig): Report {
  const situation = situationOf(rig);
  const { halo, delivered, travel, light, limitStops } = situation;
  const verdict = verdictIn(situation);
  const profile = haloProfile(halo);
  const accepted = acceptedRadius(halo, limitStops, profile);
  const own = rig.lens.definitionRadiusMm;
  const definition = own === null ? null : own * light.factor;
  const covered = coverageReport(situation, profile, accepted, definition);
  const fit = fitOf(rig);
  const problem = fitProblem(fit);
  const untold = untoldOf(rig);
  const evidence = withUntold(untold, evidenceBehind(situation));
  const optics = opticsReport(situation);
  const seen = cropFactor(desqueezed(delivered, rig.lens.squeeze));
  return {
    name: rig.name,
    verdict: {
      kind: verdict.kind,
      worstCornerStops: verdict.worstCornerStops,
      worstCornerTransmission: verdict.worstCornerTransmission,
      school: rig.judgement.school,
      limitStops,
      sentence: sentenceOf(situation, verdict, covered, definition, problem),
      risk: riskOf(halo, delivered, travel, limitStops, evidence),
    },
    coverage: covered,
    halo: { model: halo, definitionRadiusMm: definition, evidence },
    frame: { readOut: readOutOf(rig.mode), middle: readOutMiddle(rig.mode), delivered, travel },
    optics,
    fit,
    fitProblem: problem,
    wander: {
      flickerStops: flickerStops(halo, delivered, travel),
      shiftBudget: shiftBudget(delivered, halo.centre, accepted, travel),
    },
    steady: steadyReport(situation, seen, fit.carried),
    autofocus: autofocusReport(situation, fit.carried),
    picture: pictureReport(situation, covered.radiiMm.half),
    sharpness: sharpnessReport(situation, optics.effectiveFNumber),
    native: standingOf(situation, verdict.worstCornerStops),
    surer: surerBy(rig, untold),
    cautions: cautionsFor(rig, fit),
  };
}

const readOutOf = ({ widthMm, heightMm }: Mode): FrameSize => ({ widthMm, heightMm });
