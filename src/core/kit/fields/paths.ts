/** Values of a record by the path of their field, as a type and at run time. */

type Inner = Readonly<Record<string, unknown>>;

/** What sort of field a value of type V is edited in. */
type SortOf<V> = [null] extends [V]
  ? [NonNullable<V>] extends [number]
    ? 'number'
    : [NonNullable<V>] extends [readonly unknown[]]
      ? never
      : [NonNullable<V>] extends [object]
        ? 'maybe'
        : never
  : [V] extends [boolean]
    ? 'flag'
    : [V] extends [number]
      ? 'number'
      : [V] extends [readonly string[]]
        ? 'names'
        : [V] extends [readonly number[]]
          ? 'numbers'
          : [V] extends [readonly object[]]
            ? 'list'
            : [string] extends [V]
              ? 'text'
              : [V] extends [string]
                ? 'choice'
                : [V] extends [object]
                  ? 'inner'
                  : never;

/** Dotted paths of T at which a value of that sort stands: "designFormat.widthMm". */
export type PathTo<T, Sort> = {
  [K in keyof T & string]: SortOf<T[K]> extends Sort
    ? K
    : SortOf<T[K]> extends 'inner'
      ? `${K}.${PathTo<T[K], Sort>}`
      : never;
}[keyof T & string];

/** The value at a dotted path. */
export const valueAt = (record: unknown, path: string): unknown =>
  valueAtKeys(record, path.split('.'));

/** The value at some keys one inside the other; undefined where there is none. */
export const valueAtKeys = (record: unknown, keys: readonly string[]): unknown =>
  keys.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Inner)[key] : undefined,
    record,
  );

/** The record with another value at a dotted path; everything else the very same. */
export function withValueAt<T extends object>(record: T, path: string, value: unknown): T {
  const [key = '', ...rest] = path.split('.');
  const inner = (record as Inner)[key];
  const next =
    rest.length === 0
      ? value
      : withValueAt(
          typeof inner === 'object' && inner !== null ? inner : {},
          rest.join('.'),
          value,
        );
  if (Array.isArray(record)) return (record as unknown[]).with(Number(key), next) as unknown as T;
  return { ...record, [key]: next };
}
