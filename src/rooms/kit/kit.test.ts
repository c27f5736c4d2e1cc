import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import {
  valueAt,
  withValueAt,
  scalarFields,
  FIELDS,
  fieldsFor,
  KIT_TABLES,
  type Field,
} from '@/core/kit/fields';
import { checkRecord } from '@/core/kit/checks';
import { DEFINITIONS } from '@/core/kit/records';
import { textOf, valueOf } from './records/fieldText';
import { COLUMNS } from './table/columns';
import { filtered, NO_FILTER } from './table/filter';
import { freshRecord } from './records/fresh';

describe('fields', () => {
  const pathsOf = (fields: readonly Field[]): string[] =>
    fields.map((f) => f.path.split('.')[0] ?? '');

  it.each(KIT_TABLES)('every fact of %s can be edited', (table) => {
    const schema = DEFINITIONS[table] as { properties: object };
    const edited = new Set(FIELDS[table].flatMap((g) => pathsOf(g.fields)));
    const left = Object.keys(schema.properties).filter((key) => !edited.has(key));
    expect(left.filter((key) => key !== 'estimated')).toEqual(['id']);
  });

  it.each(KIT_TABLES)('every figure of the demo’s %s reads back as it is shown', (table) => {
    for (const record of tideMill[table]) {
      for (const field of scalarFields(table)) {
        if (field.kind !== 'text' && field.kind !== 'number' && field.kind !== 'names') continue;
        const value = valueAt(record, field.path);
        expect(valueOf(field, textOf(field, value))).toEqual({ ok: true, value });
      }
    }
  });

  it('a front converter is asked for its glass and mass, and for no mount, contact or rear depth', () => {
    const front = tideMill.parts.find((p) => p.kind === 'front converter')!;
    const asked = fieldsFor('parts', front).flatMap((g) => g.fields.map((f) => f.path));
    expect(asked).toEqual(expect.arrayContaining(['factor', 'thicknessMm', 'ownRim', 'massG']));
    expect(
      asked.filter((path) => /mount|electronics|clearDepth|helicoid|shift|tab/i.test(path)),
    ).toEqual([]);
    // Every other kind is asked for all of it.
    for (const part of tideMill.parts.filter((p) => p !== front && p.kind !== front.kind))
      expect(fieldsFor('parts', part)).toBe(FIELDS.parts);
    const [, , , takes] = COLUMNS.parts;
    expect(takes?.text(front, { mountName: (id) => id })).toBe('front of the lens');
  });

  it('a value put at a path leaves all else alone, in lists too', () => {
    const body = tideMill.bodies[0]!;
    const next = withValueAt(body, 'modes.1.crops.0.measured', 1.2);
    expect(next.modes[1]!.crops[0]!.measured).toBe(1.2);
    expect(next.modes[0]).toBe(body.modes[0]);
    expect(
      withValueAt(next, 'modes.1.crops.0.measured', body.modes[1]!.crops[0]!.measured),
    ).toEqual(body);
  });
});

describe('new records', () => {
  it.each(['bodies', 'parts', 'mounts', 'markings'] as const)('%s begin whole', (table) => {
    for (const workspace of [tideMill, { ...tideMill, mounts: [] }])
      expect(checkRecord(table, freshRecord(table, workspace, 'new')).ok).toBe(true);
  });
});

describe('search and filters', () => {
  const words = (record: { name: string }) => record.name;

  it('every word has to stand somewhere', () => {
    const found = filtered('lenses', tideMill.lenses, { ...NO_FILTER, search: '35 1.4' }, words);
    expect(found.map((l) => l.id)).toEqual(['w35']);
  });

  it('a mount shows its lenses, bodies, and parts on either side', () => {
    const filter = { ...NO_FILTER, mountIds: ['slr-46.5'] };
    expect(filtered('lenses', tideMill.lenses, filter, words).map((l) => l.id)).toEqual(['w35']);
    expect(filtered('parts', tideMill.parts, filter, words).map((p) => p.id)).toEqual([
      'p46-18',
      'p46-18-worn',
    ]);
  });

  it('never shows what does not pass, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (search) => {
        const found = filtered('lenses', tideMill.lenses, { ...NO_FILTER, search }, words);
        for (const { name } of found)
          for (const word of search.toLowerCase().split(/\s+/).filter(Boolean))
            expect(name.toLowerCase()).toContain(word);
      }),
    );
  });
});
