/** Small vocabulary for JSON Schemas, so that a record's schema reads like its type. */

export type JsonSchema = Readonly<Record<string, unknown>>;

export interface RecordSchema extends JsonSchema {
  readonly title: string;
  readonly type: 'object';
  readonly properties: Readonly<Record<string, JsonSchema>>;
  readonly required: readonly string[];
}

/** A number from `min` to `max`, both allowed. JSON Schema has no NaN or Infinity, so neither passes. */
export const number = (min: number, max: number, extra: JsonSchema = {}): JsonSchema => ({
  type: 'number',
  minimum: min,
  maximum: max,
  ...extra,
});

export const integer = (min: number, max: number, extra: JsonSchema = {}): JsonSchema => ({
  ...number(min, max, extra),
  type: 'integer',
});

/** The same schema, or null where the fact is unknown; unknown is the default. */
export const unknownOr = (schema: JsonSchema): JsonSchema => ({
  ...schema,
  type: [schema.type, 'null'],
  ...(Array.isArray(schema.enum) ? { enum: [...(schema.enum as unknown[]), null] } : {}),
  default: null,
});

export const text = (maxLength = 200, extra: JsonSchema = {}): JsonSchema => ({
  type: 'string',
  maxLength,
  ...extra,
});

/** Names and ids: at least one character. */
export const label = (maxLength = 200): JsonSchema => text(maxLength, { minLength: 1 });

export const flag = (fallback: boolean): JsonSchema => ({ type: 'boolean', default: fallback });

export const oneOf = (
  values: readonly (string | number)[],
  extra: JsonSchema = {},
): JsonSchema => ({
  type: typeof values[0] === 'number' ? 'number' : 'string',
  enum: values,
  ...extra,
});

export const listOf = (
  items: JsonSchema,
  maxItems: number,
  extra: JsonSchema = {},
): JsonSchema => ({
  type: 'array',
  items,
  maxItems,
  ...extra,
});

/**
 * An object with every key of T described. Keys not in `required` must carry a default.
 * Fields the schema does not know are kept, so that a newer program's file survives a round trip.
 */
export function record<T extends object>(
  title: string,
  properties: Record<Extract<keyof T, string>, JsonSchema>,
  required: readonly Extract<keyof T, string>[],
  extra: JsonSchema = {},
): RecordSchema {
  return { title, type: 'object', properties, required, ...extra };
}
