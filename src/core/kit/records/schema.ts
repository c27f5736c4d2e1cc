/**
 * A small vocabulary for the schemas of records. A record's type follows from its schema, so that the two
 * cannot drift apart; what the schema calls a field is what the type calls it.
 */
import {
  Array as ArrayOf,
  Boolean as BooleanOf,
  Integer,
  Number as NumberOf,
  Object as ObjectOf,
  String as StringOf,
  Unsafe,
  type ArrayOptions,
  type NumberOptions,
  type ObjectOptions,
  type SchemaOptions,
  type Static,
  type StringOptions,
  type TArray,
  type TBoolean,
  type TInteger,
  type TNumber,
  type TObject,
  type TProperties,
  type TSchema,
  type TString,
  type TUnsafe,
} from '@sinclair/typebox';

export type { Static, TObject, TProperties, TSchema } from '@sinclair/typebox';

/** A JSON object of which nothing is known. */
export type Json = Readonly<Record<string, unknown>>;
/** A schema as anyone may read it. */
export type JsonSchema = Json;

export const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Own field of a JSON object; never what every object has, though a file may call a field "toString". */
export const ownField = (value: Json, key: string): unknown =>
  Object.hasOwn(value, key) ? value[key] : undefined;

/** Whether two JSON values say the same, whatever the order of their keys. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((item, i) => sameValue(item, b[i]));
  if (!isJson(a) || !isJson(b)) return a === b;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameValue(a[key], b[key]))
  );
}

/** A number from `min` to `max`, both allowed. JSON Schema has no NaN or Infinity, so neither passes. */
export const number = (min: number, max: number, extra: NumberOptions = {}): TNumber =>
  NumberOf({ minimum: min, maximum: max, ...extra });

export const integer = (min: number, max: number, extra: NumberOptions = {}): TInteger =>
  Integer({ minimum: min, maximum: max, ...extra });

/** The same schema, or null where the fact is unknown; unknown is the default. */
export function unknownOr<S extends TSchema>(schema: S): TUnsafe<Static<S> | null> {
  const { enum: values, ...rest } = schema as S & { enum?: readonly unknown[] };
  return Unsafe<Static<S> | null>({
    ...rest,
    type: [schema.type, 'null'],
    ...(values && { enum: [...values, null] }),
    default: null,
  });
}

export const text = (maxLength = 200, extra: StringOptions = {}): TString =>
  StringOf({ maxLength, ...extra });

/** Names and ids: at least one character. */
export const label = (maxLength = 200): TString => text(maxLength, { minLength: 1 });

export const flag = (fallback: boolean): TBoolean => BooleanOf({ default: fallback });

export const oneOf = <const V extends readonly (string | number)[]>(
  values: V,
  extra: SchemaOptions = {},
): TUnsafe<V[number]> =>
  Unsafe<V[number]>({
    type: typeof values[0] === 'number' ? 'number' : 'string',
    enum: [...values],
    ...extra,
  });

/** One value and no other. */
export const exactly = <const V extends string | number>(value: V): TUnsafe<V> =>
  Unsafe<V>({ type: typeof value === 'number' ? 'integer' : 'string', const: value });

export const listOf = <S extends TSchema>(
  items: S,
  maxItems: number,
  extra: ArrayOptions = {},
): TArray<S> => ArrayOf(items, { maxItems, ...extra });

/**
 * An object with fields. Those without a default must be told; the others are filled in. Fields the schema
 * does not know are kept, so that a newer program's file survives a round trip.
 */
export function record<P extends TProperties>(
  title: string,
  properties: P,
  extra: ObjectOptions = {},
): TObject<P> {
  const required = Object.keys(properties).filter((key) => !('default' in (properties[key] ?? {})));
  return { ...ObjectOf(properties, { title, ...extra }), required };
}

/** A value with every default of its schema that it has not got, also inside lists and inner records. */
function filled(schema: JsonSchema, value: unknown): unknown {
  if (Array.isArray(value) && isJson(schema.items)) {
    const { items } = schema;
    return value.map((item) => filled(items, item));
  }
  if (!isJson(value) || !isJson(schema.properties)) return value;
  const told = Object.entries(schema.properties).flatMap(([key, field]): [string, unknown][] => {
    if (!isJson(field)) return [];
    const given = key in value ? value[key] : structuredClone(field.default);
    return given === undefined ? [] : [[key, filled(field, given)]];
  });
  return { ...value, ...Object.fromEntries(told) };
}

/** A value without what its schema fills in anyway, also inside lists and inner records: the reverse of completing it. */
export function toldOf(schema: JsonSchema, value: unknown): unknown {
  if (Array.isArray(value) && isJson(schema.items)) {
    const { items } = schema;
    return value.map((item) => toldOf(items, item));
  }
  if (!isJson(value) || !isJson(schema.properties)) return value;
  const { properties } = schema;
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, field]): [string, unknown][] => {
      const its = ownField(properties, key);
      if (!isJson(its)) return [[key, field]];
      if (Object.hasOwn(its, 'default') && sameValue(filled(its, its.default), field)) return [];
      return [[key, toldOf(its, field)]];
    }),
  );
}

/** A record as far as it is told, completed with the defaults of its schema. Nothing is checked. */
export const completed = <S extends TObject>(schema: S, told: Partial<Static<S>>): Static<S> =>
  filled(schema, told) as Static<S>;
