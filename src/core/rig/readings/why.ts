/** Why a figure is what it is: the formula, what went in, and how it is known. */
import { fullName } from '../../kit/records/body';
import { KEYHOLE_SHARE } from '../../frame/coverage';
import { ageWords } from '../../words/age';
import { printedNames } from '../../optics/apertures';
import type { Report } from '../report/evaluate';
import type { Rig } from '../rig';
import type { Explain, Why } from './whyTypes';
import { EXPLAIN_PRACTICE, type PracticeReading } from './whyPractice';

export type { Why } from './whyTypes';

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

const mm = (v: number, digits = 2): string => `${v.toFixed(digits)} mm`;
const stops = (v: number): string => `${v.toFixed(2)} stops`;
const size = (f: { widthMm: number; heightMm: number }): string =>
  `${f.widthMm.toFixed(2)} × ${f.heightMm.toFixed(2)} mm`;

const ARITHMETIC = 'Exact arithmetic on the figures above.';

/**
 * Where the halo comes from, in one sentence with its doubts. Given today's date it also says how old a
 * measurement is.
 */
export function evidenceSentence(report: Report, today = ''): string {
  const { kind, edgeSigmaMm, frames, date, doubts } = report.halo.evidence;
  const known = {
    measured: `Measured${date ? ` on ${date}${ageWords(date, today)}` : ''}${frames > 0 ? ` from ${frames} ${frames === 1 ? 'frame' : 'frames'}` : ''}`,
    published: 'From a published figure',
    estimated: 'An estimate',
  }[kind];
  return [
    `${known}; the edge is known to ± ${edgeSigmaMm.toFixed(2)} mm.`,
    ...doubts.map(capital),
  ].join(' ');
}

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

function wholeAndHalf(fNumber: number): string {
  const { full, half } = printedNames(fNumber);
  return `${full.join(' or ')}, ${half.join(' or ')}`;
}

function haloInputs(report: Report): Why['inputs'] {
  const { model } = report.halo;
  return [
    ...model.rims.map(
      (rim, i) =>
        [
          `rim ${i + 1}, ${rim.side}`,
          `edge ${mm(rim.edgeRadiusMm)}, softness ${mm(rim.softnessMm)}`,
        ] as const,
    ),
    ['exit pupil', model.exitPupilMm === null ? 'not known' : mm(model.exitPupilMm, 0)],
  ];
}

const EXPLAIN: Record<Reading, Explain> = {
  verdict: (_, report, today) => ({
    title: 'The verdict',
    formula: `Keyhole: under ${KEYHOLE_SHARE * 100} % of the frame has more than 1/8 of the light through the rims. Clipped: the worst corner has less than 1/8. Clear: the worst corner is no darker than you accept. Shaded: all else.`,
    inputs: [
      [
        'worst corner',
        report.verdict.worstCornerStops === null
          ? 'no light'
          : stops(report.verdict.worstCornerStops),
      ],
      ['through the rims there', `${(report.verdict.worstCornerTransmission * 100).toFixed(1)} %`],
      ['you accept', `${stops(report.verdict.limitStops)} (${report.verdict.school})`],
      ['risk that it is worse', `${(report.verdict.risk * 100).toFixed(1)} %`],
    ],
    evidence: evidenceSentence(report, today),
  }),
  corners: (_, report, today) => ({
    title: 'Corner darkness',
    formula:
      '−log₂(T · natural falloff), against the middle of the halo; T is what the rims let through.',
    inputs: [
      ['worst corner radius', mm(report.coverage.worstCornerRadiusMm)],
      ['stabiliser travel', mm(report.frame.travel.xMm, 1)],
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
      ['clear radius', mm(report.coverage.radiiMm.clear)],
      ['half-light radius', mm(report.coverage.radiiMm.half)],
      ['black radius', mm(report.coverage.radiiMm.black)],
      [
        '−1 and −2 stop radii',
        `${mm(report.coverage.radiiMm.minus1)}, ${mm(report.coverage.radiiMm.minus2)}`,
      ],
    ],
    evidence: evidenceSentence(report, today),
  }),
  margin: (_, report, today) => ({
    title: 'Margin at half light',
    formula: 'half-light radius − worst corner radius over the travel',
    inputs: [
      ['half-light radius', mm(report.coverage.radiiMm.half)],
      ['worst corner radius', mm(report.coverage.worstCornerRadiusMm)],
      ['area inside half light', `${(report.coverage.areaShare * 100).toFixed(2)} % of the frame`],
    ],
    evidence: evidenceSentence(report, today),
  }),
  focal: (rig, report) => ({
    title: 'Focal length through the train',
    formula: 'f′ = M f, where M is the product of the factors between lens and sensor',
    inputs: [
      ['f on the lens', mm(rig.settings.focalMm, 1)],
      ...rig.parts.map((p) => [fullName(p), `× ${p.factor}`] as const),
      ['M', report.optics.train.factor.toFixed(4)],
    ],
    evidence: ARITHMETIC,
  }),
  aperture: (rig, report) => ({
    title: 'f-number through the train',
    formula: 'N′ = M N; it prints as the nearest third stop',
    inputs: [
      ['N on the lens', `f/${rig.settings.fNumber.toFixed(2)}`],
      ['M', report.optics.train.factor.toFixed(4)],
      ['prints as', report.optics.printsAs.join(' or ')],
      ['in whole and half stops', wholeAndHalf(report.optics.train.fNumber)],
      ['at this focus distance', `f/${report.optics.effectiveFNumber.toFixed(2)}, N′(1 + m/P)`],
    ],
    evidence: report.optics.train.speedHeldBack
      ? 'A part in the train passes no faster aperture than this.'
      : ARITHMETIC,
  }),
  tStop: (rig, report) => ({
    title: 'T-stop through the train',
    formula: 'T′ = N′ / √(share of light all glass passes)',
    inputs: [
      ['lens wide open', rig.lens.tStop === null ? 'T-stop not known' : `T${rig.lens.tStop}`],
      ...rig.parts
        .filter((p) => p.transmission !== null)
        .map((p) => [fullName(p), `passes ${((p.transmission ?? 1) * 100).toFixed(0)} %`] as const),
      ['N′', `f/${report.optics.train.fNumber.toFixed(2)}`],
    ],
    evidence: 'As the records state the glass.',
  }),
  light: (_, report) => ({
    title: 'Light against the bare lens',
    formula: '−2 log₂ M, less what the glass takes; ISO and time change by 2^−stops',
    inputs: [
      ['M', report.optics.train.factor.toFixed(4)],
      [
        'glass',
        report.optics.train.glassLossStops === null
          ? 'not known'
          : stops(report.optics.train.glassLossStops),
      ],
      [
        'commonly said',
        report.optics.train.customaryStops === null
          ? 'nothing'
          : `${report.optics.train.customaryStops.toFixed(2)} stops`,
      ],
      ['ISO or time', `× ${report.optics.isoFactor.toFixed(2)}`],
    ],
    evidence: report.optics.customDisagrees
      ? 'Custom and arithmetic differ here by more than a quarter stop; trust the arithmetic.'
      : ARITHMETIC,
  }),
  equivalents: (_, report) => ({
    title: '36×24 equivalents',
    formula: 'f′·C and N′·C with the crop factor C = 43.27/diagonal, 36/width or 24/height',
    inputs: report.optics.equivalentsByBasis.map(
      (e) =>
        [
          e.basis,
          `C ${e.cropFactor.toFixed(3)}: ${e.focalMm.toFixed(1)} mm f/${e.fNumber.toFixed(2)}`,
        ] as const,
    ),
    evidence:
      'The equivalent f-number speaks of depth of field and total light; the exposure is that of N′.',
  }),
  view: (rig, report) => ({
    title: 'Angle of view',
    formula: '2 atan(side / (2 f′(1 + m))), the width times the squeeze',
    inputs: [
      ['f′', mm(report.optics.train.focalMm, 1)],
      ['frame', size(report.frame.delivered)],
      ['squeeze', `${rig.lens.squeeze}`],
      ['m', report.optics.magnification.toFixed(4)],
    ],
    evidence: 'Thin lens, no distortion.',
  }),
  frame: (rig, report) => ({
    title: 'Delivered frame',
    formula:
      'read-out ÷ (stabilisation crop × digital zoom), then the delivered aspect fitted inside',
    inputs: [
      ['read-out', size(report.frame.readOut)],
      ['linear crop', `× ${report.frame.delivered.linearCrop.toFixed(3)}`],
      [
        'pixels',
        `${Math.round(report.frame.delivered.widthPx)} × ${Math.round(report.frame.delivered.heightPx)}`,
      ],
      [
        'for each recorded pixel',
        report.frame.delivered.oversampling === null
          ? 'all are recorded'
          : report.frame.delivered.oversampling.toFixed(2),
      ],
    ],
    evidence: cropEvidence(rig),
  }),
  cleanFrame: (_, report, today) => ({
    title: 'Largest clean frame',
    formula: 'the largest frame of the delivered aspect within the half-light circle and the frame',
    inputs: [
      ['about the middle', size(report.coverage.cleanFrame.concentric)],
      ['free to move', size(report.coverage.cleanFrame.free)],
      ['half-light radius', mm(report.coverage.radiiMm.half)],
    ],
    evidence: evidenceSentence(report, today),
  }),
  scaleUp: (_, report, today) => ({
    title: 'Scale-up in post',
    formula:
      'the least p for which every corner of frame/p stays inside half light over the travel',
    inputs: [
      ['half-light radius', mm(report.coverage.radiiMm.half)],
      ['frame', size(report.frame.delivered)],
      ['travel', mm(report.frame.travel.xMm, 1)],
    ],
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
