/** halo sweep: a rig over two of its axes, one JSON object a line. */
import type { SweepAxis } from '@/core/sweep/sweep';
import { stepsOf, sweep, SWEEP_AXES } from '@/core/sweep/sweep';
import { badInput, readArgs, type Command } from './command';
import { rigFrom } from './rigInput';
import { darknessWords } from '@/core/words/corners';

const usage =
  'halo sweep RIG.json | WORKSPACE.json#rig-id [--rows aperture] [--columns focal] [--json]';

const OPTIONS = { rows: { type: 'string' }, columns: { type: 'string' } } as const;

function axisFrom(text: string | undefined, name: string, fallback: SweepAxis): SweepAxis {
  if (text === undefined) return fallback;
  const axis = SWEEP_AXES.find((a) => a === text);
  if (!axis) throw badInput(`${name} is one of ${SWEEP_AXES.join(', ')}; it is "${text}".`);
  return axis;
}

export const sweepCommand: Command = {
  usage,
  async run(args) {
    const { values, positionals } = readArgs(args, OPTIONS);
    const { rows, columns } = values as { rows?: string; columns?: string };
    const { rig } = await rigFrom(positionals, usage);
    const rowAxis = axisFrom(rows, '--rows', 'aperture');
    const columnAxis = axisFrom(columns, '--columns', 'focal');
    if (rowAxis === columnAxis) throw badInput('--rows and --columns must be two different axes.');
    const chains = [rig.parts, []];
    const cells = sweep(rig, stepsOf(rig, rowAxis, chains), stepsOf(rig, columnAxis, chains));
    return {
      lines: cells,
      row: (cell) => {
        const { row, column, verdict, worstCornerStops } = cell as {
          row: string;
          column: string;
          verdict: string;
          worstCornerStops: number | null;
        };
        const corner = darknessWords(worstCornerStops, 2);
        return `${row.padEnd(14)} ${column.padEnd(14)} ${verdict.padEnd(8)} ${corner}`;
      },
    };
  },
};
