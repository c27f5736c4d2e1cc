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
  apertureSteps,
  gapsOf,
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
/** A cell without its rig; the verdict is one word, and the other one of a coin's toss stands beside it. */
const cellLine = ({ rig: _, verdict, ...cell }: SweepCell) => ({
  ...cell,
  verdict: verdict?.kind ?? null,
  or: verdict?.or ?? null,
});

function* lines(cells: Iterable<SweepCell>) {
  for (const cell of cells) yield cellLine(cell);
}

function windowsOf({ rig }: RigInput): Output {
  const { now, byAperture: windows, widest, roomiest, widenings } = sweepAnswer(rig);
  const steps = apertureSteps(rig);
  const byAperture = windows.map((found) => {
    const step = steps.find(({ label }) => label === found.label);
    return { ...found, gaps: step ? gapsOf(rig, step, found) : [] };
  });
  return {
    json: { now, byAperture, widest, roomiest, widenings },
    rows: [
      ['At the aperture in use', `${sweepHeadline(rig.lens, now)}.`],
      ...byAperture.map((w): [string, string] => [
        w.label,
        [whereClear(rig.lens, w), ...w.tosses.map(tossWords), ...w.gaps.map(gapWords)].join('; '),
      ]),
      ...(widest ? [['Widest Clear', `${spotWords(widest)}, ${spareWords(widest)}`] as const] : []),
      ...(roomiest
        ? [['Most to spare', `${spotWords(roomiest)}, ${spareWords(roomiest)}`] as const]
        : []),
      ...widenings.map((w): [string, string] => [w.words, whereClear(rig.lens, w.windows)]),
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
      const { row, column, verdict, or, worstCornerStops, cannot } = line as ReturnType<
        typeof cellLine
      >;
      const face = verdict === null ? '' : verdictWords({ kind: verdict, or });
      const head = `${row.padEnd(16)} ${column.padEnd(16)}`;
      return cannot === null
        ? `${head} ${face.padEnd(18)} ${darknessWords(worstCornerStops, 2)}`
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
