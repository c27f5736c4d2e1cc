'use client';
import type { KitTable } from '@/core/kit/fields/fieldTypes';
import type { Workspace } from '@/core/kit/records/workspace';
import type { Tell } from '@/shell/tell';
import { BargainDialog } from './BargainDialog';
import { CsvDialog } from './CsvDialog';
import { LensfunDialog } from './LensfunDialog';
import { MountFinderDialog } from './MountFinderDialog';
import { QuickLensDialog } from './QuickLensDialog';
import type { KitActions } from './useKit';

export type KitDialog = 'quick' | 'bargain' | 'finder' | 'csv-in' | 'lensfun';

interface KitDialogsProps {
  open: KitDialog | null;
  table: KitTable;
  workspace: Workspace;
  actions: KitActions;
  tell: Tell;
  onMount: (mountId: string) => void;
  onClose: () => void;
}

/** The one dialog of the kit that is open, if any. */
export function KitDialogs({ open, table, onMount, ...given }: KitDialogsProps) {
  const { workspace, actions, tell, onClose } = given;
  switch (open) {
    case 'quick':
      return <QuickLensDialog workspace={workspace} actions={actions} onClose={onClose} />;
    case 'bargain':
      return <BargainDialog workspace={workspace} actions={actions} onClose={onClose} />;
    case 'finder':
      return (
        <MountFinderDialog
          workspace={workspace}
          onFound={(id) => {
            onClose();
            onMount(id);
          }}
          onClose={onClose}
        />
      );
    case 'csv-in':
      return (
        <CsvDialog
          table={table}
          workspace={workspace}
          actions={actions}
          tell={tell}
          onClose={onClose}
        />
      );
    case 'lensfun':
      return (
        <LensfunDialog workspace={workspace} actions={actions} tell={tell} onClose={onClose} />
      );
    case null:
      return null;
  }
}
