/** Rows of corners and focus. */
import { verdictWords } from '../frame';
import { closestOf, autofocusWords, slowerNote } from './rowFigures';
import { asOnBench, ratio, stopsApart, words } from './rowParts';
import { differs } from './seen';
import { VISIBLE_DIFFERENCE } from '../optics';
import { explain, knownAt, knownWords, whyKnown } from '../rig/readings';
import { riskFigure, fixed, metres, percent, stopsWords, times } from '../words';
import type { ConverterRow, RowGroup } from './rowTypes';

/** What its owner said of the bare lens here; behind a converter it holds for the lens alone. */
const known = (aspect: 'corners' | 'zoomFocus', name: string): ConverterRow => ({
  id: `known, ${aspect}`,
  name,
  cell: ({ column: { rig, kind } }) => ({
    figure: knownAt(rig.lens, rig.settings).find((k) => k.aspect === aspect)?.word ?? 'not judged',
    note: kind === 'converter' ? 'without the glass' : undefined,
  }),
  differs: () => 'not seen',
  why: ({ column: { rig } }) =>
    whyKnown([[name, knownWords(rig.lens, rig.settings, aspect) ?? 'nobody said']]),
});

export const USE_ROWS: readonly RowGroup[] = [
  {
    title: 'Corners',
    rows: [
      {
        id: 'verdict',
        name: 'Verdict',
        cell: ({ column: { report } }) => ({
          figure: report.fitProblem?.words ?? verdictWords(report.verdict),
          note: `${report.fitProblem ? `corners ${verdictWords(report.verdict)}, ` : ''}${riskFigure(report.verdict.risk, report.halo.evidence.kind)}`,
        }),
        differs: words(
          ({ column: { report } }) => report.fitProblem?.words ?? verdictWords(report.verdict),
        ),
        why: asOnBench('verdict'),
      },
      {
        id: 'corner',
        name: 'Darkest corner',
        cell: ({ column: { report } }) => ({
          figure:
            report.verdict.worstCornerStops === null
              ? 'black'
              : stopsWords(report.verdict.worstCornerStops),
        }),
        differs: stopsApart(({ report }) => report.verdict.worstCornerStops),
        why: asOnBench('corners'),
      },
      {
        id: 'zones',
        name: 'Outer zone in frame',
        cell: ({ column: { report } }) => ({ figure: percent(report.picture.zones.edge, 0) }),
        differs: ({ column, base }) =>
          differs.by(
            column.report.picture.zones.edge - base.report.picture.zones.edge,
            VISIBLE_DIFFERENCE,
          ),
        why: asOnBench('zones'),
      },
      known('corners', 'Sharpness there, as you saw it'),
    ],
  },
  {
    title: 'Focus',
    rows: [
      {
        id: 'autofocus',
        name: 'Autofocus',
        cell: (asked) => ({ figure: autofocusWords(asked.column), note: slowerNote(asked) }),
        differs: words(({ column }) => autofocusWords(column)),
        why: ({ column, base }, today) => {
          const why = explain('autofocus', column.rig, column.report, today);
          const slower = slowerNote({ column, base });
          return slower
            ? {
                ...why,
                evidence: `${why.evidence} With ${slower} it is ${slower.includes('dimmer') ? 'slower and less sure' : 'surer'} in dim light: common practice, no source.`,
              }
            : why;
        },
      },
      {
        id: 'closest',
        name: 'Closest focus',
        cell: ({ column }) => ({
          figure: metres(closestOf(column).subjectM),
          note: times(closestOf(column).magnification),
        }),
        differs: ratio((c) => closestOf(c).magnification),
        why: ({ column }) => ({
          title: 'Closest focus and magnification',
          formula: 'a converter behind the lens leaves its focus where it was; m′ = M m',
          inputs: [
            ['closest focus of the lens', metres(column.rig.lens.closestFocusM)],
            ['from the sensor there', metres(closestOf(column).subjectM)],
            ['M', fixed(column.report.optics.train.factor, 4)],
            ['magnification there', times(closestOf(column).magnification, 3)],
          ],
          evidence:
            column.rig.lens.maxMagnification === null
              ? `Its greatest magnification is not told: from its focal length, thin lens.`
              : 'Its greatest magnification as its record tells it.',
        }),
      },
      known('zoomFocus', 'Focus while zooming, as you saw it'),
    ],
  },
];
