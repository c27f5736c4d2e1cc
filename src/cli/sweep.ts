/** halo sweep: a rig over two of its axes, a line a cell, or its windows in words. */
import { verdictWords } from '@/core/frame';
import { findChains } from '@/core/rig/search';
import {
  sweepAnswer,
  stepsOf,
  SWEEP_AXES,
  type SweepAxis,
  sweep,
  type SweepCell,
  gapWords,
  spareWords,
  spotWords,
  sweepHeadline,
  whereClear,
  tossWords,
} from '@/core/sweep';
import { darknessWords } from '@/core/words';
import { badInput, readArgs, type Command, type Output, type Stream } from './command';
import { rigFrom, type RigInput } from './rigInput';

const usage =
  'halo sweep RIG.json | WORKSPACE.json#rig [--rows aperture] [--columns focal] [--windows] [--json]';

const OPTIONS = {
  rows: { type: 'string' },
  columns: { type: 'string' },
  windows: { type: 'boolean' },
} as const;

interface Values {
  rows?: string;
  columns?: string;
  windows?: boolean;
}

function axisFrom(text: string | undefined, name: string, fallback: SweepAxis): SweepAxis {
  if (text === undefined) return fallback;
  const axis = SWEEP_AXES.find((a) => a === text);
  if (!axis) throw badInput(`${name} is one of ${SWEEP_AXES.join(', ')}; it is "${text}".`);
  return axis;
}

/** What may stand between lens and body, the rig's own train first. */
function chainsFor({ rig, kit }: RigInput) {
  const own = rig.parts.map((p) => p.id).join('/');
  const others = findChains(rig.lens, rig.body, kit, rig.mounts, 2)
    .chains.map((c) => c.parts)
    .filter((parts) => parts.map((p) => p.id).join('/') !== own);
  return [rig.parts, ...others];
}

/** Without the rig itself, which its settings and ids tell. */
const cellLine = ({ rig: _, ...cell }: SweepCell) => cell;

function* lines(cells: Iterable<SweepCell>) {
  for (const cell of cells) yield cellLine(cell);
}

function windowsOf({ rig }: RigInput): Output {
  const { now, byAperture, widest, roomiest, widenings } = sweepAnswer(rig);
  return {
    json: { now, byAperture, widest, roomiest, widenings },
    rows: [
      [
        'At the aperture in use',
        [sweepHeadline(rig.lens, now), ...now.gaps.map(gapWords)].join('; ') + '.',
      ],
      ...byAperture.map((w): [string, string] => [
        w.label,
        [whereClear(w), ...w.tosses.map(tossWords)].join('; '),
      ]),
      ...(widest ? [['Widest Clear', `${spotWords(widest)}, ${spareWords(widest)}`] as const] : []),
      ...(roomiest
        ? [['Most to spare', `${spotWords(roomiest)}, ${spareWords(roomiest)}`] as const]
        : []),
      ...widenings.map((w): [string, string] => [w.words, whereClear(w.windows)]),
    ],
  };
}

function matrixOf(input: RigInput, { rows, columns }: Values): Stream {
  const rowAxis = axisFrom(rows, '--rows', 'aperture');
  const columnAxis = axisFrom(columns, '--columns', 'focal');
  if (rowAxis === columnAxis) throw badInput('--rows and --columns must be two different axes.');
  const { rig } = input;
  const chains = chainsFor(input);
  const cells = sweep(rig, stepsOf(rig, rowAxis, { chains }), stepsOf(rig, columnAxis, { chains }));
  return {
    lines: lines(cells),
    row: (line) => {
      const { row, column, verdict, worstCornerStops, cannot } = line as Omit<SweepCell, 'rig'>;
      const head = `${row.padEnd(16)} ${column.padEnd(16)}`;
      return cannot === null
        ? `${head} ${(verdict ? verdictWords(verdict) : '').padEnd(18)} ${darknessWords(worstCornerStops, 2)}`
        : `${head} ${'–'.padEnd(18)} ${cannot}`;
    },
  };
}

export const sweepCommand: Command = {
  usage,
  async run(args) {
    const { values, positionals } = readArgs(args, OPTIONS);
    const asked = values as Values;
    const input = await rigFrom(positionals, usage);
    return asked.windows ? windowsOf(input) : matrixOf(input, asked);
  },
};
