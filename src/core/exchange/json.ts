/** JSON text in, parsed value out, with the place named where it breaks. */
import { fail, ok, type Result } from '../kit/problem';

/** Largest file read as a workspace or rig, bytes. */
export const MOST_JSON_BYTES = 64 * 1024 * 1024;

const megabytes = (bytes: number): string => `${(bytes / 1024 / 1024).toFixed(0)} MB`;

/** Refuses a file by its size before it is read. */
export function checkSize(bytes: number, name: string): Result<null> {
  if (bytes === 0) return fail('empty', '', `${name} is empty.`);
  if (bytes > MOST_JSON_BYTES) {
    return fail(
      'tooLarge',
      '',
      `${name} is ${megabytes(bytes)}; at most ${megabytes(MOST_JSON_BYTES)} can be read.`,
    );
  }
  return ok(null);
}

class ForbiddenKey extends Error {}

/** "line 3, column 14" of the place the parser's message names, or the end of a truncated text. */
function placeOf(message: string, text: string): string {
  const position = /position (\d+)/.exec(message);
  const offset = position ? Number(position[1]) : text.length;
  const before = text.slice(0, offset).split('\n');
  return `line ${before.length}, column ${(before.at(-1) ?? '').length + 1}`;
}

/** Parses JSON; refuses keys that could change how objects behave. */
export function parseJson(text: string, name: string): Result<unknown> {
  if (text.trim() === '') return fail('empty', '', `${name} is empty.`);
  try {
    return ok(
      JSON.parse(text, (key, value: unknown) => {
        if (key === '__proto__') throw new ForbiddenKey();
        return value;
      }),
    );
  } catch (error) {
    if (error instanceof ForbiddenKey) {
      return fail('forbiddenKey', '', `${name} holds the key "__proto__", which is not allowed.`);
    }
    const message = error instanceof Error ? error.message : '';
    const cut = /end of JSON|Unterminated/.test(message) ? ' It seems cut short.' : '';
    return fail(
      'notJson',
      '',
      `${name} is not JSON: it breaks at ${placeOf(message, text)}.${cut}`,
    );
  }
}
