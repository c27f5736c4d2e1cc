/** What a subcommand is, and how its arguments are read. */
import { parseArgs, type ParseArgsConfig } from 'node:util';
import { problemText, type Problem } from '@/core/words';
import { parseFrame, type FrameSize } from '@/core/optics';

/** Exit codes: 0 answered, 2 bad input, 3 cannot answer. */
const BAD_INPUT = 2;
export const CANNOT_ANSWER = 3;

export class CliError extends Error {
  constructor(
    readonly exitCode: number,
    sentence: string,
  ) {
    super(sentence);
  }
}

export const badInput = (sentence: string): CliError => new CliError(BAD_INPUT, sentence);

export const refused = (problems: readonly Problem[]): CliError => badInput(problemText(problems));

export interface Output {
  /** What --json prints. */
  json: unknown;
  /** What is printed without it: rows of label and value. */
  rows: readonly (readonly [label: string, value: string])[];
  /** Sentences for standard error about parts of the input that could not be used. */
  complaints?: readonly string[];
  /** Exit code where an answer was given that is none. */
  exitCode?: number;
}

/** An answer that comes line by line, as it is worked out. */
export interface Stream {
  lines: Iterable<unknown>;
  /** A line as readable text. */
  row: (line: unknown) => string;
}

export interface Command {
  usage: string;
  run: (args: readonly string[]) => Output | Promise<Output | Stream>;
}

export type Options = NonNullable<ParseArgsConfig['options']>;

/** Reads options strictly; an unknown one is a sentence, not a stack trace. */
export function readArgs(args: readonly string[], options: Options) {
  try {
    return parseArgs({
      args: joinNegatives(args),
      options: { ...options, json: { type: 'boolean' } },
      allowPositionals: true,
    });
  } catch (error) {
    throw badInput(error instanceof Error ? error.message : 'the arguments cannot be read');
  }
}

/** "--offset -0.8,0.5" as "--offset=-0.8,0.5": a value may begin with a minus. */
function joinNegatives(args: readonly string[]): string[] {
  const out: string[] = [];
  for (const arg of args) {
    const last = out.at(-1);
    if (/^-\d|^-\.\d/.test(arg) && last?.startsWith('--') && !last.includes('=')) {
      out[out.length - 1] = `${last}=${arg}`;
    } else out.push(arg);
  }
  return out;
}

/** A number from `min` to `max`, or a sentence with the allowed range. */
export function numberFrom(text: string, name: string, min: number, max: number): number {
  const value = text.trim() === '' ? Number.NaN : Number(text);
  if (!(value >= min && value <= max)) {
    throw badInput(`${name} must be a number from ${min} to ${max}; it is "${text}".`);
  }
  return value;
}

export function optionalNumber(
  text: string | undefined,
  name: string,
  min: number,
  max: number,
): number | null {
  return text === undefined ? null : numberFrom(text, name, min, max);
}

export function requiredNumber(
  text: string | undefined,
  name: string,
  min: number,
  max: number,
): number {
  if (text === undefined)
    throw badInput(`${name} is missing; it takes a number from ${min} to ${max}.`);
  return numberFrom(text, name, min, max);
}

export function frameFrom(text: string | undefined, name: string): FrameSize {
  if (text === undefined) throw badInput(`${name} is missing; give a size in mm such as 36x24.`);
  const frame = parseFrame(text);
  if (!frame)
    throw badInput(`${name} must be a size in mm from 0.5 to 400, such as 36x24; it is "${text}".`);
  return frame;
}
