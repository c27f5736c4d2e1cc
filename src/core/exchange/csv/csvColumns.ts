/** Which columns a table has as CSV: one for every fact of a record, lists and unknown facts as JSON. */
import { type KitTable, FIELDS, type Unit } from '../../kit/fields';
import { type JsonSchema, RECORD_SCHEMAS } from '../../kit/records';

export interface Column {
  /** Place in the record, with dots; also the column's heading. */
  path: string;
  /** The name a person gives it, for recognising headings of other programs. */
  label: string;
  kind: 'number' | 'text' | 'flag' | 'json';
  nullable: boolean;
  unit: Unit;
}

/** Heading of the column for facts this program does not know. */
export const MORE = 'more';

const propertiesOf = (schema: JsonSchema): [string, JsonSchema][] =>
  Object.entries((schema.properties ?? {}) as Record<string, JsonSchema>);

/** An object that is always there is spread over columns of its own. */
export const isSpread = (schema: JsonSchema): boolean =>
  schema.type === 'object' && schema.properties !== undefined;

function columnOf(table: KitTable, path: string, schema: JsonSchema): Column {
  const types = [schema.type].flat();
  const field = FIELDS[table].flatMap((g) => g.fields).find((f) => f.path === path);
  const kind =
    types.includes('number') || types.includes('integer')
      ? 'number'
      : types.includes('boolean')
        ? 'flag'
        : types.includes('string')
          ? 'text'
          : 'json';
  return {
    path,
    label: field?.label ?? path,
    kind,
    nullable: types.includes('null'),
    unit: field && 'unit' in field ? field.unit : '',
  };
}

function columnsUnder(table: KitTable, schema: JsonSchema, before: string): Column[] {
  return propertiesOf(schema).flatMap(([key, inner]) =>
    isSpread(inner)
      ? columnsUnder(table, inner, `${before}${key}.`)
      : [columnOf(table, `${before}${key}`, inner)],
  );
}

export const schemaOf = (table: KitTable): JsonSchema => RECORD_SCHEMAS[table];

export const columnsOf = (table: KitTable): Column[] => columnsUnder(table, schemaOf(table), '');

type Json = Record<string, unknown>;

/** What of a record stands in no column: facts a newer program put there. */
export function leftOver(record: Json, schema: JsonSchema): Json {
  const known = new Map(propertiesOf(schema));
  const left: Json = {};
  for (const [key, value] of Object.entries(record)) {
    const inner = known.get(key);
    if (!inner) left[key] = value;
    else if (isSpread(inner) && typeof value === 'object' && value !== null) {
      const deeper = leftOver(value as Json, inner);
      if (Object.keys(deeper).length > 0) left[key] = deeper;
    }
  }
  return left;
}

/** A record with what stood in no column put back in its places. */
export function putBack(record: Json, left: Json): Json {
  const whole = { ...record };
  for (const [key, value] of Object.entries(left)) {
    const here = whole[key];
    const both =
      typeof here === 'object' && here !== null && typeof value === 'object' && value !== null;
    whole[key] = both && !Array.isArray(here) ? putBack(here as Json, value as Json) : value;
  }
  return whole;
}
