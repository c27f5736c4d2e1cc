/** What the database threw, known by where it was caught and not by its name: files and pictures throw the same names. */
import Dexie, { type DBCore, type DBCoreTable, type Middleware } from 'dexie';

const caught = new WeakSet<object>();

/** Notes that an error came out of the database; answers it. */
export function ofStorage(error: unknown): unknown {
  if (typeof error === 'object' && error !== null) caught.add(error);
  return error;
}

/** Errors of the library itself descend from one kind, whatever they are called. */
const LIBRARYS = Object.getPrototypeOf(Object.getPrototypeOf(new Dexie.AbortError(''))) as object;

const isLibrarys = (error: Error): boolean => Object.prototype.isPrototypeOf.call(LIBRARYS, error);

/** An error and those it wraps, outermost first. */
export function wrapped(error: unknown): Error[] {
  const errors: Error[] = [];
  for (let e: unknown = error; e instanceof Error; e = (e as { inner?: unknown }).inner)
    errors.push(e);
  return errors;
}

/** Whether the database threw it. */
export const isOfStorage = (error: unknown): boolean =>
  wrapped(error).some((e) => caught.has(e) || isLibrarys(e));

const noting =
  <Asked, Answer>(ask: (asked: Asked) => Promise<Answer>) =>
  (asked: Asked): Promise<Answer> =>
    ask(asked).catch((error: unknown) => {
      throw ofStorage(error);
    });

function notingTable(table: DBCoreTable): DBCoreTable {
  return {
    ...table,
    mutate: noting((request) => table.mutate(request)),
    get: noting((request) => table.get(request)),
    getMany: noting((request) => table.getMany(request)),
    query: noting((request) => table.query(request)),
    openCursor: noting((request) => table.openCursor(request)),
    count: noting((request) => table.count(request)),
  };
}

/** Notes whatever a table of the database throws. */
export const NOTES_TROUBLES: Middleware<DBCore> = {
  stack: 'dbcore',
  name: 'notes-troubles',
  create: (core) => ({ ...core, table: (name) => notingTable(core.table(name)) }),
};
