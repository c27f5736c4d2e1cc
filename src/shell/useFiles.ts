'use client';
import { useMemo, useRef, useState } from 'react';
import { problemText } from '@/core/words/problem';
import type { Workspace } from '@/core/kit/records/workspace';
import { tideMillLoader } from '@/store/demo';
import { db } from '@/store/instance';
import { keepBackup } from '@/store/backups';
import { changedHere } from '@/store/journal';
import { importWorkspace, type ImportMode } from '@/store/importing';
import { isEmpty } from '@/store/load';
import type { MenuAction } from '@/ui/controls/MenuButton';
import { readWorkspaceFile, saveWorkspaceFile } from './files';
import type { PendingImport, Takes } from './ImportDialog';
import { guarded, type Tell } from './tell';

/** Workspace files and the demo. */
export function useFiles(workspace: Workspace, tell: Tell) {
  const input = useRef<HTMLInputElement>(null);
  const [pending, setPending] = useState<PendingImport | null>(null);
  const empty = isEmpty(workspace);

  const { open, demo, actions } = useMemo(() => {
    const pick = () => input.current?.click();
    const load = () => guarded(tell, () => tideMillLoader(db));
    const save = () =>
      guarded(tell, async () => {
        tell({ kind: 'said', text: `Saved as ${await saveWorkspaceFile()}.` });
      });
    const list: MenuAction[] = [
      {
        id: 'save',
        label: 'Save the workspace to a file',
        note: 'JSON, everything in it',
        disabled: empty,
        act: save,
      },
      {
        id: 'open',
        label: 'Open a workspace file…',
        note: 'shows what it would bring first',
        act: pick,
      },
      { id: 'demo', label: 'Load the demo workspace', note: 'adds to what you have', act: load },
    ];
    return { open: pick, demo: load, actions: list };
  }, [empty, tell]);

  const read = async (file: File) => {
    const result = await readWorkspaceFile(file);
    if (result.ok) {
      const changedByHand = await changedHere(db);
      setPending({ fileName: file.name, file: result.value, changedByHand });
    } else tell({ kind: 'trouble', text: `${problemText(result.problems)}\nNothing was changed.` });
  };
  const write = (mode: ImportMode, takes: Takes) => {
    if (!pending) return;
    const { file, fileName } = pending;
    setPending(null);
    guarded(tell, async () => {
      await keepBackup(db, `before ${fileName}`, Date.now());
      await importWorkspace(db, file, mode, `Open ${fileName}`, takes ?? undefined);
      tell({ kind: 'said', text: `${fileName} is open. Undo takes it back.` });
    });
  };
  return { input, pending, leave: () => setPending(null), read, write, demo, open, actions };
}
