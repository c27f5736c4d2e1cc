/** One rig in, one report out: screen, command line and API all call this. */
import { type School, readOutMiddle, openFNumberAt } from '../../kit/records';
import {
  type Travel,
  type DeliveredFrame,
  flickerStops,
  type ShiftBudget,
  isSurelyClear,
} from '../../frame';
import {
  acceptedOutline,
  type HaloEvidence,
  nativeStanding,
  type NativeStanding,
  type Halo,
  type Outline,
} from '../../halo';
import { cropFactor, type FrameSize, type Offset, desqueezed } from '../../optics';
import { cautionsFor, type Caution } from './cautions';
import { evidenceIn, type Judged, riskIn, scaleUpIn, surerOf, verdictIn } from '../judged';
import {
  situationOf,
  fitIn,
  fitProblem,
  type FitProblem,
  type FitReport,
  type Rig,
} from '../../rig';
import { autofocusReport, steadyReport, type AutofocusReport, type SteadyReport } from './handling';
import { pictureReport, type PictureReport } from './picture';
import { sharpnessReport, type SharpnessReport } from './sharpness';
import { sentenceOf } from './sentence';
import { coverageReport, type CoverageReport } from './coverageReport';
import { opticsReport, type OpticsReport } from './opticsReport';
import { lensFNumberOf } from '../train';

interface HaloReport {
  /** As it falls on the sensor. */
  model: Halo;
  /** Radius of good definition on the sensor, mm; null where the owner has not judged it. */
  definitionRadiusMm: number | null;
  evidence: HaloEvidence;
  /** Whether a corner lies, over the travel, farther out than what a lens nobody measured is estimated from. */
  isBeyondOwnCorner: boolean;
}

export interface Report {
  name: string;
  verdict: Judged & {
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
  /** Where the darkest corner at rest stands among native lenses, whose figures are those at rest. */
  native: NativeStanding;
  /** The one thing that would make the verdict surer; null where its halo is well measured. */
  surer: string | null;
  cautions: Caution[];
}

/**
 * Everything the program says of a rig. Lengths mm, angles degrees, light in stops; no figure is NaN or
 * infinite for any rig the schemas admit: what does not exist is null.
 */
export function evaluate(rig: Rig): Report {
  const situation = situationOf(rig);
  const { halo, delivered, travel, light, limitStops } = situation;
  const { lens, mode, settings } = rig;
  const own = lens.definitionRadiusMm;
  const definition = own === null ? null : own * light.factor;
  const evidence = evidenceIn(situation);
  const risk = riskIn(situation, evidence);
  const verdict = verdictIn(situation, evidence, risk);
  const scaleUp = isSurelyClear(verdict) ? 1 : scaleUpIn(situation, evidence);
  const { coverage: covered, shiftBudget } = coverageReport(situation, definition, scaleUp);
  const isBeyondOwnCorner =
    evidence.beyond !== null && covered.worstCornerRadiusMm > evidence.beyond.fromMm;
  const fit = fitIn(situation);
  const problem = fitProblem(fit);
  const seen = desqueezed(delivered, lens.squeeze);
  const optics = opticsReport(situation, seen);
  return {
    name: rig.name,
    verdict: {
      kind: verdict.kind,
      or: verdict.or,
      worstCornerStops: verdict.worstCornerStops,
      worstCornerTransmission: verdict.worstCornerTransmission,
      school: rig.judgement.school,
      limitStops,
      sentence: sentenceOf(situation, verdict, covered, problem),
      risk,
    },
    coverage: covered,
    halo: { model: halo, definitionRadiusMm: definition, evidence, isBeyondOwnCorner },
    frame: {
      readOut: { widthMm: mode.widthMm, heightMm: mode.heightMm },
      middle: readOutMiddle(mode),
      delivered,
      travel,
    },
    optics,
    fit,
    fitProblem: problem,
    wander: {
      flickerStops: flickerStops(halo, delivered, travel),
      shiftBudget,
    },
    steady: steadyReport(situation, cropFactor(seen), fit.carried),
    autofocus: autofocusReport(situation),
    picture: pictureReport(situation, covered.radiiMm.half),
    sharpness: sharpnessReport(situation, optics.effectiveFNumber),
    native: nativeStanding(
      lens,
      settings.focalMm,
      openFNumberAt(lens, settings.focalMm),
      lensFNumberOf(light),
      covered.atRestStops,
    ),
    surer: surerOf(rig, isBeyondOwnCorner),
    cautions: cautionsFor(rig, fit),
  };
}

/** Where corners are accepted as a rig stands, along all ways out of its halo's middle. */
export const acceptedIn = ({ halo, verdict, coverage }: Report): Outline =>
  acceptedOutline(halo.model, verdict.limitStops, coverage.acceptedRadiusMm);
