/** Kinds of fields, and the fields that several records share. */
import type { Field, FieldGroup, NumberField } from './fieldTypes';
import type { Unit } from './quantity';

export const number = (path: string, label: string, unit: Unit = ''): NumberField => ({
  kind: 'number',
  path,
  label,
  unit,
  unknown: false,
});
export const maybe = (path: string, label: string, unit: Unit = ''): NumberField => ({
  ...number(path, label, unit),
  unknown: true,
});
export const text = (path: string, label: string, long = false): Field => ({
  kind: 'text',
  path,
  label,
  long,
});
export const choice = (path: string, label: string, options: readonly string[]): Field => ({
  kind: 'choice',
  path,
  label,
  options,
});
export const flag = (path: string, label: string): Field => ({ kind: 'flag', path, label });
export const mount = (path: string, label: string): Field => ({ kind: 'mount', path, label });

export const NAMES: readonly Field[] = [text('name', 'Name'), text('maker', 'Maker')];
export const MONEY: readonly Field[] = [
  maybe('massG', 'Mass', 'g'),
  maybe('price', 'Price, used'),
  maybe('priceNew', 'Price, new'),
];
export const NOTES: FieldGroup = {
  title: 'Notes',
  fields: [text('note', 'Note', true), text('licence', 'Licence of the data')],
};

export const size = (path: string, label: string): readonly Field[] => [
  number(`${path}.widthMm`, `${label}, width`, 'mm'),
  number(`${path}.heightMm`, `${label}, height`, 'mm'),
];

export const CONTACTS: FieldGroup = {
  title: 'Contacts carry',
  fields: [
    flag('electronics.focus', 'Focus'),
    flag('electronics.aperture', 'Aperture'),
    flag('electronics.metadata', 'Metadata'),
    flag('electronics.stabiliser', 'Stabiliser'),
  ],
};

export const rim = (path: string): readonly Field[] => [
  number(`${path}edgeRadiusMm`, 'Edge radius', 'mm'),
  number(`${path}softnessMm`, 'Softness', 'mm'),
];
