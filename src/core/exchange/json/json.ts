/** JSON text in, parsed value out, with the place named where it breaks. */
import { parse, type ParseError } from 'jsonc-parser';
import { fail, ok, type Result, fixed } from '../../words';

/** Largest file read as a workspace or rig, bytes. */
export const MOST_JSON_BYTES = 64 * 1024 * 1024;

const megabytes = (bytes: number): string => `${fixed(bytes / 1024 / 1024, 0)} MB`;

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

/** No record of ours is nested nearly as deep; a parser goes down as deep as it is led, until its stack ends. */
const DEEPEST = 64;

/** Whether lists and objects of a JSON text stand more than `most` deep in one another. */
function isTooDeep(text: string, most = DEEPEST): boolean {
  let depth = 0;
  let inText = false;
  for (let i = 0; i < text.length; i += 1) {
    const c = text[i];
    if (inText) {
      if (c === '\\') i += 1;
      else if (c === '"') inText = false;
    } else if (c === '"') inText = true;
    else if (c === '[' || c === '{') {
      depth += 1;
      if (depth > most) return true;
    } else if (c === ']' || c === '}') depth -= 1;
  }
  return false;
}

class ForbiddenKey extends Error {}

/** Where the first thing that is no JSON stands, and whether the text simply ends too soon. */
function firstFault(text: string): { offset: number; cutShort: boolean } {
  const faults: ParseError[] = [];
  parse(text, faults, { disallowComments: true, allowTrailingComma: false });
  const [first] = faults.sort((a, b) => a.offset - b.offset);
  const end = text.trimEnd().length;
  if (!first) return { offset: end, cutShort: true };
  return { offset: first.offset, cutShort: first.offset + first.length >= end };
}

/** "line 3, column 14" of an offset. */
function placeOf(offset: number, text: string): string {
  const before = text.slice(0, offset).split('\n');
  return `line ${before.length}, column ${(before.at(-1) ?? '').length + 1}`;
}

/** Parses JSON; refuses keys that could change how objects behave. */
export function parseJson(text: string, name: string): Result<unknown> {
  if (text.trim() === '') return fail('empty', '', `${name} is empty.`);
  if (isTooDeep(text))
    return fail(
      'tooDeep',
      '',
      `${name} is nested more than ${DEEPEST} deep, which no file of ours is.`,
    );
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
    const { offset, cutShort } = firstFault(text);
    const cut = cutShort ? ' It seems cut short.' : '';
    return fail('notJson', '', `${name} is not JSON: it breaks at ${placeOf(offset, text)}.${cut}`);
  }
}
