'use client';
import { useMemo, useRef, useState } from 'react';
import { tideMillLoader } from '@/store/demo';
import { db } from '@/store/instance';
import { commit, redo, undo } from '@/store/journal';
import { storageSentence } from '@/store/troubles';
import { importWorkspace, isEmpty, type ImportMode } from '@/store/workspace';
import { problemText } from '@/core/kit/problem';
import type { RigRecord } from '@/core/kit/rigRecord';
import type { Workspace } from '@/core/kit/workspace';
import type { MenuAction } from '@/ui/controls/MenuButton';
import type { NoticeText } from '@/ui/controls/Notice';
import { readWorkspaceFile, saveWorkspaceFile } from './files';
import type { PendingImport } from './ImportDialog';
import type { Bench } from './useBench';

export type Tell = (notice: NoticeText) => void;

/** Runs something that may fail on storage, and says so if it does. */
function guarded(tell: Tell, work: () => Promise<unknown>): void {
  work().catch((error: unknown) => tell({ kind: 'trouble', text: storageSentence(error) }));
}

/** A rig from the first of everything, or null where something is lacking. */
function firstRig(workspace: Workspace): RigRecord | null {
  const [body] = workspace.bodies;
  const mode = body?.modes[0];
  const lens = workspace.lenses.find((l) => l.mountId === body?.mountId) ?? workspace.lenses[0];
  if (!body || !mode || !lens) return null;
  return {
    id: crypto.randomUUID(),
    name: 'New rig',
    bodyId: body.id,
    modeId: mode.id,
    lensId: lens.id,
    partIds: [],
    settings: {
      focalMm: lens.focalMinMm,
      fNumber: lens.openFNumberWide,
      focusM: null,
      aspect: null,
      digitalZoom: 1,
      cropId: null,
      stabiliser: false,
    },
    note: '',
  };
}

/** Steps in the journal. */
export function useJournal(tell: Tell) {
  return useMemo(
    () => ({
      undo: () => guarded(tell, () => undo(db)),
      redo: () => guarded(tell, () => redo(db)),
    }),
    [tell],
  );
}

/** Workspace files and the demo. */
export function useFiles(workspace: Workspace, tell: Tell) {
  const input = useRef<HTMLInputElement>(null);
  const [pending, setPending] = useState<PendingImport | null>(null);

  const read = async (file: File) => {
    const result = await readWorkspaceFile(file);
    if (result.ok) setPending({ fileName: file.name, file: result.value });
    else tell({ kind: 'trouble', text: `${problemText(result.problems)}\nNothing was changed.` });
  };
  const write = (mode: ImportMode) => {
    if (!pending) return;
    const { file, fileName } = pending;
    setPending(null);
    guarded(tell, async () => {
      await importWorkspace(db, file, mode, `Open ${fileName}`);
      tell({ kind: 'said', text: `${fileName} is open. Undo takes it back.` });
    });
  };
  const demo = () => guarded(tell, () => tideMillLoader(db));
  const open = () => input.current?.click();
  const actions: MenuAction[] = [
    {
      id: 'save',
      label: 'Save the workspace to a file',
      note: 'JSON, everything in it',
      disabled: isEmpty(workspace),
      act: () =>
        guarded(tell, async () => {
          const name = await saveWorkspaceFile();
          tell({ kind: 'said', text: `Saved as ${name}.` });
        }),
    },
    {
      id: 'open',
      label: 'Open a workspace file…',
      note: 'shows what it would bring first',
      act: open,
    },
    { id: 'demo', label: 'Load the demo workspace', note: 'adds to what you have', act: demo },
  ];
  return { input, pending, leave: () => setPending(null), read, write, demo, open, actions };
}

/** What can be done with the rig as a whole. */
export function useRigActions(workspace: Workspace, bench: Bench, tell: Tell) {
  const [naming, setNaming] = useState(false);
  const { record } = bench;

  const add = (label: string, rig: RigRecord) =>
    guarded(tell, async () => {
      await commit(db, label, [{ table: 'rigs', id: rig.id, after: rig }]);
      bench.choose(rig.id);
    });
  const create = () => {
    const rig = firstRig(workspace);
    if (rig) add('Put a rig together', rig);
    else
      tell({
        kind: 'trouble',
        text: 'A rig needs at least one body and one lens in the workspace.',
      });
  };
  const copyLink = () => {
    navigator.clipboard.writeText(window.location.href).then(
      () =>
        tell({ kind: 'said', text: 'The link to this rig, as it is set, is on the clipboard.' }),
      () => tell({ kind: 'said', text: `Copy this link: ${window.location.href}` }),
    );
  };
  const actions: MenuAction[] = [
    { id: 'new', label: 'Put a new rig together', act: create },
    {
      id: 'double',
      label: 'Duplicate this rig',
      disabled: !record,
      act: () => {
        if (record)
          add('Duplicate a rig', {
            ...record,
            id: crypto.randomUUID(),
            name: `${record.name.slice(0, 190)}, copy`,
          });
      },
    },
    { id: 'name', label: 'Rename it…', disabled: !record, act: () => setNaming(true) },
    {
      id: 'link',
      label: 'Copy a link to it',
      note: 'with its settings',
      disabled: !record,
      act: copyLink,
    },
    {
      id: 'delete',
      label: 'Delete it',
      note: 'undo brings it back',
      disabled: !record,
      act: () => {
        if (record) {
          guarded(tell, async () => {
            await commit(db, `Delete ${record.name}`, [
              { table: 'rigs', id: record.id, after: null },
            ]);
            tell({ kind: 'said', text: `“${record.name}” is deleted. Undo brings it back.` });
          });
        }
      },
    },
  ];
  return { actions, create, naming, stopNaming: () => setNaming(false) };
}
