/** The workspace as a JSON file, out and back. */
import { migrated, type FileFormat } from '../../kit';
import { named, type Result } from '../../words';
import { checkRecord, checkWorkspace } from '../../kit/checks';
import {
  TABLE_NAMES,
  type TableName,
  WORKSPACE_FORMAT,
  type Workspace,
  type WorkspaceFile,
  RECORDS_VERSION,
} from '../../kit/records';
import { parseJson } from './json';

const WORKSPACE_FILE: FileFormat = {
  format: WORKSPACE_FORMAT,
  word: 'workspace',
  places: {
    ...Object.fromEntries(TABLE_NAMES.map((table) => [table, table])),
    judgement: 'judgement',
  },
};

/** A parsed workspace file of any version, brought up and checked. */
export function checkedWorkspace(data: unknown): Result<WorkspaceFile> {
  const today = migrated(data, WORKSPACE_FILE);
  return today.ok ? checkWorkspace(today.value) : today;
}

/** Reads a workspace file: parsed, migrated, checked. Each problem names the file and the place. */
export function readWorkspace(text: string, name = 'the file'): Result<WorkspaceFile> {
  const parsed = parseJson(text, name);
  return parsed.ok ? named(checkedWorkspace(parsed.value), name) : parsed;
}

/**
 * A workspace file that can be read again: one with records its own checks would refuse, as a damaged database may hold
 * them, gets these beside its lists, in `setAside`.
 */
function readable(file: WorkspaceFile): WorkspaceFile {
  if (checkWorkspace(file).ok) return file;
  const setAside: { table: TableName; id: string; record: unknown }[] = [];
  const tables = TABLE_NAMES.map((table) => {
    const records: readonly { id: string }[] = file[table];
    const sound = records.filter((record) => checkRecord(table, record).ok);
    for (const record of records)
      if (!sound.includes(record)) setAside.push({ table, id: record.id, record });
    return [table, sound] as const;
  });
  const { setAside: before } = file as { setAside?: unknown };
  const all = [...(Array.isArray(before) ? (before as unknown[]) : []), ...setAside];
  return { ...file, ...Object.fromEntries(tables), ...(all.length > 0 && { setAside: all }) };
}

/** Writes a workspace as a file's text. Records go out as they are, unknown fields included. */
export function writeWorkspace(workspace: Workspace): string {
  const file = readable({
    ...workspace,
    format: WORKSPACE_FORMAT,
    version: RECORDS_VERSION,
  });
  const { format, version, ...rest } = file;
  return `${JSON.stringify({ format, version, ...rest }, null, 2)}\n`;
}
