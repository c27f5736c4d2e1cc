/** Errors as values: a code, a place, and a sentence a photographer understands. */

export interface Problem {
  code: string;
  /** Where: a JSON path such as /lenses/3/openFNumberWide, or empty. */
  path: string;
  sentence: string;
}

export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (code: string, path: string, sentence: string): Result<never> => ({
  ok: false,
  problems: [{ code, path, sentence }],
});

/** The first few problems as text, one a line, and how many more there are. */
export function problemText(problems: readonly Problem[], most = 5): string {
  const lines = problems.slice(0, most).map((p) => p.sentence);
  const rest = problems.length - lines.length;
  return rest > 0 ? [...lines, `and ${rest} more.`].join('\n') : lines.join('\n');
}

/** The same result, its problems told of something by its name. */
export const named = <T>(result: Result<T>, name: string): Result<T> =>
  result.ok
    ? result
    : {
        ok: false,
        problems: result.problems.map((p) => ({ ...p, sentence: `${name}, ${p.sentence}` })),
      };
