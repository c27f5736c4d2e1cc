/** The halo command: the same core as the screen, on files and standard input. */
import { harmless } from '@/core/words';
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

/** Runs the command line; answers the exit code. What is meant to be read holds nothing a terminal would obey. */
export async function main(argv: readonly string[], { stdout, stderr }: Streams): Promise<number> {
  const say = (text: string) => stdout.write(harmless(text));
  const complain = (text: string) => stderr.write(harmless(text));
  const [name, ...args] = argv;
  if (name === undefined || name === 'help' || name === '--help') {
    say(help());
    return 0;
  }
  const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!command) {
    complain(`there is no command "${name}"; there are ${Object.keys(COMMANDS).join(', ')}.\n`);
    return 2;
  }
  if (args.includes('--help')) {
    say(`usage:\n  ${command.usage}\n`);
    return 0;
  }
  try {
    const output = await command.run(args);
    const json = args.includes('--json');
    if ('lines' in output) {
      for (const line of output.lines)
        if (json) stdout.write(`${JSON.stringify(line)}\n`);
        else say(`${output.row(line)}\n`);
      return 0;
    }
    if (json) stdout.write(`${JSON.stringify(output.json, null, 2)}\n`);
    else say(table(output.rows));
    for (const complaint of output.complaints ?? []) complain(`${complaint}\n`);
    return output.exitCode ?? 0;
  } catch (error) {
    if (!(error instanceof CliError)) throw error;
    complain(`${error.message}\n`);
    return error.exitCode;
  }
}
