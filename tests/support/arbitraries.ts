/** Random values that a JSON Schema of ours admits, extremes first. */
import { cleanText } from '@/core/words';
import fc from 'fast-check';
import { type JsonSchema, definitionAt } from '@/core/kit/records';

const num = (v: unknown, fallback: number): number => (typeof v === 'number' ? v : fallback);

function numbers(schema: JsonSchema): fc.Arbitrary<number> {
  const [min, max] = [num(schema.minimum, -1e6), num(schema.maximum, 1e6)];
  const ends = fc.constantFrom(min, max);
  const inside =
    schema.type === 'integer'
      ? fc.integer({ min, max })
      : fc.double({ min, max, noNaN: true, noDefaultInfinity: true });
  return fc.oneof({ weight: 4, arbitrary: inside }, { weight: 1, arbitrary: ends });
}

function objects(schema: JsonSchema): fc.Arbitrary<unknown> {
  const properties = schema.properties as Record<string, JsonSchema>;
  const arbitraries = Object.fromEntries(
    Object.entries(properties).map(([key, value]) => [key, arbitraryOf(value)]),
  );
  return fc.record(arbitraries);
}

/** An arbitrary of everything `schema` admits, with every field filled in. */
export function arbitraryOf(schema: JsonSchema): fc.Arbitrary<unknown> {
  if (typeof schema.$ref === 'string') {
    return arbitraryOf(definitionAt(schema.$ref) ?? {});
  }
  if (schema.const !== undefined) return fc.constant(schema.const);
  if (Array.isArray(schema.enum)) return fc.constantFrom(...(schema.enum as unknown[]));
  if (Array.isArray(schema.type)) {
    const type: unknown = schema.type.find((t) => t !== 'null');
    return fc.option(arbitraryOf({ ...schema, type }), { nil: null });
  }
  switch (schema.type) {
    case 'number':
    case 'integer':
      return numbers(schema);
    case 'boolean':
      return fc.boolean();
    case 'array':
      return fc.array(arbitraryOf(schema.items as JsonSchema), {
        minLength: num(schema.minItems, 0),
        maxLength: Math.min(3, num(schema.maxItems, 3)),
      });
    case 'object':
      return objects(schema);
    default:
      if (schema.pattern) return fc.constantFrom('', '2026-05-12');
      // As texts come through the checks.
      return fc
        .string({
          minLength: num(schema.minLength, 0),
          maxLength: Math.min(12, num(schema.maxLength, 12)),
        })
        .filter((text) => cleanText(text) === text);
  }
}
