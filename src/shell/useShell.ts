'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Judgement, Workspace } from '@/core/kit/records';
import { db, isTabOpen } from '@/store/database/instance';
import { redo, StepElsewhere, undo } from '@/store/changes/undo';
import { isEmpty } from '@/store/database/load';
import { setJudgement } from '@/store/judgement';
import type { MenuAction } from '@/ui/controls/MenuButton';
import type { NoticeText } from '@/ui/controls/Notice';
import { useTheme } from '@/ui/theme/useTheme';
import type { OwnSteps } from '@/ui/useHistory';
import { useRoomKeys, type CommonKeys, type KeyMap } from './header/keys';
import { guarded, stored, type Tell } from './tell';
import { useFiles } from './files/useFiles';

type DialogName = 'help' | 'judgement' | 'backups';

export interface Shell {
  tell: Tell;
  notice: NoticeText | null;
  keys: CommonKeys;
  judge: (judgement: Judgement) => void;
  files: ReturnType<typeof useFiles>;
  fileActions: readonly MenuAction[];
  dialog: DialogName | null;
  openDialog: (name: DialogName | null) => void;
}

/** Takes the last step back; one of another tab that still stands open only once that is said to be meant. */
async function undoOrAsk(tell: Tell): Promise<void> {
  try {
    await undo(db);
  } catch (error) {
    if (!(error instanceof StepElsewhere)) throw error;
    if (!(await isTabOpen(error.tab))) {
      await undo(db, true);
      return;
    }
    tell({
      kind: 'asked',
      text: `The last step was done in another tab: ${error.message}.`,
      act: { label: 'Undo it all the same', press: () => guarded(tell, () => undo(db, true)) },
    });
  }
}

/** Once there is something to lose, asks the browser to keep it. */
function useKeptStorage(somethingHere: boolean): void {
  useEffect(() => {
    // Only a page served safely has storage that can be asked for.
    if (somethingHere && 'storage' in navigator) void navigator.storage.persist();
  }, [somethingHere]);
}

/** What every room does alike: saying things, undo and redo, files, judging, help. */
export function useShell(workspace: Workspace): Shell {
  const [notice, tell] = useState<NoticeText | null>(null);
  const [dialog, openDialog] = useState<DialogName | null>(null);
  const files = useFiles(workspace, tell, notice === null);
  useKeptStorage(!isEmpty(workspace));
  const [, theme] = useTheme();
  const router = useRouter();
  const keys = useMemo<CommonKeys>(
    () => ({
      undo: () => guarded(tell, () => undoOrAsk(tell)),
      redo: () => guarded(tell, () => redo(db)),
      theme,
      help: () => openDialog('help'),
      visit: (path) => router.push(path),
    }),
    [theme, router],
  );
  const judge = useCallback(
    (judgement: Judgement) => stored(tell, () => setJudgement(db, workspace.judgement, judgement)),
    [workspace.judgement],
  );
  const fileActions = useMemo(
    () => [
      ...files.actions,
      {
        id: 'backups',
        label: 'Backups and storage…',
        note: 'what was kept, and what it takes',
        act: () => openDialog('backups'),
      },
      {
        id: 'judgement',
        label: 'How this workspace judges…',
        note: 'what a corner may lose, how equivalents count',
        act: () => openDialog('judgement'),
      },
    ],
    [files.actions],
  );
  return { tell, notice, keys, judge, files, fileActions, dialog, openDialog };
}

/** The same, what can be taken back of the room itself first. */
export function useStepping(shell: Shell, steps: OwnSteps): Shell {
  const { keys } = shell;
  const own = useMemo<CommonKeys>(
    () => ({
      ...keys,
      undo: steps.undo === null ? keys.undo : steps.takeBack,
      redo: steps.redo === null ? keys.redo : steps.doAgain,
    }),
    [keys, steps],
  );
  return { ...shell, keys: own };
}

/** The same, listening to the room's own keys as well. */
export const useShellKeys = (shell: Shell, own: KeyMap): void => useRoomKeys(shell.keys, own);
