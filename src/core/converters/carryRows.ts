/** Rows of what is carried, paid and minded. */
import { lengthOf, massAgainst, massFigure, priceOf, priceNote, carriedWords } from './rowFigures';
import { COMMON, asOnBench, ratio, words } from './rowParts';
import { fullName } from '../kit/records';
import { clearanceWords } from './flare';
import { differs } from './seen';
import { balanceOf } from './balance';
import { gearOf, grams, orUnknown, evidenceSentence } from '../rig/readings';
import { HEAVY_LENS_G } from '../rig/report';
import { riskWords, counted, fixed, mm } from '../words';

import type { RowGroup } from './rowTypes';

/** Less than this nobody feels in the hand, g. Common practice, no source. */
const SEEN_G = 20;

export const CARRY_ROWS: readonly RowGroup[] = [
  {
    title: 'Carrying and price',
    rows: [
      {
        id: 'length',
        name: 'Length before the body',
        cell: ({ column }) => ({ figure: orUnknown(lengthOf(column), (v) => mm(v, 0)) }),
        differs: ratio(lengthOf),
        why: ({ column }) => ({
          title: 'Length before the body’s mount',
          formula: 'length of the lens + thickness of the parts',
          inputs: [
            ['lens', orUnknown(column.rig.lens.lengthMm, (v) => mm(v, 0))],
            ...column.rig.parts.map((p): [string, string] => [fullName(p), mm(p.thicknessMm)]),
          ],
          evidence: 'As the records tell it.',
        }),
      },
      {
        id: 'mass',
        name: 'Mass before the body',
        cell: ({ column }) => ({ figure: massFigure(column) }),
        differs: (asked) => {
          const more = massAgainst(asked);
          return more === null ? differs.unknown : differs.by(more, SEEN_G);
        },
        why: ({ column }) => ({
          title: 'Mass that hangs on the mount',
          formula: 'lens and parts together',
          inputs: gearOf(column.rig)
            .slice(1)
            .map((item) => [fullName(item), orUnknown(item.massG, grams)]),
          evidence:
            'As the records tell it; of a lens that does not say the parts alone are told, as what they add.',
        }),
      },
      {
        id: 'balance',
        name: 'Balances ahead of the mount',
        cell: ({ column }) => {
          const found = balanceOf(column.rig);
          return {
            figure: orUnknown(found?.aheadMm ?? null, (v) => mm(v, 0)),
            note: column.report.cautions.some((c) => c.id === 'support') ? 'support it' : undefined,
          };
        },
        differs: ratio((c) => balanceOf(c.rig)?.aheadMm ?? null),
        why: ({ column }) => ({
          title: 'Where lens and parts balance',
          formula: 'Σ mass × distance ÷ Σ mass; its torque on the mount is mass × distance × g',
          inputs: [
            [
              'torque',
              orUnknown(balanceOf(column.rig)?.torqueNm ?? null, (t) => `${fixed(t, 2)} N m`),
            ],
            ...column.report.cautions
              .filter((c) => c.id === 'support')
              .map((c): [string, string] => ['mind', c.why]),
          ],
          evidence: `Each piece is taken to balance at its middle: an assumption. A lens from ${fixed(HEAVY_LENS_G / 1000, 1)} kg on hangs from its own foot or a support. ${COMMON}`,
        }),
      },
      {
        id: 'price',
        name: 'Price of the parts, used',
        cell: (asked) => ({
          figure: orUnknown(priceOf(asked.column), (v) => fixed(v, 0)),
          note: priceNote(asked),
        }),
        differs: ({ column, base }) => differs.by((priceOf(column) ?? 0) - (priceOf(base) ?? 0), 1),
        why: (asked) => ({
          title: 'What the parts cost',
          formula:
            'sum of their used prices; per stop where they gather light, per mm where they reach',
          inputs: asked.column.rig.parts.map((p) => [
            fullName(p),
            orUnknown(p.price, (v) => fixed(v, 0)),
          ]),
          evidence: 'Prices are your own, in your own currency.',
        }),
      },
    ],
  },
  {
    title: 'What else',
    rows: [
      {
        id: 'contacts',
        name: 'Contacts carry',
        cell: ({ column }) => ({ figure: carriedWords(column) }),
        differs: words(({ column }) => carriedWords(column)),
        why: asOnBench('contacts'),
      },
      {
        id: 'hood',
        name: 'Hood and flare',
        cell: ({ column }) => ({ figure: clearanceWords(column) }),
        differs: words(({ column }) => clearanceWords(column)),
        why: ({ column: { report } }) => ({
          title: 'Hood and flare',
          formula:
            'black radius of the halo less the corner: light that falls beside the picture and lights the inside of the adapter',
          inputs: [
            ['black radius', mm(report.coverage.radiiMm.black, 1)],
            ['corner', mm(report.coverage.worstCornerRadiusMm, 1)],
            ['a hood for', `a ${mm(report.optics.equivalents.focalMm, 0)} lens on 36×24`],
          ],
          evidence: `A hood made for the view that is used, and a flocked adapter, keep that light out. ${COMMON}`,
        }),
      },
      {
        id: 'risk',
        name: 'To be minded',
        cell: ({ column: { catches } }) => ({
          figure: catches.length === 0 ? 'nothing' : counted(catches.length, 'thing'),
        }),
        differs: words(({ column }) => column.catches.join()),
        why: ({ column }, today) => ({
          title: 'What is to be minded',
          formula: 'joints, rear glass, infinity and contacts, as for every part that is offered',
          inputs: column.catches.map((c, i) => [`${i + 1}`, c]),
          evidence: `${evidenceSentence(column.report, today)} Risk ${riskWords(column.report.verdict.risk)}.`,
        }),
      },
    ],
  },
];
