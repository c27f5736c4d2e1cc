/** Tables as CSV, out and back without loss. */
import Papa from 'papaparse';
import { valueAt, withValueAt, type KitTable, readQuantity, UNIT_WORDS } from '../../kit/fields';
import { markingIn, type Marking, TABLE_WORDS, type Tables } from '../../kit/records';
import { fail, ok, problemText, type Result } from '../../words';
import { checkRecord } from '../../kit/checks';
import { guarded, unguarded } from './csvGuard';
import { csvText } from './csvText';
import { columnsOf, leftOver, MORE, putBack, schemaOf, type Column } from './csvColumns';
import { checkSize, parseJson } from '../json';

function cellOf(value: unknown, { kind }: Column): string {
  if (value === null || value === undefined) return '';
  if (kind === 'json') return JSON.stringify(value);
  if (kind === 'text') return guarded(typeof value === 'string' ? value : JSON.stringify(value));
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
}

/** One table as CSV text (RFC 4180), a row a record, one column a fact. */
export function writeCsv<T extends KitTable>(table: T, records: readonly Tables[T][]): string {
  const columns = columnsOf(table);
  const rows = records.map((record) => {
    const left = leftOver(record, schemaOf(table));
    return [
      ...columns.map((column) => cellOf(valueAt(record, column.path), column)),
      Object.keys(left).length > 0 ? JSON.stringify(left) : '',
    ];
  });
  return csvText([[...columns.map((c) => c.path), MORE], ...rows]);
}

export interface Sheet {
  name: string;
  header: string[];
  rows: string[][];
}

const MOST_ROWS = 50_000;

/** Reads CSV text with commas, semicolons or tabs; says where it breaks. */
export function readSheet(text: string, name: string): Result<Sheet> {
  const size = checkSize(text.length, name);
  if (!size.ok) return size;
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
    skipEmptyLines: 'greedy',
  });
  const broken = parsed.errors.find((e) => e.type === 'Quotes');
  if (broken)
    return fail(
      'quotes',
      '',
      `${name} breaks in row ${(broken.row ?? 0) + 1}: a quote is never closed.`,
    );
  const [header, ...rows] = parsed.data;
  if (!header || rows.length === 0)
    return fail('empty', '', `${name} holds no rows below its heading.`);
  if (text.includes('\u0000')) return fail('notText', '', `${name} is not a text file.`);
  if (rows.length > MOST_ROWS)
    return fail(
      'tooLong',
      '',
      `${name} has ${rows.length} rows; at most ${MOST_ROWS} can be read.`,
    );
  return ok({ name, header, rows });
}

const plain = (text: string): string => text.toLowerCase().replace(/[^a-z0-9]/g, '');

/** For each column of a sheet the fact it seems to be, by its heading; null where none fits. */
export function guessMapping(table: KitTable, header: readonly string[]): (string | null)[] {
  const columns = columnsOf(table);
  const taken = new Set<string>();
  return header.map((heading) => {
    if (heading.trim() === MORE) return MORE;
    const sought = plain(heading);
    const found = columns.find(
      (c) => !taken.has(c.path) && (plain(c.path) === sought || plain(c.label) === sought),
    );
    if (!found) return null;
    taken.add(found.path);
    return found.path;
  });
}

const YES = new Set(['true', 'yes', '1', 'x']);
const NO = new Set(['false', 'no', '0', '']);

/** A cell as the value it stands for; undefined where it is empty and the fact must be told. */
function valueOf(cell: string, column: Column): Result<unknown> {
  const bad = (takes: string) =>
    fail('cell', column.path, `${column.path}: “${cell.slice(0, 40)}” is ${takes}`);
  switch (column.kind) {
    case 'text':
      return ok(unguarded(cell));
    case 'json':
      return cell.trim() === '' ? ok(column.nullable ? null : []) : parseJson(cell, column.path);
    case 'flag': {
      const word = cell.trim().toLowerCase();
      return YES.has(word) ? ok(true) : NO.has(word) ? ok(false) : bad('neither yes nor no.');
    }
    case 'number': {
      const text = unguarded(cell).trim();
      if (text === '') return ok(column.nullable ? null : undefined);
      const exact = Number(text);
      if (Number.isFinite(exact)) return ok(exact);
      const value = readQuantity(text, column.unit);
      const units = UNIT_WORDS[column.unit];
      return value === null ? bad(`no number${units ? ` in ${units}` : ''}.`) : ok(value);
    }
  }
}

export interface RowProblem {
  /** Row of the sheet, the heading being row 1. */
  row: number;
  sentence: string;
}

export interface ReadRows<T extends KitTable> {
  records: Tables[T][];
  problems: RowProblem[];
}

/** What rows are read against. */
export interface RowsContext<T extends KitTable> {
  /** Records of the workspace, for rows that tell only some facts of one that is here. */
  here: readonly Tables[T][];
  /** What markings in a lens's name say of its format, where the row itself does not. */
  markings: readonly Marking[];
  newId: () => string;
}

interface RowContext<T extends KitTable> extends Omit<RowsContext<T>, 'here'> {
  table: T;
  columns: readonly (Column | typeof MORE | null)[];
  here: ReadonlyMap<string, Tables[T]>;
}

/** The format a marking in a lens's name tells, put where the row says none. */
function withMarkedFormat(
  draft: Record<string, unknown>,
  markings: readonly Marking[],
): Record<string, unknown> {
  const told = valueAt(draft, 'designFormat.widthMm') ?? valueAt(draft, 'designFormat.heightMm');
  if (typeof told === 'number' || typeof draft.name !== 'string') return draft;
  const marking = markingIn(draft.name, markings);
  return marking ? { ...draft, designFormat: marking.designFormat } : draft;
}

function readRow<T extends KitTable>(
  cells: readonly string[],
  { table, columns, here, markings, newId }: RowContext<T>,
): Result<Tables[T]> {
  let draft: Record<string, unknown> = {};
  let more: unknown = null;
  for (const [i, column] of columns.entries()) {
    const cell = cells[i] ?? '';
    if (column === null) continue;
    if (column === MORE) {
      if (cell.trim() === '') continue;
      const parsed = parseJson(cell, MORE);
      if (!parsed.ok) return parsed;
      more = parsed.value;
      continue;
    }
    const value = valueOf(cell, column);
    if (!value.ok) return value;
    if (value.value === undefined) continue;
    draft = withValueAt(draft, column.path, value.value);
  }
  const id = typeof draft.id === 'string' && draft.id !== '' ? draft.id : newId();
  const known = here.get(id) as Record<string, unknown> | undefined;
  draft = { ...(known ? putBack(known, draft) : draft), id };
  if (typeof more === 'object' && more !== null)
    draft = putBack(draft, more as Record<string, unknown>);
  return checkRecord(table, table === 'lenses' ? withMarkedFormat(draft, markings) : draft);
}

/**
 * Rows as records, by the mapping of columns to facts. Rows that cannot be read are told one by one; the
 * others stand.
 */
export function readRows<T extends KitTable>(
  table: T,
  sheet: Sheet,
  mapping: readonly (string | null)[],
  { here, markings, newId }: RowsContext<T>,
): ReadRows<T> {
  const byPath = new Map(columnsOf(table).map((c) => [c.path, c]));
  const context: RowContext<T> = {
    table,
    columns: mapping.map((path) =>
      path === MORE ? MORE : path === null ? null : (byPath.get(path) ?? null),
    ),
    here: new Map(here.map((r) => [r.id, r])),
    markings,
    newId,
  };
  const records: Tables[T][] = [];
  const problems: RowProblem[] = [];
  const seen = new Set<string>();
  sheet.rows.forEach((cells, i) => {
    const row = i + 2;
    const read = readRow(cells, context);
    if (!read.ok) problems.push({ row, sentence: problemText(read.problems, 2) });
    else if (seen.has(read.value.id))
      problems.push({
        row,
        sentence: `another ${TABLE_WORDS[table][0]} of this sheet has the id “${read.value.id}”.`,
      });
    else {
      seen.add(read.value.id);
      records.push(read.value);
    }
  });
  return { records, problems };
}
