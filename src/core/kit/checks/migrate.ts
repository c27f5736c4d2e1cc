/** Older files brought up to the present version, one step a version. */
import { fail, ok, type Result } from '../../words/problem';

export type Step = (file: Record<string, unknown>) => Record<string, unknown>;

export interface FormatHistory {
  format: string;
  /** Name for sentences: "workspace". */
  word: string;
  version: number;
  /** Step k brings version k to k + 1. */
  steps: Readonly<Record<number, Step>>;
}

/**
 * Brings parsed JSON to the present version of its format. Refuses what is not that format, and files of
 * a newer program, with a sentence.
 */
export function migrate(data: unknown, history: FormatHistory): Result<Record<string, unknown>> {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) {
    return fail('notObject', '', `this is not a ${history.word} file: it holds no JSON object.`);
  }
  let file = data as Record<string, unknown>;
  if (file.format !== history.format) {
    return fail(
      'format',
      '/format',
      `this is not a ${history.word} file: "format" should be "${history.format}".`,
    );
  }
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail(
      'version',
      '/version',
      `version: must be a whole number from 1 to ${history.version}.`,
    );
  }
  if (version > history.version) {
    return fail(
      'version',
      '/version',
      `version: this file is of version ${version}, made by a newer program; this one reads up to ${history.version}.`,
    );
  }
  for (let v = version; v < history.version; v += 1) {
    const step = history.steps[v];
    if (!step)
      return fail('version', '/version', `version: files of version ${v} can no longer be read.`);
    file = { ...step(file), version: v + 1 };
  }
  return ok(file);
}
