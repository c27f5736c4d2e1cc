/** The whole workspace as one value and one file. */
import { bodyExample, bodySchema, type Body } from './body';
import { DEFAULT_JUDGEMENT, judgementSchema, type Judgement } from './judgement';
import { lensExample, lensSchema, type Lens } from './lens';
import { markingExample, markingSchema, type Marking } from './marking';
import { measurementExample, measurementSchema, type Measurement } from './measurement';
import { mountExample, mountSchema, type Mount } from './mount';
import { partExample, partSchema, type Part } from './part';
import { rigRecordExample, rigRecordSchema, type RigRecord } from './rigRecord';
import { listOf, record, type JsonSchema, type RecordSchema } from './schema';

export const WORKSPACE_FORMAT = 'wandering-halo/workspace';
export const WORKSPACE_VERSION = 1;

/** The kinds of record a workspace holds, by table. */
export interface Tables {
  mounts: Mount;
  bodies: Body;
  lenses: Lens;
  parts: Part;
  rigs: RigRecord;
  markings: Marking;
  measurements: Measurement;
}

export type TableName = keyof Tables;
export const TABLE_NAMES: readonly TableName[] = [
  'mounts',
  'bodies',
  'lenses',
  'parts',
  'rigs',
  'markings',
  'measurements',
];

/** What one record of each table is called, singular and plural. */
export const TABLE_WORDS: Record<TableName, readonly [one: string, many: string]> = {
  mounts: ['mount', 'mounts'],
  bodies: ['body', 'bodies'],
  lenses: ['lens', 'lenses'],
  parts: ['adapter or converter', 'adapters and converters'],
  rigs: ['rig', 'rigs'],
  markings: ['marking', 'markings'],
  measurements: ['measurement', 'measurements'],
};

export type Workspace = { [T in TableName]: Tables[T][] } & { judgement: Judgement };

export interface WorkspaceFile extends Workspace {
  format: typeof WORKSPACE_FORMAT;
  version: typeof WORKSPACE_VERSION;
}

/** Schema of one record of each table. */
const RECORD_SCHEMAS: Record<TableName, RecordSchema> = {
  mounts: mountSchema,
  bodies: bodySchema,
  lenses: lensSchema,
  parts: partSchema,
  rigs: rigRecordSchema,
  markings: markingSchema,
  measurements: measurementSchema,
};

/** Schema definitions a file schema refers to, by table name. */
export const DEFINITIONS: JsonSchema = { ...RECORD_SCHEMAS, judgement: judgementSchema };

/** Where the schema of a table's record, or of the judgement, stands within a file schema. */
export const refTo = (name: TableName | 'judgement'): JsonSchema => ({
  $ref: `#/definitions/${name}`,
});

const MOST_RECORDS: Record<TableName, number> = {
  mounts: 2000,
  bodies: 5000,
  lenses: 20_000,
  parts: 5000,
  rigs: 5000,
  markings: 1000,
  measurements: 50_000,
};

const tableSchema = (table: TableName): JsonSchema =>
  listOf(refTo(table), MOST_RECORDS[table], { default: [] });

export const workspaceSchema = record<WorkspaceFile>(
  'workspace',
  {
    format: { type: 'string', const: WORKSPACE_FORMAT },
    version: { type: 'integer', const: WORKSPACE_VERSION },
    mounts: tableSchema('mounts'),
    bodies: tableSchema('bodies'),
    lenses: tableSchema('lenses'),
    parts: tableSchema('parts'),
    rigs: tableSchema('rigs'),
    markings: tableSchema('markings'),
    measurements: tableSchema('measurements'),
    judgement: { ...refTo('judgement'), default: {} },
  },
  ['format', 'version'],
  { $schema: 'http://json-schema.org/draft-07/schema#', definitions: DEFINITIONS },
);

export const EMPTY_WORKSPACE: Workspace = {
  mounts: [],
  bodies: [],
  lenses: [],
  parts: [],
  rigs: [],
  markings: [],
  measurements: [],
  judgement: DEFAULT_JUDGEMENT,
};

export const workspaceExample: WorkspaceFile = {
  format: WORKSPACE_FORMAT,
  version: WORKSPACE_VERSION,
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
  judgement: DEFAULT_JUDGEMENT,
};
