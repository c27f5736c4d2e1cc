/** Records that are damaged: set aside, so that everything else opens. */
import {
  DEFINITIONS,
  isJson,
  isWhole,
  TABLE_WORDS,
  type TableName,
  type Tables,
} from '@/core/kit/records';

/** A damaged record as it is stored. */
export interface SetAside {
  table: TableName | 'judgement';
  id: string;
  record: unknown;
}

/** Records that can be worked with, and those that cannot. */
export function parted<T extends TableName>(
  table: T,
  stored: readonly Tables[T][],
): { whole: Tables[T][]; broken: SetAside[] } {
  const whole: Tables[T][] = [];
  const broken: SetAside[] = [];
  for (const record of stored)
    if (isWhole(DEFINITIONS[table], record)) whole.push(record);
    else broken.push({ table, id: record.id, record });
  return { whole, broken };
}

/** How a damaged record is named in sentences: lens “50/2”. */
export function setAsideWords({ table, id, record }: SetAside): string {
  if (table === 'judgement') return 'how the workspace judges';
  const name = isJson(record) && typeof record.name === 'string' ? record.name : id;
  return `${TABLE_WORDS[table][0]} “${name}”`;
}
