/** Rigs of the demo workspace, ready to evaluate. */
import { tideMill } from '@/core/demo';
import { isMissing, resolveRig, type Rig } from '@/core/rig';

export function demoRig(id: string): Rig {
  const record = tideMill.rigs.find((r) => r.id === id);
  if (!record) throw new Error(`no demo rig ${id}`);
  const rig = resolveRig(tideMill, record);
  if (isMissing(rig)) throw new Error(`demo rig ${id} lacks its ${rig.missing}`);
  return rig;
}

export { turned } from '@/core/rig';
