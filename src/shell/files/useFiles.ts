'use client';
import { useCallback, useMemo, useRef, useState } from 'react';
import type { Workspace } from '@/core/kit/records';
import { tideMillLoader } from '@/store/keeping/demo';
import { db } from '@/store/database/instance';
import type { ImportMode } from '@/store/keeping/importing';
import { asked, openKeeper } from '@/store/keeping/keeper';
import { rememberRig } from '@/store/remembered/lastRig';
import { troubleSentence } from '@/store/troubles/troubles';
import { isEmpty } from '@/store/database/load';
import type { MenuAction } from '@/ui/controls/MenuButton';
import { saveWorkspaceFile } from './files';
import type { PendingImport } from './ImportDialog';
import { ROOMS } from '../rooms';
import { guarded, type Tell } from '../tell';
import { useReminder } from './useReminder';

/** Goes to the Bench with a rig that has just come in. */
function openRig(id: string): void {
  rememberRig(id);
  window.location.assign(`${ROOMS.bench.path}?${new URLSearchParams({ rig: id }).toString()}`);
}

/** Workspace files and the demo. */
export function useFiles(workspace: Workspace, tell: Tell, isQuiet: boolean) {
  const input = useRef<HTMLInputElement>(null);
  const [pending, setPending] = useState<PendingImport | null>(null);
  const empty = isEmpty(workspace);
  const save = useCallback(
    () =>
      guarded(tell, async () => {
        tell({ kind: 'said', text: `Saved as ${await saveWorkspaceFile()}.` });
      }),
    [tell],
  );
  const unsaved = useReminder(tell, isQuiet, save);

  const { open, demo, actions } = useMemo(() => {
    const pick = () => input.current?.click();
    const load = () => guarded(tell, () => tideMillLoader(db));
    const list: MenuAction[] = [
      {
        id: 'save',
        label: 'Save the workspace to a file',
        note: `JSON, everything in it; ${unsaved === 1 ? '1 change' : `${unsaved} changes`} since the last one`,
        disabled: empty,
        act: save,
      },
      {
        id: 'open',
        label: 'Open a workspace file…',
        note: 'or a rig, or a lens given away; shows what it would bring first',
        act: pick,
      },
      { id: 'demo', label: 'Load the demo workspace', note: 'adds to what you have', act: load },
    ];
    return { open: pick, demo: load, actions: list };
  }, [empty, tell, save, unsaved]);

  const leave = () => {
    pending?.keeper.close();
    setPending(null);
  };
  const read = (file: File, note = '') => {
    pending?.keeper.close();
    setPending(null);
    const keeper = openKeeper();
    tell({ kind: 'said', text: `Reading ${file.name}…` });
    asked(keeper, (k) => k.read(file)).then(
      (preview) => {
        tell(null);
        // A rig that is here just so already needs no questions.
        if (preview.rigId !== null && preview.differing.length === 0) {
          keeper.close();
          openRig(preview.rigId);
        } else setPending({ fileName: file.name, preview, note, keeper });
      },
      (error: unknown) => {
        keeper.close();
        tell({ kind: 'trouble', text: `${troubleSentence(error)}\nNothing was changed.` });
      },
    );
  };
  const write = (mode: ImportMode, leftOut: readonly string[]) => {
    if (!pending) return;
    const { fileName, keeper, preview } = pending;
    setPending(null);
    tell({ kind: 'said', text: `Opening ${fileName}…` });
    guarded(tell, async () => {
      try {
        await asked(keeper, (k) => k.bringIn(mode, leftOut));
      } finally {
        keeper.close();
      }
      if (preview.rigId === null)
        tell({ kind: 'said', text: `${fileName} is open. Undo takes it back.` });
      else openRig(preview.rigId);
    });
  };
  return { input, pending, leave, read, write, demo, open, actions };
}
