import { describe, expect, it } from 'vitest';
import { DEFINITIONS, lensOf, lensSchema, type Lens, bodySchema, partSchema } from '../records';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import fc from 'fast-check';
import { FIELDS } from './fieldTables';
import { fieldsOf } from './fieldsOf';
import { KIT_TABLES, type Field } from './fieldTypes';
import { valueAt, withValueAt } from './paths';

describe('fields follow from the schema', () => {
  const lens = fieldsOf(lensSchema);

  it('whether a fact may be unknown is read off it', () => {
    expect(lens.number('tStop', 'T-stop').unknown).toBe(true);
    expect(lens.number('squeeze', 'Squeeze').unknown).toBe(false);
  });

  it('what can be chosen is read off it', () => {
    expect(fieldsOf(partSchema).choice('kind', 'Kind')).toMatchObject({
      options: partSchema.properties.kind.enum as string[],
    });
    expect(lens.choice('focusing', 'Focuses')).toMatchObject({
      options: ['unit', 'internal', 'unknown'],
    });
  });

  it('a path the record has not got, or of another sort, does not compile and does not run', () => {
    // @ts-expect-error a misspelt path
    expect(() => lens.number('focalMimMm', 'Focal length')).toThrow(RangeError);
    // @ts-expect-error a path inside what is no record
    expect(() => lens.number('designFormat.depthMm', 'Depth')).toThrow(RangeError);
    // @ts-expect-error a number is no text
    lens.text('focalMinMm', 'Focal length');
    // @ts-expect-error a list is edited as a list
    lens.number('halo', 'Halo');
    const step = { one: '', fresh: { upToFNumber: 1, points: 1 }, fields: [] };
    // @ts-expect-error a step of focus points has no name to be told by
    fieldsOf(bodySchema).list('autofocusPoints', 'Points', { ...step, summary: 'name' });
  });

  it('a record declared with the wrong type does not compile', () => {
    // @ts-expect-error a focal length is a number
    const wrong: Pick<Lens, 'focalMinMm'> = { focalMinMm: '24' };
    expect(wrong.focalMinMm).toBe('24');
    // @ts-expect-error a lens must be told its mount
    lensOf({ id: 'a', name: 'a' });
  });

  it('every field of every table stands in every record its schema admits', () => {
    const standing = (record: unknown, fields: readonly Field[]): void => {
      for (const field of fields) {
        const value = valueAt(record, field.path);
        expect(value, field.path).not.toBeUndefined();
        if (field.kind === 'list')
          for (const item of value as object[]) standing(item, field.fields);
        if (field.kind === 'maybe' && value !== null) standing(value, field.fields);
      }
    };
    for (const table of KIT_TABLES)
      fc.assert(
        fc.property(arbitraryOf(DEFINITIONS[table]), (record) => {
          for (const group of FIELDS[table]) standing(record, group.fields);
        }),
        { numRuns: 20 },
      );
  });
});

describe('values by path', () => {
  it('are found inside records and lists, and nowhere else', () => {
    const body = { modes: [{ crops: [{ measured: 1.2 }] }], plate: null };
    expect(valueAt(body, 'modes.0.crops.0.measured')).toBe(1.2);
    expect(valueAt(body, 'modes.1.crops')).toBeUndefined();
    expect(valueAt(body, 'plate.index')).toBeUndefined();
    expect(valueAt(null, 'plate')).toBeUndefined();
  });

  it('are put in place with everything else the very same', () => {
    const body = { modes: [{ name: 'a' }, { name: 'b' }], plate: null, other: { keep: 1 } };
    const next = withValueAt(body, 'modes.1.name', 'c');
    expect(next.modes).toEqual([{ name: 'a' }, { name: 'c' }]);
    expect(next.modes[0]).toBe(body.modes[0]);
    expect(next.other).toBe(body.other);
    expect(withValueAt(body, 'plate.index', 1.5).plate).toEqual({ index: 1.5 });
  });
});
