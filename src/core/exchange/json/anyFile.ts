/** Files of ours by what they say they are: a workspace, a rig, a lens; and what each would bring. */
import {
  LENS_FORMAT,
  RIG_FORMAT,
  isJson,
  EMPTY_WORKSPACE,
  type Workspace,
} from '../../kit/records';
import { named, ok, type Result } from '../../words';
import { parseJson } from './json';
import { broughtByLens, readLensFile } from './lensFile';
import { broughtByRig, checkedRigFile } from './rigJson';
import { checkedWorkspace } from './workspaceJson';

export interface Brought {
  kind: 'workspace' | 'rig' | 'lens';
  /** What it brings, against what is here. */
  workspace: Workspace;
  /** The rig it is about; null for the others. */
  rigId: string | null;
}

/** Reads a file of ours. `here` is the workspace it would come into. */
export function readAnyFile(text: string, name: string, here: Workspace): Result<Brought> {
  const parsed = parseJson(text, name);
  if (!parsed.ok) return parsed;
  const format = isJson(parsed.value) ? parsed.value.format : null;
  if (format === RIG_FORMAT) {
    const rig = named(checkedRigFile(parsed.value), name);
    if (!rig.ok) return rig;
    const workspace = broughtByRig(rig.value, here);
    return ok({ kind: 'rig', workspace, rigId: workspace.rigs[0]?.id ?? null });
  }
  if (format === LENS_FORMAT) {
    const lens = named(readLensFile(parsed.value), name);
    return lens.ok
      ? ok({ kind: 'lens', workspace: broughtByLens(lens.value, here), rigId: null })
      : lens;
  }
  const whole = named(checkedWorkspace(parsed.value), name);
  return whole.ok
    ? ok({ kind: 'workspace', workspace: { ...EMPTY_WORKSPACE, ...whole.value }, rigId: null })
    : whole;
}
