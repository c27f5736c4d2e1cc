'use client';
import { useMemo, useState } from 'react';
import { newId } from '@/core/kit/newId';
import { restingSettings, type RigRecord } from '@/core/kit/records/rigRecord';
import type { Workspace } from '@/core/kit/records/workspace';
import { db } from '@/store/instance';
import { commit } from '@/store/journal';
import type { MenuAction } from '@/ui/controls/MenuButton';
import { guarded, type Tell } from '@/shell/tell';
import type { BenchActions } from './useBench';

/** A rig from the first of everything, or null where something is lacking. */
function firstRig(workspace: Workspace): RigRecord | null {
  const [body] = workspace.bodies;
  const mode = body?.modes[0];
  const lens = workspace.lenses.find((l) => l.mountId === body?.mountId) ?? workspace.lenses[0];
  if (!body || !mode || !lens) return null;
  return {
    id: newId(),
    name: 'New rig',
    bodyId: body.id,
    modeId: mode.id,
    lensId: lens.id,
    partIds: [],
    settings: restingSettings(lens.focalMinMm, lens.openFNumberWide),
    note: '',
  };
}

const copyOf = (rig: RigRecord): RigRecord => ({
  ...rig,
  id: newId(),
  name: `${rig.name.slice(0, 190)}, copy`,
});

function copyLink(tell: Tell): void {
  const link = window.location.href;
  const byHand = () => tell({ kind: 'said', text: `Copy this link: ${link}` });
  // Only a page served safely has a clipboard.
  if (!('clipboard' in navigator)) {
    byHand();
    return;
  }
  navigator.clipboard
    .writeText(link)
    .then(
      () =>
        tell({ kind: 'said', text: 'The link to this rig, as it is set, is on the clipboard.' }),
      byHand,
    );
}

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
          act: () => copyLink(tell),
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
