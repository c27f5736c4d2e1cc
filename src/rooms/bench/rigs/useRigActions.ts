'use client';
import { useMemo, useState } from 'react';
import { newId } from '@/core/kit';
import { restingSettings, type RigRecord, type Body, type Workspace } from '@/core/kit/records';
import { mountsById } from '@/core/rig';
import { findChains } from '@/core/rig/search';
import { db } from '@/store/database/instance';
import { commit } from '@/store/changes/journal';
import type { MenuAction } from '@/ui/controls/MenuButton';
import { copyLink } from '@/shell/rig/copyLink';
import { guarded, type Tell } from '@/shell/tell';
import type { BenchActions } from '@/shell/rig/useBench';

/** So many lenses are looked at for one that goes on a body. */
const MOST_TRIED = 200;

/** The first lens that goes on a body, straight or by a chain, and what stands between; else the first of all. */
function firstJoined({ lenses, parts, mounts }: Workspace, body: Body) {
  const straight = lenses.find((l) => l.mountId === body.mountId);
  if (straight) return { lens: straight, between: [] };
  const known = mountsById(mounts);
  for (const lens of lenses.slice(0, MOST_TRIED)) {
    const [chain] = findChains(lens, body, parts, known).chains;
    if (chain) return { lens, between: chain.parts };
  }
  return { lens: lenses[0], between: [] };
}

/** A rig that goes together, if the kit has one; null where a body or a lens is lacking. */
function firstRig(workspace: Workspace): RigRecord | null {
  const [body] = workspace.bodies;
  const mode = body?.modes[0];
  if (!body || !mode) return null;
  const { lens, between } = firstJoined(workspace, body);
  if (!lens) return null;
  return {
    id: newId(),
    name: 'New rig',
    bodyId: body.id,
    modeId: mode.id,
    lensId: lens.id,
    partIds: between.map((p) => p.id),
    settings: restingSettings(lens.focalMinMm, lens.openFNumberWide),
    note: '',
  };
}

const copyOf = (rig: RigRecord): RigRecord => ({
  ...rig,
  id: newId(),
  name: `${rig.name.slice(0, 190)}, copy`,
});

interface RigActionsNeeds {
  workspace: Workspace;
  record: RigRecord | null;
  bench: BenchActions;
  tell: Tell;
  /** Asks what people know of another camera and lens. */
  onStart: () => void;
}

/** What can be done with the rig as a whole. */
export function useRigActions({ workspace, record, bench, tell, onStart }: RigActionsNeeds) {
  const [naming, setNaming] = useState(false);

  const { create, actions } = useMemo(() => {
    const add = (label: string, rig: RigRecord) =>
      guarded(tell, async () => {
        await commit(db, label, [{ table: 'rigs', id: rig.id, after: rig }]);
        bench.choose(rig.id);
      });
    const remove = (rig: RigRecord) =>
      guarded(tell, async () => {
        await commit(db, `Delete ${rig.name}`, [{ table: 'rigs', id: rig.id, after: null }]);
        tell({ kind: 'said', text: `“${rig.name}” is deleted. Undo brings it back.` });
      });
    const fresh = () => {
      const rig = firstRig(workspace);
      if (rig) add('Put a rig together', rig);
      else
        tell({
          kind: 'trouble',
          text: 'A rig needs at least one body and one lens in the workspace.',
        });
    };
    const list: MenuAction[] = [
      { id: 'new', label: 'Put a new rig together', note: 'from the kit', act: fresh },
      { id: 'start', label: 'Start from what I know', note: 'gear not in the kit', act: onStart },
    ];
    if (record) {
      list.push(
        {
          id: 'double',
          label: 'Duplicate this rig',
          act: () => add('Duplicate a rig', copyOf(record)),
        },
        { id: 'name', label: 'Rename it…', act: () => setNaming(true) },
        {
          id: 'link',
          label: 'Copy a link to it',
          note: 'with its settings',
          act: () => copyLink(tell, 'this rig, as it is set,'),
        },
        {
          id: 'delete',
          label: 'Delete it',
          note: 'undo brings it back',
          act: () => remove(record),
        },
      );
    }
    return { create: fresh, actions: list };
  }, [workspace, record, bench, tell, onStart]);

  return { actions, create, naming, stopNaming: () => setNaming(false) };
}
