/**
 * Unknown values in, checked records with clean texts or sentences out. The only door into the typed inside.
 */
import type { ErrorObject, ValidateFunction } from 'ajv';
import * as validators from './generated/validators';
import { recordProblems, workspaceProblems } from './plausible';
import { valueAtKeys } from '../fields';
import { harmless, ok, type Problem, type Result, withCleanTexts } from '../../words';
import {
  judgementSchema,
  type Judgement,
  framingFileSchema,
  type FramingDecisionList,
  lensFileSchema,
  type LensFile,
  rigFileSchema,
  type RigFile,
  isJson,
  type JsonSchema,
  definitionAt,
  RECORD_SCHEMAS,
  TABLE_WORDS,
  workspaceSchema,
  type TableName,
  type Tables,
  type WorkspaceFile,
} from '../records';

/** Follows a $ref of our own schemas, which all point into the definitions. */
function deref(schema: JsonSchema): JsonSchema {
  const ref = schema.$ref;
  if (typeof ref !== 'string') return schema;
  return definitionAt(ref) ?? schema;
}

function schemaAt(root: JsonSchema, keys: readonly string[]): JsonSchema {
  return keys.reduce<JsonSchema>((schema, key) => {
    const here = deref(schema);
    const properties = here.properties as Record<string, JsonSchema> | undefined;
    return properties?.[key] ?? (here.items as JsonSchema | undefined) ?? {};
  }, root);
}

const plain = (v: unknown): string =>
  typeof v === 'number' || typeof v === 'string' ? `${v}` : '';

/** What a field takes, in words: "a number from 0.5 to 128". */
function allowedWords(schema: JsonSchema): string {
  const s = deref(schema);
  const types = [s.type].flat();
  const or = types.includes('null') ? ', or null where unknown' : '';
  if (s.const !== undefined) return JSON.stringify(s.const);
  if (Array.isArray(s.enum)) return `one of ${s.enum.filter((v) => v !== null).join(', ')}${or}`;
  if (types.includes('number') || types.includes('integer')) {
    const kind = types.includes('integer') ? 'a whole number' : 'a number';
    return `${kind} from ${plain(s.minimum)} to ${plain(s.maximum)}${or}`;
  }
  if (types.includes('string')) {
    if (s.pattern)
      return plain(s.pattern).includes('d{4}')
        ? 'a date such as 2026-05-12, or empty'
        : 'letters, digits, _ and - alone';
    return `text of ${s.minLength ? `${plain(s.minLength)} to` : 'at most'} ${plain(s.maxLength)} characters${or}`;
  }
  if (types.includes('boolean')) return 'true or false';
  if (types.includes('array')) {
    return `a list of ${s.minItems ? `${plain(s.minItems)} to` : 'at most'} ${plain(s.maxItems)} entries`;
  }
  return `an object${or}`;
}

/** A value as it was found, short enough for a sentence. */
function shown(value: unknown): string {
  if (value === undefined) return 'missing';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (isJson(value)) return 'an object';
  const text = JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 57)}…"` : text;
}

/** "/lenses/3/openFNumberWide" as "lens 4 (18–35/1.8), openFNumberWide". */
function placeWords(data: unknown, keys: readonly string[]): string {
  const [table, index, ...rest] = keys;
  if (table !== undefined && index !== undefined && table in TABLE_WORDS && /^\d+$/.test(index)) {
    const record = valueAtKeys(data, [table, index]);
    const name =
      isJson(record) && typeof record.name === 'string'
        ? ` (${harmless(record.name).slice(0, 60)})`
        : '';
    const words = TABLE_WORDS[table as TableName][0];
    return [`${words} ${Number(index) + 1}${name}`, ...rest].join(', ');
  }
  return keys.join(', ');
}

function problemOf(root: JsonSchema, data: unknown, error: ErrorObject): Problem {
  const keys = error.instancePath
    .split('/')
    .slice(1)
    .map((k) => k.replaceAll('~1', '/').replaceAll('~0', '~'));
  if (error.keyword === 'required') {
    const missing = (error.params as { missingProperty: string }).missingProperty;
    const all = [...keys, missing];
    return {
      code: 'missing',
      path: `/${all.join('/')}`,
      sentence: `${placeWords(data, all)}: is missing; it takes ${allowedWords(schemaAt(root, all))}.`,
    };
  }
  const place = placeWords(data, keys);
  return {
    code: error.keyword,
    path: error.instancePath,
    sentence: `${place ? `${place}: ` : ''}must be ${allowedWords(schemaAt(root, keys))}; it is ${shown(valueAtKeys(data, keys))}.`,
  };
}

/** At most so many problems of one value are listed. */
const MOST_PROBLEMS = 100;

/** The first of many problems, and how many more there are; only those told are put into words. */
function firstOf<E>(found: readonly E[], problem: (each: E) => Problem): Problem[] {
  const told = found.slice(0, MOST_PROBLEMS).map(problem);
  const more = found.length - told.length;
  return more > 0
    ? [...told, { code: 'more', path: '', sentence: `there are ${more} more like these.` }]
    : told;
}

/**
 * A list longer than its schema allows, as the error the validator would make of it. Looked for before all
 * else: what stands in it could keep the validator busy for minutes.
 */
function overlongList(schema: JsonSchema, value: unknown, path = ''): ErrorObject | null {
  const here = deref(schema);
  if (Array.isArray(value)) {
    const { maxItems, items } = here;
    if (typeof maxItems === 'number' && value.length > maxItems)
      return { keyword: 'maxItems', instancePath: path, schemaPath: '', params: {} };
    return isJson(items)
      ? firstFound(value, (v, i) => overlongList(items, v, `${path}/${i}`))
      : null;
  }
  const { properties } = here;
  if (!isJson(value) || !isJson(properties)) return null;
  return firstFound(Object.entries(properties), ([key, field]) =>
    isJson(field) && Object.hasOwn(value, key)
      ? overlongList(field, value[key], `${path}/${key}`)
      : null,
  );
}

function firstFound<V, R>(values: readonly V[], find: (value: V, i: number) => R | null): R | null {
  for (const [i, value] of values.entries()) {
    const found = find(value, i);
    if (found !== null) return found;
  }
  return null;
}

function check<T>(
  validator: ValidateFunction,
  root: JsonSchema,
  data: unknown,
  beyond: (value: T) => Problem[],
): Result<T> {
  const overlong = overlongList(root, data);
  if (overlong) return { ok: false, problems: [problemOf(root, data, overlong)] };
  const copy = withCleanTexts(data);
  if (!validator(copy)) {
    const told = firstOf(validator.errors ?? [], (error) => problemOf(root, copy, error));
    return { ok: false, problems: told };
  }
  const problems = beyond(copy as T);
  return problems.length > 0 ? { ok: false, problems: firstOf(problems, (p) => p) } : ok(copy as T);
}

/** Checks a workspace of the present version, fills defaults, keeps unknown fields. */
export const checkWorkspace = (data: unknown): Result<WorkspaceFile> =>
  check<WorkspaceFile>(validators.workspace, workspaceSchema, data, workspaceProblems);

/** Checks a rig file of the present version. */
export const checkRigFile = (data: unknown): Result<RigFile> =>
  check<RigFile>(validators.rigFile, rigFileSchema, data, (file) => [
    ...recordProblems('bodies', file.body, '/body'),
    ...recordProblems('lenses', file.lens, '/lens'),
    ...file.parts.flatMap((part, i) => recordProblems('parts', part, `/parts/${i}`)),
    ...(file.body.modes.some((m) => m.id === file.modeId)
      ? []
      : [
          {
            code: 'unknownMode',
            path: '/modeId',
            sentence: `modeId: the body has no mode "${file.modeId}"; it has ${file.body.modes.map((m) => m.id).join(', ')}.`,
          },
        ]),
  ]);

/** Checks a lens file of the present version. */
export const checkLensFile = (data: unknown): Result<LensFile> =>
  check<LensFile>(validators.lensFile, lensFileSchema, data, (file) => [
    ...recordProblems('lenses', file.lens, '/lens'),
    ...file.bodies.flatMap((body, i) => recordProblems('bodies', body, `/bodies/${i}`)),
    ...file.parts.flatMap((part, i) => recordProblems('parts', part, `/parts/${i}`)),
  ]);

/** Checks a framing decision list; what it names and this program does not know is kept. */
export const checkFramingFile = (data: unknown): Result<FramingDecisionList> =>
  check<FramingDecisionList>(validators.framingFile, framingFileSchema, data, () => []);

/** Checks one record of a table. */
export const checkRecord = <T extends TableName>(table: T, data: unknown): Result<Tables[T]> =>
  check<Tables[T]>(validators[table], RECORD_SCHEMAS[table], data, (value) =>
    recordProblems(table, value, ''),
  );

/** Checks how corners are judged. */
export const checkJudgement = (data: unknown): Result<Judgement> =>
  check<Judgement>(validators.judgement, judgementSchema, data, () => []);
