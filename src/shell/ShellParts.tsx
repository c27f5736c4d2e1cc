'use client';
import { useCallback } from 'react';
import type { Workspace } from '@/core/kit/records';
import { Notice } from '@/ui/controls/Notice';
import { BackupsDialog } from './files/BackupsDialog';
import { HelpDialog } from './header/HelpDialog';
import { JudgementDialog } from './JudgementDialog';
import type { Shortcut } from './header/keys';
import { OpenFile } from './files/OpenFile';
import type { RoomId } from './rooms';
import type { Shell } from './useShell';

interface ShellPartsProps {
  room: RoomId;
  shell: Shell;
  workspace: Workspace;
  /** The room's own keys, for the list under `?`. */
  shortcuts: readonly Shortcut[];
}

/** The dialogs and the notice every room has. */
export function ShellParts({ room, shell, workspace, shortcuts }: ShellPartsProps) {
  const { dialog, openDialog, tell } = shell;
  const close = () => openDialog(null);
  const closeNotice = useCallback(() => tell(null), [tell]);
  return (
    <>
      <OpenFile files={shell.files} />
      {dialog === 'help' && <HelpDialog room={room} shortcuts={shortcuts} onClose={close} />}
      {dialog === 'judgement' && (
        <JudgementDialog judgement={workspace.judgement} onJudge={shell.judge} onClose={close} />
      )}
      {dialog === 'backups' && <BackupsDialog tell={tell} onClose={close} />}
      <Notice
        notice={shell.notice}
        place={room === 'bench' ? 'stage' : 'foot'}
        onClose={closeNotice}
      />
    </>
  );
}
