/** Rigs as the files the command line and the API take. */
import { RIG_FORMAT, type RigFile } from '@/core/kit/records/rigFile';
import { RECORDS_VERSION } from '@/core/kit/records/version';
import type { Rig } from '@/core/rig/rig';

/** A rig as a file others can evaluate without the workspace. */
export function rigFileOf(rig: Rig): RigFile {
  const used = new Set([
    rig.lens.mountId,
    rig.body.mountId,
    ...rig.parts.flatMap((p) => [p.frontMountId, p.rearMountId]),
  ]);
  return {
    format: RIG_FORMAT,
    version: RECORDS_VERSION,
    name: rig.name,
    body: rig.body,
    modeId: rig.mode.id,
    lens: rig.lens,
    parts: [...rig.parts],
    mounts: [...rig.mounts.values()].filter((m) => used.has(m.id)),
    settings: rig.settings,
    judgement: rig.judgement,
  };
}
