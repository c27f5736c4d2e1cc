/** Rows of view and light. */
import { type ConverterColumn } from './columns';
import { EXACT, fixed, fWords, mm, signedStops, times, tWords, metres } from '../words';
import {
  focalOf,
  fNumberOf,
  lightAgainst,
  actsAs,
  ofOwnFormat,
  customOf,
  fieldOf,
  secondBesideM,
} from './rowFigures';
import { asOnBench, ratio } from './rowParts';
import { isTold } from '../kit/records';
import { differs } from './seen';
import {
  CROP_BASES,
  cropFactor,
  diagonalMm,
  stopsBetweenFNumbers,
  desqueezed,
  PERSON_HALF_M,
} from '../optics';
import { orUnknown } from '../rig/readings';

import type { ConverterRow, RowGroup } from './rowTypes';

const focusFigure = ({ report }: ConverterColumn): string =>
  report.picture.subjectM === null
    ? 'infinity'
    : `${metres(report.picture.subjectM)} from the sensor`;

export const VIEW_ROWS: readonly RowGroup[] = [
  {
    title: 'View and light',
    rows: [
      {
        id: 'focal',
        name: 'Focal length',
        cell: ({ column }) => ({ figure: mm(focalOf(column)) }),
        differs: ratio(focalOf),
        why: asOnBench('focal'),
      },
      {
        id: 'view',
        name: 'View, across',
        cell: ({ column: { report } }) => ({
          figure: `${fixed(report.optics.view.horizontal, 1)}°`,
          note: `like ${mm(report.optics.equivalents.focalMm, 0)}`,
        }),
        differs: ratio((c) => c.report.optics.view.horizontal),
        why: asOnBench('view'),
      },
      {
        id: 'field',
        name: 'Field at the subject',
        cell: ({ column }) => {
          const field = fieldOf(column);
          if (!field) return { figure: '–', note: 'at infinity' };
          const beside = secondBesideM(column);
          return {
            figure: `${fixed(field.widthM, 2)} × ${fixed(field.heightM, 2)} m`,
            note: beside === null ? 'no second person' : `a second to ${fixed(beside, 2)} m beside`,
          };
        },
        differs: ratio((c) => fieldOf(c)?.widthM ?? null),
        why: ({ column }) => ({
          title: 'How wide the picture is at the subject',
          formula:
            'delivered side ÷ m, the width times the squeeze; a second person stands whole within half of it',
          inputs: [
            ['focused at', focusFigure(column)],
            ['m', fixed(column.report.optics.magnification, 5)],
            ['half a person', metres(PERSON_HALF_M)],
          ],
          evidence: 'Thin lens, no distortion; both stand as far away.',
        }),
      },
      {
        id: 'aperture',
        name: 'f-number',
        cell: ({ column }) => ({
          figure: fWords(fNumberOf(column)),
          note: `prints ${column.report.optics.printsAs.join(' or ')}`,
        }),
        differs: ({ column, base }) =>
          differs.stops(stopsBetweenFNumbers(fNumberOf(base), fNumberOf(column))),
        why: asOnBench('aperture'),
      },
      {
        id: 'tStop',
        name: 'T-stop',
        cell: ({ column: { report } }) => ({
          figure: orUnknown(report.optics.train.tStop, (t) => tWords(t)),
        }),
        differs: ({ column, base }) => {
          const [a, b] = [base.report.optics.train.tStop, column.report.optics.train.tStop];
          return a === null || b === null
            ? differs.unknown
            : differs.stops(stopsBetweenFNumbers(a, b));
        },
        why: asOnBench('tStop'),
      },
      {
        id: 'light',
        name: 'Light, exact',
        cell: (asked) => ({
          figure: asked.column.kind === 'base' ? '–' : signedStops(lightAgainst(asked), 2),
          note: customOf(asked.column),
        }),
        differs: (asked) => differs.stops(lightAgainst(asked)),
        why: asOnBench('light'),
      },
      {
        id: 'exposure',
        name: 'Same exposure: ISO or time',
        cell: (asked) => ({ figure: times(2 ** -lightAgainst(asked)) }),
        differs: (asked) => differs.stops(lightAgainst(asked)),
        why: asOnBench('light'),
      },
      ...CROP_BASES.map((by): ConverterRow => ({
        id: `acts as, ${by}`,
        name: `Crop left, by ${by}`,
        cell: ({ column }) => ({ figure: times(cropFactor(actsAs(column), by)) }),
        differs: ratio((c) => cropFactor(actsAs(c), by)),
        why: ({ column }) => ({
          title: 'The crop that is left',
          formula: 'crop of the delivered frame against 36×24, times the factor of the glass',
          inputs: [
            ...CROP_BASES.map((b): [string, string] => {
              const frame = desqueezed(column.report.frame.delivered, column.rig.lens.squeeze);
              return [
                b,
                `${fixed(cropFactor(frame, b), 4)} × ${fixed(column.report.optics.train.factor, 2)} = ${fixed(cropFactor(actsAs(column), b), 4)}`,
              ];
            }),
            ['against its own format, by diagonal', times(ofOwnFormat(column))],
          ],
          evidence:
            'Two people’s sums differ where one takes the diagonal and the other the width or the height, where one rounds the crop first (1.5 for 1.534), or where a video mode or a delivered aspect reads less than the sensor.',
        }),
      })),
      {
        id: 'own format',
        name: 'Against its own format',
        cell: ({ column }) => ({ figure: times(ofOwnFormat(column)) }),
        differs: ratio(ofOwnFormat),
        why: ({ column }) => ({
          title: 'How much of its own format is left',
          formula: 'diagonal of the format it was made for ÷ (diagonal of the delivered frame ÷ M)',
          inputs: [
            ['made for', mm(diagonalMm(column.rig.lens.designFormat))],
            ['delivered', mm(diagonalMm(column.report.frame.delivered))],
            ['M', fixed(column.report.optics.train.factor, 4)],
          ],
          evidence: isTold(column.rig.lens, 'designFormat')
            ? EXACT
            : 'The format it was made for was not told: taken as usual.',
        }),
      },
    ],
  },
];
