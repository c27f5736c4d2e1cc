/** The workspace as a JSON file, out and back. */
import { migrate, type FormatHistory } from '../kit/checks/migrate';
import type { Result } from '../words/problem';
import { checkWorkspace } from '../kit/checks/validate';
import {
  WORKSPACE_FORMAT,
  WORKSPACE_VERSION,
  type Workspace,
  type WorkspaceFile,
} from '../kit/records/workspace';
import { parseJson } from './json';

const WORKSPACE_HISTORY: FormatHistory = {
  format: WORKSPACE_FORMAT,
  word: 'workspace',
  version: WORKSPACE_VERSION,
  steps: {},
};

const named = (name: string, result: Result<never>): Result<never> =>
  result.ok
    ? result
    : {
        ok: false,
        problems: result.problems.map((p) => ({ ...p, sentence: `${name}, ${p.sentence}` })),
      };

/** Reads a workspace file: parsed, migrated, checked. Each problem names the file and the place. */
export function readWorkspace(text: string, name = 'the file'): Result<WorkspaceFile> {
  const parsed = parseJson(text, name);
  if (!parsed.ok) return parsed;
  const migrated = migrate(parsed.value, WORKSPACE_HISTORY);
  if (!migrated.ok) return named(name, migrated);
  const checked = checkWorkspace(migrated.value);
  return checked.ok ? checked : named(name, checked);
}

/** Writes a workspace as a file's text. Records go out as they are, unknown fields included. */
export function writeWorkspace(workspace: Workspace): string {
  const file: WorkspaceFile = {
    ...workspace,
    format: WORKSPACE_FORMAT,
    version: WORKSPACE_VERSION,
  };
  const { format, version, ...rest } = file;
  return `${JSON.stringify({ format, version, ...rest }, null, 2)}\n`;
}
