/** Converter, crop, or step closer? And for a reducer: what it gives and what it asks for. */
import { isSurelyClear, verdictWords } from '../frame';
import { VISIBLE_DIFFERENCE, customaryStops, distanceInFocals } from '../optics';
import { resolutionOf } from '../kit/records';
import { converterOrCrop } from '../rig/report';
import { trainFactor } from '../rig/train';
import { lightAgainst, fieldOf, secondBesideM } from './rowFigures';
import { fixed, metres, mm, percent, stopsWords, riskWords } from '../words';
import type { ConverterColumn } from './columns';

export interface WeighingVerdict {
  /** In a few words. */
  headline: string;
  /** Why, in the language of the trade. */
  because: string;
  /** How sure it is, and what would settle it. */
  sure: string;
  /** What stepping closer or back would do; null where the distance is not told. */
  steps: string | null;
  /** How wide the picture is at the subject, and whether a second one fits; null where the distance is not told. */
  field: string | null;
}

/**
 * How far a lens may be from the figure of its class, and from its owner's own: share of it either way. Common
 * practice, no source.
 */
const CLASS_SPREAD = 0.3;
const OWN_SPREAD = 0.1;

/** Gain of converter over crop for the lens as it is told, and as much worse and better as it may be. */
export function gainRange(
  base: ConverterColumn,
  factor: number,
): { low: number; mid: number; high: number } {
  const { rig, report } = base;
  const spread = rig.lens.resolutionLpMm === null ? CLASS_SPREAD : OWN_SPREAD;
  const fNumber = report.optics.effectiveFNumber;
  const gain = (scale: number) => {
    const lens = { ...rig.lens, resolutionLpMm: resolutionOf(rig.lens) * scale };
    return converterOrCrop(lens, factor, fNumber, report.sharpness.pitchMm).gain;
  };
  return { low: gain(1 - spread), mid: gain(1), high: gain(1 + spread) };
}

/** Where the bare lens would frame the subject as the converter does from where it stands, m from the lens; null at infinity. */
export function stepDistanceM(base: ConverterColumn, reach: number): number | null {
  const { subjectM } = base.report.picture;
  const { magnification, train } = base.report.optics;
  if (subjectM === null || magnification <= 0) return null;
  // u = f (1 + 1/m), thin lens, for m times the reach, with the sensor where it is.
  const closer = (m: number) => (train.focalMm * distanceInFocals(m)) / 1000;
  return subjectM - closer(magnification) + closer(magnification * reach);
}

/** "At 4.00 m the picture is 1.20 × 0.80 m, 1.69 × 1.13 m without it; a second person fits to 0.34 m beside." */
function fieldWords(base: ConverterColumn, column: ConverterColumn): string | null {
  const { subjectM } = column.report.picture;
  const [field, bare] = [fieldOf(column), fieldOf(base)];
  if (!field || !bare || subjectM === null) return null;
  const size = ({ widthM, heightM }: typeof field) =>
    `${fixed(widthM, 2)} × ${fixed(heightM, 2)} m`;
  const beside = secondBesideM(column);
  const second =
    beside === null
      ? 'a second person does not fit beside the first'
      : `a second person fits to ${fixed(beside, 2)} m beside the first`;
  return `At ${metres(subjectM)} the picture is ${size(field)}, ${size(bare)} without it; ${second}.`;
}

function stepWords(base: ConverterColumn, reach: number): string | null {
  const to = stepDistanceM(base, reach);
  const from = base.report.picture.subjectM;
  if (to === null || from === null) return null;
  if (reach > 1)
    return to < base.rig.lens.closestFocusM
      ? `Stepping closer does not help: ${metres(to)} is nearer than it focuses (${metres(base.rig.lens.closestFocusM)}).`
      : `Stepping closer, from ${metres(from)} to ${metres(to)}, beats both where one may: ${times(reach)} the detail and no light lost. Near things grow more than far ones.`;
  return `The plain lens frames the subject so from ${metres(to)} in place of ${metres(from)}; far things then come larger beside it.`;
}

const times = (value: number): string => `${fixed(value, 2)} times`;

function converterVerdict(base: ConverterColumn, column: ConverterColumn): WeighingVerdict {
  const { reach } = column;
  const { low, mid, high } = gainRange(base, reach);
  const { winner, sentence } = converterOrCrop(
    base.rig.lens,
    reach,
    base.report.optics.effectiveFNumber,
    base.report.sharpness.pitchMm,
  );
  const isSure = [low, high].every((gain) => kindOf(gain) === winner);
  const lost = -lightAgainst({ column, base });
  const headline = {
    converter: `The ${column.title} converter`,
    crop: 'Crop',
    neither: 'Crop, and keep the light',
  }[winner];
  const own = base.report.sharpness.evidence === 'own figure';
  const focus =
    column.report.autofocus.state === 'too slow' ? ` ${column.report.autofocus.sentence}` : '';
  return {
    headline,
    because: `${sentence} It takes ${stopsWords(lost, 2)} of light.${focus}`,
    sure: `${isSure ? 'It holds' : 'It is not settled'} for a lens ${own ? '10' : '30'} % better or worse than ${own ? 'its own figure' : 'is usual for its class'}: gain ${percent(low - 1, 0)} to ${percent(high - 1, 0)}, ${percent(mid - 1, 0)} as told. ${isSure ? '' : 'Two test frames of fine detail, cropped and converted, settle it. '}Under ${percent(VISIBLE_DIFFERENCE, 0)} nobody sees it.`,
    steps: stepWords(base, reach),
    field: fieldWords(base, column),
  };
}

const kindOf = (gain: number) => {
  if (Math.abs(gain - 1) <= VISIBLE_DIFFERENCE) return 'neither';
  return gain > 1 ? 'converter' : 'crop';
};

function reducerHeadline({ title, report }: ConverterColumn, light: number): string {
  const gives = light > 0 ? 'light and view' : 'view, and no light';
  return isSurelyClear(report.verdict)
    ? `${title} gives ${gives}`
    : `${title} gives ${gives}, and costs corners`;
}

/** "Corners: Clear, Shaded without it."; nothing of a base that does not go on. */
function cornerWords(base: ConverterColumn, { report }: ConverterColumn): string {
  const without = base.report.fitProblem ? '' : `, ${verdictWords(base.report.verdict)} without it`;
  return `Corners: ${verdictWords(report.verdict)}${without}.`;
}

function reducerVerdict(base: ConverterColumn, column: ConverterColumn): WeighingVerdict {
  const light = lightAgainst({ column, base });
  const { report } = column;
  const custom = customaryStops(report.optics.train.factor);
  const risk = riskWords(report.verdict.risk);
  return {
    headline: reducerHeadline(column, light),
    because: `It ${light > 0 ? 'gives' : 'takes'} ${stopsWords(Math.abs(light), 2)} of light${custom === null ? '' : ` (often said ${fixed(custom, 1)})`} and the view of ${mm(report.optics.equivalents.focalMm, 0)} on 36×24 in place of ${mm(base.report.optics.equivalents.focalMm, 0)}. ${cornerWords(base, column)}`,
    sure: `Risk ${risk}, ${report.halo.evidence.kind}; light and view are arithmetic.`,
    steps: stepWords(base, column.reach),
    field: fieldWords(base, column),
  };
}

/** Glass before the lens that reaches: it takes no light but its own, and nobody told how sharp it is. */
function frontVerdict(base: ConverterColumn, column: ConverterColumn): WeighingVerdict {
  const { title, reach, report } = column;
  const takes = -lightAgainst({ column, base });
  return {
    headline: `${title} reaches farther`,
    because: `The view of ${mm(report.optics.equivalents.focalMm, 0)} on 36×24 in place of ${mm(base.report.optics.equivalents.focalMm, 0)} at the same f-number; its glass takes ${stopsWords(takes, 2)}. ${cornerWords(base, column)}`,
    sure: 'How sharp glass before a lens is no figure here tells: two test frames of fine detail, cropped and converted, settle it.',
    steps: stepWords(base, reach),
    field: fieldWords(base, column),
  };
}

/** What to use, with the reason and how sure it is. Figures of the lens are its own or those of its class. */
export function verdictOfWeighing(base: ConverterColumn, column: ConverterColumn): WeighingVerdict {
  if (column.reach <= 1) return reducerVerdict(base, column);
  return trainFactor(column.rig.parts) > 1
    ? converterVerdict(base, column)
    : frontVerdict(base, column);
}
