/**
 * Fields of a record from its schema: a path the record has not got, or one of another sort, does not
 * compile; what can be chosen and whether a fact may be unknown are read off the schema.
 */
import type { JsonSchema, Static, TObject, TSchema } from '../records';
import type { Field, NumberField, ScalarField } from './fieldTypes';
import type { PathTo } from './paths';
import type { Unit } from './quantity';

type ItemOf<V> = V extends readonly (infer I)[] ? I : never;
type Fresh<V> = NonNullable<V>;

/** The schema of the field at a dotted path. */
function schemaAt(schema: JsonSchema, path: string): JsonSchema {
  return path.split('.').reduce<JsonSchema>((at, key) => {
    const inner = (at.properties as Readonly<Record<string, JsonSchema>> | undefined)?.[key];
    if (!inner) throw new RangeError(`the schema has no field ${path}`);
    return inner;
  }, schema);
}

export function fieldsOf<S extends TObject | (TSchema & JsonSchema)>(schema: S) {
  type T = Static<S>;
  const number = (path: PathTo<T, 'number'>, label: string, unit: Unit = ''): NumberField => ({
    kind: 'number',
    path,
    label,
    unit,
    unknown: [schemaAt(schema, path).type].flat().includes('null'),
  });
  return {
    number,
    text: (path: PathTo<T, 'text'>, label: string, long = false): ScalarField => ({
      kind: 'text',
      path,
      label,
      long,
    }),
    choice: (path: PathTo<T, 'choice'>, label: string): ScalarField => ({
      kind: 'choice',
      path,
      label,
      options: schemaAt(schema, path).enum as readonly string[],
    }),
    flag: (path: PathTo<T, 'flag'>, label: string): ScalarField => ({ kind: 'flag', path, label }),
    mount: (path: PathTo<T, 'text'>, label: string): ScalarField => ({
      kind: 'mount',
      path,
      label,
    }),
    names: (path: PathTo<T, 'names'>, label: string): ScalarField => ({
      kind: 'names',
      path,
      label,
    }),
    numbers: (path: PathTo<T, 'numbers'>, label: string, unit: Unit = ''): ScalarField => ({
      kind: 'numbers',
      path,
      label,
      unit,
    }),
    /** Both sides of a frame. */
    size: (path: PathTo<T, 'inner'> & keyof T & string, label: string): readonly ScalarField[] =>
      (['widthMm', 'heightMm'] as const).map((side) => ({
        kind: 'number',
        path: `${path}.${side}`,
        label: `${label}, ${side === 'widthMm' ? 'width' : 'height'}`,
        unit: 'mm',
        unknown: false,
      })),
    /** Any number of records; `summary` is the field by which one is told from another. */
    list: <P extends PathTo<T, 'list'> & keyof T & string>(
      path: P,
      label: string,
      {
        one,
        summary,
        fresh,
        fields,
      }: {
        one: string;
        summary: keyof ItemOf<T[P]> & string;
        fresh: ItemOf<T[P]> & object;
        fields: readonly Field[];
      },
    ): Field => ({ kind: 'list', path, label, one, summary, fresh, fields }),
    /** A record that may be unknown or absent; `fresh` is what it begins with. */
    maybe: <P extends PathTo<T, 'maybe'> & keyof T & string>(
      path: P,
      label: string,
      { fresh, fields }: { fresh: Fresh<T[P]> & object; fields: readonly Field[] },
    ): Field => ({ kind: 'maybe', path, label, fields, fresh }),
  };
}
