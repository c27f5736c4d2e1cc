/** The whole workspace as one value and one file. */
import { bodyExample, bodySchema } from './body';
import { dayExample, daySchema } from './day';
import { jobExample, jobSchema } from './job';
import { DEFAULT_JUDGEMENT, judgementSchema } from './judgement';
import { lensExample, lensSchema } from './lens';
import { markingExample, markingSchema } from './marking';
import { measurementExample, measurementSchema } from './measurement';
import { mountExample, mountSchema } from './mount';
import { partExample, partSchema } from './part';
import { rigRecordExample, rigRecordSchema } from './rigRecord';
import { exactly, listOf, record, type JsonSchema, type Static } from './schema';
import { Unsafe, type TArray, type TUnsafe } from '@sinclair/typebox';
import { RECORDS_VERSION } from './version';

export const WORKSPACE_FORMAT = 'wandering-halo/workspace';

/** Schema of one record of each table. */
export const RECORD_SCHEMAS = {
  mounts: mountSchema,
  bodies: bodySchema,
  lenses: lensSchema,
  parts: partSchema,
  rigs: rigRecordSchema,
  markings: markingSchema,
  measurements: measurementSchema,
  jobs: jobSchema,
  days: daySchema,
};

/** The kinds of record a workspace holds, by table. */
export type Tables = { [T in TableName]: Static<(typeof RECORD_SCHEMAS)[T]> };
export type TableName = keyof typeof RECORD_SCHEMAS;
export const TABLE_NAMES = Object.keys(RECORD_SCHEMAS) as readonly TableName[];

/** What one record of each table is called, singular and plural. */
export const TABLE_WORDS: Record<TableName, readonly [one: string, many: string]> = {
  mounts: ['mount', 'mounts'],
  bodies: ['body', 'bodies'],
  lenses: ['lens', 'lenses'],
  parts: ['adapter or converter', 'adapters and converters'],
  rigs: ['rig', 'rigs'],
  markings: ['marking', 'markings'],
  measurements: ['measurement', 'measurements'],
  jobs: ['job', 'jobs'],
  days: ['day', 'days'],
};

/** Schema definitions a file schema refers to, by table name. */
export const DEFINITIONS = { ...RECORD_SCHEMAS, judgement: judgementSchema };
type Definitions = typeof DEFINITIONS;

/** The definition a reference such as "#/definitions/lenses" points to; undefined for none of ours. */
export const definitionAt = (ref: string): JsonSchema | undefined =>
  (DEFINITIONS as Readonly<Record<string, JsonSchema>>)[ref.slice(ref.lastIndexOf('/') + 1)];

/** Where the schema of a table's record, or of the judgement, stands within a file schema. */
export const refTo = <N extends keyof Definitions>(
  name: N,
  extra: { default?: object } = {},
): Ref<N> => Unsafe<Static<Definitions[N]>>({ $ref: `#/definitions/${name}`, ...extra });
type Ref<N extends keyof Definitions> = TUnsafe<Static<Definitions[N]>>;

const tableOf = <T extends TableName>(table: T, most: number): TArray<Ref<T>> =>
  listOf(refTo(table), most, { default: [] });

/** What a file schema says of itself. */
export const FILE_SCHEMA = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  definitions: DEFINITIONS,
};

export const workspaceSchema = record(
  'workspace',
  {
    format: exactly(WORKSPACE_FORMAT),
    version: exactly(RECORDS_VERSION),
    mounts: tableOf('mounts', 2000),
    bodies: tableOf('bodies', 5000),
    lenses: tableOf('lenses', 20_000),
    parts: tableOf('parts', 5000),
    rigs: tableOf('rigs', 5000),
    markings: tableOf('markings', 1000),
    measurements: tableOf('measurements', 50_000),
    jobs: tableOf('jobs', 1000),
    days: tableOf('days', 1000),
    judgement: refTo('judgement', { default: {} }),
  },
  FILE_SCHEMA,
);
export type WorkspaceFile = Static<typeof workspaceSchema>;
export type Workspace = Omit<WorkspaceFile, 'format' | 'version'>;

export const EMPTY_WORKSPACE: Workspace = {
  mounts: [],
  bodies: [],
  lenses: [],
  parts: [],
  rigs: [],
  markings: [],
  measurements: [],
  jobs: [],
  days: [],
  judgement: DEFAULT_JUDGEMENT,
};

export const workspaceExample: WorkspaceFile = {
  format: WORKSPACE_FORMAT,
  version: RECORDS_VERSION,
  mounts: [
    mountExample,
    {
      ...mountExample,
      id: 'ml-18',
      name: 'Mirrorless bayonet 18.00',
      registerMm: 18,
      throatMm: 46,
      aliases: [],
    },
  ],
  bodies: [bodyExample],
  lenses: [lensExample],
  parts: [partExample],
  rigs: [rigRecordExample],
  markings: [markingExample],
  measurements: [measurementExample],
  jobs: [jobExample],
  days: [dayExample],
  judgement: DEFAULT_JUDGEMENT,
};
