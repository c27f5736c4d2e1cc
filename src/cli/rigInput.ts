/** The rig a command is about: a rig file, or a rig of a workspace file. */
import {
  checkSize,
  parseJson,
  rigOfFile,
  rigOfWorkspace,
  readWorkspace,
} from '@/core/exchange/json';
import type { Part } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { badInput, CANNOT_ANSWER, CliError, refused } from './command';
import { readInput } from './input';

export interface RigInput {
  rig: Rig;
  /** Parts at hand: those of the workspace, or the rig's own. */
  kit: readonly Part[];
}

function fromWorkspace(text: string, file: string, rigId: string): RigInput {
  const workspace = readWorkspace(text, file);
  if (!workspace.ok) throw refused(workspace.problems);
  const rig = rigOfWorkspace(workspace.value, rigId);
  if (rig.ok) return { rig: rig.value, kit: workspace.value.parts };
  throw new CliError(CANNOT_ANSWER, `${file}: ${rig.problems[0]?.sentence ?? ''}`);
}

function fromRigFile(text: string, file: string): RigInput {
  const parsed = parseJson(text, file);
  if (!parsed.ok) throw refused(parsed.problems);
  const rig = rigOfFile(parsed.value);
  if (rig.ok) return { rig: rig.value, kit: rig.value.parts };
  throw refused(rig.problems.map((p) => ({ ...p, sentence: `${file}, ${p.sentence}` })));
}

/** Reads the one rig named on the command line: RIG.json, WORKSPACE.json#rig-id or - for standard input. */
export async function rigFrom(positionals: readonly string[], usage: string): Promise<RigInput> {
  const [target, ...rest] = positionals;
  if (target === undefined || rest.length > 0) throw badInput(`name one file: ${usage}`);
  const hash = target.indexOf('#');
  const path = hash < 0 ? target : target.slice(0, hash);
  const text = await readInput(path);
  const file = path === '-' ? 'standard input' : path;
  const size = checkSize(Buffer.byteLength(text), file);
  if (!size.ok) throw refused(size.problems);
  return hash < 0 ? fromRigFile(text, file) : fromWorkspace(text, file, target.slice(hash + 1));
}
