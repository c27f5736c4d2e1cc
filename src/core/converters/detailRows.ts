/** Rows of detail, depth, shake and noise. */
import {
  EXACT,
  fixed,
  lpMm,
  mm,
  riskWords,
  shutterLimitWords,
  shutterWords,
  signedStops,
  times,
  inFocusWords,
} from '../words';
import {
  lightAgainst,
  areaAgainst,
  pictureLightAgainst,
  glassAgainst,
  pixelsOnSubject,
  detailOf,
  spareOf,
  depthOf,
  keepersAgainst,
} from './rowFigures';
import { asOnBench, ratio, basisRow } from './rowParts';
import { differs } from './seen';
import { VISIBLE_DIFFERENCE } from '../optics';
import { KEEPERS_ASSUMED, orUnknown, explain, resolutionEvidence } from '../rig/readings';

import type { RowGroup } from './rowTypes';

export const DETAIL_ROWS: readonly RowGroup[] = [
  {
    title: 'Detail',
    rows: [
      {
        id: 'pixels',
        name: 'Pixels on the subject',
        cell: ({ column }) => {
          const { value, of } = pixelsOnSubject(column);
          return { figure: fixed(value, value < 100 ? 1 : 0), note: of };
        },
        differs: ratio((c) => pixelsOnSubject(c).value),
        why: ({ column }) => ({
          title: 'Pixels on the subject',
          formula:
            column.rig.settings.focusM === null
              ? 'f′ tan 1° ÷ pixel pitch, at infinity'
              : 'magnification × 1 m ÷ pixel pitch',
          inputs: [
            ['magnification', times(column.report.optics.magnification, 5)],
            ['pixel pitch', `${fixed(column.report.sharpness.pitchMm * 1000, 2)} µm`],
          ],
          evidence: EXACT,
        }),
      },
      {
        id: 'detail',
        name: 'Detail on the subject',
        cell: ({ column, base }) => ({ figure: times(detailOf(column) / detailOf(base)) }),
        differs: ({ column, base }) =>
          differs.byShare(detailOf(column), detailOf(base), VISIBLE_DIFFERENCE),
        why: asOnBench('detail'),
      },
      {
        id: 'spare',
        name: 'Glass against sensor',
        cell: ({ column }) => ({
          figure: times(spareOf(column)),
          note: spareOf(column) >= 1 ? 'sharpness to spare' : 'softer than the pixels',
        }),
        differs: ratio(spareOf),
        why: ({ column: { report } }) => ({
          title: 'Spare sharpness',
          formula: 'what lens and diffraction resolve together ÷ what the sensor resolves',
          inputs: [
            ['lens behind the train', lpMm(report.sharpness.lens)],
            ['diffraction', lpMm(report.sharpness.diffraction)],
            ['sensor', lpMm(report.sharpness.sensor)],
          ],
          evidence: resolutionEvidence(report.sharpness),
        }),
      },
    ],
  },
  {
    title: 'Depth of field',
    rows: [
      {
        id: 'depth',
        name: 'In focus, as it stands',
        cell: ({ column: { report } }) => ({
          figure: inFocusWords(report.picture.depth),
        }),
        differs: ({ column, base }) =>
          differs.byShare(depthOf(column), depthOf(base), VISIBLE_DIFFERENCE),
        why: asOnBench('depth'),
      },
      basisRow('same place', 'Same place, subject as large'),
      basisRow('same framing', 'Framed alike, by moving'),
      basisRow('larger format', 'Against the larger format'),
    ],
  },
  {
    title: 'Shake and noise',
    rows: [
      {
        id: 'shake',
        name: 'Shake',
        cell: ({ column, base }) => ({ figure: times(column.reach / base.reach) }),
        differs: ratio((c) => c.reach),
        why: asOnBench('handHeld'),
      },
      {
        id: 'shutter',
        name: 'By hand, no longer than',
        cell: ({ column }) => ({ figure: shutterLimitWords(column.report.steady.handHeldSeconds) }),
        differs: ratio((c) => c.report.steady.handHeldSeconds),
        why: ({ column, base }, today) => {
          const why = explain('handHeld', column.rig, column.report, today);
          return {
            ...why,
            evidence: `At that time about as many frames are sharp as with the base at ${shutterLimitWords(base.report.steady.handHeldSeconds)}; a burst of three or four raises the odds of one. ${why.evidence}`,
          };
        },
      },
      {
        id: 'keepers',
        name: 'Sharp frames, same time',
        cell: ({ column, base }) => ({
          figure: riskWords(keepersAgainst({ column, base })),
          note: `at ${shutterWords(base.report.steady.ruleSeconds)}, assumed`,
        }),
        differs: (asked) =>
          differs.by(
            keepersAgainst(asked) - keepersAgainst({ column: asked.base, base: asked.base }),
            VISIBLE_DIFFERENCE,
          ),
        why: ({ column, base }) => ({
          title: 'Sharp frames by hand',
          formula: '1 − 0.25^((rule / time)²)',
          inputs: [
            ['time, the base’s rule', shutterWords(base.report.steady.ruleSeconds)],
            [
              'rule here, 1/(f′·C) and the stabiliser',
              shutterWords(column.report.steady.ruleSeconds),
            ],
            ['sharp', riskWords(keepersAgainst({ column, base }))],
          ],
          evidence: KEEPERS_ASSUMED,
        }),
      },
      {
        id: 'noise exposure',
        name: 'More noise, same time',
        cell: (asked) => ({
          figure: asked.column.kind === 'base' ? '–' : signedStops(-pictureLightAgainst(asked), 2),
        }),
        differs: (asked) => differs.stops(pictureLightAgainst(asked)),
        why: ({ column, base }) => ({
          title: 'Noise at the same time and brightness',
          formula:
            'light on the whole delivered picture: light of the glass + log₂ of the ratio of areas on the sensor; one stop less looks like one step of ISO more',
          inputs: [
            ['light of the glass', signedStops(lightAgainst({ column, base }), 2)],
            ['area against the base', times(areaAgainst({ column, base }))],
            ['light on the picture', signedStops(pictureLightAgainst({ column, base }), 2)],
          ],
          evidence:
            'A converter dims the whole sensor, a crop throws away part of it: for the same view both leave the same light, but for what the glass takes.',
        }),
      },
      {
        id: 'noise depth',
        name: 'More noise, same depth',
        cell: (asked) => ({
          figure:
            asked.column.kind === 'base'
              ? '–'
              : orUnknown(glassAgainst(asked), (g) => signedStops(-g, 2)),
        }),
        differs: (asked) => {
          const glass = glassAgainst(asked);
          return glass === null ? differs.unknown : differs.stops(glass);
        },
        why: (asked) => ({
          title: 'Noise at the same depth, from the same place',
          formula:
            'equal depth from one place means one entrance pupil f/N, and with it the same light from the subject: what is left is what the glass takes',
          inputs: [
            [
              'entrance pupil',
              mm(
                asked.column.report.optics.train.focalMm / asked.column.report.optics.train.fNumber,
              ),
            ],
            ['glass', orUnknown(glassAgainst(asked), (g) => signedStops(g, 2))],
          ],
          evidence:
            'It holds for converter, crop and a larger format alike. Sensors of one make at the same time of exposure; read noise apart.',
        }),
      },
    ],
  },
];
