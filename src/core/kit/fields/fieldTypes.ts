/** How a field of a record is edited. */
import type { Tables } from '../records';
import type { Unit } from './quantity';

/** Tables edited by field; rigs are put together on the Bench, measurements come from frames. */
export type KitTable = Exclude<keyof Tables, 'rigs' | 'measurements' | 'jobs' | 'days'>;
export const KIT_TABLES: readonly KitTable[] = ['lenses', 'bodies', 'parts', 'mounts', 'markings'];

interface Named {
  /** Place in the record, with dots: "designFormat.widthMm". */
  path: string;
  label: string;
}

export interface NumberField extends Named {
  kind: 'number';
  unit: Unit;
  /** True where the fact may be unknown: an empty field then means null. */
  unknown: boolean;
}

export type ScalarField =
  | NumberField
  | (Named & { kind: 'text'; long: boolean })
  | (Named & { kind: 'choice'; options: readonly string[] })
  | (Named & { kind: 'flag' })
  | (Named & { kind: 'mount' })
  | (Named & { kind: 'names' })
  | (Named & { kind: 'numbers'; unit: Unit });

export type Field =
  | ScalarField
  /** Any number of records of one kind. */
  | (Named & {
      kind: 'list';
      one: string;
      fields: readonly Field[];
      fresh: object;
      summary: string;
    })
  /** One record, or null where the fact is unknown or the thing absent. */
  | (Named & { kind: 'maybe'; fields: readonly Field[]; fresh: object });

export interface FieldGroup {
  title: string;
  fields: readonly Field[];
}
