/** Whether a stored record can be worked with at all: everything in it is of the kind its schema says. */
import { isJson, type JsonSchema, ownField } from './schema';
import { definitionAt } from './workspace';

type Test = (value: unknown) => boolean;

const OF_TYPE: Readonly<Record<string, Test>> = {
  null: (value) => value === null,
  array: Array.isArray,
  object: isJson,
  number: Number.isFinite,
  integer: Number.isFinite,
  string: (value) => typeof value === 'string',
  boolean: (value) => typeof value === 'boolean',
};

/** The fields a schema asks for are there, and those that are there are what it says. */
function fieldsTest({ properties, required }: JsonSchema): Test {
  const needed = Array.isArray(required) ? (required as string[]) : [];
  const tests = Object.entries(isJson(properties) ? properties : {}).flatMap(
    ([key, field]): [string, Test][] => (isJson(field) ? [[key, testOf(field)]] : []),
  );
  return (value) =>
    !isJson(value) ||
    (needed.every((key) => value[key] !== undefined) &&
      tests.every(([key, test]) => {
        const field = ownField(value, key);
        return field === undefined || test(field);
      }));
}

/** A test made of a schema, so that it is not read anew for every record. */
function made(schema: JsonSchema): Test {
  if (typeof schema.$ref === 'string') {
    const named = definitionAt(schema.$ref);
    return (value) => named !== undefined && testOf(named)(value);
  }
  const tests: Test[] = [];
  const types = [schema.type].flat().flatMap((type) => OF_TYPE[String(type)] ?? []);
  if (types.length > 0) tests.push((value) => types.some((isOf) => isOf(value)));
  if (Array.isArray(schema.enum)) {
    const words = schema.enum as unknown[];
    tests.push((value) => words.includes(value));
  }
  if (isJson(schema.items)) {
    const item = testOf(schema.items);
    tests.push((value) => !Array.isArray(value) || value.every(item));
  }
  if (isJson(schema.properties)) tests.push(fieldsTest(schema));
  return (value) => tests.every((test) => test(value));
}

const known = new WeakMap<JsonSchema, Test>();

function testOf(schema: JsonSchema): Test {
  const test = known.get(schema) ?? made(schema);
  known.set(schema, test);
  return test;
}

/**
 * Whether a value has the fields its schema asks for and lists, objects, texts and figures where they belong. Ranges
 * are not looked at: a figure of before stays usable. Quick enough for every record each time they are read.
 */
export const isWhole = (schema: JsonSchema, value: unknown): boolean => testOf(schema)(value);
