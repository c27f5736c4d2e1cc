/** Records that are damaged: set aside, so that everything else can be worked with. */
import { isJson } from './schema';
import { isWhole } from './whole';
import { DEFINITIONS, TABLE_WORDS, type TableName, type Tables } from './workspace';

/** A damaged record as it is stored. */
export interface SetAside {
  table: TableName | 'judgement';
  id: string;
  record: unknown;
}

/** Records that can be worked with, and those that cannot; `isSound` tells by more than the schema's shape. */
export function parted<T extends TableName>(
  table: T,
  records: readonly Tables[T][],
  isSound = (record: Tables[T]) => isWhole(DEFINITIONS[table], record),
): { whole: Tables[T][]; broken: SetAside[] } {
  const whole: Tables[T][] = [];
  const broken: SetAside[] = [];
  for (const record of records)
    if (isSound(record)) whole.push(record);
    else broken.push({ table, id: record.id, record });
  return { whole, broken };
}

const keyOf = ({ table, id }: { table?: unknown; id?: unknown }): string =>
  `${String(table)}/${String(id)}`;

/**
 * A workspace with damaged records beside its lists, for a file is read whole or not at all. What a file brought so
 * once goes out again too.
 */
export function withSetAside<W extends object>(workspace: W, setAside: readonly SetAside[]): W {
  if (setAside.length === 0) return workspace;
  const { setAside: brought } = workspace as { setAside?: unknown };
  const keys = new Set(setAside.map(keyOf));
  const others = (Array.isArray(brought) ? (brought as unknown[]) : []).filter(
    (one) => !isJson(one) || !keys.has(keyOf(one)),
  );
  return { ...workspace, setAside: [...others, ...setAside] };
}

/** How a damaged record is named in sentences: lens “50/2”. */
export function setAsideWords({ table, id, record }: SetAside): string {
  if (table === 'judgement') return 'how the workspace judges';
  const name = isJson(record) && typeof record.name === 'string' ? record.name : id;
  return `${TABLE_WORDS[table][0]} “${name}”`;
}
