/** The workspace as a JSON file, out and back. */
import { migrated, type FileFormat } from '../../kit';
import { named, type Result } from '../../words';
import { checkJudgement, checkRecord, checkWorkspace } from '../../kit/checks';
import {
  DEFAULT_JUDGEMENT,
  parted,
  type SetAside,
  TABLE_NAMES,
  WORKSPACE_FORMAT,
  type Workspace,
  type WorkspaceFile,
  withSetAside,
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
  const tables = TABLE_NAMES.map((table) => ({
    table,
    ...parted(table, file[table], (record) => checkRecord(table, record).ok),
  }));
  const sound = Object.fromEntries(tables.map(({ table, whole }) => [table, whole]));
  const broken = tables.flatMap((each) => each.broken);
  if (checkJudgement(file.judgement).ok) return withSetAside({ ...file, ...sound }, broken);
  const judgement: SetAside = { table: 'judgement', id: 'judgement', record: file.judgement };
  return withSetAside({ ...file, ...sound, judgement: DEFAULT_JUDGEMENT }, [...broken, judgement]);
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
