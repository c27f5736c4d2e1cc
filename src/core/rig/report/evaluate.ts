/** One rig in, one report out: screen, command line and API all call this. */
import { limitStops, type School } from '../../kit/records/judgement';
import {
  circleCoverage,
  coverage,
  judge,
  type CircleCoverage,
  type Coverage,
  type Verdict,
} from '../../frame/coverage';
import type { Travel } from '../../frame/geometry';
import type { DeliveredFrame } from '../../frame/pipeline';
import type { HaloEvidence } from '../../halo/evidence';
import { workingMagnification } from '../../halo/focus';
import { pupilMagnification } from '../../halo/pupil';
import { acceptedRadius, haloProfile } from '../../halo/radii';
import { nativeStanding, type NativeStanding } from '../../halo/native';
import type { Halo } from '../../halo/rims';
import { openFNumberAt } from '../../kit/records/lens';
import { flickerStops, shiftBudget, type ShiftBudget } from '../../frame/wander';
import { printsAs } from '../../optics/apertures';
import { CROP_BASES, cropFactor, equivalents, type Equivalents } from '../../optics/crop';
import type { FrameSize } from '../../optics/formats';
import { workingFNumber } from '../../optics/closeUp';
import { customDisagrees, isoFactor } from '../../optics/stops';
import { anglesOfView, desqueezed, type Angles } from '../../optics/view';
import { cautionsFor, type Caution } from './cautions';
import { lightOf, setUp, type Setup } from './setUp';
import { fitOf, fitProblem, type FitProblem, type FitReport } from '../mechanicalFit';
import { autofocusReport, steadyReport, type AutofocusReport, type SteadyReport } from './handling';
import { pictureReport, type PictureReport } from './picture';
import { evidenceBehind } from './evidenceBehind';
import { riskOf } from './risk';
import { surerBy, untoldOf, withUntold } from './untold';
import { sharpnessReport, type SharpnessReport } from './sharpness';
import type { Rig } from '../rig';
import { ifJoined, verdictSentence } from './sentence';
import { frontFactor, lensFNumberOf, type TrainLight } from '../train';

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

/** Corner readings and margins, and what the circle of accepted corners does for the delivered frame. */
export type CoverageReport = Coverage &
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
  frame: { readOut: FrameSize; delivered: DeliveredFrame; travel: Travel };
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

function opticsReport(rig: Rig, { setting, delivered }: Setup, light: TrainLight): OpticsReport {
  const { lens, judgement } = rig;
  const m = workingMagnification(lens, setting);
  const seen = desqueezed(delivered, lens.squeeze);
  const iso = isoFactor(light.lightStops);
  return {
    train: light,
    effectiveFNumber: workingFNumber(
      light.fNumber,
      m,
      pupilMagnification(lens, rig.settings.focalMm),
    ),
    printsAs: printsAs(light.fNumber),
    customDisagrees: customDisagrees(
      light.lightStops - (light.glassLossStops ?? 0),
      light.customaryStops,
    ),
    isoFactor: iso,
    shutterFactor: iso,
    magnification: (m * light.factor) / frontFactor(rig.parts),
    equivalents: equivalents(light.focalMm, light.fNumber, seen, judgement.basis),
    equivalentsByBasis: CROP_BASES.map((basis) =>
      equivalents(light.focalMm, light.fNumber, seen, basis),
    ),
    view: anglesOfView(delivered, light.focalMm, m, lens.squeeze),
  };
}

/**
 * Everything the program says of a rig. Lengths mm, angles degrees, light in stops; no figure is NaN or
 * infinite for any rig the schemas admit: what does not exist is null.
 */
export function evaluate(rig: Rig): Report {
  const setup = setUp(rig);
  const { halo, delivered, travel } = setup;
  const light = lightOf(rig);
  const limit = limitStops(rig.judgement);
  const verdict = judge(halo, delivered, travel, limit);
  const profile = haloProfile(halo);
  const covered = coverage(halo, delivered, travel, profile);
  const accepted = acceptedRadius(halo, limit, profile);
  const circle = circleCoverage(delivered, halo.centre, accepted, travel);
  const definition =
    rig.lens.definitionRadiusMm === null ? null : rig.lens.definitionRadiusMm * light.factor;
  const fit = fitOf(rig, light.fNumber);
  const untold = untoldOf(rig);
  const evidence = withUntold(untold, evidenceBehind(rig, setup.setting, halo, light.factor));
  const optics = opticsReport(rig, setup, light);
  const frame = {
    readOut: { widthMm: rig.mode.widthMm, heightMm: rig.mode.heightMm },
    delivered,
    travel,
  };
  const problem = fitProblem(fit);
  const covers = verdictSentence(verdict, covered, { delivered, travel, definition, halo }, limit);
  return {
    name: rig.name,
    verdict: {
      kind: verdict.kind,
      worstCornerStops: verdict.worstCornerStops,
      worstCornerTransmission: verdict.worstCornerTransmission,
      school: rig.judgement.school,
      limitStops: limit,
      sentence: problem ? ifJoined(problem, covers) : covers,
      risk: riskOf(halo, delivered, travel, limit, evidence),
    },
    coverage: {
      cornerStops: covered.cornerStops,
      radiiMm: covered.radiiMm,
      marginMm: covered.marginMm,
      worstCornerRadiusMm: covered.worstCornerRadiusMm,
      areaShare: circle.areaShare,
      cleanFrame: circle.cleanFrame,
      scaleUp: circle.scaleUp,
      acceptedRadiusMm: accepted,
      acceptedMarginMm: accepted - covered.worstCornerRadiusMm,
      definitionMarginMm: definition === null ? null : definition - covered.worstCornerRadiusMm,
    },
    halo: {
      model: halo,
      definitionRadiusMm: definition,
      evidence,
    },
    frame,
    optics,
    fit,
    fitProblem: problem,
    wander: {
      flickerStops: flickerStops(halo, delivered, travel),
      shiftBudget: shiftBudget(delivered, halo.centre, accepted, travel),
    },
    steady: steadyReport(
      rig,
      light,
      cropFactor(desqueezed(delivered, rig.lens.squeeze)),
      fit.carried,
    ),
    autofocus: autofocusReport(rig, fit.carried),
    picture: pictureReport(rig, light, setup.setting, delivered, halo, covered.radiiMm.half),
    sharpness: sharpnessReport(rig, light, optics.effectiveFNumber),
    native: nativeStanding(
      rig.lens,
      rig.settings.focalMm,
      openFNumberAt(rig.lens, rig.settings.focalMm),
      lensFNumberOf(light),
      verdict.worstCornerStops,
    ),
    surer: surerBy(rig, untold),
    cautions: cautionsFor(rig, fit),
  };
}
