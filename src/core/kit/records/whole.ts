/** Whether a stored record can be worked with at all: everything in it is of the kind its schema says. */
import { isJson, type Json, type JsonSchema, ownField } from './schema';
import { definitionAt } from './workspace';

function isOfType(type: unknown, value: unknown): boolean {
  switch (type) {
    case 'null':
      return value === null;
    case 'array':
      return Array.isArray(value);
    case 'object':
      return isJson(value);
    case 'number':
    case 'integer':
      return typeof value === 'number' && Number.isFinite(value);
    default:
      return typeof value === type;
  }
}

const hasItsFields = (schema: JsonSchema, value: Json): boolean =>
  (!Array.isArray(schema.required) ||
    schema.required.every((key: string) => value[key] !== undefined)) &&
  Object.entries(isJson(schema.properties) ? schema.properties : {}).every(
    ([key, field]) =>
      ownField(value, key) === undefined || !isJson(field) || isWhole(field, value[key]),
  );

/**
 * Whether a value has the fields its schema asks for and lists, objects, texts and figures where they belong. Ranges
 * are not looked at: a figure of before stays usable. Quick enough for every record each time they are read.
 */
export function isWhole(schema: JsonSchema, value: unknown): boolean {
  if (typeof schema.$ref === 'string') {
    const named = definitionAt(schema.$ref);
    return named !== undefined && isWhole(named, value);
  }
  const types = [schema.type].flat();
  if (schema.type !== undefined && !types.some((type) => isOfType(type, value))) return false;
  if (Array.isArray(schema.enum) && !schema.enum.includes(value)) return false;
  if (Array.isArray(value) && isJson(schema.items)) {
    const { items } = schema;
    return value.every((item) => isWhole(items, item));
  }
  return !isJson(value) || hasItsFields(schema, value);
}
