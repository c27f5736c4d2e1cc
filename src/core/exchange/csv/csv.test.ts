import Papa from 'papaparse';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tideMill } from '../../demo';
import { KIT_TABLES, type KitTable } from '../../kit/fields';
import { markingExample, type Marking, RECORD_SCHEMAS, type Tables } from '../../kit/records';
import { checkRecord } from '../../kit/checks';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import { guessMapping, readRows, readSheet, writeCsv } from './csv';

const back = <T extends KitTable>(
  table: T,
  text: string,
  here: Tables[T][] = [],
  markings: Marking[] = [],
) => {
  const sheet = readSheet(text, 'kit.csv');
  if (!sheet.ok) throw new Error(sheet.problems[0]?.sentence);
  const mapping = guessMapping(table, sheet.value.header);
  return readRows(table, sheet.value, mapping, { here, markings, newId: () => 'new' });
};

describe('CSV', () => {
  it.each(KIT_TABLES)('the demo’s %s come back as they went out', (table) => {
    const { records, problems } = back(table, writeCsv(table, tideMill[table] as never));
    expect(problems).toEqual([]);
    expect(records).toEqual(tideMill[table]);
  });

  it.each(KIT_TABLES)('any %s come back as they went out, unknown facts included', (table) => {
    const unknown = fc.record(
      {
        // A file that names that key is refused whole, and has a test of its own.
        futureFact: fc.jsonValue().filter((v) => !JSON.stringify(v).includes('__proto__')),
        electronicsNote: fc.string(),
      },
      { requiredKeys: [] },
    );
    const plausible = fc
      .tuple(arbitraryOf(RECORD_SCHEMAS[table]), unknown)
      .map(([record, more]) => ({ ...(record as object), ...more }))
      // Through JSON, as every record has come: it knows no negative zero.
      .map((record) => JSON.parse(JSON.stringify(record)) as Tables[KitTable])
      .map((record) => checkRecord(table, record))
      .filter((checked) => checked.ok)
      .map(({ value }) => value);
    fc.assert(
      fc.property(plausible, (record) => {
        const { records, problems } = back(table, writeCsv(table, [record as never]));
        expect(problems).toEqual([]);
        expect(records).toEqual([record]);
      }),
      { numRuns: 60 },
    );
  });

  it('what is not known is an empty cell, figures and flags are plain, lists are JSON', () => {
    const [lens] = tideMill.lenses;
    const one = {
      ...lens!,
      tStop: null,
      massG: 810,
      electronics: { ...lens!.electronics, focus: true },
    };
    const [head, row] = writeCsv('lenses', [one])
      .split(/\r?\n/)
      .map((line) => Papa.parse<string[]>(line).data[0]!);
    const cell = (path: string) => row![head!.indexOf(path)];
    expect(cell('tStop')).toBe('');
    expect(cell('massG')).toBe('810');
    expect(cell('electronics.focus')).toBe('true');
    expect(cell('name')).toBe(lens!.name);
    expect(JSON.parse(cell('halo')!)).toEqual(JSON.parse(JSON.stringify(lens!.halo)));
  });

  it('quotes what a spreadsheet would take for a formula', () => {
    const [lens] = tideMill.lenses;
    const sly = { ...lens!, name: '=1+1', maker: '@maker', note: "'-2" };
    const text = writeCsv('lenses', [sly]);
    expect(text).toContain(",'=1+1,'@maker,");
    expect(back('lenses', text).records).toEqual([sly]);
  });

  it('reads other programs’ headings, semicolons, decimal commas and inches', () => {
    const text = 'Name;Register;Thread diameter;Locks by\r\nmy screw;1,7323 in;25,4 mm;screw\r\n';
    const { records, problems } = back('mounts', text);
    expect(problems).toEqual([]);
    expect(records[0]).toMatchObject({
      id: 'new',
      name: 'my screw',
      threadMm: 25.4,
      locking: 'screw',
    });
    expect(records[0]!.registerMm).toBeCloseTo(44.0, 2);
  });

  it('tells each row it cannot read, and keeps the others', () => {
    const text = [
      'id,name,registerMm',
      'a,good,44',
      'b,none,',
      'c,words,forty',
      'd,negative,-3',
      'a,twice,20',
      'e,huge,1e308',
    ].join('\n');
    const { records, problems } = back('mounts', text);
    expect(records.map((r) => r.id)).toEqual(['a']);
    expect(problems.map((p) => p.row)).toEqual([3, 4, 5, 6, 7]);
    expect(problems[1]!.sentence).toBe('registerMm: “forty” is no number in mm, cm or in.');
    expect(problems[2]!.sentence).toMatch(/registerMm: must be a number from 1 to 300; it is -3/);
    expect(problems[3]!.sentence).toBe('another mount of this sheet has the id “a”.');
  });

  it('a row with some facts of a record that is here leaves its others alone', () => {
    const { records } = back('lenses', 'id,price\nw50,95\n', tideMill.lenses);
    const before = tideMill.lenses.find((l) => l.id === 'w50')!;
    expect(records).toEqual([{ ...before, price: 95 }]);
  });

  it.each([
    ['', /is empty/],
    ['name,registerMm\n', /no rows below its heading/],
    ['name,note\n"never closed,1\n', /a quote is never closed/],
    ['a\u0000b,c\n1,2\n', /not a text file/],
  ])('refuses %j with a sentence', (text, sentence) => {
    const sheet = readSheet(text, 'kit.csv');
    expect(sheet.ok ? '' : sheet.problems[0]?.sentence).toMatch(sentence);
  });

  it('a cell with __proto__ is refused', () => {
    const { records, problems } = back(
      'mounts',
      'id,name,registerMm,more\nx,x,40,"{""__proto__"":{}}"\n',
    );
    expect(records).toEqual([]);
    expect(problems[0]!.sentence).toMatch(/__proto__/);
  });

  it('fills in the format a marking in the name tells, only where the row tells none', () => {
    const [lens] = tideMill.lenses.filter((l) => l.designFormat.widthMm === 36);
    const marked = { ...lens!, name: `${lens!.name} ${markingExample.name}` };
    const table = writeCsv('lenses', [marked]);
    const [header, row] = table.split('\r\n') as [string, string];
    const size = header.split(',').findIndex((h) => h === 'designFormat.widthMm');
    const cells = row.split(',');
    expect(cells.slice(size, size + 2)).toEqual(['36', '24']);
    const untold = [
      header,
      cells
        .with(size, '')
        .with(size + 1, '')
        .join(','),
    ].join('\r\n');
    expect(back('lenses', untold, [], [markingExample]).records[0]?.designFormat).toEqual(
      markingExample.designFormat,
    );
    expect(back('lenses', table, [], [markingExample]).records[0]?.designFormat.widthMm).toBe(36);
    expect(back('lenses', untold).problems[0]?.sentence).toMatch(/design/i);
  });
});
