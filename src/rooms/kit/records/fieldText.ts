/** Values of a record as text to type, and back. */
import { type ScalarField, readQuantity, UNIT_WORDS } from '@/core/kit/fields';
import { fail, ok, type Result } from '@/core/words';

type TypedField = Extract<ScalarField, { kind: 'text' | 'number' | 'names' | 'numbers' }>;

const listed = (text: string): string[] =>
  text
    .split(/[;\n]/)
    .map((t) => t.trim())
    .filter((t) => t !== '');

const numberWords = (value: number, unit: string): string =>
  `${String(value)}${unit && unit !== '' ? ` ${unit}` : ''}`;

export function textOf(field: TypedField, value: unknown): string {
  switch (field.kind) {
    case 'text':
      return typeof value === 'string' ? value : '';
    case 'number':
      return typeof value === 'number' ? numberWords(value, field.unit) : '';
    case 'names':
    case 'numbers':
      return Array.isArray(value) ? value.map(String).join('; ') : '';
  }
}

const noNumber = (text: string, unit: keyof typeof UNIT_WORDS): Result<never> => {
  const units = UNIT_WORDS[unit];
  return fail('quantity', '', `“${text.slice(0, 30)}” is no number${units ? ` in ${units}` : ''}.`);
};

/** The value a text stands for, before the record as a whole is checked. */
export function valueOf(field: TypedField, text: string): Result<unknown> {
  switch (field.kind) {
    case 'text':
      return ok(field.long ? text : text.trim());
    case 'names':
      return ok(listed(text));
    case 'number': {
      if (text.trim() === '')
        return field.unknown ? ok(null) : fail('empty', '', 'A number is needed here.');
      const value = readQuantity(text, field.unit);
      return value === null ? noNumber(text, field.unit) : ok(value);
    }
    case 'numbers': {
      const values = listed(text.replaceAll(/,\s+/g, ';')).map((t) => readQuantity(t, field.unit));
      const bad = values.indexOf(null);
      return bad >= 0 ? noNumber(listed(text)[bad] ?? text, field.unit) : ok(values);
    }
  }
}
