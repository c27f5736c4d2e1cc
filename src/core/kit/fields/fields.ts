/** Values of a record by the path of their field. */
import { FIELDS } from './fieldTables';
import type { KitTable, ScalarField } from './fieldTypes';
import type { Lens } from '../records/lens';

/** Fields of a table that hold one value each, for columns and for changing many records at once. */
export function scalarFields(table: KitTable): ScalarField[] {
  return FIELDS[table].flatMap((group) =>
    group.fields.filter((f): f is ScalarField => f.kind !== 'list' && f.kind !== 'maybe'),
  );
}

type Json = Readonly<Record<string, unknown>>;

/** The value at a dotted path. */
export function valueAt(record: object, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((value, key) => (value as Json | null | undefined)?.[key], record);
}

/** The record with another value at a dotted path; everything else the very same. */
export function withValueAt<T extends object>(record: T, path: string, value: unknown): T {
  const [key = '', ...rest] = path.split('.');
  const inner = (record as Json)[key];
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

/** Names of the estimated fields of a lens that an edit at `path` settles. */
export const settledBy = (lens: Lens, path: string): string[] =>
  lens.estimated.filter((name) => name !== path && !path.startsWith(`${name}.`));
