/**
 * How records of earlier versions are brought up to today's: one ordered list for everything that holds
 * records, whether the database's tables, the steps of its journal, backups, workspace or rig files.
 *
 * A new field with a default needs no entry: defaults are filled in wherever records are read. An entry is
 * due where a field is renamed, changes its meaning, or is filled with something other than its default.
 */
import { cleanText, fail, ok, type Result, withTexts } from '../words';
import { isJson, type Json, RECORDS_VERSION, TABLE_NAMES, type TableName } from './records';

/** The tables of a workspace, and the judgement that stands beside them. */
export type Migrated = TableName | 'judgement';

interface Migration {
  /** The version it brings records to, from the one before. */
  to: number;
  /** What that version knows more, or says differently. */
  name: string;
  /** One record of each table it touches; must not change its input. */
  records: Partial<Record<Migrated, (record: Json) => Json>>;
}

/** The record with fields it has not got. */
const fill =
  (fields: Json) =>
  (record: Json): Json => ({ ...fields, ...record });

const REST_OF_SETTINGS = { postScale: 1, shiftXMm: 0, shiftYMm: 0, helicoidMm: 0 };

const PRACTICE: Migration = {
  to: 2,
  name: 'glass plates, helicoids and shift; focus points, sharpness, scale-up in post, circle rules',
  records: {
    parts: fill({ plate: null, helicoidMm: 0, shiftMm: 0 }),
    bodies: fill({ stabiliserStops: null, autofocusPoints: [], coverGlass: null }),
    lenses: fill({
      resolutionLpMm: null,
      resolutionClass: 'good prime',
      radioactive: false,
      price: null,
    }),
    rigs: (rig) => ({ ...rig, settings: fill(REST_OF_SETTINGS)((rig.settings ?? {}) as Json) }),
    judgement: fill({ circle: 'diagonal/1500' }),
  },
};

const SOURCES: Migration = {
  to: 3,
  name: 'threads, mirrors, masses and prices, and where data came from',
  records: {
    mounts: fill({ threadMm: null, pitchMm: null, licence: '' }),
    bodies: fill({ mirrorDepthMm: null, massG: null, price: null, priceNew: null, licence: '' }),
    lenses: fill({ priceNew: null, estimated: [], licence: '' }),
    parts: fill({ price: null, priceNew: null }),
  },
};

/** Versions 3 and 4 of the database brought up its tables alone: steps to undo kept what came before. */
const STEPS_TO_UNDO: Migration = {
  to: 5,
  name: 'steps to undo from before an earlier version was brought up',
  records: Object.fromEntries(
    [...TABLE_NAMES, 'judgement' as const].flatMap((table) => {
      const steps = [PRACTICE, SOURCES].flatMap((m) => m.records[table] ?? []);
      const all = (record: Json) => steps.reduce((r, step) => step(r), record);
      return steps.length > 0 ? [[table, all]] : [];
    }),
  ),
};

/** Fields that may not be empty: names, and what records call one another by. */
const NEVER_EMPTY = /^(id|name|aliases|leaveOut)$|Ids?$/;
const LONGEST_LABEL = 80;

/** A text cleaned; in place of one that showed nothing and may not be empty its characters are told, alike wherever it stands. */
function textCleaned(text: string, field: string): string {
  const clean = cleanText(text);
  if (clean !== '' || text === '' || !NEVER_EMPTY.test(field)) return clean;
  const codes = Array.from(text, (c) => c.codePointAt(0)?.toString(16));
  return `unseen ${codes.join(' ')}`.slice(0, LONGEST_LABEL).trim();
}

/** Texts from before they were cleaned where they come in. */
const CLEAN_TEXTS: Migration = {
  to: 8,
  name: 'texts without characters that nobody sees',
  records: Object.fromEntries(
    [...TABLE_NAMES, 'judgement' as const].map((table) => [
      table,
      (record: Json) => withTexts(record, textCleaned) as Json,
    ]),
  ),
};

/** In order; the last one ends at today's version. */
export const MIGRATIONS: readonly Migration[] = [
  PRACTICE,
  SOURCES,
  { to: 4, name: 'the log: measurements, and markings on barrels', records: {} },
  STEPS_TO_UNDO,
  { to: 6, name: 'jobs, and how gear is to be had', records: {} },
  { to: 7, name: 'days of shooting', records: {} },
  CLEAN_TEXTS,
];

/** One record of a table of version `from` brought up to version `to`, by default today's. */
export function broughtUp(table: Migrated, record: Json, from: number, to = RECORDS_VERSION): Json {
  return MIGRATIONS.filter((m) => m.to > from && m.to <= to).reduce(
    (at, { records }) => records[table]?.(at) ?? at,
    record,
  );
}

export interface FileFormat {
  format: string;
  /** Name for sentences: "workspace". */
  word: string;
  /** Fields that hold records, one or a list, and the table they are of. */
  places: Readonly<Record<string, Migrated>>;
  /** The table of which the file as a whole is a record, if it is one. */
  itself?: Migrated;
}

/**
 * Brings parsed JSON to the present version of its format. Refuses what is not that format, and files of
 * a newer program, with a sentence.
 */
export function migrated(
  data: unknown,
  { format, word, places, itself }: FileFormat,
): Result<Json> {
  if (!isJson(data)) {
    return fail('notObject', '', `this is not a ${word} file: it holds no JSON object.`);
  }
  if (data.format !== format) {
    return fail('format', '/format', `this is not a ${word} file: "format" should be "${format}".`);
  }
  const { version } = data;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return fail(
      'version',
      '/version',
      `version: must be a whole number from 1 to ${RECORDS_VERSION}.`,
    );
  }
  if (version > RECORDS_VERSION) {
    return fail(
      'version',
      '/version',
      `version: this file is of version ${version}, made by a newer program; this one reads up to ${RECORDS_VERSION}.`,
    );
  }
  const up = (table: Migrated) => (value: unknown) =>
    isJson(value) ? broughtUp(table, value, version) : value;
  const records = Object.entries(places).flatMap(([field, table]): [string, unknown][] => {
    const value = data[field];
    if (value === undefined) return [];
    return [[field, Array.isArray(value) ? value.map(up(table)) : up(table)(value)]];
  });
  const whole = itself === undefined ? data : broughtUp(itself, data, version);
  return ok({ ...whole, ...Object.fromEntries(records), version: RECORDS_VERSION });
}
