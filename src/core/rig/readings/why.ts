/** Why a figure is what it is: the formula, what went in, and how it is known. */
import { sampledWords } from './sampled';
import type { Rim } from '../../halo';
import { fullName } from '../../kit/records';
import { KEYHOLE_SHARE, type Pixels } from '../../frame';
import {
  ageWords,
  counted,
  fWords,
  fixed,
  mm,
  percent,
  placeWords,
  sizeMm,
  stopsWords,
  times,
  EXACT,
  riskWords,
  travelWords,
} from '../../words';
import { printedNames, isOffMiddle } from '../../optics';
import type { Report } from '../report';
import { type Rig, situationOf } from '../../rig';
import type { Explain, Why } from './whyTypes';
import { edgeKnownWords } from './edgeWords';
import { EXPLAIN_PRACTICE, type PracticeReading } from './whyPractice';

export type Reading =
  | 'verdict'
  | 'corners'
  | 'halo'
  | 'margin'
  | 'focal'
  | 'aperture'
  | 'tStop'
  | 'light'
  | 'equivalents'
  | 'view'
  | 'frame'
  | 'cleanFrame'
  | 'scaleUp'
  | PracticeReading;

const size = (f: { widthMm: number; heightMm: number }): string => sizeMm(f, 2);

/**
 * Where the halo comes from, in one sentence with its doubts. Given today's date it also says how old a
 * measurement is.
 */
export function evidenceSentence(report: Report, today = ''): string {
  const { kind, frames, date, doubts } = report.halo.evidence;
  const dated = date ? ` on ${date}${ageWords(date, today)}` : '';
  const known = {
    measured: `Measured${dated}${frames > 0 ? ` from ${counted(frames, 'frame')}` : ''}`,
    seen: `Seen by eye${dated}`,
    published: 'From a published figure',
    estimated: 'An estimate',
  }[kind];
  return [`${known}; the edge is known to ${edgeKnownWords(report)}.`, ...doubts.map(capital)].join(
    ' ',
  );
}

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

function wholeAndHalf(fNumber: number): string {
  const { full, half } = printedNames(fNumber);
  return `${full.join(' or ')}, ${half.join(' or ')}`;
}

/** Where a rim's edge lies; a rectangle's sides are told from the middle. */
const edgeFigures = ({ edgeRadiusMm, rectangle }: Rim): string =>
  rectangle
    ? `${mm(edgeRadiusMm * rectangle.halfWidth, 2)} across and ${mm(edgeRadiusMm * rectangle.halfHeight, 2)} down (rectangular)`
    : mm(edgeRadiusMm, 2);

function haloInputs(report: Report): Why['inputs'] {
  const { model } = report.halo;
  return [
    ...model.rims.map(
      (rim, i) =>
        [
          `rim ${i + 1}, ${rim.side}`,
          `edge ${edgeFigures(rim)}, softness ${mm(rim.softnessMm, 2)}`,
        ] as const,
    ),
    ['exit pupil', model.exitPupilMm === null ? 'not known' : mm(model.exitPupilMm, 0)],
  ];
}

/** The circle that verdict, margin, clean frame and scale-up all go by. */
const acceptedInputs = ({ coverage, frame, verdict }: Report): Why['inputs'] => [
  [
    `accepted up to, ${stopsWords(verdict.limitStops, 1)} or a hard edge`,
    mm(coverage.acceptedRadiusMm, 2),
  ],
  ['half-light radius', mm(coverage.radiiMm.half, 2)],
  ['travel', travelWords(frame.travel)],
];

/** What the risk counts with: how unsure each figure of the halo is. */
function unsureInputs(report: Report): Why['inputs'] {
  const { softnessSigma, falloffSigma } = report.halo.evidence;
  return [
    ['edge known to', edgeKnownWords(report)],
    ['softness known to', `± ${percent(softnessSigma, 0)}`],
    ['natural falloff known to', `± ${percent(falloffSigma, 0)}`],
  ];
}

const pixelsWords = ({ across, down }: Pixels): string =>
  `${Math.round(across)} × ${Math.round(down)}`;

/** What desqueezing makes of the recorded pixels: it spreads them across, and leaves them down. */
/** Whether a tube stands behind a converter, which then works at another factor. */
const isBehindGlass = ({ optics }: Report): boolean => optics.workingFactor !== optics.train.factor;

const desqueezedInputs = ({ lens: { squeeze } }: Rig): Why['inputs'] =>
  squeeze === 1
    ? []
    : [['recorded for each desqueezed', `${times(1 / squeeze)} across, ${times(1)} down`]];

/** Where the read-out lies on the sensor, where that is not its middle. */
const offMiddle = ({ frame: { middle } }: Report): Why['inputs'] =>
  isOffMiddle(middle) ? [['its middle, from the sensor’s', placeWords(middle)]] : [];

const EXPLAIN: Record<Reading, Explain> = {
  verdict: (_, report, today) => ({
    title: 'The verdict',
    formula: `Keyhole: under ${KEYHOLE_SHARE * 100} % of the frame has more than 1/8 of the light through the rims. Clipped: the worst corner has less than 1/8. Clear: the worst corner is no darker than you accept. Shaded: all else. Where a better or a worse one is as likely as one in four, both are named.`,
    inputs: [
      [
        'worst corner',
        report.verdict.worstCornerStops === null
          ? 'no light'
          : stopsWords(report.verdict.worstCornerStops, 2),
      ],
      ['through the rims there', percent(report.verdict.worstCornerTransmission)],
      ['you accept', `${stopsWords(report.verdict.limitStops, 2)} (${report.verdict.school})`],
      ['risk that it is not Clear', riskWords(report.verdict.risk)],
      ...unsureInputs(report),
    ],
    evidence: evidenceSentence(report, today),
  }),
  corners: (_, report, today) => ({
    title: 'Corner darkness',
    formula:
      '−log₂(T · natural falloff), against the middle of the halo; T is what the rims let through.',
    inputs: [
      ['worst corner radius', mm(report.coverage.worstCornerRadiusMm, 2)],
      ['stabiliser travel', travelWords(report.frame.travel)],
      ...haloInputs(report),
    ],
    evidence: evidenceSentence(report, today),
  }),
  halo: (_, report, today) => ({
    title: 'The halo',
    formula:
      'T(r) = area common to the pupil and the rims as seen from r. Half light: T = 1/2. Clear: T = −0.1 stop. Black: T = 1 %.',
    inputs: [
      ...haloInputs(report),
      ['clear radius', mm(report.coverage.radiiMm.clear, 2)],
      ['half-light radius', mm(report.coverage.radiiMm.half, 2)],
      ['black radius', mm(report.coverage.radiiMm.black, 2)],
      [
        '−1 and −2 stop radii',
        `${mm(report.coverage.radiiMm.minus1, 2)}, ${mm(report.coverage.radiiMm.minus2, 2)}`,
      ],
    ],
    evidence: evidenceSentence(report, today),
  }),
  margin: (_, report, today) => ({
    title: 'Margin of the corners',
    formula:
      'accepted radius − worst corner radius over the travel: not negative where the verdict is Clear',
    inputs: [
      ...acceptedInputs(report),
      ['worst corner radius', mm(report.coverage.worstCornerRadiusMm, 2)],
      ['accepted over the travel', `${percent(report.coverage.areaShare, 2)} of the frame`],
      [
        'definition circle less the worst corner',
        report.coverage.definitionMarginMm === null
          ? 'nobody judged it'
          : mm(report.coverage.definitionMarginMm, 2),
      ],
    ],
    evidence: evidenceSentence(report, today),
  }),
  focal: (rig, report) => ({
    title: 'Focal length through the train',
    formula: 'f′ = M f, where M is the product of the factors between lens and sensor',
    inputs: [
      ['f on the lens', mm(rig.settings.focalMm)],
      ...rig.parts.map((p) => [fullName(p), `× ${p.factor}`] as const),
      ['M', fixed(report.optics.train.factor, 4)],
    ],
    evidence: EXACT,
  }),
  aperture: (rig, report) => ({
    title: 'f-number through the train',
    formula: 'N′ = M N; it prints as the nearest third stop',
    inputs: [
      ['N on the lens', fWords(rig.settings.fNumber)],
      ['M', fixed(report.optics.train.factor, 4)],
      ['prints as', report.optics.printsAs.join(' or ')],
      ['in whole and half stops', wholeAndHalf(report.optics.train.fNumber)],
      [
        'at this focus distance',
        `${fWords(report.optics.effectiveFNumber)}, N′(1 + m/P)${isBehindGlass(report) ? '(1 + e/L′)' : ''}`,
      ],
    ],
    evidence: report.optics.train.speedHeldBack
      ? 'A part in the train passes no faster aperture than this.'
      : EXACT,
  }),
  tStop: (rig, report) => ({
    title: 'T-stop through the train',
    formula: 'T′ = N′ / √(share of light all glass passes)',
    inputs: [
      ['lens wide open', rig.lens.tStop === null ? 'T-stop not known' : `T${rig.lens.tStop}`],
      ...rig.parts
        .filter((p) => p.transmission !== null)
        .map((p) => [fullName(p), `passes ${fixed((p.transmission ?? 1) * 100, 0)} %`] as const),
      ['N′', fWords(report.optics.train.fNumber)],
    ],
    evidence: 'As the records state the glass.',
  }),
  light: (_, report) => ({
    title: 'Light against the bare lens',
    formula: '−2 log₂ M, less what the glass takes; ISO and time change by 2^−stops',
    inputs: [
      ['M', fixed(report.optics.train.factor, 4)],
      [
        'glass',
        report.optics.train.glassLossStops === null
          ? 'not known'
          : stopsWords(report.optics.train.glassLossStops, 2),
      ],
      [
        'commonly said',
        report.optics.train.customaryStops === null
          ? 'nothing'
          : stopsWords(report.optics.train.customaryStops, 2),
      ],
      ['ISO or time', times(report.optics.isoFactor)],
    ],
    evidence: report.optics.customDisagrees
      ? 'Custom and arithmetic differ here by more than a quarter stop; trust the arithmetic.'
      : EXACT,
  }),
  equivalents: (_, report) => ({
    title: '36×24 equivalents',
    formula: 'f′·C and N′·C with the crop factor C = 43.27/diagonal, 36/width or 24/height',
    inputs: report.optics.equivalentsByBasis.map(
      (e) =>
        [e.basis, `C ${fixed(e.cropFactor, 3)}: ${mm(e.focalMm)} ${fWords(e.fNumber)}`] as const,
    ),
    evidence:
      'The equivalent f-number speaks of depth of field and total light; the exposure is that of N′.',
  }),
  view: (rig, report) => ({
    title: 'Angle of view',
    formula: '2 atan(side / (2 f′(1 + m))), the width times the squeeze',
    inputs: [
      ['f′', mm(report.optics.train.focalMm)],
      ['frame', size(report.frame.delivered)],
      ['squeeze', `${rig.lens.squeeze}`],
      ['m, of the lens’s own picture', fixed(situationOf(rig).at.magnification, 4)],
    ],
    evidence: 'Thin lens, no distortion.',
  }),
  frame: (rig, report) => ({
    title: 'Delivered frame',
    formula:
      'read-out ÷ (stabilisation crop × digital zoom), then the delivered aspect fitted inside',
    inputs: [
      ['read-out', size(report.frame.readOut)],
      ...offMiddle(report),
      ['linear crop', times(report.frame.delivered.linearCrop, 3)],
      ['pixels recorded', pixelsWords(report.frame.delivered.recordedPx)],
      ['pixels read', pixelsWords(report.frame.delivered.readPx)],
      ['read for each recorded', sampledWords(rig.mode, report.frame.delivered)],
      ...desqueezedInputs(rig),
    ],
    evidence: cropEvidence(rig),
  }),
  cleanFrame: (_, report, today) => ({
    title: 'Largest clean frame',
    formula:
      'the largest frame of the delivered aspect that stays within the accepted circle over the travel, and within the frame',
    inputs: [
      ['about the middle', size(report.coverage.cleanFrame.concentric)],
      ['free to move', size(report.coverage.cleanFrame.free)],
      ...acceptedInputs(report),
    ],
    evidence: evidenceSentence(report, today),
  }),
  scaleUp: (_, report, today) => ({
    title: 'Scale-up in post',
    formula:
      'the least p for which every corner of frame/p stays within the accepted circle over the travel, and another verdict than Clear is less likely than one in four',
    inputs: [...acceptedInputs(report), ['frame', size(report.frame.delivered)]],
    evidence: evidenceSentence(report, today),
  }),
  ...EXPLAIN_PRACTICE,
};

function cropEvidence(rig: Rig): string {
  const crop = rig.mode.crops.find((c) => c.id === rig.settings.cropId);
  if (!crop) return 'Sizes as the body’s record states them.';
  return crop.measured === null
    ? `The ${crop.name} crop is the nominal ${crop.nominal}; nobody has measured it.`
    : `The ${crop.name} crop is the measured ${crop.measured}; the nominal one is ${crop.nominal}.`;
}

/** Explains one reading of a report; `today` is an ISO date, for the age of measurements. */
export const explain = (reading: Reading, rig: Rig, report: Report, today = ''): Why =>
  EXPLAIN[reading](rig, report, today);

export const READINGS = Object.keys(EXPLAIN) as Reading[];
