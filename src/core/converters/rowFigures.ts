/** Figures of one column that rows of a comparison are made of. */
import { isTold } from '../kit/records';
import { SEEN_STOPS } from './seen';
import {
  diagonalMm,
  glassSharpness,
  sharpShare,
  stopsBetweenFNumbers,
  desqueezed,
  PERSON_HALF_M,
} from '../optics';
import { massG, price, sumOf, grams, orUnknown } from '../rig/readings';
import { situationOf, turned } from '../rig';
import { AUTOFOCUS_WORDS, inFocus } from '../rig/report';
import { fixed, signedStops, stopsWords } from '../words';
import type { ConverterColumn } from './columns';
import type { Asked } from './rowTypes';

export const focalOf = ({ report }: ConverterColumn) => report.optics.train.focalMm;
export const fNumberOf = ({ report }: ConverterColumn) => report.optics.train.fNumber;

/** Light on the sensor against the base at the same time and ISO, stops; glass counted where it is known. */
export const lightAgainst = ({ column, base }: Asked): number =>
  column.report.optics.train.lightStops - base.report.optics.train.lightStops;

const wholeLight = ({ report }: ConverterColumn) => report.optics.equivalents.totalLightStops;

/** Area of the delivered picture on the sensor over the base's. */
export const areaAgainst = ({ column, base }: Asked): number =>
  2 ** (wholeLight(column) - wholeLight(base));

/** Light in the whole delivered picture against the base's at the same time and ISO, stops. */
export const pictureLightAgainst = (asked: Asked): number =>
  lightAgainst(asked) + Math.log2(areaAgainst(asked));

/** What the glass alone takes against the base, stops; null where it is not known. */
export function glassAgainst({ column, base }: Asked): number | null {
  const [a, b] = [
    column.report.optics.train.glassLossStops,
    base.report.optics.train.glassLossStops,
  ];
  return a === null || b === null ? null : a - b;
}

/** What the sensor acts as for the lens: crop of the delivered frame as it was before the glass. */
export const actsAs = ({ rig, report }: ConverterColumn) => {
  const { widthMm, heightMm } = desqueezed(report.frame.delivered, rig.lens.squeeze);
  const m = report.optics.train.factor;
  return { widthMm: widthMm / m, heightMm: heightMm / m };
};

/** How much smaller the picture is than the lens's own format, by the diagonal. */
export const ofOwnFormat = (column: ConverterColumn): number =>
  diagonalMm(column.rig.lens.designFormat) / diagonalMm(actsAs(column));

export const customOf = ({ report: { optics } }: ConverterColumn): string | undefined => {
  const { customaryStops } = optics.train;
  return customaryStops === null || optics.train.factor === 1
    ? undefined
    : `often said ${signedStops(customaryStops, 1)}`;
};

/** Pixels across a metre of the subject; at infinity across a degree. */
export function pixelsOnSubject({ rig, report }: ConverterColumn): { value: number; of: string } {
  const { magnification, train } = report.optics;
  const { pitchMm } = report.sharpness;
  if (rig.settings.focusM !== null && magnification > 0)
    return { value: (magnification * 1000) / pitchMm, of: 'px a metre' };
  return { value: (train.focalMm * Math.tan(Math.PI / 180)) / pitchMm, of: 'px a degree' };
}

/** Detail on the subject: what is resolved times how large it is. */
export const detailOf = ({ report }: ConverterColumn): number =>
  report.sharpness.system * report.optics.train.focalMm;

/** What lens and diffraction resolve of what the sensor can. */
export const spareOf = ({ report: { sharpness } }: ConverterColumn): number =>
  glassSharpness(sharpness) / sharpness.sensor;

/** Share of frames that are sharp by hand at the time that the rule of thumb gives the base, 0..1. */
export const keepersAgainst = ({ column, base }: Asked): number =>
  sharpShare(base.report.steady.ruleSeconds, column.report.steady.ruleSeconds);

export const depthOf = ({ report }: ConverterColumn): number | null => report.picture.depth.depthM;

export const basis =
  (name: 'same place' | 'same framing' | 'larger format') => (c: ConverterColumn) =>
    c.report.picture.depthBases.find((b) => b.basis === name) ?? null;

/** The lens at its closest focus: magnification on the sensor, and how far the subject is from it, m. */
export function closestOf({ rig }: ConverterColumn): {
  magnification: number;
  subjectM: number | null;
} {
  const { subject, subjectM } = inFocus(
    situationOf(turned(rig, { focusM: rig.lens.closestFocusM })),
  );
  return { magnification: subject.magnification, subjectM };
}

export const lengthOf = ({ rig }: ConverterColumn): number | null =>
  rig.lens.lengthMm === null
    ? null
    : rig.parts.reduce((sum, p) => sum + p.thicknessMm, rig.lens.lengthMm);

export const massOf = ({ rig }: ConverterColumn) => sumOf([rig.lens, ...rig.parts], massG);
export const priceOf = ({ rig }: ConverterColumn) => sumOf(rig.parts, price);

/** What a converter's price buys: stops where it gathers, millimetres of reach where it spreads. */
export function priceNote({ column, base }: Asked): string | undefined {
  if (column.kind !== 'converter') return undefined;
  const [paid, before] = [priceOf(column), priceOf(base)];
  if (paid === null || before === null) return undefined;
  const more = paid - before;
  if (more <= 0) return undefined;
  const light = lightAgainst({ column, base });
  if (light > SEEN_STOPS) return `${fixed(more / light, 0)} a stop`;
  const reach = focalOf(column) - focalOf(base);
  return reach > 1 ? `${fixed(more / reach, 1)} a mm of reach` : undefined;
}

export const carriedWords = ({ rig, report }: ConverterColumn): string => {
  if (!report.fit.carriedKnown) return 'not known';
  const carried = (['focus', 'aperture', 'metadata', 'stabiliser'] as const).filter(
    (k) => report.fit.carried[k],
  );
  if (carried.length > 0) return carried.join(', ');
  return isTold(rig.lens, 'electronics') && Object.values(rig.lens.electronics).some(Boolean)
    ? 'nothing'
    : 'no contacts';
};

export const autofocusWords = ({ report: { autofocus } }: ConverterColumn): string =>
  autofocus.state === 'works' && autofocus.points !== null
    ? `${autofocus.points} points`
    : AUTOFOCUS_WORDS[autofocus.state];

/** What gets slower in autofocus, as far as facts tell; undefined where nothing does. */
export function slowerNote({ column, base }: Asked): string | undefined {
  if (column.report.autofocus.state !== 'works') return undefined;
  const dimmer = stopsBetweenFNumbers(
    base.report.autofocus.openFNumber,
    column.report.autofocus.openFNumber,
  );
  if (dimmer < -SEEN_STOPS) return `${stopsWords(-dimmer)} dimmer for it`;
  return dimmer > SEEN_STOPS ? `${stopsWords(dimmer)} brighter for it` : undefined;
}

/** Mass of what stands between lens and body, g; null where one of the parts does not say. */
const partsMassOf = ({ rig }: ConverterColumn): number | null => sumOf(rig.parts, massG);

/** The mass before the body, or what the parts add to that of a lens nobody told. */
export function massFigure(column: ConverterColumn): string {
  const whole = massOf(column);
  const parts = partsMassOf(column);
  if (whole !== null || parts === null) return orUnknown(whole, grams);
  return `lens + ${grams(parts)}`;
}

/** How much more hangs on the mount than before, g: a lens that is the same in both need not be known. */
export function massAgainst({ column, base }: Asked): number | null {
  const [a, b] = [massOf(column), massOf(base)];
  if (a !== null && b !== null) return a - b;
  const [more, less] = [partsMassOf(column), partsMassOf(base)];
  return more === null || less === null || column.rig.lens !== base.rig.lens ? null : more - less;
}

/** How wide and high the field is at the subject, m; null at infinity. */
export function fieldOf({
  rig,
  report,
}: ConverterColumn): { widthM: number; heightM: number } | null {
  const { magnification } = report.optics;
  if (rig.settings.focusM === null || magnification <= 0) return null;
  const { widthMm, heightMm } = desqueezed(report.frame.delivered, rig.lens.squeeze);
  return { widthM: widthMm / magnification / 1000, heightM: heightMm / magnification / 1000 };
}

/** How far beside the first a second person may stand and be whole in the picture, m; null where there is no room. */
export function secondBesideM(column: ConverterColumn): number | null {
  const field = fieldOf(column);
  const room = field ? field.widthM / 2 - PERSON_HALF_M : -1;
  return room > 0 ? room : null;
}
