/** The workspace as a JSON file, out and back. */
import { migrated, type FileFormat } from '../../kit';
import { named, type Result } from '../../words';
import { checkWorkspace } from '../../kit/checks';
import {
  TABLE_NAMES,
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

/** Writes a workspace as a file's text. Records go out as they are, unknown fields included. */
export function writeWorkspace(workspace: Workspace): string {
  const file: WorkspaceFile = {
    ...workspace,
    format: WORKSPACE_FORMAT,
    version: RECORDS_VERSION,
  };
  const { format, version, ...rest } = file;
  return `${JSON.stringify({ format, version, ...rest }, null, 2)}\n`;
}
