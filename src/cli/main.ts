/** The halo command: the same core as the screen, on files and standard input. */
import { CliError, type Command, type Output } from './command';
import { convertCommand } from './convert';
import { chooseCommand } from './choose';
import { coverageCommand } from './coverage';
import { evaluateCommand } from './evaluate';
import { measureCommand } from './measure';
import { sweepCommand } from './sweep';

const COMMANDS: Readonly<Record<string, Command>> = {
  coverage: coverageCommand,
  convert: convertCommand,
  evaluate: evaluateCommand,
  sweep: sweepCommand,
  choose: chooseCommand,
  measure: measureCommand,
};

interface Streams {
  stdout: { write: (text: string) => unknown };
  stderr: { write: (text: string) => unknown };
}

const help = (): string =>
  `usage:\n${Object.values(COMMANDS)
    .map((c) => `  ${c.usage}`)
    .join('\n')}\nLengths in mm, light in stops (log2). Exit 2: bad input; 3: cannot answer.\n`;

function table(rows: Output['rows']): string {
  const width = Math.max(...rows.map(([label]) => label.length));
  return rows.map(([label, value]) => `${label.padEnd(width)}  ${value}\n`).join('');
}

/** Runs the command line; answers the exit code. */
export async function main(argv: readonly string[], { stdout, stderr }: Streams): Promise<number> {
  const [name, ...args] = argv;
  if (name === undefined || name === 'help' || name === '--help') {
    stdout.write(help());
    return 0;
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!command) {
    stderr.write(`there is no command "${name}"; there are ${Object.keys(COMMANDS).join(', ')}.\n`);
    return 2;
  }
  if (args.includes('--help')) {
    stdout.write(`usage:\n  ${command.usage}\n`);
    return 0;
  }
  try {
    const output = await command.run(args);
    const json = args.includes('--json');
    if ('lines' in output) {
      for (const line of output.lines)
        stdout.write(`${json ? JSON.stringify(line) : output.row(line)}\n`);
      return 0;
    }
    stdout.write(json ? `${JSON.stringify(output.json, null, 2)}\n` : table(output.rows));
    for (const complaint of output.complaints ?? []) stderr.write(`${complaint}\n`);
    return output.exitCode ?? 0;
  } catch (error) {
    if (!(error instanceof CliError)) throw error;
    stderr.write(`${error.message}\n`);
    return error.exitCode;
  }
}
